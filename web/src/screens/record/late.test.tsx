import 'fake-indexeddb/auto';
import { foldJob, inWords, owed, type Entry, type JobState } from '@iron-cradle/core';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { store } from '../../log/db.ts';
import { logOf } from '../../testing/atJob.tsx';
import { Late } from './Late.tsx';

/** Signed with all that was owed excused; then a line comes in that was parted by somebody who did not know. */
function signedAndLate(): { log: Entry[]; state: JobState } {
  const number = (list: Entry[]) => list.map((entry, i) => ({ ...entry, seq: i + 1 }) as Entry);
  const before = foldJob(null, logOf([]))!;
  const excuses = owed(before).map((debt) => ({
    kind: 'deviation' as const,
    body: { debt: debt.id, what: inWords(debt.text), reason: 'tried', who: 'Bo', due: 'Friday' },
  }));
  const signed = number(logOf([...excuses, { kind: 'signed', body: {} }]));
  const late = {
    ...signed[0]!,
    id: 'late',
    device: 'other',
    by: 'ines',
    n: 1,
    kind: 'cleared',
    body: { key: 'line:vent', tag: 3 },
    on: signed[0]!.id,
  } as unknown as Entry;
  const log = number([...signed, late]);
  return { log, state: foldJob(null, log)! };
}

const done = () => undefined;
async function show(role: 'technician' | 'lead'): Promise<JobState> {
  const { log, state } = signedAndLate();
  const db = await store();
  for (const name of ['entries', 'outbox', 'notTaken'] as const) await db.clear(name);
  for (const entry of log) await db.put('entries', entry);
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  client.setQueryData(['me'], { person: { id: 'ines', name: 'Ines', role, units: 'us' } });
  client.setQueryData(['people'], [{ id: 'ines', name: 'Ines', role, signsIn: true }]);
  render(
    <QueryClientProvider client={client}>
      <Late jobId="job" state={state} onDone={done} />
    </QueryClientProvider>,
  );
  await waitFor(() => expect(screen.getByText(/vent.*off|off.*vent/)).toBeTruthy());
  return state;
}
const entered = async () => (await (await store()).getAll('outbox')).map(({ entry }) => entry);

describe('what came in after the signature', () => {
  beforeEach(() => {
    globalThis.fetch = (() => Promise.reject(new TypeError('away'))) as typeof fetch;
  });

  test('is told to the technician, who can decide nothing', async () => {
    const state = await show('technician');
    expect(state.signed).not.toBeNull();
    expect(state.late).toMatchObject([{ id: 'late', stands: false }]);
    expect(screen.getByText(/The lead decides/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  test('the lead lets it stand beside the record', async () => {
    const user = userEvent.setup();
    await show('lead');
    await user.click(screen.getByRole('button', { name: /Let it stand/ }));
    await waitFor(async () => expect(await entered()).toHaveLength(1));
    expect((await entered())[0]).toMatchObject({ kind: 'settled', body: { key: 'late', entries: ['late'] } });
  });

  test('or opens the job again, saying why', async () => {
    const user = userEvent.setup();
    await show('lead');
    await user.click(screen.getByRole('button', { name: 'Open the job again' }));
    await user.click(screen.getByRole('button', { name: /Open it again/ }));
    expect(await entered()).toEqual([]);
    await user.type(screen.getByLabelText('Why'), 'the vent was parted');
    await user.click(screen.getByRole('button', { name: /Open it again/ }));
    await waitFor(async () => expect(await entered()).toHaveLength(1));
    expect((await entered())[0]).toMatchObject({ kind: 'reopened', body: { reason: 'the vent was parted' } });
  });
});
