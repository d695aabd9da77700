import type { BasisKind } from '../basis/index.ts';
import type { VehicleFile } from './types.ts';
import type { Range } from './ways.ts';

/** Figures nobody measured on this vehicle: a fact widens them. */
const guesses: readonly BasisKind[] = ['typical', 'guessed', 'told', 'common practice', 'from memory'];

const isGuess = (file: VehicleFile, range: Range): boolean => guesses.includes(range.basis?.kind ?? file.basis);
const isShapeGuess = ({ tank, basis }: VehicleFile): boolean => guesses.includes(tank.shapeBasis ?? basis);

/** The tank holds or is at least so much. */
export interface AtLeast {
  /** L that were in it at once. */
  litres?: number;
  /** mm that were wet above its floor. */
  mm?: number;
}

/**
 * The vehicle once a fact went past what was guessed of its tank: a guess never stops a fact. What was measured stays.
 *
 * @example widened(rail, { litres: 140 }).tank.litres.hi // 140, where it was guessed at 130
 */
export function widened(file: VehicleFile, { litres, mm }: AtLeast): VehicleFile {
  const { tank } = file;
  let next = tank;
  if (litres !== undefined && litres > tank.litres.hi && isGuess(file, tank.litres)) {
    const { lo, typ, basis } = tank.litres;
    next = {
      ...next,
      litres: { lo: Math.max(lo, litres), typ: Math.max(typ, litres), hi: litres, ...(basis ? { basis } : {}) },
    };
  }
  const { shape } = tank;
  if (
    mm !== undefined &&
    mm > shape.height &&
    isShapeGuess(file) &&
    (shape.kind === 'box' || shape.kind === 'cylinder')
  ) {
    const taller = mm / shape.height;
    next = {
      ...next,
      shape: { ...shape, height: mm },
      litres: { ...next.litres, hi: isGuess(file, next.litres) ? next.litres.hi * taller : next.litres.hi },
    };
  }
  return next === tank ? file : { ...file, tank: next };
}
