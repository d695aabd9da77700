export { drainTime, frictionFactor, siphonFlow, GRAVITY, type Hose } from './flow.ts';
export { burstClock, burstLitres, BURST, REST, type BurstClock } from './bursts.ts';
export { shareOut, type CanPlan } from './cans.ts';
export { capShutStopsAfter, siphonCrest, suctionLift, ATMOSPHERE, type Crest } from './limits.ts';
export { bestWayOut, drainWays, type DrainWay, type DrainWayId } from './ways.ts';
export { drainFacts, kitOf, startingKit, type DrainFacts, type DrainKit } from './facts.ts';
export { fuelBalance, type Balance } from './balance.ts';
export { judgeSample, sampleLooks, SAMPLE_STANDS, type Sample, type SampleLook } from './sample.ts';
export { CELSIUS, safeFillToday } from './day.ts';
