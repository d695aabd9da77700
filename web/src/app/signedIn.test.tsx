import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { SignedIn } from './SignedIn.tsx';

const ines = { id: 'ines', name: 'Ines', role: 'technician', units: 'metric' };

/** The page of a job, with what the device last heard about who is signed in, and what the server says to it now. */
function open(heard: { person: typeof ines | null } | undefined, now: () => Promise<Response>) {
  globalThis.fetch = now as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } });
  if (heard) client.setQueryData(['me'], heard);
  const visited: string[] = [];
  const router = createMemoryRouter(
    [
      { element: <SignedIn />, children: [{ path: '/jobs/:id', element: <p>the job</p> }] },
      { path: '/sign-in', element: <p>who is working</p> },
    ],
    { initialEntries: ['/jobs/van'] },
  );
  router.subscribe(({ location }) => void visited.push(location.pathname));
  render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return visited;
}
const says = (person: typeof ines | null) => () =>
  Promise.resolve(new Response(JSON.stringify({ person }), { headers: { 'Content-Type': 'application/json' } }));
/** A machine that does other work at once takes its time over a page. */
const PATIENCE = { timeout: 20_000 };
const away = () => Promise.reject(new TypeError('away'));

describe('everything behind the sign-in', () => {
  test('kept from before the sign-in that nobody was: asked again first, and the page stays', async () => {
    const visited = open({ person: null }, says(ines));
    await waitFor(() => expect(screen.queryByText('the job')).not.toBeNull(), PATIENCE);
    expect(visited).not.toContain('/sign-in');
  });

  test('nobody is signed in: asked who is working', async () => {
    open({ person: null }, says(null));
    await waitFor(() => expect(screen.queryByText('who is working')).not.toBeNull(), PATIENCE);
  });

  test('the server is away: who was known goes on, who was not is asked to sign in', async () => {
    open({ person: ines }, away);
    await waitFor(() => expect(screen.queryByText('the job')).not.toBeNull(), PATIENCE);
    document.body.replaceChildren();
    open({ person: null }, away);
    await waitFor(() => expect(screen.queryByText('who is working')).not.toBeNull(), PATIENCE);
  });
});
