import 'fake-indexeddb/auto';
import { say, mm } from '@iron-cradle/core';
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { store, type NotTaken } from '../log/db.ts';
import { setLine } from '../log/line.ts';
import { logOf, Surroundings } from '../testing/atJob.tsx';
import { LineBands } from './LineBands.tsx';

const [opened, note] = logOf([{ kind: 'note', body: { text: 'weeps at the neck' } }]);
const notTaken = (more: Partial<NotTaken>): NotTaken => ({
  id: note!.id,
  entry: note!,
  text: 'the job is signed',
  todo: 'write it as an addendum',
  owed: [],
  keptBack: false,
  ...more,
});

async function show(one: NotTaken, units: 'metric' | 'us' = 'metric') {
  globalThis.fetch = (() => Promise.reject(new TypeError('away'))) as typeof fetch;
  const db = await store();
  for (const name of ['entries', 'outbox', 'notTaken'] as const) await db.clear(name);
  await db.put('entries', { ...opened!, seq: 1 });
  await db.put('notTaken', one);
  render(
    <Surroundings units={units}>
      <LineBands />
    </Surroundings>,
  );
  act(() => setLine({ server: 'here', waiting: 0, notTaken: [one] }));
  await waitFor(() => expect(document.querySelector('[data-not-taken]')).not.toBeNull());
}
const left = async () => (await store()).getAll('notTaken');

describe('what the server did not take', () => {
  test('refused: why, in the reader’s units, and what to do; gone once it was seen', async () => {
    const user = userEvent.setup();
    await show(notTaken({ text: say`not yet: tank hangs ${mm(127)} below home` }), 'us');
    expect(screen.getByRole('alert').textContent).toContain('Not taken: not yet: tank hangs 5 in below home.');
    expect(screen.getByRole('alert').textContent).toContain('To do: write it as an addendum');
    expect(screen.queryByRole('button', { name: 'Enter it again' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Seen' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(await left()).toEqual([]);
  });

  test('kept back: who said it; entered again it is new, and says who said it first', async () => {
    const user = userEvent.setup();
    await show(notTaken({ keptBack: true, text: 'on: expected an entry this server holds' }));
    expect(screen.getByRole('alert').textContent).toMatch(/Kept on this device: note, entered by Ines/);
    await user.click(screen.getByRole('button', { name: 'Enter it again' }));
    await waitFor(async () => expect(await left()).toEqual([]));
    const [again] = (await (await store()).getAll('outbox')).map(({ entry }) => entry);
    expect(again).toMatchObject({ kind: 'note', body: note!.body, by: 'ines', said: { by: note!.by, at: note!.at } });
    expect(again!.id).not.toBe(note!.id);
  });

  test('or it is let go', async () => {
    const user = userEvent.setup();
    await show(notTaken({ keptBack: true }));
    await user.click(screen.getByRole('button', { name: 'Let it go' }));
    await waitFor(async () => expect(await left()).toEqual([]));
    expect(await (await store()).getAll('outbox')).toEqual([]);
  });
});
