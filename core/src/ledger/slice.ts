import { castDraft, type Draft } from 'immer';
import {
  defineSlice,
  isUnsettled,
  type Debt,
  type KernelState,
  type Moment,
  type RecordLine,
} from '../kernel/index.ts';
import { deepest, dropAt, type Pose } from '../pose/index.ts';
import { say } from '../quantity/index.ts';
import { fileName, placeOf, splitKey, unitOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { RingBody } from './bodies.ts';
import { itemsOf } from './items.ts';
import { judgeSeal } from './seal.ts';
import type { Cut, Deviation, ItemKind, LedgerItem, Opening, Replacement } from './types.ts';

/** What came off, went in, was cut, replaced or left. */
export interface LedgerSlice {
  /** Every opening there was, oldest first. */
  openings: readonly Opening[];
  /** Ledger key → its openings that are not closed. */
  off: Readonly<Record<string, readonly string[]>>;
  /** The ledger as it stands: one line a thing. */
  items: readonly LedgerItem[];
  /** What was cut. */
  cuts: readonly Cut[];
  /** Ledger key, or id of a cut → what went in. */
  replaced: Readonly<Record<string, Replacement>>;
  /** Debts that are settled otherwise. */
  deviations: readonly Deviation[];
  /** Every time the ring over the unit was opened or closed, oldest first: which, on a new seal or not, in which entry. */
  rings: readonly {
    state: 'opened' | 'closed';
    newSeal: boolean;
    in: string;
    /** Earlier ones its maker knew. */
    over: readonly string[];
    /** What the seal under it came to; null: opened, or nobody said more than that it is new. */
    seal: Verdict | null;
    /** Person's id. */
    by: string;
    /** ISO time. */
    at: string;
  }[];
  /** The ring as it is now; null while nobody said. */
  ring: 'opened' | 'closed' | null;
}

/** What the ledger reads beside its own. */
export type LedgerFacts = VehicleSlice & { pose: Pose; slack: Readonly<Record<string, { lo: number }>> } & Pick<
    KernelState,
    'twoDevices'
  >;

/** Id of the opening that an entry made of a thing. @example openingId('line:feed', 'e12') // 'line:feed@e12' */
const openingId = (key: string, entry: string): string => `${key}@${entry}`;

/**
 * Is the thing off? A thing two devices say different things of counts as on where it would bind.
 *
 * @example isOff(state, 'line:feed') // true
 */
export const isOff = (
  state: Pick<LedgerSlice, 'off'> & Partial<Pick<KernelState, 'twoDevices'>>,
  key: string,
): boolean =>
  (state.off[key]?.length ?? 0) > 0 && !(state.twoDevices && isUnsettled({ twoDevices: state.twoDevices }, key));

/** Writes an opening into the ledger. */
export function open(
  own: Draft<LedgerSlice>,
  moment: Moment,
  opening: Pick<Opening, 'key' | 'kind' | 'name' | 'at'> & Partial<Opening>,
): void {
  const id = openingId(opening.key, moment.id);
  const whole: Opening = {
    tag: null,
    way: null,
    capped: false,
    until: null,
    deferred: false,
    by: moment.by,
    time: moment.at,
    closedIn: null,
    backAt: null,
    backBy: null,
    ...opening,
    id,
  };
  own.openings.push(whole);
  own.off[opening.key] = [...(own.off[opening.key] ?? []), id];
}

/** Closes openings of a thing; what is closed already stays as it was. */
function close(
  own: Draft<LedgerSlice>,
  { key, ids, moment, backAt }: { key: string; ids: readonly string[]; moment: Moment; backAt: number },
): void {
  for (const id of ids) {
    // What is closed was opened lately: looked for from the newest on.
    const opening = own.openings.findLast((o) => o.id === id);
    if (opening?.closedIn === null)
      Object.assign(opening, { closedIn: moment.id, backAt, backBy: moment.by, capped: false });
  }
  own.off[key] = (own.off[key] ?? []).filter((id) => !ids.includes(id));
}

/**
 * Openings of a thing that the maker of an entry knew and that are not closed.
 *
 * @example knownOpenings(own, 'line:feed', moment) // ['line:feed@e12']
 */
export const knownOpenings = (own: Pick<LedgerSlice, 'openings' | 'off'>, key: string, moment: Moment): string[] =>
  (own.off[key] ?? []).filter(
    (id) => id === openingId(key, moment.id) || moment.knew(id.slice(id.lastIndexOf('@') + 1)),
  );

/** Openings of a thing that are closed: what a look or a torque can answer. @example closedOpenings(state, 'line:feed') // ['line:feed@e12'] */
export const closedOpenings = ({ openings }: Pick<LedgerSlice, 'openings'>, key: string): string[] =>
  openings.filter((o) => o.key === key && o.closedIn !== null).map((o) => o.id);

/**
 * Of those, what the maker of an entry knew to be closed.
 *
 * @example knownClosed(own, 'line:feed', moment) // ['line:feed@e12']
 */
export const knownClosed = (
  { openings }: Pick<LedgerSlice, 'openings'>,
  key: string,
  moment: Pick<Moment, 'knew'>,
): string[] => openings.filter((o) => o.key === key && o.closedIn !== null && moment.knew(o.closedIn)).map((o) => o.id);

const start = (): LedgerSlice => ({
  openings: [],
  off: {},
  items: [],
  cuts: [],
  replaced: {},
  deviations: [],
  rings: [],
  ring: null,
});

/** Keeps the ledger. */
export const ledgerSlice = defineSlice<LedgerSlice, LedgerFacts>({
  name: 'ledger',
  start,
  hears: {
    cameOff: (own, { key, way, tag, capped }, { moment, facts }) => {
      const { vehicle, pose, numbers } = facts;
      open(own, moment, {
        key,
        kind: splitKey(key).kind as ItemKind,
        name: fileName(vehicle, key) ?? own.openings.find((o) => o.key === key)?.name ?? splitKey(key).id,
        tag: tag ?? numbers[key] ?? own.openings.findLast((o) => o.key === key)?.tag ?? null,
        at: dropAt(pose, placeOf(vehicle, key), vehicle.length),
        way,
        capped,
      });
    },
    wentBack: (own, { key, openings }, { moment, tell, facts: { pose } }) => {
      close(own, { key, ids: openings, moment, backAt: deepest(pose) });
      const stillOff = ([other, open]: [string, readonly string[]]) => other.startsWith('support:') && open.length > 0;
      if (key.startsWith('support:') && !Object.entries(own.off).some(stillOff)) tell('supportsBack', {});
    },
    blocksAgain: (own, { key }, { moment, facts: { pose } }) =>
      close(own, { key, ids: own.off[key] ?? [], moment, backAt: deepest(pose) }),
    ring: (own, { state }, { moment, facts: { vehicle } }) => {
      const body = moment.entry.body as RingBody;
      const said = state === 'closed' && (body.school ?? body.sealNew) !== undefined;
      const seal = said ? judgeSeal(body, unitOf(vehicle).kind === 'screws') : null;
      const { id, by, at } = moment;
      const over = own.rings.filter((one) => moment.knew(one.in)).map((one) => one.in);
      own.rings.push(castDraft({ state, newSeal: body.newSeal ?? false, in: id, over, seal, by, at }));
      own.ring = state;
    },
    settled: (own, { key, on, entries }, { moment, facts }) => {
      if (on === undefined) return;
      // What the settling says holds for every opening it was between, and for all its maker knew.
      if (on) close(own, { key, ids: knownOpenings(own, key, moment), moment, backAt: deepest(facts.pose) });
      else if ((own.off[key] ?? []).length === 0) {
        const before = own.openings.findLast(
          (o) => o.key === key && entries.includes(o.id.slice(o.id.lastIndexOf('@') + 1)),
        );
        const kind = splitKey(key).kind as ItemKind;
        const at = before?.at ?? dropAt(facts.pose, placeOf(facts.vehicle, key), facts.vehicle.length);
        const name = before?.name ?? fileName(facts.vehicle, key) ?? splitKey(key).id;
        open(own, moment, { ...before, closedIn: null, backAt: null, backBy: null, key, kind, name, at });
      }
    },
  },
  owes: (state) => [...openDebts(state), ...cutDebts(state), ...sealDebts(state)],
  record: (state) => [...deviationLines(state), ...cutLines(state), ...sealLines(state)],
  derive: (state) => ({ items: itemsOf(state) }),
});

function openDebts(state: LedgerSlice): Debt[] {
  return state.items
    .filter((item) => item.openings.length > 0)
    .flatMap((item) =>
      item.openings.map((id) => {
        const opening = state.openings.find((o) => o.id === id);
        const off = item.kind === 'line' ? 'is open' : item.kind === 'thing' ? 'is still in' : 'is off';
        const word = item.kind === 'loose' ? 'is loose' : off;
        const later = opening?.deferred ? `, put off until ${opening.until ?? 'later'}` : '';
        return { id: `open:${id}`, key: item.key, text: `${item.name} ${word}${later}` };
      }),
    );
}

/**
 * What stands of the ring: those that no other one’s maker knew, whichever was delivered first.
 *
 * @example standingRings(state).every(({ state }) => state === 'closed') // true
 */
export function standingRings<T extends { in: string; over: readonly string[] }>({
  rings,
}: {
  rings: readonly T[];
}): T[] {
  const known = new Set(rings.flatMap(({ over }) => over));
  return rings.filter((one) => !known.has(one.in)).sort((a, b) => (a.in < b.in ? -1 : 1));
}

/** Seals that are under it now, as far as anybody said more than that they are new. */
const sealsNow = (state: LedgerSlice) => {
  const standing = standingRings(state);
  return standing.every((one) => one.state === 'closed')
    ? standing.flatMap((one) => (one.seal ? [{ ...one, seal: one.seal }] : []))
    : [];
};

const sealDebts = (state: LedgerSlice): Debt[] =>
  sealsNow(state)
    .filter(({ seal }) => seal.outcome === 'bad')
    .map((one) => ({
      id: `seal:${one.in}`,
      key: 'seal',
      text: say`seal of the unit: ${one.seal.reasons[0]?.text ?? ''}`,
    }));

const sealLines = (state: LedgerSlice): RecordLine[] =>
  sealsNow(state).flatMap(({ seal, by, at }) =>
    seal.reasons.map(({ text, figure }): RecordLine => ({
      under: 'bench',
      text: say`seal: ${text}${figure ? say`, ${figure}` : ''}`,
      by,
      at,
    })),
  );

const cutDebts = (state: LedgerSlice & LedgerFacts): Debt[] =>
  state.cuts
    // A wire is made good once it was joined and tried; its own subject owes that.
    .filter((cut) => cut.what !== 'wire' && !state.replaced[cut.id])
    .map((cut) => ({
      id: cut.id,
      key: cut.id,
      text: `${(cut.key && fileName(state.vehicle, cut.key)) ?? cut.what} was cut ${cut.where}: what went in for it is not entered`,
    }));

const deviationLines = (state: LedgerSlice): RecordLine[] =>
  state.deviations.map(({ what, reason, who, due, by, at }) => ({
    under: 'deviations',
    text: `${what}: ${reason}; agreed by ${who}, due ${due}`,
    by,
    at,
  }));

const cutLines = (state: LedgerSlice & LedgerFacts): RecordLine[] =>
  state.cuts.map((cut) => ({
    under: 'work',
    text: `${(cut.key && fileName(state.vehicle, cut.key)) ?? cut.what} cut ${cut.where}`,
    by: cut.by,
    at: cut.at,
  }));
