import { castDraft } from 'immer';
import { defineKind } from '../kernel/index.ts';
import { FindingBody, SparkBody } from './bodies.ts';
import { TEST_STOP, wetEnds, type ConditionFacts, type ConditionSlice } from './slice.ts';
import { judgeSpark, sparkActs } from './spark.ts';

/** Something is found. */
export const finding = defineKind<'finding', FindingBody, ConditionSlice>({
  kind: 'finding',
  version: 1,
  Body: FindingBody,
  apply: (own, body, { moment: { id, by, at } }) => void own.findings.push({ ...body, id, by, at }),
  touches: ({ what }, id) =>
    what === TEST_STOP ? { reads: ['key'], writes: ['test stop'] } : { reads: [], writes: [`finding:${id}`] },
  words: ({ what }) => what,
  arbitrary: (f) => f.constant({ what: 'light film', where: 'floor', verdict: 'good' as const }),
});

/** Somebody asks whether a spark may be made now. */
export const spark = defineKind<'spark', SparkBody, ConditionSlice, ConditionFacts>({
  kind: 'spark',
  version: 1,
  Body: SparkBody,
  complete: (state, body) => ({ ...body, wetEnds: wetEnds(state) }),
  apply: (own, body, { moment: { id, by, at } }) =>
    void own.sparks.push(castDraft({ id, by, at, act: body.act, verdict: judgeSpark(body), ended: false })),
  touches: (_, id) => ({ reads: [], writes: [`spark:${id}`] }),
  words: ({ act }) => `${sparkActs[act]} asked for`,
  arbitrary: (f) =>
    f.record({
      act: f.constantFrom('drill' as const, 'weld' as const),
      at: f.constantFrom('tank' as const, 'vehicle' as const),
      tank: f.constantFrom('fuelled' as const, 'neverFuelled' as const),
      air: f.boolean(),
      away: f.boolean(),
      dry: f.boolean(),
    }),
});
