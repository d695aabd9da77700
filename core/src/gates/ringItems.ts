import { judgeBuilt, judgeUnit, unitBegun } from '../bench/index.ts';
import { judgeFit } from '../fit/index.ts';
import type { GateItem } from './item.ts';
import { judgeFindings, judgeThings } from './judges.ts';

/** Nobody tested it yet. */
const notYet: GateItem['answers'][number] = {
  value: 'no',
  label: 'Not yet',
  outcome: 'bad',
  says: 'not tested',
  next: 'test it on the bench: it costs minutes here and hours later',
};

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
  notYet,
];

/** Asked before the ring closes. */
export const beforeRing: GateItem[] = [
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
    id: 'built',
    short: 'order',
    question: 'Is the unit built up from below?',
    caution: 'Groove first, then part by part: what is cleaned afterwards falls in.',
    applies: (state) => judgeBuilt(state) !== null,
    answers: [],
    judge: (state) => judgeBuilt(state) ?? judgeUnit(state),
    rests: ({ built }) => built.map(({ id }) => id),
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
    rests: ({ fitted, ports, pins, set }) =>
      [...Object.values(fitted), ...Object.values(ports), ...Object.values(set), ...(pins ? [pins] : [])].map(
        ({ id }) => id,
      ),
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
      notYet,
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
];
