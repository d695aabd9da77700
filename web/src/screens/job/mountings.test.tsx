import 'fake-indexeddb/auto';
import { archetypes as files, asUsual, descended, answerOf, GOAL } from '@iron-cradle/core';
import { act, cleanup, fireEvent } from '@testing-library/react';
import { aMoment, atJob, goesOn, logOf, mayBeOpened, mayGoBack, type AtJob } from '../../testing/atJob.tsx';
import Drain from './drain/Drain.tsx';
import Drop from './drop/Drop.tsx';
import Refit from './refit/Refit.tsx';

// What is drawn on a canvas has no words.
HTMLCanvasElement.prototype.getContext = () => null;

/** As they usually are. */
const archetypes = files.map((file) => ({ ...asUsual(file), variants: [] }));

beforeEach(() => void (globalThis.fetch = (() => Promise.resolve(Response.json({ block: 0 }))) as typeof fetch));
const find = (selector: string) => document.querySelector<HTMLElement>(selector);
const named = (text: string) => [...document.querySelectorAll('button')].find((b) => b.textContent!.trim() === text);

/** All that stood on the screen, and what it is called for who does not see it. */
const heard = new Set<string>();
const listen = () => {
  const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (words.nextNode()) heard.add(words.currentNode.textContent!.trim());
  for (const one of document.querySelectorAll('[aria-label]')) heard.add(one.getAttribute('aria-label')!);
};

/** Taps the first that is there, in this order; false when nothing is. */
async function tapFirst(...ways: (HTMLElement | null | undefined)[]): Promise<boolean> {
  listen();
  const first = ways.find((e) => e && e.getAttribute('aria-disabled') !== 'true');
  if (!first) return false;
  // A safety question is read before it is answered: a tap in its first moment answers nothing.
  if (first.closest('[data-singly]')) aMoment();
  fireEvent.click(first);
  await act(() => Promise.resolve());
  return true;
}

/** Down by what the screen says, nothing ever tight; what holds is freed elsewhere. */
async function down(vehicle: (typeof archetypes)[number], before: Parameters<typeof logOf>[0] = []): Promise<AtJob> {
  const job = atJob(<Drop />, logOf([...mayBeOpened, ...before], vehicle));
  for (let i = 0; i < 60 && !descended(job.state()); i++) {
    const held = find('[aria-label="what holds it"]');
    if (
      !(await tapFirst(
        held && find('[data-freed="100"]'),
        held && find('[data-action=cleared]'),
        find('[data-action=as-said]'),
      ))
    )
      break;
  }
  return job;
}

/** Up by what the screen says, through gate 4 and the look with the key on. */
async function up(job: AtJob): Promise<AtJob> {
  cleanup();
  const again = atJob(<Refit />, goesOn(job.log, mayGoBack));
  for (let i = 0; i < 80; i++) {
    if (document.body.textContent!.includes('Now prove it, joint by joint')) break;
    const went = await tapFirst(
      find('[data-action=torque-none]'),
      find('[data-gate="4"]'),
      named('Wiped dry'),
      named('Battery is on'),
      named('Nobody is'),
      find('[data-action=key-on]'),
      find('[data-action=test-good]'),
      find('[data-action=up]'),
    );
    if (!went) break;
  }
  return again;
}

/** Words that are false of a tank that does not hang: it goes out, up or back, and may have no straps. */
function wrong({ supports, travel }: (typeof archetypes)[number]): RegExp {
  const moves = {
    down: '(lifted|moved out|slid back) to',
    out: 'lower(?! (strap|one|or outer))|lowered|raised?|higher|tank is down|the way (down|up)',
    back: 'lower|lowered|raised?|higher|tank is down|the way (down|up)',
    up: 'lowered|raised?|tank is down|the way (down|up)',
  }[travel!];
  const straps = supports.some(({ kind }) => kind === 'strap') ? '' : '|(?<!ground )straps?';
  return new RegExp(`\\b(${moves}${straps})\\b`, 'i');
}

describe('every mounting, down and up by what the screen says', () => {
  test.each(archetypes.map((a) => [a.id, a] as const))('%s', async (_, vehicle) => {
    heard.clear();
    const lowered = await down(vehicle);
    expect(lowered.state().out).toBe(true);
    expect(lowered.state().pulls).toEqual([]);
    cleanup();
    atJob(<Drain />, logOf(mayBeOpened.slice(0, 6), vehicle));
    listen();
    const refitted = await up(lowered);
    const home = refitted.state();
    expect(home.pose).toEqual({ f: 0, r: 0 });
    expect(home.items.filter((i) => i.state !== 'closed').map((i) => i.key)).toEqual([]);
    expect(home.gates[4].passed).not.toBeNull();
    expect(home.keyTurns).toMatchObject([{ where: 'test stop', off: expect.any(String) as string }]);
    // The key was turned only after everything live was made.
    const at = (kind: string) =>
      refitted.log.findIndex((e) => e.kind === kind && 'gate' in e.body && e.body.gate === 4);
    const live = refitted.log.flatMap((e, i) => {
      if (e.kind !== 'made') return [];
      const line = vehicle.connections.find((c) => e.body.key === `line:${c.id}`)!;
      return ['filler', 'breather', 'other'].includes(line.kind) ? [] : [i];
    });
    expect(Math.max(...live)).toBeLessThan(at('gate'));
    const restored = refitted.log.flatMap((e) => (e.kind === 'restored' ? [e.body.key] : []));
    expect(restored.filter((k) => k.startsWith('support:'))).toHaveLength(vehicle.supports.length);
    expect([...heard].filter((words) => wrong(vehicle).test(words))).toEqual([]);
  });
});

test('part-way: it stops at its height, what stayed on is never asked for, and it goes home', async () => {
  const vehicle = archetypes.find((a) => a.id === 'archetype-crosswise')!;
  const lowered = await down(vehicle, [{ kind: 'answer', body: answerOf<number | 'out'>(GOAL, 60) }]);
  expect(lowered.state()).toMatchObject({ pose: { f: 60, r: 60 }, out: false, pulls: [] });
  expect(document.body.textContent).toContain('Its top is where it is worked on.');
  expect(document.querySelector('[data-action=as-said]')!.textContent).toContain('On to the bench');
  const home = (await up(lowered)).state();
  expect(home.pose).toEqual({ f: 0, r: 0 });
  expect(home.items.every((i) => i.state === 'closed')).toBe(true);
  expect(home.items.length).toBeLessThan(vehicle.connections.length + vehicle.supports.length);
});
