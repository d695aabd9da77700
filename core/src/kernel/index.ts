export { SettledBody, settled, TakeBackBody, takeBack } from './builtIn.ts';
export { refused, SERVER_DEVICE, type Debt, type Decided, type RawEntry, type Refusal } from './entry.ts';
export type { EventName, Events } from './events.ts';
export { fold, FoldWhole, type Parts } from './fold.ts';
export {
  defineKind,
  defineSlice,
  type Kind,
  type Moment,
  type RecordLine,
  type Slice,
  type Speech,
  type Stamp,
  type Tell,
  type Touches,
} from './kind.ts';
export { knows, meets, placeIn, whyNotTakenBack, type Knower } from './knowledge.ts';
export { checkBodyIn, decidedIn, foldOn, refusalIn } from './log.ts';
export { readAs, registryOf, UnknownEntry, type Registry } from './registry.ts';
export {
  disputeKnown,
  isUnsettled,
  unsettledKeys,
  wasDisputed,
  type Head,
  type KernelState,
  type LateEntry,
  type TwoDevices,
} from './state.ts';
