import { commonPractice, shopRule } from '../basis/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { GateFactsToJudge } from './facts.ts';
import { gateItems, type GateItem } from './items.ts';
import type { GateNumber } from './slice.ts';

/** A question of a gate, and how it stands. */
export interface JudgedItem {
  /** The question. */
  item: GateItem;
  /** How it stands. */
  verdict: Verdict;
  /** Passed: good, a look, or excepted by the lead. */
  through: boolean;
  /** Who let it through all the same, and why; null where nobody did. */
  excepted: { reason: string; lead: string } | null;
}

/**
 * Every item of a gate with its verdict. A gate may be passed when every item is through.
 *
 * @example judgeGate(state, 1).every((j) => j.through)
 */
export function judgeGate(state: GateFactsToJudge, gate: GateNumber): JudgedItem[] {
  const asked = gateItems[gate].filter((item) => item.applies?.(state) ?? true);
  return asked.map((plain) => {
    const item = { ...plain, ...plain.by?.(state) };
    const given = state.gates[gate].answers[item.id];
    const verdict = item.judge ? item.judge(state) : answered(item, given?.answer);
    const excepted = given?.excepted ?? null;
    return {
      item,
      verdict,
      excepted,
      through: excepted !== null || verdict.outcome === 'good' || verdict.outcome === 'doubtful',
    };
  });
}

function answered(item: GateItem, value: string | undefined): Verdict {
  const answer = item.answers.find((a) => a.value === value);
  if (!answer) return { outcome: 'unknown', reasons: [{ text: 'not answered yet', basis: shopRule }], next: [] };
  return {
    outcome: answer.outcome,
    reasons: [{ text: answer.says, basis: commonPractice }],
    next: answer.next ? [answer.next] : [],
  };
}
