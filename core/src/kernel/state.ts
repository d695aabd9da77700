import type { Sentence } from '../quantity/index.ts';
/** What the state keeps of an entry: enough to say what it knew and what it meets, never its body. */
export interface Head {
  /** Id of the entry. */
  id: string;
  /** Its kind. */
  kind: string;
  /** Person's id. */
  by: string;
  /** Device that made it. */
  device: string;
  /** The device's own count. */
  n: number;
  /** Place in the log of the newest entry of the server its maker held; -1 for none. */
  seen: number;
  /** Its number; null while it is on its way. */
  seq: number | null;
  /** What it reads. */
  reads: readonly string[];
  /** What it writes. */
  writes: readonly string[];
  /** Does it count? Not while it is late, once taken back, or where it was refused here. */
  counts: boolean;
  /** The entry a takeBack names; null for every other kind. */
  names: string | null;
}

/** Two devices said different things of a resource, neither knowing of the other. */
export interface TwoDevices {
  /** Entries between which it is open, by id. */
  open: readonly string[];
  /** Entries that a settling answered. */
  done: readonly string[];
  /** Which two met, of those that are open. */
  pairs: readonly (readonly [string, string])[];
}

/** An entry made without knowing the signature: it changes nothing that was signed. */
export interface LateEntry {
  /** Id of the entry. */
  id: string;
  /** Its kind. */
  kind: string;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
  /** Did the lead let it stand beside the record? */
  stands: boolean;
}

/** What the kernel keeps of a log. */
export interface KernelState {
  /** The job. */
  jobId: string;
  /** Every entry in the order of the log. */
  heads: readonly Head[];
  /** How many of them have no number yet. */
  unnumbered: number;
  /** Number of the newest entry of the server. */
  lastSeq: number;
  /** Id of the newest entry that counts. */
  newest: string;
  /** Resource → places in the log of the entries that touch it. */
  touched: Readonly<Record<string, readonly number[]>>;
  /** Resource → the question of two devices about it. */
  twoDevices: Readonly<Record<string, TwoDevices>>;
  /** Place in the log of the entry that closed it; null while it is open. */
  closedAt: number | null;
  /** Entries that came late. */
  late: readonly LateEntry[];
  /** Intentions made here that the state forbids; the server will say the same. */
  refusedHere: readonly { id: string; text: Sentence }[];
}

/** Is a resource open between two entries that the maker of a third both knew? @example disputeKnown(state, 'gate:1', moment.knew) // false */
export const disputeKnown = (
  state: Pick<KernelState, 'twoDevices'>,
  key: string,
  knew: (id: string) => boolean,
): boolean => state.twoDevices[key]?.pairs.some(([a, b]) => knew(a) && knew(b)) ?? false;

/** Is what is known of this resource open between two devices? @example isUnsettled(state, 'pose') // false */
export const isUnsettled = (state: Pick<KernelState, 'twoDevices'>, key: string): boolean =>
  (state.twoDevices[key]?.open.length ?? 0) > 0;

/** Was this entry ever part of a question of two devices about that resource? @example wasDisputed(state, 'pose', 'e12') // false */
export const wasDisputed = (state: Pick<KernelState, 'twoDevices'>, key: string, id: string): boolean => {
  const question = state.twoDevices[key];
  return question !== undefined && (question.open.includes(id) || question.done.includes(id));
};

/** Resources that are open between two devices. @example unsettledKeys(state) // ['pose', 'line:feed'] */
export const unsettledKeys = (state: Pick<KernelState, 'twoDevices'>): string[] =>
  Object.keys(state.twoDevices)
    .filter((key) => isUnsettled(state, key))
    .sort();
