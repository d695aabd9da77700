export { judgeArm, type FloatHeights } from './arm.ts';
export { readSweep, writeSweep } from './csv.ts';
export { bentArm, heightAt, litresAt, stopsOf, type Stops } from './curve.ts';
export { senderFamilies, type SenderFamily } from './families.ts';
export { judgeNeedle, type Tap } from './needle.ts';
export type { Dead } from './found.ts';
export { judgeSweep, type Against, type SweepJudged } from './judge.ts';
export type { OhmPlace, Pass, SweepReading } from './types.ts';
export { needleIn, type NeedleMeans, type OtherTank } from './otherTank.ts';
