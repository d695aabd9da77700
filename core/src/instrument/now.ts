import { exactly } from '../estimate/index.ts';
import { fuels } from '../fluid/index.ts';
import type { JobState } from '../job/index.ts';
import { openItems } from '../ledger/index.ts';
import { burstClock, BURSTS, levelShare, litresIn, litresOut, staysAboard } from '../tank/index.ts';
import type { HiddenTruth } from '../truth/index.ts';

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

/** How fast it falls once it is let out: to a third in so many seconds. Simulated; common practice, no source. */
const BLEED_SECONDS = 5;

/**
 * What is really so at a moment: what the log says was done, and what time did since.
 *
 * @param at ms since the epoch
 * @example nowOf(truth, state, Date.now()).pressure // kPa
 */
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
