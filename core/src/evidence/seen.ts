import { partOf, pieceOf, wordOf, type BenchSlice } from '../bench/index.ts';
import type { ConditionSlice } from '../condition/index.ts';
import { SAMPLE, type SampleLook } from '../drain/index.ts';
import { answerTo, type Answered } from '../questions/index.ts';
import { unitOf, type VehicleSlice } from '../vehicle/index.ts';
import type { FuelCause, StreamPoint } from './causes.ts';
import type { Evidence } from './judge.ts';

/** What a sample in glass looks like, and of what that would be. Common practice, no source. */
export const ofSample: Readonly<Record<SampleLook, FuelCause | null>> = {
  clear: null,
  haze: 'water',
  water: 'water',
  sediment: 'grains',
  crystals: 'putIn',
  varnish: 'old',
  slime: 'slime',
};

/** What may be found inside the tank, and of what that would be. Common practice, no source. */
export const ofInside: Readonly<Record<string, FuelCause>> = {
  'light film of rust': 'rust',
  'rust that comes off in flakes': 'rust',
  'dark slime': 'slime',
  'crystals or varnish': 'old',
  'water on the floor': 'water',
};

/** What of the bench and of draining tells about the stream. */
export type SeenFacts = BenchSlice & Pick<ConditionSlice, 'findings'> & VehicleSlice & Answered & Evidence;

/**
 * The stream as everything that was said tells it: what was looked at on purpose comes first; the sample, the tank’s inside and
 * the strainer were looked at already and are not asked twice.
 *
 * @example streamOf(state).tank?.wasDirty // 'slime' where the sample showed it
 */
export function streamOf(state: SeenFacts): Evidence['stream'] {
  return { ...elsewhere(state), ...state.stream };
}

function elsewhere(state: SeenFacts): Evidence['stream'] {
  const found: Partial<Record<StreamPoint, NonNullable<Evidence['stream']['tank']>>> = {};
  const look = answerTo(state, SAMPLE);
  const inside = state.findings.filter(({ where }) => where === 'inside');
  const told = inside.flatMap(({ what }) => ofInside[what] ?? []);
  const cause = told[0] ?? (look ? ofSample[look] : null);
  if (cause !== null || look || inside.length > 0)
    found.tank = { is: cause === null ? 'clean' : 'dirty', what: cause, wasDirty: cause };
  const strainer = unitOf(state.vehicle).parts.find(({ kind }) => kind === 'strainer');
  const word = strainer && partOf(state, strainer.id) ? wordOf(firstPiece(state, strainer.id)) : null;
  if (word)
    found.screen =
      word.verdict.outcome === 'good'
        ? { is: 'clean', what: null, wasDirty: null }
        : { is: 'dirty', what: 'screens', wasDirty: 'screens' };
  return found;
}

/** The one that came out tells, not what goes in for it. */
const firstPiece = (state: BenchSlice, part: string) => state.pieces[part]?.[0] ?? pieceOf(state, part);
