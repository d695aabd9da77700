import type { Entry } from './types.ts';

/** A whole job as one JSON document: enough to make its record anywhere. */
export interface JobFile {
  format: 'iron-cradle-job';
  version: 1;
  job: { id: string; number: number };
  shop: { name: string };
  /** Names of those who appear in the log, outside the chain. */
  people: Record<string, string>;
  chain: { length: number; last: string };
  entries: (Entry & { seq: number; hash: string })[];
  /** Photos the log names, base64 by their id, where they were asked for. */
  photos?: Record<string, string>;
}
