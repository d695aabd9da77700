import {
  fuelInSection,
  profileAxis,
  sectionOf,
  shapeLitres,
  staysAboard,
  surfaceAt,
  tankOutlet,
  type Axis,
  type Estimate,
  type Tilt,
  type VehicleFile,
} from '@iron-cradle/core';

/** A point, px. */
export type Px = readonly [number, number];

/** A tank as it is drawn from one side. */
export interface TankView {
  /** From which side. */
  axis: Axis;
  /** Polygons in px. */
  outline: Px[];
  /** Fuel that is there for certain. */
  sure: Px[][];
  /** Fuel that may be there, above that. */
  maybe: Px[][];
  /** What stays behind a sill. */
  behind: Px[][];
  /** The pick-up: where it ends, and where it comes through the roof. */
  pickUp: { end: Px; top: Px; guessed: boolean } | null;
  /** Level of the surface for certain and at most, px from the top. */
  surface: { lo: number; hi: number };
  /** px of a height in a level tank, and back, for dragging. */
  yOf: (mm: number) => number;
  /** Which level a height on the drawing means, mm. */
  mmAt: (y: number) => number;
  /** Of the drawing, px. */
  width: number;
  /** Of the drawing, px. */
  height: number;
}

interface Ask {
  vehicle: VehicleFile;
  aboard: Estimate;
  tilt: Tilt;
  axis?: Axis;
  /** px to draw in. */
  box: { width: number; height: number };
}

/**
 * Places of the tank’s section: the tank is turned, the fuel stays level. Every height comes from the core.
 */
export function layTank({ vehicle, aboard, tilt, axis, box }: Ask): TankView {
  const { shape } = vehicle.tank;
  const along = axis ?? profileAxis(shape);
  const section = sectionOf(shape, along);
  const run = along === 'x' ? shape.length : shape.width;
  const degrees = along === 'x' ? tilt.x : tilt.y;
  const turn = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const across = run * cos + shape.height * Math.abs(sin);
  const tall = shape.height * cos + run * Math.abs(sin);
  const scale = Math.min(box.width / across, box.height / tall);
  const height = tall * scale;
  const [cx, cy] = [box.width / 2, height / 2];
  const place = ([h, z]: readonly [number, number]): Px => {
    const [dx, dz] = [h - run / 2, z - shape.height / 2];
    return [cx + scale * (dx * cos + dz * sin), cy + scale * (dx * sin - dz * cos)];
  };
  const full = vehicle.tank.litres.typ;
  const heights = (litres: number) =>
    surfaceAt(shape, Math.min(1, Math.max(0, litres / full)) * shapeLitres(shape), tilt);
  const fuel = (litres: number) =>
    litres <= 0 ? [] : fuelInSection(shape, { axis: along, tilt, heights: heights(litres) }).map((p) => p.map(place));
  const sure = fuel(aboard.lo);
  const maybe = fuel(aboard.hi);
  const stays = staysAboard(vehicle, aboard, tilt);
  const top = (list: Px[][]) => Math.min(...list.flat().map((p) => p[1]));
  const behind =
    stays.trapped && section.isProfile
      ? fuelInSection(shape, {
          axis: along,
          tilt,
          heights: stays.trapped.levels.map((level, cell) =>
            stays.trapped!.pockets.some((p) => p.kind === 'sill' && p.cells.includes(cell)) ? level : -1e6,
          ),
        }).map((p) => p.map(place))
      : [];
  const outlet = tankOutlet(vehicle);
  const at = along === 'x' ? outlet.at[0] : outlet.at[1];
  const floor = cy + (scale * shape.height) / 2;
  return {
    axis: along,
    outline: section.outline.map(place),
    sure,
    maybe,
    behind,
    pickUp: section.isProfile
      ? { end: place([at, outlet.at[2]]), top: place([at, shape.height]), guessed: outlet.guessed }
      : null,
    surface: { lo: sure.length ? top(sure) : floor, hi: maybe.length ? top(maybe) : floor },
    yOf: (mm) => floor - mm * scale,
    mmAt: (y) => Math.min(shape.height, Math.max(0, (floor - y) / scale)),
    width: box.width,
    height,
  };
}

/** The outline with its corners rounded, as sheet and plastic are. */
export function roundedPath(points: readonly Px[], radius = 11): string {
  const n = points.length;
  const toward = (a: Px, b: Px): Px => {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const r = Math.min(radius, length / 2);
    return [a[0] + ((b[0] - a[0]) * r) / length, a[1] + ((b[1] - a[1]) * r) / length];
  };
  const at = ([x, y]: Px) => `${Math.round(x * 10) / 10} ${Math.round(y * 10) / 10}`;
  return (
    points
      .map((p, i) => {
        const [before, after] = [toward(p, points[(i + n - 1) % n]!), toward(p, points[(i + 1) % n]!)];
        return `${i === 0 ? 'M' : 'L'}${at(before)}Q${at(p)} ${at(after)}`;
      })
      .join('') + 'Z'
  );
}

/** An SVG path through points, closed. */
export const pathOf = (points: readonly Px[]): string =>
  `M${points.map(([x, y]) => `${Math.round(x * 10) / 10} ${Math.round(y * 10) / 10}`).join('L')}Z`;
