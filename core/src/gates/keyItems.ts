import { yesNo, type GateItem } from './item.ts';
import { judgeJoints, judgeProofFuel } from './judges.ts';

/** Asked before the key is turned at the test stop. */
export const beforeKey: GateItem[] = [
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
];
