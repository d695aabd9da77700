import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { Answered } from '../questions/index.ts';
import { fluidLines, type Connection, type PartKind, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { chainBetween, endInWords, type End } from './chain.ts';
import { judgeFigure, type FitFigure } from './figures.ts';
import { kindsIn, type GoesIn } from './goesIn.ts';
import { compareList } from './lines.ts';
import { judgePins, type Pins } from './pins.ts';
import { judgeSet, type SetState } from './set.ts';

/** Old and new, as far as somebody looked and measured. */
export interface FitState extends Answered, GoesIn, Pick<OrderSlice, 'complaint'> {
  /** The vehicle. */
  vehicle: VehicleFile;
  /** What was measured. */
  fitted: Readonly<Partial<Record<FitFigure, { now: number; old: number | null }>>>;
  /** Ports, by line. */
  ports: Readonly<Record<string, { is: 'same' | 'size' | 'use' | 'missing'; from: End | null; to: End | null }>>;
  /** Its plug, pin by pin; null: nobody read it so. */
  pins: Pins | null;
  /** Parts that come from several donors, each against what it sits on. */
  set: SetState['set'];
}

/** New part against old. */
export interface FitJudged {
  /** good: the same; doubtful: it can be made to fit; bad: stop; unknown: nobody looked at all of it. */
  verdict: Verdict;
  /** Did anybody begin? */
  begun: boolean;
}

/** What is always measured, by what the job is. Common practice, no source. */
const MEASURED: Partial<Record<OrderSlice['complaint'], readonly FitFigure[]>> = {
  pump: ['flange', 'pressure'],
  level: ['flange', 'ohmsEmpty', 'ohmsFull'],
  biggerTank: ['flange', 'capacity'],
};

/** What each figure is measured of. */
const OF: Record<FitFigure, readonly PartKind[]> = {
  flange: ['flange'],
  seal: ['seal'],
  ohmsEmpty: ['sender'],
  ohmsFull: ['sender'],
  pressure: ['pump'],
  capacity: [],
  index: ['flange'],
};

/** What of the new part is always measured in this job. @example alwaysMeasured(state) // ['flange', 'ohmsEmpty', 'ohmsFull'] */
export function alwaysMeasured(state: Pick<FitState, 'complaint' | 'vehicle' | 'pieces'>): readonly FitFigure[] {
  const kinds = kindsIn(state);
  return (MEASURED[state.complaint] ?? []).filter(
    (figure) => kinds === null || OF[figure].some((kind) => kinds.has(kind)),
  );
}

/**
 * Lines whose ports the new part must have: of a tank all that carry fuel or vapour, of a module not those of the filler neck.
 *
 * @example portLines(state).map((line) => line.id) // ['feed', 'return', 'vent']
 */
export const portLines = (state: Pick<FitState, 'vehicle' | 'complaint' | 'pieces'>): Connection[] =>
  kindsIn(state)?.has('flange') === false ? [] : allPorts(state);

const allPorts = ({ vehicle, complaint }: Pick<FitState, 'vehicle' | 'complaint'>): Connection[] =>
  fluidLines(vehicle).filter(({ kind }) => !MODULE.includes(complaint) || (kind !== 'filler' && kind !== 'breather'));
/** What comes for these complaints is a module, not a tank. */
const MODULE: readonly OrderSlice['complaint'][] = ['pump', 'level'];

/**
 * Does the new part fit? Laid on the old one: what differs was tapped, ports one by one, what is always measured measured.
 *
 * @throws InputError never for what a log can hold
 * @example judgeFit(state).verdict.outcome // 'bad': a port is missing, stop before anything is opened
 */
export function judgeFit(state: FitState): FitJudged {
  const { vehicle: file, fitted, ports, pins } = state;
  const list = compareList(state);
  const measured = (Object.keys(fitted) as FitFigure[]).flatMap((figure): Found[] => {
    const { now, old } = fitted[figure]!;
    const judged = judgeFigure(figure, { now, old, file });
    return [
      judged ?? {
        outcome: 'unknown',
        text: `${figure}: measured, and nothing to hold it against`,
        next: 'measure the old one too',
      },
    ];
  });
  // What was laid stays said, whatever goes in.
  const laid = allPorts(state).flatMap((line) => (ports[line.id] ? [judgePort(line, ports[line.id]!)] : []));
  const tapped = list.flatMap((line): Found[] => {
    // What was measured, or laid port by port, speaks for the line.
    if (line.is === 'different' && !spokenFor(line.id, state))
      return [{ outcome: 'bad', text: `${line.name}: not as the old one`, next: line.why }];
    if (line.is === 'carry')
      return [
        {
          outcome: 'doubtful',
          text: `${line.name}: goes over from the old part`,
          next: 'carry it over before the old part leaves',
        },
      ];
    return [];
  });
  const open = [
    ...list.filter(({ is }) => is === null).map(({ name }) => name),
    ...alwaysMeasured(state)
      .filter((figure) => !fitted[figure])
      .map((figure) => figureWord[figure]),
  ];
  const missing: Found[] =
    open.length === 0
      ? []
      : [
          {
            outcome: 'unknown',
            text: `nobody looked: ${open.slice(0, 4).join(', ')}${open.length > 4 ? ' …' : ''}`,
            next: 'lay old on new and tap what differs',
          },
        ];
  const plug = pins ? foundIn(judgePins(pins)) : [];
  const set = judgeSet(state);
  const found = [...measured, ...laid, ...tapped, ...plug, ...(set ? foundIn(set) : [])];
  return {
    verdict: verdictOf([...found, ...missing]),
    begun: found.length > 0 || list.some(({ is }) => is !== null),
  };
}

/** What each figure is called. */
export const figureWord: Record<FitFigure, string> = {
  flange: 'flange',
  seal: 'seal’s thickness',
  ohmsEmpty: 'ohms empty',
  ohmsFull: 'ohms full',
  pressure: 'pump pressure',
  capacity: 'capacity',
  index: 'index mark',
};

/** Figures that speak for a line of the comparison, all of them together. */
const SPEAKS: Record<string, readonly FitFigure[]> = {
  flange: ['flange'],
  ohms: ['ohmsEmpty', 'ohmsFull'],
  pressure: ['pressure'],
  capacity: ['capacity'],
  index: ['index'],
};

/** A judgement of its own as part of the whole: its first reason brings what to do. */
const foundIn = ({ outcome, reasons, next }: Verdict): Found[] =>
  reasons.map((reason, i) => ({ ...reason, outcome, ...(i === 0 && next[0] ? { next: next[0] } : {}) }));

function spokenFor(line: string, { fitted, ports, pins }: FitState): boolean {
  const laid = Object.values(ports);
  if (line === 'ports') return laid.some(({ is }) => is !== 'same');
  if (line === 'plug') return pins !== null;
  if (line === 'threads') return laid.some(({ is }) => is === 'size');
  const figures = SPEAKS[line] ?? [];
  return figures.length > 0 && figures.every((figure) => fitted[figure] !== undefined);
}

/**
 * One port of the new part, as it was laid on the old one.
 *
 * @throws InputError where another size is said and no sizes are
 * @example judgePort(feed, { is: 'missing', from: null, to: null }).outcome // 'bad'
 */
export function judgePort(line: Pick<Connection, 'name'>, { is, from, to }: FitState['ports'][string]): Found {
  const at = line.name;
  if (is === 'same') return { outcome: 'good', text: `${at}: its port is the same`, at };
  if (is === 'missing')
    return {
      outcome: 'bad',
      text: `${at}: the new part has no port for it`,
      at,
      next: 'stop: send it back before the old one is opened',
    };
  if (is === 'use')
    return {
      outcome: 'bad',
      text: `${at}: its port does something else inside`,
      at,
      next: 'blow through it: does it draw, return, or shut off? Stop until that is known',
    };
  if (!from || !to) throw new InputError('port', at, 'what the line ends in, and what the new part offers');
  const chain = chainBetween(from, to);
  const figure = endInWords(to);
  const limit = endInWords(from);
  if (chain === null)
    return { outcome: 'bad', text: `${at}: no four pieces bring it on`, at, figure, limit, next: 'stop: another part' };
  if (chain.length === 0) return { outcome: 'good', text: `${at}: it goes on as it is`, at, figure, limit };
  return {
    outcome: 'doubtful',
    text: `${at}: it goes on with ${chain.length === 1 ? 'one piece' : `${chain.length} pieces`}: ${chain.map(({ name }) => name).join(', ')}`,
    at,
    figure,
    limit,
    next: 'have every piece on the bench, and room for their height above the part, before the old one is opened',
  };
}

function verdictOf(found: readonly Found[]): Verdict {
  if (found.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: 'no part comes that would have to fit', basis: commonPractice }],
      next: [],
    };
  return verdictFrom(found, { basis: computed('old laid on new; sizes by bore on pipe, threads by name') });
}
