import { IsIn, IsOptional, IsString, Length, MaxLength } from 'class-validator';
import { defineKind, refused, type Decided } from '../kernel/index.ts';
import { inWords } from '../quantity/index.ts';
import type { GateFactsToJudge } from './facts.ts';
import { judgeGate } from './judge.ts';
import type { GateNumber, GatesSlice } from './slice.ts';

/** One item of a gate, confirmed or denied by somebody. */
class GateItemBody {
  /** Which gate. */
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
  /** Which item. */
  @IsString() @Length(1, 40) item!: string;
  /** The answer. */
  @IsString() @Length(1, 40) answer!: string;
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** Going through a gate: an intention, refused while an item of it is not answered. */
class GateBody {
  /** Which gate. */
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
}

/** An item passed all the same, with a reason, on the lead's word. */
class ExceptionBody {
  /** Which gate. */
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
  /** Which item. */
  @IsString() @Length(1, 40) item!: string;
  /** Why. */
  @IsString() @Length(3, 300) reason!: string;
  /** Person who allowed it. */
  @IsString() @Length(1, 60) lead!: string;
  /** The server's proof that the lead typed their PIN on this device. */
  @IsString() @Length(1, 60) approval!: string;
}

type Facts = GateFactsToJudge;

/** An item is answered. */
export const gateItem = defineKind<'gateItem', GateItemBody, GatesSlice, Facts>({
  kind: 'gateItem',
  version: 1,
  Body: GateItemBody,
  apply: (own, { gate, item, answer, words }, { moment: { id, by, at }, tell }) => {
    const one = own.gates[gate];
    const had = one.answers[item];
    one.answers[item] = { id, answer, words: words ?? null, by, at, excepted: null };
    one.ended = null;
    // What a passing rested on stands no more once it is answered otherwise.
    if (had && had.answer !== answer) one.passed = null;
    if (item === 'battery' && answer === 'yes') tell('battery', { on: gate === 4 });
  },
  touches: ({ gate, item }) => ({
    reads: [],
    writes: [`gate:${gate}:${item}`, ...(item === 'battery' ? ['battery'] : [])],
  }),
  words: ({ item, answer }) => `${item}: ${answer}`,
  arbitrary: (f) =>
    f.record({
      gate: f.constantFrom(1 as const, 2 as const, 3 as const, 4 as const),
      item: f.constantFrom('air', 'heat', 'support', 'hands', 'battery', 'jack', 'seal'),
      answer: f.constantFrom('yes', 'no', 'new'),
    }),
});

/** What a gate reads: all its items and what they are judged by. */
const readsOf: Record<GateNumber, string[]> = {
  1: ['pressure', 'gate:1:air', 'gate:1:heat', 'gate:1:support', 'gate:1:hands'],
  2: ['fuel', 'gate:2:battery', 'gate:2:jack', 'gate:2:helper'],
  3: ['gate:3:tests', 'gate:3:seal'],
  4: ['gate:4:wiped', 'gate:4:battery', 'gate:4:under', 'fuel'],
};

/** How each item comes out now, and on which entries that rests. */
function decide(state: Facts, gate: GateNumber): Decided {
  const judged = judgeGate(state, gate);
  const outcomes = Object.fromEntries(judged.map((j) => [j.item.id, j.excepted ? 'excepted' : j.verdict.outcome]));
  const rested = judged.flatMap(({ item }) => {
    const answer = state.gates[gate].answers[item.id];
    return [...(answer ? [answer.id] : []), ...(item.rests?.(state) ?? [])];
  });
  return { outcomes, restedOn: [...new Set(rested)] };
}

/** A gate is gone through. */
export const gate = defineKind<'gate', GateBody, GatesSlice, Facts>({
  kind: 'gate',
  version: 1,
  Body: GateBody,
  refuse: (state, { body }) => {
    const missing = judgeGate(state, body.gate).filter((j) => !j.through);
    const first = missing[0];
    if (!first) return null;
    return refused(
      `gate ${body.gate} is not ready: ${missing.map((j) => j.item.short).join(', ')}`,
      inWords(first.verdict.next[0] ?? first.item.question),
      missing.map((j) => ({
        id: `gate:${body.gate}:${j.item.id}`,
        key: `gate:${body.gate}:${j.item.id}`,
        text: `${j.item.short}: ${j.verdict.reasons.map((r) => inWords(r.text)).join(', ')}`,
      })),
    );
  },
  decide: (state, body) => decide(state, body.gate),
  apply: (own, body, { moment: { id, by, at, entry } }) => {
    const one = own.gates[body.gate];
    const passed = {
      id,
      by,
      at,
      items: { ...entry.decided?.outcomes },
      restedOn: [...(entry.decided?.restedOn ?? [])],
      endedIn: [],
    };
    one.history.push(passed);
    one.passed = { ...passed };
    one.ended = null;
  },
  touches: (body) => ({ reads: readsOf[body.gate], writes: [`gate:${body.gate}`] }),
  words: (body) => `gate ${body.gate} passed`,
  arbitrary: (f) => f.record({ gate: f.constantFrom(1 as const, 2 as const, 3 as const, 4 as const) }),
});

/** An item passed all the same. */
export const exception = defineKind<'exception', ExceptionBody, GatesSlice, Facts>({
  kind: 'exception',
  version: 1,
  Body: ExceptionBody,
  apply: (own, { gate: number, item, reason, lead }, { moment: { id, by, at } }) => {
    const had = own.gates[number].answers[item];
    const { answer, words } = had ?? { answer: 'excepted', words: null };
    own.gates[number].answers[item] = { id, answer, words, by, at, excepted: { reason, lead } };
  },
  touches: ({ gate: number, item }) => ({ reads: [], writes: [`gate:${number}:${item}`] }),
  words: ({ item }) => `exception: ${item}`,
  arbitrary: (f) =>
    f.record({
      gate: f.constantFrom(1 as const, 2 as const, 3 as const, 4 as const),
      item: f.constantFrom('pressure', 'witnesses'),
      reason: f.constant('known'),
      lead: f.constant('marit'),
      approval: f.constant('a'),
    }),
});
