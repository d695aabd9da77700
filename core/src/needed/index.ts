import { litres, say, type Sentence } from '../quantity/index.ts';
import { commonPractice } from '../basis/index.ts';
import { litresToTakeOut } from '../handling/index.ts';
import { roundTo } from '../estimate/index.ts';
import { CAP_OPENS } from '../drain/index.ts';
import type { OrderSlice } from '../order/index.ts';
import { answerTo, askChoice, askNumber, type Answered } from '../questions/index.ts';
import { fuelCelsius, type FuelSlice } from '../tank/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { compareOpen } from './compare.ts';

export { compareList, COMPARE, type Compared } from './compare.ts';
export { onceOrder } from './once.ts';

export type NeededRule = 'always' | 'ifBad' | 'mayBreak' | 'carryOver' | 'use';

export interface Needed {
  id: string;
  name: string;
  kind: 'part' | 'tool' | 'hose';
  rule: NeededRule;
  count: number;
  why: Sentence;
  here: 'yes' | 'no' | 'unknown';
  /** Pieces that came against pieces ordered, where somebody counted. */
  kit: Verdict | null;
}

export const ruleWord: Record<NeededRule, string> = {
  always: 'always replaced',
  ifBad: 'replaced if found bad',
  mayBreak: 'likely to break: have a spare',
  carryOver: 'carried over from the old part',
  use: 'to work with',
};

/** Is it here? Asked of something needed. */
export const HERE = askChoice('here', 'here', ['yes', 'no'], true);

/** How many pieces came. Asked of something needed. */
export const KIT = askNumber('kit', 'kit counted', { lo: 0, hi: 1000 }, [], true);

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
  const need = (id: string, name: string, kind: Needed['kind'], rule: NeededRule, count: number, why: Sentence) =>
    list.push({ id, name, kind, rule, count, why });
  const ring = ['pump', 'level', 'badFuel', 'rust', 'biggerTank'].includes(complaint);
  if (ring) need('seal', 'ring seal', 'part', 'always', 1, 'an old seal has taken a set: it weeps when wet');
  if (complaint === 'pump') need('pump', 'pump or module', 'part', 'always', 1, 'the complaint');
  if (complaint === 'level') need('sender', 'level sender', 'part', 'always', 1, 'the complaint');
  if (complaint === 'biggerTank') need('tank', 'the other tank', 'part', 'always', 1, 'the complaint');
  if (complaint === 'biggerTank' || complaint === 'pump')
    need(
      'adapters',
      'adapters from line to port, size by size',
      'part',
      'ifBad',
      1,
      'the chain of sizes is only whole when every step of it lies on the bench',
    );
  if (complaint === 'pump' || complaint === 'badFuel') {
    need('strainer', 'strainer', 'part', 'always', 1, 'what killed the old pump sits in it');
    need('filter', 'fuel filter', 'part', 'always', 1, 'cut the old one open: it tells where the dirt came from');
  }
  if (ring) need('ring', 'lock ring', 'part', 'ifBad', 1, 'thin or rusted rings spring off');
  const fitted = (fitting: string) => vehicle.connections.filter((c) => c.fitting === fitting);
  const ears = fitted('ear-clamp').length;
  if (ears > 0) need('ears', 'ear clamps', 'part', 'always', ears, 'cut to come off, never used again');
  const worms = fitted('worm-clamp').length;
  if (worms > 0) need('worms', 'worm clamps', 'part', 'ifBad', worms, 'rusted ones are sawn');
  const tabs = fitted('push-tab').length + fitted('slide-collar').length;
  if (tabs > 0)
    need('tabs', 'spare push-tab clips', 'part', 'mayBreak', tabs, 'brittle tabs snap, also on young vehicles');
  for (const f of vehicle.fasteners.filter((x) => x.likelyToBreak))
    need(
      `fastener-${f.id}`,
      `${f.thread} strap studs and nuts`,
      'part',
      'mayBreak',
      f.count,
      'salt: the stud comes with its nut',
    );
  if (vehicle.supports.some((s) => s.kind === 'strap'))
    need('straps', 'straps', 'part', 'ifBad', vehicle.supports.length, 'look at bends, thinning and ends');
  const hoses = vehicle.connections.filter((c) => ['vent', 'filler', 'breather'].includes(c.kind)).length;
  if (hoses > 0)
    need('hoses', 'vent, filler and breather hose', 'hose', 'ifBad', hoses, 'old ones crack when bent once more');
  if (complaint === 'pump' || complaint === 'level' || complaint === 'biggerTank')
    need(
      'carry',
      'clips, breather, grommet, plug, hanger of the old part',
      'part',
      'carryOver',
      1,
      'the new part seldom brings them: the old one stays in the shop until they are over',
    );
  const tools = new Set(vehicle.connections.flatMap((c) => [...c.part, ...c.make].flatMap((w) => w.tools)));
  for (const o of vehicle.obstructions)
    for (const w of [...o.clear, ...o.restore]) w.tools.forEach((t) => tools.add(t));
  for (const tool of [...tools].sort())
    need(
      `tool-${tool.replace(/[^a-z0-9]+/gi, '-').toLowerCase()}`,
      tool,
      'tool',
      'use',
      1,
      'a way of parting or making asks for it',
    );
  need('jack', 'jack with a wide padded head', 'tool', 'use', 1, 'a plastic tank dents on a bare one');
  const wet = vehicle.connections.filter((c) => c.wetWhenOpen).length;
  need('caps', 'caps and plugs', 'tool', 'use', 2 * wet, 'every open end is capped at once, both sides');
  need(
    'hose',
    `draining hose, ${hoseLength(state)} m`,
    'hose',
    'use',
    1,
    'from the floor of the tank to the floor of the can',
  );
  const out = litresToTakeOut({
    vehicle,
    aboard: state.fuel.aboard,
    limit: state.shop.alone,
    celsius: fuelCelsius(state),
  }).litres.hi;
  need(
    'cans',
    'approved cans',
    'tool',
    'use',
    1,
    say`for ${litres(roundTo(out, 5))}; bonded, grounded, never above their fill`,
  );
  return list.map((n) => ({ ...n, here: hereOf(state, n.id), kit: kitOf(state, n) }));
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

export interface CouldStop {
  text: string;
  why: Sentence;
}

/**
 * What could stop the job half-way, the surest first: what is known to be missing, then what nobody has looked at.
 *
 * @example couldStop(state, null)[0]!.text // 'ring seal not here'
 */
export function couldStop(state: NeededFacts, heldBy: string | null): CouldStop[] {
  const list: CouldStop[] = [];
  const needed = neededFor(state);
  for (const n of needed.filter((x) => x.here === 'no' && x.rule !== 'ifBad'))
    list.push({ text: `${n.name} not here`, why: n.why });
  for (const n of needed)
    if (n.kit?.outcome === 'bad') list.push({ text: `${n.name}: too few in the kit`, why: n.why });
  if (answerTo(state, CAP_OPENS) === 'no')
    list.push({ text: 'the filler cap does not open', why: 'nothing breathes, and no hose goes in' });
  if (heldBy) list.push({ text: `on typical figures ${heldBy} holds it`, why: 'the plan does not reach the ground' });
  for (const line of compareOpen(state)) list.push({ text: `${line.name}: old part against new`, why: line.why });
  const unsure = needed.filter((x) => x.here === 'unknown' && (x.rule === 'always' || x.rule === 'mayBreak'));
  for (const n of unsure)
    list.push({ text: `${n.count > 1 ? `${n.count} ` : ''}${n.name}: here?`, why: say`${ruleWord[n.rule]}: ${n.why}` });
  if (answerTo(state, CAP_OPENS) === undefined)
    list.push({ text: 'filler cap: try it now', why: 'a locked cap whose key is missing stops the draining' });
  return list;
}
