import { benchSlice } from '../bench/index.ts';
import { conversionSlice } from '../conversion/index.ts';
import { conditionSlice } from '../condition/index.ts';
import { pressureSlice } from '../depressurise/index.ts';
import { evidenceSlice } from '../evidence/index.ts';
import { torqueSlice } from '../fastener/index.ts';
import { gatesSlice } from '../gates/index.ts';
import { hangSlice } from '../hang/index.ts';
import { fitSlice } from '../fit/index.ts';
import { hoseSlice } from '../hose/index.ts';
import { holdSlice } from '../hold/index.ts';
import { journalSlice } from '../journal/index.ts';
import { ledgerSlice } from '../ledger/index.ts';
import { ownerSlice } from '../owner/index.ts';
import { orderSlice } from '../order/index.ts';
import { pickupSlice } from '../pickup/index.ts';
import { powerSlice } from '../power/index.ts';
import { proofSlice } from '../proof/index.ts';
import { answersSlice } from '../questions/index.ts';
import { signingSlice } from '../signing/index.ts';
import { fuelSlice } from '../tank/index.ts';
import { vacuumSlice } from '../vacuum/index.ts';
import { dayEndSlice } from '../dayEnd/index.ts';
import { startSlice } from '../start/index.ts';
import { wiringSlice } from '../wiring/index.ts';
import { vehicleSlice } from '../vehicle/index.ts';

/** Every part of the state, in the order in which they hear. */
export const slices = [
  vehicleSlice,
  orderSlice,
  journalSlice,
  answersSlice,
  ledgerSlice,
  hangSlice,
  fuelSlice,
  pressureSlice,
  powerSlice,
  torqueSlice,
  proofSlice,
  conditionSlice,
  conversionSlice,
  pickupSlice,
  evidenceSlice,
  ownerSlice,
  benchSlice,
  holdSlice,
  fitSlice,
  hoseSlice,
  vacuumSlice,
  wiringSlice,
  startSlice,
  dayEndSlice,
  gatesSlice,
  signingSlice,
] as const;
