import {
  archetypes as files,
  asUsual,
  BEFORE_FILLER,
  keyOf,
  nextUp,
  owed,
  shortName,
  splitKey,
  type VehicleFile,
} from '@iron-cradle/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { aMoment, atJob, logOf, mayGoBack } from '../../../testing/atJob.tsx';
import Refit from './Refit.tsx';

/** As they usually are. */
const archetypes = files.map((file) => ({ ...asUsual(file), variants: [] }));

/** Everything off, the tank on the floor of the well. */
const floor = (vehicle: VehicleFile, then = mayGoBack) =>
  logOf(
    [
      ...vehicle.connections.map((c, i) => ({
        kind: 'cleared' as const,
        body: { key: keyOf('line', c.id), tag: i + 1, way: c.part[0]!.id },
      })),
      ...vehicle.supports.map((s, i) => ({
        kind: 'cleared' as const,
        body: { key: keyOf('support', s.id), tag: i + 40 },
      })),
      { kind: 'moved' as const, body: { to: { f: vehicle.clear, r: vehicle.clear }, why: 'out' } },
      ...then,
    ],
    vehicle,
  );
const inTheFloor = archetypes.find((a) => a.id === 'archetype-floor')!;
const crosswise = archetypes.find((a) => a.id === 'archetype-crosswise')!;
const up = () => document.querySelector<HTMLButtonElement>('[data-action=up]');

describe('the way up on the screen', () => {
  test('gate 3 is said where the tank would leave the bench; who went on all the same is flagged', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise, []));
    expect(up()).toBeNull();
    expect(document.querySelector('[data-gate-open="3"]')!.textContent).toMatch(/Gate 3 is open.*tests.*seal/);
    await user.click(document.querySelector('[data-action=all-the-same]')!);
    expect(job.state().pose).toEqual({ f: 60, r: 60 });
    expect(job.state().crossings.map(({ gate }) => gate)).toContain(3);
    // It is owed now; what comes next is offered as ever.
    expect(document.querySelector('[data-gate-open]')).toBeNull();
    expect(up()).not.toBeNull();
  });

  test('raises, then each joint singly, up to gate 4 with everything live made', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise));
    expect(up()!.textContent).toMatch(/^Raise to 60 mm/);
    for (let i = 0; i < 30 && up(); i++) await user.click(up()!);
    const made = job.log.filter((e) => e.kind === 'made').map((e) => (e.kind === 'made' ? e.body.key : ''));
    // One entry a joint, never two in one.
    expect(new Set(made).size).toBe(made.length);
    const live = crosswise.connections.filter((c) => c.kind !== 'filler' && c.kind !== 'breather');
    expect(made.sort()).toEqual(live.map((c) => keyOf('line', c.id)).sort());
    expect(job.state().pose).toEqual({ f: 60, r: 60 });
    await waitFor(() => expect(screen.getByText(/Gate 4/)).toBeTruthy());
  });

  test('a rag in the neck comes out before the filler is offered', async () => {
    const user = userEvent.setup();
    const rag = { kind: 'putIn' as const, body: { name: 'rag in the neck', tag: 90, before: BEFORE_FILLER } };
    const job = atJob(<Refit />, floor(inTheFloor, [...mayGoBack, rag]));
    const said: string[] = [];
    for (let i = 0; i < 30 && up() && !said.at(-1)?.includes('filler'); i++) {
      said.push(up()!.textContent!);
      if (!said.at(-1)!.includes('filler')) await user.click(up()!);
    }
    expect(said.at(-2)).toBe('90 rag in the neck is out');
    expect(job.log.at(-1)).toMatchObject({ kind: 'takenOut' });
  });

  test('a wet joint is named, owed, and keeps the tank where it is', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise));
    const click = async (selector: string) => {
      await waitFor(() => expect(document.querySelector(selector)).not.toBeNull());
      await user.click(document.querySelector(selector)!);
    };
    for (let i = 0; i < 30 && up(); i++) await user.click(up()!);
    for (const question of [/wiped dry/, /nobody underneath/, /Battery back on/]) {
      await waitFor(() => expect(screen.getByRole('heading', { name: question })).toBeTruthy());
      // A safety question is read before it is answered.
      aMoment();
      await click('[data-answer="yes"]');
    }
    await click('[data-gate="4"]');
    // Half a tank stands behind them.
    expect(screen.getAllByText(/fuel covers the pick-up/).length).toBeGreaterThan(0);
    await click('[data-action=key-on]');
    expect(document.querySelector('[data-action=test-good]')!.textContent).toContain('joints dry');
    await click('[data-action=wet]');
    await click('[data-wet-joint="line:feed"]');
    expect(job.state().findings.at(-1)).toMatchObject({ verdict: 'bad', where: 'feed line' });
    expect(owed(job.state()).map((d) => d.key)).toContain('joint:line:feed');
    expect(nextUp(job.state()).kind).toBe('test');
    await waitFor(() => expect(document.querySelector('[data-wet="feed line"]')).not.toBeNull());
  });

  test('what is put off goes to the end, and the next one is offered', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise));
    await user.click(up()!);
    const first = up()!.textContent;
    await user.click(screen.getByRole('button', { name: 'Can’t yet' }));
    expect(job.log.at(-1)!.kind).toBe('deferred');
    expect(up()!.textContent).not.toBe(first);
  });

  test('a joint on top that was put off is a tap away at gate 4, which waits for it', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise));
    await user.click(up()!);
    await user.click(screen.getByRole('button', { name: 'Can’t yet' }));
    for (let i = 0; i < 20 && up(); i++) await user.click(up()!);
    const key = job.state().items.find((i) => i.state === 'deferred')!.key;
    const open = screen.getByRole('list', { name: 'still open' });
    expect(within(open).getAllByRole('button')).toHaveLength(1);
    await user.click(within(open).getByRole('button'));
    await user.click(screen.getByRole('button', { name: 'It is back now' }));
    expect(job.state().items.find((i) => i.key === key)!.state).toBe('closed');
    // The gate goes on to what is asked next.
    expect(screen.queryByRole('list', { name: 'still open' })).toBeNull();
    expect(screen.getByText('Joints wiped dry, tray under?')).toBeTruthy();
  });

  test('its number on both ends, by when it is lost, and in whose units', async () => {
    const user = userEvent.setup();
    atJob(<Refit />, floor(crosswise), 'us');
    await user.click(up()!);
    const item = crosswise.connections.find((c) => up()!.textContent!.includes(shortName(c.name)));
    expect(item).toBeTruthy();
    expect(screen.getByRole('img', { name: /on both ends, marks in line/ })).toBeTruthy();
    // 60 mm is 2 3/8 in to the nearest sixteenth (25.4 mm to the inch).
    expect(document.querySelector('[data-height="60"]')!.textContent).toMatch(/2 3\/8\s*in/);
  });

  test('ten lower is one entry, and is no pull while nothing is on', async () => {
    const user = userEvent.setup();
    const job = atJob(<Refit />, floor(crosswise));
    await user.click(up()!);
    await user.click(document.querySelector('[data-action=further]')!);
    expect(job.state()).toMatchObject({ pose: { f: 70, r: 70 }, pulls: [] });
  });

  test('before the tank was down its way up has not begun', () => {
    atJob(<Refit />, logOf([]));
    expect(screen.getByText(/has not been down yet/)).toBeTruthy();
    expect(up()!.textContent).toMatch(/way down/);
  });

  test('a tag of the list opens what is known of it', async () => {
    const user = userEvent.setup();
    atJob(<Refit />, floor(crosswise));
    const list = screen.getByRole('list', { name: 'to make here' });
    await user.click(list.querySelector('button')!);
    expect(await screen.findByRole('dialog')).toBeTruthy();
    expect(screen.getByText(/Came off at/)).toBeTruthy();
  });
});

test('every key of the ledger has a kind the screen knows', () => {
  for (const vehicle of archetypes)
    for (const entry of floor(vehicle))
      if (entry.kind === 'cleared') expect(['line', 'support']).toContain(splitKey(entry.body.key).kind);
});
