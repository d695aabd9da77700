export * from './types.ts';
export { solve, Stopped, type SolveOptions } from './solve.ts';
export { inReach } from './geometry.ts';
