import { wantedBar } from '../pump/index.ts';
import { forgottenRubbers, type Connection, type VehicleFile } from '../vehicle/index.ts';
import type { HosePlace } from './grade.ts';

/** A rubber from tank to engine. */
export interface Rubber {
  /** `line:feed`, or `rubber:…` for the pieces no file lists. */
  key: string;
  /** As people call it. */
  name: string;
  /** What it has to stand. */
  place: HosePlace;
  /** Does a low place in it shut the air off? */
  breathes: boolean;
  /** One of the two that get forgotten. */
  forgotten: boolean;
}

/** Pressure in what goes back and in what a heater draws, bar; common practice, no source. */
const LITTLE = 0.5;

/** Fittings that hold a hose on a pipe. */
const HOSE: readonly Connection['fitting'][] = ['worm-clamp', 'spring-clamp', 'ear-clamp'];

/**
 * Every rubber from the tank to the engine: the hoses of the file, and the two short pieces further forward that get forgotten.
 *
 * @example rubbersOf(van).at(-1)?.name // 'rubber from the hard line to the engine'
 */
export function rubbersOf(file: VehicleFile): Rubber[] {
  const wanted = wantedBar(file)?.hi ?? null;
  const { fuel } = file;
  const pressure = (bar: number | null): HosePlace => ({ use: 'pressure', bar, submerged: false, fuel });
  const place = ({ kind }: Connection): HosePlace => {
    if (kind === 'filler') return { ...pressure(null), use: 'filler', bar: null };
    if (kind === 'vent' || kind === 'breather' || kind === 'evap') return { ...pressure(null), use: 'vent', bar: null };
    return pressure(kind === 'feed' ? wanted : LITTLE);
  };
  const lines = file.connections
    .filter(
      ({ kind, fitting }) => kind !== 'plug' && kind !== 'ground' && (HOSE.includes(fitting) || AIR.includes(kind)),
    )
    .map((line) => ({
      key: `line:${line.id}`,
      name: line.name,
      place: place(line),
      breathes: AIR.includes(line.kind) && line.kind !== 'filler',
      forgotten: false,
    }));
  const more = forgottenRubbers.map(({ id, name }) => ({
    key: `rubber:${id}`,
    name,
    place: pressure(wanted),
    breathes: false,
    forgotten: true,
  }));
  return [...lines, ...more];
}

const AIR: readonly Connection['kind'][] = ['filler', 'breather', 'vent', 'evap'];
