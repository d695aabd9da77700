export { isSealedAfter, sealText, type Seal } from './seal.ts';
export { fingerprintInWords, standingOf, type KnownKey, type SealSeen, type Standing } from './standing.ts';
