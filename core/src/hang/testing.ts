import type fc from 'fast-check';
import { anyKey } from '../ledger/index.ts';
import type { Pose } from '../pose/index.ts';
import type { StopDoneBody } from './bodies.ts';

/** Level drops from home to 350 mm, for property tests. */
export const anyPose = (f: typeof fc): fc.Arbitrary<Pose> =>
  f.integer({ min: 0, max: 70 }).map((n) => ({ f: n * 5, r: n * 5 }));

/** Stops sensible and senseless, for property tests. */
export const anyStop = (f: typeof fc): fc.Arbitrary<StopDoneBody> => {
  const names = f.subarray(['feed', 'vent', 'plug', 'return', 'moon']);
  return f.record({
    to: anyPose(f),
    off: f.array(f.record({ key: anyKey(f) }), { maxLength: 4 }),
    capped: f.constant<string[]>([]),
    look: f.record({ asked: f.boolean(), tight: names, nearly: names, allFist: f.boolean(), reachable: names }),
    notDone: f.constant<{ key: string }[]>([]),
  });
};
