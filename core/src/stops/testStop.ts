import { TEST_STOP } from '../condition/index.ts';
import { slackOf, type TankState } from '../hang/index.ts';
import { makeWays, type LedgerItem } from '../ledger/index.ts';
import { gridDown, gridUp, inReach, isHome, level, samePose } from '../pose/index.ts';
import type { RouteReach } from '../route/index.ts';
import { byJack, keyOf, OPEN_REACH, type Connection } from '../vehicle/index.ts';

/** Lines with a joint on top of the tank that came off in this job: nobody sees those once the tank is home. */
const topLines = (state: TankState): { line: Connection; item: LedgerItem }[] =>
  state.vehicle.connections.flatMap((line) => {
    const item = state.items.find((i) => i.key === keyOf('line', line.id));
    return line.side === 'top' && item && item.state !== 'deviation' && item.state !== 'scrapped'
      ? [{ line, item }]
      : [];
  });

/**
 * Where each top joint is both seen and reached, with its line long enough: local drops, mm on the grid.
 *
 * @param surely for certain where that is possible; else as likely
 */
export function testReaches(state: TankState, surely: boolean): RouteReach[] {
  return topLines(state).map(({ line: { id, x, visibleFrom }, item }) => {
    const [way] = makeWays(state, id, item.way);
    const slack = slackOf(state, id);
    const from = (end: 'typ' | 'hi') => gridUp(Math.max(visibleFrom[end], way?.reachFrom[end] ?? 0));
    const to = (end: 'lo' | 'typ') => gridDown(Math.min(slack[end], way?.reachTo[end] ?? OPEN_REACH));
    if (surely && from('hi') <= to('lo')) return { x, from: from('hi'), to: to('lo') };
    return { x, from: Math.min(from('typ'), to('typ')), to: to('typ') };
  });
}

/**
 * The test stop by level drops alone, mm: as high as every top joint is still seen and reached, and no lower than every
 * line lets for certain. Null when no top joint was parted.
 *
 * @example levelTest(state) // 60
 */
export function levelTest(state: TankState): number | null {
  const lines = topLines(state);
  if (lines.length === 0) return null;
  // Nobody holds a tank while a key turns.
  if (!byJack(state.vehicle)) return 0;
  const wanted = testReaches(state, true).map((r) => r.from);
  return Math.min(Math.max(...wanted), ...lines.map(({ line }) => gridDown(slackOf(state, line.id).lo)));
}

/**
 * Is the look at the joints with the key on over? The key may be turned, and what was seen was told, or they can't be
 * seen from here any more, or none of them is on top.
 *
 * @example tested(state) // true once the joints were looked at under pressure
 */
export function tested(state: TankState): boolean {
  if (state.gates[4].passed === null) return false;
  const mm = levelTest(state);
  const told = state.findings.findLast((f) => f.what === TEST_STOP);
  // A joint that was found wet stops the way up until somebody has looked again.
  if (told) return told.verdict !== 'bad';
  if (mm === null) return true;
  const { pose, vehicle } = state;
  // At home nothing more is lost: it is over once somebody told what was seen.
  if (isHome(pose)) return false;
  const seen = testReaches(state, false).every(({ x, from, to }) =>
    inReach(pose, { x, from, to, length: vehicle.length }),
  );
  return !seen && !samePose(pose, level(mm));
}
