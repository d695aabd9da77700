export { drainTime, frictionFactor, siphonFlow, GRAVITY, type Hose } from './flow.ts';
export { burstClock, burstLitres, BURST, REST, type BurstClock } from './bursts.ts';
export { shareOut, type CanPlan } from './cans.ts';
export { bestWayOut, drainWays, startingKit, type DrainKit, type DrainWay, type DrainWayId } from './ways.ts';
