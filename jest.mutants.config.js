import all from './jest.config.js';

/** The tests of one folder of the core, for what is wrong in it on purpose. */
const { displayName: _, ...core } = all.projects.find((project) => project.displayName === 'core');
export default { ...core, roots: [`<rootDir>/core/src/${process.env.MUTANTS}`] };
