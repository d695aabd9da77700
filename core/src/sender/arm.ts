import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { litres, mm, rounded, say } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { bentArm } from './curve.ts';

/** Height of the float below the flange at both stops, mm. */
export interface FloatHeights {
  /** At the empty stop. */
  empty: number;
  /** At the full stop. */
  full: number;
}

/** A rule beside a float errs by so much, mm; common practice, no source. */
const RULE = 3;
/** Litres a gauge may be wrong by, share of what the tank holds; common practice, no source. */
const WRONG = { good: 0.05, bad: 0.1 };

/**
 * A bent arm does not show in ohms: at the stops it reads as before. Measured below the flange at both stops against what it was,
 * both move the same way by as much; where one alone moved its stop is bent, or a clip is in the way.
 *
 * @param was of a sound one: the file’s, the new one beside it
 * @throws InputError where empty does not lie below full
 * @example judgeArm({ empty: 240, full: 40 }, { empty: 220, full: 20 }, file).outcome // 'bad': the float hangs 20 mm lower
 */
export function judgeArm(now: FloatHeights, was: FloatHeights, file: VehicleFile): Verdict {
  for (const [field, { empty, full }] of [
    ['now', now],
    ['was', was],
  ] as const)
    if (!(empty > full && full >= 0))
      throw new InputError(field, `${empty} and ${full}`, 'at empty lower below the flange than at full');
  const [atEmpty, atFull] = [now.empty - was.empty, now.full - was.full];
  const basis = computed('float’s height at both stops, litres through the shape');
  if (Math.abs(atEmpty) <= RULE && Math.abs(atFull) <= RULE)
    return { outcome: 'good', reasons: [{ text: 'the float hangs where it did at both stops', basis }], next: [] };
  if (Math.abs(atEmpty - atFull) > 2 * RULE)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: say`the float moved ${mm(atEmpty, atEmpty, 1)} at empty and ${mm(atFull, atFull, 1)} at full: a stop is bent, or a clip or the roof is in the way`,
          basis,
        },
      ],
      next: ['clear of the clip, swing it to both stops again; a bent stop is no repair of the bench'],
    };
  const lower = (atEmpty + atFull) / 2;
  // It errs most where a millimetre is most litres: looked for all the way up.
  const { height } = file.tank.shape;
  const wrong = Array.from({ length: 41 }, (_, i) => Math.abs(bentArm(file, { mm: (height * i) / 40, lower })));
  const most = Math.max(...wrong);
  const share = most / file.tank.litres.typ;
  return {
    outcome: share <= WRONG.good ? 'good' : share <= WRONG.bad ? 'doubtful' : 'bad',
    reasons: [
      {
        text: say`the arm is bent: its float hangs ${mm(Math.abs(lower), Math.abs(lower), 1)} ${lower > 0 ? 'lower' : 'higher'} at both stops, so it reads ${lower > 0 ? 'too much' : 'too little'}`,
        figure: say`up to ${rounded(litres, { lo: most, hi: most }, 0.5)} wrong`,
        limit: `${WRONG.good * 100} % of the tank`,
        basis: commonPractice,
      },
    ],
    next: ['bend it back to the figures of the other one, sweep it again', 'or another sender'],
  };
}
