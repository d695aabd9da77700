import { lengthText, type PlanSheet, type SheetStop, type UnitSystem } from '@iron-cradle/core';

/** A4, 96 px to the inch. */
export const PAGE = { width: 794, height: 1123 };
const TOP = 146;

/** A line of text on the sheet. */
export interface SheetLine {
  /** The text. */
  text: string;
  /** Its base line, px from the top. */
  y: number;
  /** Of its letters, px. */
  size: number;
  /** The first line of a step has the box to tick. */
  first: boolean;
}

/** Where everything stands on the sheet, px. */
export interface SheetLayout {
  /** Stops down. */
  down: { stop: SheetStop; y: number; lines: SheetLine[] }[];
  /** Stops up. */
  up: { stop: SheetStop; y: number; lines: SheetLine[] }[];
  /** What each line must let for the plan to hold. */
  asks: { text: string; x: number; y: number }[];
  /** Where that begins. */
  asksY: number;
  /** What stands at the foot. */
  caution: string[];
}

/**
 * Where everything stands on the one page: type as large as fits, two legs side by side, what must be let below, the
 * caution at the foot.
 */
export function layoutSheet(sheet: PlanSheet, units: UnitSystem): SheetLayout {
  const rows = Math.ceil(sheet.asks.length / 5);
  const asksY = PAGE.height - 92 - rows * 18;
  const foot = asksY - 16;
  for (const size of [13, 12, 11, 10, 9, 8, 7]) {
    const [down, up] = [legOf(sheet.down, size), legOf(sheet.up, size)];
    if (Math.max(down.end, up.end) > foot && size > 7) continue;
    return {
      down: down.stops,
      up: up.stops,
      asksY,
      asks: sheet.asks.map((a, i) => ({
        text: `${a.name} ${lengthText(a.mm, units)}`,
        x: 40 + (i % 5) * 142,
        y: asksY + 20 + Math.floor(i / 5) * 18,
      })),
      caution: wrap(sheet.caution, 112),
    };
  }
  throw new Error('no size tried');
}

function legOf(stops: readonly SheetStop[], size: number): { stops: SheetLayout['down']; end: number } {
  let y = TOP;
  const letters = Math.floor(300 / (size * 0.52));
  const laid = stops.map((stop) => {
    const at = y;
    y += size + 8;
    const lines = stop.steps.flatMap((step) =>
      wrap(step, letters).map((text, i): SheetLine => {
        y += size + 3;
        return { text, y: y - size + 4, size, first: i === 0 };
      }),
    );
    y += size * 1.3;
    return { stop, y: at, lines };
  });
  return { stops: laid, end: y };
}

/** Breaks a text at spaces. @example wrap('one two', 4) // ['one', 'two'] */
export function wrap(text: string, letters: number): string[] {
  const out: string[] = [''];
  for (const word of text.split(' ')) {
    const last = out.at(-1)!;
    if (last !== '' && last.length + 1 + word.length > letters) out.push(word);
    else out[out.length - 1] = last === '' ? word : `${last} ${word}`;
  }
  return out;
}
