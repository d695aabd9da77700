import { litres, mm, say } from '../quantity/index.ts';
import type { Draft } from 'immer';
import { InputError } from '../errors/index.ts';
import {
  defineSlice,
  isUnsettled,
  type Debt,
  type KernelState,
  type Moment,
  type RecordLine,
  type Tell,
} from '../kernel/index.ts';
import type { OrderSlice } from '../order/index.ts';
import { answerTo, type Answered } from '../questions/index.ts';
import { widened, type AtLeast, type VehicleSlice } from '../vehicle/index.ts';
import { fuelAboard, type FuelAboard, type Witness } from './aboard.ts';
import { safeFillToday } from './day.ts';
import { DRAIN_PLUG } from './questions.ts';
import { shownBy, witnessLitres, type WitnessKind } from './witness.ts';

/** Litres that went into a can. */
interface Pour {
  /** Id of the entry. */
  id: string;
  /** Number of the can. */
  number: number;
  /** What the can holds, L. */
  capacity: number;
  /** L */
  litres: number;
  /** Fit to go back. */
  clean: boolean;
  /** ISO time. */
  at: string;
  /** Person's id. */
  by: string;
}

/** A can with what is in it by now. */
interface Container {
  /** Its number. */
  number: number;
  /** What it holds, L. */
  capacity: number;
  /** What is in it, L. */
  litres: number;
  /** Only clean fuel went in. */
  clean: boolean;
  /** When the last of it went in, ISO time. */
  at: string;
}

/** Litres that went another way than into a can. */
interface FuelMove {
  /** Id of the entry. */
  id: string;
  /** Which way. */
  what: 'spilled' | 'returned' | 'disposed' | 'fedIn';
  /** L */
  litres: number;
  /** In words. */
  words: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** Litres put in. */
interface Fill {
  /** Id of the entry. */
  id: string;
  /** L */
  litres: number;
  /** Its own fuel, out of the cans; else new. */
  own: boolean;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** What is aboard, by every witness, and where the rest went. */
export interface FuelSlice {
  /** Witnesses, oldest first. */
  witnesses: readonly Witness[];
  /** What went into cans, pour by pour. */
  pours: readonly Pour[];
  /** The cans as they stand. */
  containers: readonly Container[];
  /** What went another way. */
  moves: readonly FuelMove[];
  /** What was put in. */
  fills: readonly Fill[];
  /** L put in. */
  filled: number;
  /** Litres aboard, and how that is known. */
  fuel: FuelAboard;
  /** L that had come out when the pump's bursts began; null where none did. */
  burstsFrom: number | null;
}

/** What the fuel reads beside its own. */
export type FuelFacts = VehicleSlice &
  OrderSlice &
  Answered & { deepest: number; out: boolean } & Pick<KernelState, 'twoDevices'>;

/** What the pump's bursts are called among the waits. */
export const BURSTS = 'pump bursts';

type Counted = Pick<FuelSlice, 'pours' | 'moves' | 'fills'>;
const total = (list: readonly { litres: number }[]): number => list.reduce((sum, { litres }) => sum + litres, 0);
const moved = (state: Pick<FuelSlice, 'moves'>, what: FuelMove['what']): number =>
  total(state.moves.filter((m) => m.what === what));

/** Litres that left the tank: into cans and spilt. @example litresOut(state) // 36.5 */
export const litresOut = (state: Pick<FuelSlice, 'pours' | 'moves'>): number =>
  total(state.pours) + moved(state, 'spilled');

/** Litres that came into it: filled, put back, or in by a feed or return line. @example litresIn(state) // 9 */
export const litresIn = (state: Pick<FuelSlice, 'moves' | 'fills'>): number =>
  total(state.fills) + moved(state, 'returned') + moved(state, 'fedIn');

/** Less than a can is ever emptied to, L; common practice, no source. */
const CAN_REST = 0.25;

/** Litres that came out and still stand in cans: not put back, not disposed of. @example litresInCans(state) // 2 */
export const litresInCans = (state: Counted): number =>
  total(state.pours) - moved(state, 'returned') - moved(state, 'disposed') - total(state.fills.filter((f) => f.own));

/** What the maker of an entry knew of out and in. */
const knownTo = (own: Counted, moment: Pick<Moment, 'knew'>): Counted => ({
  pours: own.pours.filter((p) => moment.knew(p.id)),
  moves: own.moves.filter((m) => moment.knew(m.id)),
  fills: own.fills.filter((f) => moment.knew(f.id)),
});

/** The cans as they stand, by what was poured. */
function containersOf(pours: readonly Pour[]): Container[] {
  const cans = new Map<number, Container>();
  for (const { number, capacity, litres, clean, at } of pours) {
    const can = cans.get(number) ?? { number, capacity, litres: 0, clean: true };
    cans.set(number, { ...can, litres: can.litres + litres, clean: can.clean && clean, at });
  }
  return [...cans.values()];
}

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

/** A reading that cannot be is a fact all the same: it is flagged and is no witness. */
export function witness(
  own: Draft<FuelSlice>,
  moment: Moment,
  { kind, reading, tell, facts }: { kind: WitnessKind; reading: number | null; tell: Tell; facts: Readonly<FuelFacts> },
): string | null {
  try {
    const known = knownTo(own, moment);
    own.witnesses.push({
      id: moment.id,
      kind,
      reading,
      litres: witnessLitres(facts.vehicle, kind, reading),
      // Bursts say what was aboard when they began.
      outBefore: (kind === 'bursts' ? own.burstsFrom : null) ?? litresOut(known),
      inBefore: litresIn(known),
    });
    pastGuess({ vehicle: facts.vehicle, least: shownBy(kind, reading), tell });
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return error.message;
  }
}

/** A fact that goes past what was guessed of the tank is taken; the guess is widened and asked about. */
export function pastGuess({
  vehicle,
  least,
  tell,
}: {
  vehicle: FuelFacts['vehicle'];
  least: AtLeast;
  tell: Tell;
}): void {
  const wider = widened(vehicle, least);
  if (wider === vehicle) return;
  tell('tankWidened', least);
  const { litres: most } = vehicle.tank;
  tell('flagged', {
    text:
      least.mm === undefined
        ? say`${litres(least.litres ?? 0, least.litres ?? 0, 1)} were in it, the file guesses ${litres(most.hi)} at most: what does this tank hold?`
        : say`wet to ${mm(least.mm)}, the file guesses a tank of ${mm(vehicle.tank.shape.height)}: what is its shape?`,
  });
}

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
    return { witnesses, pours: [], containers: [], moves: [], fills: [], filled: 0, fuel, burstsFrom: null };
  },
  hears: {
    waiting: (own, { what, state }) => {
      if (what === BURSTS && state === 'start') own.burstsFrom = litresOut(own);
    },
    // Witnesses that were read through the old shape are read anew.
    tankShaped: (own, _event, { tell, facts: { vehicle } }) => {
      own.witnesses = own.witnesses.flatMap((w) => {
        try {
          return [{ ...w, litres: witnessLitres(vehicle, w.kind, w.reading) }];
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          tell('flagged', { text: `not counted as a witness any more: ${error.message}` });
          return [];
        }
      });
    },
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
