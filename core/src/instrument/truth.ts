import { fuels } from '../fluid/index.ts';
import type { JobState } from '../job/index.ts';
import { openItems } from '../ledger/index.ts';
import { seeded } from '../rehearsal/index.ts';
import { burstClock, BURSTS, levelShare, litresIn, litresOut, staysAboard } from '../tank/index.ts';
import { exactly } from '../estimate/index.ts';
import { estimateOf, type Range } from '../vehicle/index.ts';

/** What a demo job hides: the instruments follow it, so that what is wrong is really there to be found. */
interface HiddenTruth {
  /** Litres aboard when the job was opened. */
  litres: number;
  emptyMass: number;
  density: number;
  /** kPa in the line at the start. */
  pressure: number;
  /** Volts lost under load. */
  feedDrop: number;
  groundDrop: number;
  /** Share of the height between which the sender is open; null when it is sound. */
  deadSpot: [number, number] | null;
  /** L/min of its own pump. */
  pumpFlow: number;
  codes: string[];
}

/**
 * The truth behind a demo job: inside every range of its file and its first witnesses, the same for the same job on every
 * machine.
 *
 * @example hiddenTruth(state).litres // inside state.fuel.aboard
 */
export function hiddenTruth(state: JobState): HiddenTruth {
  const rng = seeded([...state.jobId].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7));
  const inside = ({ lo, hi }: Pick<Range, 'lo' | 'hi'>) => lo + (0.25 + 0.5 * rng()) * (hi - lo);
  const { tank } = state.vehicle;
  const capacity = estimateOf(state.vehicle, tank.litres).typ;
  const first = state.witnesses.find((w) => w.outBefore === 0 && w.inBefore === 0);
  const litres = first ? inside(first.litres) : capacity * (0.2 + 0.5 * rng());
  const [mass, density] = [inside(tank.emptyMass), inside(fuels[state.vehicle.fuel].density)];
  const [injected, flow] = [state.vehicle.feed === 'injected', 1.3 + 0.6 * rng()];
  return {
    litres: Math.min(litres, capacity),
    emptyMass: mass,
    density,
    pressure: injected && fuels[state.vehicle.fuel].flash.below < 40 ? 240 + 120 * rng() : 0,
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
  };
}

/** What is true now, from the log and the time. */
interface Now {
  litres: number;
  pressure: number;
  pumped: number;
  lel: number;
  levelShare: number;
}

/** The wait that runs while pressure is let out. */
export const BLEEDING = 'pressure let out';

/** How fast it falls once it is let out: to a third in so many seconds. */
const BLEED_SECONDS = 5;

/** @param at ms since the epoch */
export function nowOf(truth: HiddenTruth, state: JobState, at: number): Now {
  const out = state.containers.reduce((sum, c) => sum + c.litres, 0);
  const before = Math.max(0, truth.litres - litresOut(state) + litresIn(state));
  const bursts = [...state.waits].reverse().find((w) => w.what === BURSTS);
  const counted = bursts ? Math.max(0, out - (state.burstsFrom ?? 0)) : 0;
  const aboardThen = before + counted;
  const seconds = bursts ? ((bursts.ended ? Date.parse(bursts.ended) : at) - Date.parse(bursts.started)) / 1000 : 0;
  const rest = staysAboard(state.vehicle, exactly(aboardThen)).litres.typ;
  const pumped = Math.min((burstClock(seconds).pumped / 60) * truth.pumpFlow, Math.max(0, aboardThen - rest));
  const litres = Math.max(0, aboardThen - Math.max(pumped, counted));
  const bleeding = state.waits.find((w) => w.what === BLEEDING);
  const letOut = bleeding ? Math.max(0, (at - Date.parse(bleeding.started)) / 1000) : 0;
  const died = state.pressure?.instead === 'engineDied';
  const pressure = died ? 4 : truth.pressure * Math.exp(-letOut / BLEED_SECONDS);
  const airMoves = state.gates[1].answers.air?.answer === 'yes';
  const wet = state.containers.length > 0 || openItems(state).some((i) => i.kind === 'line');
  return {
    litres,
    pressure,
    pumped,
    lel: fuels[state.vehicle.fuel].flash.below > 40 ? 0 : (wet ? 6 : 2) * (airMoves ? 0.4 : 1.6),
    levelShare: levelShare(state.vehicle, litres),
  };
}
