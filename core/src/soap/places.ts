import { unitOf, lineOf, splitKey, UNIT } from '../vehicle/index.ts';
import { saidOf } from '../hose/index.ts';
import { airJoints } from '../hold/index.ts';
import { nameOf, type JobState } from '../job/index.ts';
import { jointsToSee } from '../proof/index.ts';
import type { Fall } from './fall.ts';

/** Where soap goes. */
export interface SoapPlace {
  /** As people call it. */
  name: string;
  /** Number painted on it. */
  tag: number | null;
  /** Why it stands so far up, what weighs most first; empty: only because it is there. */
  why: string[];
}

/** Sorts of places, by what leaks there. */
type Sort = 'ring' | 'fitting' | 'joint' | 'plug' | 'seam';

/** What each reason weighs; only for order. Common practice, no source. */
const WEIGH = { falls: 3, wet: 3, doubtful: 2, opened: 2, fresh: 1 } as const;
type Why = readonly [keyof typeof WEIGH, string];

/** Where a leak that falls so is likeliest. Common practice, no source. */
const FALLS: Record<Fall, Partial<Record<Sort, string>>> = {
  fast: {
    plug: 'it goes fast: a plug or an end that is not shut',
    joint: 'it goes fast: a hose that is not on',
    ring: 'it goes fast: a seal out of its groove',
  },
  seeps: {
    seam: 'it seeps: rust or a crack at a seam',
    fitting: 'it seeps: a thread or a new seal',
  },
  stops: {
    plug: 'it stands once there is less behind it: a plug or cap that lifts',
    ring: 'it stands once there is less behind it: a seal that lifts',
    joint: 'it stands once there is less behind it: a hose that opens on its barb',
  },
  any: {},
};

/** Parts of the unit that close the opening: what sits inside the tank lets nothing out. */
const CLOSES = new Set(['ring', 'collar', 'screws', 'seal', 'flange']);

/**
 * Where soap goes while a hold stands, the likeliest first: what was opened, what is new, what was doubtful or wet, and how it falls.
 *
 * @example soapPlaces(state, 'bench', 'seeps').map(({ name }) => name) // ['front seam', …]
 */
export function soapPlaces(state: JobState, where: 'bench' | 'home', fall: Fall): SoapPlace[] {
  const closes = unitOf(state.vehicle).parts.at(-1);
  const places = [
    placed('ring', `${closes?.name ?? 'ring'}, all round`, { tag: numberOf(state, UNIT), told: ofRing(state) }),
    ...newOnes(state),
    ...(where === 'home' ? joints(state) : BARE.map(([sort, name]) => placed(sort, name, {}))),
  ];
  return places
    .map(({ sort, name, tag, told }, place) => {
      const falls = FALLS[fall][sort];
      const all: Why[] = [...told, ...(falls ? ([['falls', falls]] as const) : [])];
      const weight = all.reduce((sum, [what]) => sum + WEIGH[what], 0);
      const why = all.sort(([a], [b]) => WEIGH[b] - WEIGH[a]).map(([, text]) => text);
      return { is: { name, tag, why }, weight, place };
    })
    .sort((a, b) => b.weight - a.weight || a.place - b.place)
    .map(({ is }) => is);
}

/** Of a tank by itself. */
const BARE = [
  ['seam', 'front seam'],
  ['seam', 'rear seam'],
  ['plug', 'ports and their plugs'],
] as const;

interface Placed {
  sort: Sort;
  name: string;
  tag: number | null;
  told: Why[];
}

const placed = (
  sort: Sort,
  name: string,
  { tag = null, told = [] }: Partial<Pick<Placed, 'tag' | 'told'>>,
): Placed => ({
  sort,
  name,
  tag,
  told,
});

const numberOf = (state: JobState, key: string): number | null =>
  state.items.find((item) => item.key === key)?.tag ?? state.numbers[key] ?? null;

const ofRing = (state: JobState): Why[] =>
  state.rings.some((one) => one.state === 'opened') ? [['opened', 'opened on this job']] : [];

/** What went in new, and is part of what keeps it tight. */
const newOnes = (state: JobState): Placed[] =>
  unitOf(state.vehicle).parts.flatMap((part) => {
    const last = state.pieces[part.id]?.at(-1);
    return last?.called && CLOSES.has(part.kind)
      ? [placed('fitting', last.called, { tag: last.tag, told: [['fresh', 'new on this job']] })]
      : [];
  });

/** Joints of the tank at home that were opened and that air stands behind. */
const joints = (state: JobState): Placed[] =>
  jointsToSee(state)
    .filter((key) => airJoints.some((kind) => lineOf(state.vehicle, splitKey(key).id)?.kind === kind))
    .map((key) => placed('joint', nameOf(state, key), { tag: numberOf(state, key), told: ofJoint(state, key) }));

function ofJoint(state: JobState, key: string): Why[] {
  const doubtful = saidOf(state, key).some(({ verdict }) => verdict.outcome !== 'good');
  const wet = state.findings.some(({ where, verdict }) => verdict === 'bad' && where === nameOf(state, key));
  return [
    ['opened', 'opened on this job'],
    ...(doubtful ? ([['doubtful', 'its hose or clamp was doubtful']] as const) : []),
    ...(wet ? ([['wet', 'was wet at the test stop']] as const) : []),
  ];
}
