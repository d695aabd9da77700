import type { VehicleFile } from '../vehicle/index.ts';
import { gravestFirst, type Outcome } from '../verdict/index.ts';
import { remedyIds, type RemedyId } from './remedies.ts';

/** What is looked at on the bench besides the unit. */
export const conditionPlaces = ['inside', 'outside', 'straps', 'pads', 'neck', 'hoses', 'frame'] as const;
/** One of them. */
export type ConditionPlace = (typeof conditionPlaces)[number];

/** What may be found somewhere, what it means and what can be done about it. */
export interface CanBeFound {
  /** In words. */
  words: string;
  /** As older logs say it. */
  formerly?: string;
  /** What it means. */
  outcome: Outcome;
  /** What can be done, the usual first. */
  remedies: readonly RemedyId[];
  /** Only on a tank of this. */
  of?: VehicleFile['tank']['material'];
  /** What it makes somebody look for. */
  next?: string;
}

/** A place and what is looked for there. */
export interface PlaceLook {
  /** Its id. */
  id: ConditionPlace;
  /** As people call it. */
  name: string;
  /** One word, for the drawing. */
  short: string;
  /** What to look for, and how. */
  look: string;
  /** What is found when there is nothing. */
  sound: string;
  /** What may be found, the usual first. */
  found: readonly CanBeFound[];
}

/** Plain questions, place by place. Common practice, no source. */
const places: Readonly<Record<ConditionPlace, Omit<PlaceLook, 'id'>>> = {
  inside: {
    name: 'inside',
    short: 'inside',
    look: 'Cold light or a borescope, every corner and behind the baffles. Years say nothing: twenty dry ones can be bright, three wet ones gone.',
    sound: 'bright and dry',
    found: [
      { words: 'light film of rust', outcome: 'doubtful', remedies: ['clean', 'treat'], of: 'steel' },
      { words: 'rust that comes off in flakes', outcome: 'bad', remedies: ['sendOut', 'replace'], of: 'steel' },
      {
        words: 'dark slime',
        outcome: 'bad',
        remedies: ['clean'],
        next: 'biocide and all water out, or the next filter blocks',
      },
      { words: 'crystals or varnish', outcome: 'doubtful', remedies: ['clean'] },
      {
        words: 'water on the floor',
        outcome: 'bad',
        remedies: ['clean'],
        next: 'where did it come in: cap, neck, an open end?',
      },
      { words: 'baffle or tray loose', outcome: 'bad', remedies: ['replace', 'sendOut'] },
      {
        words: 'a piece that belongs to something',
        outcome: 'bad',
        remedies: ['clean'],
        next: 'what is it of? Look for the rest: tank, line, filter',
      },
    ],
  },
  outside: {
    name: 'outside',
    short: 'outside',
    look: 'Under pads and foam first: they hold water. Seams, the top edge, where it chafed. A blunt tool against what looks thin.',
    sound: 'sound all round',
    found: [
      { words: 'surface rust', outcome: 'doubtful', remedies: ['treat', 'coat'], of: 'steel' },
      { words: 'pitted or scaled', outcome: 'bad', remedies: ['replace', 'sendOut'], of: 'steel' },
      {
        words: 'stain at a seam',
        outcome: 'bad',
        remedies: ['sendOut', 'replace'],
        next: 'hold it under a little air, soap on the seam',
      },
      { words: 'cracked or swollen', outcome: 'bad', remedies: ['replace'], of: 'plastic' },
      { words: 'chafed', outcome: 'doubtful', remedies: ['replace'], next: 'what rubs it? A guard goes between' },
      { words: 'dented', outcome: 'doubtful', remedies: ['replace'], next: 'does the float still move all its way?' },
    ],
  },
  straps: {
    name: 'straps',
    short: 'straps',
    look: 'Both ends and every bend; under the lining; how thick it still is where it was thickest eaten. Bolts and their threads.',
    sound: 'full thickness, ends sound',
    found: [
      { words: 'surface rust', outcome: 'doubtful', remedies: ['treat', 'coat'] },
      { words: 'thinned, in layers', outcome: 'bad', remedies: ['replace'] },
      { words: 'cracked at a bend', outcome: 'bad', remedies: ['replace'] },
      { words: 'hook or end worn', outcome: 'bad', remedies: ['replace'] },
      { words: 'bolt or stud eaten', outcome: 'bad', remedies: ['replace'] },
    ],
  },
  pads: {
    name: 'pads',
    short: 'pads',
    look: 'All there, in their places, as thick as they were: felt, rubber strips or foam. Without them it rings and chafes.',
    sound: 'all there, as thick as they were',
    found: [
      { words: 'one missing', outcome: 'bad', remedies: ['replace'] },
      { words: 'squeezed thin', outcome: 'doubtful', remedies: ['replace'] },
      { words: 'old foam that holds water', outcome: 'bad', remedies: ['replace'] },
    ],
  },
  neck: {
    name: 'filler neck',
    short: 'neck',
    look: 'Inside with a light, outside under the clamp bands and at its body screws; the cap seals, a valve in it falls shut by itself, its arrow to the tank.',
    sound: 'sound, cap seals',
    found: [
      { words: 'rust under the clamp', outcome: 'doubtful', remedies: ['treat', 'coat'] },
      { words: 'eaten through', outcome: 'bad', remedies: ['replace'] },
      { words: 'valve in it sticks', outcome: 'bad', remedies: ['clean', 'replace'] },
      { words: 'cap does not seal', outcome: 'bad', remedies: ['replace'] },
    ],
  },
  hoses: {
    name: 'rubber, tank to engine',
    short: 'rubber',
    look: 'Every piece, also the two further forward that get forgotten. Bent in the hand: does it crack? Is its print still to be read?',
    sound: 'supple, print to be read',
    found: [
      { words: 'cracks when bent', outcome: 'bad', remedies: ['replace'] },
      { words: 'soft or swollen', outcome: 'bad', remedies: ['replace'] },
      { words: 'hard', outcome: 'doubtful', remedies: ['replace'] },
      { words: 'print gone, nobody knows its grade', outcome: 'doubtful', remedies: ['replace'] },
    ],
  },
  frame: {
    name: 'frame above',
    short: 'frame',
    look: 'Now that the tank is away: where its supports were held, what is above it, brake and fuel pipes along it.',
    sound: 'sound where it carries',
    found: [
      { words: 'surface rust', outcome: 'doubtful', remedies: ['treat', 'coat'] },
      {
        words: 'scaled where it carries',
        formerly: 'scaled at a strap hook',
        outcome: 'bad',
        remedies: ['sendOut'],
        next: 'who may mend a frame says the local code',
      },
      {
        words: 'a pipe is eaten',
        outcome: 'bad',
        remedies: ['replace'],
        next: 'a brake pipe is no work of this job: say so before anything else',
      },
    ],
  },
};

/**
 * What is looked at on this vehicle, place by place. A tank that nothing straps has no straps.
 *
 * @example placesOf(rail).map((place) => place.id) // ['inside', 'outside', 'straps', 'pads', 'neck', 'hoses', 'frame']
 */
export function placesOf({ tank, supports }: Pick<VehicleFile, 'tank' | 'supports'>): PlaceLook[] {
  const strapped = supports.some(({ kind }) => kind === 'strap');
  return conditionPlaces.map((id) => {
    const place = places[id];
    const found = place.found.filter(({ of }) => of === undefined || of === tank.material);
    return id === 'straps' && !strapped
      ? { ...place, id, name: 'what holds it', short: 'bolts', found }
      : { ...place, id, found };
  });
}

/** Something found, as far as it is judged. */
interface FoundThere {
  /** What. */
  what: string;
  /** Where. */
  where: string;
  /** What it means. */
  verdict: Outcome;
}

/**
 * What still stands of what was found, gravest first: of one thing at one place the newest word counts. “Sound” at a place is no
 * word about what was found there before: that is answered by itself.
 *
 * @example standingFindings(state.findings).filter((f) => f.verdict === 'bad') // what holds the gate
 */
export function standingFindings<F extends FoundThere>(findings: readonly F[]): F[] {
  const newest = new Map(findings.map((f) => [`${f.what}/${f.where}`, f]));
  return gravestFirst([...newest.values()].map((finding) => ({ finding, outcome: finding.verdict }))).map(
    ({ finding }) => finding,
  );
}

/** How a place stands; null while nobody looked. @example placeStands(state.findings, 'straps')?.verdict // 'bad' */
export const placeStands = <F extends FoundThere>(findings: readonly F[], place: ConditionPlace): F | null =>
  standingFindings(findings.filter(({ where }) => where === place))[0] ?? null;

/**
 * What can be done about a finding; everything where it is none of those that are usual there.
 *
 * @example remediesFor(rail, { what: 'surface rust', where: 'straps' }) // ['treat', 'coat']
 */
export const remediesFor = (
  vehicle: Pick<VehicleFile, 'tank' | 'supports'>,
  { what, where }: Pick<FoundThere, 'what' | 'where'>,
): readonly RemedyId[] =>
  placesOf(vehicle)
    .find(({ id }) => id === where)
    ?.found.find(({ words, formerly }) => words === what || formerly === what)?.remedies ?? remedyIds;
