import { levelAt } from '../shape/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';

/** Share of the tank's height at which this many litres stand, level. @example levelShare(rail, 95) // 1 */
export const levelShare = (file: VehicleFile, litres: number): number =>
  levelAt(file.tank.shape, litres / file.tank.litres.typ) / file.tank.shape.height;
