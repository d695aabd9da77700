export { fuelBalance, type Balance } from './balance.ts';
export { shareOut, type CanPlan } from './cans.ts';
export { drainFacts, kitOf, startingKit, type DrainFacts, type DrainKit } from './facts.ts';
export { drainTime, frictionFactor, GRAVITY, siphonFlow, type Hose } from './flow.ts';
export { ATMOSPHERE, capShutStopsAfter, siphonCrest, suctionLift, type Crest } from './limits.ts';
export { CAP_OPENS, DRAIN_PLUG, HOSE_HEAD, SAMPLE, SECOND_TANK, WAY_OUT } from './questions.ts';
export { judgeSample, SAMPLE_STANDS, sampleLooks, type Sample, type SampleLook } from './sample.ts';
export { bestWayOut, drainWays, type DrainWay, type DrainWayId } from './ways.ts';
