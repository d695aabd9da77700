/**
 * How often a test tries something made by chance. Where mistakes are put in on purpose each one is looked for by every test that
 * passes by it, thousands of times: there a quarter has to do, or the share that `CHANCE` names.
 *
 * @example runs(400) // 400; 100 under npm run mutants
 */
export const runs = (count: number): number =>
  process.env.MUTANTS ? Math.ceil(count / Number(process.env.CHANCE ?? 4)) : count;

/**
 * The same for what never found a fault yet: a quarter of it at each ordinary run, the first of the same seeds; `DRAWS=1` tries all of it,
 * `DRAWS=10` ten times as many.
 *
 * @example draws(2000) // 500; 2000 under DRAWS=1
 */
export const draws = (count: number): number =>
  process.env.MUTANTS ? runs(count) : Math.ceil(count * Number(process.env.DRAWS ?? 1 / 4));
