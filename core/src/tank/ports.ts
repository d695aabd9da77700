import { shapeLitres, tiltToPort, type Point3 } from '../shape/index.ts';
import type { Connection, VehicleFile } from '../vehicle/index.ts';

/** Where a line sits on the tank: along as the file says, on the roof, near the side it names. */
function portOf(file: VehicleFile, line: Pick<Connection, 'x' | 'side'>): Point3 {
  const { shape } = file.tank;
  const x = Math.min(shape.length, Math.max(0, (line.x * shape.length) / file.length));
  const y = /left|near/.test(line.side) ? 0 : /right|far|outside/.test(line.side) ? shape.width : shape.width / 2;
  return [x, y, shape.height];
}

/**
 * How far the tank may be tipped along its ends until fuel stands at one of these open ports, the soonest first.
 *
 * @param litres aboard, at the most
 * @returns null when none is reached within 30°, or for a level table
 * @example spillTilt(rail, 60, rail.connections)!.degrees // 9.4, down to the rear, at the filler hose
 */
export function spillTilt(
  file: VehicleFile,
  litres: number,
  lines: readonly Connection[],
): { degrees: number; end: string; port: string } | null {
  const { shape } = file.tank;
  if (shape.kind === 'table' || litres <= 0) return null;
  const full = file.tank.litres.hi;
  const inShape = Math.min(1, litres / full);
  const capacity = shapeLitres(shape);
  const found = lines.flatMap((line) =>
    ([-1, 1] as const).flatMap((way) => {
      const degrees = tiltToPort(shape, {
        litres: inShape * capacity,
        port: portOf(file, line),
        direction: { x: way, y: 0 },
      });
      return degrees === null ? [] : [{ degrees, end: file.ends[way > 0 ? 1 : 0], port: line.name }];
    }),
  );
  return found.sort((a, b) => a.degrees - b.degrees)[0] ?? null;
}
