import { callLine } from '../call/index.ts';
import { standingPulls } from '../hang/index.ts';
import {
  chords,
  stationNow,
  resourceName,
  stationsDone,
  type Chord,
  type JobState,
  type StationId,
} from '../job/index.ts';
import { endOf } from '../journal/index.ts';
import { unsettledKeys } from '../kernel/index.ts';
import { openEnds, openItems } from '../ledger/index.ts';
import { deepest, isLevel, samePose, type Pose } from '../pose/index.ts';
import { inWords, litres, mm, say, type Sentence } from '../quantity/index.ts';
import { nextStop, nextUp } from '../stops/index.ts';
import { fileName, shortName, splitKey, travelWords, type VehicleFile } from '../vehicle/index.ts';

/** What the bays show of a job without folding its log. */
export interface JobSummary {
  /** Of the vehicle. */
  name: string;
  /** Number of the bay; null where it stands in none. */
  bay: number | null;
  /** How its tank hangs. */
  mounting: VehicleFile['mounting'];
  /** What it came for. */
  complaint: string;
  /** Where the job is now. */
  station: StationId;
  /** What lies behind it. */
  done: StationId[];
  /** One sentence: what is next, or what it waits for. */
  sentence: Sentence;
  /** What goes with it. */
  detail: Sentence;
  /** Something holds: shown with its shape. */
  halt: boolean;
  /** Ledger items that still go back. */
  open: number;
  /** Is the tank out? */
  tankOff: boolean;
  /** What each open thing spans between off and on, for the small well. */
  chords: Chord[];
  /** Where its lower end hangs, mm. */
  here: number;
  /** Free below the tank, mm. */
  clear: number;
  /** Waits that run; until when, and whether the vehicle stays in its bay, null where nobody knows. */
  waits: { what: string; until: string | null; bay: boolean | null }[];
  /** Why it is put aside; null where it is not. */
  parked: string | null;
  /** When it was signed; null where it is not. */
  signed: string | null;
  /** As its plate reads; null where nobody wrote it down. */
  plate: string | null;
}

/**
 * The row for the bays, made from the state each time an entry arrives.
 *
 * @example summaryOf(state).station // 'drop'
 */
export function summaryOf(state: JobState): JobSummary {
  const station = stationNow(state);
  const told = sentence(state, station);
  return {
    name: state.name,
    bay: state.bay,
    mounting: state.vehicle.mounting,
    complaint: state.complaint,
    station,
    done: stationsDone(state),
    ...told,
    open: openItems(state).length,
    tankOff: state.out,
    chords: chords(state),
    here: deepest(state.pose),
    clear: state.vehicle.clear,
    waits: state.waits
      .filter((w) => !w.ended)
      .map((w) => ({
        what: w.what,
        until: inTime(endOf(w)),
        bay: w.bay,
      })),
    parked: state.parked,
    signed: state.signed?.at ?? null,
    plate: state.identity?.plate ?? null,
  };
}

const inTime = (ms: number | null): string | null => (ms === null ? null : new Date(ms).toISOString());

function sentence(state: JobState, station: StationId): Pick<JobSummary, 'sentence' | 'detail' | 'halt'> {
  const quiet = (text: Sentence, detail: Sentence = '') => ({ sentence: text, detail, halt: false });
  const off = openItems(state).filter((i) => i.kind === 'line');
  const list = off.length > 0 ? `${firstFew(off)} open` : '';
  if (state.signed) return quiet('signed');
  const disputed = unsettledKeys(state)[0];
  if (disputed)
    return { sentence: `two devices disagree about ${resourceName(state, disputed)}`, detail: list, halt: true };
  const pull = standingPulls(state).find((p) => p.inspected === null);
  if (pull)
    return {
      sentence: `${shortName(fileName(state.vehicle, pull.key) ?? 'a line')} was pulled: inspect it`,
      detail: list,
      halt: true,
    };
  if (state.parked) return atRest(state, state.parked, list);
  switch (station) {
    case 'plan': {
      const call = callLine(state);
      return quiet(
        inWords(call.headline).replace(/\.$/, '').toLowerCase(),
        `first, ${call.test.minutes} min: ${call.test.test}`,
      );
    }
    case 'safe':
      return quiet('make it safe', 'nothing is open yet');
    case 'drain':
      return quiet('drain it', say`${litres(state.fuel.aboard.lo, state.fuel.aboard.hi)} aboard`);
    case 'drop': {
      const stop = nextStop(state);
      const first = stop.holders[0];
      if (stop.kind === 'held' && first)
        return {
          sentence: say`${shortName(first.name)} holds it at ${mm(first.limit.lo)}`,
          detail: list,
          halt: true,
        };
      const where = poseSentence(stop.pose, state.vehicle.ends);
      return quiet(samePose(stop.pose, state.pose) ? say`work at ${where}` : say`next stop ${where}`, list);
    }
    case 'bench':
      return quiet(state.out ? 'tank is on the bench' : 'its top is worked on', list);
    case 'refit': {
      const stop = nextUp(state);
      const item = stop.items[0];
      const where = poseSentence(stop.pose, state.vehicle.ends);
      return quiet(
        item
          ? say`${shortName(item.name)} ${splitKey(item.key).kind === 'thing' ? 'comes out' : 'goes back'} at ${where}`
          : say`${travelWords(state.vehicle).home} to ${where}`,
        item?.by ? say`by ${mm(item.by)}` : list,
      );
    }
    case 'prove':
      return quiet('prove it, joint by joint', list);
  }
}

/** It rests for a reason; an end left open lets fuel or vapour out where nobody stands by. */
function atRest(state: JobState, reason: string, list: string): Pick<JobSummary, 'sentence' | 'detail' | 'halt'> {
  const bare = openEnds(state).filter(({ capped }) => !capped);
  if (bare.length === 0) return { sentence: reason, detail: list, halt: false };
  return { sentence: `rests with ${firstFew(bare)} not capped`, detail: reason, halt: true };
}

/** “filler, vapour, breather and 2 more”. */
const firstFew = (things: readonly { name: string }[]): string => {
  const names = things.slice(0, 3).map(({ name }) => shortName(name));
  return `${names.join(', ')}${things.length > 3 ? ` and ${things.length - 3} more` : ''}`;
};

/** Where the tank hangs, its figures left as figures. */
const poseSentence = (pose: Pose, [first, second]: readonly [string, string]): Sentence =>
  isLevel(pose) ? [mm(pose.f)] : say`${first} ${mm(pose.f)}, ${second} ${mm(pose.r)}`;
