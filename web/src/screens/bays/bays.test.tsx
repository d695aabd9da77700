import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { Bays } from './Bays.tsx';

const SHOP = { name: 'Quay', bays: [{ name: 'Bay 1', kind: 'flat' }], prices: {}, kit: {}, demoPins: null };
/** A shop whose server answers this about its jobs: a list, never, or not at all. */
function shopWith(
  jobs: () => Promise<unknown>,
  signed: (path: string) => Promise<unknown> = () => Promise.resolve([]),
) {
  globalThis.EventSource = class {
    addEventListener() {}
    close() {}
  } as never;
  globalThis.fetch = (async (path: string) => {
    const body = path.endsWith('/jobs')
      ? await jobs()
      : path.endsWith('/shop')
        ? SHOP
        : path.includes('/signed')
          ? await signed(path)
          : { person: { id: 'ines', name: 'Ines', role: 'technician', units: 'metric' } };
    return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
  }) as never;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <Bays />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('what was signed is said to be none where the shop has said so, not where it was not heard', async () => {
  const saloon = { id: 'a', name: 'Saloon', signed: '2026-11-02T10:00:00.000Z', plate: null };
  shopWith(
    () => Promise.resolve([]),
    (path) => {
      const find = new URLSearchParams(path.split('?')[1]).get('find');
      if (find === 'away') return Promise.reject(new TypeError('no network'));
      return Promise.resolve(find === '' ? [saloon] : []);
    },
  );
  fireEvent.click(await screen.findByText('find one'));
  const field = screen.getByLabelText('Vehicle or plate');
  fireEvent.change(field, { target: { value: 'van' } });
  expect(await screen.findByText('None was signed that fits.')).toBeTruthy();
  fireEvent.change(field, { target: { value: 'away' } });
  expect(await screen.findByText('Not heard from the shop’s server yet.')).toBeTruthy();
  expect(screen.queryByText('None was signed that fits.')).toBeNull();
});

describe('a bay is free, and nothing waits outside, when the shop has said so and not before', () => {
  test('said', async () => {
    shopWith(() => Promise.resolve([]));
    expect(await screen.findByText('This bay is free.')).toBeTruthy();
    expect(await screen.findByText('Nothing waits outside.')).toBeTruthy();
  });
  test('not yet', async () => {
    shopWith(() => new Promise(() => undefined));
    expect(await screen.findByText('Bay 1')).toBeTruthy();
    expect(screen.getAllByText('Opening…')).toHaveLength(2);
    expect(screen.queryByText('This bay is free.')).toBeNull();
    expect(screen.queryByText('Bring the next vehicle here')).toBeNull();
  });
  test('the server is away, and nothing was heard on this device', async () => {
    shopWith(() => Promise.reject(new TypeError('no network')));
    expect(await screen.findAllByText('Not heard from the shop’s server yet.')).toHaveLength(2);
    expect(screen.queryByText('Nothing waits outside.')).toBeNull();
  });
});

test('what rests outside and must not wait says so with its shape, and why it rests', async () => {
  const at = { station: 'drop', done: [], waits: [], chords: [], here: 0, clear: 320, mounting: 'rail', open: 1 };
  const rests = { ...at, bay: 1, parked: 'seal comes Thursday', tankOff: false, signed: null, plate: null };
  shopWith(() =>
    Promise.resolve([
      { ...rests, id: 'a', name: 'Van 4', sentence: 'rests with feed not capped', detail: '', halt: true },
      { ...rests, id: 'b', name: 'Van 5', sentence: 'seal comes Thursday', detail: '', halt: false },
    ]),
  );
  const row = async (name: string) => (await screen.findByText(name)).closest('a')!;
  expect((await row('Van 4')).textContent).toContain('rests with feed not capped');
  expect((await row('Van 4')).textContent).toContain('seal comes Thursday');
  expect(within(await row('Van 4')).getByLabelText('halt')).toBeTruthy();
  expect((await row('Van 5')).textContent!.match(/seal comes Thursday/g)).toHaveLength(1);
  expect(within(await row('Van 5')).queryByLabelText('halt')).toBeNull();
});
