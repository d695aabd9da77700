import {
  bindings,
  foldJob,
  holdersAt,
  logWriter,
  nextStop,
  archetypes,
  type JobState,
  type Pose,
  type UnitSystem,
} from '@iron-cradle/core';
import { randomVehicle, seeded } from '@iron-cradle/core/rehearsal';
import { layoutHang } from './hang/layout.ts';

const had = new Map<string, JobState>();

/** A random vehicle some stops down; what is drawn must be what the core says. A state never changes: it is made once. */
export function some(seed: number, stops = 1 + (seed % 4)): JobState {
  const key = `${seed}/${stops}`;
  const state = had.get(key) ?? made(seed, stops);
  had.set(key, state);
  return state;
}

function made(seed: number, stops: number): JobState {
  const rng = seeded(seed);
  const write = logWriter('job');
  let state = foldJob(null, [
    write('opened', {
      name: 'Van',
      complaint: 'pump',
      vehicle: randomVehicle(archetypes[seed % archetypes.length]!, rng),
    }),
  ])!;
  for (let i = 0; i < stops && !state.out; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') break;
    const body = {
      to: stop.pose,
      off: stop.actions.map((a, k) => ({ key: a.key, tag: i * 20 + k + 1 })),
      capped: [],
      look: { asked: true, tight: [], nearly: [], allFist: false, reachable: [] },
      notDone: [],
    };
    state = foldJob(state, [write(stop.kind === 'creep' ? 'crept' : 'stopDone', body)])!;
  }
  return state;
}

/** Of the vehicles the drawings are tried with. */
export const seeds = Array.from({ length: 60 }, (_, i) => i);
/** The hang as it is drawn for a job where it stands, and what holds it there. */
export const hang = (
  state: JobState,
  { units = 'metric' as UnitSystem, height = 580, width = 680, ghost = null as Pose | null } = {},
) => {
  const stop = { pose: state.pose, holders: holdersAt(bindings(state), state.pose, state.vehicle.length) };
  return { stop, at: layoutHang({ state, stop, ghost, width, height, units }) };
};
