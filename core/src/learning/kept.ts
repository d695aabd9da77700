import { roundTo } from '../estimate/index.ts';
import type { TorqueSlice } from '../fastener/index.ts';
import { hoseLength, wordOn, type HoseSlice } from '../hose/index.ts';
import { surfaceAt, shapeLitres } from '../shape/index.ts';
import { placeSaid, type ProofSlice } from '../proof/index.ts';
import type { WiringSlice } from '../wiring/index.ts';
import { newest, pathTo } from './earlier.ts';
import { lineOf, splitKey, supportOf, type Sender, type VehicleFile } from '../vehicle/index.ts';

/** A figure that the next one may look at; never a limit. */
export interface KeptFigure {
  /** Where it stands in the vehicle file. */
  path: string;
  /** In words: “strap, pulled to”. */
  what: string;
  /** The figure of this job. */
  seen: number;
  /** Its unit. */
  unit: 'N·m' | 'mm' | 'min';
  /** What jobs before it saw, oldest first. */
  before: readonly number[];
}

/** What a refill taught of the sender: ohms at heights, by litres that were known. */
export interface KeptCurve {
  /** Points, from below. */
  points: NonNullable<Sender['curve']>;
}

/** Whose hands were on a job, and where. */
interface Worked {
  /** Person by person: id, name, minutes. */
  hands: readonly { by: string; name: string; minutes: number }[];
  /** Lift or floor. */
  where: 'lift' | 'floor';
}

type Facts = TorqueSlice & HoseSlice & WiringSlice;

/** Litres, and what the tank holds, known no better than this teach nothing of a curve, shares of what it holds; common practice, no source. */
const KNOWN = { litres: 0.08, tank: 0.15 };

/**
 * What was pulled, cut and worked on this job, to be seen by the next one with how often it was: never taken for what a maker writes.
 *
 * @param worked whose hands were on it, and where; null: nobody can tell
 * @example keptFigures(state, file, { hands: [{ by: 'ines', name: 'Ines', minutes: 145 }], where: 'lift' })[0] // { path: 'pulled strap-bolt', what: 'front strap, pulled to', seen: 41, … }
 */
export function keptFigures(state: Facts, file: VehicleFile, worked: Worked | null): KeptFigure[] {
  const figure: Figure = (path, what, { seen, unit }) => ({
    path,
    what,
    seen,
    unit,
    before: file.seen?.[path] ?? [],
  });
  const pulled = new Map<string, KeptFigure>();
  for (const { key, lo, hi, verdict } of state.torques) {
    const support = supportOf(file, splitKey(key).id);
    // What was found wrong is no example.
    if (!support || lo === undefined || verdict.outcome === 'bad') continue;
    const seen = roundTo((lo + (hi ?? lo)) / 2, 0.1);
    pulled.set(
      support.fastener,
      figure(pathTo.pulled(support.fastener), `${support.name}, pulled to`, { seen, unit: 'N·m' }),
    );
  }
  const hoses = Object.entries(state.ways).flatMap(([key, list]): KeptFigure[] => {
    const line = lineOf(file, splitKey(key).id);
    const way = list.at(-1);
    if (!line || !way?.route || wordOn(list)?.verdict.outcome === 'bad') return [];
    return [
      figure(pathTo.hose(line.id), `${line.name}, its length`, { seen: Math.round(hoseLength(way.route)), unit: 'mm' }),
    ];
  });
  const hands = worked ? handsKept(worked, figure) : [];
  return [...pulled.values(), ...hoses, ...hands];
}

type Figure = (path: string, what: string, is: Pick<KeptFigure, 'seen' | 'unit'>) => KeptFigure;

/** Minutes of all hands together, and of each where there were several. */
function handsKept({ hands, where }: Worked, figure: Figure): KeptFigure[] {
  const minutes = (count: number) => ({ seen: Math.round(count), unit: 'min' }) as const;
  const all = hands.reduce((sum, one) => sum + one.minutes, 0);
  if (Math.round(all) === 0) return [];
  return [
    figure(pathTo.worked(where), `hands on it, on the ${where}`, minutes(all)),
    ...hands
      .filter((one) => Math.round(one.minutes) > 0)
      .map((one) => figure(pathTo.by(where, one.by), `of it ${one.name}`, minutes(one.minutes))),
  ];
}

/**
 * Ohms of the sender by height, from the steps of a refill whose litres were known well; null where the file has a curve, or fewer than two
 * steps tell something.
 *
 * @example keptCurve(state, file)?.points // [{ mm: 42, ohms: 31 }, { mm: 120, ohms: 58 }]
 */
export function keptCurve({ refill }: Pick<WiringSlice, 'refill'>, file: VehicleFile): KeptCurve | null {
  const { shape, litres } = file.tank;
  if (!file.sender || (file.sender.curve?.length ?? 0) > 0) return null;
  // Of a tank nobody knows how much it holds no height follows from litres.
  if (litres.hi - litres.lo > KNOWN.tank * litres.typ) return null;
  const scale = shapeLitres(shape) / litres.typ;
  const points = refill.flatMap(({ ohms, aboard }) => {
    if (typeof ohms !== 'number' || aboard.hi - aboard.lo > KNOWN.litres * litres.typ) return [];
    const inShape = Math.min(shapeLitres(shape), Math.max(0, aboard.typ * scale));
    return [{ mm: Math.round(surfaceAt(shape, inShape)), ohms: roundTo(ohms, 0.1) }];
  });
  const known = new Map(points.map((point) => [point.mm, point]));
  if (known.size < 2) return null;
  // Beyond what was filled its stops stand, so that nothing there is read as the last step.
  const { emptyOhms, fullOhms } = file.sender;
  const ends = [
    { mm: 0, ohms: emptyOhms.typ },
    {
      mm: Math.round(shape.kind === 'table' ? surfaceAt(shape, shapeLitres(shape)) : shape.height),
      ohms: fullOhms.typ,
    },
  ].filter(({ mm }) => !known.has(mm));
  return { points: [...known.values(), ...ends].sort((a, b) => a.mm - b.mm) };
}

/**
 * Places of the head that were said on this job and that the file has not: id of a line → the place.
 *
 * @example keptPlaces(state, file) // { vent: 'left arch' }
 */
export const keptPlaces = (state: Pick<ProofSlice, 'places'>, file: VehicleFile): Record<string, string> =>
  Object.fromEntries(
    Object.keys(state.places).flatMap((key) => {
      const line = lineOf(file, splitKey(key).id);
      const place = placeSaid(state, key);
      return line && place !== null && line.seenFrom !== place ? [[line.id, place] as const] : [];
    }),
  );

/**
 * The file with what was kept: figures beside those of jobs before, a curve where there was none.
 *
 * @example withKept(file, figures, {}).seen // { 'pulled strap-bolt': [41] }
 */
export function withKept(
  file: VehicleFile,
  figures: readonly KeptFigure[],
  { curve = null, places = {} }: { curve?: KeptCurve | null; places?: Readonly<Record<string, string>> },
): VehicleFile {
  const seen = { ...file.seen };
  for (const { path, seen: figure } of figures) seen[path] = newest(seen[path], figure);
  return {
    ...file,
    ...(figures.length > 0 ? { seen } : {}),
    connections: file.connections.map((line) => {
      const place = places[line.id];
      return place === undefined ? line : { ...line, seenFrom: place };
    }),
    ...(curve && file.sender ? { sender: { ...file.sender, curve: curve.points } } : {}),
  };
}
