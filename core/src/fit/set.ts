import { commonPractice, computed } from '../basis/index.ts';
import { judgeBore } from '../hose/index.ts';
import { mm, say } from '../quantity/index.ts';
import { unitOf, type PartKind, type UnitPart, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** A part of the set, from whom it comes and what it meets its neighbours with. */
export interface SetPart {
  /** Where it comes from, as it is written on it. */
  donor: string;
  /** mm of its lower end: the pipe it stands on or the bore that goes over one; null: not measured. */
  low: number | null;
  /** mm of its upper end. */
  high: number | null;
}

/** Parts that come together, by their id. */
export interface SetState {
  /** The vehicle. */
  vehicle: VehicleFile;
  /** What was measured of each. */
  set: Readonly<Record<string, SetPart>>;
}

/** Parts whose ends are bores, which go over what they meet. */
const OVER: readonly PartKind[] = ['hose', 'strainer'];
/** Ends of rigid parts may differ by so much, mm; common practice, no source. */
const RIGID = 0.5;

/**
 * Parts from several donors as one set: each against the part it sits on, by what was measured of both ends. A hose by its bore on the
 * pipe, what is rigid by its width. Null while all come from one.
 *
 * @example judgeSet(state)?.outcome // 'bad': the hose of one donor is too big for the pump of another
 */
export function judgeSet({ vehicle, set }: SetState): Verdict | null {
  // What only lies on the others is left out: the flange stands on the hose, not on the sender.
  const parts = meetingParts(vehicle);
  const donors = new Set(Object.values(set).map(({ donor }) => donor));
  if (donors.size < 2) return null;
  const found = parts.flatMap((part, i): Found[] => {
    const below = parts[i - 1];
    const [upper, lower] = [set[part.id], below && set[below.id]];
    // What nobody listed is what came out: it met its own neighbours.
    if (!below || (!upper && !lower) || upper?.donor === lower?.donor) return [];
    const at = `${part.name} on ${below.name}`;
    const [over, under] = [upper?.low ?? null, lower?.high ?? null];
    if (over === null || under === null)
      return [
        {
          outcome: 'unknown',
          text: `${at}: from two hands, and not measured`,
          at,
          next: `measure ${over === null ? `the lower end of the ${part.name}` : `the upper end of the ${below.name}`}`,
        },
      ];
    return [
      meeting({
        at,
        over,
        under,
        bore: OVER.includes(part.kind) || OVER.includes(below.kind),
        down: OVER.includes(below.kind),
      }),
    ];
  });
  if (found.length === 0)
    return {
      outcome: 'good',
      reasons: [
        { text: `from ${donors.size} donors, nothing that meets comes from two of them`, basis: commonPractice },
      ],
      next: [],
    };
  return verdictFrom(found, { basis: computed('each part against the one it sits on') });
}

/** Parts that are pushed one on the other; sender, seal and what closes it only lie on each other. */
const MEETS: readonly PartKind[] = ['strainer', 'pump', 'hose', 'flange', 'filter', 'footValve', 'pickup'];

/** Parts of a unit that are pushed one on the other, from below. @example meetingParts(rail).map((part) => part.id) // ['strainer', 'pump', 'hose', 'flange'] */
export const meetingParts = (vehicle: VehicleFile): UnitPart[] =>
  unitOf(vehicle).parts.filter(({ kind }) => MEETS.includes(kind));

interface Meeting {
  at: string;
  over: number;
  under: number;
  bore: boolean;
  down: boolean;
}

function meeting({ at, over, under, bore, down }: Meeting): Found {
  const said = { at, figure: say`${mm(over, over, 1)}`, limit: say`${mm(under, under, 1)}` };
  if (bore) {
    // Where the lower one goes over, the bore is its upper end.
    const [bored, pipe] = down ? [under, over] : [over, under];
    const { outcome, reasons } = judgeBore(bored, pipe);
    if (outcome === 'good') return { outcome, text: `${at}: it goes on`, ...said };
    return {
      outcome,
      text: say`${at}: ${reasons[0]!.text}`,
      ...said,
      next: 'a hose of the bore of both, for submersion; no clamp cures one that is too big',
    };
  }
  return Math.abs(over - under) <= RIGID
    ? { outcome: 'good', text: `${at}: as wide`, ...said }
    : {
        outcome: 'bad',
        text: `${at}: they do not meet`,
        ...said,
        next: 'the part of one donor for both, or the piece between them',
      };
}
