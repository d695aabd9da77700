import { attached, NEARLY } from '../hang/index.ts';
import type { JobState } from '../job/index.ts';
import { isOff } from '../ledger/index.ts';
import { dropAt, type Pose } from '../pose/index.ts';
import type { Stop } from '../stops/index.ts';
import { keyOf, lineOf } from '../vehicle/index.ts';
import type { Truth } from '../truth/index.ts';

/** What came of a stop under a vehicle whose truth is hidden. */
interface Observation {
  /** Where the two ends really stopped, mm. */
  reached: Pose;
  /** Lines that went past their slack outside a creep. */
  pulled: string[];
  /** It came to rest on something no file knows. */
  snagged: boolean;
  /** Obstructions the tank came down on. */
  struck: string[];
  /** The line that came taut in a creep. */
  taut: string | null;
  /** The obstruction a creep came to rest on. */
  met: string | null;
  /** Lines that look tight or nearly so, as far as they can be seen. */
  tight: string[];
  nearly: string[];
  /** Attached lines a hand gets to here. */
  reachable: string[];
}

/** What the simulated person and jack are like; zero for a perfect one. mm */
export interface Hands {
  /** How far the jack goes past where it was told. */
  overshoot: number;
  /** How far out the eye is. */
  eye: number;
}

/** A usual jack and a usual eye; common practice, no source. */
export const realHands: Hands = { overshoot: 10, eye: 10 };

/**
 * Answers a stop as a person under the vehicle would: the jack may go too far, the eye errs, and only what hangs low
 * enough is seen. The tank state tells what is still attached; the truth tells what that means.
 *
 * @param at where the two ends really hang before the move, mm
 * @example answer(truth, { state, stop: nextStop(state), at: { f: 40, r: 40 }, rng }).tight // ['line:vent']
 */
export function answer(
  truth: Truth,
  {
    state,
    stop,
    at,
    rng,
    hands = realHands,
  }: { state: JobState; stop: Stop; at: Pose; rng: () => number; hands?: Hands },
): Observation {
  const on = attached(state);
  const slackNow = (id: string): number => {
    const released = (lineOf(state.vehicle, id)?.clips ?? [])
      .filter((clip) => isOff(state, keyOf('clip', clip.id)))
      .map((clip) => truth.clipSlack[clip.id]!);
    return Math.max(truth.slack[id]!, ...released);
  };
  const { length } = state.vehicle;
  const ends = ['f', 'r'] as const;
  const to: Pose = { ...at };
  const further = rng() * hands.overshoot;
  // The jack overshoots on the way down; an end that is raised is set to the mark.
  for (const end of ends)
    if (stop.pose[end] !== state.pose[end]) to[end] = stop.pose[end] + (stop.pose[end] > state.pose[end] ? further : 0);
  const drop = (x: number) => dropAt(to, x, length);
  // The jack is stopped as soon as the tank rests on something: that pulls nothing.
  const snag = isOff(state, 'obstruction:new-1') ? null : truth.snag;
  const over = snag ? Math.max(0, drop(snag.x) - snag.at) : 0;
  if (over > 0) {
    to.f = Math.max(Math.min(at.f, to.f), to.f - over);
    to.r = Math.max(Math.min(at.r, to.r), to.r - over);
  }
  let taut: string | null = null;
  let met: string | null = null;
  if (stop.kind === 'creep') {
    const ends = [
      ...on.map(({ id }) => ({ key: keyOf('line', id), id, at: slackNow(id), line: true })),
      ...state.vehicle.obstructions
        .filter(({ id }) => id in truth.blocksAt && !isOff(state, keyOf('obstruction', id)))
        .map(({ id }) => ({ key: keyOf('obstruction', id), id, at: truth.blocksAt[id]!, line: false })),
    ];
    const [first] = ends.filter(({ key }) => stop.watch.includes(key)).sort((a, b) => a.at - b.at);
    // Hand and eye on it: the creep, which is level, ends where a line comes taut or the tank comes to rest.
    if (first && first.at <= to.f) {
      to.f = to.r = Math.max(at.f, first.at);
      if (first.line) taut = first.id;
      else met = first.id;
    }
  }
  const pulled = on
    .filter((line) => line.id !== taut && drop(line.x) > slackNow(line.id) + 1e-9)
    .map((line) => line.id);
  const struck = state.vehicle.obstructions
    .filter((o) => o.id !== met && o.id in truth.blocksAt && drop(o.x) > truth.blocksAt[o.id]!)
    .map((o) => o.id)
    .filter((id) => !isOff(state, keyOf('obstruction', id)));
  const rest = on.filter((line) => !stop.actions.some((a) => a.key === `line:${line.id}`));
  const seen = rest.filter((line) => truth.visibleFrom[line.id]! <= drop(line.x));
  const judged = seen.map((line) => ({
    id: line.id,
    play: slackNow(line.id) - drop(line.x) + (rng() * 2 - 1) * hands.eye,
  }));
  return {
    reached: to,
    snagged: over > 0,
    pulled,
    struck,
    taut,
    met,
    tight: judged.filter((j) => j.play < 5).map((j) => j.id),
    nearly: judged.filter((j) => j.play >= 5 && j.play < NEARLY).map((j) => j.id),
    reachable: seen
      .filter((line) =>
        line.part.some((way) => truth.reachFrom[way.id]! <= drop(line.x) && drop(line.x) <= truth.reachTo[way.id]!),
      )
      .map((line) => line.id),
  };
}
