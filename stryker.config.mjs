import { readdirSync, readFileSync } from 'node:fs';

/** For scripts/mutants.mjs, which says which folder of the core it is about. */
const folder = process.env.MUTANTS;
/** Of a folder whose tests take long, only what begins and ends on every so many lines: a sample. */
const every = Number(process.env.EVERY ?? 1);

const NOT = /\/(index|types|testing|questions)\.ts$|\.test\.ts$/;
/** Lines that are looked at, file by file; evenly spread. */
function sampled() {
  return readdirSync(`core/src/${folder}`)
    .map((name) => `core/src/${folder}/${name}`)
    .filter((file) => file.endsWith('.ts') && !NOT.test(file))
    .flatMap((file) => {
      const lines = readFileSync(file, 'utf8').split('\n').length;
      return Array.from({ length: Math.floor(lines / every) }, (_, i) => {
        const line = (i + 1) * every;
        return `${file}:${line}-${line}`;
      });
    });
}

export default {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { configFile: 'jest.mutants.config.js', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  // What stands still while tests run is built once and can't be told apart test by test.
  ignoreStatic: true,
  mutate:
    every > 1
      ? sampled()
      : [`core/src/${folder}/*.ts`, '!core/src/**/{index,types,testing,questions}.ts', '!core/src/**/*.test.ts'],
  // Words are read by people: a test that repeats each sentence would only say it twice.
  mutator: { excludedMutations: ['StringLiteral'] },
  tempDirName: '.cradle/mutants',
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: { reportTests: false, allowColor: false, allowEmojis: false, logTests: false },
  jsonReporter: { fileName: `.cradle/mutants-${folder}.json` },
  // From the root: the core has a bench of its own.
  ignorePatterns: [
    '/web',
    '/server',
    '/e2e',
    '/docs',
    '/bench',
    '/scripts/*',
    '!/scripts/quickFirst.cjs',
    '/.ci',
    '/.cradle/*',
  ],
  concurrency: Number(process.env.AT_ONCE ?? 2),
  // Native modules are never given back by the runner that loaded them: a new one now and then keeps it quick.
  maxTestRunnerReuse: 20,
  timeoutMS: 15_000,
};
