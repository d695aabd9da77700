export { fuelBalance, type Balance } from './balance.ts';
export { shareOut } from './cans.ts';
export { drainFacts, kitOf, startingKit, type DrainKit } from './facts.ts';
export { CAP_OPENS, HOSE_HEAD, SAMPLE, SECOND_TANK, WAY_OUT } from './questions.ts';
export { judgeSample, SAMPLE_STANDS, sampleLooks, type SampleLook } from './sample.ts';
export { bestWayOut, drainWays, type DrainWay } from './ways.ts';
