export type { Events } from './events.ts';
export { settled, takeBack } from './builtIn.ts';
export { refused, SERVER_DEVICE, type Debt, type Decided, type RawEntry, type Refusal } from './entry.ts';
export { fold, FoldWhole, type Parts } from './fold.ts';
export {
  defineKind,
  defineSlice,
  type Kind,
  type Moment,
  type RecordLine,
  type Speech,
  type Stamp,
  type Tell,
} from './kind.ts';
export { whyNotTakenBack } from './knowledge.ts';
export { checkBodyIn, decidedIn, foldOn, refusalIn } from './log.ts';
export { readAs, registryOf, UnknownEntry } from './registry.ts';
export { disputeKnown, isUnsettled, unsettledKeys, wasDisputed, type KernelState } from './state.ts';
export { standing } from './standing.ts';
