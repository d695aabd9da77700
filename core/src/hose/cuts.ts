import { InputError } from '../errors/index.ts';

/** Pieces cut from one coil. */
export interface CoilCut {
  /** mm of it there was. */
  coil: number;
  /** mm of each piece, longest first. */
  pieces: number[];
  /** mm that stay on it. */
  rest: number;
}

/** A cut list. */
export interface CutList {
  /** Coils that are cut into. */
  cuts: CoilCut[];
  /** mm of the coils cut into that are no piece. */
  waste: number;
  /** mm of pieces for which no coil is left, together; 0: all are cut. */
  missing: number;
}

/** More than this nobody cuts for one tank. */
const MOST = { pieces: 14, coils: 10 };
/** So many steps are tried before what was found so far has to do: a fraction of a second. */
const STEPS = 400_000;

/**
 * Which piece from which coil: as many mm as can be had, then least of the coils cut into is wasted, then the longest single rest stays.
 * Found by trying all that could still be better, for very many pieces as long as it may take.
 *
 * @param pieces mm each; `coils` mm each
 * @throws InputError for a length that is none, or more than one tank needs
 * @example cutList([300, 500], [1000, 600]).cuts // one coil of 1000: 500 and 300
 */
export function cutList(pieces: readonly number[], coils: readonly number[]): CutList {
  for (const [field, list, most] of [
    ['pieces', pieces, MOST.pieces],
    ['coils', coils, MOST.coils],
  ] as const) {
    if (list.length > most) throw new InputError(field, String(list.length), `at most ${most}`);
    for (const one of list)
      if (!(one > 0 && one <= 100_000)) throw new InputError(field, String(one), 'mm, more than none');
  }
  const wanted = [...pieces].sort((a, b) => b - a);
  const shelf = [...coils].sort((a, b) => a - b);
  const left = [...shelf];
  const into: number[][] = shelf.map(() => []);
  let best: { cuts: CoilCut[]; score: readonly [number, number, number] } | null = null;
  const after = wanted.reduceRight<number[]>((sums, one) => [one + (sums[0] ?? 0), ...sums], [0]);

  const scoreNow = (missing: number): readonly [number, number, number] => {
    const used = into.flatMap((list, i) => (list.length > 0 ? [left[i]!] : []));
    return [missing, used.reduce((a, b) => a + b, 0), -Math.max(0, ...used)];
  };
  const better = (a: readonly number[], b: readonly number[]): boolean => {
    const at = a.findIndex((value, i) => Math.abs(value - b[i]!) > 1e-6);
    return at >= 0 && a[at]! < b[at]!;
  };
  let steps = 0;
  const go = (i: number, missing: number): void => {
    steps += 1;
    if (best && steps > STEPS) return;
    // What no rest has room for is missing whatever is tried.
    const room = left.reduce((a, b) => a + b, 0);
    if (best && missing + Math.max(0, after[i]! - room) > best.score[0] + 1e-6) return;
    if (i === wanted.length) {
      const score = scoreNow(missing);
      if (best && !better(score, best.score)) return;
      best = {
        score,
        cuts: shelf.flatMap((coil, k) =>
          into[k]!.length > 0 ? [{ coil, pieces: [...into[k]!], rest: left[k]! }] : [],
        ),
      };
      return;
    }
    // Coils cut into so far hold what is wasted at the least, less what is still to be cut from them.
    const wasted = into.reduce((sum, list, k) => sum + (list.length > 0 ? left[k]! : 0), 0);
    if (best && missing >= best.score[0] - 1e-6 && wasted - after[i]! > best.score[1] + 1e-6) return;
    const piece = wanted[i]!;
    const tried = new Set<string>();
    for (let k = 0; k < left.length; k++) {
      const kind = `${left[k]} ${into[k]!.length > 0}`;
      if (left[k]! < piece - 1e-6 || tried.has(kind)) continue;
      tried.add(kind);
      left[k]! -= piece;
      into[k]!.push(piece);
      go(i + 1, missing);
      into[k]!.pop();
      left[k]! += piece;
    }
    // Left out as well: a long one may take the place of two that are more together.
    go(i + 1, missing + piece);
  };
  go(0, 0);
  const { cuts, score } = best!;
  return { cuts, waste: score[1], missing: score[0] };
}
