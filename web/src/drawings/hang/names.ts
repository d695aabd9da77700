import type { Pose } from '@iron-cradle/core';
import type { Box, HangLayout, Placed } from './types.ts';

/** Rough width of narrowed type at 16 px, px a letter. */
export const LETTER = 7.1;
/** From one line of it to the next, px. */
export const LINE = 18;
/** What a line of it covers above and below where it is written, px. */
const [ABOVE, BELOW] = [13, 4];
/** What stands closer than this is not told apart, px. */
const CLEAR = 4;

/** The shape of what stands in the way: half its width, half that of where it may be, its height. px */
export const BLOCK = { half: 30, guessed: 34, height: 22 };

/** A place a text may take: where its first line is written, and whether it begins, ends or has its middle there. */
export type Place = Pick<Placed, 'x' | 'y' | 'anchor'>;

/** What a text covers there. @example textBox(['next 40'], { x: 10, y: 20, anchor: 'end' }) */
export function textBox(lines: readonly string[], { x, y, anchor }: Place): Box {
  const width = Math.max(...lines.map((line) => line.length)) * LETTER;
  const from = { start: x, middle: x - width / 2, end: x - width }[anchor];
  return { x: from, y: y - ABOVE, width, height: ABOVE + BELOW + (lines.length - 1) * LINE };
}

type Span = readonly [from: number, to: number];
const common = ([a, b]: Span, [c, d]: Span): number => Math.max(0, Math.min(b, d) - Math.max(a, c));
const across = ({ x, width }: Box): Span => [x, x + width];
const along = ({ y, height }: Box): Span => [y, y + height];
const covered = (a: Box, b: Box): number => common(across(a), across(b)) * common(along(a), along(b));
/** How much of what is drawn something covers, px². */
export const overlap = (box: Box, drawn: readonly Box[]): number => drawn.reduce((sum, b) => sum + covered(box, b), 0);
const wider = ({ x, y, width, height }: Box): Box => ({ x: x - CLEAR, y, width: width + 2 * CLEAR, height });

/** In two lines of about the same length. @example inTwo('hook of the rear strap') // ['hook of the', 'rear strap'] */
function inTwo(text: string): string[] {
  const breaks = [...text.matchAll(/ /g)].map(({ index }) => index);
  if (breaks.length === 0) return [text];
  const at = breaks.reduce((a, b) => (Math.abs(b - text.length / 2) < Math.abs(a - text.length / 2) ? b : a));
  return [text.slice(0, at), text.slice(at + 1)];
}

/**
 * A text takes the first of its places where it covers nothing that is drawn; where there is none, in two lines; else the one where
 * it covers least.
 *
 * @param taken what is drawn; what the text covers is added to it
 */
export function placeText(text: string, places: readonly Place[], taken: Box[]): Placed {
  const tried = [[text], inTwo(text)].flatMap((lines) =>
    places.map((place) => {
      const box = textBox(lines, place);
      return { lines, place, box, over: overlap(wider(box), taken) };
    }),
  );
  const { lines, place, box } = tried.reduce((a, b) => (b.over < a.over ? b : a));
  taken.push(box);
  return { lines, ...place };
}

/** Steps by which a name is moved along under what it names, px: to and fro, the nearest first. */
const ASIDE = Array.from({ length: 21 }, (_, i) => (i % 2 === 1 ? 1 : -1) * Math.ceil(i / 2) * 12);

/** Where the name of something in the way may stand: beside it, else a line lower or higher, else under or over it. */
export function placesBeside(x: number, y: number): Place[] {
  const beside = BLOCK.guessed + 4;
  const under = y + BLOCK.height + 16;
  return [
    ...[y + 16, y + 34, y - 2].flatMap((row): Place[] => [
      { x: x + beside, y: row, anchor: 'start' },
      { x: x - beside, y: row, anchor: 'end' },
    ]),
    ...[under, y - 6, under + LINE, y - 6 - LINE, under + 2 * LINE, under + 3 * LINE].flatMap((row) =>
      ASIDE.map((by): Place => ({ x: x + by, y: row, anchor: 'middle' })),
    ),
  ];
}

/** Where it is said how far the next stop is: along the ghost’s lower edge, or its upper one where the tank hangs below it. */
export function placesOfNext(ghost: Pose, { tank, y }: Pick<HangLayout, 'tank' | 'y'>, down: boolean): Place[] {
  const drop = (x: number) => ghost.f + ((ghost.r - ghost.f) * (x - tank.x)) / tank.width;
  const right = tank.x + tank.width;
  const ends = Array.from({ length: Math.ceil((tank.width - 80) / 20) }, (_, i) => right - 40 - i * 20);
  const under = ends.map((x): Place => ({ x, y: y(drop(x)) + tank.height + 18, anchor: 'end' }));
  const over = ends.map((x): Place => ({ x, y: y(drop(x)) - 8, anchor: 'end' }));
  const beside: Place[] = [
    { x: right + 8, y: y(ghost.r) + tank.height - 6, anchor: 'start' },
    { x: tank.x - 8, y: y(ghost.f) + tank.height - 6, anchor: 'end' },
  ];
  return down ? [...under, ...beside] : [...under, ...over, ...beside];
}
