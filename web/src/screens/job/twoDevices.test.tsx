import type { Entry, UnitSystem } from '@iron-cradle/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atJob, logOf } from '../../testing/atJob.tsx';
import { TwoDevices } from './TwoDevices.tsx';

/** What a second tablet wrote, which held only the opening. */
const away = (log: readonly Entry[], device: string, kind: string, body: object): Entry =>
  ({ ...log[0]!, id: `of-${device}`, device, n: 1, kind, body, on: log[0]!.id, seq: undefined }) as unknown as Entry;

const stop = (mm: number) => ({
  to: { f: mm, r: mm },
  off: [],
  capped: [],
  notDone: [],
  look: { asked: true, tight: [], nearly: [], allFist: true, reachable: [] },
});

/** A job about which two tablets, each away, said this. */
const disputed = (kind: string, one: object, other: object, units: UnitSystem = 'metric') => {
  const [opened] = logOf([]);
  const log = [opened!, away([opened!], 'left', kind, one), away([opened!], 'right', kind, other)].map(
    (entry, i) => ({ ...entry, seq: i + 1 }) as Entry,
  );
  return atJob(<TwoDevices />, log, units);
};
const of = () => document.querySelector('[data-two-devices]')?.getAttribute('data-two-devices');
const strap = (name: string) => document.querySelector<HTMLElement>(`[data-settle=${name}]`)!;

describe('two devices that say different things', () => {
  test('each height is offered with whose word it is; one answer settles it for good', async () => {
    const user = userEvent.setup();
    const job = disputed('stopDone', stop(25), stop(60));
    expect(of()).toBe('pose');
    expect(within(screen.getByRole('region', { name: 'device 1' })).getByText(/lowered to 25/)).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'device 2' })).getByText(/lowered to 60/)).toBeTruthy();
    expect(strap('pose').textContent).toContain('say where it hangs');
    await user.click(strap('pose'));
    expect(job.log).toHaveLength(3);
    await user.click(screen.getByRole('radio', { name: /25 mm.*as device 1 has it/ }));
    await user.click(strap('pose'));
    expect(job.log.at(-1)).toMatchObject({ kind: 'settled', body: { key: 'pose', pose: { f: 25, r: 25 } } });
    expect(job.state().pose).toEqual({ f: 25, r: 25 });
    expect(of()).toBeUndefined();
  });

  test('measured elsewhere: both ends are wanted, on the grid of the stops, and nonsense is no height', async () => {
    const user = userEvent.setup();
    const job = disputed('stopDone', stop(25), stop(60));
    await user.click(screen.getByRole('radio', { name: /Elsewhere/ }));
    const [first, second] = job.state().vehicle.ends.map((end) => screen.getByLabelText(`${end} end hangs`));
    await user.type(first!, '42');
    await user.type(second!, 'low');
    expect(strap('pose').textContent).toContain('measure both ends');
    await user.clear(second!);
    await user.type(second!, '1 1/2 in');
    await user.click(strap('pose'));
    // 42 mm and 38.1 mm, each to the nearest 5.
    expect(job.log.at(-1)).toMatchObject({ body: { pose: { f: 40, r: 40 } } });
  });

  test('litres are asked as litres, in the reader’s units', async () => {
    const user = userEvent.setup();
    const job = disputed('fill', { litres: 9 }, { litres: 20 }, 'us');
    expect(of()).toBe('fuel');
    await user.type(screen.getByLabelText(/Litres aboard/), 'plenty');
    expect(screen.getByText(/Expected a volume/)).toBeTruthy();
    await user.clear(screen.getByLabelText(/Litres aboard/));
    await user.type(screen.getByLabelText(/Litres aboard/), '3 gal');
    await user.click(strap('fuel'));
    // 3 × 3.785 L = 11.36
    expect(job.log.at(-1)).toMatchObject({ kind: 'settled', body: { key: 'fuel', litres: 11.4 } });
  });

  test('a line is off or made', async () => {
    const user = userEvent.setup();
    const job = disputed('cleared', { key: 'line:vent', tag: 3 }, { key: 'line:vent', tag: 3 });
    expect(of()).toBe('line:vent');
    await user.click(screen.getByRole('button', { name: 'It is off' }));
    expect(job.log.at(-1)).toMatchObject({ body: { key: 'line:vent', on: false } });
    expect(job.state().items.find((item) => item.key === 'line:vent')?.state).toBe('open');
  });
});
