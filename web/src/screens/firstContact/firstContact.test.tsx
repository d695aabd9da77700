import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import FirstContact from './FirstContact.tsx';

const SHOP = {
  name: 'Quay',
  bays: [
    { name: 'Bay 1', kind: 'flat' },
    { name: 'Bay 2', kind: 'flat' },
  ],
  prices: {},
  kit: {},
  demoPins: null,
};

test('it stands outside until the shop has said which bay is free, then in that one', async () => {
  globalThis.EventSource = class {
    addEventListener() {}
    close() {}
  } as never;
  globalThis.fetch = (() => new Promise(() => undefined)) as never;
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  client.setQueryData(['me'], { person: { id: 'ines', name: 'Ines', role: 'technician', units: 'metric' } });
  client.setQueryData(['shop'], SHOP);
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <FirstContact />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect(screen.getByRole('banner').textContent).toContain('outside');
  act(() => void client.setQueryData(['jobs'], [{ id: 'van', bay: 1, signed: false, parked: null }]));
  expect(await screen.findByText('bay 2')).toBeTruthy();
});
