import { draws } from '../testing/index.ts';
import highsLoader, { type Highs } from 'highs';
import { InputError } from '../errors/index.ts';
import { seeded } from '../truth/index.ts';
import { cutList } from './index.ts';

let highs: Highs;
beforeAll(async () => void (highs = await highsLoader()));

/** The same as a mixed-integer program: first least missing, then least wasted of the coils cut into. */
function byHighs(pieces: readonly number[], coils: readonly number[]): { missing: number; waste: number } {
  const big = 1_000;
  const x = (i: number, k: number) => `x${i}_${k}`;
  const terms = [
    // What is cut is no waste: a piece that is left out costs its length once more.
    ...pieces.map((p, i) => `${(big + 1) * p} s${i}`),
    ...coils.map((c, k) => `${c} y${k}`),
  ];
  const once = pieces.map((_, i) => `p${i}: ${coils.map((__, k) => x(i, k)).join(' + ')} + s${i} = 1`);
  const room = coils.map((c, k) => `c${k}: ${pieces.map((p, i) => `${p} ${x(i, k)}`).join(' + ')} - ${c} y${k} <= 0`);
  const names = [
    ...pieces.flatMap((_, i) => coils.map((__, k) => x(i, k))),
    ...pieces.map((_, i) => `s${i}`),
    ...coils.map((_, k) => `y${k}`),
  ];
  const { ObjectiveValue, Columns } = highs.solve(
    `Minimize\n obj: ${terms.join(' + ')}\nSubject To\n ${[...once, ...room].join('\n ')}\nBinary\n ${names.join(' ')}\nEnd`,
    { mip_rel_gap: 0, mip_abs_gap: 1e-6 },
  );
  const missing = pieces.reduce(
    (sum, p, i) => sum + p * Math.round((Columns[`s${i}`] as { Primal: number }).Primal),
    0,
  );
  const all = pieces.reduce((a, b) => a + b, 0);
  return { missing, waste: ObjectiveValue - big * missing - all };
}

describe('cut list', () => {
  test('one coil for both rather than one each; then the longest rest stays', () => {
    expect(cutList([300, 500], [1000, 600])).toEqual({
      cuts: [{ coil: 1000, pieces: [500, 300], rest: 200 }],
      waste: 200,
      missing: 0,
    });
    // Two ways waste as much: the one that leaves a single long rest.
    expect(cutList([400, 400], [500, 900]).cuts).toEqual([{ coil: 900, pieces: [400, 400], rest: 100 }]);
  });
  test('what no coil has is missing, and said', () => {
    expect(cutList([700], [600, 600])).toMatchObject({ missing: 700, cuts: [], waste: 0 });
    // The long one left out so that two are cut.
    expect(cutList([6, 5, 5, 2], [10, 4, 4])).toMatchObject({ missing: 6 });
    expect(cutList([], [600])).toEqual({ cuts: [], waste: 0, missing: 0 });
  });
  test('as HiGHS on many lists: as much missing, as much wasted', () => {
    const chance = seeded(5);
    const any = (least: number, most: number) => Math.round((least + chance() * (most - least)) / 10) * 10;
    for (let i = 0; i < draws(100); i++) {
      const pieces = Array.from({ length: 2 + Math.floor(chance() * 5) }, () => any(100, 700));
      const coils = Array.from({ length: 2 + Math.floor(chance() * 4) }, () => any(300, 1500));
      const { missing, waste, cuts } = cutList(pieces, coils);
      const theirs = byHighs(pieces, coils);
      expect({ missing, waste: Math.round(waste) }).toEqual({
        missing: theirs.missing,
        waste: Math.round(theirs.waste),
      });
      for (const { coil, pieces: cut, rest } of cuts) expect(cut.reduce((a, b) => a + b, 0) + rest).toBe(coil);
    }
  });
  test('fourteen pieces from ten coils do not hang', () => {
    const pieces = Array.from({ length: 14 }, (_, i) => 210 + 37 * i);
    const coils = Array.from({ length: 10 }, (_, i) => 600 + 53 * i);
    expect(cutList(pieces, coils).missing).toBeGreaterThanOrEqual(0);
  });
  test.each([
    [[0], [100], 'pieces'],
    [[100], [Number.NaN], 'coils'],
    [Array.from({ length: 15 }, () => 10), [100], 'pieces'],
  ])('%j from %j is refused', (pieces, coils, field) => {
    expect(() => cutList(pieces, coils)).toThrow(InputError);
    expect(() => cutList(pieces, coils)).toThrow(field);
  });
});
