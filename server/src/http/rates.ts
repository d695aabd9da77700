import { rateLimit } from 'express-rate-limit';
import { Problem } from './problem.ts';

/** Wrong answers a minute from one address, and files brought in; common practice, no source. */
const PER_MINUTE = { wrong: 60, files: 20 };

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
export const guesses = () =>
  limited(PER_MINUTE.wrong, {
    wrongOnly: true,
    detail: 'Too many wrong PINs from this device. Try again in a minute.',
  });

/** Job files from one address. */
export const filesIn = () =>
  limited(PER_MINUTE.files, { wrongOnly: false, detail: 'Too many files at once. Try again in a minute.' });
