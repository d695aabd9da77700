import { roundTo } from '../estimate/index.ts';
import { safeFillToday, shareOut } from '../drain/index.ts';
import { judgeHandling, litresToTakeOut, tankMass, type ShopKilograms } from '../handling/index.ts';
import type { JobState } from '../job/types.ts';
import { planDescent } from '../stops/preview.ts';
import { estimateOf } from '../vehicle/index.ts';
import { lowerMinutes, waysIn } from '../waysIn/index.ts';

export interface CallQuestion {
  id: string;
  text: string;
  /** What its answer decides. */
  decides: string;
  /** At stake: minutes, or kilograms. */
  stake: { minutes: number } | { kilograms: number };
  /** Under which the answer stands in the log; a witness is entered by its own field instead. */
  answer: { question: string; choices: { value: string; label: string }[] } | { witness: 'dip' };
}

const MOST = 3;
/** Under it nobody asks, minutes and kilograms. */
const WORTH = { minutes: 3, kilograms: 4 };
const seen = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'hidden', label: 'Can’t see' },
];

/**
 * At most three questions, and only those whose answer changes the call: each unknown is set to both its ends, the others
 * as likely, and the call made anew. Ranked by what is at stake. One that was answered is not asked again.
 *
 * @example callQuestions(state, shop)[0]!.text // 'How full is it, by dip?'
 */
export function callQuestions(state: JobState, shop: ShopKilograms, cans: readonly number[]): CallQuestion[] {
  if (state.out || state.signed) return [];
  const all = [
    ...variantQuestions(state),
    ...levelQuestion(state, shop, cans),
    ...lineQuestions(state),
    ...obstructionQuestions(state),
    ...accessQuestions(state),
  ];
  return all
    .filter((q) => !('question' in q.answer) || state.answers[q.answer.question] === undefined)
    .filter((q) => ('minutes' in q.stake ? q.stake.minutes >= WORTH.minutes : q.stake.kilograms >= WORTH.kilograms))
    .sort((a, b) => weight(b) - weight(a) || (a.id < b.id ? -1 : 1))
    .slice(0, MOST);
}

/** A kilogram over one’s face weighs as much as two minutes; common practice, no source. */
const weight = ({ stake }: CallQuestion): number => ('minutes' in stake ? stake.minutes : stake.kilograms * 2);

function levelQuestion(state: JobState, shop: ShopKilograms, cans: readonly number[]): CallQuestion[] {
  if (state.witnesses.some((w) => w.kind === 'dip' || w.kind === 'levelSeen')) return [];
  const { aboard } = state.fuel;
  const at = (litres: number) => {
    const known = { ...aboard, lo: litres, typ: litres, hi: litres };
    const out = litresToTakeOut(state.vehicle, known, shop.alone).litres.typ;
    return {
      ...judgeHandling(tankMass(state.vehicle, known), shop),
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

/** One look decides which vehicle it is: always worth more than a figure. */
function variantQuestions(state: JobState): CallQuestion[] {
  return (state.vehicle.variants ?? []).map((variant) => ({
    id: `variant ${variant.id}`,
    text: variant.look,
    decides: 'which vehicle this is: what is planned for it',
    stake: { minutes: 60 },
    answer: {
      question: `variant ${variant.id}`,
      choices: variant.choices.map(({ label }) => ({ value: label, label })),
    },
  }));
}

/** A line at its shortest and at its longest: does the way down change? */
function lineQuestions(state: JobState): CallQuestion[] {
  return state.vehicle.connections.flatMap((line): CallQuestion[] => {
    const slack = state.slack[line.id];
    if (!slack || slack.lo === slack.hi) return [];
    const at = (value: number) =>
      planDescent({ ...state, slack: { ...state.slack, [line.id]: { ...slack, lo: value, typ: value, hi: value } } });
    const [short, long] = [at(slack.lo), at(slack.hi)];
    const minutes = Math.abs(short.minutes.typ - long.minutes.typ) + (short.outcome === long.outcome ? 0 : 30);
    if (short.stops.length === long.stops.length && short.outcome === long.outcome) return [];
    const middle = roundTo(slack.typ, 5);
    return [
      {
        id: `slack ${line.id}`,
        text: `Does the ${line.name} give ${middle} mm?`,
        decides:
          short.outcome === long.outcome
            ? `${short.stops.length} stops if it is short, ${long.stops.length} if it is long`
            : 'whether the tank comes down past it at all',
        stake: { minutes: roundTo(minutes, 1) },
        answer: {
          question: `slack ${line.id}`,
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
function obstructionQuestions(state: JobState): CallQuestion[] {
  return state.vehicle.obstructions.flatMap((thing): CallQuestion[] => {
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
        answer: { question: `blocks ${thing.id}`, choices: seen },
      },
    ];
  });
}

function accessQuestions(state: JobState): CallQuestion[] {
  const down = lowerMinutes(state).total.typ;
  const question = { hatch: 'ring from above', sender: 'ring from above', bed: 'bed comes off' } as const;
  const text = {
    hatch: 'Is the ring in sight from above?',
    sender: 'Is the ring in sight from above?',
    bed: 'Does the bed come off?',
  };
  const best = waysIn(state).find(
    (w) => w.look !== null && w.cannot === null && w.id in question && w.minutes.typ < down,
  );
  if (!best) return [];
  const id = best.id as keyof typeof question;
  return [
    {
      id: best.id,
      text: text[id],
      decides: `${best.name.toLowerCase()} instead of lowering`,
      stake: { minutes: roundTo(down - best.minutes.typ, 5) },
      answer: { question: question[id], choices: seen },
    },
  ];
}
