import { commonPractice, computed, shopRule } from '../basis/index.ts';
import { rangeInWords } from '../estimate/index.ts';
import { judgeHandling, startingKilograms, tankMass, type ShopKilograms } from '../handling/index.ts';
import { witnessWord } from '../tank/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { isOn } from './apply/tank.ts';
import type { GateNumber, JobState } from './types.ts';

export interface GateItem {
  id: string;
  /** One word on the rail. */
  short: string;
  question: string;
  /** The caution where the hand is about to move. */
  caution: string;
  answers: { value: string; label: string; outcome: Verdict['outcome']; says: string; next?: string }[];
  /** Judged from the log instead of being asked. */
  judge?: (state: JobState, shop: ShopKilograms) => Verdict;
}

const yesNo = (yes: string, no: string, next: string): GateItem['answers'] => [
  { value: 'yes', label: yes, outcome: 'good', says: yes.toLowerCase() },
  { value: 'no', label: no, outcome: 'bad', says: no.toLowerCase(), next },
];

const service = 'The service information for this vehicle and local codes come first.';

export const gateTitles: Record<GateNumber, string> = {
  1: 'before anything is opened',
  2: 'before the supports come off',
  3: 'before the ring closes',
  4: 'before key on at the test stop',
};

export const gateItems: Record<GateNumber, GateItem[]> = {
  1: [
    {
      id: 'air',
      short: 'air',
      question: 'Is the air moving?',
      caution: `Doors open or extraction on. Petrol vapour is heavier than air and gathers in pits. ${service}`,
      answers: yesNo('Air is moving', 'Not yet', 'open the doors or switch extraction on'),
    },
    {
      id: 'heat',
      short: 'heat off',
      question: 'Is everything that lights fuel away?',
      caution:
        'No flame, spark, heater or hot lamp, nobody smoking. Cold light only. Keep this device on the cart, not in the pit.',
      answers: yesNo('Heat is away', 'Not yet', 'switch it off and move it away'),
    },
    {
      id: 'pressure',
      short: 'pressure',
      question: 'Is the pressure out?',
      caution: `Injected engines hold it for hours. Hose into the can, rag over the joint, eyes covered. ${service}`,
      answers: [],
      judge: (state) =>
        state.pressure?.verdict ?? {
          outcome: 'unknown',
          reasons: [{ text: 'not read yet', basis: commonPractice }],
          next: ['read the gauge, or say what counts instead'],
        },
    },
    {
      id: 'support',
      short: 'support',
      question: 'Is the vehicle held?',
      caution:
        'Wheels chocked; on a lift, or on stands at the places the service information names. Never on a jack, crates or wood alone. Balance shifts when the tank leaves: a stand at the far end.',
      answers: yesNo('It is held', 'Not yet', 'set it on stands at the named places'),
    },
    {
      id: 'hands',
      short: 'hands',
      question: 'Eyes and hands covered?',
      caution:
        'Eye protection, fuel-proof gloves, an extinguisher for liquid fires in reach, a drip tray under the joint.',
      answers: yesNo('Covered', 'Not yet', 'put them on first'),
    },
  ],
  2: [
    {
      id: 'battery',
      short: 'battery',
      question: 'Is battery negative off?',
      caution: 'Only now: pump and scan tool needed it until here. Key out.',
      answers: yesNo('Battery is off', 'Still on', 'take battery negative off'),
    },
    {
      id: 'witnesses',
      short: 'litres',
      question: 'Do two witnesses say what is aboard?',
      caution: 'Tanks called empty have held a quarter. Gauge and scan tool are one witness: they read one sender.',
      answers: [],
      judge: judgeWitnesses,
    },
    {
      id: 'mass',
      short: 'weight',
      question: 'Is it light enough?',
      caution: 'A part-full tank is outside every lifting method. It stays on the jack.',
      answers: [],
      judge: judgeMass,
    },
    {
      id: 'jack',
      short: 'jack',
      question: 'Does the padded jack carry it?',
      caution:
        'Wide padded head under the middle of the weight, clear of every strap, just taking the load. A plastic tank dents.',
      answers: yesNo('Jack carries it', 'Not yet', 'bring the jack under the middle of the weight'),
    },
    {
      id: 'helper',
      short: 'helper',
      question: 'Second pair of hands for the straps?',
      caution: 'Two people at the moment the straps let go, or one strap walked down with plenty of thread left.',
      answers: [
        { value: 'here', label: 'Helper is here', outcome: 'good', says: 'helper is here' },
        {
          value: 'walked',
          label: 'One strap walked down',
          outcome: 'doubtful',
          says: 'alone: one strap walked down with plenty of thread left',
        },
        { value: 'no', label: 'Not yet', outcome: 'bad', says: 'no helper yet', next: 'call somebody for the straps' },
      ],
    },
  ],
  3: [
    {
      id: 'things',
      short: 'things',
      question: 'Is everything out that was put in?',
      caution: 'Rags, plugs, lamps: counted in, counted out.',
      answers: [],
      judge: judgeThings,
    },
    {
      id: 'tests',
      short: 'tests',
      question: 'Was what goes back tested?',
      caution:
        'Sender swept until two passes agree, pump run in clean fuel outdoors on a fused supply, away from vapour.',
      answers: [
        { value: 'passed', label: 'Tests passed', outcome: 'good', says: 'tests passed' },
        { value: 'none', label: 'Nothing to test', outcome: 'doubtful', says: 'nothing in the tank was changed' },
        {
          value: 'no',
          label: 'Not yet',
          outcome: 'bad',
          says: 'not tested',
          next: 'test it on the bench: it costs minutes here and hours later',
        },
      ],
    },
    {
      id: 'seal',
      short: 'seal',
      question: 'Is the ring seal new?',
      caution: 'Groove bright and clean. Unit on its mark, ring to its stops on every tab.',
      answers: [
        { value: 'new', label: 'New seal', outcome: 'good', says: 'new seal' },
        { value: 'closed', label: 'Ring was not opened', outcome: 'good', says: 'ring was not opened' },
        {
          value: 'old',
          label: 'Old seal',
          outcome: 'bad',
          says: 'old seal',
          next: 'fit a new one; an exception takes a reason',
        },
      ],
    },
  ],
  4: [
    {
      id: 'joints',
      short: 'joints',
      question: 'Is every joint here made?',
      caution: 'Every fuel, vent and ground joint a hand reaches here, before the key is turned.',
      answers: [],
      judge: judgeJoints,
    },
    {
      id: 'wiped',
      short: 'dry',
      question: 'Joints wiped dry, tray under?',
      caution: 'A dry joint shows the first drop. Eyes covered, nobody under it while the pump runs.',
      answers: yesNo('Wiped dry', 'Not yet', 'wipe every joint dry'),
    },
    {
      id: 'battery',
      short: 'battery',
      question: 'Battery back on for the test?',
      caution: 'Key off while it goes on. It comes off again afterwards where the service information wants it.',
      answers: yesNo('Battery is on', 'Not yet', 'connect battery negative last'),
    },
  ],
};

function judgeWitnesses(state: JobState): Verdict {
  const { sources, contradictions, aboard } = state.fuel;
  const figure = `${rangeInWords(aboard, 1)} L`;
  const told = state.fuel.steps.map((step) => witnessWord[step.kind]);
  if (sources.length < 2)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: `${sources.length === 0 ? 'no witness' : `only ${told.join(', ')}`}; two that do not share a source are needed`,
          figure,
          limit: '2 witnesses',
          basis: commonPractice,
        },
      ],
      next: ['dip it, see the level, weigh it, or open the plug and find it dry'],
    };
  const reasons = [
    { text: `${[...new Set(told)].join(', ')}`, figure, basis: computed('common part of the witnesses') },
  ];
  if (contradictions.length > 0)
    return {
      outcome: 'doubtful',
      reasons: [
        ...reasons,
        ...contradictions.map((text) => ({ text, basis: computed('ranges without a common part') })),
      ],
      next: ['look a third way'],
    };
  return { outcome: 'good', reasons, next: [] };
}

function judgeMass(state: JobState, shop: ShopKilograms): Verdict {
  return judgeHandling(tankMass(state.vehicle, state.fuel.aboard), shop).verdict;
}

function judgeThings(state: JobState): Verdict {
  const inside = state.items.filter((item) => item.kind === 'thing' && item.state === 'open');
  if (inside.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: 'nothing that was put in is still in', basis: computed('counted in the ledger') }],
      next: [],
    };
  return {
    outcome: 'bad',
    reasons: inside.map((item) => ({ text: `${item.name} is still in`, basis: computed('counted in the ledger') })),
    next: inside.map((item) => `take out ${item.name}`),
  };
}

/** Joints that must be made before the key is turned: what a hand reaches at this height. */
export function jointsDueHere(state: JobState): string[] {
  const here = Math.max(state.pose.f, state.pose.r);
  return state.vehicle.connections
    .filter((line) => !isOn(state, line.id))
    .filter((line) => line.make.some((way) => way.reachFrom.typ <= here && here <= state.slack[line.id]!.hi))
    .map((line) => line.name);
}

function judgeJoints(state: JobState): Verdict {
  const due = jointsDueHere(state);
  if (due.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: 'every joint within reach here is made', basis: computed('ledger and reach') }],
      next: [],
    };
  return {
    outcome: 'bad',
    reasons: due.map((name) => ({ text: `${name} is open`, basis: computed('ledger and reach') })),
    next: due.map((name) => `make ${name}`),
  };
}

export interface JudgedItem {
  item: GateItem;
  verdict: Verdict;
  /** Passed: good, a look, or excepted by the lead. */
  through: boolean;
  excepted: { reason: string; lead: string } | null;
}

/**
 * Every item of a gate with its verdict. A gate may be passed when every item is through.
 *
 * @example judgeGate(state, 1).every((j) => j.through)
 */
export function judgeGate(state: JobState, gate: GateNumber, shop: ShopKilograms = startingKilograms): JudgedItem[] {
  return gateItems[gate].map((item) => {
    const given = state.gates[gate].answers[item.id];
    const verdict = item.judge ? item.judge(state, shop) : answered(item, given?.answer);
    const excepted = given?.excepted ?? null;
    return {
      item,
      verdict,
      excepted,
      through: excepted !== null || verdict.outcome === 'good' || verdict.outcome === 'doubtful',
    };
  });
}

function answered(item: GateItem, value: string | undefined): Verdict {
  const answer = item.answers.find((a) => a.value === value);
  if (!answer) return { outcome: 'unknown', reasons: [{ text: 'not answered yet', basis: shopRule }], next: [] };
  return {
    outcome: answer.outcome,
    reasons: [{ text: answer.says, basis: commonPractice }],
    next: answer.next ? [answer.next] : [],
  };
}
