import { nextStop } from '@iron-cradle/core';
import { hang, seeds, some } from '../testing.ts';
import type { HangLayout } from './types.ts';

/** Letters of 16 px, narrowed, are seldom narrower than 6 px; one of their lines covers 12. */
const covers = ({ lines, x, y, anchor }: HangLayout['blocks'][number]['name']) => {
  const width = Math.max(...lines.map((line) => line.length)) * 6;
  const from = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left: from, right: from + width, top: y - 12, bottom: y + (lines.length - 1) * 18 };
};
type Covered = ReturnType<typeof covers>;
const apart = (a: Covered, b: Covered) =>
  a.left >= b.right || b.left >= a.right || a.top >= b.bottom || b.top >= a.bottom;

test.each([680, 416, 358])('in a hang %d px wide each port and stub sits on the tank, apart from the next', (width) => {
  for (const seed of seeds)
    for (const state of [some(seed, 0), some(seed)]) {
      const { lines, parted, tank } = hang(state, { width, height: 360 }).at;
      for (const list of [lines.map((l) => l.port.x), parted.map((p) => p.x)]) {
        const xs = [...list].sort((a, b) => a - b);
        for (const x of xs) expect(x >= tank.x - 1e-6 && x <= tank.x + tank.width + 1e-6).toBe(true);
        // A port is 12 px wide.
        xs.slice(1).forEach((x, i) => expect(x - xs[i]!).toBeGreaterThan(12));
      }
    }
});

describe('what is written in the hang', () => {
  test('no number lies over another, and over no other stub where its other side is free', () => {
    let turned = 0;
    for (const seed of seeds) {
      const { parted } = hang(some(seed)).at;
      // A number of one digit is 26 px wide, each more 9; 9 px from its stub, 19 high; a stub is 3 wide.
      const box = (p: (typeof parted)[number], left: boolean): Covered => {
        const width = 17 + String(p.tag).length * 9;
        return {
          left: left ? p.x - 9 - width : p.x + 9,
          right: left ? p.x - 9 : p.x + 9 + width,
          top: p.low - 17,
          bottom: p.low + 2,
        };
      };
      for (const p of parted) {
        const others = parted.filter((q) => q !== p);
        for (const q of others) expect(apart(box(p, p.left), box(q, q.left))).toBe(true);
        const lies = (here: Covered) =>
          others.some((q) => !apart(here, { left: q.x - 2, right: q.x + 2, top: 0, bottom: q.low }));
        const free = !lies(box(p, true)) && others.every((q) => apart(box(p, true), box(q, q.left)));
        if (free) expect(lies(box(p, p.left))).toBe(false);
        if (p.left) turned += 1;
        expect(p.low).toBeLessThanOrEqual(p.tankY);
      }
    }
    expect(turned).toBeGreaterThan(0);
  });

  test('labels in the tank do not cover each other', () => {
    for (const seed of seeds) {
      const { lines } = hang(some(seed)).at;
      for (const a of lines)
        for (const b of lines)
          if (a !== b && a.label.y === b.label.y) expect(Math.abs(a.label.x - b.label.x)).toBeGreaterThan(20);
    }
  });

  test.each([580, 390])('how much is in is written over no label, in a drawing %d px high', (height) => {
    let said = 0;
    for (const seed of seeds) {
      const { lines, fuel } = hang(some(seed), { height }).at;
      if (!fuel) continue;
      const { label } = fuel;
      // Letters of 14 px are 8.4 wide where all have one width; narrowed ones of 16 px seldom less than 6.
      const [from, to] = [label.x, label.x + label.text.length * 8.4];
      for (const other of lines.map((line) => line.label)) {
        const apart = other.x > to || other.x + other.text.length * 6 < from;
        expect(apart || Math.abs(other.y - label.y) >= 12).toBe(true);
      }
      said += 1;
    }
    expect(said).toBeGreaterThan(30);
  });
});

describe('what is written below the tank', () => {
  test.each([
    [580, 680],
    [390, 680],
    [360, 358],
  ])('lies over nothing that is drawn there, in a drawing %d px high and %d wide', (height, width) => {
    let said = 0;
    for (const seed of seeds) {
      const state = some(seed);
      const ahead = state.out ? null : nextStop(state);
      const ghost = ahead && ahead.kind !== 'held' ? { f: state.pose.f + 25, r: state.pose.r + 25 } : null;
      const { at } = hang(state, { height, width, ghost });
      const texts = [...at.blocks.map((b) => b.name), ...(at.next ? [at.next] : [])];
      const { jack, tank } = at;
      const drawn: Covered[] = [
        // The ram is 14 wide, its cylinder 32.
        { left: jack.x - 7, right: jack.x + 7, top: tank.y + tank.height, bottom: height - 36 },
        { left: jack.x - 16, right: jack.x + 16, top: jack.body, bottom: height - 36 },
        { left: tank.x, right: tank.x + tank.width, top: tank.y, bottom: tank.y + tank.height },
        ...at.blocks.map(({ x, y }) => ({ left: x - 30, right: x + 30, top: y, bottom: y + 22 })),
      ];
      texts.forEach((text, i) => {
        const here = covers(text);
        for (const thing of [...drawn, ...texts.slice(0, i).map(covers)]) expect(apart(here, thing)).toBe(true);
        expect(here.left).toBeGreaterThanOrEqual(0);
        expect(here.right).toBeLessThanOrEqual(width);
        said += 1;
      });
    }
    expect(said).toBeGreaterThan(60);
  });

  test.each([580, 340, 300])('in a drawing %d px high no line’s name is, with all of them on', (height) => {
    for (const seed of seeds) {
      const { lines, tank } = hang(some(seed, 0), { height }).at;
      for (const { label } of lines) expect(label.y).toBeLessThanOrEqual(tank.y + tank.height);
    }
  });
});
