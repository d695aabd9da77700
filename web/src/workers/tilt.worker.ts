import { bestTilt, type BestTilt, type Point3, type TankShape, type Tilt } from '@iron-cradle/core/shape';

export interface TiltAsk {
  shape: TankShape;
  outlet: Point3;
  reach: Tilt;
}

export type TiltTold = { progress: number } | { best: BestTilt };

/** The search for the best tilt, out of the way of the hand. */
self.onmessage = ({ data }: MessageEvent<TiltAsk>) => {
  const tell = (told: TiltTold) => self.postMessage(told);
  tell({ best: bestTilt(data.shape, data.outlet, data.reach, (progress) => tell({ progress })) });
};
