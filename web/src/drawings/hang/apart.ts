import { spread } from '../well/layout.ts';
import { LETTER, overlap } from './names.ts';
import type { Box, HangLayout, HangLine, HangStub } from './types.ts';

/** Room a number needs beside its stub, px. */
const NUMBER = 46;

/** What a number covers beside its stub, px. */
const numberBox = ({ x, low, tag }: HangStub, left: boolean): Box => {
  const width = 18 + String(tag ?? '').length * 9;
  return { x: left ? x - 9 - width : x + 9, y: low - 17, width, height: 19 };
};
/** Its upper end. */
const stubBox = ({ x, frameY, low }: HangStub): Box => ({ x: x - 2, y: frameY, width: 4, height: low - frameY });

/**
 * Stubs whose numbers would fall on one another hang in turns higher and lower; each has its number on its right, on its left where
 * only that is free. Which are free depends on where one begins: from whichever end less is covered.
 */
export function hangApart(parted: HangStub[]): void {
  const sorted = [...parted].sort((a, b) => a.x - b.x);
  let row = 0;
  sorted.forEach((p, i) => {
    const before = sorted[i - 1];
    const room = p.tankY - p.frameY;
    row = before !== undefined && p.x - before.x < NUMBER ? 1 - row : 0;
    p.low = p.frameY + (room > 76 ? 30 + row * 24 : Math.min(30, room / 2));
  });
  const orders = [sorted, [...sorted].reverse()].map((order) => ({ order, covered: numberIn(order) }));
  numberIn(orders.reduce((a, b) => (b.covered < a.covered ? b : a)).order);
}

/**
 * Gives each its number, one after the other.
 *
 * @returns how much they cover, px²
 */
function numberIn(order: readonly HangStub[]): number {
  const taken = order.map(stubBox);
  let covered = 0;
  for (const p of order) {
    const [right, left] = [false, true].map((side) => overlap(numberBox(p, side), taken));
    p.left = left! < right!;
    covered += Math.min(left!, right!);
    taken.push(numberBox(p, p.left));
  }
  return covered;
}

/** Ports that would fall on one another are moved apart along the tank, as far as it is long. */
export function portPlaces(wishes: number[], tank: { x: number; width: number }): number[] {
  const [least, most] = [tank.x, tank.x + tank.width - 8];
  return spread(wishes, { step: Math.min(32, (most - least) / Math.max(1, wishes.length - 1)), least, most });
}

/** Rows of labels, px: where the first stands under the roof, and from one to the next; with ease, and as close as they are still read. */
const EASE = { first: 30, next: 23 };
const CLOSE = { first: 24, next: 18 };
/** Closer than one likes, for the lowest of drawings. */
const TIGHT = { first: 18, next: 14 };

/**
 * Labels stand in rows inside the tank, each beginning at its port. From right to left each takes the first row that is
 * free, so that no leader crosses a label. Where the tank is too low for the rows they need, they stand closer, then less is said.
 *
 * @param said what a label says, from the most to the least
 */
export function placeLabels(
  lines: HangLine[],
  tank: HangLayout['tank'],
  said: readonly ((line: HangLine) => string)[],
): void {
  for (const text of said)
    for (const rows of text === said.at(-1) ? [EASE, CLOSE, TIGHT] : [EASE, CLOSE])
      if (inRows(lines, tank, { text, rows }) <= tank.y + tank.height - 4) return;
}

/**
 * Puts the labels into rows that are so far apart.
 *
 * @returns how low the lowest reaches, px
 */
function inRows(
  lines: HangLine[],
  tank: HangLayout['tank'],
  { text, rows }: { text: (line: HangLine) => string; rows: { first: number; next: number } },
): number {
  const begins: number[] = [];
  for (const line of [...lines].sort((a, b) => b.port.x - a.port.x)) {
    line.label.text = text(line);
    const width = widthOf(line);
    const x = Math.min(tank.x + tank.width - width - 6, line.port.x + 7);
    let row = begins.findIndex((begin) => x + width + 12 < begin);
    if (row < 0) row = begins.push(Infinity) - 1;
    begins[row] = Math.min(x, line.port.x);
    line.label = { ...line.label, x, y: tank.y + rows.first + row * rows.next };
  }
  return tank.y + rows.first + (begins.length - 1) * rows.next;
}

const widthOf = ({ label, holds }: HangLine): number => label.text.length * LETTER + (holds ? 88 : 0);

/** Rough width of a reading at 14 px, px a letter. */
const READING = 8.5;

/** How much is in: low in the tank where the labels leave room for it, else beside the tank. */
export function placeLitres(
  text: string,
  lines: readonly HangLine[],
  tank: HangLayout['tank'],
): { x: number; y: number } {
  const width = text.length * READING;
  const y = tank.y + tank.height * 0.8;
  const free = (x: number): boolean =>
    lines.every(({ label, ...line }) => {
      const beside = x > label.x + widthOf({ label, ...line }) + 6 || x + width + 6 < label.x;
      return beside || label.y < y - 16 || label.y - 16 > y;
    });
  const wishes = [0.88 * tank.width - width, 12, (tank.width - width) / 2].map((x) => tank.x + x);
  return { x: wishes.find(free) ?? tank.x + tank.width + 10, y };
}
