import { present } from '../errors/index.ts';
import type { Range, VehicleFile } from '../vehicle/index.ts';

/** What is really so under a vehicle, hidden from whoever works on it. mm */
export interface Truth {
  /** By line: local drop at which it pulls tight. */
  slack: Record<string, number>;
  /** By clip: the same once the clip is off. */
  clipSlack: Record<string, number>;
  /** By line: local drop from which it can be seen. */
  visibleFrom: Record<string, number>;
  /** By way: local drop from which a hand gets there. */
  reachFrom: Record<string, number>;
  /** By way: local drop to which it does. */
  reachTo: Record<string, number>;
  /** By obstruction: local drop at which the tank meets it. */
  blocksAt: Record<string, number>;
  /** What a line gives when it is freed at a place the file does not know; absent where there is none. */
  elsewhere: Record<string, number>;
  /** Something in the way that no file knows: where along the tank, and the local drop at which the tank meets it. */
  snag: { x: number; at: number } | null;
}

type Rng = () => number;
const within = (range: Range, rng: Rng): number => range.lo + rng() * (range.hi - range.lo);

/**
 * A vehicle whose truth lies anywhere inside the ranges of its file.
 *
 * @param rng numbers in [0, 1)
 * @example truthInside(file, seeded(1)).slack.feed // between lo and hi of the file
 */
export function truthInside(file: VehicleFile, rng: Rng): Truth {
  const truth: Truth = {
    slack: {},
    clipSlack: {},
    visibleFrom: {},
    reachFrom: {},
    reachTo: {},
    blocksAt: {},
    elsewhere: {},
    snag: null,
  };
  for (const line of file.connections) {
    truth.slack[line.id] = within(line.slack, rng);
    truth.visibleFrom[line.id] = within(line.visibleFrom, rng);
    for (const way of line.part) {
      truth.reachFrom[way.id] = within(way.reachFrom, rng);
      truth.reachTo[way.id] = within(way.reachTo, rng);
    }
    for (const clip of line.clips) truth.clipSlack[clip.id] = Math.max(truth.slack[line.id]!, within(clip.slack, rng));
    if (rng() < 0.5) truth.elsewhere[line.id] = 20 + rng() * 80;
  }
  for (const thing of file.obstructions) if (thing.blocksAt) truth.blocksAt[thing.id] = within(thing.blocksAt, rng);
  return truth;
}

/**
 * A vehicle whose every figure stands at one end of its range, the least or the most.
 *
 * @example truthAtEnds(file, seeded(1)).slack.feed // what the file says at the least, or at the most
 */
export const truthAtEnds = (file: VehicleFile, rng: Rng): Truth => truthInside(file, () => Math.round(rng()));

/**
 * A vehicle whose lines are all shorter than its file says at the least, each by a share of its own.
 *
 * @param by the share that is missing, least and most
 * @example truthShorter(file, { rng, by: [0.1, 0.3] }).slack.feed // 70 to 90 % of the file’s least
 */
export function truthShorter(file: VehicleFile, { rng, by }: { rng: Rng; by: readonly [number, number] }): Truth {
  const truth = truthInside(file, rng);
  const of = (mm: number) => mm * (1 - by[0] - (by[1] - by[0]) * rng());
  for (const line of file.connections) {
    const slack = (truth.slack[line.id] = of(line.slack.lo));
    for (const clip of line.clips) truth.clipSlack[clip.id] = Math.max(slack, of(clip.slack.lo));
  }
  return truth;
}

/**
 * The same vehicle with something in the way that nobody wrote down.
 *
 * @example withSnag(truthInside(file, rng), file, rng).snag?.at
 */
export const withSnag = (truth: Truth, file: VehicleFile, rng: Rng): Truth => ({
  ...truth,
  snag: { x: rng() * file.length, at: 15 + rng() * (file.clear - 30) },
});

/**
 * The same vehicle with one line's slack below what the file says is possible. mm
 *
 * @example truthOutside(file, { rng, lineId: 'vent', short: 25 }).slack.vent // 25 mm less than the file's least
 */
export function truthOutside(
  file: VehicleFile,
  { rng, lineId, short }: { rng: Rng; lineId: string; short: number },
): Truth {
  const truth = truthInside(file, rng);
  const line = present(
    file.connections.find((c) => c.id === lineId),
    'connection',
    lineId,
  );
  return { ...truth, slack: { ...truth.slack, [lineId]: Math.max(0, line.slack.lo - short) } };
}

/**
 * A random vehicle near an archetype: every range moved and stretched, still lo ≤ typ ≤ hi.
 *
 * @example randomVehicle(archetypes[0]!, seeded(3)).connections.length
 */
export function randomVehicle(base: VehicleFile, rng: Rng): VehicleFile {
  const vary = (range: Range): Range => {
    if (range.hi >= 9999 || range.hi === 0) return range;
    const values = [range.lo, range.typ, range.hi]
      .map((v) => Math.max(0, v * (0.6 + 0.8 * rng())))
      .sort((a, b) => a - b);
    return { lo: values[0]!, typ: values[1]!, hi: values[2]! };
  };
  const file = structuredClone(base);
  for (const line of file.connections) {
    line.slack = vary(line.slack);
    line.visibleFrom = vary(line.visibleFrom);
    for (const way of [...line.part, ...line.make]) way.reachFrom = vary(way.reachFrom);
    for (const clip of line.clips) {
      const more = vary(clip.slack);
      clip.slack = {
        lo: Math.max(more.lo, line.slack.lo),
        typ: Math.max(more.typ, line.slack.typ),
        hi: Math.max(more.hi, line.slack.hi),
      };
    }
  }
  for (const thing of file.obstructions) if (thing.blocksAt) thing.blocksAt = vary(thing.blocksAt);
  return file;
}
