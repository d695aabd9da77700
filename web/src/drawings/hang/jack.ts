import type { VehicleFile } from '@iron-cradle/core';
import type { Box, HangLayout } from './types.ts';

/** The jack under the tank: where its pad stands and how wide it is, under the middle, and over a hump from lobe to lobe. */
export function jackUnder(
  { tank: { shape } }: VehicleFile,
  tank: HangLayout['tank'],
  floor: number,
): HangLayout['jack'] {
  const top = tank.y + tank.height;
  const foot = Math.max(floor, top + 40);
  const body = Math.min(foot - 14, Math.max(top + 26, foot - 74));
  if (shape.kind !== 'lobes' || shape.over !== 'x') return { x: tank.x + tank.width / 2, head: 92, top, body, foot };
  const { from, to } = shape.hump;
  const scale = tank.width / shape.length;
  return { x: tank.x + ((from + to) / 2) * scale, head: (to - from) * scale + 70, top, body, foot };
}

/** What the jack covers: pad, ram and cylinder, foot. */
export const jackBoxes = ({ x, head, top, foot }: HangLayout['jack']): Box[] => [
  { x: x - head / 2, y: top, width: head, height: 16 },
  { x: x - 16, y: top, width: 32, height: foot - top },
  { x: x - 62, y: foot - 16, width: 124, height: 16 },
];
