import { defineSlice, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say, type Sentence } from '../quantity/index.ts';
import { driverStands } from './driver.ts';
import type { PumpRated } from '../pump/index.ts';
import type { RungId } from './opening.ts';
import type { DriverSaw, NeedleMeans, SweepKept } from '../sender/index.ts';
import { unitOf, type UnitPart, type VehicleSlice } from '../vehicle/index.ts';
import { gravestOf, type Verdict } from '../verdict/index.ts';

/** How somebody came to a word about a part. */
export type How = 'looked' | 'swept' | 'run' | 'measured';

/** A word about a part. */
export interface PartWord extends Stamp {
  /** How they came to it. */
  how: How;
  /** What it comes to. */
  verdict: Verdict;
  /** How a sweep looked; absent for every other word. */
  sweep?: SweepKept;
  /** What a pump that was run is rated for, off its page. */
  rated?: PumpRated;
}

/** One that lies on the bench: the part that came out, or what goes in for it. */
export interface Piece {
  /** What is written on it; null: the one that came out. */
  called: string | null;
  /** Number painted on it; null where it has none of its own. */
  tag: number | null;
  /** Did it come as part of a whole new unit? */
  whole?: true;
  /** Every word about it, oldest first. */
  words: readonly PartWord[];
}

/** What was done on the bench. */
export interface BenchSlice {
  /** By part: what came out, then everything that went in for it; the last one goes back. */
  pieces: Readonly<Record<string, readonly Piece[]>>;
  /** Rungs by which the ring was tried, oldest first. */
  tried: readonly ({ rung: RungId } & Stamp)[];
  /** Steps of putting the unit together, in the order in which they were done. */
  built: readonly ({ step: string } & Stamp)[];
  /** What the old sender’s needle means in another tank; null: nobody asked. */
  needle: (NeedleMeans & Stamp) | null;
  /** What the driver saw of the gauge; null: nobody asked. */
  driver: (DriverSaw & Stamp) | null;
}

/**
 * The word that counts of a piece: the gravest of its test, its newest look and its newest measuring, the test where they agree. A look shows no dead
 * spot, and a sweep no float that fills.
 *
 * @example wordOf(piece)?.verdict.outcome
 */
export function wordOf({ words }: Piece): PartWord | null {
  const said = [testOf(words), ...(['looked', 'measured'] as const).map((how) => words.findLast((w) => w.how === how))];
  return gravestOf(said.flatMap((word) => word ?? []));
}

/** The newest run of a pump; of a sender every whole sweep counts: sweeping wipes it clean, so a later one proves nothing back. */
function testOf(words: readonly PartWord[]): PartWord | null {
  const last = words.findLast((word) => word.how === 'swept' || word.how === 'run');
  if (last?.how !== 'swept') return last ?? null;
  const whole = words.filter((word) => word.how === 'swept' && word.verdict.outcome !== 'unknown');
  // One that was only doubted because nothing was there to hold it against says nothing beside one that was held against something.
  const held = whole.some(({ sweep }) => sweep?.held);
  return gravestOf(held ? whole.filter((word) => !onlyUnheld(word)) : whole) ?? last;
}

const onlyUnheld = ({ sweep, verdict }: PartWord): boolean =>
  sweep?.held === false && verdict.outcome === 'doubtful' && sweep.places.length === 0 && !sweep.restless;

/** The piece of a part that goes back. @example pieceOf(state, 'pump').called // null: the one that came out */
export const pieceOf = ({ pieces }: BenchSlice, part: string): Piece =>
  pieces[part]?.at(-1) ?? { called: null, tag: null, words: [] };

/** A part of the unit of this file; undefined where it has none of that id. @example partOf(file, 'pump')?.name */
export const partOf = ({ vehicle }: VehicleSlice, id: string): UnitPart | undefined =>
  unitOf(vehicle).parts.find((part) => part.id === id);

/** Holds what was done on the bench. */
export const benchSlice = defineSlice<BenchSlice, BenchSlice & VehicleSlice>({
  name: 'bench',
  start: () => ({ pieces: {}, tried: [], built: [], needle: null, driver: null }),
  hears: {
    // Opened again, or another part in it: what was put together is asked anew.
    ring: (own, { state }, { moment }) => {
      if (state === 'opened') own.built = own.built.filter(({ id }) => !moment.knew(id));
    },
  },
  record: (state): RecordLine[] => [
    ...needleLines(state),
    ...driverLines(state),
    ...wholeLines(state),
    ...Object.entries(state.pieces).flatMap(([id, list]) => {
      // Said once for the whole unit, unless something was found of this part.
      if (isPlain(list)) return [];
      const name = partOf(state, id)?.name ?? id;
      const tested = list.filter((piece) => piece.words.some((word) => word.how !== 'looked'));
      if (list.length < 2 && tested.length === 0) return [];
      const last = wordOf(list.at(-1)!);
      return [
        {
          under: 'bench' as const,
          text: list
            .map(
              (piece, i) =>
                say`${i === 0 ? '' : '; '}${pieceWords(name, piece, { out: i < list.length - 1, first: i === 0 })}`,
            )
            .reduce((a, b) => say`${a}${b}`),
          by: last?.by ?? null,
          at: last?.at ?? null,
        },
      ];
    }),
  ],
});

const needleLines = ({ needle }: BenchSlice): RecordLine[] =>
  needle
    ? needle.verdict.reasons.map(({ text }) => ({
        under: 'bench',
        text: say`the old sender in the other tank: ${text}`,
        by: needle.by,
        at: needle.at,
      }))
    : [];

/** Came in a whole unit, and nothing was found of it, before or since. */
const isPlain = (list: readonly Piece[]): boolean =>
  list.at(-1)?.whole === true && list.every(({ words }) => words.every(({ verdict }) => verdict.outcome === 'good'));

const wholeLines = ({ pieces }: BenchSlice): RecordLine[] => {
  const last = Object.values(pieces)
    .map((list) => list.at(-1))
    .find((piece) => piece?.whole);
  if (!last) return [];
  return [
    {
      under: 'bench',
      text: `whole unit out; “${last.called ?? ''}”${last.tag ? ` (${last.tag})` : ''} in`,
      by: null,
      at: null,
    },
  ];
};

const driverLines = (state: BenchSlice & VehicleSlice): RecordLine[] =>
  (driverStands(state)?.reasons ?? []).map(({ text }) => ({
    under: 'bench',
    text,
    by: state.driver!.by,
    at: state.driver!.at,
  }));

/** “pump out: 31 of 64 L/h; pump “90 L/h” in: it delivers what it is rated for”. */
function pieceWords(name: string, piece: Piece, { out, first }: { out: boolean; first: boolean }): Sentence {
  const word = wordOf(piece);
  const why = word?.verdict.reasons[0];
  const said = why ? say`: ${why.text}${why.figure ? say`, ${why.figure}` : ''}` : ': not tested';
  const called = `${name}${piece.called ? ` “${piece.called}”` : ''}${piece.tag ? ` (${piece.tag})` : ''}`;
  return say`${called}${out ? ' out' : first ? '' : ' in'}${said}`;
}
