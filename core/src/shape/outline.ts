import type { BoxShape, TankShape } from './types.ts';

/** A tank as a profile drawn out in the other direction: along which it runs, its points (that and z), how deep. */
export interface Outline {
  /** Along which it runs. */
  axis: 'x' | 'y';
  /** Its corners: that axis and z, mm. */
  points: [number, number][];
  /** How far it is drawn out, mm. */
  depth: number;
  /** A box below the floor: from, to in x, y and z. */
  sump: { x: [number, number]; y: [number, number]; top: number } | null;
}

/** Sides of the polygon that stands for a round end. Its area is that of the circle, so a full tank is full. */
const FACETS = 128;

/**
 * The profile of a shape. A level table has none and counts as the box of its measures.
 *
 * @param facets sides of the polygon that stands for a round end
 * @example outlineOf({ kind: 'lobes', … }).points.length // 8
 */
export function outlineOf(shape: TankShape, facets = FACETS): Outline {
  const { length, width, height } = shape;
  switch (shape.kind) {
    case 'box':
      return box(shape);
    case 'cylinder': {
      const grow = Math.sqrt((2 * Math.PI) / (facets * Math.sin((2 * Math.PI) / facets)));
      const points = Array.from({ length: facets }, (_, i): [number, number] => {
        const turn = (2 * Math.PI * (i + 0.5)) / facets;
        return [width / 2 + (width / 2) * grow * Math.cos(turn), height / 2 + (height / 2) * grow * Math.sin(turn)];
      });
      return { axis: 'y', points, depth: length, sump: null };
    }
    case 'profile':
      return { axis: 'x', points: shape.points, depth: width, sump: null };
    case 'lobes': {
      const run = shape.over === 'x' ? length : width;
      const { from, to, height: top, slope } = shape.hump;
      return {
        axis: shape.over,
        depth: shape.over === 'x' ? width : length,
        points: [
          [0, 0],
          [from, 0],
          [from + slope, top],
          [to - slope, top],
          [to, 0],
          [run, 0],
          [run, height],
          [0, height],
        ],
        sump: null,
      };
    }
    case 'table':
      return { axis: 'x', points: rectangle(length, 0, height), depth: width, sump: null };
  }
}

const rectangle = (length: number, floor: number, roof: number): [number, number][] => [
  [0, floor],
  [length, floor],
  [length, roof],
  [0, roof],
];

function box({ length, width, height, taper, sump }: BoxShape): Outline {
  const floor = sump?.depth ?? 0;
  return {
    axis: 'x',
    depth: width,
    points: [
      [taper?.first ?? 0, floor],
      [length - (taper?.second ?? 0), floor],
      [length, height],
      [0, height],
    ],
    sump: sump
      ? {
          x: [sump.x - sump.length / 2, sump.x + sump.length / 2],
          y: [sump.y - sump.width / 2, sump.y + sump.width / 2],
          top: floor,
        }
      : null,
  };
}
