import type { ConditionSlice } from '../condition/index.ts';
import { fuels } from '../fluid/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { estimateOf, pumpOf, type Range, type VehicleSlice } from '../vehicle/index.ts';
import { seeded } from './random.ts';
import { truthInside, type Truth } from './under.ts';

/** What a job hides: under the vehicle, in the tank and in its wires. What is wrong is really there to be found. */
export interface HiddenTruth extends Truth {
  /** Litres aboard when the job was opened. */
  litres: number;
  /** Mass of the empty tank, kg. */
  emptyMass: number;
  /** Of its fuel, kg/L. */
  density: number;
  /** kPa in the line at the start. */
  pressure: number;
  /** Volts lost under load. */
  feedDrop: number;
  /** Volts lost in the ground under load. */
  groundDrop: number;
  /** Share of the height between which the sender is open; null when it is sound. */
  deadSpot: [number, number] | null;
  /** L/min of its own pump. */
  pumpFlow: number;
  /** Codes that the scan tool finds. */
  codes: string[];
  /** The one hole that all its leaks come to, mm. */
  leak: number;
  /** What is in it when it is empty, L. */
  airLitres: number;
  /** Is the hose inside split, so that the pump runs and little comes? */
  hoseSplit: boolean;
  /** Do its non-return valves let go slowly? */
  valvesLet: boolean;
}

/** Holes of a demo tank that leaks and of one that does not, mm. */
const LEAK = { open: 0.8, tight: 0.15 };
/** Litres that a tank of a demo holds to its brim, for one it is rated for. */
const VAPOUR_ROOM = 1.07;

/** What of a job its truth follows. */
type Hiding = { jobId: string } & Pick<VehicleSlice, 'vehicle' | 'file'> &
  Pick<OrderSlice, 'complaint'> &
  Pick<FuelSlice, 'witnesses'> &
  Pick<ConditionSlice, 'findings'>;

/**
 * The one truth behind a job, for instruments and rehearsals alike: inside every range of its file and its first witnesses,
 * the same for the same job on every machine.
 *
 * @example hiddenTruth(state).litres // inside state.fuel.aboard
 */
export function hiddenTruth(state: Hiding): HiddenTruth {
  const seed = [...state.jobId].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7);
  const rng = seeded(seed);
  const inside = ({ lo, hi }: Pick<Range, 'lo' | 'hi'>) => lo + (0.25 + 0.5 * rng()) * (hi - lo);
  const { tank } = state.vehicle;
  const capacity = estimateOf(state.vehicle, tank.litres).typ;
  const first = state.witnesses.find((w) => w.outBefore === 0 && w.inBefore === 0);
  const litres = first ? inside(first.litres) : capacity * (0.2 + 0.5 * rng());
  const [mass, density] = [inside(tank.emptyMass), inside(fuels[state.vehicle.fuel].density)];
  const [pump, flow] = [pumpOf(state.vehicle), 1.3 + 0.6 * rng()];
  // What somebody found and mended leaks no more.
  const mended = state.findings.some(({ verdict, note }) => verdict === 'good' && note);
  return {
    // Of all the file has: which of it is there is found out on the way.
    ...truthInside(state.file, seeded(seed + 1)),
    litres: Math.min(litres, capacity),
    emptyMass: mass,
    density,
    pressure: pump === 'electricHigh' ? 240 + 120 * rng() : pump === 'electricLow' ? 15 + 25 * rng() : 0,
    feedDrop: 0.12 + 0.1 * rng(),
    groundDrop: state.complaint === 'pump' && rng() < 0.3 ? 0.38 : 0.04,
    deadSpot: state.complaint === 'level' ? [0.35, 0.6] : null,
    pumpFlow: state.complaint === 'pump' ? 0 : flow,
    codes:
      state.complaint === 'hose'
        ? ['small vapour leak']
        : state.complaint === 'level'
          ? ['level signal implausible']
          : [],
    leak: (state.complaint === 'leak' || state.complaint === 'rust') && !mended ? LEAK.open : LEAK.tight,
    airLitres: capacity * VAPOUR_ROOM,
    hoseSplit: state.complaint === 'pump',
    valvesLet: state.complaint === 'fades',
  };
}
