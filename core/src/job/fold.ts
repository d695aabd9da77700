import { HELPER_MINUTES, standardMargins, type Margins } from '../stops/margins.ts';
import { fuelAboard, witnessLitres } from '../tank/index.ts';
import { estimateOf } from '../vehicle/index.ts';
import { startingKilograms, type ShopKilograms } from '../handling/index.ts';
import { apply } from './apply/index.ts';
import { backBy } from './back.ts';
import { refusalOf } from './refusal.ts';
import type { Entry, Gate, JobState } from './types.ts';

export interface FoldOptions {
  margins?: Margins;
  shop?: ShopKilograms;
}

/**
 * The whole present state of a job from its log: `foldJob(foldJob(null, a), b)` equals `foldJob(null, [...a, ...b])`.
 * Never fails and never changes `base`: a repeated entry adds nothing, an intention the state forbids has no effect,
 * an entry before `opened` is not of this job.
 *
 * @param base null, or a state folded before
 * @returns null while nothing was opened
 * @example foldJob(null, entries)?.pose // { f: 40, r: 40 }
 */
export function foldJob(base: JobState | null, entries: readonly Entry[], options: FoldOptions = {}): JobState | null {
  let state = base ? structuredClone(base) : null;
  for (const entry of entries) state = step(state, entry, options);
  if (state) for (const item of state.items) item.back = backBy(state, item);
  return state;
}

function step(state: JobState | null, entry: Entry, options: FoldOptions): JobState | null {
  if (!state) return entry.kind === 'opened' ? blank(entry) : null;
  if (state.seen.includes(entry.id)) return state;
  state.seen.push(entry.id);
  state.lastSeq = Math.max(state.lastSeq, entry.seq ?? 0);
  if (refusalOf(state, entry, options.shop ?? startingKilograms)) return state;
  if (entry.kind === 'takeBack') return withoutNewest(state, options);
  apply(state, entry, options.margins ?? standardMargins);
  state.kept.push(entry);
  return state;
}

/** Undo: what is left is folded anew, so that nothing of the entry remains but the fact that it was taken back. */
function withoutNewest(state: JobState, options: FoldOptions): JobState {
  const newest = state.kept.at(-1)!;
  const kept = state.kept.slice(0, -1);
  let again: JobState | null = null;
  for (const entry of kept) again = step(again, entry, options);
  return { ...again!, takenBack: [...state.takenBack, newest.id], seen: state.seen, lastSeq: state.lastSeq };
}

const gate = (): Gate => ({ answers: {}, passed: null });

function blank(entry: Extract<Entry, { kind: 'opened' }>): JobState {
  const { vehicle, name, complaint, bay, gauge, helperMinutes } = entry.body;
  const witnesses: JobState['witnesses'] = [];
  if (gauge !== undefined)
    witnesses.push({
      id: entry.id,
      kind: 'gauge',
      reading: gauge,
      litres: witnessLitres(vehicle, 'gauge', gauge),
      outBefore: 0,
      inBefore: 0,
    });
  return {
    jobId: entry.jobId,
    vehicle,
    name,
    complaint,
    bay: bay ?? null,
    openedBy: entry.by,
    openedAt: entry.at,
    kept: [entry],
    takenBack: [],
    seen: [entry.id],
    lastSeq: entry.seq ?? 0,
    identity: null,
    complaintTest: null,
    complaintAgain: null,
    answers: {},
    approval: null,
    gates: { 1: gate(), 2: gate(), 3: gate(), 4: gate() },
    pressure: null,
    witnesses,
    containers: [],
    filled: 0,
    moves: [],
    fuel: fuelAboard(vehicle, witnesses, 0, 0, complaint === 'level'),
    pose: { f: 0, r: 0 },
    goal: null,
    out: false,
    deepest: 0,
    stops: [],
    slack: Object.fromEntries(vehicle.connections.map((line) => [line.id, estimateOf(vehicle, line.slack)])),
    taut: {},
    reached: {},
    notDone: {},
    helperMinutes: helperMinutes ?? HELPER_MINUTES,
    extras: [],
    items: [],
    pulls: [],
    replaced: {},
    findings: [],
    torques: [],
    joints: [],
    fills: [],
    deviations: [],
    cuts: [],
    waits: [],
    notes: [],
    addenda: [],
    parked: null,
    flags: [],
    signed: null,
  };
}
