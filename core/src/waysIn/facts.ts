import type { TankState } from '../hang/index.ts';
import type { Complaint } from '../order/index.ts';
import type { Answered } from '../questions/index.ts';

/** What it takes to compare the ways in. */
export type WaysInFacts = TankState & Answered & { complaint: Complaint };
