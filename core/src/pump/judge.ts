import { commonPractice, computed, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { bar as inBar, say } from '../quantity/index.ts';
import { pumpOf, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Outcome, type Verdict } from '../verdict/index.ts';
import { behindIt } from './behind.ts';
import { demandOf, feedsCarburettor, FLOODS, wantedBar } from './need.ts';
import { ampsOf, atRatedVolts, flowOf, type PumpRated, type PumpRun } from './run.ts';

/** Within this of what it should be it is normal; common practice, no source. */
const NORMAL = 0.2;
/** So many times its amps and no flow: it is stalled. */
const STALLED = 3;
/** Flow over demand: sound from here, too little below one. Common practice, no source. */
const ENOUGH = 1.1;
/** Free flow says nothing of injection: under this share of the engine’s pressure it was not pressed. */
const PRESSED = 0.8;
/** It may fall by this share of its pressure in the time it was watched; common practice, no source. */
const HOLDS = 0.2;

type Level = 'none' | 'low' | 'normal' | 'high';

/** What a run showed, part by part. */
export interface RunJudged {
  /** Whether it may go back. */
  verdict: Verdict;
  /** L/h at the rated volts; null where it was not measured. */
  flow: number | null;
  /** A it should draw; null where nobody knows what it is rated for. */
  amps: { lo: number; hi: number } | null;
}

/**
 * May this pump go back? Its flow corrected to the rated volts, its current against what the rated flow takes, together as
 * a pattern; enough for this engine at the engine’s own pressure, and not too much for a carburettor; whether it holds.
 *
 * @throws InputError without volts, or with a figure that cannot be
 * @example judgeRun({ volts: 12.1, amps: 4.1, bar: 3.9, litres: 0.17, seconds: 20 }, { file, rated }).verdict.reasons[0]?.text
 */
export function judgeRun(run: PumpRun, { file, rated }: { file: VehicleFile; rated?: PumpRated }): RunJudged {
  for (const field of ['volts', 'amps', 'bar', 'litres', 'seconds'] as const) {
    const value = run[field];
    if (value !== undefined && !(value >= 0)) throw new InputError(field, String(value), 'zero or more');
  }
  if (!(run.volts > 0)) throw new InputError('volts', String(run.volts), 'the volts at its plug while it runs');
  const raw = flowOf(run);
  const flow =
    raw === null
      ? null
      : raw === 0
        ? 0
        : atRatedVolts({ flow: raw, volts: run.volts, bar: run.bar, rated: rated?.volts ?? 12 });
  const amps = rated ? expectedAmps(rated) : null;
  const found = [
    ...patternOf(run, { flow, raw, rated, amps }),
    ...enough(run, { flow, file }),
    ...tooMuch(run, file),
    ...holds(run),
    ...behindIt(run, file),
  ];
  return { flow, amps, verdict: verdictFrom(found, { basis: commonPractice }) };
}

function expectedAmps(rated: PumpRated): { lo: number; hi: number } {
  if (rated.amps !== undefined) return { lo: rated.amps * (1 - NORMAL), hi: rated.amps * (1 + NORMAL) };
  const { lo, hi } = ampsOf(rated);
  return { lo, hi };
}

const levelOf = (value: number, { lo, hi }: { lo: number; hi: number }): Level =>
  value === 0 ? 'none' : value < lo ? 'low' : value > hi ? 'high' : 'normal';

interface Measured {
  flow: number | null;
  raw: number | null;
  rated: PumpRated | undefined;
  amps: { lo: number; hi: number } | null;
}

/** What flow, current and pressure say together. */
function patternOf(run: PumpRun, { flow, raw, rated, amps }: Measured): Found[] {
  if (flow === null)
    return [
      {
        outcome: 'unknown',
        text: 'nobody measured what it delivers',
        basis: commonPractice,
        next: 'so much in so many seconds: half a litre in 20 s is 90 L/h',
      },
    ];
  if (flow === 0) return [nothingCame(run, amps)];
  if (!rated)
    return [
      {
        outcome: 'unknown',
        text: 'what it is rated for is not in the file',
        figure: `${roundTo(flow, 1)} L/h`,
        basis: commonPractice,
        next: 'read flow, pressure and amps off the new part or its page',
      },
    ];
  const how = levelOf(flow, { lo: rated.flow * (1 - NORMAL), hi: Infinity });
  const draws = run.amps === undefined || amps === null ? null : levelOf(run.amps, amps);
  const pressed =
    run.bar === undefined ? null : levelOf(run.bar, { lo: rated.bar * (1 - NORMAL), hi: rated.bar * (1 + NORMAL) });
  const figure = `${roundTo(flow, 1)} L/h${run.amps === undefined ? '' : `, ${roundTo(run.amps, 0.1)} A`}`;
  const limit = `${roundTo(rated.flow, 1)} L/h${amps ? `, ${roundTo(amps.lo, 0.1)}–${roundTo(amps.hi, 0.1)} A` : ''}`;
  const basis = computed(
    'flow at the rated volts, current of the rated flow at η 0.15–0.25; normal within 20 %, common practice',
  );
  const told = (outcome: Outcome, text: string, next?: string): Found => ({
    outcome,
    text,
    figure,
    limit,
    basis,
    ...(next ? { next } : {}),
  });
  if (how === 'normal') {
    if (draws === 'high')
      return [
        told(
          'doubtful',
          'it delivers, and draws too much: tight or dirty',
          'listen to it, look at its strainer, run it again',
        ),
      ];
    const short = raw !== null && raw < rated.flow * (1 - NORMAL);
    return [
      short
        ? told('good', 'sound: what was missing are the volts', 'look at feed and ground: the pump is not to blame')
        : told(
            'good',
            draws === null
              ? 'it delivers what it is rated for; its amps were not read'
              : 'it delivers what it is rated for',
          ),
    ];
  }
  if (draws === null) return [told('bad', 'it delivers too little', 'read its amps too: they say why')];
  if (draws === 'high')
    return [
      pressed === 'high'
        ? told('bad', 'blocked behind it, or its regulator is shut', 'clear the line in front of it and run it again')
        : told('bad', 'tight or dirty: much current, little fuel', 'another pump'),
    ];
  if (draws === 'low' && pressed === 'low')
    return [
      told(
        'bad',
        'starved, sucking air, slipping or turning backwards',
        'is the strainer free and under fuel? Plus and minus the right way?',
      ),
    ];
  return [
    told(
      'bad',
      'little fuel at sound current: it leaks inside, hose or relief, or is worn',
      'look at the hose between pump and flange, and at its clamps, then run it again',
    ),
  ];
}

function nothingCame(run: PumpRun, amps: { lo: number; hi: number } | null): Found {
  const basis = commonPractice;
  if (run.amps === undefined)
    return {
      outcome: 'unknown',
      text: 'nothing came, and nobody read the amps',
      basis,
      next: 'amps say whether it is open inside or stalled',
    };
  const figure = `${roundTo(run.amps, 0.1)} A at ${roundTo(run.volts, 0.1)} V`;
  if (run.amps === 0)
    return {
      outcome: 'bad',
      text: 'open inside: volts are there and nothing flows',
      figure,
      basis,
      next: 'another pump',
    };
  if (amps && run.amps >= STALLED * amps.hi)
    return {
      outcome: 'bad',
      text: 'stalled',
      figure,
      limit: `${roundTo(amps.hi, 0.1)} A at most when it runs`,
      basis,
      next: 'another pump; clean the tank first if it was dirt',
    };
  return {
    outcome: 'bad',
    text: 'it turns and nothing comes',
    figure,
    basis,
    next: 'is it under fuel, its strainer free, its hose on?',
  };
}

/** Enough for this engine, at the engine’s own pressure. */
function enough(run: PumpRun, { flow, file }: { flow: number | null; file: VehicleFile }): Found[] {
  const demand = demandOf(file);
  const wanted = wantedBar(file);
  if (flow === null || flow === 0 || !demand) return [];
  const figure = `${roundTo(flow, 1)} L/h`;
  const limit = `${roundTo(demand.hi, 1)} L/h the engine asks`;
  if (wanted && !(run.bar !== undefined && run.bar >= wanted.lo * PRESSED))
    return [
      {
        outcome: 'unknown',
        text: 'free flow proves nothing at the engine’s pressure',
        figure: run.bar === undefined ? 'pressure not read' : say`${inBar(run.bar)}`,
        limit: say`${inBar(wanted.lo, wanted.hi)}`,
        basis: commonPractice,
        next: 'run it against the engine’s own pressure, shielded, gauge in the line',
      },
    ];
  const basis = fromMemory('0.32 kg/kWh petrol, 0.36 charged, 0.22 diesel, at full power');
  if (flow < demand.lo)
    return [
      {
        outcome: 'bad',
        text: 'too little for this engine',
        figure,
        limit,
        basis,
        next: 'a pump rated for this engine',
      },
    ];
  if (flow < ENOUGH * demand.hi)
    return [{ outcome: 'doubtful', text: 'just enough for this engine, with nothing to spare', figure, limit, basis }];
  return [{ outcome: 'good', text: 'enough for this engine', figure, limit, basis }];
}

/** What a carburettor cannot take. */
function tooMuch(run: PumpRun, file: VehicleFile): Found[] {
  const most = file.fuelSystem?.engine?.bar?.hi ?? FLOODS;
  if (!feedsCarburettor(file) || run.bar === undefined || run.bar <= most) return [];
  const regulated = pumpOf(file) === 'electricLow';
  return [
    {
      outcome: regulated ? 'doubtful' : 'bad',
      text: 'more than a carburettor takes: it floods',
      figure: say`${inBar(run.bar)}`,
      limit: say`${inBar(most)}`,
      basis: commonPractice,
      next: regulated
        ? 'a regulator between pump and carburettor, and read it behind that'
        : 'another pump, or fewer shims: it never goes on like this',
    },
  ];
}

/** Does pressure stay when it stops? */
function holds({ bar, held }: PumpRun): Found[] {
  if (!held || bar === undefined || bar === 0) return [];
  const lost = (bar - held.bar) / bar;
  if (lost <= HOLDS)
    return [
      {
        outcome: 'good',
        text: `it holds after it stops, ${held.seconds} s`,
        figure: say`${inBar(held.bar)}`,
        basis: commonPractice,
      },
    ];
  return [
    {
      outcome: 'doubtful',
      text: 'pressure falls after it stops: check valve, injector or regulator',
      figure: say`${inBar(held.bar)} after ${held.seconds} s`,
      limit: say`${inBar(bar * (1 - HOLDS))}`,
      basis: commonPractice,
      next: 'clamp the feed, then the return: which one keeps it?',
    },
  ];
}

/** Where and how a pump is run on the bench; said at that step. */
export const RUN_CAUTION =
  'Outdoors, on a fused supply, in clean fuel in its own container: never over an open jug, never dry, never in the fitted tank. Shield it when it is dead-ended. The service information comes first.';
