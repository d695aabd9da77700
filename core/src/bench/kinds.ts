import { seen } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { defineKind } from '../kernel/index.ts';
import { judgeRun, leastVolts } from '../pump/index.ts';
import { judgeNeedle, judgeSweep, keptOf, keptOfTaps, passFrom, stopsOf, type Against } from '../sender/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { PartSaidBody, PumpRanBody, SweptBody } from './bodies.ts';
import { partOf, type BenchSlice } from './slice.ts';
import { add, MODULE, written } from './words.ts';

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
    reads: [MODULE],
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
    const { verdict, sweep } = passes
      ? sweptByMeter(passes, { file: facts.vehicle, family, old: oldEnds(own, part) })
      : { verdict: judgeNeedle(taps ?? []), sweep: keptOfTaps(taps ?? []) };
    add(own, part, { how: 'swept', verdict, sweep, moment });
    if (verdict.outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ part }) => ({ reads: [MODULE], writes: [written(part), 'gate:3'] }),
  words: ({ part }) => `${part} swept`,
  arbitrary: (f) =>
    f.record({ part: f.constantFrom('sender', 'moon'), taps: f.constant([{ way: 'up' as const, at: 0.4 }]) }),
});

function sweptByMeter(passes: NonNullable<SweptBody['passes']>, against: Against) {
  const read = passes.map(passFrom);
  const judged = judgeSweep(read, against);
  return {
    verdict: judged.verdict,
    sweep: keptOf(read, judged, stopsOf(against.file.sender, against.family)),
  };
}

/** Ends of the one that came out, where one goes in for it. */
const oldEnds = ({ pieces }: Pick<BenchSlice, 'pieces'>, part: string) =>
  (pieces[part] ?? [])
    .slice(0, -1)
    .flatMap(({ words }) => words)
    .findLast(({ sweep }) => sweep !== undefined && sweep.ends.empty !== null && sweep.ends.full !== null)?.sweep?.ends;

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
    if ((body.behind === undefined) !== (body.barBehind === undefined))
      throw new InputError(
        body.behind === undefined ? 'body.behind' : 'body.barBehind',
        '',
        'both: what the second gauge stood behind, and what it read',
      );
    if (body.barBehind !== undefined && body.bar === undefined)
      throw new InputError('body.bar', '', 'the pressure in front of the pump beside it');
    const least = leastVolts(body.bar);
    if (litres !== undefined && litres > 0 && body.volts < least)
      throw new InputError(
        'body.volts',
        String(body.volts),
        `the volts at its plug while it runs, ${least} V and more${body.bar ? ' under pressure' : ''}`,
      );
  },
  apply: (own, { part, heldBar, heldSeconds, behind, barBehind, rated, ...run }, { moment, facts, tell }) => {
    const reads = rated ?? partOf(facts, part)?.reads;
    const held =
      heldBar === undefined || heldSeconds === undefined ? {} : { held: { bar: heldBar, seconds: heldSeconds } };
    const second = behind === undefined || barBehind === undefined ? {} : { behind: { what: behind, bar: barBehind } };
    const { verdict } = judgeRun(
      { ...run, ...held, ...second },
      { file: facts.vehicle, ...(reads ? { rated: reads } : {}) },
    );
    add(own, part, { how: 'run', verdict, moment, ...(rated ? { rated } : {}) });
    if (verdict.outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ part }) => ({ reads: [MODULE], writes: [written(part), 'gate:3'] }),
  words: ({ part, volts }) => `${part} run at ${volts} V`,
  arbitrary: (f) =>
    f.record({
      part: f.constantFrom('pump', 'moon'),
      volts: f.constant(12),
      litres: f.constant(0.5),
      seconds: f.constant(20),
    }),
});
