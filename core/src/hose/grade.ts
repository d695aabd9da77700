import { fromMemory } from '../basis/index.ts';
import { fuels, type FuelKind } from '../fluid/index.ts';
import { bar as inBar, mm, say } from '../quantity/index.ts';
import type { Found } from '../verdict/index.ts';

/** What is printed on a hose: a grade of SAE J30, a metric print that names bore, outside and fuel, or nothing that can be read. */
export const hoseGrades = ['R6', 'R7', 'R9', 'R10', 'R11', 'R14', 'metric', 'none'] as const;
/** One of them. */
export type HoseGrade = (typeof hoseGrades)[number];

/** What a hose is for. */
export type HoseUse = 'pressure' | 'vent' | 'filler';

/** psi in bar. */
const PSI = 0.0689476;
/** Bore up to which the low-pressure grades stand their full pressure: 3/8 in. */
const SMALL = 9.6;

interface Grade {
  /** bar it works at, by its bore in mm; null: not for pressure. */
  bar: (bore: number) => number | null;
  /** May it lie in fuel? Its outside is not made for it otherwise. */
  submerged: boolean;
  /** What it is for. */
  uses: readonly HoseUse[];
  /** Share of ethanol it takes. */
  ethanol: number;
}

const low = (bore: number): number => (bore <= SMALL ? 50 : 35) * PSI;

/**
 * SAE J30, from memory: R6 and R7 50 psi to 3/8 in and less above, R9 100 psi for injection, R10 100 psi and in the tank, R11 filler and
 * vent, R14 low permeation at low pressure.
 */
const grades: Readonly<Record<Exclude<HoseGrade, 'metric' | 'none'>, Grade>> = {
  R6: { bar: low, submerged: false, uses: ['pressure', 'vent'], ethanol: 0.1 },
  R7: { bar: low, submerged: false, uses: ['pressure', 'vent'], ethanol: 0.15 },
  R9: { bar: () => 100 * PSI, submerged: false, uses: ['pressure', 'vent'], ethanol: 0.85 },
  R10: { bar: () => 100 * PSI, submerged: true, uses: ['pressure', 'vent'], ethanol: 0.85 },
  R11: { bar: () => null, submerged: false, uses: ['filler', 'vent'], ethanol: 0.85 },
  R14: { bar: low, submerged: false, uses: ['pressure', 'vent'], ethanol: 0.85 },
};

/** Ethanol in what is burnt; a pump may sell up to so much as plain petrol. */
const ETHANOL: Partial<Record<FuelKind, number>> = { petrol: 0.1, e85: 0.85, ethanol: 1 };

/** What a hose has to stand where it is. */
export interface HosePlace {
  /** What it is for. */
  use: HoseUse;
  /** bar gauge in it; null: nobody knows. */
  bar: number | null;
  /** Does it lie in fuel? */
  submerged: boolean;
  /** Of the vehicle. */
  fuel: FuelKind;
}

/**
 * The printed grade against what the hose has to stand.
 *
 * @param bore mm; `printedBar` what a metric print says
 * @example judgeGrade({ grade: 'R7', bore: 7.9 }, { use: 'pressure', bar: 3.9, submerged: false, fuel: 'petrol' })[0]?.outcome // 'bad': made for 3.4 bar
 */
export function judgeGrade(
  { grade, bore, printedBar }: { grade: HoseGrade; bore: number; printedBar?: number | undefined },
  { use, bar, submerged, fuel }: HosePlace,
): Found[] {
  const basis = fromMemory('SAE J30');
  if (grade === 'none')
    return [
      {
        outcome: 'doubtful',
        text: 'no print that can be read: nobody knows what it stands',
        basis,
        next: 'a hose whose print says what it is for',
      },
    ];
  const found: Found[] = [];
  if (grade === 'metric') {
    if (use === 'pressure' && bar !== null && printedBar === undefined)
      found.push({ outcome: 'unknown', text: 'its print names no pressure', basis, next: 'look for bar or MPa on it' });
    else if (use === 'pressure' && bar !== null && printedBar! < bar) found.push(tooWeak(printedBar!, bar));
    if (submerged)
      found.push({
        outcome: 'unknown',
        text: 'does its print say it may lie in fuel?',
        basis,
        next: 'one that says so',
      });
    return found.length > 0
      ? found
      : [
          {
            outcome: 'good',
            text: 'its print names bore, pressure and fuel',
            basis,
            figure: say`${mm(bore, bore, 1)}`,
          },
        ];
  }
  const { bar: stands, submerged: mayLie, uses, ethanol } = grades[grade];
  const most = stands(bore);
  if (submerged && !mayLie)
    found.push({
      outcome: 'bad',
      text: `${grade} inside the tank: its outside softens in fuel`,
      basis,
      next: 'a hose for submersion, R10',
    });
  if (!uses.includes(use))
    found.push({
      outcome: 'bad',
      text: `${grade} is not for ${use === 'filler' ? 'the filler' : use === 'vent' ? 'a vent' : 'pressure'}`,
      basis,
      next:
        use === 'filler'
          ? 'filler hose, R11'
          : use === 'pressure'
            ? 'R9 for injection, R7 or R14 below'
            : 'R11, or a fuel hose of the bore',
    });
  else if (use === 'pressure' && bar !== null && most !== null && most < bar) found.push(tooWeak(most, bar));
  else if (use === 'pressure' && bar === null)
    found.push({ outcome: 'unknown', text: 'nobody knows the pressure in it', basis, next: 'which pump moves it?' });
  const share = ETHANOL[fuel] ?? 0;
  if (share > ethanol)
    found.push({
      outcome: 'bad',
      text: `${grade} does not stand so much ethanol: it softens from inside`,
      figure: `${share * 100} %`,
      limit: `${ethanol * 100} %`,
      basis,
      next: `a hose for ${fuels[fuel].name}`,
    });
  return found.length > 0 ? found : [{ outcome: 'good', text: `${grade} is made for it`, basis }];
}

const tooWeak = (most: number, bar: number): Found => ({
  outcome: 'bad',
  text: 'made for less pressure than stands in it',
  figure: say`${inBar(most)}`,
  limit: say`${inBar(bar)}`,
  basis: fromMemory('SAE J30'),
  next: 'injection hose, R9; inside the tank R10',
});
