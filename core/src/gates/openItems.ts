import { pressureCaution } from '../depressurise/index.ts';
import { countsFor } from '../tank/index.ts';
import { byJack, carriedBy, type VehicleFile } from '../vehicle/index.ts';
import { service, yesNo, type GateItem } from './item.ts';
import { judgeMass, judgePressureOut, judgeWitnesses } from './judges.ts';

/** What must be there to take the weight, by what carries this tank. Common practice, no source. */
function carrying(vehicle: VehicleFile): Partial<GateItem> {
  const [first] = carriedBy(vehicle).by;
  if (first === 'two jacks')
    return {
      question: 'Do both padded jacks carry it?',
      caution:
        'Or one, with a board of two thirds of the tank. Clear of what holds it, just taking the load. A plastic tank dents.',
      answers: yesNo('They carry it', 'Not yet', 'bring both jacks, or the board, under it'),
    };
  if (first === 'board on a jack')
    return {
      question: 'Does the board on the jack carry it?',
      caution: 'The padded board under the whole floor, clear of what holds it, just taking the load.',
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

/** Asked before anything is opened. */
export const beforeOpening: GateItem[] = [
  {
    id: 'air',
    short: 'air',
    question: 'Is the air moving?',
    caution: `Doors open or extraction on. Vapour is heavier than air and gathers in pits. ${service}`,
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
    caution: service,
    by: ({ vehicle }) => ({ caution: `${pressureCaution(vehicle)} ${service}` }),
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
];

/** Asked before the supports come off. */
export const beforeSupports: GateItem[] = [
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
    rests: ({ fuel }) => fuel.steps.filter((s) => countsFor(s) && s.agrees).map((s) => s.id),
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
    rests: ({ fuel }) => fuel.steps.filter((s) => countsFor(s) && s.agrees).map((s) => s.id),
  },
  {
    id: 'jack',
    short: 'jack',
    question: 'Does the padded jack carry it?',
    caution:
      'Wide padded head under the middle of the weight, clear of what holds it, just taking the load. A plastic tank dents.',
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
            caution: 'Two people at the moment the last fasteners let go, or two opposite ones left by a few threads.',
          },
    answers: [
      { value: 'here', label: 'Helper is here', outcome: 'good', says: 'helper is here' },
      {
        value: 'walked',
        label: 'Alone, the last one walked down',
        outcome: 'doubtful',
        says: 'alone: the last one walked down with plenty of thread left',
      },
      { value: 'no', label: 'Not yet', outcome: 'bad', says: 'no helper yet', next: 'call somebody before it lets go' },
    ],
  },
];
