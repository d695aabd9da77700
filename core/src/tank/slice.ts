import { litres, say } from '../quantity/index.ts';
import { defineSlice, isUnsettled, type Debt, type RecordLine } from '../kernel/index.ts';
import { answerTo } from '../questions/index.ts';
import { fuelAboard, type FuelAboard, type Witness } from './aboard.ts';
import { containersOf, litresIn, litresInCans, litresOut, moved, total } from './counted.ts';
import { safeFillToday } from './day.ts';
import { DRAIN_PLUG } from './questions.ts';
import { readAnew } from './told.ts';
import type { FuelFacts, FuelSlice } from './types.ts';
import { witnessLitres } from './witness.ts';

/** Less than a can is ever emptied to, L; common practice, no source. */
const CAN_REST = 0.25;

/** What the pump's bursts are called among the waits. */
export const BURSTS = 'pump bursts';

/**
 * Litres aboard; while two devices say different things the widest range of what each alone would say. For what is applied in the middle
 * of a fold: the state’s own `fuel` is worked out once after every batch.
 *
 * @example fuelOf(state).aboard.typ // 24.5
 */
export function fuelOf(state: FuelSlice & FuelFacts): FuelAboard {
  const aboard = (without: readonly string[]): FuelAboard => {
    const stays = <T extends { id: string }>(list: readonly T[]): T[] => list.filter(({ id }) => !without.includes(id));
    const counted = { pours: stays(state.pours), moves: stays(state.moves), fills: stays(state.fills) };
    const suspect = state.complaint === 'level';
    return fuelAboard(state.vehicle, {
      witnesses: stays(state.witnesses),
      out: litresOut(counted),
      filled: litresIn(counted),
      senderSuspect: suspect,
      plugSilent: answerTo(state, DRAIN_PLUG) === 'silent',
    });
  };
  const now = aboard([]);
  if (!isUnsettled(state, 'fuel')) return now;
  const open = state.twoDevices.fuel?.open ?? [];
  const sides = [now, aboard(open), ...open.map((id) => aboard(open.filter((other) => other !== id)))].map(
    (f) => f.aboard,
  );
  const [lo, hi] = [Math.min(...sides.map((s) => s.lo)), Math.max(...sides.map((s) => s.hi))];
  return { ...now, sources: [], aboard: { ...now.aboard, lo, typ: (lo + hi) / 2, hi } };
}

/** A can that holds more than is safe, each as it stands. */
const overfull = (state: FuelSlice & FuelFacts): { number: number; litres: number; most: number }[] =>
  state.containers.flatMap(({ number, litres, capacity }) => {
    const most = capacity * safeFillToday(state);
    return litres > most + 0.05 ? [{ number, litres, most: Math.floor(most * 10) / 10 }] : [];
  });

/** Holds the fuel. */
export const fuelSlice = defineSlice<FuelSlice, FuelFacts>({
  name: 'fuel',
  start: (opened, { id }) => {
    const { vehicle, gauge, complaint } = opened as {
      vehicle: FuelFacts['vehicle'];
      gauge?: number;
      complaint: string;
    };
    const witnesses: Witness[] =
      gauge === undefined
        ? []
        : [
            {
              id,
              kind: 'gauge',
              reading: gauge,
              litres: witnessLitres(vehicle, 'gauge', gauge),
              outBefore: 0,
              inBefore: 0,
            },
          ];
    const fuel = fuelAboard(vehicle, { witnesses, out: 0, filled: 0, senderSuspect: complaint === 'level' });
    return {
      witnesses,
      pours: [],
      containers: [],
      moves: [],
      fills: [],
      filled: 0,
      fuel,
      burstsFrom: null,
      unread: [],
      asked: null,
    };
  },
  hears: {
    waiting: (own, { what, state }) => {
      if (what === BURSTS && state === 'start') own.burstsFrom = litresOut(own);
    },
    tankShaped: (own, _event, { tell, facts: { vehicle } }) => readAnew(own, vehicle, tell),
    settled: (own, { key, litres }, { moment: { id } }) => {
      if (key !== 'fuel' || litres === undefined) return;
      const said = { lo: litres, typ: litres, hi: litres, basis: { kind: 'measured' as const } };
      own.witnesses.push({
        id,
        kind: 'dip',
        reading: null,
        litres: said,
        outBefore: litresOut(own),
        inBefore: litresIn(own),
      });
    },
  },
  owes: (state): Debt[] => {
    const filled = state.fills.length > 0 || moved(state, 'returned') > 0;
    const cans = litresInCans(state);
    return [
      ...((state.out || state.deepest > 0) && !filled
        ? [{ id: 'fill', key: 'fill', text: 'first fill is not written' }]
        : []),
      // The customer’s fuel: back in, handed over or disposed of.
      ...(cans > CAN_REST
        ? [{ id: 'cans', key: 'cans', text: say`${litres(cans, cans, 1)} of the customer’s fuel still stand in cans` }]
        : []),
    ];
  },
  record: (state) =>
    overfull(state as FuelSlice & FuelFacts).map(({ number, litres: held, most }): RecordLine => ({
      under: 'flags',
      text: say`can ${number} holds ${litres(held, held, 1)}, ${litres(most, most, 1)} are safe`,
      by: null,
      at: null,
    })),
  derive: (state) => ({ containers: containersOf(state.pours), filled: total(state.fills), fuel: fuelOf(state) }),
});
