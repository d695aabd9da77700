import type fc from 'fast-check';

/** Ledger keys that are there in most vehicles, and some that are in none, for property tests. */
export const anyKey = (f: typeof fc): fc.Arbitrary<string> =>
  f.constantFrom(
    'line:feed',
    'line:vent',
    'line:plug',
    'clip:feed-clip',
    'obstruction:shield',
    'support:strap-1',
    'support:strap-2',
    'line:moon',
    'thing:x',
    'odd',
  );
