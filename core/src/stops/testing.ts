import { foldJob, logWriter, type JobState } from '../job/index.ts';
import { archetypes, type Connection, type Range, type VehicleFile } from '../vehicle/index.ts';
import { plainLine } from '../vehicle/testing.ts';

/** A small vehicle whose stops can be worked by hand. mm */
export const line = (
  id: string,
  { slack, reach, more = {} }: { slack: Range; reach: Range; more?: Partial<Connection> },
): Connection => plainLine(id, { slack, reachFrom: reach, more: { name: id, kind: 'vent', x: 100, ...more } });

/** Those lines on a tank of 1 m that goes down 300 mm, no supports. */
export const vehicle = (connections: Connection[], obstructions: VehicleFile['obstructions'] = []): VehicleFile => ({
  ...archetypes[0]!,
  length: 1000,
  clear: 300,
  connections,
  obstructions,
  supports: [],
  variants: [],
});

/** A job on it, with its log. */
export const begin = (file: VehicleFile) => {
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'x', complaint: 'pump', vehicle: file })])!;
  return {
    log(...args: Parameters<typeof write>): JobState {
      state = foldJob(state, [write(...args)])!;
      return state;
    },
    get state() {
      return state;
    },
  };
};

const quiet = { asked: false, tight: [], nearly: [], allFist: false, reachable: [] };

/** A stop as planned, nothing tight, those parted. */
export const at = (to: number, off: string[] = []) => ({
  to: { f: to, r: to },
  off: off.map((key) => ({ key, way: `${key.slice(5)}-top` })),
  capped: [],
  look: quiet,
  notDone: [],
});
