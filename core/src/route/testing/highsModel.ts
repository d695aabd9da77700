import { present } from '../../errors/index.ts';
import { wayCost, moveCost, tiltCost } from '../cost.ts';
import type { RouteModel } from '../types.ts';

/**
 * The same question as a mixed-integer program in LP format: as many stages as there are things, whole steps of 5 mm for
 * both ends, big-M for reaches and ceilings. Cost in minutes only.
 *
 * @param stages number of poses after the start; as many as things is always enough, plus the goal
 */
export function highsModel(model: RouteModel, stages = model.things.length + 1): string {
  const { length, clear, things, limits } = model;
  const minutes = (packed: number) => Math.floor(packed / 2 ** 26) / 100;
  const cost: string[] = [];
  const rows: string[] = [];
  const bounds: string[] = [];
  const whole: string[] = [];
  const binary: string[] = [];
  const n = clear / 5;
  // Local drop times length, in steps; the most it can be.
  const big = n * length;
  const row = (text: string) => rows.push(` c${rows.length}: ${text}`);
  const at = (s: number, x: number, sign = 1) =>
    `${sign * (length - x)} f${s} + ${sign * x} r${s}`.replaceAll('+ -', '- ');
  for (let s = 0; s <= stages; s++) {
    whole.push(`f${s}`, `r${s}`);
    bounds.push(` 0 <= f${s} <= ${n}`, ` 0 <= r${s} <= ${n}`);
    if (s > 0) {
      row(`r${s} - f${s} <= ${Math.floor(model.tilt.second / 5)}`);
      row(`f${s} - r${s} <= ${Math.floor(model.tilt.first / 5)}`);
      binary.push(`m${s}`, `e${s}`);
      cost.push(`${minutes(moveCost(model))} m${s}`, `${minutes(tiltCost(model))} e${s}`);
      for (const end of ['f', 'r']) {
        row(`${end}${s} - ${end}${s - 1} - ${n} m${s} <= 0`);
        row(`${end}${s - 1} - ${end}${s} - ${n} m${s} <= 0`);
      }
      row(`r${s} - f${s} - r${s - 1} + f${s - 1} - ${2 * n} e${s} <= 0`);
      row(`f${s} - r${s} - f${s - 1} + r${s - 1} - ${2 * n} e${s} <= 0`);
    }
  }
  const w = (id: string, k: number, s: number) => `w_${id}_${k}_${s}`;
  const before = (id: string, s: number) =>
    present(
      things.find((t) => t.id === id),
      'thing',
      id,
    )
      .ways.flatMap((_, k) => Array.from({ length: s + 1 }, (_, q) => w(id, k, q)))
      .join(' + ');
  for (const thing of things) {
    thing.ways.forEach((way, k) => {
      for (let s = 0; s <= stages; s++) {
        const use = w(thing.id, k, s);
        binary.push(use);
        cost.push(`${minutes(wayCost(way, model))} ${use}`);
        for (const { x, from, to } of [{ x: thing.x, from: way.from, to: way.to }, ...(way.also ?? [])]) {
          row(`${at(s, x)} - ${(from / 5) * length} ${use} >= 0`);
          if (to < clear) row(`${at(s, x)} + ${big - (to / 5) * length} ${use} <= ${big}`);
        }
        for (const id of way.after) row(`${use} - ${before(id, s).replaceAll(' + ', ' - ')} <= 0`);
        // Needed in place: not done at an earlier stage; within a stage it may follow.
        for (const id of way.before ?? []) if (s > 0) row(`${use} + ${before(id, s - 1)} <= 1`);
      }
    });
    const all = before(thing.id, stages);
    if (all !== '') row(`${all} ${model.must.includes(thing.id) ? '=' : '<='} 1`);
    else if (model.must.includes(thing.id)) row('0 f0 >= 1');
  }
  for (const limit of limits)
    for (let s = 1; s <= stages; s++) {
      if (limit.at >= clear) continue;
      const room = big - (limit.at / 5) * length;
      const free = limit.freedBy.map((id) => before(id, s - 1)).filter((t) => t !== '');
      row(
        `${at(s, limit.x)} ${free.map((t) => `- ${room} ${t.replaceAll(' + ', ` - ${room} `)}`).join(' ')} <= ${(limit.at / 5) * length}`,
      );
    }
  row(`f0 = ${model.start.f / 5}`);
  row(`r0 = ${model.start.r / 5}`);
  row(`f${stages} = ${model.goal.f / 5}`);
  row(`r${stages} = ${model.goal.r / 5}`);
  return [
    'Minimize',
    ` obj: ${cost.join(' + ')}`,
    'Subject To',
    ...rows,
    'Bounds',
    ...bounds,
    'General',
    ` ${whole.join(' ')}`,
    'Binary',
    ` ${binary.join(' ')}`,
    'End',
  ].join('\n');
}
