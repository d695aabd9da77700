import { commonPractice } from '../../basis/index.ts';
import { exactly } from '../../estimate/index.ts';
import type { Entry, JobState } from '../types.ts';

/** Is the tank sealed and under pressure by design? Then only its own procedure lets it go. */
export const SEALED = 'sealed tank';

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
  if (question === SEALED)
    state.vehicle = { ...state.vehicle, tank: { ...state.vehicle.tank, sealed: value === 'yes' } };
  if (what === 'blocks' && value === 'no')
    state.vehicle = {
      ...state.vehicle,
      obstructions: state.vehicle.obstructions.map((o) => (o.id === id ? { ...o, blocksAt: null } : o)),
    };
}
