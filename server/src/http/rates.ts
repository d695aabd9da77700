import { rateLimit } from 'express-rate-limit';
import { Problem } from './problem.ts';

/** How often one address may do it in a minute. */
export interface Rates {
  /** Answers that were wrong: PINs. */
  wrong: number;
  /** Job files that are brought in. */
  files: number;
}
/** Common practice, no source; a shop whose tablets share one address may say others. */
export const RATES: Rates = { wrong: 60, files: 20 };

const limited = (limit: number, { wrongOnly, detail }: { wrongOnly: boolean; detail: string }) =>
  rateLimit({
    windowMs: 60_000,
    limit,
    skipSuccessfulRequests: wrongOnly,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // The count that bars one person's PIN stands in the database; this one only keeps an address from wearing a server out.
    handler: () => {
      throw new Problem(429, 'Wait a moment', { detail });
    },
  });

/** Guesses from one address, whoever they are about. */
export const guesses = ({ wrong }: Rates) =>
  limited(wrong, {
    wrongOnly: true,
    detail: 'Too many wrong PINs from this device. Try again in a minute.',
  });

/** Job files from one address. */
export const filesIn = ({ files }: Rates) =>
  limited(files, { wrongOnly: false, detail: 'Too many files at once. Try again in a minute.' });
