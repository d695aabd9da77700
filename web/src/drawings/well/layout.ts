import type { Chord, UnitSystem } from '@iron-cradle/core';

/** What is drawn in the well, and how large. */
export interface WellInput {
  /** What each open thing spans between off and on. */
  chords: readonly Chord[];
  /** Present drop, mm. */
  here: number;
  /** Drop at which the tank is out, mm. */
  clear: number;
  /** Stops still ahead with what comes off there. */
  ahead?: readonly { drop: number; names: string[] }[];
  /** Room there is, px. */
  width: number;
  /** Room there is, px. */
  height: number;
  /** In whose units its scale steps. */
  units?: UnitSystem;
}

/** Everything that is drawn, in px. */
export interface WellLayout {
  /** The left wall. */
  left: number;
  /** The right wall. */
  right: number;
  /** Home. */
  top: number;
  /** The floor. */
  floor: number;
  /** Deepest drop drawn to scale, mm; below it the legs are broken. */
  shown: number;
  /** Is the scale broken where nothing happens? */
  broken: boolean;
  /** Where a drop (mm) stands, px. */
  y: (drop: number) => number;
  /** Marks of the scale: drop in mm, and where. */
  ticks: { drop: number; y: number; label: boolean }[];
  /** Spans that are open or were, and where. */
  chords: { chord: Chord; x1: number; y1: number; x2: number; y2: number; labelY: number }[];
  /** Heights the plan stops at, and what comes off there. */
  ahead: { drop: number; y: number; labelY: number; names: string[] }[];
}

const LABEL_STEP = 27;
/** Words inside the well, one under the other. */
const WORD_STEP = 17;

/** Moves labels apart so that none covers another, keeping their order and as near to their wish as may be. */
export function spread(
  wishes: readonly number[],
  { step, least, most }: { step: number; least: number; most: number },
): number[] {
  const order = wishes.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y || a.i - b.i);
  let last = least - step;
  const placed = order.map((o) => (last = Math.max(o.y, last + step)));
  for (let k = placed.length - 1, limit = most; k >= 0; k--, limit -= step) placed[k] = Math.min(placed[k]!, limit);
  const out: number[] = [];
  order.forEach((o, k) => (out[o.i] = placed[k]!));
  return out;
}

/**
 * Places of everything in the well: the way down on the left leg, the way up on the right, drops to one scale.
 *
 * @example layoutWell({ chords, here: 40, clear: 320, width: 240, height: 520 }).y(40)
 */
export function layoutWell({
  chords,
  here,
  clear,
  ahead = [],
  width,
  height,
  units = 'metric',
}: WellInput): WellLayout {
  const left = 54;
  const right = width - 98;
  const top = 78;
  const floor = height - 34;
  const deepest = Math.max(
    80,
    ...chords.map((c) => Math.max(c.from, c.by)),
    ...ahead.map((a) => a.drop),
    here >= clear ? 0 : here,
  );
  const shown = Math.min(clear, Math.ceil((deepest * 1.35) / 40) * 40);
  const broken = shown < clear;
  const span = floor - top - (broken ? 46 : 14);
  const y = (drop: number) => (drop >= clear ? floor : top + 8 + (Math.min(drop, shown) / shown) * span);
  const [fine, coarse] = units === 'us' ? [25.4, 50.8] : [20, 40];
  const step = shown > 200 ? coarse : fine;
  const ticks = Array.from({ length: Math.floor(shown / step) }, (_, i) => (i + 1) * step).map((drop) => ({
    drop,
    y: y(drop),
    label: Math.round(drop / step) % 2 === 0,
  }));
  const labels = spread(
    chords.map((c) => y(c.by)),
    { step: LABEL_STEP, least: top + 10, most: floor - 10 },
  );
  const next = ahead.filter((a) => a.drop > here || (a.drop === here && here === 0));
  const words = spread(
    next.map((a) => y(a.drop)),
    { step: WORD_STEP, least: top + 8, most: floor - 8 },
  );
  return {
    left,
    right,
    top,
    floor,
    shown,
    broken,
    y,
    ticks,
    chords: chords.map((chord, i) => {
      // Chords that fall on one another are drawn side by side, so that each can be counted.
      const same = chords.slice(0, i).filter((c) => c.from === chord.from && c.by === chord.by).length * 5;
      return { chord, x1: left, y1: y(chord.from) + same, x2: right, y2: y(chord.by) + same, labelY: labels[i]! };
    }),
    ahead: next.map((a, i) => ({ ...a, y: y(a.drop), labelY: words[i]! })),
  };
}
