import { defineKind, type Moment } from '../kernel/index.ts';
import { unitOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Draft } from 'immer';
import { buildSteps } from './assembly.ts';
import { PartSwappedBody, UnitSwappedBody } from './bodies.ts';
import type { BenchSlice, Piece } from './slice.ts';
import { MODULE, written } from './words.ts';

type Facts = BenchSlice & VehicleSlice;

/** What sits on a part comes off with it: its steps are done anew. */
function takenApart(own: Draft<BenchSlice>, from: number, { facts, moment }: { facts: Facts; moment: Moment }): void {
  const steps = buildSteps(facts).map(({ id }) => id);
  own.built = own.built.filter(({ id, step }) => !moment.knew(id) || from < 0 || steps.indexOf(step) < from);
}

/** Puts another piece in; again: the one before goes back, with all that was said of it. */
function put(
  own: Draft<BenchSlice>,
  part: string,
  { piece, again }: { piece: Omit<Piece, 'words'>; again: boolean },
): void {
  const list = (own.pieces[part] ??= [{ called: null, tag: null, words: [] }]);
  const before = list.at(-2);
  list.push(again && before ? { ...before, words: [...before.words] } : { ...piece, words: [] });
}

/** Another part goes in. */
export const partSwapped = defineKind<'partSwapped', PartSwappedBody, BenchSlice, Facts>({
  kind: 'partSwapped',
  version: 1,
  Body: PartSwappedBody,
  apply: (own, { part, with: called, tag, again }, { moment, tell, facts }) => {
    tell('unitChanged', {});
    takenApart(
      own,
      buildSteps(facts).findIndex(({ id }) => id === part),
      { facts, moment },
    );
    put(own, part, { piece: { called, tag: tag ?? null }, again: again === true });
  },
  touches: ({ part }) => ({ reads: [MODULE], writes: [written(part), 'gate:3'] }),
  words: ({ part, with: called, again }) => `${part} out, “${called}” in${again ? ' again' : ''}`,
  arbitrary: (f) => f.record({ part: f.constantFrom('pump', 'sender'), with: f.constantFrom('90 L/h', '20 to 80') }),
});

/** A whole new unit goes in: all parts of it at once. */
export const unitSwapped = defineKind<'unitSwapped', UnitSwappedBody, BenchSlice, Facts>({
  kind: 'unitSwapped',
  version: 1,
  Body: UnitSwappedBody,
  apply: (own, { with: called, tag, again }, { moment, tell, facts }) => {
    tell('unitChanged', {});
    takenApart(own, 0, { facts, moment });
    for (const { id } of unitOf(facts.vehicle).parts)
      put(own, id, { piece: { called, tag: tag ?? null, whole: true }, again: again === true });
  },
  touches: () => ({ reads: [], writes: [MODULE, 'gate:3'] }),
  words: ({ with: called, again }) => `whole unit out, “${called}” in${again ? ' again' : ''}`,
  arbitrary: (f) => f.record({ with: f.constantFrom('module 90 L/h', 'module') }),
});
