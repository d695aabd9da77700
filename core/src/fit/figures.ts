import { commonPractice, type Basis } from '../basis/index.ts';
import { roundTo } from '../estimate/index.ts';
import { feedsCarburettor, FLOODS, wantedBar } from '../pump/index.ts';
import { bar, litres, mm, say, type Sentence } from '../quantity/index.ts';
import { stopsOf } from '../sender/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Outcome } from '../verdict/index.ts';

/** What is measured of old and new part on arrival, and in what. */
export const fitFigures = ['flange', 'seal', 'ohmsEmpty', 'ohmsFull', 'pressure', 'capacity', 'index'] as const;
/** One of them. */
export type FitFigure = (typeof fitFigures)[number];

/** How far each may differ and still be the same; common practice, no source. */
const SAME = { flange: 1, seal: 0.3, ohms: 0.05, capacity: 0.05, index: 5 };
/** Shares of its span beyond which the needle lies. */
const OHMS_BAD = 0.1;

/** A regulator keeps so much more in hand; common practice, no source. */
const MORE = 1.2;

/** A figure of the new part, judged. */
export interface FigureJudged {
  /** What it comes to. */
  outcome: Outcome;
  /** In words. */
  text: Sentence;
  /** Of the new part. */
  figure: Sentence;
  /** Of the old part, or what the vehicle asks. */
  limit: Sentence;
  /** What to do. */
  next?: Sentence;
  /** Where the limit comes from. */
  basis: Basis;
}

/**
 * One figure of the new part against the old one’s, or against what the vehicle asks where its file says so; null where there is
 * nothing to hold it against.
 *
 * @param old null: nobody measured it
 * @example judgeFigure('flange', { now: 104, old: 102, file: van })?.outcome // 'bad': it does not seal
 */
export function judgeFigure(
  figure: FitFigure,
  { now, old, file }: { now: number; old: number | null; file: VehicleFile },
): FigureJudged | null {
  const basis = commonPractice;
  switch (figure) {
    case 'flange':
      return old === null
        ? null
        : Math.abs(now - old) <= SAME.flange
          ? { outcome: 'good', text: 'flange as the old one', figure: say`${mm(now)}`, limit: say`${mm(old)}`, basis }
          : {
              outcome: 'bad',
              text: 'the flange is another: it does not seal',
              figure: say`${mm(now)}`,
              limit: say`${mm(old)}`,
              next: 'send it back; no ring and no sealant cures a flange',
              basis,
            };
    case 'seal':
      return old === null
        ? null
        : Math.abs(now - old) <= SAME.seal
          ? {
              outcome: 'good',
              text: 'seal as thick',
              figure: say`${mm(now, now, 1)}`,
              limit: say`${mm(old, old, 1)}`,
              basis,
            }
          : {
              outcome: 'doubtful',
              text: now < old ? 'the seal is thinner' : 'the seal is thicker',
              figure: say`${mm(now, now, 1)}`,
              limit: say`${mm(old, old, 1)}`,
              next: 'does the ring reach its stops on it, and no further?',
              basis,
            };
    case 'ohmsEmpty':
    case 'ohmsFull':
      return judgeEnd(figure === 'ohmsEmpty' ? 'empty' : 'full', { now, old, file });
    case 'pressure':
      return judgePressure(now, old, file);
    case 'index':
      return old === null ? null : judgeIndex(now, old);
    case 'capacity': {
      const was = old ?? file.tank.litres.typ;
      return Math.abs(now / was - 1) <= SAME.capacity
        ? { outcome: 'good', text: 'holds as much', figure: say`${litres(now)}`, limit: say`${litres(was)}`, basis }
        : {
            outcome: 'doubtful',
            text: now > was ? 'it holds more: straps, hooks and lines carry more' : 'it holds less',
            figure: say`${litres(now)}`,
            limit: say`${litres(was)}`,
            next: 'measure hooks, straps and every line against it before the old one leaves; needle and lamp mean other litres',
            basis,
          };
    }
  }
}

/** Where the index mark stands round the flange, degrees clockwise from the front. */
function judgeIndex(now: number, old: number): FigureJudged {
  const apart = Math.abs(((now - old + 540) % 360) - 180);
  const said = { figure: `${roundTo(now, 1)}°`, limit: `${roundTo(old, 1)}°`, basis: commonPractice };
  return apart <= SAME.index
    ? { outcome: 'good', text: 'index mark as the old one', ...said }
    : {
        outcome: 'bad',
        text: `the index mark stands ${roundTo(apart, 1)}° from the old one’s: ports point elsewhere, the float may meet a wall`,
        next: 'which year of the model is it for? The one for this year',
        ...said,
      };
}

function judgeEnd(
  end: 'empty' | 'full',
  { now, old, file }: { now: number; old: number | null; file: VehicleFile },
): FigureJudged | null {
  const stops = stopsOf(file.sender);
  if (!stops && old === null) return null;
  const range = stops ? stops[end] : { lo: old!, hi: old! };
  // Without the file nobody knows the span: the larger of the two ends stands for it.
  const span = stops ? Math.abs(stops.full.typ - stops.empty.typ) : Math.max(old!, now, 1);
  const off = Math.max(range.lo - now, now - range.hi, 0) / span;
  const outcome = off <= SAME.ohms ? 'good' : off > OHMS_BAD ? 'bad' : 'doubtful';
  return {
    outcome,
    text: outcome === 'good' ? `${end}: ohms as they should be` : `${end}: the needle would lie from the first day`,
    figure: `${roundTo(now, 0.1)} Ω`,
    limit: range.lo === range.hi ? `${range.lo} Ω` : `${range.lo}–${range.hi} Ω`,
    ...(outcome === 'good' ? {} : { next: 'another sender: this one is of another family' }),
    basis: commonPractice,
  };
}

function judgePressure(now: number, old: number | null, file: VehicleFile): FigureJudged | null {
  const wanted = wantedBar(file) ?? (old === null ? null : { lo: old * 0.9, hi: old * 1.2, filed: false });
  if (!wanted) return null;
  const said = { figure: say`${bar(now)}`, limit: say`${bar(wanted.lo, wanted.hi)}`, basis: commonPractice };
  if (now < wanted.lo)
    return { outcome: 'bad', text: 'too weak for this engine', next: 'a pump for this engine’s pressure', ...said };
  const carburettor = feedsCarburettor(file);
  const most = carburettor ? Math.max(wanted.hi, FLOODS) : wanted.hi * MORE;
  if (now <= most) return { outcome: 'good', text: 'pressure as the engine asks', ...said };
  return {
    outcome: 'doubtful',
    text: carburettor ? 'more than a carburettor takes' : 'more than this engine runs at',
    next: carburettor
      ? 'only with a regulator in front of the carburettor, read behind it'
      : 'only where a regulator with a return lets the rest go back',
    ...said,
  };
}
