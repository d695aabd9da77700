import { commonPractice, computed } from '../basis/index.ts';
import { add, exactly, type Estimate } from '../estimate/index.ts';
import { judgeHandling, kilogramsOf, tankMass } from '../handling/index.ts';
import { litres, mm, rounded, say } from '../quantity/index.ts';
import { TO_PUSH } from '../proof/index.ts';
import { fuelCelsius, spillTilt } from '../tank/index.ts';
import { byJack, carriesFluid, estimateOf, splitKey } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import type { GateFactsToJudge } from './facts.ts';

/** Fuel put back on the bench, judged before the tank goes up. */
export interface FuelBack {
  /** L that have to go in so that the test stop proves joints; none where enough is in it. */
  needed: number;
  /** What is then aboard, L. */
  aboard: Estimate;
  /** What it then weighs, kg. */
  mass: Estimate;
  /** mm one end may then hang below the other before fuel stands at an open port; null: none is reached, or nobody knows its shape. */
  tilt: number | null;
  /** At which port, and down to which end. */
  at: string | null;
  /** May it? */
  verdict: Verdict;
}

/**
 * So many litres of sound fuel back in on the bench: do they cover the pick-up, who may still hold it, how far may it be tipped now?
 *
 * @param litresBack L to go in
 * @example fuelBack(state, 8).verdict.outcome // 'doubtful' where it needs two from then on
 */
export function fuelBack(state: GateFactsToJudge, litresBack: number): FuelBack {
  const { vehicle, fuel } = state;
  const least = estimateOf(vehicle, vehicle.tank.unusable).hi + TO_PUSH;
  const needed = Math.max(0, Math.ceil((least - fuel.aboard.lo) * 2) / 2);
  const aboard = add(fuel.aboard, exactly(litresBack));
  const mass = tankMass(vehicle, aboard, fuelCelsius(state));
  const handling = judgeHandling(mass, kilogramsOf(state));
  const open = vehicle.connections.filter((line) =>
    state.items.some(
      (item) =>
        item.kind === 'line' &&
        splitKey(item.key).id === line.id &&
        (item.state === 'open' || item.state === 'deferred'),
    ),
  );
  const ports = open.filter(carriesFluid);
  const spill = spillTilt(vehicle, aboard.hi, ports);
  const tilt = spill ? Math.floor((Math.tan((spill.degrees * Math.PI) / 180) * vehicle.length) / 5) * 5 : null;
  const found: Found[] = [
    aboard.lo >= least
      ? {
          outcome: 'good',
          text: 'it covers the pick-up: the test stop can prove joints',
          figure: say`${rounded(litres, aboard, 1)}`,
          limit: say`${litres(least, least)}`,
        }
      : {
          outcome: 'doubtful',
          text: 'not surely enough over the pick-up: the test stop proves plug, sender and ground',
          figure: say`${rounded(litres, aboard, 1)}`,
          limit: say`${litres(least, least)}`,
          next: say`${litres(needed, needed, 1)} in all`,
        },
    // On a jack nobody holds it: who may take it off the jack is said, and is no reason against it.
    ...handling.verdict.reasons.map((reason): Found => ({
      outcome: handling.verdict.outcome === 'bad' && byJack(vehicle) ? 'doubtful' : handling.verdict.outcome,
      ...reason,
      ...(handling.verdict.next[0] ? { next: 'put less in, or nobody lifts it: it stays on the jack' } : {}),
    })),
    ...(tilt === null
      ? []
      : [
          {
            outcome: tilt < vehicle.tiltLimit ? ('doubtful' as const) : ('good' as const),
            text: `tipped further than this fuel stands at the open ${spill!.port}`,
            figure: say`${mm(tilt, tilt)}, ${spill!.end} down`,
            limit: say`the file lets ${mm(vehicle.tiltLimit, vehicle.tiltLimit)}`,
            basis: computed('litres through its shape, the level below every open port'),
            next: 'cap it, or go up level',
          },
        ]),
  ];
  return {
    needed,
    aboard,
    mass,
    tilt,
    at: spill ? `${spill.port}, ${spill.end} down` : null,
    verdict: verdictFrom(found, {
      basis: commonPractice,
      next: ['sound fuel through the neck or its own port, caps on at once; battery on only with every open end shut'],
    }),
  };
}
