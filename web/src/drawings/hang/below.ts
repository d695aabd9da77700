import {
  lengthIn,
  poseInWords,
  samePose,
  tapeAt,
  travelWords,
  type JobState,
  type Pose,
  type UnitSystem,
} from '@iron-cradle/core';
import { jackBoxes, jackUnder } from './jack.ts';
import { BLOCK, placesBeside, placesOfNext, placeText, textBox } from './names.ts';
import type { Box, HangInput, HangLayout } from './types.ts';

/** Room for what is said of the drawing itself, from the floor down, px. */
const FLOOR = 36;
/** A tape, half its end, px. */
const TAPE = 9;

/** What is drawn above it, where it is already known. */
type Above = Pick<HangLayout, 'frame' | 'tank' | 'lines' | 'scale' | 'y' | 'axisX'>;

/** What is drawn below the tank: jack, tapes, what stands in the way and the next stop, each name where it covers nothing. */
export function layBelow(
  { state, stop, ghost, width, height, units }: HangInput,
  at: Above,
): Pick<HangLayout, 'jack' | 'tapes' | 'blocks' | 'ghost' | 'next'> {
  const { vehicle } = state;
  const { frame, tank, lines, y, axisX } = at;
  const floor = height - FLOOR;
  const jack = jackUnder(vehicle, tank, floor);
  const tapes = tapesAt(state, stop.pose, { tank, y, floor, units });
  const standing = stop.holders
    .filter((h) => h.key.startsWith('obstruction:'))
    .map((h) => {
      const id = h.key.slice('obstruction:'.length);
      const x = vehicle.obstructions.find((o) => o.id === id)?.x ?? vehicle.length / 2;
      const bottom = (mm: number) => y(mm) + tank.height;
      const { lo, typ, hi } = h.limit;
      return { id, called: h.name, x: tank.x + x * at.scale, y: bottom(typ), loY: bottom(lo), hiY: bottom(hi) };
    })
    .sort((a, b) => a.y - b.y);
  const taken: Box[] = [
    frame,
    tank,
    ...jackBoxes(jack),
    ...tapes.map(({ x, top, foot }) => ({ x: x - TAPE, y: top, width: 2 * TAPE, height: foot - top })),
    ...tapes.map(({ reading }) => textBox(reading.lines, reading)),
    ...lines.map(({ label }) => textBox([label.text], { ...label, anchor: 'start' })),
    ...standing.map((b) => ({ x: b.x - BLOCK.half, y: b.y, width: 2 * BLOCK.half, height: BLOCK.height })),
    ...standing.map((b) => ({ x: b.x - BLOCK.guessed, y: b.loY, width: 2 * BLOCK.guessed, height: b.hiY - b.loY })),
    { x: -width, y: 0, width: width + 4, height },
    { x: axisX - 4, y: 0, width, height },
    { x: 0, y: floor, width, height: FLOOR },
  ];
  const blocks = standing.map(({ called, ...b }) => ({ ...b, name: placeText(called, placesBeside(b.x, b.y), taken) }));
  if (ghost === null || samePose(ghost, stop.pose)) return { jack, tapes, blocks, ghost: null, next: null };
  const places = placesOfNext(ghost, { tank, y }, ghost.r >= stop.pose.r);
  return { jack, tapes, blocks, ghost, next: placeText(nextText(state, ghost, units), places, taken) };
}

function nextText({ vehicle }: JobState, ghost: Pose, units: UnitSystem): string {
  if (ghost.f < vehicle.clear) return `next ${poseInWords(ghost, vehicle.ends, units).replace(/ mm$/, '')}`;
  return travelWords(vehicle).off === 'down' ? 'next to the ground' : 'next all the way out';
}

/** The tape at each end that was read, from the floor up to the tank; what it reads stands at its middle, inwards. */
function tapesAt(
  state: JobState,
  pose: Pose,
  { tank, y, floor, units }: Pick<HangLayout, 'tank' | 'y'> & { floor: number; units: UnitSystem },
): HangLayout['tapes'] {
  const read = tapeAt(state, pose);
  return (['f', 'r'] as const).flatMap((end) => {
    const mm = read[end];
    const top = y(pose[end]) + tank.height + 4;
    if (mm === null || floor - top < 14) return [];
    const first = end === 'f';
    const x = first ? tank.x + 22 : tank.x + tank.width - 22;
    const lines = [lengthIn(mm, units).figure];
    const anchor = first ? ('start' as const) : ('end' as const);
    return [{ x, top, foot: floor, reading: { lines, x: first ? x + 11 : x - 11, y: (top + floor) / 2 + 5, anchor } }];
  });
}
