import { defineKind } from '../kernel/index.ts';
import { deepest } from '../pose/index.ts';
import { keyOf, lineOf, splitKey, UNIT } from '../vehicle/index.ts';
import {
  BackBody,
  CappedBody,
  ClearedBody,
  CutBody,
  DeferredBody,
  DeviationBody,
  LoosenedBody,
  PutInBody,
  ReplacedBody,
  RingBody,
} from './bodies.ts';
import { cutKey, cutKinds, untriedOf } from './cuts.ts';
import { isOff, knownOpenings, open, type LedgerFacts, type LedgerSlice } from './slice.ts';
import { anyKey } from './testing.ts';

/** Something was taken off by itself, at a height of its own. */
export const cleared = defineKind<'cleared', ClearedBody, LedgerSlice, LedgerFacts>({
  kind: 'cleared',
  version: 1,
  Body: ClearedBody,
  apply: (_own, { key, way, tag }, { tell }) =>
    tell('cameOff', { key, way: way ?? null, capped: false, ...(tag === undefined ? {} : { tag }) }),
  touches: ({ key }) => ({ reads: ['pose', 'gate:1', 'gate:2', 'gate:4'], writes: [key] }),
  words: ({ key }, speech) => `${speech.name(key)} off`,
  arbitrary: (f) => f.record({ key: anyKey(f) }),
});

/** Open ends were capped, later than they were parted: before the job is parked, before a spark. */
export const capped = defineKind<'capped', CappedBody, LedgerSlice, LedgerFacts>({
  kind: 'capped',
  version: 1,
  Body: CappedBody,
  apply: (own, { keys }, { moment }) => {
    const known = new Set(keys.flatMap((key) => knownOpenings(own, key, moment)));
    for (const opening of own.openings) if (known.has(opening.id)) opening.capped = true;
  },
  touches: ({ keys }) => ({ reads: [], writes: keys }),
  words: ({ keys }, speech) => `${keys.map((key) => speech.name(key)).join(', ')} capped`,
  arbitrary: (f) => f.record({ keys: f.array(anyKey(f), { minLength: 1, maxLength: 3 }) }),
});

/** A thing is back where it belongs: made, restored, taken out. */
const back = <K extends 'made' | 'restored' | 'takenOut'>(kind: K, word: 'back' | 'out') =>
  defineKind<K, BackBody, LedgerSlice, LedgerFacts>({
    kind,
    version: 1,
    Body: BackBody,
    complete: ({ off }, body) => (body.openings ? body : { ...body, openings: [...(off[body.key] ?? [])] }),
    apply: (own, body, { moment, tell }) => {
      const openings = body.openings ?? knownOpenings(own, body.key, moment);
      if (openings.length === 0)
        return tell('flagged', { text: `${splitKey(body.key).id} was put back, though its maker never had it off` });
      tell('wentBack', { key: body.key, openings });
    },
    touches: ({ key }) => ({ reads: ['pose', ...(key.startsWith('support:') ? ['gate:2'] : [])], writes: [key] }),
    words: ({ key }, speech) => `${speech.name(key)} ${word}`,
    arbitrary: (f) => f.record({ key: anyKey(f) }),
  });

/** A joint made, singly: click, pull, look. */
export const made = back('made', 'back');
/** An obstruction, support or clip back in its place. */
export const restored = back('restored', 'back');
/** Something that was put in, or loose on purpose, is out or tight again. */
export const takenOut = back('takenOut', 'out');

/** Something was put in that must come out again. */
export const putIn = defineKind<'putIn', PutInBody, LedgerSlice, LedgerFacts>({
  kind: 'putIn',
  version: 1,
  Body: PutInBody,
  apply: (own, { name, tag, before }, { moment, facts: { pose } }) =>
    open(own, moment, {
      key: keyOf('thing', moment.id),
      kind: 'thing',
      name,
      tag: tag ?? null,
      at: deepest(pose),
      until: before ?? 'the ring closes',
    }),
  touches: (_body, id) => ({ reads: [], writes: [keyOf('thing', id)] }),
  words: ({ name }) => `${name} in`,
  arbitrary: (f) => f.constant({ name: 'rag' }),
});

/** Something is loose on purpose. */
export const loosened = defineKind<'loosened', LoosenedBody, LedgerSlice, LedgerFacts>({
  kind: 'loosened',
  version: 1,
  Body: LoosenedBody,
  apply: (own, { name, tag, until }, { moment, facts: { pose } }) =>
    open(own, moment, {
      key: keyOf('loose', moment.id),
      kind: 'loose',
      name,
      tag: tag ?? null,
      at: deepest(pose),
      until,
    }),
  touches: (_body, id) => ({ reads: [], writes: [keyOf('loose', id)] }),
  words: ({ name }) => `${name} loose`,
  arbitrary: (f) => f.constant({ name: 'collar', until: 'hoses are on' }),
});

/** What is open stays open until later. */
export const deferred = defineKind<'deferred', DeferredBody, LedgerSlice>({
  kind: 'deferred',
  version: 1,
  Body: DeferredBody,
  apply: (own, { key, until }, { moment }) => {
    const known = knownOpenings(own, key, moment);
    for (const o of own.openings) if (known.includes(o.id)) Object.assign(o, { deferred: true, until });
  },
  touches: ({ key }) => ({ reads: [], writes: [key] }),
  words: ({ key }, speech) => `${speech.name(key)} put off`,
  arbitrary: (f) => f.record({ key: anyKey(f), until: f.constant('home') }),
});

/** One debt is settled otherwise: left off, temporary, agreed. */
export const deviation = defineKind<'deviation', DeviationBody, LedgerSlice>({
  kind: 'deviation',
  version: 1,
  Body: DeviationBody,
  apply: (own, body, { moment: { by, at } }) => void own.deviations.push({ ...body, by, at }),
  touches: ({ debt }) => ({ reads: [], writes: [`debt:${debt}`] }),
  words: ({ what }) => `deviation: ${what}`,
  arbitrary: (f) =>
    f.record({
      debt: f.constantFrom('identity', 'open:line:feed@a1', 'fill'),
      what: f.constant('open'),
      reason: f.constant('missing'),
      who: f.constant('owner'),
      due: f.constant('next'),
    }),
});

/** A cut hose or pipe is parted where it was cut; anything else that is cut parts nothing. */
export const cut = defineKind<'cut', CutBody, LedgerSlice, LedgerFacts & LedgerSlice>({
  kind: 'cut',
  version: 1,
  Body: CutBody,
  apply: (own, body, { moment, tell, facts }) => {
    const { what, where, key, tried, words } = body;
    const { by, at } = moment;
    const untried = untriedOf(what, tried);
    own.cuts.push({
      id: cutKey(moment.id),
      what,
      where,
      key: key ?? null,
      tried,
      untried,
      words: words ?? null,
      by,
      at,
    });
    const line = (what === 'hose' || what === 'pipe') && key ? lineOf(facts.vehicle, splitKey(key).id) : undefined;
    if (line && !isOff(facts, keyOf('line', line.id)))
      tell('cameOff', {
        key: keyOf('line', line.id),
        way: null,
        capped: false,
        ...(body.tag === undefined ? {} : { tag: body.tag }),
      });
  },
  touches: ({ key }, id) => ({ reads: ['pose', 'gate:1', 'gate:4'], writes: [key ?? cutKey(id)] }),
  words: ({ key, what }, speech) => `${key ? speech.name(key) : what} cut`,
  arbitrary: (f) =>
    f.record({
      what: f.constantFrom(...cutKinds),
      where: f.constant('at the neck'),
      key: anyKey(f),
      tried: f.constant([]),
    }),
});

/** Something new went in. */
export const replaced = defineKind<'replaced', ReplacedBody, LedgerSlice>({
  kind: 'replaced',
  version: 1,
  Body: ReplacedBody,
  apply: (own, { key, slack, words }, { tell }) => {
    own.replaced[key] = { key, slack: slack ?? null, words: words ?? null };
    tell('replaced', { key, slack: slack ?? null });
  },
  touches: ({ key }) => ({ reads: ['pose'], writes: [key, `replaced:${key}`] }),
  words: ({ key }, speech) => (key.startsWith('cut:') ? 'the cut made good' : `${speech.name(key)} replaced`),
  arbitrary: (f) => f.record({ key: anyKey(f), slack: f.integer({ min: 0, max: 60 }).map((n) => n * 5) }),
});

/** The ring over the unit was opened or closed. */
export const ring = defineKind<'ring', RingBody, LedgerSlice>({
  kind: 'ring',
  version: 1,
  Body: RingBody,
  apply: (_own, { state }, { tell }) => tell('ring', { state }),
  touches: () => ({ reads: ['gate:3'], writes: [UNIT] }),
  words: ({ state }) => `ring ${state}`,
  arbitrary: (f) => f.record({ state: f.constantFrom('opened', 'closed') }),
});
