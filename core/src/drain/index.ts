export { drainTime, frictionFactor, siphonFlow, GRAVITY, type Hose } from './flow.ts';
export { burstClock, burstLitres, BURST, REST, type BurstClock } from './bursts.ts';
export { shareOut, type CanPlan } from './cans.ts';
export { capShutStopsAfter, siphonCrest, suctionLift, ATMOSPHERE, type Crest } from './limits.ts';
export {
  bestWayOut,
  drainFacts,
  drainWays,
  startingKit,
  type DrainFacts,
  type DrainKit,
  type DrainWay,
  type DrainWayId,
} from './ways.ts';
export { fuelBalance, type Balance } from './balance.ts';
