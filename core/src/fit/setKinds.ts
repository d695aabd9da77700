import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind } from '../kernel/index.ts';
import { PinsReadBody, SetPartBody } from './bodies.ts';
import type { FitFacts, FitSlice } from './kinds.ts';

/** The plug of old and new part is read pin by pin. */
export const pinsRead = defineKind<'pinsRead', PinsReadBody, FitSlice, FitFacts>({
  kind: 'pinsRead',
  version: 1,
  Body: PinsReadBody,
  check: ({ old, now }) => {
    if (old.length !== now.length)
      throw new InputError('body.now', `${now.length} pins`, `${old.length} cavities, as the old plug has`);
  },
  apply: (own, { old, now, how }, { moment: { id, by, at }, tell }) => {
    tell('fitChanged', {});
    own.pins = castDraft({ old, now, how, id, by, at });
  },
  touches: () => ({ reads: [], writes: ['fit:pins', 'gate:3'] }),
  words: ({ old }) => `plug of the new part read, ${old.length} pins`,
  arbitrary: (f) =>
    f.record({
      old: f.constant(['pump' as const, 'ground' as const]),
      now: f.constantFrom(['pump' as const, 'ground' as const], ['ground' as const, 'pump' as const]),
      how: f.constantFrom('meter' as const, 'colour' as const),
    }),
});

/** A part of a set from several donors is measured. */
export const setPart = defineKind<'setPart', SetPartBody, FitSlice, FitFacts>({
  kind: 'setPart',
  version: 1,
  Body: SetPartBody,
  apply: (own, { part, donor, low, high }, { moment: { id, by, at }, tell }) => {
    tell('fitChanged', {});
    own.set[part] = { donor, low: low ?? null, high: high ?? null, id, by, at };
  },
  touches: ({ part }) => ({ reads: [], writes: [`fit:set:${part}`, 'gate:3'] }),
  words: ({ part, donor }, { name }) => `${name(`part:${part}`)} from ${donor}`,
  arbitrary: (f) =>
    f.record({
      part: f.constantFrom('pump', 'hose', 'moon'),
      donor: f.constantFrom('the old van', 'the shelf'),
      low: f.constantFrom(7.9, 9.5),
      high: f.constant(8),
    }),
});
