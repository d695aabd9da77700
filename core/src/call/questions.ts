import { present } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { shareOut } from '../drain/index.ts';
import { whatMatters } from '../foresight/index.ts';
import { BED_OFF, RING_FROM_ABOVE } from '../hang/index.ts';
import { judgeHandling, kilogramsOf, litresToTakeOut, tankMass, WORKED_ON } from '../handling/index.ts';
import type { JobState } from '../job/index.ts';
import { startingFigures } from '../order/index.ts';
import { kilograms, mm, say, type Sentence } from '../quantity/index.ts';
import { answerTo, type Question } from '../questions/index.ts';
import { safeFillToday, fuelCelsius } from '../tank/index.ts';
import {
  BLOCKS,
  byJack,
  estimateOf,
  PUMP,
  pumpOf,
  pumpsFor,
  pumpWord,
  SLACK,
  splitKey,
  VARIANT,
  travelWords,
} from '../vehicle/index.ts';
import type { WayIn } from '../waysIn/index.ts';

/** A question that changes the call, and how it is put. */
export interface CallQuestion {
  /** Which one, and of what. */
  id: string;
  /** As it is asked. */
  text: Sentence;
  /** What its answer decides. */
  decides: Sentence;
  /** At stake: minutes, or kilograms. */
  stake: { minutes: number } | { kilograms: number };
  /** The question’s id in the log, and its answers; a witness is entered by its own field instead. */
  answer: { question: string; of: string | null; choices: { value: string; label: string }[] } | { witness: 'dip' };
}

/** The same, with what is asked by its type. */
interface Asked extends Omit<CallQuestion, 'answer'> {
  answer:
    | { question: Question<string | number>; of: string | null; choices: { value: string; label: string }[] }
    | { witness: 'dip' };
}

/** More than so many nobody answers before a job; common practice, no source. */
const MOST = 3;
/** What an answer must change to be worth asking for, minutes and kilograms; common practice, no source. */
const WORTH = { minutes: 3, kilograms: 4 };
/** What it costs when there is no way down after all, minutes; common practice, no source. */
const NO_WAY = 30;
const seen = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'hidden', label: 'Can’t see' },
];

/**
 * At most three questions, and only those whose answer changes the call: each unknown is set to both its ends, the others
 * as likely, and the call made anew. Ranked by what is at stake. One that was answered is not asked again.
 *
 * @param known the shop’s cans, L each, and the ways in
 * @example callQuestions(state, { cans: [20, 20], ways: waysIn(state) })[0]!.text // 'How full is it, by dip?'
 */
export function callQuestions(
  state: JobState,
  { cans, ways }: { cans: readonly number[]; ways: readonly WayIn[] },
): CallQuestion[] {
  if (state.out || state.signed) return [];
  const all = [
    ...variantQuestions(state),
    ...pumpQuestion(state),
    ...postureQuestion(state),
    ...levelQuestion(state, cans),
    ...lineQuestions(state),
    ...obstructionQuestions(state),
    ...accessQuestions(ways),
  ];
  return all
    .filter(({ answer }) => !('question' in answer) || answerTo(state, answer.question, answer.of) === undefined)
    .filter((q) => ('minutes' in q.stake ? q.stake.minutes >= WORTH.minutes : q.stake.kilograms >= WORTH.kilograms))
    .sort(
      (a, b) =>
        Number(first.includes(b.id)) - Number(first.includes(a.id)) || weight(b) - weight(a) || (a.id < b.id ? -1 : 1),
    )
    .slice(0, MOST)
    .map(({ answer, ...q }) => ({
      ...q,
      answer: 'question' in answer ? { ...answer, question: answer.question.id } : answer,
    }));
}

/** What can hurt is asked before what only costs time. */
const first: readonly string[] = ['pump', 'worked on'];

/** A kilogram over one’s face weighs as much as two minutes; common practice, no source. */
const weight = ({ stake }: Pick<CallQuestion, 'stake'>): number =>
  'minutes' in stake ? stake.minutes : stake.kilograms * 2;

/** Who lies under it holds less: asked once, of a tank that comes down on a jack. */
function postureQuestion(state: JobState): Asked[] {
  if (!byJack(state.vehicle)) return [];
  const { alone, lying } = { ...startingFigures, ...state.shop };
  return [
    {
      id: 'worked on',
      text: 'On a lift, or on the floor?',
      decides: say`one may hold ${kilograms(alone)} standing, ${kilograms(lying ?? alone)} lying`,
      stake: { kilograms: Math.max(WORTH.kilograms, alone - (lying ?? alone)) },
      answer: {
        question: WORKED_ON,
        of: null,
        choices: [
          { value: 'lift', label: 'On a lift' },
          { value: 'floor', label: 'On the floor' },
        ],
      },
    },
  ];
}

function levelQuestion(state: JobState, cans: readonly number[]): Asked[] {
  const { vehicle } = state;
  const shop = kilogramsOf(state);
  const celsius = fuelCelsius(state);
  if (state.witnesses.some((w) => w.kind === 'dip' || w.kind === 'levelSeen')) return [];
  const { aboard } = state.fuel;
  const at = (litres: number) => {
    const known = { ...aboard, lo: litres, typ: litres, hi: litres };
    const out = litresToTakeOut({ vehicle, aboard: known, limit: shop.alone, celsius }).litres.typ;
    return {
      ...judgeHandling(tankMass(vehicle, known, celsius), shop),
      cans: shareOut(out, cans, safeFillToday(state)).cans.length,
    };
  };
  const [least, most] = [at(aboard.lo), at(aboard.hi)];
  if (least.hands === most.hands && least.cans === most.cans) return [];
  return [
    {
      id: 'dip',
      text: 'How full is it, by dip?',
      decides:
        least.hands === most.hands
          ? `${canWords(least.cans)} at the low end, ${canWords(most.cans)} at the high end`
          : `${words[least.hands]} at the low end, ${words[most.hands]} at the high end`,
      stake: { kilograms: roundTo(most.mass.typ - least.mass.typ, 1) },
      answer: { witness: 'dip' },
    },
  ];
}

const canWords = (n: number): string => (n === 0 ? 'no can' : n === 1 ? 'one can' : `${n} cans`);
const words = { alone: 'light enough for one', two: 'two are needed', neither: 'too heavy by hand' };

/** What pushes the fuel decides how the pressure comes out, how it can be drained and how it is primed. */
function pumpQuestion(state: JobState): Asked[] {
  if (pumpOf(state.vehicle) !== 'unknown') return [];
  return [
    {
      id: 'pump',
      text: 'What pushes the fuel?',
      decides: 'how the pressure comes out; until then it counts as under pressure',
      stake: { minutes: PUMP_STAKE },
      answer: {
        question: PUMP,
        of: null,
        choices: pumpsFor(state.vehicle).map((value) => ({ value, label: pumpWord[value] })),
      },
    },
  ];
}

/** Bleeding, and draining by its own pump, or neither; minutes, common practice, no source. */
const PUMP_STAKE = 20;
/** What differs at least where a look decides which way a thing comes off; minutes, common practice, no source. */
const LOOK_STAKE = 5;

/** One look decides which vehicle it is. At stake is what comes off and goes back in one case and not in the other. */
function variantQuestions(state: JobState): Asked[] {
  const { file } = state;
  // What never blocks is cleared only where it helps: there or not, it costs nothing by itself.
  const ways = new Map([
    ...file.connections.map((c) => [c.id, [c.part[0], c.make[0]]] as const),
    ...file.obstructions.flatMap((o) => (o.blocksAt ? [[o.id, [o.clear[0], o.restore[0]]] as const] : [])),
  ]);
  const minutes = (ids: readonly string[]) =>
    ids
      .flatMap((id) => ways.get(id) ?? [])
      .reduce((sum, way) => sum + (way ? estimateOf(file, way.minutes).typ : 0), 0);
  return (state.vehicle.variants ?? []).map((variant) => {
    const each = variant.choices.map((c) => minutes(c.without));
    return {
      id: `variant ${variant.id}`,
      text: variant.look,
      decides: 'which vehicle this is: what is planned for it',
      stake: { minutes: roundTo(Math.max(LOOK_STAKE, Math.max(...each) - Math.min(...each)), 1) },
      answer: {
        question: VARIANT,
        of: variant.id,
        choices: variant.choices.map(({ label }) => ({ value: label, label })),
      },
    };
  });
}

/** A line whose slack changes the way down, by the one engine that says which unknowns matter. */
function lineQuestions(state: JobState): Asked[] {
  return whatMatters(state).flatMap((matter): Asked[] => {
    const { kind, id } = splitKey(matter.key);
    const slack = state.slack[id];
    if (kind !== 'line' || !slack) return [];
    const { short, long } = matter.stops;
    return [
      {
        id: `slack ${id}`,
        text: say`Does the ${matter.name} give ${mm(roundTo(slack.typ, 5))}?`,
        decides:
          short === null || long === null
            ? `whether the tank comes ${travelWords(state.vehicle).off} past it at all`
            : `${short} stops if it is short, ${long} if it is long`,
        stake: { minutes: roundTo(matter.minutes ?? NO_WAY, 1) },
        answer: {
          question: SLACK,
          of: id,
          choices: [
            { value: 'long', label: 'More' },
            { value: 'short', label: 'Less' },
            { value: 'hidden', label: 'Can’t see' },
          ],
        },
      },
    ];
  });
}

/** Is it there at all? Looked at from below, before anything is opened. */
function obstructionQuestions(state: JobState): Asked[] {
  return state.vehicle.obstructions.flatMap((thing): Asked[] => {
    if (!thing.blocksAt || thing.clear.length === 0 || thing.blocksAt.basis?.kind === 'measured') return [];
    if (state.vehicle.basis === 'measured') return [];
    const minutes = [thing.clear[0], thing.restore[0]].reduce(
      (sum, way) => sum + (way ? estimateOf(state.vehicle, way.minutes).typ : 0),
      0,
    );
    return [
      {
        id: `blocks ${thing.id}`,
        text: `Is the ${thing.name} in the way?`,
        decides: `whether the ${thing.name} comes off and goes back`,
        stake: { minutes: roundTo(minutes, 1) },
        answer: { question: BLOCKS, of: thing.id, choices: seen },
      },
    ];
  });
}

function accessQuestions(ways: readonly WayIn[]): Asked[] {
  const down = present(
    ways.find((w) => w.id === 'lower'),
    'way',
    'lower',
  ).minutes.typ;
  const question = { hatch: RING_FROM_ABOVE, sender: RING_FROM_ABOVE, bed: BED_OFF } as const;
  const text = {
    hatch: 'Is the ring in sight from above?',
    sender: 'Is the ring in sight from above?',
    bed: 'Does the bed come off?',
  };
  const best = ways.find((w) => w.look !== null && w.cannot === null && w.id in question && w.minutes.typ < down);
  if (!best) return [];
  const id = best.id as keyof typeof question;
  return [
    {
      id: best.id,
      text: text[id],
      decides: `${best.name.toLowerCase()} instead of taking the tank out`,
      stake: { minutes: roundTo(down - best.minutes.typ, 5) },
      answer: { question: question[id], of: null, choices: seen },
    },
  ];
}
