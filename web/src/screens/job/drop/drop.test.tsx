import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import { archetypes, asUsual, foldJob, nextStop, type Bodies, type Entry } from '@iron-cradle/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atJob, logOf, mayBeOpened, type AtJob } from '../../../testing/atJob.tsx';
import Drop from './Drop.tsx';

const file = { ...asUsual(archetypes.find((a) => a.id === 'archetype-crosswise')!), variants: [] };
// Numbers of this device begin where the server says.
beforeEach(() => void (globalThis.fetch = (() => Promise.resolve(Response.json({ block: 0 }))) as typeof fetch));

/** Straps off and two stops made as planned, nothing tight. */
function partWay(): Entry[] {
  const made: Parameters<typeof logOf>[0][number][] = [...mayBeOpened];
  for (let i = 0; i < 2; i++) {
    const state = foldJob(null, logOf(made, file))!;
    const stop = nextStop(state);
    made.push({
      kind: 'stopDone',
      body: {
        to: stop.pose,
        off: stop.actions.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
        capped: [],
        look: { asked: true, tight: [], nearly: [], allFist: false, reachable: [] },
        notDone: [],
      } satisfies Bodies['stopDone'],
    });
  }
  return logOf(made, file);
}
const tap = (selector: string) => userEvent.setup().click(document.querySelector(selector)!);
const asSaid = '[data-action=as-said]';
const newest = (job: AtJob) => job.log.at(-1)! as Extract<Entry, { kind: 'stopDone' }>;
/** The strap knows its numbers once they are reserved. */
const numbered = () => waitFor(() => expect(document.querySelector('[data-facts] [aria-label="tag –"]')).toBeNull());

describe('a stop, hands full', () => {
  test('as planned it is one tap: pose, what came off with its numbers, and the look', async () => {
    const job = atJob(<Drop />, logOf(mayBeOpened, file));
    await numbered();
    const said = nextStop(job.state());
    await tap(asSaid);
    expect(job.log).toHaveLength(mayBeOpened.length + 2);
    const { body } = newest(job);
    expect(body.to).toEqual(said.pose);
    expect(body.off.map((o) => o.key)).toEqual(said.actions.map((a) => a.key));
    // A number each, none twice.
    expect(new Set(body.off.map((o) => o.tag)).size).toBe(body.off.length);
    expect(body.notDone).toEqual([]);
  });

  test('some ticked: only those, the rest is not done; the strap names what it enters', async () => {
    const job = atJob(<Drop />, logOf(mayBeOpened, file));
    await numbered();
    const boxes = document.querySelectorAll<HTMLElement>('[data-tick]');
    expect(boxes.length).toBeGreaterThan(1);
    const key = boxes[0]!.dataset.tick!;
    await userEvent.setup().click(boxes[0]!);
    expect(document.querySelector(asSaid)!.textContent).toContain(`Only 1 of ${boxes.length} done`);
    await tap(asSaid);
    expect(newest(job).body.off.map((o) => o.key)).toEqual([key]);
    expect(newest(job).body.notDone).toHaveLength(boxes.length - 1);
  });

  test('what was not done is crossed: it keeps binding and says so on the strap', async () => {
    const job = atJob(<Drop />, logOf(mayBeOpened, file));
    await numbered();
    const first = document.querySelector<HTMLElement>('[data-tick]')!;
    const key = first.dataset.tick!;
    await userEvent.setup().click(first);
    await userEvent.setup().click(first);
    expect(document.querySelector(asSaid)!.textContent).toContain('1 not done');
    await tap(asSaid);
    expect(newest(job).body.notDone).toEqual([{ key }]);
    expect(newest(job).body.off.map((o) => o.key)).not.toContain(key);
    expect(job.state().items.some((i) => i.key === key)).toBe(false);
  });

  test('a line that looks tight is named with one tap more, and the plan knows it', async () => {
    const job = atJob(<Drop />, partWay());
    const line = document.querySelector<HTMLElement>('[data-holder^="line:"] button[aria-pressed]:not([data-part])')!;
    const key = line.closest<HTMLElement>('[data-holder]')!.dataset.holder!;
    await userEvent.setup().click(line);
    expect(within(line).getByText('looks tight')).toBeTruthy();
    await tap(asSaid);
    const entry = job.log.at(-1)! as Extract<Entry, { kind: 'stopDone' | 'crept' }>;
    expect(entry.body.look.tight).toEqual([key.slice(5)]);
    const { slack, pose } = job.state();
    expect(slack[key.slice(5)]!.hi).toBeLessThanOrEqual(Math.max(pose.f, pose.r) + 10);
  });

  test('can’t see it is an answer, of a line and of all, and teaches nothing', async () => {
    const job = atJob(<Drop />, partWay());
    const before = job.state().slack;
    const pressed = '[data-holder^="line:"] button[aria-pressed]:not([data-part])';
    const key = document.querySelector(pressed)!.closest<HTMLElement>('[data-holder]')!.dataset.holder!;
    for (let i = 0; i < 3; i++) await userEvent.setup().click(document.querySelector(pressed)!);
    expect(within(document.querySelector<HTMLElement>(pressed)!).getByText('can’t see it')).toBeTruthy();
    await tap('[data-all=blind]');
    expect(document.querySelector(asSaid)!.textContent).toMatch(/1 not seen, none in sight/);
    await tap(asSaid);
    expect(newest(job).body.look).toMatchObject({ unseen: [key.slice(5)], blind: true });
    const { slack, pose } = job.state();
    // What the tank went to without a pull is known; nothing more is.
    for (const [id, was] of Object.entries(before))
      expect(slack[id]!.lo).toBeLessThanOrEqual(Math.max(was.lo, pose.f, pose.r));
  });

  describe('what does not fit is said', () => {
    const long = structuredClone(file);
    for (const line of long.connections) {
      line.slack = { lo: 120, typ: 140, hi: 160 };
      line.visibleFrom = { lo: 0, typ: 0, hi: 0 };
      line.clips = [];
    }
    const first = [
      ...mayBeOpened,
      ...long.supports.map((s) => ({ kind: 'cleared' as const, body: { key: `support:${s.id}` } })),
    ];
    const look = { asked: true, tight: [], nearly: ['vent'], allFist: false, reachable: [], blind: false };
    const at25 = { to: { f: 25, r: 25 }, off: [], capped: [], notDone: [], look };

    test('a line that looks shorter than its file says: the file is doubted until somebody says it fits', async () => {
      const job = atJob(<Drop />, logOf([...first, { kind: 'stopDone', body: at25 }], long));
      // Nearly at 25 is at most 75, of 120 that were filed: 0.625 of every other least figure.
      expect(job.state().doubts).toMatchObject([{ line: 'vent', factor: 75 / 120 }]);
      expect(screen.getByText(/looks nearly tight at 25 mm, its file says 120 mm at least/)).toBeTruthy();
      await tap('[data-action=file-fits]');
      expect(job.state().doubts).toEqual([]);
      expect(document.querySelector('[data-action=file-fits]')).toBeNull();
    });

    test('of two lines in one look each is said', async () => {
      const errors = jest.spyOn(console, 'error');
      const both = { ...at25, look: { ...look, nearly: ['vent', 'feed'] } };
      atJob(<Drop />, logOf([...first, { kind: 'stopDone', body: both }], long));
      expect(screen.getAllByText(/looks nearly tight at 25 mm, its file says 120 mm at least/)).toHaveLength(2);
      expect(errors).not.toHaveBeenCalled();
      errors.mockRestore();
    });

    test('a line that looks shorter than it was measured, until it is measured again', async () => {
      const said = (value: number) => ({ kind: 'answer' as const, body: { question: 'slack', of: 'vent', value } });
      const job = atJob(<Drop />, logOf([...first, said(120), { kind: 'stopDone', body: at25 }], long));
      expect(
        screen.getByText(/vent hose was measured at 120 mm and looks shorter at 25 mm: measure it again/),
      ).toBeTruthy();
      await tap('[data-measure="line:vent"]');
      expect(await screen.findByRole('list', { name: 'where it parts' })).toBeTruthy();
      await userEvent.setup().type(screen.getByLabelText('It lets, measured'), '70 mm');
      await tap('[data-action=measured]');
      expect(job.log.at(-1)).toMatchObject({ kind: 'answer', body: { question: 'slack', of: 'vent', value: 70 } });
      expect(screen.queryByText(/measure it again/)).toBeNull();
      expect(job.state().slack.vent).toMatchObject({ lo: 70, hi: 70 });
    });
  });

  test('a tag opens all that is known of its line', async () => {
    atJob(<Drop />, partWay());
    await tap('[data-facts^="line:"]');
    expect(await screen.findByRole('list', { name: 'where it parts' })).toBeTruthy();
  });

  test('ten lower says what the plan said, and what may hold there', async () => {
    atJob(<Drop />, partWay());
    const height = () => Number(document.querySelector<HTMLElement>('[data-height]')!.dataset.height);
    const planned = height();
    await tap('[data-action=further]');
    expect(height()).toBe(planned + 10);
    expect(screen.getByText(new RegExp(`plan says ${planned} mm`))).toBeTruthy();
    expect(screen.getByText(/further than is safe/)).toBeTruthy();
    await userEvent.setup().click(screen.getByText(new RegExp(`plan says ${planned} mm`)));
    expect(height()).toBe(planned);
  });

  test('something holds: two taps, entered at the height, and the change said in words', async () => {
    const job = atJob(<Drop />, partWay());
    await tap('[data-action=holds]');
    const cell = await waitFor(() => {
      const found = document.querySelector<HTMLElement>('[data-holds^="line:"]');
      expect(found).not.toBeNull();
      return found!;
    });
    const [key, at] = cell.dataset.holds!.split('@') as [string, string];
    await userEvent.setup().click(cell);
    expect(job.log.at(-1)).toMatchObject({ kind: expect.stringMatching(/surprise|crept/) as string });
    expect(job.state().slack[key.slice(5)]!.hi).toBe(Number(at));
  });

  test('something nobody wrote down holds as well', async () => {
    const job = atJob(<Drop />, partWay());
    await tap('[data-action=holds]');
    await waitFor(() => expect(document.querySelector('[data-holds^="new:"]')).not.toBeNull());
    await tap('[data-holds^="new:"]');
    expect(job.state().extras).toMatchObject([{ name: 'something not in the file' }]);
  });
});

describe('a gate that is open', () => {
  const said = () => document.querySelector('[data-gate-open]');
  test('stands in place of the main action, with what is missing; one tap goes to it', async () => {
    const job = atJob(<Drop />, logOf([], file));
    expect(document.querySelector(asSaid)).toBeNull();
    expect(said()!.textContent).toMatch(/Gate 1 is open, before anything is opened: air, heat off, pressure/);
    await tap('[data-action=to-gate]');
    expect(job.log).toHaveLength(1);
  });
  test('what was done all the same is entered by a second, plain action, and is owed', async () => {
    const job = atJob(<Drop />, logOf([], file));
    await numbered();
    await tap('[data-action=all-the-same]');
    expect(newest(job).kind).toBe('stopDone');
    expect(job.state().crossings.map((c) => c.gate)).toEqual([1]);
  });
  test('Enter does not go past it', async () => {
    const job = atJob(<Drop />, logOf([], file));
    await userEvent.setup().keyboard('{Enter}');
    expect(job.log).toHaveLength(1);
  });
  test('gate 2 is said once gate 1 is passed and only the supports are left', () => {
    const gateOne = mayBeOpened.slice(0, mayBeOpened.findIndex((e) => e.kind === 'gate') + 1);
    const off = nextStop(foldJob(null, logOf(gateOne, file))!).actions.map((a) => ({ key: a.key }));
    atJob(<Drop />, logOf([...gateOne, ...off.map((body) => ({ kind: 'cleared' as const, body }))], file));
    expect(said()!.textContent).toMatch(/Gate 2 is open, before the supports come off/);
  });
});

describe('by keys alone', () => {
  test('Enter as said, back takes it back, arrows set the height, h asks what holds', async () => {
    const user = userEvent.setup();
    const job = atJob(<Drop />, partWay());
    const before = job.state().pose;
    await user.keyboard('{Enter}');
    await waitFor(() => expect(job.log.length).toBeGreaterThan(mayBeOpened.length + 3));
    await user.keyboard('{Backspace}');
    await waitFor(() => expect(job.log.at(-1)!.kind).toBe('takeBack'));
    expect(job.state().pose).toEqual(before);
    const height = () => document.querySelector<HTMLElement>('[data-height]')!.dataset.height;
    const planned = height();
    await user.keyboard('{ArrowDown}');
    expect(Number(height())).toBe(Number(planned) + 10);
    await user.keyboard('{ArrowUp}');
    expect(height()).toBe(planned);
    await user.keyboard('h');
    expect(await screen.findByRole('dialog')).toBeTruthy();
  });
});

describe('where it ends', () => {
  test('down, the way leads to the bench', () => {
    const down = logOf([{ kind: 'moved', body: { to: { f: file.clear, r: file.clear }, why: 'out' } }], file);
    atJob(<Drop />, down);
    expect(screen.getByText('The tank is down.')).toBeTruthy();
    expect(document.querySelector(asSaid)!.textContent).toContain('On to the bench');
    expect(document.querySelector('[data-action=holds]')).toBeNull();
  });

  test('nothing lets it go further: what holds, and how it goes on', async () => {
    const held = logOf(
      [
        ...mayBeOpened,
        ...file.supports.map((s) => ({ kind: 'cleared' as const, body: { key: `support:${s.id}` } })),
        { kind: 'moved', body: { to: { f: 25, r: 25 } } },
        { kind: 'surprise', body: { what: 'holds', key: 'line:vent', lets: 25 } },
      ],
      file,
    );
    const job = atJob(<Drop />, held);
    for (let i = 0; i < 4 && !document.querySelector('[aria-label="what holds it"]'); i++) await tap(asSaid);
    expect(document.querySelector('[aria-label="what holds it"]')!.textContent).toContain('vent holds it at 25 mm');
    await tap('[data-freed="60"]');
    expect(job.log.at(-1)).toMatchObject({ kind: 'surprise', body: { what: 'freed', key: 'line:vent', more: 60 } });
    expect(job.state().slack.vent!.lo).toBe(85);
  });
});
