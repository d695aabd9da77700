import type { RawEntry } from '../kernel/index.ts';
import type { Seal } from '../sealing/index.ts';

/** A whole job as one JSON document: enough to make its record anywhere. */
export interface JobFile {
  /** What it is. */
  format: 'iron-cradle-job';
  /** Version of the document. */
  version: 1;
  /** The job. */
  job: { id: string; number: number };
  /** The shop it comes from. */
  shop: { name: string };
  /** Names of those who appear in the log, outside the chain. */
  people: Record<string, string>;
  /** How long the chain is, and its last hash. */
  chain: { length: number; last: string };
  /** Every entry as it is hashed, with its number and hash. */
  entries: (RawEntry & { seq: number; received: string; hash: string })[];
  /** Seals over its heads, with the keys they were put on with. */
  seals?: Seal[];
  /** Photos the log names, base64 by their id, where they were asked for. */
  photos?: Record<string, string>;
}
