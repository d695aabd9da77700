/** For scripts/mutants.mjs, which says which folder of the core it is about. */
const folder = process.env.MUTANTS;

export default {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { configFile: 'jest.mutants.config.js', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  // What stands still while tests run is built once and can't be told apart test by test.
  ignoreStatic: true,
  mutate: [`core/src/${folder}/*.ts`, '!core/src/**/{index,types,testing,questions}.ts', '!core/src/**/*.test.ts'],
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
