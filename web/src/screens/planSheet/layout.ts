import { lengthText, type PlanSheet, type SheetStop, type UnitSystem } from '@iron-cradle/core';

/** A4, 96 px to the inch. */
export const PAGE = { width: 794, height: 1123 };
/** Type of what is read at an arm's length, 11 pt, and of heights, 14 pt; px. */
export const TYPE = { text: (11 * 96) / 72, height: (14 * 96) / 72 };

/** Where the columns begin, px; what stands in one keeps out of the next. */
const COLUMNS = [40, 414];
const LINE = 18;
/** A height and the room above its first step; a leg's title; what is left below a stop. */
const [HEAD, TITLE, GAP] = [28, 30, 10];
/** Rough width of type, px a letter. */
const LETTER = TYPE.text * 0.475;
/** Letters a line of a column holds, and one across the page. */
const [NARROW, ACROSS] = [Math.floor(304 / LETTER), Math.floor((PAGE.width - 80) / LETTER)];

interface At {
  x: number;
  y: number;
}

/** One page: where everything stands on it, px. */
export interface SheetPage {
  /** Titles of the legs. */
  titles: (At & { text: string })[];
  /** Rims the heights stand on. */
  rims: { x: number; from: number; to: number }[];
  /** Heights. */
  heights: (At & { stop: SheetStop })[];
  /** Lines of text; the first of a step has the box to tick. */
  lines: (At & { text: string; first: boolean })[];
}

/** Where everything stands on the sheet, px. */
export interface SheetLayout {
  /** What the plan is worth, under the name. */
  head: (At & { text: string })[];
  /** The two legs, on as many pages as they take. */
  pages: SheetPage[];
  /** What each line must let for the plan to hold; on the first page. */
  asks: (At & { text: string })[];
  /** Where that begins. */
  asksY: number;
  /** What stands at the foot of each page, and the rule above it. */
  caution: (At & { text: string })[];
  /** Where that rule is. */
  ruleY: number;
}

/** What the sheet says besides its steps. */
interface Words {
  /** What the plan is worth. */
  head: string;
  /** The two legs. */
  legs: readonly [string, string];
}

/**
 * Where everything stands: nothing under 11 pt, so that it is read at an arm's length. The two legs stand side by side where they fit,
 * else they flow from column to column and on to another page; a step is never broken.
 */
export function layoutSheet(sheet: PlanSheet, words: Words, units: UnitSystem): SheetLayout {
  const head = wrap(words.head, ACROSS).map((text, i) => ({ text, x: COLUMNS[0]!, y: 82 + i * LINE }));
  const foot = wrap(sheet.caution, ACROSS);
  const ruleY = PAGE.height - 40 - foot.length * LINE;
  const rows = Math.ceil(sheet.asks.length / 3);
  const asksY = ruleY - 14 - rows * 20;
  const flow = new Flow({ top: 88 + head.length * LINE, foot: rows > 0 ? asksY - 22 : ruleY - 8, later: ruleY - 8 });
  flow.leg(words.legs[0], sheet.down);
  flow.leg(words.legs[1], sheet.up);
  return {
    head,
    pages: flow.pages,
    asksY,
    asks: sheet.asks.map((a, i) => ({
      text: `${a.name} ${lengthText(a.mm, units)}`,
      x: COLUMNS[0]! + (i % 3) * 238,
      y: asksY + 20 + Math.floor(i / 3) * 20,
    })),
    caution: foot.map((text, i) => ({ text, x: COLUMNS[0]!, y: ruleY + 20 + i * LINE })),
    ruleY,
  };
}

const blank = (): SheetPage => ({ titles: [], rims: [], heights: [], lines: [] });

/** Fills column after column. */
class Flow {
  readonly pages: SheetPage[] = [blank()];
  private column = 0;
  private y: number;

  constructor(private readonly edges: { top: number; foot: number; later: number }) {
    this.y = edges.top;
  }

  leg(title: string, stops: readonly SheetStop[]): void {
    // Side by side where the first leaves the second column free.
    if (this.page.titles.length > 0 && this.column === 0) this.next();
    this.need(TITLE + HEAD + 3 * LINE);
    this.page.titles.push({ text: title, x: this.x, y: this.y + 18 });
    this.y += TITLE;
    if (stops.length === 0) this.step('No way with these figures: measure what holds.', false);
    let begun = false;
    for (const stop of stops) {
      this.need(HEAD + LINE * wrap(stop.steps[0] ?? '', NARROW).length);
      const tick = this.y + 10;
      const rim = this.page.rims.at(-1);
      if (begun && rim?.x === this.x) rim.to = tick;
      // What comes from the column before begins at the top of this one.
      else this.page.rims.push({ x: this.x, from: begun ? this.top : tick - 8, to: tick });
      begun = true;
      this.page.heights.push({ stop, x: this.x, y: tick });
      this.y += HEAD;
      for (const step of stop.steps) this.step(step, true);
      this.y += GAP;
    }
  }

  private step(text: string, box: boolean): void {
    const lines = wrap(text, NARROW);
    this.need(lines.length * LINE);
    for (const [i, line] of lines.entries()) {
      this.page.lines.push({ text: line, x: this.x, y: this.y + 13, first: box && i === 0 });
      this.y += LINE;
    }
  }

  private get page(): SheetPage {
    return this.pages.at(-1)!;
  }
  private get x(): number {
    return COLUMNS[this.column]!;
  }
  private get top(): number {
    return this.pages.length > 1 ? 40 : this.edges.top;
  }

  private need(height: number): void {
    const foot = this.pages.length > 1 ? this.edges.later : this.edges.foot;
    if (this.y + height > foot) this.next();
  }

  private next(): void {
    if (this.column === 1) this.pages.push(blank());
    this.column = 1 - this.column;
    this.y = this.top;
  }
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
