import { openEnds, type LedgerSlice } from '../ledger/index.ts';
import { say, type Sentence } from '../quantity/index.ts';
import { byJack, type VehicleSlice } from '../vehicle/index.ts';
import type { PowerSlice } from '../power/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import type { Outcome } from '../verdict/index.ts';

/** What is looked at before everybody goes home. */
export const dayChecks = ['support', 'cans', 'tray', 'air', 'doors'] as const;
/** One of those that are asked. */
export type DayCheck = (typeof dayChecks)[number];

/** One thing to look at, judged from the log or asked. */
export interface DayItem {
  /** Its id; of a `DayCheck`: it is asked. */
  id: string;
  /** In words. */
  text: Sentence;
  /** What the log says of it; null: nobody but a look can tell. */
  outcome: Outcome | null;
  /** What to do. */
  next?: Sentence;
}

/** What it reads. */
export type DayFacts = VehicleSlice &
  Pick<LedgerSlice, 'items'> &
  PowerSlice &
  Pick<FuelSlice, 'containers'> & { out: boolean; deepest: number; pose: { f: number; r: number } };

/**
 * Before everybody goes home: key, caps and battery by the log; support, cans, tray, air and doors by a look. Common practice, no source.
 *
 * @example dayItems(state).filter(({ outcome }) => outcome === 'bad').map(({ text }) => text)
 */
export function dayItems(state: DayFacts): DayItem[] {
  const on = state.keyTurns.some(({ off }) => off === null);
  const bare = openEnds(state).filter(({ capped }) => !capped);
  const ends = openEnds(state);
  const hangs = !state.out && Math.max(state.pose.f, state.pose.r) > 0;
  return [
    on
      ? { id: 'key', text: 'the key is on', outcome: 'bad', next: 'key off and out: left on it flattens the battery' }
      : { id: 'key', text: 'key off and out', outcome: 'good' },
    state.battery === 'on' && ends.length > 0
      ? {
          id: 'battery',
          text: 'battery on while ends are open',
          outcome: 'doubtful',
          next: 'negative off for the night',
        }
      : { id: 'battery', text: `battery ${state.battery ?? 'as nobody said'}`, outcome: state.battery ? 'good' : null },
    bare.length > 0
      ? {
          id: 'caps',
          text: say`open: ${bare.map(({ name }) => name).join(', ')}`,
          outcome: 'bad',
          next: 'cap both ends of each',
        }
      : {
          id: 'caps',
          text: ends.length === 0 ? 'nothing is open' : `all ${ends.length} open ends capped`,
          outcome: 'good',
        },
    {
      id: 'support',
      text: hangs
        ? byJack(state.vehicle)
          ? 'the tank hangs part-way: stands or blocks under it, a jack sinks overnight'
          : 'the tank hangs part-way: held by more than one support'
        : 'vehicle on its stands or the lift on its locks',
      outcome: null,
    },
    ...(state.containers.length > 0
      ? [
          {
            id: 'cans',
            text: `${state.containers.length === 1 ? 'the can is' : `${state.containers.length} cans are`} shut, labelled, away from heat and drains`,
            outcome: null,
          },
        ]
      : []),
    { id: 'tray', text: 'trays empty, wet rags out in their closed bin', outcome: null },
    { id: 'air', text: 'no vapour to smell, nothing charging, heaters off', outcome: null },
    { id: 'doors', text: 'doors locked, extinguisher where it belongs', outcome: null },
  ];
}
