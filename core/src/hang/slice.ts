import { mm, say, type Sentence } from '../quantity/index.ts';
import { castDraft, type Draft } from 'immer';
import { commonPractice } from '../basis/index.ts';
import { exactly } from '../estimate/index.ts';
import {
  defineSlice,
  isUnsettled,
  wasDisputed,
  type Debt,
  type KernelState,
  type Moment,
  type RecordLine,
  type Tell,
} from '../kernel/index.ts';
import { deepest, gridNearest, HOME, isHome, lowerOf, type Pose } from '../pose/index.ts';
import { clipOwner, estimateOf, fileName, lineOf, SLACK, splitKey, type VehicleFile } from '../vehicle/index.ts';
import { goalOf } from './goal.ts';
import { CREEP } from './margins.ts';
import { attached, isOn, portDrop, slackFreed, slackOf } from './model.ts';
import { FILE_FITS, GOAL } from './questions.ts';
import {
  atLeast,
  doesNotFit,
  feel,
  forget,
  learnSlack,
  measuredAnew,
  seenAt,
  slackSaid,
  type HangFacts,
  type Own,
} from './slack.ts';
import type { HangSlice, Pull } from './types.ts';

/**
 * The tank comes to a pose. What was attached on the way either let it, or was pulled.
 *
 * @returns where it hung before, as far as its maker knew
 */
export function moveTo(
  own: Own,
  {
    target,
    how,
    taut = null,
    moment,
    tell,
    facts,
  }: {
    target: Pose;
    how: 'stop' | 'creep';
    /** The line that ended a creep: it is told by itself. */
    taut?: string | null;
    moment: Moment;
    tell: Tell;
    facts: Readonly<HangFacts>;
  },
): Pose {
  const pose = { f: gridNearest(target.f), r: gridNearest(target.r) };
  const from = knownPose(own, moment);
  own.poses.push({ id: moment.id, device: moment.entry.device, pose });
  own.pose = poseHeard(own, pose, facts);
  if (isHome(pose)) own.looked = false;
  if (pose.f <= from.f && pose.r <= from.r) return from;
  const here = deepest(pose);
  for (const line of attached(facts)) {
    const drop = portDrop(facts, pose, line);
    const known = own.slack[line.id];
    if (!known || line.id === taut) continue;
    const limit = own.taut[line.id] ?? known.hi;
    const past = drop > limit;
    if (past && how === 'stop')
      own.pulls.push(
        pullOf(`line:${line.id}`, moment, {
          found: true,
          words: say`it allows ${mm(limit)}, the tank went to ${mm(drop)}`,
        }),
      );
    if (past && own.eyed[line.id] === 'felt') {
      // What was measured does not grow by being passed: stretched, or measured wrongly.
      if (how === 'stop') continue;
      const least = Math.floor(drop);
      learnSlack(own, {
        line: line.id,
        next: { lo: least, typ: least + CREEP / 2, hi: least + CREEP, basis: known.basis },
        id: moment.id,
      });
      delete own.taut[line.id];
      doesNotFit(own, tell, {
        id: moment.id,
        line: line.id,
        words: say`${line.name} let ${mm(least)} without coming taut, and was measured at ${mm(limit)}: measure it again`,
      });
      continue;
    }
    learnSlack(own, { line: line.id, next: atLeast(known, drop, known.basis), id: moment.id });
  }
  own.deepest = Math.max(own.deepest, here);
  if (!own.out && !own.stops.includes(here)) own.stops.push(here);
  if (here >= facts.vehicle.clear) own.out = true;
  return from;
}

/** Where it hung as far as the maker of an entry knew. */
function knownPose(own: Own, moment: Moment): Pose {
  for (let i = own.poses.length - 1; i >= 0; i--) {
    const said = own.poses[i];
    if (said && moment.knew(said.id)) return { ...said.pose };
  }
  return { ...HOME };
}

/** Where it hangs: as said, or, while two devices say different things, the deeper of what each said last. */
function poseHeard(own: Own, said: Pose, facts: Readonly<HangFacts>): Pose {
  if (!isUnsettled(facts, 'pose')) return said;
  const open = facts.twoDevices.pose?.open ?? [];
  const newest = new Map<string, Pose>();
  for (const { id, device, pose } of own.poses) if (open.includes(id)) newest.set(device, pose);
  return newest.size === 0 ? said : [...newest.values()].reduce((low, pose) => lowerOf(low, pose), { ...HOME });
}

/** A line that was pulled, to be looked at. @example pullOf('line:vent', moment, { found: false, words: null }) */
export const pullOf = (
  key: string,
  moment: Moment,
  { found, words }: { found: boolean; words: Sentence | null },
): Draft<Pull> => ({
  id: `pull:${key}@${moment.id}`,
  key,
  cause: moment.id,
  found,
  at: moment.at,
  by: moment.by,
  inspected: null,
  inspectedIn: null,
  words: castDraft(words),
});

/** Pulls that count: not those of a height two devices disagreed about, which `settled` answered. @example standingPulls(state).length */
export const standingPulls = (state: Pick<HangSlice, 'pulls'> & Pick<KernelState, 'twoDevices'>): Pull[] =>
  state.pulls.filter((pull) => !pull.found || !wasDisputed(state, 'pose', pull.cause));

const start = (vehicle: VehicleFile): HangSlice => ({
  pose: { ...HOME },
  poses: [],
  goal: null,
  out: false,
  deepest: 0,
  stops: [],
  slack: Object.fromEntries(vehicle.connections.map((line) => [line.id, estimateOf(vehicle, line.slack)])),
  slackBefore: [],
  eyed: {},
  doubts: [],
  contradicted: [],
  looked: false,
  felt: [],
  taut: {},
  reached: {},
  notDone: {},
  extras: [],
  pulls: [],
});

/** Holds how the tank hangs. */
export const hangSlice = defineSlice<HangSlice, HangFacts>({
  name: 'hang',
  start: (opened) => start((opened as { vehicle: VehicleFile }).vehicle),
  hears: {
    cameOff: (own, { key }, { moment, facts: { vehicle } }) => {
      delete own.notDone[key];
      const { kind, id } = splitKey(key);
      if (kind === 'line') {
        delete own.taut[id];
        measuredAnew(own, id);
      }
      const owner = kind === 'clip' ? clipOwner(vehicle, id) : undefined;
      const clip = owner?.clips.find((c) => c.id === id);
      if (!owner || !clip) return;
      learnSlack(own, {
        line: owner.id,
        next: slackFreed({ vehicle, doubts: own.doubts }, slackOf(own, owner.id), clip),
        id: moment.id,
      });
      // With its clip off it is another length than the one that was felt or seen.
      delete own.eyed[owner.id];
      delete own.taut[owner.id];
      measuredAnew(own, owner.id);
    },
    looked: (own, seen, { moment, tell, facts }) => {
      if (seen.asked && !isHome(own.pose)) own.looked = true;
      for (const line of attached(facts)) {
        const here = Math.round(portDrop(facts, own.pose, line));
        if (seen.reachable.includes(line.id)) own.reached[line.id] = Math.min(here, own.reached[line.id] ?? here);
        seenAt(own, line, { seen, here, moment, tell, eye: facts.shop.eye });
      }
    },
    feltTaut: (own, { line: id }, { moment, facts }) => {
      const line = lineOf(facts.vehicle, id);
      if (!line || !isOn(facts, id)) return;
      const here = Math.round(portDrop(facts, own.pose, line));
      feel(own, { id, mm: here, facts });
      measuredAnew(own, id);
      learnSlack(own, { line: id, next: exactly(here), id: moment.id });
      own.eyed[id] = 'felt';
      own.taut[id] = here;
    },
    replaced: (own, { key, slack }, { moment }) => {
      const { kind, id } = splitKey(key);
      if (kind === 'line' && slack !== null)
        learnSlack(own, { line: id, next: exactly(slack, commonPractice), id: moment.id });
    },
    answered: (own, { question, of, value }, { moment, facts }) => {
      if (question === FILE_FITS.id && value === 'yes') own.doubts = [];
      if (question === GOAL.id) own.goal = goalOf(value, facts.vehicle.clear);
      const slack = own.slack[of ?? ''];
      if (question !== SLACK.id || !slack || of === null) return;
      if (typeof value === 'number') {
        feel(own, { id: of, mm: value, facts });
        own.eyed[of] = 'felt';
        measuredAnew(own, of);
      }
      const next = slackSaid(slack, value);
      if (next) learnSlack(own, { line: of, next, id: moment.id });
    },
    settled: (own, { key, pose, entries }, { moment, facts: { vehicle } }) => {
      if (key !== 'pose' || !pose) return;
      own.poses.push({ id: moment.id, device: moment.entry.device, pose: { ...pose } });
      own.pose = { ...pose };
      own.out = deepest(pose) >= vehicle.clear || (own.out && !isHome(pose));
      forget(own, entries, moment.id);
    },
  },
  owes: (state) => [...hangingDebts(state), ...pullDebts(state)],
  record: (state) =>
    standingPulls(state as HangSlice & HangFacts).map(({ key, words, by, at }): RecordLine => ({
      under: 'flags',
      text: say`${fileName(state.vehicle, key) ?? key} was pulled${words ? say`: ${words}` : ''}`,
      by,
      at,
    })),
});

const hangingDebts = ({ pose }: HangSlice): Debt[] =>
  isHome(pose) ? [] : [{ id: 'pose', key: 'pose', text: say`tank hangs ${mm(deepest(pose))} below home` }];

const pullDebts = (state: HangSlice & HangFacts): Debt[] =>
  standingPulls(state).flatMap((pull): Debt[] => {
    const name = fileName(state.vehicle, pull.key) ?? pull.key;
    if (pull.inspected === null)
      return [{ id: pull.id, key: pull.key, text: `${name} was pulled and is not inspected` }];
    if (pull.inspected === 'bad' && !state.replaced[pull.key])
      return [{ id: pull.id, key: pull.key, text: `${name} was pulled, found bad and not replaced` }];
    return [];
  });
