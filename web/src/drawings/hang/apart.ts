import type { HangLayout, HangLine, HangStub } from './types.ts';

/** Rough width of narrowed type at 16 px, px a letter. */
const LETTER = 7.1;

/** Room a number needs beside its stub, px. */
const NUMBER = 46;

/**
 * Stubs whose numbers would fall on one another hang in turns higher and lower; where the tank leaves no room for that, the
 * first has its number on its other side.
 */
export function hangApart(parted: HangStub[]): void {
  const sorted = [...parted].sort((a, b) => a.x - b.x);
  let row = 0;
  sorted.forEach((p, i) => {
    const before = sorted[i - 1];
    const close = before !== undefined && p.x - before.x < NUMBER;
    const room = p.tankY - p.frameY;
    row = close ? 1 - row : 0;
    p.low = p.frameY + (room > 76 ? 30 + row * 24 : Math.min(30, room / 2));
    if (close && room <= 76 && !sorted[i - 2]?.left) before.left = true;
  });
}

/** Ports that would fall on one another are moved apart along the tank. */
export function portPlaces(wishes: number[], tank: { x: number; width: number }): number[] {
  const gap = 32;
  const order = wishes.map((x, i) => ({ x, i })).sort((a, b) => a.x - b.x);
  let last = -Infinity;
  const out: number[] = [];
  for (const o of order) out[o.i] = last = Math.max(o.x, last + gap);
  const over = last - (tank.x + tank.width - 8);
  return over > 0 ? out.map((x) => x - over) : out;
}

/**
 * Labels stand in rows inside the tank, each beginning at its port. From right to left each takes the first row that is
 * free, so that no leader crosses a label.
 */
export function placeLabels(lines: HangLine[], tank: HangLayout['tank']): void {
  const begins: number[] = [];
  for (const line of [...lines].sort((a, b) => b.port.x - a.port.x)) {
    const width = widthOf(line);
    const x = Math.min(tank.x + tank.width - width - 6, line.port.x + 7);
    let row = begins.findIndex((begin) => x + width + 12 < begin);
    if (row < 0) row = begins.push(Infinity) - 1;
    begins[row] = Math.min(x, line.port.x);
    line.label = { ...line.label, x, y: tank.y + 30 + row * 23 };
  }
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
