import { present } from '../errors/index.ts';
import type { Complaint } from '../order/index.ts';

/** A complaint, and what it usually takes. */
export interface ComplaintKind {
  /** Its id. */
  id: Complaint;
  /** As people say it. */
  name: string;
  /** The cheapest test that shows it, before a bolt is touched and again at the end. Common practice, no source. */
  test: string;
  /** How long that test takes, min. */
  minutes: number;
  /** Why this test first. */
  why: string;
}

/** Every complaint that brings a tank down, with the test that comes before the tank. */
export const complaintKinds: readonly ComplaintKind[] = [
  {
    id: 'pump',
    name: 'Pump',
    test: 'volts and ground drop at the pump plug, under load',
    minutes: 10,
    why: 'a bad feed or ground looks just like a dead pump: ten minutes against hours',
  },
  {
    id: 'level',
    name: 'Level',
    test: 'sender ohms at the plug, against the needle',
    minutes: 10,
    why: 'if the ohms move and the needle does not, the tank need not come out',
  },
  {
    id: 'leak',
    name: 'Leak',
    test: 'wipe dry, run, and look where the first drop stands',
    minutes: 10,
    why: 'fuel runs along the tank before it drips: the drop is rarely where the hole is',
  },
  {
    id: 'rust',
    name: 'Rust',
    test: 'probe what holds it, seams and the top edge with a blunt tool, light from the side',
    minutes: 5,
    why: 'what has rusted through changes how it may come out',
  },
  {
    id: 'badFuel',
    name: 'Bad fuel',
    test: 'sample in glass beside a clean one, ten minutes standing',
    minutes: 10,
    why: 'water and dirt show themselves; what it is stays unproven without a laboratory',
  },
  {
    id: 'hose',
    name: 'Hose or vapour',
    test: 'smell and look along every hose from neck to canister, cap on and off',
    minutes: 10,
    why: 'a split hose above the tank is mended from above',
  },
  {
    id: 'biggerTank',
    name: 'Bigger tank',
    test: 'new tank against old: ports, supports, length, ohms',
    minutes: 15,
    why: 'compare before anything is opened',
  },
  {
    id: 'fades',
    name: 'Fades under load',
    test: 'drive it until it fades, gauge in sight: do flow and pressure fall with it?',
    minutes: 15,
    why: 'half-split before any drop: cap, can, other tank, filter, suction are minutes each',
  },
  {
    id: 'addedPickup',
    name: 'Pick-up added',
    test: 'recess above, opening to floor and float measured where it shall go',
    minutes: 15,
    why: 'measured before a hole is made: what strikes, strikes when the tank is home',
  },
  {
    id: 'screens',
    name: 'Screens due',
    test: 'flow and pressure under load, before and after',
    minutes: 15,
    why: 'screens that are not dirty are not the cause; booked for when the tank is low',
  },
];

/** What is known of a complaint. @example complaintOf('pump').name */
export const complaintOf = (id: Complaint): ComplaintKind =>
  present(
    complaintKinds.find((kind) => kind.id === id),
    'complaint',
    id,
  );
