import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, standing } from '../kernel/index.ts';
import { LabToldBody, SampleHandedBody, SampleKeptBody, StreamLookedBody, SuspectedBody } from './bodies.ts';
import { causes, pointWord, streamPoints } from './causes.ts';
import type { EvidenceSlice } from './slice.ts';

/** Somebody looked where fuel comes past. What was dirty stays known, also once it is clean. */
export const streamLooked = defineKind<'streamLooked', StreamLookedBody, EvidenceSlice>({
  kind: 'streamLooked',
  version: 1,
  Body: StreamLookedBody,
  check: ({ is, what }) => {
    if (is === 'clean' && what !== undefined)
      throw new InputError('body.what', what, 'nothing where it is clean: what it was stands in the look before');
  },
  apply: (own, { at, is, what }, { moment: { id, by, at: time, knew } }) => {
    const had = own.looks[at] ?? [];
    const dirty = (look: (typeof had)[number]) => (look.is === 'dirty' ? (look.what ?? 'dirty') : look.knewDirty);
    // What its maker knew to have been dirty stays known, also once it is clean.
    const knewDirty =
      had
        .filter((look) => knew(look.id))
        .map(dirty)
        .find((was) => was !== null) ?? null;
    const looks = standing(had, { is, what: what ?? null, knewDirty, id, by, at: time }, knew);
    own.looks[at] = looks;
    const worst = looks.find((look) => look.is === 'dirty') ?? looks[0]!;
    own.stream[at] = {
      is: worst.is,
      what: worst.what,
      wasDirty: looks.map(dirty).find((was) => was !== null) ?? null,
      id: worst.id,
      by: worst.by,
      at: worst.at,
    };
  },
  touches: ({ at }) => ({ reads: [], writes: [`stream:${at}`] }),
  words: ({ at, is, what }) => `${pointWord[at]}: ${what ? causes[what].name : is}`,
  arbitrary: (f) =>
    f.record({ at: f.constantFrom(...streamPoints), is: f.constantFrom('clean' as const, 'dirty' as const) }),
});

/** A sample is kept: the first hand of its chain. */
export const sampleKept = defineKind<'sampleKept', SampleKeptBody, EvidenceSlice>({
  kind: 'sampleKept',
  version: 1,
  Body: SampleKeptBody,
  apply: (own, { tag, of, sealed, with: who }, { moment: { id, by, at } }) =>
    void own.kept.push(
      castDraft({ id, by, at, tag: tag ?? null, of, sealed, hands: [{ who, whole: sealed, at }], lab: null }),
    ),
  touches: (_, id) => ({ reads: [], writes: [`sample:${id}`] }),
  words: ({ of, with: who }) => `sample taken ${pointWord[of]}, kept by ${who}`,
  arbitrary: (f) => f.record({ of: f.constant('tank' as const), sealed: f.boolean(), with: f.constant('the shop') }),
});

/** A sample goes into other hands. */
export const sampleHanded = defineKind<'sampleHanded', SampleHandedBody, EvidenceSlice>({
  kind: 'sampleHanded',
  version: 1,
  Body: SampleHandedBody,
  apply: (own, { sample, to, whole }, { moment: { at } }) => {
    const kept = own.kept.find(({ id }) => id === sample);
    kept?.hands.push({ who: to, whole, at });
  },
  touches: ({ sample }) => ({ reads: [], writes: [`sample:${sample}`] }),
  words: ({ to }) => `sample handed to ${to}`,
  arbitrary: (f) =>
    f.record({ sample: f.constantFrom('e1', 'e2'), to: f.constant('the laboratory'), whole: f.boolean() }),
});

/** A laboratory told what it is. */
export const labTold = defineKind<'labTold', LabToldBody, EvidenceSlice>({
  kind: 'labTold',
  version: 1,
  Body: LabToldBody,
  apply: (own, { sample, is, lab }) => {
    const kept = own.kept.find(({ id }) => id === sample);
    if (kept) kept.lab = { is, lab };
  },
  touches: ({ sample }) => ({ reads: [], writes: [`sample:${sample}`] }),
  words: ({ is, lab }) => `${lab}: ${is === 'sound' ? 'the fuel is sound' : causes[is].name}`,
  arbitrary: (f) =>
    f.record({
      sample: f.constant('e1'),
      is: f.constantFrom('water' as const, 'sound' as const),
      lab: f.constant('laboratory, no. 4'),
    }),
});

/** Somebody suspects something, before a finding is held against it. */
export const suspected = defineKind<'suspected', SuspectedBody, EvidenceSlice>({
  kind: 'suspected',
  version: 1,
  Body: SuspectedBody,
  apply: (own, { cause, who }, { moment: { id, by, at } }) =>
    void (own.suspicion = { cause, who: who ?? null, id, by, at }),
  touches: () => ({ reads: [], writes: ['suspicion'] }),
  words: ({ cause }) => `suspected: ${causes[cause].name}`,
  arbitrary: (f) => f.record({ cause: f.constantFrom('water' as const, 'screens' as const) }),
});
