import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, standing, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import { gravestOf, type Verdict } from '../verdict/index.ts';
import { HolePlannedBody, SupportPlannedBody } from './bodies.ts';
import { judgeHole, type HolePlan } from './hole.ts';
import { judgeSupport } from './support.ts';

/** What was judged before it was made. */
type Planned = Stamp & {
  /** Whether to. */
  verdict: Verdict;
};

/** What is changed on tank and support. */
export interface ConversionSlice {
  /** The hole, and what it was measured by; null: none is planned. */
  hole: (Planned & { plan: HolePlan }) | null;
  /** What carries it; null: as it was made. */
  carries: Planned | null;
  /** What stands of several that knew nothing of one another: the gravest counts. */
  planned: { holes: readonly (Planned & { plan: HolePlan })[]; carries: readonly Planned[] };
}

const lines = (what: string, planned: Planned | null): RecordLine[] =>
  planned
    ? planned.verdict.reasons.map(({ text, figure, limit }) => ({
        under: 'bench' as const,
        text: say`${what}: ${text}${figure ? say`, ${figure}` : ''}${limit ? say` against ${limit}` : ''}`,
        by: planned.by,
        at: planned.at,
      }))
    : [];

/** What does not carry the tank, or what nobody can say of it, is owed. */
export const conversionSlice = defineSlice<ConversionSlice>({
  name: 'conversion',
  start: () => ({ hole: null, carries: null, planned: { holes: [], carries: [] } }),
  owes: ({ hole, carries }): Debt[] =>
    [
      { id: 'hole', planned: hole, what: 'the hole' },
      { id: 'carries', planned: carries, what: 'what carries it' },
    ].flatMap(({ id, planned, what }) =>
      planned && (planned.verdict.outcome === 'bad' || planned.verdict.outcome === 'unknown')
        ? [
            {
              id: `conversion:${id}:${planned.id}`,
              key: `conversion:${id}`,
              text: say`${what}: ${planned.verdict.reasons[0]?.text ?? ''}`,
            },
          ]
        : [],
    ),
  record: ({ hole, carries }) => [...lines('hole', hole), ...lines('support', carries)],
});

/** A hole is measured before it is made. */
export const holePlanned = defineKind<'holePlanned', HolePlannedBody, ConversionSlice>({
  kind: 'holePlanned',
  version: 1,
  Body: HolePlannedBody,
  check: ({ hole, boltCircle }) => {
    if (boltCircle !== undefined && !(boltCircle > hole))
      throw new InputError('body.boltCircle', String(boltCircle), 'wider than the hole');
  },
  apply: (own, body, { moment: { id, by, at, knew } }) => {
    const plan = { ...body, boltCircle: body.boltCircle ?? null };
    own.planned.holes = standing(own.planned.holes, castDraft({ id, by, at, plan, verdict: judgeHole(plan) }), knew);
    own.hole = gravestOf(own.planned.holes);
  },
  touches: () => ({ reads: [], writes: ['conversion:hole'] }),
  words: () => 'a hole measured before it is made',
  arbitrary: (f) =>
    f.record({
      stack: f.constant(40),
      recess: f.constantFrom(30, 60),
      hole: f.constant(100),
      outOfFlat: f.constant(0.5),
      squeeze: f.constant(2),
      inside: f.constant(200),
      swing: f.constant(180),
      clocking: f.constant(10),
      neverFuelled: f.boolean(),
    }),
});

/** What carries the tank is reckoned. */
export const supportPlanned = defineKind<'supportPlanned', SupportPlannedBody, ConversionSlice>({
  kind: 'supportPlanned',
  version: 1,
  Body: SupportPlannedBody,
  apply: (own, { good, shock, ...plan }, { moment: { id, by, at, knew } }) => {
    const verdict = judgeSupport({
      ...plan,
      shock: shock ?? null,
      good: { hook: good.hook ?? null, strap: good.strap ?? null, bolt: good.bolt ?? null },
    });
    own.planned.carries = standing(own.planned.carries, castDraft({ id, by, at, verdict }), knew);
    own.carries = gravestOf(own.planned.carries);
  },
  touches: () => ({ reads: [], writes: ['conversion:carries'] }),
  words: () => 'what carries the tank reckoned',
  arbitrary: (f) =>
    f.record({
      kilograms: f.constant(90),
      count: f.constant(2),
      good: f.constantFrom({}, { hook: 4, strap: 8, bolt: 10 }),
      shock: f.constant(3),
    }),
});
