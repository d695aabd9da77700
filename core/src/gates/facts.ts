import type { BenchSlice } from '../bench/index.ts';
import type { ConditionSlice } from '../condition/index.ts';
import type { PressureSlice } from '../depressurise/index.ts';
import type { FitSlice } from '../fit/index.ts';
import type { HangSlice } from '../hang/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { AnswersSlice } from '../questions/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import type { GatesSlice } from './slice.ts';

/** All that gates judge by. */
export type GateFactsToJudge = GatesSlice &
  VehicleSlice &
  OrderSlice &
  LedgerSlice &
  HangSlice &
  FuelSlice &
  PressureSlice &
  AnswersSlice &
  ConditionSlice &
  BenchSlice &
  FitSlice;
