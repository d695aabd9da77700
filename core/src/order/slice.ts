import type { Draft } from 'immer';
import { defineSlice, type Debt, type Stamp } from '../kernel/index.ts';
import type {
  ApprovalBody,
  Complaint,
  ComplaintAgainBody,
  ComplaintTestBody,
  IdentityBody,
  OpenedBody,
} from './bodies.ts';
import { startingFigures, type ShopFigures } from './shop.ts';

/** Something said, by whom and when. */
type Said<B> = B & Stamp;

/** What was asked for, of which vehicle, and whether its own test passed. */
export interface OrderSlice {
  /** What the vehicle is called in the shop. */
  name: string;
  /** Why. */
  complaint: Complaint;
  /** Number of the bay; null where it waits outside. */
  bay: number | null;
  /** Person's id. */
  openedBy: string;
  /** ISO time. */
  openedAt: string;
  /** The shop's figures that count in this job now. */
  shop: ShopFigures;
  /** Plate and mileage. */
  identity: IdentityBody | null;
  /** The test that shows the complaint. */
  complaintTest: Said<ComplaintTestBody> | null;
  /** The same test after the work, with the openings its maker knew. */
  complaintAgain: (Said<ComplaintAgainBody> & { after: string[] }) | null;
  /** Entries that opened a joint, or the ring: a test run before one of them says nothing of it. */
  partings: readonly string[];
  /** What the owner said. */
  approval: Said<ApprovalBody> | null;
}

/**
 * Was the complaint's own test run again after everything that was opened?
 *
 * @example testedSince(state) // false once a line was parted after it
 */
export const testedSince = ({ complaintAgain, partings }: Pick<OrderSlice, 'complaintAgain' | 'partings'>): boolean =>
  complaintAgain !== null && partings.every((id) => complaintAgain.after.includes(id));

const opens = (own: Draft<OrderSlice>, id: string): void => {
  if (!own.partings.includes(id)) own.partings.push(id);
};

/** Holds the order. */
export const orderSlice = defineSlice<OrderSlice>({
  name: 'order',
  start: (opened, { by, at }) => {
    const { name, complaint, bay, shop } = opened as OpenedBody;
    return {
      name,
      complaint,
      bay: bay ?? null,
      openedBy: by,
      openedAt: at,
      shop: { ...(shop ?? startingFigures) },
      identity: null,
      complaintTest: null,
      complaintAgain: null,
      partings: [],
      approval: null,
    };
  },
  hears: {
    cameOff: (own, { key }, { moment }) => {
      if (key.startsWith('line:')) opens(own, moment.id);
    },
    settled: (own, { key, on }, { moment }) => {
      if (on === false && key.startsWith('line:')) opens(own, moment.id);
    },
    ring: (own, { state }, { moment }) => {
      if (state === 'opened') opens(own, moment.id);
    },
  },
  owes: (state) => {
    const debts: Debt[] = [];
    const owe = (id: string, text: string, key = id) => void debts.push({ id, key, text });
    if (!state.complaintTest) owe('complaintTest', 'the complaint’s own test was not recorded');
    if (!state.complaintAgain) owe('complaint', 'the complaint’s own test was not run again');
    else if (!testedSince(state))
      owe(
        `complaint@${state.complaintAgain.id}/since`,
        'the complaint’s own test was run before something was opened again: run it once more',
        'complaint',
      );
    else if (state.complaintAgain.result !== 'passed')
      owe(
        `complaint@${state.complaintAgain.id}`,
        `the complaint is ${state.complaintAgain.result}: sign it only as a deviation`,
        'complaint',
      );
    if (!state.identity) owe('identity', 'plate and mileage are missing');
    return debts;
  },
});
