import type { Earlier } from '@iron-cradle/core';
import { Words } from './Words.tsx';

/** What jobs before came to: looked at, never judged by. */
export const Before = ({ was }: { was: Earlier | null }) =>
  was && (
    <p className="text-quiet" data-before>
      On this vehicle: <Words of={was.text} />. To look at; no limit comes of it.
    </p>
  );
