import { commonPractice, measured } from '../../basis/index.ts';
import { exactly } from '../../estimate/index.ts';
import { asVariant, type Range, type VehicleFile, type Way } from '../../vehicle/index.ts';
import { GOAL, goalOf } from '../goal.ts';
import type { Entry, JobState } from '../types.ts';

/** Is the tank sealed and under pressure by design? Then only its own procedure lets it go. */
export const SEALED = 'sealed tank';

/** Drained further, the tank may hang so many mm steeper from end to end. */
export const MORE_TILT = 'more tilt';

/** A longer extension, a wheel off: one way is reached so many mm sooner and later. */
function reachFurther(vehicle: VehicleFile, wayId: string, mm: number): VehicleFile {
  const shift = (r: Range, by: number): Range => ({
    lo: Math.max(0, r.lo + by),
    typ: Math.max(0, r.typ + by),
    hi: Math.max(0, r.hi + by),
    basis: measured,
  });
  const further = (ways: Way[]): Way[] =>
    ways.map((w) => (w.id === wayId ? { ...w, reachFrom: shift(w.reachFrom, -mm), reachTo: shift(w.reachTo, mm) } : w));
  return {
    ...vehicle,
    connections: vehicle.connections.map((c) => ({ ...c, part: further(c.part), make: further(c.make) })),
    obstructions: vehicle.obstructions.map((o) => ({ ...o, clear: further(o.clear) })),
  };
}

/**
 * An answer to a question that matters also moves what the planner works with. By eye a line is only ever judged shorter
 * for certain: “more” moves what is likely, never the end that keeps it from being pulled.
 */
export function answered(state: JobState, { question, value }: Extract<Entry, { kind: 'answer' }>['body']): void {
  state.answers[question] = value;
  const [what, id] = [question.slice(0, question.indexOf(' ')), question.slice(question.indexOf(' ') + 1)];
  const slack = state.slack[id];
  if (what === 'slack' && slack) {
    if (value === 'short')
      state.slack[id] = { ...slack, typ: (slack.lo + slack.typ) / 2, hi: slack.typ, basis: commonPractice };
    const mm = Number(value);
    // Measured with a string: then it is known, both ends of it.
    if (value !== '' && Number.isFinite(mm) && mm >= 0) state.slack[id] = exactly(Math.floor(mm));
    if (value === 'long') state.slack[id] = { ...slack, typ: (slack.typ + slack.hi) / 2, basis: commonPractice };
  }
  const more = Number(value);
  const found = value !== '' && Number.isFinite(more) && more > 0;
  if (what === 'reach' && found) state.vehicle = reachFurther(state.vehicle, id, more);
  if (question === MORE_TILT && found)
    state.vehicle = { ...state.vehicle, tiltLimit: Math.min(150, state.vehicle.tiltLimit + more) };
  if (question === GOAL) state.goal = goalOf(value, state.vehicle.clear);
  if (what === 'variant') state.vehicle = asVariant(state.vehicle, id, value);
  if (question === SEALED)
    state.vehicle = { ...state.vehicle, tank: { ...state.vehicle.tank, sealed: value === 'yes' } };
  if (what === 'blocks' && value === 'no')
    state.vehicle = {
      ...state.vehicle,
      obstructions: state.vehicle.obstructions.map((o) => (o.id === id ? { ...o, blocksAt: null } : o)),
    };
}
