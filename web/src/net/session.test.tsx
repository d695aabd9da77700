import { QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import { makeClient } from './client.ts';
import { useMe, useSignIn, useSignOut } from './queries.ts';

const ines = { id: 'ines', name: 'Ines', role: 'technician', units: 'metric' };
const json = (body: unknown) => new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });

function Who() {
  const me = useMe();
  const signIn = useSignIn();
  const signOut = useSignOut();
  return (
    <>
      <p>{me.isSuccess ? (me.data.person?.name ?? 'nobody') : 'not known'}</p>
      <button onClick={() => signIn.mutate({ personId: 'ines', pin: '2580' })}>in</button>
      <button onClick={() => signOut.mutate()}>out</button>
      <button onClick={() => void me.refetch()}>again</button>
    </>
  );
}
const reads = (text: string) => waitFor(() => expect(screen.queryByText(text)).not.toBeNull());

describe('who is signed in', () => {
  /** What is asked about it waits until it is let go, and says what was so when it was asked. */
  const late: (() => void)[] = [];
  let person: typeof ines | null = null;
  const sent: { method: string; keepalive: boolean }[] = [];
  beforeEach(async () => {
    late.length = sent.length = 0;
    person = null;
    globalThis.fetch = ((path: string, { method = 'GET', keepalive = false }: RequestInit) => {
      if (method !== 'GET') sent.push({ method, keepalive });
      if (!path.endsWith('/session')) return Promise.resolve(json({}));
      if (method === 'POST') person = ines;
      if (method === 'DELETE') person = null;
      const answer = json({ person });
      return method === 'GET' ? new Promise((resolve) => late.push(() => resolve(answer))) : Promise.resolve(answer);
    }) as typeof fetch;
    render(
      <QueryClientProvider client={makeClient()}>
        <Who />
      </QueryClientProvider>,
    );
    await waitFor(() => expect(late).toHaveLength(1));
    late.pop()!();
    await reads('nobody');
  });
  const tap = (name: string) => screen.getByRole('button', { name }).click();
  const settled = () => new Promise((resolve) => setTimeout(resolve, 50));

  test.each([
    ['in', null, 'Ines'],
    ['out', ines, 'nobody'],
  ])('an answer from before a sign-%s does not undo it', async (name, before, then) => {
    person = before;
    tap('again');
    await waitFor(() => expect(late).toHaveLength(1));
    tap(name);
    await reads(then);
    late.pop()!();
    await settled();
    await reads(then);
  });

  test('a sign-out goes out from a page that is left at once, too', async () => {
    tap('out');
    await waitFor(() => expect(sent).toEqual([{ method: 'DELETE', keepalive: true }]));
  });
});
