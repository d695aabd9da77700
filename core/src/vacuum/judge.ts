import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { fuels, vapourPressure, type FuelKind } from '../fluid/index.ts';
import { ATMOSPHERE, GRAVITY, kilopascals, say } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { LineHeldBody, TesterState, ValveTriedBody } from './bodies.ts';

/** What is said of a tester that was not proved: nothing that hangs on it says anything. */
function untried(tester: TesterState): Verdict | null {
  if (tester === 'held') return null;
  const fell = tester === 'fell';
  return {
    outcome: 'unknown',
    reasons: [
      { text: fell ? 'the tester itself does not hold' : 'nobody proved the tester first', basis: commonPractice },
    ],
    next: ['shut the tester’s own end and pump: it has to stand a minute before it says anything of another thing'],
  };
}

/**
 * Vacuum that a column of fuel asks of the valve at its foot, kPa: ρ · g · h.
 *
 * @param lift m
 * @throws InputError for no height
 * @example liftVacuum(0.46, 'petrol') // 3.36 kPa
 */
export function liftVacuum(lift: number, fuel: FuelKind): number {
  if (!(lift >= 0 && lift <= 3)) throw new InputError('lift', String(lift), '0 to 3 m');
  return (fuels[fuel].density.typ * 1000 * GRAVITY * lift) / 1000;
}

/**
 * A non-return valve tried by vacuum: it holds against its arrow and lets go along it. Nothing either way: it leaks, or it is not
 * there, and then it lies somewhere.
 *
 * @example judgeValve({ valve: 'foot valve', tester: 'held', against: 'holds', along: 'nothing' }, 'petrol').outcome // 'good'
 */
export function judgeValve({ tester, against, along, kPa, lift }: ValveTriedBody, fuel: FuelKind): Verdict {
  const basis = commonPractice;
  const first = untried(tester);
  if (first) return first;
  const only = (outcome: Verdict['outcome'], text: string, next: string[]): Verdict => ({
    outcome,
    reasons: [{ text, basis }],
    next,
  });
  const empties = 'until it is mended a line opened below the level empties the tank: clamp it first';
  if (against === 'nothing' && along === 'nothing')
    return only('bad', 'no vacuum either way: it leaks, or it is missing inside', [
      'look for what is missing: tank, line, filter, until it is found',
      empties,
    ]);
  if (against === 'holds' && along === 'holds')
    return only('bad', 'it holds both ways: stuck shut', [
      'nothing passes it: another valve, or clean it and try again',
    ]);
  if (against === 'nothing')
    return only('bad', 'it holds the wrong way: turned about?', ['which way does its arrow point?', empties]);
  if (against === 'lets')
    return only('bad', 'it lets go slowly against its arrow', [
      'dirt on its seat? Rinse it and try again, else another valve',
      empties,
    ]);
  if (along !== 'nothing')
    return only('doubtful', 'it holds as it should, and opens hard the other way', [
      'does it open under its own weight of fuel? Rinse it and try again',
    ]);
  if (kPa === undefined || lift === undefined) return only('good', 'it holds one way and opens the other', []);
  const asked = liftVacuum(lift, fuel);
  const enough = kPa >= asked;
  return {
    outcome: enough ? 'good' : 'bad',
    reasons: [
      {
        text: enough ? 'it holds its column of fuel' : 'it lets its column of fuel fall back',
        figure: say`${kilopascals(kPa)}`,
        limit: say`${kilopascals(asked)}`,
        basis: computed(`ρ·g·h over ${roundTo(lift, 0.01)} m`),
      },
    ],
    next: enough ? [] : ['another valve', empties],
  };
}

/** A line that keeps so much of its vacuum over so long shows no gross leak; common practice, no source. */
const LINE = { keeps: 0.8, seconds: 60, least: 20 };
/** Petrol boils before the air outside is drawn off: no more than this share of what is left above it. */
const BOILS = 0.9;
/** Reid vapour pressure of summer petrol, Pa; from memory of EN 228. */
const REID = 60_000;

/**
 * A line plugged at one end under vacuum. What holds shows no gross leak; a rubber joint over nylon may hold vacuum and blow at
 * pressure, so its proof stays pressure.
 *
 * @throws InputError for vacuum that grows
 * @example judgeLine({ line: 'feed', tester: 'held', from: 40, to: 38, seconds: 60 }, 'petrol').outcome // 'good'
 */
export function judgeLine({ tester, from, to, seconds }: LineHeldBody, fuel: FuelKind): Verdict {
  const basis = commonPractice;
  if (to > from) throw new InputError('body.to', String(to), `no more than the ${from} kPa it began with`);
  const first = untried(tester);
  if (first) return first;
  const figure = say`${kilopascals(from)} to ${kilopascals(to)} in ${roundTo(seconds, 1)} s`;
  const limit = say`${LINE.keeps * 100} % of it for ${LINE.seconds} s`;
  const said = (outcome: Verdict['outcome'], text: string, next: string[]): Verdict => ({
    outcome,
    reasons: [{ text, figure, limit, basis }],
    next,
  });
  if (from > boilsAt(fuel))
    return said('unknown', 'so much vacuum makes fuel left in it boil', ['drain the line, or draw less']);
  if (to < LINE.keeps * from)
    return said('bad', 'it does not hold', ['plug it joint by joint: the one that falls is it']);
  if (seconds < LINE.seconds || from < LINE.least)
    return said('unknown', 'too short, or too little to tell', [`at least ${LINE.least} kPa for ${LINE.seconds} s`]);
  return said('good', 'no gross leak', ['its proof is pressure: look at every joint of it with pressure on']);
}

/** Vacuum at which fuel left in it begins to boil at 20 °C, kPa. */
const boilsAt = (fuel: FuelKind): number =>
  fuels[fuel].flash.below > 0 ? 100 : (BOILS * (ATMOSPHERE - vapourPressure(REID, 20))) / 1000;
