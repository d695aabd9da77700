import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, render, screen, waitFor } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { setLine } from '../log/line.ts';
import { get } from '../net/api.ts';
import { makeClient } from '../net/client.ts';
import { SignedIn } from './SignedIn.tsx';

const ines = { id: 'ines', name: 'Ines', role: 'technician', units: 'metric' };

/** Asks for the job each time it is opened. */
function Job() {
  useQuery({ queryKey: ['job'], queryFn: () => get('/jobs/van') });
  return <p>the job</p>;
}

/** The page of a job, with what the device last heard about who is signed in, and what the server says to it now. */
function open(heard: { person: typeof ines | null } | undefined, now: () => Promise<Response>) {
  globalThis.fetch = now as typeof fetch;
  const client = makeClient();
  client.setDefaultOptions({ queries: { ...client.getDefaultOptions().queries, retry: false } });
  client.setQueryData(['jobs'], [{ id: 'van' }]);
  if (heard) client.setQueryData(['me'], heard);
  const visited: string[] = [];
  const router = createMemoryRouter(
    [
      { element: <SignedIn />, children: [{ path: '/jobs/:id', element: <Job /> }] },
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
  return { visited, client };
}
const json = (body: unknown) => new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
const says = (person: typeof ines | null) => () => Promise.resolve(json({ person }));
const refused = () =>
  new Response(JSON.stringify({ title: 'Sign in first' }), {
    status: 401,
    headers: { 'Content-Type': 'application/problem+json' },
  });
const away = () => Promise.reject(new TypeError('away'));

describe('everything behind the sign-in', () => {
  test('kept from before the sign-in that nobody was: asked again first, and the page stays', async () => {
    const { visited } = open({ person: null }, says(ines));
    await waitFor(() => expect(screen.queryByText('the job')).not.toBeNull());
    expect(visited).not.toContain('/sign-in');
  });

  test('nobody is signed in: asked who is working', async () => {
    open({ person: null }, says(null));
    await waitFor(() => expect(screen.queryByText('who is working')).not.toBeNull());
  });

  test('a sign-in that ended while its page stands: who is working is asked, and what was heard is forgotten', async () => {
    // Asked once before it ended.
    const answers = [ines];
    const { client } = open({ person: ines }, ((path: string) =>
      path.endsWith('/session')
        ? says(answers.pop() ?? null)()
        : Promise.resolve(refused())) as () => Promise<Response>);
    await waitFor(() => expect(screen.queryByText('who is working')).not.toBeNull());
    expect(client.getQueryData(['jobs'])).toBeUndefined();
  });

  test('the server asks for the PIN of a device that went on without it: so does its screen', async () => {
    let locked = false;
    open({ person: ines }, () => Promise.resolve(json({ person: ines, locked })));
    await waitFor(() => expect(screen.queryByText('the job')).not.toBeNull());
    locked = true;
    act(() => setLine({ server: 'pin' }));
    await waitFor(() => expect(screen.queryByText('Ines, your PIN')).not.toBeNull());
    act(() => setLine({ server: 'here' }));
  });

  test('the server is away: who was known goes on, who was not is asked to sign in', async () => {
    open({ person: ines }, away);
    await waitFor(() => expect(screen.queryByText('the job')).not.toBeNull());
    document.body.replaceChildren();
    open({ person: null }, away);
    await waitFor(() => expect(screen.queryByText('who is working')).not.toBeNull());
  });
});
