import { commonPractice, computed } from '../basis/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { Stops } from './curve.ts';
import { needleAt, type SweepKept } from './kept.ts';

/** What a driver sees of a sender that is wrong. */
export const driverSees = ['jumps', 'stuckEmpty', 'stuckFull', 'shortOfFull', 'aboveEmpty', 'wanders'] as const;
/** One of them. */
export type DriverSees = (typeof driverSees)[number];

/** The driver’s word. */
export interface DriverSaw {
  /** What. */
  saw: DriverSees;
  /** Where on the needle, 0 empty to 1 full; only of a jump. */
  where?: number | undefined;
}

/** As it is said. */
export const driverWord: Record<DriverSees, string> = {
  jumps: 'it jumps or falls at one level',
  stuckEmpty: 'it always shows empty',
  stuckFull: 'it always shows full',
  shortOfFull: 'it never gets to full',
  aboveEmpty: 'it ran dry and did not show empty',
  wanders: 'it wanders on the road',
};

/** A driver tells a level to about so much of the needle. Common practice, no source. */
const EYE = 0.13;
/** An end this far out is seen, share of the span. Common practice, no source. */
const SEEN = 0.05;

/** Where to look when the sender is not it. Common practice, no source. */
const elsewhere: Record<DriverSees, string> = {
  jumps: 'wriggle plug and ground with the meter on it; then the gauge',
  stuckEmpty: 'ohms at the plug: a wire open or pinched, a lost ground; then the gauge',
  stuckFull: 'ohms at the plug: a wire open or pinched, a lost ground; then the gauge',
  shortOfFull: 'the float’s height at both stops; the ground, which adds ohms to every reading',
  aboveEmpty: 'the float’s height at both stops, and where the pick-up ends',
  wanders: 'a ground that works loose, a baffle that came off; the gauge’s own feed',
};

/** What the bench knows of the sender that came out. */
export interface SenderFound {
  /** Its sweep; null: not swept yet. */
  kept: SweepKept | null;
  /** Was it read from stop to stop, both ways? */
  whole: boolean;
  /** What was found bad of arm or float, looked at or measured; null: nothing. */
  arm: string | null;
  /** What it should read; null: nobody knows. */
  stops: Stops | null;
}

/**
 * Does what was found explain what the driver saw? A sender may be bad and still not be the complaint.
 *
 * @example judgeDriver({ saw: 'jumps', where: 0.5 }, { kept, arm: null, stops }).outcome // 'good': it is lost there
 */
export function judgeDriver({ saw, where }: DriverSaw, found: SenderFound): Verdict {
  const { kept, whole, arm } = found;
  const word = `driver: ${driverWord[saw]}${where === undefined ? '' : `, ${eighths(where)}`}`;
  const basis = computed('the driver’s word against sweep, arm and float');
  const because = (text: string): Verdict => ({
    outcome: 'good',
    reasons: [{ text: `${word}; ${text}`, basis }],
    next: [],
  });
  if (arm && saw !== 'jumps' && saw !== 'wanders') return because(`${arm} explains it`);
  if (!kept)
    return {
      outcome: 'unknown',
      reasons: [{ text: `${word}; not swept yet`, basis: commonPractice }],
      next: [openShows(found.stops) ?? 'sweep it: what is found is held against it'],
    };
  const why = explained({ saw, where }, { ...found, kept });
  if (why) return because(why);
  if (!whole)
    return {
      outcome: 'unknown',
      reasons: [{ text: `${word}; swept only in part, and not there`, basis }],
      next: ['sweep the rest of it: what is found is held against it'],
    };
  return {
    outcome: 'doubtful',
    reasons: [
      {
        text:
          kept.places.length > 0 || kept.restless
            ? `${word}; what the sweep found is something else`
            : `${word}; the sweep does not show it`,
        basis,
      },
    ],
    next: [elsewhere[saw]],
  };
}

function explained({ saw, where }: DriverSaw, { kept, stops }: SenderFound & { kept: SweepKept }): string | null {
  switch (saw) {
    case 'jumps': {
      const there = kept.places.some(({ lo, hi }) => where === undefined || (lo <= where + EYE && hi >= where - EYE));
      return there ? 'the sweep is lost there' : null;
    }
    case 'wanders':
      return kept.restless || kept.places.length > 0 ? 'the sweep flickers or drops out' : null;
    case 'stuckEmpty':
    case 'stuckFull':
      return stuckAt(kept, stops) === (saw === 'stuckEmpty' ? 'empty' : 'full') ? 'the sweep stays there too' : null;
    case 'shortOfFull':
    case 'aboveEmpty': {
      const end = saw === 'shortOfFull' ? 'full' : 'empty';
      const read = kept.ends[end];
      if (read === null || !stops) return null;
      const shown = needleAt(read, { empty: stops.empty.typ, full: stops.full.typ });
      if (shown === null) return null;
      const short = end === 'full' ? 1 - shown : shown;
      return short > SEEN ? `its ${end} end is not reached` : null;
    }
  }
}

/** Where the needle stands whatever the arm does; null: it moves. */
function stuckAt({ ends: { empty, full }, traces, places }: SweepKept, stops: Stops | null): 'empty' | 'full' | null {
  if (!stops) return null;
  const [e, f] = [stops.empty.typ, stops.full.typ];
  const all = traces.flatMap(({ ohms }) => ohms);
  if (all.length > 0 && all.every((one) => one === null)) return openEnd(stops);
  if (empty === null || full === null || places.length > 0) return null;
  if (Math.abs(full - empty) > SEEN * Math.abs(f - e)) return null;
  return Math.abs(empty - e) < Math.abs(empty - f) ? 'empty' : 'full';
}

/** An open shows as very many ohms. */
const openEnd = ({ empty, full }: Stops): 'empty' | 'full' => (empty.typ > full.typ ? 'empty' : 'full');

/** Where an open puts the needle; null where nobody knows what it reads. @example openShows(stops) // 'sweep it: where it is open the needle goes to full' */
export const openShows = (stops: Stops | null): string | null =>
  stops ? `sweep it: where it is open the needle goes to ${openEnd(stops)}` : null;

const eighths = (at: number): string => {
  const eighth = Math.round(at * 8);
  return ['at empty', 'at ⅛', 'at ¼', 'at ⅜', 'at ½', 'at ⅝', 'at ¾', 'at ⅞', 'at full'][eighth] ?? '';
};
