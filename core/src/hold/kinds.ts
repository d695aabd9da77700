import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { fuels } from '../fluid/index.ts';
import { defineKind, defineSlice, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { inWords, say, type Sentence } from '../quantity/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { estimateOf, lineOf, splitKey, UNIT, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { HeldBody } from './bodies.ts';
import { PETROL_REID } from './gas.ts';
import { airJoints, openingsHeld } from './joints.ts';
import { judgeHold } from './judge.ts';
import { outsideAt } from './orifice.ts';
import type { HoldJudged } from './types.ts';
import { emptyVolume, pushedVolume, type FreeVolume } from './volume.ts';

/** A hold as it was judged. */
export interface Held extends Stamp {
  /** What it comes to. */
  verdict: Verdict;
  /** What was opened since, in words; null: it still counts. */
  ended: string | null;
  /** A later hold, made knowing this one, found it tight. */
  tightSince: boolean;
  /** Those that were known when it was said. */
  after: readonly string[];
  /** Where it was held. */
  where: 'bench' | 'home';
  /** Under vacuum? */
  vacuum: boolean;
  /** Openings of joints that were behind it. */
  joints: readonly string[];
}

/** Holds of the tank. */
export interface HoldSlice {
  /** Oldest first. */
  holds: readonly Held[];
}

type Facts = VehicleSlice & FuelSlice & LedgerSlice & HoldSlice;

/** Air presses so much where nobody said how high the shop stands: from the sea to 2 000 m, and its weather. Pa */
const ANYWHERE = { lo: 78_000, hi: 104_500 };
/** What weather makes of it; common practice, no source. */
const WEATHER = 0.03;

/** What presses from outside, Pa. @example outsideOf(undefined).hi // 104 500 */
function outsideOf(height: number | undefined): { lo: number; hi: number } {
  if (height === undefined) return ANYWHERE;
  const mean = outsideAt(height);
  return { lo: mean * (1 - WEATHER), hi: mean * (1 + WEATHER) };
}

/**
 * Free volume of this tank as far as file and witnesses know, L; null where more may stand in it than it holds.
 *
 * @example freeVolume(state) // { lo: 74, hi: 98 }
 */
export function freeVolume({ vehicle, fuel }: Pick<Facts, 'vehicle' | 'fuel'>): FreeVolume | null {
  const rated = estimateOf(vehicle, vehicle.tank.litres);
  if (!(rated.lo - fuel.aboard.hi > 0)) return null;
  const { lo, hi } = emptyVolume({ rated, aboard: fuel.aboard });
  return { lo: roundTo(lo, 0.1), hi: roundTo(hi, 0.1) };
}

/**
 * A hold as its entry tells it, judged: free volume by the push, else as its maker knew it.
 *
 * @throws InputError for a push that rose by less than the gauge can tell
 * @example judgeHeld(body).verdict.outcome
 */
export function judgeHeld({
  push,
  volume,
  height,
  where: _,
  joints: __,
  settled,
  over,
  ...rest
}: HeldBody): HoldJudged {
  // Vapour nobody waited for says nothing, whatever the fuel.
  const run = { ...rest, ...(over && settled ? { over } : {}) };
  const outside = outsideOf(height);
  const middle = (outside.lo + outside.hi) / 2;
  const free = push ? pushedVolume(push, { step: run.step, outside: middle }) : volume;
  if (free) return judgeHold({ ...run, outside, volume: free });
  const text = 'nobody knows the free volume';
  const next = 'measure it by a known push, or dip what still stands in it';
  return {
    verdict: { outcome: 'unknown', reasons: [{ text, basis: { kind: 'computed' } }], next: [next] },
    fall: null,
    from: null,
    millimetres: null,
    litresPerMinute: null,
    more: null,
    drift: 0,
  };
}

/** The newest hold that still counts, on the bench or at home; null: none. @example holdOf(state)?.verdict.outcome */
export const holdOf = ({ holds }: HoldSlice, where: Held['where'] = 'bench'): Held | null =>
  holds.findLast((held) => held.ended === null && held.where === where) ?? null;

/**
 * Was this opening behind a hold that found it tight and still counts, and behind none that leaked since? One that was
 * said elsewhere, without knowing of it, may have been since.
 *
 * @example heldTight(state, 'line:vent@e12') // true
 */
export function heldTight({ holds }: HoldSlice, opening: string): boolean {
  const behind = holds.filter(({ ended, joints }) => ended === null && joints.includes(opening));
  const leaks = behind.filter(({ verdict }) => verdict.outcome === 'bad');
  return behind.some(({ verdict, after }) => verdict.outcome === 'good' && leaks.every(({ id }) => after.includes(id)));
}

/** Of a tank that leaked there is a debt, until it held. */
export const holdSlice = defineSlice<HoldSlice, Facts>({
  name: 'hold',
  start: () => ({ holds: [] }),
  hears: {
    // What is proved is this ring on this seal: opened again, nobody knows.
    ring: (own, { state }, { moment }) => {
      if (state !== 'opened') return;
      for (const one of own.holds) if (moment.knew(one.id)) one.ended ??= 'the ring was opened since';
    },
    // At home its lines are part of it.
    cameOff: (own, { key }, { moment, facts: { vehicle } }) => {
      const line = lineOf(vehicle, splitKey(key).id);
      if (!line || !airJoints.includes(line.kind)) return;
      for (const one of own.holds)
        if (one.where === 'home' && moment.knew(one.id)) one.ended ??= `${line.name} was opened since`;
    },
  },
  owes: ({ holds }): Debt[] =>
    holds
      .filter(({ verdict, tightSince }) => verdict.outcome === 'bad' && !tightSince)
      .map((held) => ({
        id: `hold:${held.id}`,
        key: 'hold',
        text: say`${PLACE[held.where]}: ${held.verdict.reasons[0]?.text ?? ''}`,
      })),
  record: ({ holds }) =>
    holds.map((held): RecordLine => ({
      under: held.where === 'home' ? 'proof' : 'bench',
      text: say`held${held.vacuum ? ' under vacuum' : ''}: ${summary(held)}`,
      by: held.by,
      at: held.at,
    })),
});

const PLACE = { bench: 'the tank on the bench', home: 'the tank at home' } as const;

function summary({ verdict, ended }: Held): Sentence {
  const [why] = verdict.reasons;
  return say`${why?.text ?? ''}${why?.figure ? say`, ${why.figure}` : ''}${ended ? `; ${ended}` : ''}`;
}

/** Fuels whose vapour presses worth reckoning; of the others hardly any comes off in a shop. */
const GIVES_OFF = 21;

/**
 * A hold with all that its maker knew of the tank: free volume, the fuel below, what is behind it.
 *
 * @example holdCompleted(state, body).volume // { lo: 74, hi: 98 }
 */
export function holdCompleted(state: Facts, body: HeldBody): HeldBody {
  const volume = freeVolume(state);
  const { holdMost: most } = state.vehicle.tank;
  const over = fuels[state.vehicle.fuel].flash.below < GIVES_OFF ? { ...PETROL_REID } : { lo: 0, hi: 0 };
  return {
    ...body,
    ...(body.volume || body.push || !volume ? {} : { volume }),
    ...(body.most || !most ? {} : { most }),
    ...(body.aired || body.over ? {} : { over }),
    ...(body.joints ? {} : { joints: openingsHeld(state, body.where ?? 'bench') }),
  };
}

/** The tank was held, on the bench or at home. */
export const held = defineKind<'held', HeldBody, HoldSlice, Facts>({
  kind: 'held',
  version: 1,
  Body: HeldBody,
  check: (body) => {
    if (body.volume && !(body.volume.lo <= body.volume.hi))
      throw new InputError('body.volume', `${body.volume.lo} to ${body.volume.hi}`, 'its least before its most');
    if (body.over && !(body.over.lo <= body.over.hi))
      throw new InputError('body.over', `${body.over.lo} to ${body.over.hi}`, 'its least before its most');
    // A push that no gauge could tell is refused while it can still be mended.
    judgeHeld(body);
  },
  complete: holdCompleted,
  apply: (own, body, { moment: { id, by, at, knew } }) => {
    const { verdict } = judgeHeld(body);
    const { where = 'bench', joints = [], readings } = body;
    if (verdict.outcome === 'good')
      for (const one of own.holds) if (knew(one.id) && one.where === where) one.tightSince = true;
    const vacuum = readings[0]![1] < 0;
    const after = own.holds.filter((one) => knew(one.id)).map((one) => one.id);
    own.holds.push(castDraft({ id, by, at, verdict, ended: null, tightSince: false, after, where, vacuum, joints }));
  },
  touches: ({ joints = [] }) => ({
    reads: [UNIT, ...new Set(joints.map((id) => id.slice(0, id.lastIndexOf('@'))))],
    writes: ['hold'],
  }),
  words: (body) =>
    `held ${body.where === 'home' ? 'at home' : 'on the bench'}, ${inWords(say`${roundTo(body.readings.at(-1)![0], 1)} s`)}`,
  arbitrary: (f) =>
    f.record({
      readings: f.constantFrom<[number, number][]>(
        Array.from({ length: 64 }, (_, i): [number, number] => [i, 3400]),
        Array.from({ length: 64 }, (_, i): [number, number] => [i, 3400 - 40 * i]),
        [[0, 3400]],
      ),
      step: f.constant(12),
      celsius: f.constant(18),
      hole: f.constantFrom('0.020' as const, '0.040' as const),
      aired: f.boolean(),
      volume: f.constant({ lo: 48, hi: 52 }),
    }),
});
