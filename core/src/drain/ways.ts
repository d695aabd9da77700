import { litres, rounded, say, type Sentence } from '../quantity/index.ts';
import { commonPractice, computed, type Basis } from '../basis/index.ts';
import { estimate, multiply, exactly, type Estimate, type Span } from '../estimate/index.ts';
import { fuels, kinematicViscosity } from '../fluid/index.ts';
import { drained, litresToTakeOut } from '../handling/index.ts';
import type { Complaint } from '../order/index.ts';
import { estimateOf, isElectric, pumpOf, type VehicleFile } from '../vehicle/index.ts';
import { BURST, OWN_PUMP_FLOW, REST } from '../tank/index.ts';
import { contentsBelow, levelAt, shapeLitres } from '../shape/index.ts';
import { startingKit, type DrainFacts, type DrainKit } from './facts.ts';
import { drainTime, siphonFlow } from './flow.ts';
import { capShutStopsAfter } from './limits.ts';

type DrainWayId = 'transferPump' | 'siphon' | 'plug' | 'ownPump' | 'otherTank' | 'road';

/** A way of getting the fuel out of this tank. */
export interface DrainWay {
  /** Which one. */
  id: DrainWayId;
  /** As people call it. */
  name: string;
  /** From start to finish, min. */
  minutes: Estimate;
  /** Of those with hands on it, min. */
  hands: Estimate;
  /** Litres that stay aboard. */
  stays: Estimate;
  /** Why it cannot be here; null where it can. */
  cannot: Sentence | null;
  /** Where the hose goes. */
  how: string;
  /** What can hurt, or break. */
  caution: string;
}

/** Head a siphon works under from a tank on a lift to a can on the floor, m; common practice, no source. */
const SIPHON_HEAD: Estimate = { lo: 0.25, typ: 0.5, hi: 0.9, basis: commonPractice };
/** Share of a head that is left when the fuel has sunk, at the worst; common practice, no source. */
const HEAD_LEFT = 0.7;
/** A hose that does not find the lowest place leaves so many times as much; common practice, no source. */
const SIPHON_LEAVES = 1.5;
/** Loss coefficient of a plain inlet of a pipe; from memory of handbooks. */
const INLET_LOSS = 0.5;
/** Hole of a drain plug, m; common practice, no source. */
const PLUG_HOLE: Estimate = { lo: 0.008, typ: 0.012, hi: 0.016, basis: commonPractice };
/** Share of the time its own pump runs. */
const BURST_SHARE = exactly(BURST / (BURST + REST), commonPractice);

interface Ask {
  vehicle: VehicleFile;
  aboard: Estimate;
  complaint: Complaint;
  celsius?: number;
  kit?: DrainKit;
  facts?: DrainFacts;
}

/**
 * The ways to get the fuel out, those that can be first, then by how long hands are on it: minutes, what stays aboard, why
 * one cannot be here.
 *
 * @example drainWays({ vehicle, aboard, complaint: 'pump' })[0]!.id // 'transferPump'
 */
export function drainWays({
  vehicle,
  aboard,
  complaint,
  celsius = 15,
  kit = startingKit,
  facts = {},
}: Ask): DrainWay[] {
  const rest = drained(vehicle, aboard);
  const out = {
    lo: Math.max(0, aboard.lo - rest.hi),
    typ: Math.max(0, aboard.typ - rest.typ),
    hi: Math.max(0, aboard.hi - rest.lo),
    basis: aboard.basis,
  };
  const ways = [
    transferPump(out, rest, kit),
    siphon(vehicle, { aboard, out, stays: rest }, { kit, celsius, ...facts }),
    plug(vehicle, aboard, facts),
    ownPump(vehicle, { out, stays: rest, complaint }),
    otherTank(out, rest, facts),
    road(aboard, complaint, facts),
  ];
  // No more stays than is aboard, and hands are never on it longer than it takes.
  const fit = (a: Estimate, most: Span): Estimate => ({
    ...a,
    lo: Math.min(a.lo, most.lo),
    typ: Math.min(a.typ, most.typ),
    hi: Math.min(a.hi, most.hi),
  });
  const honest = ways.map((way) => ({ ...way, stays: fit(way.stays, aboard), hands: fit(way.hands, way.minutes) }));
  return honest.sort(
    (a, b) =>
      Number(a.cannot !== null) - Number(b.cannot !== null) ||
      a.hands.typ - b.hands.typ ||
      a.minutes.typ - b.minutes.typ,
  );
}

const plus = (a: Estimate, { lo, typ, hi }: Span): Estimate => ({
  ...a,
  lo: a.lo + lo,
  typ: a.typ + typ,
  hi: a.hi + hi,
});
/** Minutes for litres at a flow, slow end against much, fast end against little. */
const at = (litres: Estimate, flow: Estimate, basis: Basis): Estimate =>
  estimate({ lo: litres.lo / flow.hi, typ: litres.typ / flow.typ, hi: litres.hi / flow.lo }, basis);
const sorted = (values: number[], basis: Basis): Estimate => {
  const [lo, typ, hi] = [...values].sort((a, b) => a - b) as [number, number, number];
  return { lo, typ, hi, basis };
};
const some = (lo: number, typ: number, hi: number): Estimate => ({ lo, typ, hi, basis: commonPractice });

/** Aboard, out of it, and what stays; L. */
interface Amounts {
  aboard: Estimate;
  out: Estimate;
  stays: Estimate;
}

function transferPump(out: Estimate, stays: Estimate, kit: DrainKit): DrainWay {
  const flow = kit.transferPump ?? some(1, 1, 1);
  return {
    id: 'transferPump',
    name: 'Transfer pump',
    minutes: plus(at(out, flow, computed('litres / rated flow')), { lo: 3, typ: 5, hi: 10 }),
    hands: some(3, 6, 12),
    stays,
    cannot: kit.transferPump ? null : 'this shop has no transfer pump',
    how: 'through the filler or a parted line, hose to the lowest place it reaches',
    caution: 'bond pump and can; at most 1 m/s until its inlet is covered',
  };
}

function siphon(
  vehicle: VehicleFile,
  { aboard, out, stays }: Amounts,
  { kit, celsius, capShut, hoseHead }: DrainFacts & { kit: DrainKit; celsius: number },
): DrainWay {
  const hose = kit.siphon;
  const viscosity = kinematicViscosity(vehicle.fuel, celsius) * 1e-6;
  const flow = (head: number) => (hose ? siphonFlow(head, { ...hose, losses: INLET_LOSS }, viscosity) * 60_000 : 1);
  const perMinute = sorted(
    hoseHead !== undefined && hoseHead > 0
      ? [flow(hoseHead * HEAD_LEFT), flow(hoseHead), flow(hoseHead)]
      : [flow(SIPHON_HEAD.lo), flow(SIPHON_HEAD.typ), flow(SIPHON_HEAD.hi)],
    computed('hose under its head, Colebrook'),
  );
  return {
    id: 'siphon',
    name: 'Siphon',
    minutes: plus(at(out, perMinute, perMinute.basis), { lo: 4, typ: 6, hi: 12 }),
    hands: some(4, 8, 15),
    stays: { ...stays, hi: stays.hi * SIPHON_LEAVES },
    cannot: !hose
      ? 'this shop has no siphon hose'
      : hoseHead !== undefined && hoseHead <= 0
        ? 'the end of the hose is above the fuel: it stops before it begins'
        : capShut
          ? say`the cap is shut: it stops after about ${rounded(litres, stopsAfter(vehicle, aboard), 0.5)}`
          : null,
    how: 'can below the tank, hose to its floor, cap open; never start it by mouth',
    caution: 'it stops where its end is; a valve in the neck may keep the hose out',
  };
}

function plug(vehicle: VehicleFile, aboard: Estimate, { capShut, plug: seen }: DrainFacts): DrainWay {
  const { shape } = vehicle.tank;
  const full = estimateOf(vehicle, vehicle.tank.litres);
  const minutes = (litres: number, capacity: number, hole: number) => {
    // The shape says how the surface changes with the level; the capacity how large it is.
    const scale = capacity / shapeLitres(shape);
    return (
      drainTime((m) => contentsBelow(shape, m * 1000).surface * scale, {
        head: levelAt(shape, litres / capacity) / 1000,
        hole,
      }) / 60
    );
  };
  const run = sorted(
    [
      minutes(aboard.lo, full.hi, PLUG_HOLE.hi),
      minutes(aboard.typ, full.typ, PLUG_HOLE.typ),
      minutes(aboard.hi, full.lo, PLUG_HOLE.lo),
    ],
    computed('Torricelli through the hole'),
  );
  return {
    id: 'plug',
    name: 'Drain plug, if it has one',
    minutes: plus(run, { lo: 3, typ: 5, hi: 15 }),
    hands: some(4, 7, 20),
    stays: some(0, 0.3, 1),
    cannot:
      seen === 'none'
        ? 'this tank has no plug'
        : seen === 'silent'
          ? 'nothing came: empty or blocked, nobody knows which; a second witness first'
          : capShut
            ? say`the cap is shut: it stops after about ${rounded(litres, stopsAfter(vehicle, aboard), 0.5)}`
            : null,
    how: 'cap open, tray and can under it; nothing comes: empty or blocked, so ask a second witness',
    caution: 'a plug rusted in is left alone: a torn boss costs the tank',
  };
}

function ownPump(
  vehicle: VehicleFile,
  { out, stays, complaint }: { out: Estimate; stays: Estimate; complaint: Complaint },
): DrainWay {
  const pump = pumpOf(vehicle);
  const flow = multiply(OWN_PUMP_FLOW, BURST_SHARE);
  const minutes = plus(at(out, flow, computed('flow × a third of the time')), { lo: 5, typ: 8, hi: 15 });
  return {
    id: 'ownPump',
    name: 'Its own pump, in bursts',
    minutes,
    hands: minutes,
    stays: { ...stays, typ: Math.max(stays.typ, 2), hi: Math.max(stays.hi, 4) },
    cannot:
      complaint === 'pump'
        ? 'the pump is the complaint'
        : pump === 'unknown'
          ? 'say first what pushes the fuel'
          : isElectric(pump)
            ? null
            : 'no electric pump to be commanded',
    how: 'hose on its outlet, ten seconds on, twenty off, battery still on; count the bursts',
    caution: 'stop at its first stutter: run dry it is spoiled. The count misses some: a second witness afterwards',
  };
}

/** Litres until a shut cap stops the flow, dry air to air full of vapour; half a tank's height of head at the most. */
function stopsAfter(vehicle: VehicleFile, aboard: Estimate): Estimate {
  const full = estimateOf(vehicle, vehicle.tank.litres);
  const head = vehicle.tank.shape.height / 1000;
  const density = fuels[vehicle.fuel].density.typ;
  const vapour = vehicle.fuel === 'petrol' ? 40_000 : 1_000;
  const least = capShutStopsAfter({ ullage: Math.max(0, full.lo - aboard.hi), head: head / 2, density, vapour: 0 });
  const most = capShutStopsAfter({ ullage: Math.max(0, full.hi - aboard.lo), head, density, vapour });
  return estimate(
    { lo: least, typ: (least + most) / 2, hi: most },
    computed('air in the tank thins by the head of fuel'),
  );
}

function otherTank(out: Estimate, stays: Estimate, { otherTank: there }: DrainFacts): DrainWay {
  return {
    id: 'otherTank',
    name: 'Into the other tank aboard',
    minutes: plus(at(out, some(1, 2, 4), computed('litres / flow of its transfer pump')), { lo: 2, typ: 4, hi: 8 }),
    hands: some(2, 4, 8),
    stays,
    cannot: there ? null : 'no second tank seen',
    how: 'its own transfer pump or valve; watch the other one’s level and breather',
    caution: 'the same fuel, clean, and room for it; close the cross-over afterwards or it runs back',
  };
}

function road(aboard: Estimate, complaint: Complaint, { madeSafe }: DrainFacts): DrainWay {
  const no: Partial<Record<Complaint, string>> = {
    leak: 'it leaks: not on the road',
    badFuel: 'bad fuel: not on the road',
    pump: 'the pump may leave it standing',
    rust: 'what holds it may let go: not on the road',
  };
  const km = some(6, 9, 14);
  return {
    id: 'road',
    name: 'Run it down, book it for then',
    // At fifty an hour.
    minutes: sorted(
      [(aboard.lo / km.hi) * 120, (aboard.typ / km.typ) * 120, (aboard.hi / km.lo) * 120],
      commonPractice,
    ),
    hands: some(0, 0, 0),
    stays: some(2, 5, 10),
    cannot: no[complaint] ?? (madeSafe ? 'it is made safe already: not on the road any more' : null),
    how: 'the owner drives it nearly empty and comes back',
    caution: 'not for a tank that leaks or holds bad fuel',
  };
}

/**
 * Litres to take out so that one may take it down, with the best way for it.
 *
 * @example bestWayOut({ vehicle, aboard, complaint: 'pump' }, 25).way?.id // 'transferPump'
 */
export function bestWayOut(ask: Ask, alone: number): { litres: Estimate; way: DrainWay | null } {
  const { litres } = litresToTakeOut({ ...ask, limit: alone });
  if (litres.hi === 0) return { litres, way: null };
  return { litres, way: drainWays(ask).find((w) => w.cannot === null && w.id !== 'road') ?? null };
}
