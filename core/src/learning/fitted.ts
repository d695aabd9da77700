import { learned } from '../basis/index.ts';
import { pieceOf, wordOf, type BenchSlice } from '../bench/index.ts';
import { roundTo } from '../estimate/index.ts';
import { unitOf, type PumpReads, type Range, type Sender, type VehicleFile } from '../vehicle/index.ts';

/** What was fitted and proved, for the next one who opens this vehicle. */
export interface Fitted {
  /** Id of the part. */
  part: string;
  /** As people call it. */
  name: string;
  /** What is written on it. */
  called: string;
  /** What a new pump is rated for, off its page. */
  reads?: PumpReads;
  /** What a new sender reads at its stops, where the file says nothing. */
  sender?: Pick<Sender, 'emptyOhms' | 'fullOhms'>;
}

/** A sound sender comes back to its ends within so much of its span; common practice, no source. */
const COMES_BACK = 0.05;

/**
 * Parts that went in and were found sound: what is written on each, what a pump is rated for, what a sender reads at its stops.
 *
 * @example fittedParts(state)[0]?.called // 'pump 90 L/h'
 */
export function fittedParts(state: BenchSlice, file: VehicleFile): Fitted[] {
  return unitOf(file).parts.flatMap((part): Fitted[] => {
    const piece = pieceOf(state, part.id);
    if (piece.called === null || wordOf(piece)?.verdict.outcome !== 'good') return [];
    const rated = piece.words.findLast(({ rated: one }) => one)?.rated;
    const ends = piece.words.findLast(({ sweep }) => sweep)?.sweep?.ends;
    const sender = file.sender === null && ends ? stopsFrom(ends) : null;
    return [
      {
        part: part.id,
        name: part.name,
        called: piece.called,
        ...(rated ? { reads: rated } : {}),
        ...(sender ? { sender } : {}),
      },
    ];
  });
}

function stopsFrom({ empty, full }: { empty: number | null; full: number | null }): Fitted['sender'] | null {
  if (empty === null || full === null) return null;
  const spread = COMES_BACK * Math.abs(full - empty);
  const around = (typ: number): Range => ({
    lo: roundTo(Math.max(0, typ - spread), 0.1),
    typ: roundTo(typ, 0.1),
    hi: roundTo(typ + spread, 0.1),
    basis: learned(1),
  });
  return { emptyOhms: around(empty), fullOhms: around(full) };
}

/**
 * The file with what was fitted.
 *
 * @example withFitted(file, fittedParts(state, file)).unit?.parts.find((part) => part.id === 'pump')?.fitted // 'pump 90 L/h'
 */
export function withFitted(file: VehicleFile, list: readonly Fitted[]): VehicleFile {
  if (list.length === 0) return file;
  const unit = unitOf(file);
  const sender = list.find((one) => one.sender)?.sender;
  return {
    ...file,
    ...(sender ? { sender } : {}),
    unit: {
      ...unit,
      parts: unit.parts.map((part) => {
        const one = list.find(({ part: id }) => id === part.id);
        return one ? { ...part, fitted: one.called, ...(one.reads ? { reads: one.reads } : {}) } : part;
      }),
    },
  };
}
