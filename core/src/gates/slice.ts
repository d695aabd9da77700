import { mm, say, type Sentence } from '../quantity/index.ts';
import { castDraft, type Draft } from 'immer';
import {
  defineSlice,
  disputeKnown,
  isUnsettled,
  type Debt,
  type KernelState,
  type Moment,
  type RecordLine,
} from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { deepest, isHome } from '../pose/index.ts';
import { lineOf, madeBeforeKeyOn, splitKey, travelWords, UNIT, type VehicleSlice } from '../vehicle/index.ts';
import { leavesBench } from './leavesBench.ts';
import type { HangSlice } from '../hang/index.ts';

/** The four gates, by their number. */
export type GateNumber = 1 | 2 | 3 | 4;
/** What somebody said to an item of a gate. */
interface GateAnswer {
  /** Id of the entry. */
  id: string;
  /** The answer. */
  answer: string;
  /** In words. */
  words: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
  /** Why it stands all the same, and on whose word; null where it needs none. */
  excepted: { reason: string; lead: string } | null;
}

/** A gate that was gone through. */
interface GatePassed {
  /** Id of the entry. */
  id: string;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
  /** Item → how it came out then. */
  items: Readonly<Record<string, string>>;
  /** Ids of the entries it rested on. */
  restedOn: readonly string[];
  /** Entries that ended it since. */
  endedIn: readonly string[];
}

/** A gate as it stands. */
interface Gate {
  /** Item → what was said to it, while its condition lasts. */
  answers: Readonly<Record<string, GateAnswer>>;
  /** Gone through, and every item of it still stands; else null. */
  passed: GatePassed | null;
  /** When it was gone through, ever: oldest first. */
  history: readonly GatePassed[];
  /** Why what was confirmed counts no more; null where nothing ended. */
  ended: string | null;
}

/** Somebody did what a gate stands before while it was not passed, as far as they knew. */
interface Crossing {
  /** `crossing:2@` and the id of the entry. */
  id: string;
  /** Which gate. */
  gate: GateNumber;
  /** What was done. */
  what: Sentence;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** Gates and what was done before they were passed. */
export interface GatesSlice {
  /** Each gate. */
  gates: Readonly<Record<GateNumber, Gate>>;
  /** Crossings. */
  crossings: readonly Crossing[];
  /** Entries that parted a live joint: from then on the key waits for gate 4. */
  liveParted: readonly string[];
}

/** What the gates read beside their own. */
type GatesFacts = VehicleSlice & LedgerSlice & HangSlice & Pick<KernelState, 'twoDevices'>;

type Own = Draft<GatesSlice>;

const closed = (): Gate => ({ answers: {}, passed: null, history: [], ended: null });

/** What was confirmed ends with its condition. `items` left out: all of it. */
function end(
  own: Own,
  { gate, why, moment, items }: { gate: GateNumber; why: string; moment: Moment; items?: readonly string[] },
): void {
  const one = own.gates[gate];
  for (const passed of one.history) passed.endedIn.push(moment.id);
  const gone = items ?? Object.keys(one.answers);
  const had = gone.some((item) => item in one.answers) || one.passed !== null;
  for (const item of gone) delete one.answers[item];
  if (!had) return;
  one.passed = null;
  one.ended = why;
}

/** Did a gate stand, as far as the maker of an entry knew? */
function stood(
  own: Own,
  { gate, moment, facts }: { gate: GateNumber; moment: Moment; facts: Readonly<GatesFacts> },
): boolean {
  const { knew } = moment;
  return (
    !disputeKnown(facts, `gate:${gate}`, knew) &&
    own.gates[gate].history.some((p) => knew(p.id) && !p.endedIn.some(knew))
  );
}

/** Does what a gate stands before happen? Then it is owed unless the gate stood. */
function crossed(
  own: Own,
  { gate, what, moment, facts }: { gate: GateNumber; what: Sentence; moment: Moment; facts: Readonly<GatesFacts> },
): void {
  if (stood(own, { gate, moment, facts })) return;
  const id = `crossing:${gate}@${moment.id}`;
  // One entry crosses a gate once; what others crossed has other ids.
  if (own.crossings.slice(-4).some((c) => c.id === id)) return;
  own.crossings.push({ id, gate, what: castDraft(what), by: moment.by, at: moment.at });
}

/** Holds the gates. */
export const gatesSlice = defineSlice<GatesSlice, GatesFacts>({
  name: 'gates',
  start: () => ({ gates: { 1: closed(), 2: closed(), 3: closed(), 4: closed() }, crossings: [], liveParted: [] }),
  hears: {
    cameOff: (own, { key }, { moment, facts }) => {
      const { kind, id } = splitKey(key);
      const line = kind === 'line' ? lineOf(facts.vehicle, id) : undefined;
      if (line) crossed(own, { gate: 1, what: `${line.name} was opened`, moment, facts });
      if (kind === 'support') crossed(own, { gate: 2, what: 'a support came off', moment, facts });
      if (!line || !madeBeforeKeyOn(line)) return;
      own.liveParted.push(moment.id);
      end(own, { gate: 4, why: `${line.name} was parted since`, moment });
    },
    moved: (own, { from, to }, { moment, facts }) => {
      if (isHome(from) && !isHome(to))
        crossed(own, { gate: 2, what: say`${travelWords(facts.vehicle).gone} to ${mm(deepest(to))}`, moment, facts });
      const { vehicle, rings } = facts;
      const closed =
        rings.findLast((r) => moment.knew(r.in))?.state === 'closed' && !disputeKnown(facts, UNIT, moment.knew);
      const { off, back } = travelWords(vehicle);
      if (leavesBench(facts, { from, to }) && !closed)
        crossed(own, { gate: 3, what: off === 'down' ? 'the tank went up' : `the tank was ${back}`, moment, facts });
    },
    ring: (own, { state }, { moment, facts }) => {
      if (state === 'closed') crossed(own, { gate: 3, what: 'the ring was closed', moment, facts });
      end(own, { gate: 3, why: `the ring was ${state} since`, moment });
    },
    unitChanged: (own, _event, { moment }) =>
      end(own, {
        gate: 3,
        why: 'a part of the unit is another, or not sound',
        moment,
        items: ['unit', 'tests', 'fit'],
      }),
    fitChanged: (own, _event, { moment }) =>
      end(own, { gate: 3, why: 'new was laid on old once more', moment, items: ['fit'] }),
    supportsBack: (own, _event, { moment }) => end(own, { gate: 2, why: 'the supports are back on', moment }),
    vehicleMoved: (own, _event, { moment }) =>
      end(own, { gate: 1, why: 'the vehicle was moved since', moment, items: ['support', 'air'] }),
    keyOn: (own, _event, { moment, facts }) => {
      if (own.liveParted.some(moment.knew)) crossed(own, { gate: 4, what: 'the key was turned on', moment, facts });
      end(own, { gate: 1, why: 'the key was turned on since', moment, items: ['pressure'] });
    },
    battery: (own, { on }, { moment }) => {
      if (on) end(own, { gate: 2, why: 'the battery was put on since', moment, items: ['battery'] });
      else end(own, { gate: 4, why: 'the battery was taken off since', moment, items: ['battery'] });
    },
    fuelChanged: (own, { in: came }, { moment }) => {
      if (came) end(own, { gate: 2, why: 'litres went in since', moment, items: ['witnesses', 'mass'] });
    },
  },
  owes: (state): Debt[] =>
    state.crossings.map(({ id, gate, what }) => ({
      id,
      key: `gate:${gate}`,
      text: say`${what} before gate ${gate} was passed`,
    })),
  record: (state) =>
    state.crossings.map(({ gate, what, by, at }): RecordLine => ({
      under: 'flags',
      text: say`${what} before gate ${gate} was passed`,
      by,
      at,
    })),
});

/** Does the gate stand: gone through, every item still so, and no two devices at odds about it? @example isPassed(state, 2) // true */
export const isPassed = (
  state: Pick<GatesSlice, 'gates'> & Pick<KernelState, 'twoDevices'>,
  gate: GateNumber,
): boolean => state.gates[gate].passed !== null && !isUnsettled(state, `gate:${gate}`);
