import { learned, type Basis } from '../basis/index.ts';
import { mm, newtonMetres, say, type Sentence } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';

type Where = 'lift' | 'floor';

/** Paths under which figures of jobs before stand in the vehicle file. */
export const pathTo = {
  /** What a fastener was pulled to, N·m. */
  pulled: (fastener: string): string => `pulled ${fastener}`,
  /** How long a line's hose was, mm. */
  hose: (line: string): string => `hose ${line}`,
  /** Minutes of everybody's hands on it. */
  worked: (where: Where): string => `worked ${where}`,
  /** Minutes of one person's; by id, so that a name that leaves takes nothing with it. */
  by: (where: Where, person: string): string => `by ${where} ${person}`,
};

/** How many figures of one path a file keeps. */
const MOST = 60;

/** Figures with one more: those a file has room for, the newest. @example newest([38], 41) // [38, 41] */
export const newest = (had: readonly number[] = [], figure: number): number[] => [...had, figure].slice(-MOST);

/** What jobs before on this vehicle came to: to be looked at, never a limit. */
export interface Earlier {
  /** In words, with the count. */
  text: Sentence;
  /** Learned, from so many jobs. */
  basis: Basis;
}

/**
 * What a fastener was pulled to on jobs before; null where none was kept.
 *
 * @example pulledBefore(file, 'strap-bolt')?.text // 'pulled to 38–41 N·m on 2 jobs before'
 */
export const pulledBefore = (file: Pick<VehicleFile, 'seen'>, fastener: string): Earlier | null =>
  earlier(file.seen?.[pathTo.pulled(fastener)], (lo, hi) => say`pulled to ${newtonMetres(lo, hi)}`);

/**
 * How long the hose of a line was on jobs before; null where none was kept.
 *
 * @example lengthBefore(file, 'vent')?.text // '500 mm long on the job before'
 */
export const lengthBefore = (file: Pick<VehicleFile, 'seen'>, line: string): Earlier | null =>
  earlier(file.seen?.[pathTo.hose(line)], (lo, hi) => say`${mm(lo, hi)} long`);

/** How long hands were on it before. */
export interface HandsBefore extends Earlier {
  /** Where. */
  where: Where;
  /** Of each who was on it. */
  people: readonly { person: string; text: Sentence; basis: Basis }[];
}

/**
 * How long hands were on this vehicle before, on the lift and on the floor, and whose.
 *
 * @example handsBefore(file)[0]?.text // '145–160 min on the lift on 2 jobs before'
 */
export const handsBefore = ({ seen = {} }: Pick<VehicleFile, 'seen'>): HandsBefore[] =>
  (['lift', 'floor'] as const).flatMap((where) => {
    const all = earlier(seen[pathTo.worked(where)], (lo, hi) => `${span(lo, hi)} min on the ${where}`);
    const begins = pathTo.by(where, '');
    const people = Object.keys(seen)
      .filter((path) => path.startsWith(begins))
      .flatMap((path) => {
        const own = earlier(seen[path], (lo, hi) => `${span(lo, hi)} min`);
        return own ? [{ person: path.slice(begins.length), ...own }] : [];
      });
    return all ? [{ where, ...all, people }] : [];
  });

function earlier(figures: readonly number[] | undefined, words: (lo: number, hi: number) => Sentence): Earlier | null {
  const count = figures?.length ?? 0;
  if (!figures || count === 0) return null;
  const what = words(Math.min(...figures), Math.max(...figures));
  return {
    text: count === 1 ? say`${what} on the job before` : say`${what} on ${count} jobs before`,
    basis: learned(count),
  };
}

const span = (lo: number, hi: number): string => (lo === hi ? `${lo}` : `${lo}–${hi}`);
