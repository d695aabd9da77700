import all from './jest.config.js';

/** The tests of one folder of the core, for what is wrong in it on purpose: the quick ones first, the solver beside it left out. */
const { displayName: _, ...core } = all.projects.find((project) => project.displayName === 'core');
export default {
  ...core,
  roots: [`<rootDir>/core/src/${process.env.MUTANTS}`],
  testPathIgnorePatterns: ['highs.test.ts$'],
  testSequencer: '<rootDir>/scripts/quickFirst.cjs',
};
