import { castDraft } from 'immer';
import { defineKind } from '../kernel/index.ts';
import { UNIT, unitOf, type VehicleSlice } from '../vehicle/index.ts';
import { BuiltBody, RingTriedBody } from './bodies.ts';
import { judgeRung } from './opening.ts';
import type { BenchSlice } from './slice.ts';

type Facts = BenchSlice & VehicleSlice;

/** A rung of the ladder was tried, and the ring did not move. */
export const ringTried = defineKind<'ringTried', RingTriedBody, BenchSlice, Facts>({
  kind: 'ringTried',
  version: 1,
  Body: RingTriedBody,
  apply: (own, { rung }, { moment: { id, by, at }, facts, tell }) => {
    const verdict = judgeRung(
      unitOf(facts.vehicle).kind,
      rung,
      own.tried.map((one) => one.rung),
    );
    if (verdict.outcome === 'bad')
      tell('flagged', { text: `ring opened by ${rung}; ${verdict.reasons[0]?.text as string}` });
    own.tried.push(castDraft({ rung, id, by, at }));
  },
  touches: () => ({ reads: [], writes: [UNIT] }),
  words: ({ rung }) => `ring: ${rung} tried`,
  arbitrary: (f) => f.record({ rung: f.constantFrom('clean' as const, 'soak' as const, 'steel' as const) }),
});

/** A step of putting the unit together is done. */
export const built = defineKind<'built', BuiltBody, BenchSlice, Facts>({
  kind: 'built',
  version: 1,
  Body: BuiltBody,
  apply: (own, { step }, { moment: { id, by, at } }) => {
    own.built = [...own.built.filter((one) => one.step !== step), { step, id, by, at }];
  },
  touches: ({ step }) => ({ reads: [UNIT], writes: [`built:${step}`] }),
  words: ({ step }) => `${step} in its place`,
  arbitrary: (f) => f.record({ step: f.constantFrom('groove', 'pump', 'moon') }),
});
