import { castDraft, type Draft } from 'immer';
import { InputError } from '../errors/index.ts';
import type { Moment, Tell } from '../kernel/index.ts';
import { litres, mm, say } from '../quantity/index.ts';
import { widened, type AtLeast } from '../vehicle/index.ts';
import { knownTo, litresIn, litresOut } from './counted.ts';
import type { FuelFacts, FuelSlice } from './types.ts';
import { shownBy, witnessLitres, witnessWord, type WitnessKind } from './witness.ts';

/** A reading that cannot be is a fact all the same: it is flagged and is no witness. @returns does it count? */
export function witness(
  own: Draft<FuelSlice>,
  moment: Moment,
  { kind, reading, tell, facts }: { kind: WitnessKind; reading: number | null; tell: Tell; facts: Readonly<FuelFacts> },
): boolean {
  try {
    const known = knownTo(own, moment);
    own.witnesses.push({
      id: moment.id,
      kind,
      reading,
      litres: witnessLitres(facts.vehicle, kind, reading),
      // Bursts say what was aboard when they began.
      outBefore: (kind === 'bursts' ? own.burstsFrom : null) ?? litresOut(known),
      inBefore: litresIn(known),
    });
    pastGuess(own, { vehicle: facts.vehicle, least: shownBy(kind, reading), id: moment.id, tell });
    return true;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    own.unread.push({ id: moment.id, kind, why: error.message });
    tell('flagged', { text: `not counted as a witness: ${error.message}` });
    return false;
  }
}

/** The tank has another shape: what was asked of it is answered, what was read through the old one is read anew. */
export function readAnew(own: Draft<FuelSlice>, vehicle: FuelFacts['vehicle'], tell: Tell): void {
  own.asked = null;
  own.witnesses = own.witnesses.flatMap((one) => {
    try {
      return [{ ...one, litres: witnessLitres(vehicle, one.kind, one.reading) }];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      own.unread.push({ id: one.id, kind: one.kind, why: error.message });
      tell('flagged', { text: `not counted as a witness any more: ${error.message}` });
      return [];
    }
  });
}

/** A fact that goes past what was guessed of the tank is taken; the guess is widened and asked about. */
export function pastGuess(
  own: Draft<FuelSlice>,
  { vehicle, least, id, tell }: { vehicle: FuelFacts['vehicle']; least: AtLeast; id: string; tell: Tell },
): void {
  const wider = widened(vehicle, least);
  if (wider === vehicle) return;
  tell('tankWidened', least);
  const { litres: most } = vehicle.tank;
  const text =
    least.mm === undefined
      ? say`${litres(least.litres ?? 0, least.litres ?? 0, 1)} were in it, the file guesses ${litres(most.hi)} at most: what does this tank hold?`
      : say`wet to ${mm(least.mm)}, the file guesses a tank of ${mm(vehicle.tank.shape.height)}: what is its shape?`;
  own.asked = castDraft({ id, text });
  tell('flagged', { text });
}

/**
 * Witnesses that count for nothing, each once with its reason: none is dropped in silence.
 *
 * @example ignoredWitnesses(state) // ['gauge: it reads the sender that is the complaint']
 */
export const ignoredWitnesses = ({ fuel, unread }: Pick<FuelSlice, 'fuel' | 'unread'>): string[] => [
  ...new Set([
    ...fuel.steps.flatMap(({ kind, ignored }) => (ignored === null ? [] : [`${witnessWord[kind]}: ${ignored}`])),
    ...unread.map(({ kind, why }) => `${witnessWord[kind]}: ${why}`),
  ]),
];
