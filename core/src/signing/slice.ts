import { defineSlice, type RecordLine, type Stamp } from '../kernel/index.ts';

/** Something added after the signature. */
interface Addendum extends Stamp {
  /** What it says. */
  text: string;
}

/** Signatures and what came after. */
export interface SigningSlice {
  /** Who signed; null while the job is open, and again once it was reopened. */
  signed: Stamp | null;
  /** Every signature there was, oldest first. */
  signatures: readonly Stamp[];
  /** Who looked a second time. */
  countersigned: readonly Stamp[];
  /** Added after the signature. */
  addenda: readonly Addendum[];
  /** Follow-ups that were done, in words. */
  followUpsDone: readonly (Addendum & { of: string | null })[];
  /** Why it was reopened, oldest first. */
  reopenings: readonly Addendum[];
}

/** Holds the signatures. */
export const signingSlice = defineSlice<SigningSlice>({
  name: 'signing',
  start: () => ({ signed: null, signatures: [], countersigned: [], addenda: [], followUpsDone: [], reopenings: [] }),
  hears: {
    reopened: (own) => void (own.signed = null),
  },
  record: ({ reopenings }) =>
    reopenings.map(({ text, by, at }): RecordLine => ({ under: 'flags', text: `reopened: ${text}`, by, at })),
});
