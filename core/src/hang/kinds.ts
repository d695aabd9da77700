import { defineKind, type Tell } from '../kernel/index.ts';
import { deepest, gridNearest, type Pose } from '../pose/index.ts';
import { anyKey } from '../ledger/index.ts';
import { exactly } from '../estimate/index.ts';
import { lineOf, obstructionOf, splitKey, UNIT } from '../vehicle/index.ts';
import { CreptBody, InspectedBody, MovedBody, PulledBody, StopDoneBody, SurpriseBody } from './bodies.ts';
import { slackOf } from './model.ts';
import { feel, learnSlack, measuredAnew, type HangFacts } from './slack.ts';
import { moveTo, pullOf, standingPulls } from './slice.ts';
import { anyPose, anyStop } from './testing.ts';
import type { HangSlice } from './types.ts';

/** What a stop tells: that the tank moved, what came off, what the look said. */
function tellStop(body: StopDoneBody, from: Pose, tell: Tell): void {
  tell('moved', { from, to: { f: gridNearest(body.to.f), r: gridNearest(body.to.r) } });
  for (const { key, way, tag } of body.off)
    tell('cameOff', {
      key,
      way: way ?? null,
      capped: body.capped.includes(key),
      ...(tag === undefined ? {} : { tag }),
    });
  tell('looked', body.look);
}

const leave = (
  own: { notDone: Record<string, { drop: number; reason: string | null }>; pose: Pose },
  body: StopDoneBody,
) => {
  for (const { key, reason } of body.notDone) own.notDone[key] = { drop: deepest(own.pose), reason: reason ?? null };
};

const stopTouches = (body: StopDoneBody) => ({
  reads: ['gate:1', 'gate:2', 'gate:3', 'gate:4', UNIT],
  writes: ['pose', ...body.off.map((o) => o.key)],
});

/** A whole stop. */
export const stopDone = defineKind<'stopDone', StopDoneBody, HangSlice, HangFacts>({
  kind: 'stopDone',
  version: 1,
  Body: StopDoneBody,
  apply: (own, body, { moment, tell, facts }) => {
    const from = moveTo(own, { target: body.to, how: 'stop', moment, tell, facts });
    leave(own, body);
    tellStop(body, from, tell);
  },
  touches: stopTouches,
  words: ({ to }, speech) => (deepest(to) === 0 ? 'stop before it moves' : `${speech.gone} to ${speech.pose(to)}`),
  arbitrary: anyStop,
});

/** A creep, ended or not by a line that came taut. */
export const crept = defineKind<'crept', CreptBody, HangSlice, HangFacts>({
  kind: 'crept',
  version: 1,
  Body: CreptBody,
  apply: (own, body, { moment, tell, facts }) => {
    const from = moveTo(own, {
      target: body.to,
      how: 'creep',
      taut: body.taut ? splitKey(body.taut).id : null,
      moment,
      tell,
      facts,
    });
    leave(own, body);
    tellStop(body, from, tell);
    if (body.taut) tell('feltTaut', { line: splitKey(body.taut).id });
  },
  touches: stopTouches,
  words: ({ to, taut }, speech) =>
    taut ? `stopped at ${speech.pose(to)}, ${speech.name(taut)} taut` : `crept to ${speech.pose(to)}`,
  arbitrary: (f) =>
    f.tuple(anyStop(f), f.option(anyKey(f), { nil: undefined })).map(([s, taut]) => (taut ? { ...s, taut } : s)),
});

/** Raised, or brought to another height. */
export const moved = defineKind<'moved', MovedBody, HangSlice, HangFacts>({
  kind: 'moved',
  version: 1,
  Body: MovedBody,
  apply: (own, { to }, { moment, tell, facts }) => {
    const from = moveTo(own, { target: to, how: 'stop', moment, tell, facts });
    tell('moved', { from, to: { f: gridNearest(to.f), r: gridNearest(to.r) } });
  },
  touches: () => ({ reads: ['gate:2', 'gate:3', UNIT], writes: ['pose'] }),
  words: ({ to, why }, speech) => `${why === 'raised' || why === 'in' ? speech.back : 'moved'} to ${speech.pose(to)}`,
  arbitrary: (f) => f.record({ to: anyPose(f) }),
});

/** Something holds, is new, or was freed elsewhere. */
export const surprise = defineKind<'surprise', SurpriseBody, HangSlice, HangFacts>({
  kind: 'surprise',
  version: 1,
  Body: SurpriseBody,
  apply: (own, { what, key, name, lets, more }, { moment, tell, facts }) => {
    const { vehicle } = facts;
    const { kind, id } = splitKey(key);
    const line = kind === 'line' ? lineOf(vehicle, id) : undefined;
    if (what === 'freed') {
      if (!line) return;
      measuredAnew(own, id);
      const known = slackOf(own, id);
      const lo = (own.taut[id] ?? known.lo) + (more ?? 0);
      learnSlack(own, {
        line: id,
        next: { ...exactly(lo), typ: Math.max(known.typ, lo), hi: Math.max(known.hi, lo) },
        id: moment.id,
      });
      own.eyed[id] = 'felt';
      delete own.taut[id];
      return;
    }
    const at = lets ?? deepest(own.pose);
    if (line) {
      if (lets !== undefined) feel(own, { id, mm: lets, facts });
      measuredAnew(own, id);
      learnSlack(own, { line: id, next: exactly(at), id: moment.id });
      own.eyed[id] = 'felt';
      own.taut[id] = at;
      return;
    }
    const found = kind === 'new' ? `new-${id}` : id;
    const called = name ?? obstructionOf(vehicle, id)?.name ?? 'something not in the file';
    own.extras = [...own.extras.filter((e) => e.id !== found), { id: found, name: called, blocksAt: at }];
    // It blocks again, even if the log had it cleared.
    tell('blocksAgain', { key: `obstruction:${found}` });
  },
  touches: ({ key }) => {
    const { kind, id } = splitKey(key);
    return { reads: ['pose'], writes: [kind === 'new' ? `obstruction:new-${id}` : key] };
  },
  words: ({ what, key, name, more }, speech) =>
    what === 'freed' ? `${speech.name(key)} freed, ${speech.length(more ?? 0)}` : `${name ?? speech.name(key)} holds`,
  arbitrary: (f) =>
    f.oneof(
      f.record({
        what: f.constant('holds' as const),
        key: f.oneof(anyKey(f), f.constant('new:1')),
        lets: f.integer({ min: 0, max: 60 }).map((n) => n * 5),
      }),
      f.record({ what: f.constant('freed' as const), key: anyKey(f), more: f.integer({ min: 1, max: 90 }) }),
    ),
});

/** Somebody says that a line was pulled. */
export const pulled = defineKind<'pulled', PulledBody, HangSlice, HangFacts>({
  kind: 'pulled',
  version: 1,
  Body: PulledBody,
  apply: (own, { key }, { moment }) => void own.pulls.push(pullOf(key, moment, { found: false, words: null })),
  touches: ({ key }, id) => ({ reads: [], writes: [`pull:${key}@${id}`] }),
  words: ({ key }, speech) => `${speech.name(key)} pulled`,
  arbitrary: (f) => f.record({ key: anyKey(f) }),
});

/** A line that was pulled was looked at. */
export const inspected = defineKind<'inspected', InspectedBody, HangSlice, HangFacts>({
  kind: 'inspected',
  version: 1,
  Body: InspectedBody,
  complete: (state, body) =>
    body.openings
      ? body
      : {
          ...body,
          openings: standingPulls(state).flatMap((p) => (p.key === body.key && p.inspected === null ? [p.id] : [])),
        },
  apply: (own, { key, outcome, words, openings }, { moment }) => {
    for (const pull of own.pulls)
      if (pull.key === key && (openings ? openings.includes(pull.id) : moment.knew(pull.cause))) {
        // Of two looks that knew nothing of each other the worse one counts.
        const blind = pull.inspectedIn !== null && !moment.knew(pull.inspectedIn);
        const told = blind && pull.inspected ? worse(pull.inspected, outcome) : outcome;
        Object.assign(pull, { inspected: told, inspectedIn: moment.id, words: words ?? pull.words });
      }
  },
  touches: ({ key }) => ({ reads: [], writes: [`inspected:${key}`] }),
  words: ({ key }, speech) => `${speech.name(key)} inspected`,
  arbitrary: (f) => f.record({ key: anyKey(f), outcome: f.constantFrom('good' as const, 'bad' as const) }),
});

const gravity = { good: 0, doubtful: 1, unknown: 1, bad: 2 } as const;
const worse = <O extends keyof typeof gravity>(a: O, b: O): O => (gravity[a] > gravity[b] ? a : b);
