import { commonPractice, computed } from '../basis/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { causes, pointWord, streamPoints, type FuelCause, type StreamPoint } from './causes.ts';

/** What was seen where fuel comes past. */
export interface StreamLook {
  /** Is it clean there? */
  is: 'clean' | 'dirty';
  /** Of what; null: nobody said, or clean. */
  what: FuelCause | null;
}

/** A sample in its glass, and through whose hands it went. */
export interface KeptSample {
  /** Id of the entry. */
  id: string;
  /** Number painted on its jar; null where it has none. */
  tag: number | null;
  /** Where it was taken. */
  of: StreamPoint;
  /** Sealed and dated at once. */
  sealed: boolean;
  /** Who had it, the first first; was the seal whole when it came? */
  hands: readonly { who: string; whole: boolean; at: string }[];
  /** What a laboratory told; null: none was asked. */
  lab: { is: FuelCause | 'sound'; lab: string } | null;
}

/** What the evidence is judged by. */
export interface Evidence {
  /** By place: the newest look, and whether it was ever dirty. */
  stream: Readonly<Partial<Record<StreamPoint, StreamLook & { wasDirty: FuelCause | 'dirty' | null }>>>;
  /** Samples that are kept. */
  kept: readonly KeptSample[];
  /** What somebody suspects; null: nobody said. */
  suspicion: { cause: FuelCause; who: string | null } | null;
}

const basis = commonPractice;

/** Was the seal whole in every hand? @example chainWhole(sample) // true */
export const chainWhole = ({ sealed, hands }: Pick<KeptSample, 'sealed' | 'hands'>): boolean =>
  sealed && hands.every(({ whole }) => whole);

/**
 * How far it went: the filter cut open tells. Dirty at its inlet and clean at its outlet, it stopped there; dirty at both, lines
 * and rail are looked at.
 *
 * @example judgeReach({ filterIn: dirty, filterOut: clean }).outcome // 'good': it did its job
 */
export function judgeReach(stream: Evidence['stream']): Verdict {
  const { filterIn, filterOut } = stream;
  if (!filterIn || !filterOut)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'nobody cut the filter open', basis }],
      next: ['cut it open outdoors, drained: how is it at the inlet, how at the outlet?'],
    };
  const past = filterOut.wasDirty !== null;
  if (!past)
    return filterIn.wasDirty !== null
      ? {
          outcome: 'good',
          reasons: [{ text: 'dirty at the inlet, clean at the outlet: it stopped there', basis }],
          next: ['a new filter; lines and rail behind it stay shut'],
        }
      : {
          outcome: 'good',
          reasons: [{ text: 'clean at both ends: nothing came as far as the filter', basis }],
          next: ['look upstream: screen, pick-up, tank'],
        };
  const behind = (['lines', 'rail'] as const).filter((at) => stream[at]?.is !== 'clean');
  const shed = filterIn.wasDirty === null;
  const text = shed
    ? 'clean at the inlet, dirty at the outlet: it sheds, or it sat the wrong way round'
    : 'dirty at both ends: it went past the filter';
  if (behind.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: `${text}; lines and rail are clean now`, basis }],
      next: ['a new filter'],
    };
  return {
    outcome: 'bad',
    reasons: [
      { text, basis },
      ...behind.map((at) => ({ text: `${pointWord[at]}: ${stream[at] ? 'dirty' : 'nobody looked'}`, basis })),
    ],
    next: [
      behind.includes('lines')
        ? 'blow the lines out from the engine end into a can, caps off, until what comes is clean'
        : 'the low-pressure side of the rail only: a high-pressure side is never cracked open, the service information comes first',
      'a new filter once they are clean, another after the first tankful',
    ],
  };
}

/**
 * Does what was found carry what is suspected? It would fit where it shows; it is not proven until a laboratory says so, and of
 * a sample whose seal was whole in every hand. Where it would have to show and does not, it is not the cause.
 *
 * @example judgeCause(evidence).outcome // 'doubtful': it would fit, not proven
 */
export function judgeCause({ stream, kept, suspicion }: Evidence): Verdict {
  if (!suspicion)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'nobody said what is suspected', basis }],
      next: ['say it before looking: a finding is held against it'],
    };
  const { cause } = suspicion;
  const { name, shows } = causes[cause];
  for (const sample of kept) {
    if (!sample.lab) continue;
    const whole = chainWhole(sample);
    if (sample.lab.is === cause)
      return {
        outcome: whole ? 'good' : 'doubtful',
        reasons: [
          {
            text: whole
              ? `${name}: ${sample.lab.lab} says so, of a sample whose seal was whole in every hand`
              : `${name}: ${sample.lab.lab} says so, of a sample whose seal was not whole`,
            basis: computed('laboratory and chain of hands'),
          },
        ],
        next: whole ? [] : ['another sample, sealed and dated at once, if it has to be shown'],
      };
    return {
      outcome: 'bad',
      reasons: [
        {
          text: `not ${name}: ${sample.lab.lab} says ${sample.lab.is === 'sound' ? 'the fuel is sound' : causes[sample.lab.is].name}`,
          basis: computed('laboratory and chain of hands'),
        },
      ],
      next: ['the cause stays open: look for another'],
    };
  }
  const fits = streamPoints.filter((at) => stream[at]?.wasDirty === cause);
  if (fits.length > 0)
    return {
      outcome: 'doubtful',
      reasons: [
        {
          text: `${name} would fit: found ${fits.map((at) => pointWord[at]).join(' and ')}; not proven until a laboratory says so`,
          basis,
        },
      ],
      next: [kept.length > 0 ? 'ask a laboratory, if it has to be shown' : 'keep a sample, sealed and dated'],
    };
  const unseen = shows.filter((at) => !stream[at]);
  if (unseen.length > 0)
    return {
      outcome: 'unknown',
      reasons: [{ text: `${name}: nobody looked ${unseen.map((at) => pointWord[at]).join(' and ')}`, basis }],
      next: [`look ${pointWord[unseen[0]!]}`],
    };
  return {
    outcome: 'bad',
    reasons: [{ text: `no ${name} ${shows.map((at) => pointWord[at]).join(' or ')}: that is not the cause`, basis }],
    next: ['the cause stays open: pump, feed, lines, another fault'],
  };
}
