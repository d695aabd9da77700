import { castDraft } from 'immer';
import { defineKind, defineSlice, standing, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { gravestOf, type Verdict } from '../verdict/index.ts';
import { CodesBody, StartedBody } from './bodies.ts';
import { judgeCodes, judgeStart } from './judge.ts';

/** A start, judged. */
export interface Start extends Stamp {
  /** What was read. */
  body: StartedBody;
  /** What it comes to. */
  verdict: Verdict;
}

/** Codes as they were read once. */
interface Codes extends Stamp {
  /** As the tool showed them. */
  codes: readonly string[];
}

/** The first start, and fault codes. Of several that knew nothing of each other all stand. */
export interface StartSlice {
  /** The newest start. */
  starts: readonly Start[];
  /** Codes before the work. */
  codesBefore: readonly Codes[];
  /** Codes after it. */
  codesAfter: readonly Codes[];
}

type Facts = StartSlice & VehicleSlice;

const all = (list: readonly Codes[]): string[] | null =>
  list.length === 0 ? null : [...new Set(list.flatMap(({ codes }) => codes))];

/** Codes before and after, judged. @example codesOf(state).outcome */
export const codesOf = ({ codesBefore, codesAfter }: StartSlice): Verdict =>
  judgeCodes({ before: all(codesBefore), after: all(codesAfter) });

/** Holds the first start and the codes; an engine that does not run, and a code that is new, are owed. */
export const startSlice = defineSlice<StartSlice, Facts>({
  name: 'start',
  start: () => ({ starts: [], codesBefore: [], codesAfter: [] }),
  owes: (state): Debt[] => {
    const start = gravestOf(state.starts);
    const codes = codesOf(state);
    return [
      ...(start?.verdict.outcome === 'bad'
        ? [{ id: `start:${start.id}`, key: 'start', text: start.verdict.reasons[0]?.text ?? 'it does not run' }]
        : []),
      ...(codes.outcome === 'bad'
        ? [{ id: `codes:${state.codesAfter.at(-1)!.id}`, key: 'codes', text: codes.reasons[0]?.text ?? 'codes' }]
        : []),
    ];
  },
  record: (state): RecordLine[] => [
    ...state.starts.flatMap(({ verdict, by, at }) =>
      verdict.reasons.map(({ text, figure }): RecordLine => ({
        under: 'proof',
        text: say`first start: ${text}${figure ? say`, ${figure}` : ''}`,
        by,
        at,
      })),
    ),
    ...state.codesAfter.slice(-1).map(({ by, at }): RecordLine => ({
      under: 'proof',
      text: say`codes: ${codesOf(state).reasons[0]?.text ?? ''}`,
      by,
      at,
    })),
  ],
});

/** The engine was started after the work. */
export const engineStarted = defineKind<'engineStarted', StartedBody, StartSlice, Facts>({
  kind: 'engineStarted',
  version: 1,
  Body: StartedBody,
  apply: (own, body, { moment: { id, by, at, knew }, facts }) => {
    const verdict = judgeStart(body, facts.vehicle);
    own.starts = castDraft(standing(own.starts as readonly Start[], { id, by, at, body, verdict }, knew));
  },
  touches: () => ({ reads: [], writes: ['start'] }),
  words: ({ ran }) =>
    ran === 'ran' ? 'it starts and runs' : ran === 'no' ? 'it does not start' : 'it starts and dies',
  arbitrary: (f) =>
    f.record({
      ran: f.constantFrom('ran' as const, 'no' as const),
      bar: f.constantFrom(0.3, 3.5),
      volts: f.constant(12),
    }),
});

/** Fault codes were read. */
export const codesRead = defineKind<'codesRead', CodesBody, StartSlice>({
  kind: 'codesRead',
  version: 1,
  Body: CodesBody,
  apply: (own, { when, codes }, { moment: { id, by, at, knew } }) => {
    const of = when === 'before' ? 'codesBefore' : 'codesAfter';
    own[of] = castDraft(standing(own[of] as readonly Codes[], { id, by, at, codes }, knew));
  },
  touches: ({ when }) => ({ reads: [], writes: [`codes:${when}`] }),
  words: ({ when }) => `codes ${when} the work`,
  arbitrary: (f) =>
    f.record({
      when: f.constantFrom('before' as const, 'after' as const),
      codes: f.subarray(['P0455', 'P0460']),
    }),
});
