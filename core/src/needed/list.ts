import { litres, say, type Sentence } from '../quantity/index.ts';
import { commonPractice } from '../basis/index.ts';
import { litresToTakeOut } from '../handling/index.ts';
import { roundTo } from '../estimate/index.ts';
import type { OrderSlice } from '../order/index.ts';
import { answerTo, askChoice, askNumber, type Answered } from '../questions/index.ts';
import { fuelCelsius, type FuelSlice } from '../tank/index.ts';
import {
  byJack,
  carriedBy,
  isOpening,
  supportWords,
  waysOff,
  waysOn,
  type VehicleFile,
  type VehicleSlice,
} from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** When something is needed. */
export type NeededRule = 'always' | 'ifBad' | 'mayBreak' | 'carryOver' | 'use';

/** A part, tool or hose that the job needs. */
export interface Needed {
  /** Its id. */
  id: string;
  /** As people call it. */
  name: string;
  /** Of which sort. */
  kind: 'part' | 'tool' | 'hose';
  /** When it is needed. */
  rule: NeededRule;
  /** Pieces, or litres. */
  count: number;
  /** What brings it onto the list. */
  why: Sentence;
  /** Did somebody see it here? */
  here: 'yes' | 'no' | 'unknown';
  /** Pieces that came against pieces ordered, where somebody counted. */
  kit: Verdict | null;
}

/** When something is needed, in words. */
export const ruleWord: Record<NeededRule, string> = {
  always: 'always replaced',
  ifBad: 'replaced if found bad',
  mayBreak: 'likely to break: have a spare',
  carryOver: 'carried over from the old part',
  use: 'to work with',
};

/** Is it here? Asked of something needed. */
export const HERE = askChoice('here', 'here', { among: ['yes', 'no'], ofThing: true });

/** How many pieces came. Asked of something needed. */
export const KIT = askNumber('kit', 'kit counted', { limits: { lo: 0, hi: 1000 }, instead: [], ofThing: true });

/** What it takes to say what is needed. */
export type NeededFacts = Pick<OrderSlice, 'complaint' | 'shop'> &
  Pick<VehicleSlice, 'vehicle'> &
  Pick<FuelSlice, 'fuel'> &
  Answered;

/**
 * What the job needs: parts, tools, hoses; what is always replaced, what only if found bad, what is likely to break.
 * Common practice, no source; the lines and fasteners come from the vehicle file.
 *
 * @example neededFor(state).find((n) => n.id === 'seal')!.rule // 'always'
 */
export function neededFor(state: NeededFacts): Needed[] {
  const { vehicle, complaint } = state;
  const list: Omit<Needed, 'here' | 'kit'>[] = [];
  const need = (
    id: string,
    {
      name,
      kind,
      rule,
      count,
      why,
    }: { name: string; kind: Needed['kind']; rule: NeededRule; count: number; why: Sentence },
  ) => list.push({ id, name, kind, rule, count, why });
  const ring = complaint !== 'hose';
  if (ring)
    need('seal', {
      name: 'ring seal',
      kind: 'part',
      rule: 'always',
      count: 1,
      why: 'an old seal has taken a set: it weeps when wet',
    });
  if (complaint === 'pump')
    need('pump', { name: 'pump or module', kind: 'part', rule: 'always', count: 1, why: 'the complaint' });
  if (complaint === 'level')
    need('sender', { name: 'level sender', kind: 'part', rule: 'always', count: 1, why: 'the complaint' });
  if (complaint === 'biggerTank')
    need('tank', { name: 'the other tank', kind: 'part', rule: 'always', count: 1, why: 'the complaint' });
  if (complaint === 'leak' || complaint === 'rust')
    need('tank', {
      name: 'another tank, if this one is past mending',
      kind: 'part',
      rule: 'ifBad',
      count: 1,
      why: 'what the probe and the light find decides; it may take days to come',
    });
  if (complaint === 'hose')
    need('hose-new', {
      name: 'the hose, by the length, of the printed grade',
      kind: 'hose',
      rule: 'always',
      count: 1,
      why: 'the complaint; cut it once the tank is home',
    });
  if (complaint === 'biggerTank' || complaint === 'pump')
    need('adapters', {
      name: 'adapters from line to port, size by size',
      kind: 'part',
      rule: 'ifBad',
      count: 1,
      why: 'the chain of sizes is only whole when every step of it lies on the bench',
    });
  if (complaint === 'addedPickup')
    need('pickup', {
      name: 'the pick-up, longer than it will be, with its fitting and seal',
      kind: 'part',
      rule: 'always',
      count: 1,
      why: 'cut to measure on the bench: long first, a second cut can be made',
    });
  if (complaint === 'screens' || complaint === 'fades')
    need('strainer', {
      name: 'screens or strainer',
      kind: 'part',
      rule: 'ifBad',
      count: 1,
      why: 'torn or swollen ones are not cleaned',
    });
  if (complaint === 'screens' || complaint === 'fades')
    need('filter', {
      name: 'fuel filter',
      kind: 'part',
      rule: 'always',
      count: 1,
      why: 'cut the old one open: it tells how far the dirt went',
    });
  if (complaint === 'pump' || complaint === 'badFuel') {
    need('strainer', {
      name: 'strainer',
      kind: 'part',
      rule: 'always',
      count: 1,
      why: 'what killed the old pump sits in it',
    });
    need('filter', {
      name: 'fuel filter',
      kind: 'part',
      rule: 'always',
      count: 1,
      why: 'cut the old one open: it tells where the dirt came from',
    });
  }
  if (ring)
    need('ring', { name: 'lock ring', kind: 'part', rule: 'ifBad', count: 1, why: 'thin or rusted rings spring off' });
  const fitted = (fitting: string) => vehicle.connections.filter((c) => c.fitting === fitting);
  const ears = fitted('ear-clamp').length;
  if (ears > 0)
    need('ears', {
      name: 'ear clamps',
      kind: 'part',
      rule: 'always',
      count: ears,
      why: 'cut to come off, never used again',
    });
  const worms = fitted('worm-clamp').length;
  if (worms > 0)
    need('worms', { name: 'worm clamps', kind: 'part', rule: 'ifBad', count: worms, why: 'rusted ones are sawn' });
  const tabs = fitted('push-tab').length + fitted('slide-collar').length;
  if (tabs > 0)
    need('tabs', {
      name: 'spare push-tab clips',
      kind: 'part',
      rule: 'mayBreak',
      count: tabs,
      why: 'brittle tabs snap, also on young vehicles',
    });
  for (const f of vehicle.fasteners.filter((x) => x.likelyToBreak))
    need(`fastener-${f.id}`, {
      name: `${f.thread} ${supportWords(vehicle, f.id).fasteners}`,
      kind: 'part',
      rule: 'mayBreak',
      count: f.count,
      why: supportWords(vehicle, f.id).breaks,
    });
  if (vehicle.supports.some((s) => s.kind === 'strap'))
    need('straps', {
      name: 'straps',
      kind: 'part',
      rule: 'ifBad',
      count: vehicle.supports.length,
      why: 'look at bends, thinning and ends',
    });
  const hoses = vehicle.connections.filter((c) => ['vent', 'filler', 'breather'].includes(c.kind)).length;
  if (hoses > 0)
    need('hoses', {
      name: 'vent, filler and breather hose',
      kind: 'hose',
      rule: 'ifBad',
      count: hoses,
      why: 'old ones crack when bent once more',
    });
  if (complaint !== 'hose' && complaint !== 'badFuel')
    need('carry', {
      name: 'clips, breather, grommet, plug, hanger of the old part',
      kind: 'part',
      rule: 'carryOver',
      count: 1,
      why: 'the new part seldom brings them: the old one stays in the shop until they are over',
    });
  const tools = new Set(vehicle.connections.flatMap((c) => [...c.part, ...c.make].flatMap((w) => w.tools)));
  for (const o of vehicle.obstructions)
    for (const w of [...o.clear, ...o.restore]) w.tools.forEach((t) => tools.add(t));
  for (const s of vehicle.supports) for (const w of [...waysOff(s), ...waysOn(s)]) w.tools.forEach((t) => tools.add(t));
  for (const tool of [...tools].sort())
    need(`tool-${tool.replace(/[^a-z0-9]+/gi, '-').toLowerCase()}`, {
      name: tool,
      kind: 'tool',
      rule: 'use',
      count: 1,
      why: 'a way of parting or making asks for it',
    });
  for (const one of carriedWith(vehicle)) need(one.id, { ...one, kind: 'tool', rule: 'use', count: 1 });
  const openings = vehicle.connections.filter(isOpening).length;
  need('caps', {
    name: 'caps and plugs',
    kind: 'tool',
    rule: 'use',
    count: 2 * openings,
    why: 'every open end is capped at once, both sides',
  });
  need('hose', {
    name: `draining hose, ${hoseLength(state)} m`,
    kind: 'hose',
    rule: 'use',
    count: 1,
    why: 'from the floor of the tank to the floor of the can',
  });
  const out = litresToTakeOut({
    vehicle,
    aboard: state.fuel.aboard,
    limit: state.shop.alone,
    celsius: fuelCelsius(state),
  }).litres.hi;
  need('cans', {
    name: 'approved cans',
    kind: 'tool',
    rule: 'use',
    count: 1,
    why: say`for ${litres(roundTo(out, 5))}; bonded, grounded, never above their fill`,
  });
  return list.map((n) => ({ ...n, here: hereOf(state, n.id), kit: kitOf(state, n) }));
}

/** What carries it, in hand before the supports come off. Common practice, no source. */
function carriedWith(vehicle: VehicleFile): { id: string; name: string; why: string }[] {
  const { by } = carriedBy(vehicle);
  if (!byJack(vehicle))
    return by.includes('board')
      ? [{ id: 'board', name: 'padded board', why: 'it is slid out on it, not held in the air' }]
      : [];
  const two = by[0] === 'two jacks';
  return [
    {
      id: 'jack',
      name: two ? 'two jacks with wide padded heads' : 'jack with a wide padded head',
      why: 'a plastic tank dents on a bare one',
    },
    ...(by[0] === 'board on a jack' ? [{ id: 'board', name: 'board, padded', why: 'it carries the whole floor' }] : []),
  ];
}

/** Long enough to go from the floor of the tank over its neck to a can on the floor, m; common practice, no source. */
const hoseLength = (state: NeededFacts): number => roundTo(1.5 + (2 * state.vehicle.tank.shape.height) / 1000, 0.5);

function hereOf(state: NeededFacts, id: string): Needed['here'] {
  return answerTo(state, HERE, id) ?? 'unknown';
}

/** Two of one and none of another: pieces that came, held against pieces that are needed. */
function kitOf(state: NeededFacts, n: Omit<Needed, 'here' | 'kit'>): Verdict | null {
  const came = answerTo(state, KIT, n.id);
  if (came === undefined) return null;
  const reason = { text: '', figure: `${came} came`, limit: `${n.count} needed`, basis: commonPractice };
  if (came < n.count)
    return {
      outcome: 'bad',
      reasons: [{ ...reason, text: `${n.name}: too few in the kit` }],
      next: ['order what is missing before anything is opened'],
    };
  if (came > n.count)
    return {
      outcome: 'doubtful',
      reasons: [{ ...reason, text: `${n.name}: more than asked for` }],
      next: ['look whether another piece is missing instead'],
    };
  return { outcome: 'good', reasons: [{ ...reason, text: `${n.name}: as ordered` }], next: [] };
}
