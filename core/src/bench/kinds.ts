import { seen } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { defineKind } from '../kernel/index.ts';
import { judgeRun, leastVolts } from '../pump/index.ts';
import { judgeNeedle, judgeSweep } from '../sender/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { PartSaidBody, PartSwappedBody, PumpRanBody, SweptBody } from './bodies.ts';
import { buildSteps } from './assembly.ts';
import { partOf, type BenchSlice } from './slice.ts';
import { add, written } from './words.ts';

type Facts = BenchSlice & VehicleSlice;

/** Parts were looked at. */
export const partSaid = defineKind<'partSaid', PartSaidBody, BenchSlice, Facts>({
  kind: 'partSaid',
  version: 1,
  Body: PartSaidBody,
  apply: (own, { parts, outcome, found }, { moment, tell }) => {
    const text = found ?? (outcome === 'good' ? 'looked at: sound' : 'looked at');
    for (const part of parts)
      add(own, part, { how: 'looked', verdict: { outcome, reasons: [{ text, basis: seen }], next: [] }, moment });
    if (outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ parts, outcome }) => ({
    reads: [],
    writes: [...parts.map(written), ...(outcome === 'good' ? [] : ['gate:3'])],
  }),
  words: ({ parts, outcome, found }) =>
    `${parts.length > 2 ? `${parts.length} parts` : parts.join(', ')}: ${found ?? (outcome === 'good' ? 'sound' : outcome)}`,
  arbitrary: (f) =>
    f.record({
      parts: f.constantFrom(['ring'], ['ring', 'seal'], ['moon']),
      outcome: f.constantFrom('good' as const, 'bad' as const),
    }),
});

/** A sender was swept. */
export const swept = defineKind<'swept', SweptBody, BenchSlice, Facts>({
  kind: 'swept',
  version: 1,
  Body: SweptBody,
  check: ({ passes, taps }) => {
    if ((passes === undefined) === (taps === undefined))
      throw new InputError('body.passes', '', 'what the meter read, or where the needle jumped');
  },
  apply: (own, { part, passes, taps, family }, { moment, facts, tell }) => {
    const verdict = passes
      ? judgeSweep(
          passes.map(({ way, ohms }) => ({ way, readings: ohms.map((one) => ({ ohms: one })) })),
          { file: facts.vehicle, ...(family ? { family } : {}) },
        ).verdict
      : judgeNeedle(taps ?? []);
    add(own, part, { how: 'swept', verdict, moment });
    if (verdict.outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ part }) => ({ reads: [], writes: [written(part), 'gate:3'] }),
  words: ({ part }) => `${part} swept`,
  arbitrary: (f) =>
    f.record({ part: f.constantFrom('sender', 'moon'), taps: f.constant([{ way: 'up' as const, at: 0.4 }]) }),
});

/** A pump was run. */
export const pumpRan = defineKind<'pumpRan', PumpRanBody, BenchSlice, Facts>({
  kind: 'pumpRan',
  version: 1,
  Body: PumpRanBody,
  check: (body) => {
    // What no judgement can be made of is refused while it can still be mended.
    const { litres, seconds, heldBar, heldSeconds } = body;
    if ((litres === undefined) !== (seconds === undefined))
      throw new InputError(
        litres === undefined ? 'body.litres' : 'body.seconds',
        '',
        'both: what came, and in how long',
      );
    if ((heldBar === undefined) !== (heldSeconds === undefined))
      throw new InputError(
        heldBar === undefined ? 'body.heldBar' : 'body.heldSeconds',
        '',
        'both: what it held, and how long',
      );
    const least = leastVolts(body.bar);
    if (litres !== undefined && litres > 0 && body.volts < least)
      throw new InputError(
        'body.volts',
        String(body.volts),
        `the volts at its plug while it runs, ${least} V and more${body.bar ? ' under pressure' : ''}`,
      );
  },
  apply: (own, { part, heldBar, heldSeconds, rated, ...run }, { moment, facts, tell }) => {
    const reads = rated ?? partOf(facts, part)?.reads;
    const held =
      heldBar === undefined || heldSeconds === undefined ? {} : { held: { bar: heldBar, seconds: heldSeconds } };
    const { verdict } = judgeRun({ ...run, ...held }, { file: facts.vehicle, ...(reads ? { rated: reads } : {}) });
    add(own, part, { how: 'run', verdict, moment });
    if (verdict.outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ part }) => ({ reads: [], writes: [written(part), 'gate:3'] }),
  words: ({ part, volts }) => `${part} run at ${volts} V`,
  arbitrary: (f) =>
    f.record({
      part: f.constantFrom('pump', 'moon'),
      volts: f.constant(12),
      litres: f.constant(0.5),
      seconds: f.constant(20),
    }),
});

/** Another part goes in. */
export const partSwapped = defineKind<'partSwapped', PartSwappedBody, BenchSlice, Facts>({
  kind: 'partSwapped',
  version: 1,
  Body: PartSwappedBody,
  apply: (own, { part, with: called, tag, again }, { moment, tell, facts }) => {
    tell('unitChanged', {});
    // What sits on it comes off with it.
    const steps = buildSteps(facts).map(({ id }) => id);
    const from = steps.indexOf(part);
    own.built = own.built.filter(({ id, step }) => !moment.knew(id) || from < 0 || steps.indexOf(step) < from);
    const list = (own.pieces[part] ??= [{ called: null, tag: null, words: [] }]);
    const before = list.at(-2);
    // Fitted in error and taken out again: what was there before goes back, with all that was said of it.
    if (again && before) return void list.push({ ...before, words: [...before.words] });
    list.push({ called, tag: tag ?? null, words: [] });
  },
  touches: ({ part }) => ({ reads: [], writes: [written(part), 'gate:3'] }),
  words: ({ part, with: called, again }) => `${part} out, “${called}” in${again ? ' again' : ''}`,
  arbitrary: (f) => f.record({ part: f.constantFrom('pump', 'sender'), with: f.constantFrom('90 L/h', '20 to 80') }),
});
