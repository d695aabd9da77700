import { judgeGate } from './gates.ts';
import { keyOf, nameOf } from './names.ts';
import type { ShopKilograms } from '../handling/index.ts';
import { startingKilograms } from '../handling/index.ts';
import type { GateNumber, JobState, LedgerItem } from './types.ts';

export interface Debt {
  /** What it is about: a ledger key, or `identity`, `complaint`, `gate:4`, … */
  key: string;
  text: string;
}

/** Items that are still owed: open, put off, loose on purpose. */
export const openItems = (state: Pick<JobState, 'items'>): LedgerItem[] =>
  state.items.filter((item) => item.state === 'open' || item.state === 'deferred' || item.state === 'loose');

/** Was the tank ever let down? */
export const wasLowered = (state: Pick<JobState, 'deepest' | 'out'>): boolean => state.out || state.deepest > 0;

/** Joints that carry fuel or vapour and were opened: each must be seen dry at the end. */
export function jointsToSee(state: Pick<JobState, 'items' | 'vehicle'>): string[] {
  return state.vehicle.connections
    .filter((line) => line.kind !== 'plug' && line.kind !== 'ground')
    .map((line) => keyOf('line', line.id))
    .filter((key) => state.items.some((item) => item.key === key && item.state === 'closed'));
}

/**
 * All that stands between the job and a signature, each named. Empty when it may be signed.
 *
 * @example owed(state).map((debt) => debt.text) // ['feed line is open', 'plate and mileage are missing']
 */
export function owed(state: JobState, shop: ShopKilograms = startingKilograms): Debt[] {
  const debts: Debt[] = [];
  const excused = new Set(state.deviations.map((d) => d.key));
  const owe = (key: string, text: string) => void (excused.has(key) || debts.push({ key, text }));
  for (const item of openItems(state)) {
    const word =
      item.state === 'loose'
        ? 'is loose'
        : item.kind === 'thing'
          ? 'is still in'
          : item.kind === 'line'
            ? 'is open'
            : 'is off';
    owe(item.key, `${item.name} ${word}${item.state === 'deferred' ? `, put off until ${item.note}` : ''}`);
  }
  if (state.pose.f !== 0 || state.pose.r !== 0)
    owe('pose', `tank hangs ${Math.max(state.pose.f, state.pose.r)} mm below home`);
  for (const pull of state.pulls)
    if (pull.inspected === null) owe(pull.key, `${nameOf(state, pull.key)} was pulled and is not inspected`);
    else if (pull.inspected === 'bad' && !state.replaced[pull.key])
      owe(pull.key, `${nameOf(state, pull.key)} was pulled, found bad and not replaced`);
  for (const cut of state.cuts)
    if (!state.replaced[cut.id])
      owe(
        cut.id,
        `${cut.key ? nameOf(state, cut.key) : cut.what} was cut ${cut.where}: what went in for it is not entered`,
      );
  if (wasLowered(state)) {
    for (const gate of [1, 2, 3, 4] as GateNumber[]) {
      if (state.gates[gate].passed) continue;
      const missing = judgeGate(state, gate, shop).filter((j) => !j.through);
      const names = missing.map((j) => j.item.short).join(', ');
      owe(`gate:${gate}`, names ? `gate ${gate} was not passed: ${names}` : `gate ${gate} was not passed`);
    }
    for (const support of state.vehicle.supports) {
      const key = keyOf('support', support.id);
      if (
        state.items.some((item) => item.key === key && item.state === 'closed') &&
        !state.torques.some((t) => t.key === key)
      )
        owe(`torque:${support.id}`, `torque of ${support.name} is not written`);
    }
  }
  for (const key of jointsToSee(state)) {
    const joint = state.joints.find((j) => j.key === key);
    if (!joint) owe(`joint:${key}`, `${nameOf(state, key)} was not looked at`);
    else if (joint.verdict.outcome !== 'good')
      owe(`joint:${key}`, `${nameOf(state, key)}: ${joint.verdict.reasons.map((r) => r.text).join(', ')}`);
  }
  if (wasLowered(state) && state.fills.length === 0) owe('fill', 'first fill is not written');
  if (!state.complaintTest) owe('complaintTest', 'the complaint’s own test was not recorded');
  if (!state.complaintAgain) owe('complaint', 'the complaint’s own test was not run again');
  else if (state.complaintAgain.result !== 'passed')
    owe('complaint', `the complaint is ${state.complaintAgain.result}: sign it only as a deviation`);
  if (!state.identity) owe('identity', 'plate and mileage are missing');
  return debts;
}
