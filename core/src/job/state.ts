import type { ConditionSlice } from '../condition/index.ts';
import type { PressureSlice } from '../depressurise/index.ts';
import type { TorqueSlice } from '../fastener/index.ts';
import type { GatesSlice } from '../gates/index.ts';
import type { HangSlice } from '../hang/index.ts';
import type { JournalSlice } from '../journal/index.ts';
import type { KernelState } from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { PowerSlice } from '../power/index.ts';
import type { ProofSlice } from '../proof/index.ts';
import type { AnswersSlice } from '../questions/index.ts';
import type { SigningSlice } from '../signing/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';

/** All that follows from a job’s log: every slice, and what the kernel keeps. Made by the fold alone. */
export type JobState = KernelState &
  VehicleSlice &
  OrderSlice &
  JournalSlice &
  AnswersSlice &
  LedgerSlice &
  HangSlice &
  FuelSlice &
  PressureSlice &
  PowerSlice &
  TorqueSlice &
  ProofSlice &
  ConditionSlice &
  GatesSlice &
  SigningSlice;
