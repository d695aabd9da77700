import { commonPractice } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Where a reading points: into the tank, elsewhere, or nowhere yet. */
type Points = 'tank' | 'elsewhere' | 'nowhere';

/** What a reading says. */
export interface Judged {
  /** Good: it points to the tank or is sound; bad: mend something else first. */
  verdict: Verdict;
  /** Where it points. */
  points: Points;
  /** Something was seen wrong in the tank itself: what points elsewhere then comes on top of it, not instead. */
  stands?: boolean;
}

/** What a reading is held against. */
export interface Against {
  /** Its file. */
  vehicle: VehicleFile;
  /** Litres aboard, by witnesses that do not read the sender; null where nobody said. */
  aboard: Estimate | null;
}

/** A quick test before a bolt is touched. */
export interface QuickTest {
  /** Its id. */
  id: string;
  /** As people call it. */
  name: string;
  /** How long it takes, min. */
  minutes: number;
  /** Where the leads go and what to do. */
  how: string;
  /** Can it be made on this vehicle at all? Left out: on every one. */
  applies?: (vehicle: VehicleFile) => boolean;
  /** What is read: a quantity, or one of some words. */
  reads:
    | { dimension: 'voltage' | 'resistance' | 'pressure'; unit: string; open?: boolean }
    | { words: { value: string; label: string }[] };
  /** What a reading says: an SI number, or the word that was chosen. */
  judge: (value: number | string, against: Against) => Judged;
}

/** One reading’s verdict with its reason. @example say('good', 'tank', { text: 'fuse and relay work' }) */
export const say = (
  outcome: Verdict['outcome'],
  points: Points,
  { text, next = [], figure, limit }: { text: string; next?: string[]; figure?: string; limit?: string },
): Judged => ({
  points,
  verdict: {
    outcome,
    reasons: [{ text, basis: commonPractice, ...(figure ? { figure } : {}), ...(limit ? { limit } : {}) }],
    next,
  },
});

const words = (yes: string, no: string) => ({
  words: [
    { value: 'yes', label: yes },
    { value: 'no', label: no },
  ],
});

/** A test that is answered with one of two words. @example chooses('fuse', { name, minutes, how, yes, no }) */
export const chooses = (
  id: string,
  {
    name,
    minutes,
    how,
    yes,
    no,
  }: { name: string; minutes: number; how: string; yes: [string, Judged]; no: [string, Judged] },
): QuickTest => ({
  id,
  name,
  minutes,
  how,
  reads: words(yes[0], no[0]),
  judge: (value) => (value === 'yes' ? yes[1] : no[1]),
});
