import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { Answered } from '../questions/index.ts';
import { say } from '../quantity/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { FitMeasuredBody, PortLaidBody, type EndBody } from './bodies.ts';
import type { End } from './chain.ts';
import type { FitFigure } from './figures.ts';
import type { GoesIn } from './goesIn.ts';
import { judgeFit } from './judge.ts';
import { COMPARE, compareOpen } from './lines.ts';
import type { Pins } from './pins.ts';
import type { SetPart } from './set.ts';

/** A port as somebody laid it. */
export interface PortLaid extends Stamp {
  /** How it is. */
  is: PortLaidBody['is'];
  /** What the line ends in. */
  from: End | null;
  /** What the new part offers. */
  to: End | null;
}

/** What was measured of old and new. */
export interface FitMeasured extends Stamp {
  /** Of the new part. */
  now: number;
  /** Of the old one; null: nobody did. */
  old: number | null;
}

/** New part against old. */
export interface FitSlice {
  /** What was measured. */
  fitted: Readonly<Partial<Record<FitFigure, FitMeasured>>>;
  /** By line: how its port is. */
  ports: Readonly<Record<string, PortLaid>>;
  /** Its plug, pin by pin; null: nobody read it so. */
  pins: (Pins & Stamp) | null;
  /** Parts from several donors, by their id. */
  set: Readonly<Record<string, SetPart & Stamp>>;
}

/** What fit is judged by. */
export type FitFacts = FitSlice & VehicleSlice & Pick<OrderSlice, 'complaint'> & GoesIn & Answered;

/** Holds what was measured and laid; a part that still carries what belongs on the new one stays in the shop. */
export const fitSlice = defineSlice<FitSlice, FitFacts>({
  name: 'fit',
  start: () => ({ fitted: {}, ports: {}, pins: null, set: {} }),
  hears: {
    // “The same” after the gate takes nothing back.
    answered: (_own, { question, value }, { tell }) => {
      if (question === COMPARE.id && value !== 'same') tell('fitChanged', {});
    },
  },
  owes: (state): Debt[] =>
    compareOpen(state)
      .filter(({ is }) => is === 'carry')
      .map(({ id, name }) => ({
        id: `carry:${id}`,
        key: 'fit',
        text: `${name}: still on the old part, which stays in the shop`,
      })),
  record: (state): RecordLine[] => {
    const { verdict, begun } = judgeFit(state);
    if (!begun) return [];
    return verdict.reasons.map((reason) => ({
      under: 'bench',
      text: say`new against old: ${reason.text}${reason.figure ? say`, ${reason.figure}` : ''}${reason.limit ? say` against ${reason.limit}` : ''}`,
      by: null,
      at: null,
    }));
  },
});

/** A figure of the new part is measured. */
export const fitMeasured = defineKind<'fitMeasured', FitMeasuredBody, FitSlice, FitFacts>({
  kind: 'fitMeasured',
  version: 1,
  Body: FitMeasuredBody,
  apply: (own, { figure, now, old }, { moment: { id, by, at }, tell }) => {
    tell('fitChanged', {});
    own.fitted[figure] = { now, old: old ?? null, id, by, at };
  },
  touches: ({ figure }) => ({ reads: [], writes: [`fit:${figure}`, 'gate:3'] }),
  words: ({ figure }) => `${figure} of the new part measured`,
  arbitrary: (f) => f.record({ figure: f.constantFrom('flange' as const, 'ohmsEmpty' as const), now: f.constant(80) }),
});

/**
 * An end as the log tells it.
 *
 * @throws InputError where size or thread is missing
 * @example endOf({ kind: 'pipe', mm: 8 }, 'from') // { kind: 'pipe', mm: 8 }
 */
export function endOf({ kind, mm, name, side }: EndBody, field: string): End {
  if (kind === 'thread') {
    if (!name || !side) throw new InputError(`body.${field}.name`, '', 'a thread of the tables, and its side');
    return { kind, name, side };
  }
  if (mm === undefined) throw new InputError(`body.${field}.mm`, '', 'its size');
  return { kind, mm };
}

/** A port of the new part is held against its line. */
export const portLaid = defineKind<'portLaid', PortLaidBody, FitSlice, FitFacts>({
  kind: 'portLaid',
  version: 1,
  Body: PortLaidBody,
  check: ({ is, from, to }) => {
    if (is !== 'size') return;
    if (!from || !to)
      throw new InputError(`body.${from ? 'to' : 'from'}`, '', 'what the line ends in, and what the new part offers');
    endOf(from, 'from');
    endOf(to, 'to');
  },
  apply: (own, { line, is, from, to }, { moment: { id, by, at }, tell }) => {
    tell('fitChanged', {});
    const sized = is === 'size' && from && to;
    own.ports[line] = castDraft({
      is,
      from: sized ? endOf(from, 'from') : null,
      to: sized ? endOf(to, 'to') : null,
      id,
      by,
      at,
    });
  },
  touches: ({ line }) => ({ reads: [], writes: [`port:${line}`, 'gate:3'] }),
  words: ({ line }, { name }) => `port of ${name(`line:${line}`)} held against the old one`,
  arbitrary: (f) =>
    f.record({ line: f.constantFrom('feed', 'vent', 'moon'), is: f.constantFrom('same' as const, 'missing' as const) }),
});
