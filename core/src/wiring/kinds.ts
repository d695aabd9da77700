import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, standing, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { say } from '../quantity/index.ts';
import { fuelOf, type FuelFacts, type FuelSlice } from '../tank/index.ts';
import { gravestOf, type Verdict } from '../verdict/index.ts';
import { BondReadBody, RefillReadBody, WIRE_SEEN, WireJoinedBody, WireTriedBody } from './bodies.ts';
import { judgeJoined } from './joined.ts';
import { judgeRefill, type RefillStep } from './refill.ts';
import { judgeBond, judgeWire } from './wire.ts';

/** A word about wires. */
export interface WireWord extends Stamp {
  /** What it comes to. */
  verdict: Verdict;
}

/** What was read while it was filled, and of the wires; of several that knew nothing of each other all stand. */
export interface WiringSlice {
  /** Step by step, oldest first. */
  refill: readonly (RefillStep & Stamp)[];
  /** The wire to the pump. */
  wires: readonly WireWord[];
  /** The static bond of the neck. */
  bonds: readonly WireWord[];
  /** Wires that were cut and joined, by the id of the cut. */
  joined: Readonly<Record<string, readonly WireWord[]>>;
}

type Facts = WiringSlice & FuelSlice & FuelFacts & Pick<LedgerSlice, 'cuts'>;

/** What is bad of wires, as it is owed. */
function wireDebts({ wires, bonds, joined, cuts }: Facts): Debt[] {
  const owe = (list: readonly WireWord[], name: string, key: string): Debt[] => {
    const word = gravestOf(list);
    return word?.verdict.outcome === 'bad'
      ? [{ id: `${key}:${word.id}`, key, text: say`${name}: ${word.verdict.reasons[0]?.text ?? 'bad'}` }]
      : [];
  };
  return [
    ...owe(wires, 'wire to the pump', 'wire'),
    ...owe(bonds, 'bond of the neck', 'bond'),
    ...cuts
      .filter(({ what }) => what === 'wire')
      .flatMap((cut): Debt[] => {
        const word = gravestOf(joined[cut.id] ?? []);
        if (word?.verdict.outcome === 'good') return [];
        const why = word?.verdict.reasons[0]?.text ?? 'not joined and tried yet';
        return [{ id: cut.id, key: cut.id, text: say`wire cut ${cut.where}: ${why}` }];
      }),
  ];
}

/** What was found of wires, for the record. */
const wireLines = ({ wires, bonds, joined, cuts }: Facts): RecordLine[] =>
  [
    ...wires.map((word) => ({ name: 'wire to the pump', word })),
    ...bonds.map((word) => ({ name: 'bond of the neck', word })),
    ...Object.entries(joined).flatMap(([id, words]) =>
      words.map((word) => ({ name: `wire cut ${cuts.find((one) => one.id === id)?.where ?? ''}`, word })),
    ),
  ].map(({ name, word: { verdict, by, at } }) => {
    const [first] = verdict.reasons;
    return {
      under: 'work',
      text: say`${name}: ${first?.text ?? ''}${first?.figure ? say`, ${first.figure}` : ''}`,
      by,
      at,
    };
  });

/** Holds what needle, scan tool and ohms said step by step; off is owed until it follows. */
export const wiringSlice = defineSlice<WiringSlice, Facts>({
  name: 'wiring',
  start: () => ({ refill: [], wires: [], bonds: [], joined: {} }),
  owes: (state): Debt[] => {
    const { outcome, reasons } = judgeRefill(state.refill, state.vehicle);
    const needle: Debt[] =
      outcome === 'bad'
        ? [{ id: `refill:${state.refill.at(-1)!.id}`, key: 'refill', text: say`needle: ${reasons[0]?.text ?? ''}` }]
        : [];
    return [...needle, ...wireDebts(state)];
  },
  record: (state): RecordLine[] => {
    const { refill, vehicle } = state;
    if (refill.length === 0) return wireLines(state);
    const { reasons } = judgeRefill(refill, vehicle);
    const { by, at } = refill.at(-1)!;
    const needle = reasons.map(({ text, figure }): RecordLine => ({
      under: 'proof',
      text: say`needle after the fill: ${text}${figure ? say`, ${figure}` : ''}`,
      by,
      at,
    }));
    return [...needle, ...wireLines(state)];
  },
});

/** Needle, scan tool and ohms are read at a step of the refill. */
export const refillRead = defineKind<'refillRead', RefillReadBody, WiringSlice, Facts>({
  kind: 'refillRead',
  version: 1,
  Body: RefillReadBody,
  check: ({ needle, scan, ohms, open }) => {
    if (needle === undefined && scan === undefined && ohms === undefined && open !== true)
      throw new InputError('body.needle', '', 'one reading at least: needle, scan tool, or ohms at the plug');
    if (ohms !== undefined && open === true) throw new InputError('body.open', 'open', `nothing beside ${ohms} Ω`);
  },
  apply: (own, { needle, scan, ohms, open }, { moment: { id, by, at }, facts }) => {
    const { lo, typ, hi } = fuelOf(facts).aboard;
    own.refill.push(castDraft({ aboard: { lo, typ, hi }, needle, scan, ohms: open ? null : ohms, id, by, at }));
  },
  touches: () => ({ reads: ['fuel'], writes: ['refill'] }),
  words: () => 'needle read after a fill',
  arbitrary: (f) => f.record({ needle: f.constantFrom(0.2, 0.5, 0.9) }),
});

/** The wire to the pump was measured and looked at. */
export const wireTried = defineKind<'wireTried', WireTriedBody, WiringSlice, Facts>({
  kind: 'wireTried',
  version: 1,
  Body: WireTriedBody,
  apply: (own, { seen = [], ...wire }, { moment: { id, by, at, knew } }) => {
    const verdict = judgeWire(
      wire,
      seen.map((one) => WIRE_SEEN[one]),
    );
    own.wires = castDraft(standing(own.wires as readonly WireWord[], { id, by, at, verdict }, knew));
  },
  touches: () => ({ reads: [], writes: ['wire:pump'] }),
  words: ({ gauge }) => `wire to the pump, gauge ${gauge}`,
  arbitrary: (f) =>
    f.record({
      amps: f.constant(6),
      metres: f.constantFrom(2, 9),
      gauge: f.constantFrom(14 as const, 18 as const),
      back: f.constant('chassis' as const),
      ground: f.constantFrom(0.02, 0.4),
    }),
});

/** Ohms from the neck to the body. */
export const bondRead = defineKind<'bondRead', BondReadBody, WiringSlice, Facts>({
  kind: 'bondRead',
  version: 1,
  Body: BondReadBody,
  apply: (own, { ohms }, { moment: { id, by, at, knew } }) => {
    own.bonds = castDraft(standing(own.bonds as readonly WireWord[], { id, by, at, verdict: judgeBond(ohms) }, knew));
  },
  touches: () => ({ reads: [], writes: ['wire:bond'] }),
  words: () => 'bond of the neck',
  arbitrary: (f) => f.record({ ohms: f.constantFrom(0.2, 40) }),
});

/** A wire that was cut on the way is joined again. */
export const wireJoined = defineKind<'wireJoined', WireJoinedBody, WiringSlice, Facts>({
  kind: 'wireJoined',
  version: 1,
  Body: WireJoinedBody,
  apply: (own, body, { moment: { id, by, at, knew } }) => {
    const word = { id, by, at, verdict: judgeJoined(body) };
    own.joined[body.cut] = castDraft(standing((own.joined[body.cut] ?? []) as readonly WireWord[], word, knew));
  },
  touches: ({ cut }) => ({ reads: [cut], writes: [`joined:${cut}`] }),
  words: () => 'cut wire joined',
  arbitrary: (f) =>
    f.record({
      cut: f.constant('cut:e1'),
      how: f.constantFrom('sleeve' as const, 'twisted' as const),
      tugged: f.boolean(),
      tried: f.boolean(),
    }),
});
