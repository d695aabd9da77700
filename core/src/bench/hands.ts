import { castDraft } from 'immer';
import { defineKind } from '../kernel/index.ts';
import { UNIT, unitOf, type VehicleSlice } from '../vehicle/index.ts';
import { BuiltBody, RingTriedBody } from './bodies.ts';
import { judgeRung, ladderOf } from './opening.ts';
import type { BenchSlice } from './slice.ts';

type Facts = BenchSlice & VehicleSlice;

/** A rung of the ladder was tried; whether the ring came open by it, its own entry tells. */
export const ringTried = defineKind<'ringTried', RingTriedBody, BenchSlice, Facts>({
  kind: 'ringTried',
  version: 1,
  Body: RingTriedBody,
  apply: (own, { rung }, { moment: { id, by, at }, facts, tell }) => {
    const { kind } = unitOf(facts.vehicle);
    const name = ladderOf(kind).find(({ id: one }) => one === rung)?.name ?? rung;
    const verdict = judgeRung(
      kind,
      rung,
      own.tried.map((one) => one.rung),
    );
    if (verdict.outcome === 'bad')
      tell('flagged', { text: `${name} at the ring; ${verdict.reasons[0]?.text as string}` });
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
