import { QueryCache, QueryClient } from '@tanstack/react-query';
import { ApiProblem } from './api.ts';

/** Tries again only when the server was away; what it said no to stays said. */
const retryAway = (count: number, error: Error): boolean => !(error instanceof ApiProblem) && count < 2;

/**
 * What the pages hear from the server. Where it says that nobody is signed in, or asks for the PIN, who is gets asked anew: a
 * sign-in can end while its page stands, by the lead, in another tab, or by a sign-out that took its time.
 *
 * @example <QueryClientProvider client={makeClient()}>
 */
export function makeClient(): QueryClient {
  const client: QueryClient = new QueryClient({
    queryCache: new QueryCache({
      onError: (error) => {
        if (error instanceof ApiProblem && [401, 423].includes(error.status))
          void client.invalidateQueries({ queryKey: ['me'] });
      },
    }),
    defaultOptions: {
      queries: { retry: retryAway, gcTime: Infinity, networkMode: 'always' },
      mutations: { networkMode: 'always' },
    },
  });
  return client;
}
