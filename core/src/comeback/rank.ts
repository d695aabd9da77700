import { airJoints } from '../hold/index.ts';
import { nameOf, type JobState } from '../job/index.ts';
import { jointsLeft, jointsToSee } from '../proof/index.ts';
import { saidOf } from '../hose/index.ts';
import { lineOf, splitKey, supportOf, UNIT } from '../vehicle/index.ts';

/** How a job that was signed comes back. */
export const SHOWS = {
  full: 'it smells or drips when it is full',
  running: 'it drips while it runs, or under pressure',
  warm: 'it drips once it is warm',
  smells: 'it smells, nothing drips',
  needle: 'the gauge is wrong',
  starts: 'it starts badly, or dies',
  knocks: 'it knocks or hangs askew',
} as const;
/** One of them. */
export type Show = keyof typeof SHOWS;

/** What it could be, the likeliest first. */
export interface Suspect {
  /** Ledger key. */
  key: string;
  /** As people call it. */
  name: string;
  /** Why it stands here, what weighs most first. */
  why: string[];
  /** Weight: only for order. */
  weight: number;
}

/** What each thing weighs; only for order. Common practice, no source. */
const WEIGH = { shows: 4, unproved: 3, bad: 3, pulled: 3, doubtful: 2, opened: 2, worm: 2, newOne: 1 } as const;

type Weighed = readonly [keyof typeof WEIGH, string];

/** Does a leak of this joint show so? */
function showsSo(kind: string, shows: Show): string | null {
  const air = airJoints.some((one) => one === kind) || kind === 'ring';
  const pushed = ['feed', 'return', 'heater'].includes(kind);
  if (shows === 'full' && air) return 'wet only when it is full';
  if (shows === 'smells' && air) return 'vapour stands behind it';
  if (shows === 'running' && pushed) return 'under pressure while it runs';
  if (shows === 'warm' && (pushed || kind === 'clamp')) return 'gives as it warms';
  if (shows === 'needle' && (kind === 'plug' || kind === 'ground' || kind === 'sender'))
    return 'carries what the gauge reads';
  if (shows === 'starts' && (pushed || kind === 'plug' || kind === 'pump')) return 'feeds the engine';
  if (shows === 'knocks' && kind === 'support') return 'holds the tank';
  return null;
}

/**
 * Joints and parts of a job that came back, ranked by what was opened, what was doubtful or never proved, and how it shows.
 *
 * @param state the signed job
 * @example comeback(state, 'full')[0] // { key: 'line:filler', name: 'filler hose', why: ['wet only when it is full', …], … }
 */
export function comeback(state: JobState, shows: Show): Suspect[] {
  const left = new Set(jointsLeft(state));
  const joints = jointsToSee(state).map((key): Suspect =>
    suspect(key, [...ofJoint(state, key, shows), ...(left.has(key) ? [unproved(state, key)] : [])]),
  );
  const opened = [...new Set(state.openings.map(({ key }) => key))];
  const others = opened
    .filter((key) => !joints.some((one) => one.key === key))
    .map((key): Suspect => suspect(key, ofOther(state, key, shows)));
  const parts = (['sender', 'pump'] as const)
    .filter((part) => (state.pieces[part]?.length ?? 0) > 0)
    .map((part): Suspect => {
      const fresh = state.pieces[part]!.at(-1)!.called;
      return suspect(`part:${part}`, [
        ...tell(showsSo(part, shows)),
        ...(fresh ? ([['newOne', `went in new: ${fresh}`]] as const) : []),
      ]);
    });
  function suspect(key: string, told: readonly Weighed[]): Suspect {
    const sorted = [...told].sort(([a], [b]) => WEIGH[b] - WEIGH[a]);
    const weight = told.reduce((sum, [what]) => sum + WEIGH[what], 0);
    return { key, name: nameOf(state, key), why: sorted.map(([, text]) => text), weight };
  }
  return (
    [...joints, ...others, ...parts]
      // Having been opened is no reason by itself.
      .filter(({ weight }) => weight > WEIGH.opened)
      .sort((a, b) => b.weight - a.weight || (a.key < b.key ? -1 : 1))
  );
}

const tell = (text: string | null): readonly Weighed[] => (text === null ? [] : [['shows', text]]);

const times = (state: JobState, key: string): readonly Weighed[] => {
  const count = state.openings.filter((one) => one.key === key).length;
  return count === 0 ? [] : [['opened', count === 1 ? 'opened on this job' : `opened ${count} times on this job`]];
};

function unproved(state: JobState, key: string): Weighed {
  const put = state.deviations.find(({ debt }) => debt.startsWith(`seen:${key}@`));
  return ['unproved', put ? `never proved: left until ${put.due}` : 'never proved'];
}

function ofJoint(state: JobState, key: string, shows: Show): readonly Weighed[] {
  const kind = key === UNIT ? 'ring' : (lineOf(state.vehicle, splitKey(key).id)?.kind ?? '');
  const worm = [...(state.clamps[`${key} tank`] ?? []), ...(state.clamps[`${key} other`] ?? [])].some(
    (one) => one.worm,
  );
  const doubts = saidOf(state, key).filter(({ verdict }) => verdict.outcome !== 'good');
  const pulled = state.pulls.some((pull) => pull.key === key);
  const wet = state.findings.some(({ where, verdict }) => verdict === 'bad' && where === nameOf(state, key));
  return [
    ...tell(showsSo(kind, shows)),
    ...times(state, key),
    ...(pulled ? ([['pulled', 'was pulled on the way']] as const) : []),
    ...(wet ? ([['bad', 'was wet at the test stop']] as const) : []),
    ...(doubts.length > 0 ? ([['doubtful', 'its hose or clamp was doubtful']] as const) : []),
    ...(worm ? ([['worm', shows === 'warm' ? 'worm clamp: turned cold once more?' : 'worm clamp']] as const) : []),
  ];
}

function ofOther(state: JobState, key: string, shows: Show): readonly Weighed[] {
  const { kind, id } = splitKey(key);
  const what = kind === 'line' ? (lineOf(state.vehicle, id)?.kind ?? '') : kind;
  const torque =
    kind === 'support' && supportOf(state.vehicle, id) ? state.torques.find((one) => one.key === key) : undefined;
  const told = tell(showsSo(what, shows));
  return [
    ...told,
    // What cannot show so is no suspect for having been off.
    ...(told.length === 0 ? [] : times(state, key)),
    ...(told.length > 0 && torque && torque.verdict.outcome !== 'good'
      ? ([['doubtful', 'its torque was doubtful']] as const)
      : []),
  ];
}
