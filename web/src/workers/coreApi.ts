import {
  anotherDrop,
  makeCall,
  planSheet,
  type Call,
  type JobState,
  type PlanSheet,
  type TankState,
} from '@iron-cradle/core';
import { ahead, foresee, type Ahead, type Change, type Foresight } from '@iron-cradle/core/foresight';
import { bestTilt, type BestTilt, type Point3, type TankShape, type Tilt } from '@iron-cradle/core/shape';

/** The tank, its outlet, and how far it may be tipped. */
export interface TiltAsk {
  /** The tank. */
  shape: TankShape;
  /** Where the fuel leaves it, mm. */
  outlet: Point3;
  /** How far it tips either way, degrees. */
  reach: Tilt;
}

/** Hears how far a search is, 0 to 1. */
export type OnProgress = (share: number) => void;

/** What is computed out of the way of the hand. Plain data goes in and comes out. */
export const coreApi = {
  ahead: (state: TankState): Ahead => ahead(state),
  anotherDrop: (state: JobState, hour: number | null) => anotherDrop(state, hour),
  call: (state: JobState, tools: Parameters<typeof makeCall>[1]): Call => makeCall(state, tools),
  foresee: (state: TankState, changes: Change[], onProgress: OnProgress): Foresight =>
    foresee(state, { changes, onProgress: (share) => void onProgress(share) }),
  planSheet: (state: JobState): PlanSheet => planSheet(state),
  bestTilt: ({ shape, outlet, reach }: TiltAsk, onProgress: OnProgress): BestTilt =>
    bestTilt(shape, { outlet, reach, progress: (share) => void onProgress(share) }),
};

type Api = typeof coreApi;
/** The same from outside: everything takes its time. */
export type CoreApi = { [K in keyof Api]: (...asked: Parameters<Api[K]>) => Promise<ReturnType<Api[K]>> };
