import { castDraft, type Draft } from 'immer';
import { InputError } from '../errors/index.ts';
import {
  defineKind,
  defineSlice,
  standing,
  type Debt,
  type Moment,
  type RecordLine,
  type Stamp,
} from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { gravestFirst, gravestOf, type Verdict } from '../verdict/index.ts';
import { ClampPutBody, HoseRunsBody, HoseSeenBody } from './bodies.ts';
import { judgeClamp } from './clamp.ts';
import { dipsOf, type RoutePoint } from './dip.ts';
import { rubbersOf, type Rubber } from './rubber.ts';
import { judgeRun } from './run.ts';
import { judgeHose } from './seen.ts';

/** A word about a hose, its way or a clamp of it. */
export interface HoseWord extends Stamp {
  /** What it comes to. */
  verdict: Verdict;
}

/** How a hose runs, as it was drawn. */
export interface HoseWay extends HoseWord {
  /** From the tank on; null: not drawn. */
  route: RoutePoint[] | null;
  /** mm inside. */
  bore: number | null;
}

/** Hoses and clamps. By the key of the rubber, what stands; of several that knew nothing of each other the gravest counts. */
export interface HoseSlice {
  /** What is printed on it, its bore, what is seen of it. */
  hoses: Readonly<Record<string, readonly HoseWord[]>>;
  /** How it runs. */
  ways: Readonly<Record<string, readonly HoseWay[]>>;
  /** Its clamps, `line:feed tank`. */
  clamps: Readonly<Record<string, readonly (HoseWord & { worm: boolean })[]>>;
}

type Facts = HoseSlice & VehicleSlice;

const rubberOf = (facts: VehicleSlice, key: string): Rubber | undefined =>
  rubbersOf(facts.vehicle).find((one) => one.key === key);
const nameOf = (facts: VehicleSlice, key: string): string => rubberOf(facts, key)?.name ?? key;

/**
 * What stands of one of them: the gravest of those that knew nothing of each other; null: nobody said a word.
 *
 * @example wordOn(state.hoses['line:feed'])?.outcome
 */
export const wordOn = (list: readonly HoseWord[] | undefined): HoseWord | null => gravestOf(list ?? []);

/**
 * All that was said of a rubber: itself, its way, its clamps; the gravest first.
 *
 * @example saidOf(state, 'line:vent')[0]?.verdict.outcome // 'bad': a dip shuts it
 */
export function saidOf({ hoses, ways, clamps }: HoseSlice, key: string): HoseWord[] {
  const all = [hoses[key], ways[key], clamps[`${key} tank`], clamps[`${key} other`]];
  const words = all.flatMap((list) => wordOn(list) ?? []);
  return gravestFirst(words.map((word) => ({ word, outcome: word.verdict.outcome }))).map(({ word }) => word);
}

const SUBJECTS = ['hoses', 'ways', 'clamps'] as const;

/** Holds what was found of hoses and clamps; what is bad is owed until it is looked at again and good. */
export const hoseSlice = defineSlice<HoseSlice, Facts>({
  name: 'hoses',
  start: () => ({ hoses: {}, ways: {}, clamps: {} }),
  owes: (state): Debt[] =>
    SUBJECTS.flatMap((subject) =>
      Object.entries(state[subject] as HoseSlice['hoses']).flatMap(([key, list]): Debt[] => {
        const word = wordOn(list);
        if (word?.verdict.outcome !== 'bad') return [];
        const [rubber] = key.split(' ');
        return [
          {
            id: `${subject}:${word.id}`,
            key: rubber!,
            text: say`${nameOf(state, rubber!)}: ${word.verdict.reasons[0]?.text ?? 'bad'}`,
          },
        ];
      }),
    ),
  record: (state): RecordLine[] =>
    SUBJECTS.flatMap((subject) =>
      Object.entries(state[subject] as HoseSlice['hoses']).flatMap(([key, list]): RecordLine[] => {
        const word = wordOn(list);
        const why = word?.verdict.reasons[0];
        if (!word || !why) return [];
        const [rubber, end] = key.split(' ');
        const at = end === undefined ? '' : end === 'tank' ? ', clamp at the tank' : ', clamp at its other end';
        return [
          {
            under: 'work',
            text: say`${nameOf(state, rubber!)}${at}: ${why.text}${why.figure ? say`, ${why.figure}` : ''}`,
            by: word.by,
            at: word.at,
          },
        ];
      }),
    ),
});

/** Puts a word where those stand that its maker did not know. */
function put<T extends HoseWord>(
  had: Draft<Record<string, readonly T[]>>,
  key: string,
  { word, moment }: { word: T; moment: Moment },
): void {
  (had as Record<string, readonly T[]>)[key] = castDraft(
    standing((had as Record<string, readonly T[]>)[key] ?? [], word, moment.knew),
  ) as never;
}

/** A hose is looked at, or a new one is in. */
export const hoseSeen = defineKind<'hoseSeen', HoseSeenBody, HoseSlice, Facts>({
  kind: 'hoseSeen',
  version: 1,
  Body: HoseSeenBody,
  apply: (own, { key, pipe, other, ...looked }, { moment, facts }) => {
    const rubber = rubberOf(facts, key);
    if (!rubber) return;
    const pipes = [pipe, other].flatMap((one) => one ?? []);
    const { id, by, at } = moment;
    const verdict = judgeHose({ ...looked, pipes }, rubber, new Date(at).getUTCFullYear());
    put(own.hoses as never, key, { word: { id, by, at, verdict }, moment });
  },
  touches: ({ key }) => ({ reads: [], writes: [`hose:${key}`] }),
  words: ({ key, grade }, { name }) => `${name(key)} looked at, ${grade === 'none' ? 'no print' : grade}`,
  arbitrary: (f) =>
    f.record({
      key: f.constantFrom('line:feed', 'line:vent', 'rubber:engine', 'line:moon'),
      grade: f.constantFrom('R7' as const, 'R9' as const),
      bore: f.constant(8),
      is: f.constantFrom(['sound' as const], ['cracked' as const]),
    }),
});

/** How a hose runs is looked at, or drawn. */
export const hoseRuns = defineKind<'hoseRuns', HoseRunsBody, HoseSlice, Facts>({
  kind: 'hoseRuns',
  version: 1,
  Body: HoseRunsBody,
  check: ({ route, bore }) => {
    if (!route) return;
    if (bore === undefined) throw new InputError('body.bore', '', 'its bore, to tell what shuts it');
    dipsOf(points(route), bore);
  },
  apply: (own, { key, route, ...run }, { moment, facts }) => {
    const rubber = rubberOf(facts, key);
    if (!rubber) return;
    const drawn = route ? points(route) : undefined;
    const { id, by, at } = moment;
    const verdict = judgeRun({ ...run, route: drawn }, rubber);
    put(own.ways as never, key, {
      word: { id, by, at, verdict, route: drawn ?? null, bore: run.bore ?? null },
      moment,
    });
  },
  touches: ({ key }) => ({ reads: [], writes: [`way:${key}`] }),
  words: ({ key }, { name }) => `how ${name(key)} runs`,
  arbitrary: (f) => f.record({ key: f.constantFrom('line:feed', 'line:vent', 'line:moon'), below: f.boolean() }),
});

const points = (route: readonly { x: number; z: number }[]): RoutePoint[] => route.map(({ x, z }) => [x, z]);

/** A clamp is on. */
export const clampPut = defineKind<'clampPut', ClampPutBody, HoseSlice, Facts>({
  kind: 'clampPut',
  version: 1,
  Body: ClampPutBody,
  apply: (own, { key, end, ...clamp }, { moment, facts }) => {
    const rubber = rubberOf(facts, key);
    if (!rubber) return;
    const { id, by, at } = moment;
    put(own.clamps as never, `${key} ${end}`, {
      word: {
        id,
        by,
        at,
        verdict: judgeClamp(clamp, rubber.place.bar),
        worm: clamp.kind === 'worm' || clamp.kind === 'smooth',
      },
      moment,
    });
  },
  touches: ({ key, end }) => ({ reads: [], writes: [`clamp:${key} ${end}`] }),
  words: ({ key }, { name }) => `clamp of ${name(key)}`,
  arbitrary: (f) =>
    f.record({
      key: f.constantFrom('line:feed', 'rubber:filter', 'line:moon'),
      end: f.constantFrom('tank' as const, 'other' as const),
      kind: f.constantFrom('worm' as const, 'spring' as const),
      plastic: f.boolean(),
      bead: f.boolean(),
      again: f.boolean(),
    }),
});
