import { archetypes } from './archetypes.ts';
import { byJack, carriedBy, travelOf } from './carried.ts';
import { keyOfId, splitKey } from './names.ts';
import { waysOff, waysOn } from './supports.ts';
import table from './testing/mountings.json' with { type: 'json' };
import type { VehicleFile } from './types.ts';
import type { Way } from './ways.ts';
import { waitsOf } from './waits.ts';

/**
 * The order behind each mounting, as people of the trade told it: common practice, no source. [thing, waits for], going
 * out and going back; [thing, other, off or on] at the moment of use. Void where either is not on the vehicle.
 */
type Pair = [string, string];
interface Order {
  after: Pair[];
  afterBack: Pair[];
  while: [string, string, 'off' | 'on'][];
  sometimes: string[];
}
const orders = Object.entries(table)
  .filter(([name]) => name !== 'basis')
  .map(([name, order]) => [name, order as unknown as Order] as const);

/** Events that no file lists as a thing: said as a caution at the way itself. */
const said: Record<string, RegExp> = {
  'cap-off': /cap off first/,
  held: /a hand on the tank/,
  chocks: /chocks/,
  'nuts-cracked': /nuts cracked/,
  'neck-hose-in-hand': /rag out of the neck/,
  'vent-rear-over-crossmember': /rear vent over the crossmember/,
  'breather-far-end': /far end/,
  'pads-in-place': /pads/,
  'sealer-cured': /cures/,
};
/** Things of the files that are an act: off in the ledger while they are so. */
const acts = ['propped', 'slid-back', 'tap-shut', 'changeover-shut'];
const events = ['drained', 'test', 'first-fill'];

/** How a thing of a file is done in a direction. */
function waysOf(file: VehicleFile, key: string, direction: 'down' | 'up'): readonly Way[] {
  const { kind, id } = splitKey(key);
  const down = direction === 'down';
  if (kind === 'line') return file.connections.find((c) => c.id === id)![down ? 'part' : 'make'];
  if (kind === 'clip') return file.connections.flatMap((c) => c.clips).find((k) => k.id === id)!.ways;
  if (kind === 'obstruction') return file.obstructions.find((o) => o.id === id)![down ? 'clear' : 'restore'];
  const support = file.supports.find((s) => s.id === id)!;
  return down ? waysOff(support) : waysOn(support);
}

/** The ways a row of the table speaks of: one way, or all of a thing but those that have a row of their own. */
function spokenOf(
  file: VehicleFile,
  id: string,
  { rows, direction }: { rows: readonly string[]; direction: 'down' | 'up' },
) {
  const key = keyOfId(file, id);
  if (key === null) return null;
  const ways = waysOf(file, key, direction);
  const one = ways.filter((way) => way.id === id);
  if (one.length > 0 || splitKey(key).id !== id) return one;
  const own = ways.filter((way) => !rows.includes(way.id));
  return own.length > 0 ? own : ways;
}

/** Does a way wait for something, directly or by what it waits for? */
function waits(file: VehicleFile, way: Way, { id, direction }: { id: string; direction: 'down' | 'up' }): boolean {
  if (events.includes(id)) return waitsOf(way, direction).events.includes(id as 'test');
  const wanted = keyOfId(file, id);
  const seen = new Set<string>();
  const visit = (one: Way): boolean =>
    waitsOf(one, direction).first.some((other) => {
      const key = keyOfId(file, other);
      if (key === wanted) return true;
      if (key === null || seen.has(key)) return false;
      seen.add(key);
      return waysOf(file, key, direction).every(visit) && waysOf(file, key, direction).length > 0;
    });
  return visit(way);
}

/** Rows that name a thing this product has no place for yet, each with what it waits for. */
const later = ['tank-on', 'test', 'cap-on', 'unit-out', 'ring', 'transfer-hose-inside', 'breather-far-end'];

describe.each(orders)('%s', (name, order) => {
  const file = archetypes.find((a) => a.id === `archetype-${name}`)!;
  const rows = [...order.after, ...order.afterBack].map(([id]) => id);

  test.each(['down', 'up'] as const)('in order, going %s', (direction) => {
    const wrong: string[] = [];
    const silent: string[] = [];
    for (const [id, other] of direction === 'down' ? order.after : order.afterBack) {
      const ways = spokenOf(file, id, { rows, direction });
      if (!ways) {
        if (!later.includes(id)) silent.push(id);
        continue;
      }
      const text = said[other];
      if (text) {
        if (!ways.every((way) => text.test(way.caution ?? ''))) wrong.push(`${id}: nothing said of ${other}`);
      } else if (!events.includes(other) && keyOfId(file, other) === null) {
        if (!later.includes(other)) silent.push(other);
      } else if (!ways.every((way) => waits(file, way, { id: other, direction }))) wrong.push(`${id} before ${other}`);
    }
    expect(wrong).toEqual([]);
    expect(silent).toEqual([]);
  });

  test('only while others are off or on', () => {
    const wrong: string[] = [];
    for (const [id, other, is] of order.while) {
      if (said[other] || keyOfId(file, other) === null || keyOfId(file, id) === null) continue;
      const off = (is === 'off') !== acts.includes(other);
      for (const direction of ['down', 'up'] as const)
        for (const way of spokenOf(file, id, { rows: order.while.map(([row]) => row), direction }) ?? []) {
          const { first, notYet } = waitsOf(way, direction);
          const here = (direction === 'down') === off ? first : notYet;
          // Or the other goes back only after it.
          const back = waysOf(file, keyOfId(file, other)!, direction).every((w) => waits(file, w, { id, direction }));
          const before = here.some((one) => keyOfId(file, one) === keyOfId(file, other));
          if (!before && !((direction === 'up') === off && back))
            wrong.push(`${direction}: ${way.id} while ${other} is ${is}`);
        }
    }
    expect(wrong).toEqual([]);
  });

  test('what only some vehicles have is one look', () => {
    const gone = new Set(file.variants!.flatMap((v) => v.choices.flatMap((c) => c.without)));
    const missing = order.sometimes.filter((id) => keyOfId(file, id) !== null && !gone.has(id));
    expect(missing).toEqual([]);
    // Every id of the list is in the file, but for cables that are clips or things inside the tank.
    expect(order.sometimes.filter((id) => keyOfId(file, id) === null)).toEqual([]);
    for (const variant of file.variants!) expect(variant.usual).toBeDefined();
  });

  test('where it goes and what carries it', () => {
    const { travel, carriedBy: carried } = table[name as 'rail'] as unknown as {
      travel: string;
      carriedBy: { by: string[]; people: { carry: number; whenSupportsLetGo: number } };
    };
    expect(travel).toContain(travelOf(file));
    expect(carriedBy(file)).toMatchObject({
      people: carried.people.carry,
      whenSupportsLetGo: carried.people.whenSupportsLetGo,
    });
    expect(byJack(file)).toBe(carried.by.some((by) => by.includes('jack')));
  });
});
