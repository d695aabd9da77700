import type { RouteModel, RouteThing, RouteWay } from '../types.ts';

export interface Size {
  lines: number;
  ways: number;
  obstructions: number;
  /** Ways to clear an obstruction. */
  clearWays: number;
  clear: number;
  tilt: number;
  /** Share of lines with a clip. */
  clips: number;
  /** Length of a reach window, mm; null for windows of any length, some open. */
  window: number | null;
  direction: 'down' | 'up';
  /** Begin somewhere on the way. */
  middle: boolean;
  /** Share of ways that need another thing on, and as many that need one off, both at once among them. */
  dense?: number;
  /** Only down to somewhere on the way, and nothing must be done but what holds it there. */
  partWay?: boolean;
  /** One thing more that needs several places in reach at once, as the test stop does. */
  together?: boolean;
}

type Rng = () => number;

/** A random model, ids shuffled so that the order of the file says nothing. */
export function randomModel(rng: Rng, size: Size): RouteModel {
  const { clear, direction } = size;
  const grid = (lo: number, hi: number) => Math.round((lo + rng() * (hi - lo)) / 5) * 5;
  const minute = (lo: number, hi: number) => Math.round((lo + rng() * (hi - lo)) * 2) / 2;
  const length = 600 + Math.round(rng() * 60) * 10;
  const names = Array.from({ length: size.lines + size.obstructions }, (_, i) => `t${String(i).padStart(2, '0')}`).sort(
    () => rng() - 0.5,
  );
  const things: RouteThing[] = [];
  const limits: RouteModel['limits'][number][] = [];
  const must: string[] = [];
  const way = (id: string, slack: number): RouteWay => {
    // About its slack, so that order, height and tilt matter.
    const from = rng() < 0.3 ? 0 : Math.max(0, grid(slack - clear * 0.35, slack + clear * 0.12));
    const to = size.window === null ? (rng() < 0.5 ? 9999 : from + grid(0, clear * 0.5)) : from + size.window;
    const other = () => names[Math.floor(rng() * names.length)]!;
    const after = rng() < 0.2 && things.length > 0 ? [things[Math.floor(rng() * things.length)]!.id] : [];
    const way = { id, from, to, minutes: minute(1, 12), people: rng() < 0.15 ? 2 : 1 };
    if (size.dense) {
      const pick = () => (rng() < size.dense! ? [other()] : []).filter((one) => !id.startsWith(one));
      return { ...way, after: pick(), before: pick() };
    }
    return { ...way, ...(direction === 'down' ? { after } : { after: [], before: after }) };
  };
  names.forEach((id, i) => {
    const isLine = i < size.lines;
    const x = Math.round(rng() * length);
    const slack = grid(5, clear * (isLine ? 0.9 : 1.2));
    const count = isLine ? size.ways : size.clearWays;
    const ways = Array.from({ length: 1 + Math.floor(rng() * count) }, (_, k) => way(`${id}w${k}`, slack));
    const freedBy = [id];
    if (isLine && rng() < size.clips) {
      const clip = `${id}k`;
      const more = slack + grid(10, clear * 0.3);
      things.push({ id: clip, x, ways: [{ ...way(`${clip}w`, slack), after: [], before: [] }] });
      limits.push({ x, at: more, freedBy: [id] });
      freedBy.push(clip);
    }
    things.push({ id, x, ways });
    limits.push({ x, at: slack, freedBy });
    if (isLine || slack < clear) must.push(id);
  });
  if (size.together) {
    const places = [...things]
      .sort(() => rng() - 0.5)
      .slice(0, 2)
      .map(({ x }) => {
        const from = grid(0, clear * 0.5);
        return { x, from, to: from + grid(0, clear * 0.4) };
      });
    const [place, ...also] = places;
    const { x, from, to } = place!;
    const after = things.slice(0, 1).map((t) => t.id);
    const way = { id: 'testw', from, to, also, minutes: minute(0, 5), people: 1 };
    things.push({
      id: 'test',
      x,
      ways: [{ ...way, ...(direction === 'down' ? { after } : { after: [], before: after }) }],
    });
    must.push('test');
  }
  const start = size.middle ? grid(0, clear * 0.2) : 0;
  const goal = size.partWay ? grid(clear * 0.4, clear * 0.9) : clear;
  return {
    length,
    clear,
    tilt: { second: size.tilt, first: size.tilt },
    start: { f: start, r: start },
    goal: { f: goal, r: goal },
    must: size.partWay ? [] : must,
    things,
    limits,
    moveMinutes: 2,
    tiltMinutes: 1.5,
    helperMinutes: 4,
  };
}
