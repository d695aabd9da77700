import { archetypes, keyOf, type VehicleFile } from '@iron-cradle/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atJob, logOf } from '../../../testing/atJob.tsx';
import { TorqueSheet } from './TorqueSheet.tsx';

const rail = archetypes[0]!;
const strap = rail.supports.find(({ kind }) => kind === 'strap')!;
const key = keyOf('support', strap.id);
const at = (vehicle: VehicleFile) =>
  atJob(
    <TorqueSheet item={key} onClose={() => undefined} />,
    logOf(
      [
        { kind: 'cleared', body: { key } },
        { kind: 'restored', body: { key } },
      ],
      vehicle,
    ),
  );

test('what jobs before pulled it to stands beside the rounds, and nothing is entered by it', async () => {
  const job = at({ ...rail, seen: { [`pulled ${strap.fastener}`]: [41, 38] } });
  expect(screen.getByText(/pulled to 38–41 N·m on 2 jobs before/)).toBeTruthy();
  expect(document.querySelector('[data-action=torque]')!.hasAttribute('aria-disabled')).toBe(true);
  expect(job.state().torques).toEqual([]);
});

test('a strap that came straight says how it goes on; off its marks the torque is doubtful, and the log keeps both', async () => {
  const user = userEvent.setup();
  const job = at(rail);
  const choose = (group: RegExp, one: string) =>
    user.click(within(screen.getByRole('group', { name: group })).getByText(one));
  expect(document.body.textContent).not.toMatch(/Never bend it by pulling/);
  await choose(/^The strap is/, 'Another, straight');
  expect(document.body.textContent).toMatch(/Start its bolt a few threads by hand, then bend it/);
  await choose(/^The tank lies/, 'Off its marks');
  await user.type(screen.getByLabelText(/As it was pulled/), '40');
  await user.click(document.querySelector('[data-action=torque]')!);
  expect(job.state().torques[0]).toMatchObject({ lies: 'off', strap: 'straight' });
  expect(job.state().torques[0]!.verdict.reasons.map(({ text }) => text)).toContain('it lies off its old marks');
});
