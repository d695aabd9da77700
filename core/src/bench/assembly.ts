import { commonPractice } from '../basis/index.ts';
import { unitOf, type PartKind, type UnitPart, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { BenchSlice } from './slice.ts';

/** One step of putting the unit together, from below. */
export interface BuildStep {
  /** Its id: `groove`, or that of a part. */
  id: string;
  /** What is done. */
  text: string;
}

/** The groove is cleaned before anything goes in. */
export const GROOVE = 'groove';

/** What is done as each part goes on; common practice, no source. */
const done: Record<PartKind, (part: UnitPart) => string> = {
  strainer: () => 'strainer on, clear of the float, just above the floor',
  pump: () => 'pump in, wires crimped and tugged',
  hose: () => 'hose inside on both ends, clamps tight, grade printed for submersion',
  sender: () => 'sender on, float free all its way',
  pickup: () => 'pick-up on, its end off the floor',
  footValve: () => 'foot valve on, its arrow with the flow',
  filter: () => 'filter on, its arrow with the flow',
  flange: ({ mark }) => `unit in, ${mark ?? 'its index to the mark on the tank'}`,
  seal: () => 'new seal over the unit, lying all round in its groove',
  ring: ({ mark }) => `ring the right way up, turned ${mark ?? 'to its stops on every tab'}`,
  collar: () => 'collar on its thread by hand, then home',
  screws: () => 'screws crosswise, washers under every head',
};

/**
 * The steps from below: the groove first, since what is cleaned afterwards falls in; then part by part as they go together.
 *
 * @example buildSteps(state).map((step) => step.id) // ['groove', 'strainer', 'pump', 'hose', 'sender', 'flange', 'seal', 'ring']
 */
export const buildSteps = ({ vehicle }: VehicleSlice): BuildStep[] => [
  { id: GROOVE, text: 'groove and face cleaned bright, nothing fallen in' },
  ...unitOf(vehicle).parts.map((part) => ({ id: part.id, text: done[part.kind](part) })),
];

/**
 * Is it built up in order? Nobody began: not asked. A step before the one below it is said.
 *
 * @example judgeBuilt(state)?.outcome // 'bad' while a step is open
 */
export function judgeBuilt(state: BenchSlice & VehicleSlice): Verdict | null {
  if (state.built.length === 0) return null;
  const steps = buildSteps(state);
  const at = (id: string) => state.built.findIndex((step) => step.step === id);
  const open = steps.filter(({ id }) => at(id) < 0);
  const basis = commonPractice;
  if (open.length > 0)
    return {
      outcome: 'bad',
      reasons: open.slice(0, 2).map(({ text }) => ({ text: `open: ${text}`, basis })),
      next: [open[0]!.text],
    };
  const late = steps.slice(1).find(({ id }, i) => at(id) < at(steps[i]!.id));
  if (late)
    return {
      outcome: 'doubtful',
      reasons: [{ text: `out of order: ${late.text}, before what goes under it`, basis }],
      next: ['look once more whether all under it sits'],
    };
  return {
    outcome: 'good',
    reasons: [{ text: `built up from below, ${steps.length} steps in order`, basis }],
    next: [],
  };
}
