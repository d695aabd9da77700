import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import type { VehicleFile, VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { PickupPlannedBody, ScreensKnownBody } from './bodies.ts';
import { planPickup, type PickupJudged, type PickupPlan } from './cut.ts';
import { judgeScreens, type ScreensJudged } from './screens.ts';

/** A pick-up as it was planned. */
export interface PlannedPickup extends Stamp {
  /** What it was planned by. */
  plan: PickupPlan;
  /** Where to cut; null where it can’t be reckoned. */
  cut: number | null;
  /** mm its end stands above the floor; null where it can’t be reckoned. */
  above: number | null;
  /** Whether to. */
  verdict: Verdict;
}

/** Pick-ups and screens. */
export interface PickupSlice {
  /** Oldest first. */
  pickups: readonly PlannedPickup[];
  /** What the screens’ history says; null: nobody asked. */
  screens: (ScreensJudged & Stamp) | null;
}

/** Plans it as far as this tank can be reckoned with; what can’t be is unknown, with what is missing. */
function plannedOr(
  file: VehicleFile,
  plan: PickupPlannedBody,
): Pick<PickupJudged, 'verdict'> & { cut: number | null; above: number | null } {
  try {
    return planPickup(file, plan);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      cut: null,
      above: null,
      verdict: {
        outcome: 'unknown',
        reasons: [{ text: `expected ${error.expected}`, basis: { kind: 'computed' } }],
        next: [],
      },
    };
  }
}

/** Holds what was planned. */
export const pickupSlice = defineSlice<PickupSlice, PickupSlice & VehicleSlice>({
  name: 'pickup',
  start: () => ({ pickups: [], screens: null }),
  record: ({ pickups, screens }): RecordLine[] => [
    ...pickups.map(({ plan: { serves }, verdict, by, at }): RecordLine => ({
      under: 'bench',
      text: say`pick-up of the ${serves}: ${verdict.reasons.map(({ text }) => text).reduce((a, b) => say`${a}; ${b}`)}`,
      by,
      at,
    })),
    ...(screens
      ? [
          {
            under: 'bench' as const,
            text: say`screens: ${screens.verdict.reasons[0]?.text ?? ''}${screens.due ? `, due ${screens.due.from} to ${screens.due.to}` : ''}`,
            by: screens.by,
            at: screens.at,
          },
        ]
      : []),
  ],
});

/** A pick-up is planned. */
export const pickupPlanned = defineKind<'pickupPlanned', PickupPlannedBody, PickupSlice, PickupSlice & VehicleSlice>({
  kind: 'pickupPlanned',
  version: 1,
  Body: PickupPlannedBody,
  check: ({ serves, reserve, toFloor, gasket, clearance }) => {
    if (serves === 'heater' && reserve === undefined)
      throw new InputError('body.reserve', '', 'the litres the heater leaves to the engine');
    if (serves === 'engine' && !(toFloor + gasket > clearance))
      throw new InputError('body.clearance', String(clearance), 'less than from the opening to the floor');
  },
  apply: (own, body, { moment: { id, by, at }, facts }) => {
    const { cut, above, verdict } = plannedOr(facts.vehicle, body);
    own.pickups.push(castDraft({ id, by, at, plan: body, cut, above, verdict }));
  },
  touches: ({ serves }) => ({ reads: [], writes: [`pickup:${serves}`] }),
  words: ({ serves }) => `pick-up of the ${serves} planned`,
  arbitrary: (f) =>
    f.record({
      serves: f.constantFrom('engine' as const, 'heater' as const),
      toFloor: f.constant(250),
      held: f.boolean(),
      gasket: f.constant(3),
      clearance: f.constant(10),
      reserve: f.constantFrom(5, 500),
    }),
});

/** The screens’ history is told. */
export const screensKnown = defineKind<'screensKnown', ScreensKnownBody, PickupSlice>({
  kind: 'screensKnown',
  version: 1,
  Body: ScreensKnownBody,
  check: ({ today, ...known }) => void judgeScreens(known, today),
  apply: (own, { today, ...known }, { moment: { id, by, at } }) =>
    void (own.screens = castDraft({ ...judgeScreens(known, today), id, by, at })),
  touches: () => ({ reads: [], writes: ['screens'] }),
  words: ({ cleaned }) => `screens cleaned ${cleaned.length} times`,
  arbitrary: (f) =>
    f.record({
      cleaned: f.constantFrom<string[]>([], ['2025-11-01']),
      filterAhead: f.boolean(),
      sock: f.boolean(),
      today: f.constant('2026-01-05'),
    }),
});
