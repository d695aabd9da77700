import type { TankShape } from './index.ts';

/** Two lobes of 400 and 360 mm over a hump of 100, flanks of 30. */
export const twoLobes = {
  kind: 'lobes',
  length: 1000,
  width: 400,
  height: 250,
  over: 'x',
  hump: { from: 400, to: 640, height: 100, slope: 30 },
} as const satisfies TankShape;

/** Random shapes for the checks and the bench; `rng` gives numbers from 0 to 1. */
export function randomShape(rng: () => number): TankShape {
  const between = (lo: number, hi: number) => lo + rng() * (hi - lo);
  const [length, width, height] = [between(400, 1300), between(250, 600), between(150, 400)];
  const pick = rng();
  if (pick < 0.25) return { kind: 'cylinder', length, width, height };
  if (pick < 0.5) {
    const taper = { first: between(0, length / 4), second: between(0, length / 4) };
    return {
      kind: 'box',
      length,
      width,
      height,
      taper,
      sump: {
        x: length / 2 + between(-50, 50),
        y: width / 2 + between(-20, 20),
        length: between(60, length / 4),
        width: between(60, width / 2),
        depth: between(10, height / 4),
      },
    };
  }
  if (pick < 0.75) {
    const over = rng() < 0.5 ? 'x' : 'y';
    const run = over === 'x' ? length : width;
    const slope = between(0, run / 8);
    return {
      kind: 'lobes',
      length,
      width,
      height,
      over,
      hump: { from: run * 0.3, to: run * 0.7, height: between(20, height * 0.7), slope },
    };
  }
  // A star around the middle never crosses itself, and is seldom convex.
  const corners = 5 + Math.floor(rng() * 8);
  const raw = Array.from({ length: corners }, (_, i): [number, number] => {
    const turn = (2 * Math.PI * (i + 0.2 + 0.6 * rng())) / corners;
    const out = between(0.35, 1);
    return [(length / 2) * (1 + out * Math.cos(turn)), (height / 2) * (1 + out * Math.sin(turn))];
  });
  const lowest = Math.min(...raw.map((p) => p[1]));
  return { kind: 'profile', length, width, height, points: raw.map(([x, z]) => [x, z - lowest]) };
}
