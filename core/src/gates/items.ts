import { judgeUnit, unitBegun } from '../bench/index.ts';
import { judgeFit } from '../fit/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { byJack, carriedBy, type VehicleFile } from '../vehicle/index.ts';
import {
  judgeFindings,
  judgeJoints,
  judgeMass,
  judgePressureOut,
  judgeProofFuel,
  judgeThings,
  judgeWitnesses,
} from './judges.ts';
import type { GateFactsToJudge } from './facts.ts';
import type { GateNumber } from './slice.ts';

/** One question of a gate: asked, or judged from the log. */
export interface GateItem {
  /** Its id. */
  id: string;
  /** One word on the rail. */
  short: string;
  /** As it is asked. */
  question: string;
  /** The caution where the hand is about to move. */
  caution: string;
  /** Answers to choose from, with what each is taken as; empty where it is judged. */
  answers: { value: string; label: string; outcome: Verdict['outcome']; says: string; next?: string }[];
  /** Is it asked of this vehicle at all? */
  applies?: (state: GateFactsToJudge) => boolean;
  /** In the words of what carries this tank, or of what this job is. */
  by?: (state: GateFactsToJudge) => Partial<Pick<GateItem, 'short' | 'question' | 'caution' | 'answers'>>;
  /** Judged from the log instead of being asked. */
  judge?: (state: GateFactsToJudge) => Verdict;
  /** Ids of the entries its judgement rests on. */
  rests?: (state: GateFactsToJudge) => string[];
}

const yesNo = (yes: string, no: string, next: string): GateItem['answers'] => [
  { value: 'yes', label: yes, outcome: 'good', says: yes.toLowerCase() },
  { value: 'no', label: no, outcome: 'bad', says: no.toLowerCase(), next },
];

/** What must be there to take the weight, by what carries this tank. Common practice, no source. */
function carrying(vehicle: VehicleFile): Partial<GateItem> {
  const [first] = carriedBy(vehicle).by;
  if (first === 'two jacks')
    return {
      question: 'Do both padded jacks carry it?',
      caution:
        'Or one, with a board of two thirds of the tank. Clear of every strap, just taking the load. A plastic tank dents.',
      answers: yesNo('They carry it', 'Not yet', 'bring both jacks, or the board, under it'),
    };
  if (first === 'board on a jack')
    return {
      question: 'Does the board on the jack carry it?',
      caution: 'The padded board under the whole floor, clear of every strap, just taking the load.',
      answers: yesNo('It carries it', 'Not yet', 'bring board and jack under the middle of the weight'),
    };
  if (byJack(vehicle)) return {};
  const people = carriedBy(vehicle).people;
  return {
    short: 'held',
    question: people > 1 ? 'Do two people hold it?' : 'Is it held, and may it lie where it goes?',
    caution: 'No jack under this one: hands, a padded board or bench where it goes, and it is dry.',
    answers: yesNo('It is held', 'Not yet', people > 1 ? 'call the second pair of hands' : 'hold it first'),
  };
}

/** A pump or a sender that is the job is not put back untested. */
const mustBeTested: GateItem['answers'] = [
  { value: 'passed', label: 'Tests passed', outcome: 'good', says: 'tests passed' },
  {
    value: 'none',
    label: 'Nothing to test',
    outcome: 'bad',
    says: 'what this job is about was not tested',
    next: 'test it on the bench, the new part too; the lead may decide otherwise with a reason',
  },
  {
    value: 'no',
    label: 'Not yet',
    outcome: 'bad',
    says: 'not tested',
    next: 'test it on the bench: it costs minutes here and hours later',
  },
];

const service = 'The service information for this vehicle and local codes come first.';

/** Each gate, by what it stands before. */
export const gateTitles: Record<GateNumber, string> = {
  1: 'before anything is opened',
  2: 'before the supports come off',
  3: 'before the ring closes',
  4: 'before key on at the test stop',
};

/** What each gate asks, in order. */
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
      judge: judgePressureOut,
      rests: ({ pressure }) => (pressure ? [pressure.id] : []),
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
      rests: ({ fuel }) => fuel.steps.filter((s) => s.counts && s.agrees).map((s) => s.id),
    },
    {
      id: 'mass',
      short: 'weight',
      question: 'Is it light enough?',
      caution: 'A part-full tank is outside every lifting method.',
      by: ({ vehicle }) =>
        byJack(vehicle)
          ? { caution: 'A part-full tank is outside every lifting method. It stays on the jack.' }
          : { caution: 'A part-full tank is outside every lifting method. It is carried dry, or not by hand.' },
      answers: [],
      judge: judgeMass,
      rests: ({ fuel }) => fuel.steps.filter((s) => s.counts && s.agrees).map((s) => s.id),
    },
    {
      id: 'jack',
      short: 'jack',
      question: 'Does the padded jack carry it?',
      caution:
        'Wide padded head under the middle of the weight, clear of every strap, just taking the load. A plastic tank dents.',
      answers: yesNo('Jack carries it', 'Not yet', 'bring the jack under the middle of the weight'),
      by: ({ vehicle }) => carrying(vehicle),
    },
    {
      id: 'helper',
      short: 'helper',
      question: 'Second pair of hands for the straps?',
      caution: 'Two people at the moment the straps let go, or one strap walked down with plenty of thread left.',
      applies: ({ vehicle }) => carriedBy(vehicle).whenSupportsLetGo > 1,
      by: ({ vehicle }) =>
        vehicle.supports.some((s) => s.kind === 'strap')
          ? {}
          : {
              question: 'Second pair of hands when it lets go?',
              caution:
                'Two people at the moment the last fasteners let go, or two opposite ones left by a few threads.',
            },
      answers: [
        { value: 'here', label: 'Helper is here', outcome: 'good', says: 'helper is here' },
        {
          value: 'walked',
          label: 'Alone, the last one walked down',
          outcome: 'doubtful',
          says: 'alone: the last one walked down with plenty of thread left',
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
      rests: ({ openings }) => openings.flatMap((o) => (o.kind === 'thing' && o.closedIn ? [o.closedIn] : [])),
    },
    {
      id: 'unit',
      short: 'unit',
      question: 'Has every part of the unit its word?',
      caution: 'What goes back is tested before it goes back, the new part too.',
      applies: unitBegun,
      answers: [],
      judge: judgeUnit,
      rests: ({ pieces }) => Object.values(pieces).flatMap((list) => (list.at(-1)?.words ?? []).map((word) => word.id)),
    },
    {
      id: 'fit',
      short: 'fit',
      question: 'Does what goes in fit?',
      caution: 'New laid on old: flange, ports, ohms and pressure are measured, not believed.',
      // Where nothing new goes in and nobody began, there is nothing to hold against each other.
      applies: (state) =>
        judgeFit(state).begun || Object.values(state.pieces).some((list) => (list.at(-1)?.called ?? null) !== null),
      answers: [],
      judge: (state) => judgeFit(state).verdict,
      rests: ({ fitted, ports }) => [...Object.values(fitted), ...Object.values(ports)].map(({ id }) => id),
    },
    {
      id: 'tests',
      short: 'tests',
      // Asked plainly only where nobody laid the unit apart.
      applies: (state) => !unitBegun(state),
      question: 'Was what goes back tested?',
      caution:
        'Sender swept slowly, the first pass counts; pump run in clean fuel outdoors on a fused supply, away from vapour.',
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
      by: ({ complaint }) => (complaint === 'pump' || complaint === 'level' ? { answers: mustBeTested } : {}),
    },
    {
      id: 'findings',
      short: 'found',
      question: 'Is what was found bad answered?',
      caution: 'What goes back sound: repaired, replaced or cleaned, and looked at again.',
      answers: [],
      judge: judgeFindings,
      rests: ({ findings }) => findings.map((f) => f.id),
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
      question: 'Is every joint made that must be?',
      caution:
        'Every fuel, vent, plug and ground joint, wherever it sits, before the key is turned: a pump feeds an open line too.',
      answers: [],
      judge: judgeJoints,
      rests: ({ openings }) => openings.flatMap((o) => (o.kind === 'line' && o.closedIn ? [o.closedIn] : [])),
    },
    {
      id: 'wiped',
      short: 'dry',
      question: 'Joints wiped dry, tray under?',
      caution: 'A dry joint shows the first drop. Eyes covered.',
      answers: yesNo('Wiped dry', 'Not yet', 'wipe every joint dry'),
    },
    {
      id: 'fuel',
      short: 'fuel',
      question: 'Is there fuel to prove with?',
      caution: 'Sound fuel, through the neck or put in on the bench; never poured at an open port under the vehicle.',
      answers: [],
      judge: judgeProofFuel,
      rests: ({ fills, moves }) => [...fills, ...moves].map((f) => f.id),
    },
    {
      id: 'under',
      short: 'nobody under',
      question: 'Is nobody underneath?',
      caution: 'Nobody lies under it while the key is turned or the pump runs; every open end is shut.',
      answers: yesNo('Nobody is', 'Not yet', 'come out from under it first'),
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
