import { commonPractice, computed } from '../basis/index.ts';
import { judgeHandling, kilogramsOf, tankMass } from '../handling/index.ts';
import { judgePressure, judgeSchool } from '../depressurise/index.ts';
import { countsFor, fuelCelsius, ignoredWitnesses, witnessWord } from '../tank/index.ts';
import { TO_PUSH } from '../proof/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { portDrop } from '../hang/index.ts';
import { isInNeck, makeWindow, thingsIn, type LedgerItem } from '../ledger/index.ts';
import { litres } from '../quantity/index.ts';
import { standingFindings, TEST_STOP } from '../condition/index.ts';
import { estimateOf, lineOf, madeBeforeKeyOn, splitKey } from '../vehicle/index.ts';
import type { GateFactsToJudge } from './facts.ts';

/** Gate items that are judged from the log instead of being asked. */

/** Do two sources agree about the litres? @example judgeWitnesses(state).outcome // 'unknown' with one source */
export function judgeWitnesses(state: GateFactsToJudge): Verdict {
  const { sources, contradictions, aboard, steps } = state.fuel;
  const figure = [litres(aboard.lo, aboard.hi)];
  const agreeing = steps.filter((step) => countsFor(step) && step.agrees);
  const told = [...new Set(agreeing.map((step) => witnessWord[step.kind]))].join(', ');
  const others = [
    ...contradictions.map((text) => ({ text, basis: computed('ranges without a common part') })),
    ...ignoredWitnesses(state).map((text) => ({ text, basis: commonPractice })),
  ];
  if (sources.length < 2)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: `${sources.length === 0 ? 'no witness' : `only ${told}`}; two that do not share a source are needed`,
          figure,
          limit: '2 witnesses',
          basis: commonPractice,
        },
        ...others,
      ],
      next: [
        steps.some((step) => step.kind === 'plugDry')
          ? 'dip it, see the level, or weigh it'
          : 'dip it, see the level, weigh it, or open the plug and find it dry',
      ],
    };
  return {
    outcome: contradictions.length > 0 ? 'doubtful' : 'good',
    reasons: [{ text: told, figure, basis: computed('common part of the witnesses') }, ...others],
    next: contradictions.length > 0 ? ['look a third way'] : [],
  };
}

/**
 * The pressure read or what counts instead; a way of taking it out that does not fit this system stands against it.
 *
 * @example judgePressureOut(state).outcome // 'unknown' until something proves it
 */
export function judgePressureOut(state: GateFactsToJudge): Verdict {
  const school = judgeSchool(state);
  if (school.outcome === 'bad' && state.pressure?.reading === undefined) return school;
  if (state.pressure) return judgePressure(state.pressure, state);
  return {
    outcome: 'unknown',
    reasons: [
      { text: state.pressureEnded ? `${state.pressureEnded}: read it again` : 'not read yet', basis: commonPractice },
    ],
    next: ['read the gauge, or say what counts instead'],
  };
}

/** Can it be held by those who hold it? @example judgeMass(state).outcome // 'bad' above what two may lift */
export function judgeMass(state: GateFactsToJudge): Verdict {
  return judgeHandling(tankMass(state.vehicle, state.fuel.aboard, fuelCelsius(state)), kilogramsOf(state)).verdict;
}

/** Is everything out of the tank that was put into it? What is in the neck comes out before the filler. @example judgeThings(state).reasons[0]?.text */
export function judgeThings(state: GateFactsToJudge): Verdict {
  const inside = thingsIn(state).filter((item) => !isInNeck(item));
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

/**
 * Joints that must be made before the key is turned: every live one and every one on top, wherever a hand gets to it; and
 * whatever else is within reach here and waits for nothing.
 *
 * @example jointsDueHere(state).map((item) => item.name)
 */
export function jointsDueHere(state: GateFactsToJudge): LedgerItem[] {
  const isOpen = (item: LedgerItem) => item.state === 'open' || item.state === 'deferred';
  const open = state.items.filter((item) => item.kind === 'line' && isOpen(item));
  return open.filter((item) => {
    const line = lineOf(state.vehicle, splitKey(item.key).id);
    if (!line || madeBeforeKeyOn(line)) return true;
    const { from, to, way } = makeWindow(state, item);
    const here = portDrop(state, state.pose, line);
    const waits = (way?.after ?? []).some((id) => state.items.some((i) => splitKey(i.key).id === id && isOpen(i)));
    return from <= here && here <= to && !waits;
  });
}

/** Was every joint looked at while it could be seen? @example judgeJoints(state).outcome // 'bad' where one was not */
export function judgeJoints(state: GateFactsToJudge): Verdict {
  const due = jointsDueHere(state);
  if (due.length === 0)
    return {
      outcome: 'good',
      reasons: [
        {
          text: 'everything that carries fuel, vapour or current is made, and every joint on top',
          basis: computed('ledger and reach'),
        },
      ],
      next: [],
    };
  return {
    outcome: 'bad',
    reasons: due.map(({ name }) => ({ text: `${name} is open`, basis: computed('ledger and reach') })),
    next: due.map(({ name }) => `make ${name}`),
  };
}

/**
 * Is there fuel to prove with? Less does not stop the key: then the test proves plug, sender and ground, and says so.
 *
 * @example judgeProofFuel(state).outcome // 'doubtful' with a drained tank
 */
export function judgeProofFuel(state: GateFactsToJudge): Verdict {
  const { aboard } = state.fuel;
  const stays = estimateOf(state.vehicle, state.vehicle.tank.unusable);
  const least = stays.hi + TO_PUSH;
  const reason = {
    figure: [litres(aboard.lo, aboard.hi)],
    limit: [litres(least, least)],
    basis: computed('what the pick-up leaves, and 5 L to push'),
  };
  if (aboard.lo >= least)
    return { outcome: 'good', reasons: [{ text: 'fuel covers the pick-up', ...reason }], next: [] };
  return {
    outcome: 'doubtful',
    reasons: [
      { text: 'not surely enough to wet a joint: this test proves plug, sender and ground, no joint', ...reason },
    ],
    next: ['put sound fuel in through the neck, or the joints’ proof is owed at home'],
  };
}

/**
 * Is everything that was found bad answered? Of what was found at one place the newest word counts.
 *
 * @example judgeFindings(state).outcome // 'bad' while a halt stands
 */
export function judgeFindings({ findings }: Pick<GateFactsToJudge, 'findings'>): Verdict {
  const bad = standingFindings(findings).filter((f) => f.what !== TEST_STOP && f.verdict === 'bad');
  const basis = computed('newest finding of each place');
  if (bad.length === 0)
    return { outcome: 'good', reasons: [{ text: 'nothing that was found bad is left', basis }], next: [] };
  return {
    outcome: 'bad',
    reasons: bad.map((f) => ({ text: `${f.what}, ${f.where}: halt`, basis })),
    next: bad.map((f) => `repair, replace or clean it, then enter how ${f.where} looks now`),
  };
}
