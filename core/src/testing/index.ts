/**
 * How often a test tries something made by chance. Where mistakes are put in on purpose each one is looked for by every test that
 * passes by it, thousands of times: there a quarter has to do, or the share that `CHANCE` names.
 *
 * @example runs(400) // 400; 100 under npm run mutants
 */
export const runs = (count: number): number =>
  process.env.MUTANTS ? Math.ceil(count / Number(process.env.CHANCE ?? 4)) : count;
