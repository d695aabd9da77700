import type { Margins } from '../hang/index.ts';
import { foldJob, logWriter, type Bodies, type Entry, type EntryKind, type JobState } from '../job/index.ts';
import { startingFigures } from '../order/index.ts';
import { dropAt } from '../pose/index.ts';
import { nextStop } from '../stops/index.ts';
import { keyOf, lineOf, type VehicleFile } from '../vehicle/index.ts';
import { answer, realHands, type Hands } from './answer.ts';
import type { Truth } from '../truth/index.ts';

/** How a rehearsed descent went. */
export interface Descent {
  /** `out`: on the ground; `held`: something holds that nobody could free; `pulled`: a line went past its slack. */
  end: 'out' | 'held' | 'pulled';
  /** Moves between stops. */
  stops: number;
  /** Moves with hand and eye on a line. */
  creeps: number;
  /** What was told beyond “all as said”: lines named tight or nearly, surprises. */
  answers: number;
  /** Lines that went past their slack. */
  pulled: string[];
  /** Things the tank ran into. */
  struck: string[];
  /** What held at the end. */
  heldBy: string | null;
  /** The job at the end. */
  state: JobState;
  /** Everything that was entered. */
  log: Entry[];
}

interface RehearsalOptions {
  truth: Truth;
  rng: () => number;
  margins?: Margins;
  hands?: Hands;
  /** Go on after a pull, as somebody would who writes it down. */
  goOn?: boolean;
}

/** More than any descent has: a guard, not a rule. */
const MOST_STOPS = 120;

/**
 * Takes a tank down under a vehicle with hidden truth, by the plan's own stops through the real log.
 *
 * @example descend(rail, { truth: truthInside(rail, seeded(1)), rng: seeded(2) }).end // 'out'
 */
export function descend(
  vehicle: VehicleFile,
  { truth, rng, margins, hands = realHands, goOn }: RehearsalOptions,
): Descent {
  const write = logWriter('rehearsal');
  const shop = { ...startingFigures, ...margins };
  const entries: Entry[] = [write('opened', { name: 'Rehearsal', complaint: 'pump', vehicle, shop })];
  let state = folded(null, entries);
  const log = <K extends EntryKind>(kind: K, body: Bodies[K]) =>
    void (state = folded(state, [entries[entries.push(write(kind, body) as Entry) - 1] as Entry]));
  const result: Descent = {
    end: 'held',
    stops: 0,
    creeps: 0,
    answers: 0,
    pulled: [],
    struck: [],
    heldBy: null,
    state,
    log: entries,
  };
  let at = { f: 0, r: 0 };
  for (let i = 0; i < MOST_STOPS; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') {
      const first = stop.holders[0]!;
      const more = truth.elsewhere[first.key.slice(5)];
      if (first.key.startsWith('line:') && more && more >= 15) {
        // Freed at a place no file knows: the plan goes on with what that gives, to the grid.
        const given = Math.floor(more / 5) * 5;
        log('surprise', { what: 'freed', key: first.key, more: given });
        result.answers += 1;
        truth = {
          ...truth,
          slack: {
            ...truth.slack,
            [first.key.slice(5)]: dropAt(at, lineOf(vehicle, first.key.slice(5))?.x ?? 0, vehicle.length) + more,
          },
          elsewhere: {},
        };
        continue;
      }
      return { ...result, end: 'held', heldBy: first.key, state };
    }
    const seen = answer(truth, { state, stop, at, rng, hands });
    at = seen.reached;
    if (seen.snagged) {
      // It rests on something nobody wrote down: said in two taps, moved aside, and on from here.
      const rest = { f: Math.floor(at.f / 5) * 5, r: Math.floor(at.r / 5) * 5 };
      log('moved', { to: rest });
      log('surprise', { what: 'holds', key: 'new:1', name: 'a bracket', lets: Math.max(rest.f, rest.r) });
      log('cleared', { key: 'obstruction:new-1' });
      result.answers += 1;
      continue;
    }
    result.answers += Number(seen.tight.length + seen.nearly.length > 0);
    if (stop.kind === 'creep') result.creeps += 1;
    else result.stops += 1;
    result.struck.push(...seen.struck);
    result.pulled.push(...seen.pulled);
    const stopped = Math.floor(seen.reached.f / 5) * 5;
    const to = stop.kind === 'creep' && (seen.taut ?? seen.met) ? { f: stopped, r: stopped } : stop.pose;
    const body = {
      to,
      off: stop.actions.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
      capped: stop.actions.filter((a) => a.cap).map((a) => a.key),
      look: { asked: true, tight: seen.tight, nearly: seen.nearly, allFist: false, reachable: seen.reachable },
      notDone: [],
    };
    if (stop.kind === 'creep') log('crept', { ...body, ...(seen.taut ? { taut: keyOf('line', seen.taut) } : {}) });
    else log('stopDone', body);
    if (seen.met) {
      log('surprise', { what: 'holds', key: keyOf('obstruction', seen.met), lets: Math.max(to.f, to.r) });
      result.answers += 1;
    }
    for (const id of seen.pulled) log('pulled', { key: keyOf('line', id) });
    if (seen.pulled.length > 0 && !goOn) return { ...result, end: 'pulled', state };
    if (state.out) return { ...result, end: 'out', state };
  }
  return { ...result, state };
}

/** A job that was opened never folds to none. */
function folded(...args: Parameters<typeof foldJob>): JobState {
  const state = foldJob(...args);
  if (!state) throw new Error('The rehearsal was never opened.');
  return state;
}
