import { commonPractice, computed } from '../basis/index.ts';
import { roundTo, type Span } from '../estimate/index.ts';
import { litres, rounded, say } from '../quantity/index.ts';
import { heightAt, litresAt, stopsOf } from '../sender/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** What was read at one step of the refill; left out: nobody read it. */
export interface RefillStep {
  /** Litres in it, as well as they are known. */
  aboard: Span;
  /** Ω across the sender at its unplugged plug; null: open. */
  ohms?: number | null | undefined;
  /** % by the scan tool. */
  scan?: number | undefined;
  /** Share of the needle, 0 empty to 1 full. */
  needle?: number | undefined;
}

/** Beyond this share of what it holds, and beyond how well the litres are known, a reading is off; common practice, no source. */
const OFF = 0.05;

/** What each reading of a step tells, litres. */
interface Told {
  sender: number | null;
  scan: number | null;
  needle: number | null;
}

/**
 * Litres a ground of so many extra ohms puts on the needle, where the tank holds so much: it adds to every reading.
 *
 * @param extra Ω; `mm` height of the fuel
 * @returns L it shows too many; below zero: too few; null where the file does not say what the sender reads
 * @example groundOff(file, { extra: 5, mm: 140 })
 */
export function groundOff(file: VehicleFile, { extra, mm }: { extra: number; mm: number }): number | null {
  const stops = stopsOf(file.sender);
  if (!stops) return null;
  const span = stops.full.typ - stops.empty.typ;
  if (span === 0) return null;
  const shift = (extra / span) * file.tank.shape.height;
  const held = (height: number) => Math.min(file.tank.shape.height, Math.max(0, height));
  return litresAt(file, held(mm + shift)) - litresAt(file, held(mm));
}

/**
 * Refill in steps, look and needle. Ohms at the unplugged plug decide: off, it is the sender; right, and scan tool and needle off alike, ground or
 * wire; scan tool right and needle off, the gauge. Two steps at least; without ohms sender and ground look alike.
 *
 * @example judgeRefill(steps, file).reasons[0]?.text // 'needle and scan tool are off alike, the ohms are right: ground or wire'
 */
export function judgeRefill(steps: readonly RefillStep[], file: VehicleFile): Verdict {
  const basis = computed('litres through the tank’s shape against ohms, scan tool and needle');
  const capacity = estimateOf(file, file.tank.litres).typ;
  if (steps.length < 2)
    return {
      outcome: 'unknown',
      reasons: [
        {
          text: steps.length === 0 ? 'nobody read the needle yet' : 'one step proves one point',
          basis: commonPractice,
        },
      ],
      next: ['put in more and read it again: two steps at least'],
    };
  const told = steps.map((step) => toldBy(step, { file, capacity }));
  // Off by more than a twentieth of the tank, beyond how well the litres of that step are known.
  const offBy = (of: keyof Told): number[] =>
    told.flatMap((one, i) => {
      const value = one[of];
      if (value === null) return [];
      const { lo, hi } = steps[i]!.aboard;
      return [value < lo ? value - lo : value > hi ? value - hi : 0];
    });
  const isOff = (of: keyof Told): boolean | null => {
    const list = offBy(of);
    return list.length < 2 ? null : list.some((one) => Math.abs(one) > OFF * capacity);
  };
  const [sender, scan, needle] = (['sender', 'scan', 'needle'] as const).map(isOff);
  const worst = (of: keyof Told) => {
    const most = offBy(of).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
    return say`${most > 0 ? '+' : '−'}${rounded(litres, { lo: Math.abs(most), hi: Math.abs(most) }, 1)}`;
  };
  const limit = `${OFF * 100} % of what it holds, beyond how well the litres are known`;
  const say1 = (outcome: Verdict['outcome'], of: keyof Told, [text, next]: readonly [string, string]): Verdict => ({
    outcome,
    reasons: [{ text, figure: worst(of), limit, basis }],
    next: [next],
  });
  if (steps.some(({ ohms }) => ohms === null))
    return {
      outcome: 'bad',
      reasons: [{ text: 'open at the plug: a dead spot, or a wire in the tank', basis }],
      next: ['sweep the sender; its plug first'],
    };
  if (sender === true) {
    const list = offBy('sender');
    const still = told.flatMap(({ sender: one }) => one ?? []);
    const stuck = Math.max(...still) - Math.min(...still) < OFF * capacity;
    const even = Math.max(...list) - Math.min(...list) < OFF * capacity;
    return say1('bad', 'sender', [
      stuck
        ? 'the ohms do not change: it is stuck'
        : even
          ? 'the ohms are off by as much at every step: arm or float'
          : 'the ohms are off: the sender',
      stuck ? 'does the arm touch wall or baffle?' : 'the float’s height at both stops; then a sweep',
    ]);
  }
  if (needle === null && scan === null)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'needle and scan tool were not read twice', basis: commonPractice }],
      next: ['read the needle at every step'],
    };
  if (needle !== true && scan !== true)
    return { outcome: 'good', reasons: [{ text: 'the needle follows what went in', basis, limit }], next: [] };
  const of = needle === true ? 'needle' : 'scan';
  if (sender === null)
    return say1('unknown', of, [
      'off, and nobody read the ohms at the plug: sender and ground look alike',
      'ohms at the unplugged plug, pump on and off',
    ]);
  if (scan === true && needle !== false)
    return say1('bad', of, [
      'needle and scan tool are off alike, the ohms are right: ground or wire',
      'volts in the ground with the pump on and off',
    ]);
  if (scan === false)
    return say1('bad', 'needle', [
      'the scan tool is right and the needle off: the gauge',
      'the gauge and its own feed',
    ]);
  return say1('doubtful', of, [
    'the ohms are right and the needle is off: ground, wire or gauge',
    'the scan tool tells which: read it too',
  ]);
}

function toldBy({ ohms, scan, needle }: RefillStep, { file, capacity }: { file: VehicleFile; capacity: number }): Told {
  const mm = typeof ohms === 'number' ? heightAt(file, ohms) : null;
  return {
    sender: mm === null ? null : roundTo(litresAt(file, mm), 0.1),
    scan: scan === undefined ? null : (scan / 100) * capacity,
    needle: needle === undefined ? null : needle * capacity,
  };
}
