import { commonPractice, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { mm, newtonMetres, say } from '../quantity/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** A worm clamp by what is stamped on it. */
export interface ClampSize {
  /** As it is stamped. */
  name: string;
  /** mm it closes to. */
  lo: number;
  /** mm it opens to. */
  hi: number;
}

const size = (name: string, lo: number, hi: number): ClampSize => ({ name, lo, hi });

/** SAE J1508 type F and DIN 3017, both from memory. */
export const clampSizes: readonly ClampSize[] = [
  size('#4', 6, 16),
  size('#6', 11, 20),
  size('#8', 13, 23),
  size('#10', 14, 27),
  size('#12', 18, 32),
  size('#16', 21, 38),
  size('#20', 21, 44),
  size('#24', 27, 51),
  size('#28', 33, 57),
  size('#32', 40, 64),
  size('#36', 46, 70),
  size('#40', 52, 76),
  ...[
    [8, 12],
    [10, 16],
    [12, 22],
    [16, 27],
    [20, 32],
    [25, 40],
    [30, 45],
    [32, 50],
    [40, 60],
    [50, 70],
  ].map(([lo, hi]) => size(`${lo}–${hi}`, lo!, hi!)),
];

/** Nearer to an end of its range than this share it sits badly; common practice, no source. */
const EDGE = 0.12;

/**
 * Outside of a hose once it is over its pipe: the rubber keeps its area. mm
 *
 * @throws InputError where that can't be
 * @example fittedOutside({ outside: 14.3, bore: 7.94, pipe: 9.53 }) // 15.24
 */
export function fittedOutside({ outside, bore, pipe }: { outside: number; bore: number; pipe: number }): number {
  if (!(outside > bore && bore > 0)) throw new InputError('outside', String(outside), 'more than its bore');
  if (!(pipe > 0)) throw new InputError('pipe', String(pipe), 'over its barb, mm');
  return Math.sqrt(outside ** 2 + pipe ** 2 - bore ** 2);
}

/**
 * Clamps for it, the one that sits nearest to the middle of its range first.
 *
 * @param over mm, outside of the fitted hose
 * @example clampsFor(15.24).map(({ name }) => name)[0] // '10–16' would sit at its end; '#6' sits in the middle
 */
export const clampsFor = (over: number): ClampSize[] =>
  clampSizes.filter(({ lo, hi }) => over >= lo && over <= hi).sort((a, b) => offMiddle(a, over) - offMiddle(b, over));

const offMiddle = ({ lo, hi }: ClampSize, over: number): number => Math.abs(over - (lo + hi) / 2) / (hi - lo);

/** Clamps as they come. */
export const clampKinds = ['worm', 'smooth', 'spring', 'ear'] as const;
/** One of them. */
export type ClampKind = (typeof clampKinds)[number];

/** Torque by the width of a worm clamp’s band, N·m; common practice, no source. */
const TORQUE: Readonly<Record<'8' | '9' | '12', readonly [number, number]>> = {
  '8': [1.1, 1.7],
  '9': [1.5, 3],
  '12': [3, 5],
};
/** Width of a band, mm. */
export type BandWidth = keyof typeof TORQUE;

/** Above this a hose wants a bead or a barb, and from there on it is a high pressure; bar, common practice, no source. */
const BEAD = 0.3;
const HIGH = 1.2;

/** A clamp as it sits. */
export interface ClampPut {
  /** Of which kind: perforated worm, worm with a smooth band, spring, ear. */
  kind: ClampKind;
  /** Stamped size of a worm clamp. */
  size?: string | undefined;
  /** mm, outside of the fitted hose. */
  over?: number | undefined;
  /** Width of its band. */
  band?: BandWidth | undefined;
  /** N·m it was drawn to. */
  torque?: number | undefined;
  /** Is what it sits on plastic? */
  plastic: boolean;
  /** Is the support sleeve in a plastic pipe? */
  sleeve?: boolean | undefined;
  /** Has the pipe a bead or a barb? */
  bead: boolean;
  /** Was it there before? */
  again: boolean;
}

/**
 * One clamp: kind and pressure, size by what it goes over, plastic and its sleeve, torque by its band; an ear clamp is never used again.
 *
 * @param bar in the hose; null: nobody knows
 * @example judgeClamp({ kind: 'ear', plastic: false, bead: true, again: true }, 3.9).outcome // 'bad'
 */
export function judgeClamp(put: ClampPut, bar: number | null): Verdict {
  const found: Found[] = [];
  const { kind, plastic, bead, again } = put;
  if (kind === 'ear' && again)
    found.push({ outcome: 'bad', text: 'an ear clamp is cut to come off and never used again', next: 'a new one' });
  if (bar !== null && bar > BEAD && !bead)
    found.push({
      outcome: 'bad',
      text: 'a plain pipe under pressure: the hose walks off',
      next: 'a pipe with a bead or a barb',
    });
  if (bar !== null && bar > HIGH && kind === 'worm')
    found.push({
      outcome: 'bad',
      text: 'a perforated band at injection pressure cuts the hose',
      next: 'a worm clamp with a smooth band, or an ear clamp',
    });
  if (plastic && put.sleeve === false)
    found.push({
      outcome: 'bad',
      text: 'plastic pipe without its sleeve inside: it gives way under the clamp',
      next: 'the small sleeve; it was lost when it was cut',
    });
  found.push(...sized(put), ...drawn(put));
  if (found.length === 0) found.push({ outcome: 'good', text: 'clamp, hose and pipe suit each other' });
  return verdictFrom(found, {
    basis: commonPractice,
    next: kind === 'worm' || kind === 'smooth' ? ['once more with the key, cold, after the first warm-up'] : [],
  });
}

function sized({ kind, size: name, over }: ClampPut): Found[] {
  if ((kind !== 'worm' && kind !== 'smooth') || name === undefined || over === undefined) return [];
  const one = clampSizes.find((clamp) => clamp.name === name);
  if (!one) throw new InputError('size', name, clampSizes.map((clamp) => clamp.name).join(', '));
  const said = {
    figure: say`${mm(over, over, 1)} over the hose`,
    limit: say`${mm(one.lo, one.hi)}`,
    basis: fromMemory('SAE J1508, DIN 3017'),
  };
  const better = clampsFor(over)[0];
  const next = better
    ? `${better.name} sits in the middle of its range`
    : 'no worm clamp of the tables: an ear clamp to measure';
  if (over < one.lo || over > one.hi)
    return [{ outcome: 'bad', text: 'the clamp does not close on it', ...said, next }];
  if (offMiddle(one, over) > 0.5 - EDGE)
    return [{ outcome: 'doubtful', text: 'at the end of its range it does not sit round', ...said, next }];
  return [];
}

function drawn({ kind, band, torque, plastic }: ClampPut): Found[] {
  if ((kind !== 'worm' && kind !== 'smooth') || band === undefined || torque === undefined) return [];
  const [lo, hi] = TORQUE[band];
  const said = { figure: say`${newtonMetres(torque)}`, limit: say`${newtonMetres(lo, hi)}` };
  if (torque > hi)
    return [
      {
        outcome: plastic ? 'bad' : 'doubtful',
        text: plastic ? 'too tight on plastic: the spigot collapses' : 'tighter than its band is made for',
        ...said,
        next: 'slacken it, look at the hose under it, draw it again',
      },
    ];
  return torque < lo
    ? [
        {
          outcome: 'doubtful',
          text: 'not as tight as its band wants',
          ...said,
          next: `${roundTo(lo, 0.1)} N·m at least`,
        },
      ]
    : [];
}
