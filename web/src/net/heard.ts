import type { QueryClient } from '@tanstack/react-query';

/** Of the shapes of what is heard and kept on the device: raised when an answer of the server changes shape, so that none of before is read. */
export const HEARD_VERSION = '1';

/** What the sign-in itself shows. */
const OF_NOBODY = new Set(['me', 'people', 'shop']);

/** What somebody heard here leaves with them: the next one, or nobody, sees only what the server tells them. @example forgetHeard(client) */
export const forgetHeard = (client: QueryClient): void =>
  client.removeQueries({ predicate: ({ queryKey }) => !OF_NOBODY.has(String(queryKey[0])) });
