import { type Action, type Bodies, type Stop, type TravelWords } from '@iron-cradle/core';
import { useState } from 'react';
import type { Seen } from '../../../drawings/ladder/Ladder.tsx';

/** What was said of a thing to do: done, not done, or nothing, which goes with the main action. */
export type Tick = 'done' | 'notDone' | null;

/** What differs from the stop as said, until it is confirmed. */
export interface Bundle {
  /** By key: what was ticked or crossed. */
  ticks: Record<string, Tick>;
  /** Lines parted that the stop did not say: key → way. */
  extra: Record<string, string>;
  /** What was said of each line. */
  seen: Record<string, Seen>;
  /** Was every other line said to have a fist of slack? */
  allFist: boolean;
  /** Could none of them be seen? */
  blind: boolean;
}

const asSaid: Bundle = { ticks: {}, extra: {}, seen: {}, allFist: false, blind: false };

/** The differences of one stop; they start anew with the next. */
export function useBundle(stopId: string) {
  const [kept, setKept] = useState<{ id: string; bundle: Bundle }>({ id: stopId, bundle: asSaid });
  const bundle = kept.id === stopId ? kept.bundle : asSaid;
  const set = (next: Partial<Bundle>) => setKept({ id: stopId, bundle: { ...bundle, ...next } });
  return {
    bundle,
    cycleTick: (key: string) => {
      const next: Record<string, Tick> = { '': 'done', done: 'notDone', notDone: null };
      set({ ticks: { ...bundle.ticks, [key]: next[bundle.ticks[key] ?? '']! } });
    },
    toggleExtra: (key: string, way: string) => {
      const { [key]: had, ...rest } = bundle.extra;
      set({ extra: had ? rest : { ...bundle.extra, [key]: way } });
    },
    cycleSeen: (key: string) => {
      const next: Record<string, Seen> = { '': 'tight', tight: 'nearly', nearly: 'unseen', unseen: null };
      set({ seen: { ...bundle.seen, [key]: next[bundle.seen[key] ?? '']! } });
    },
    toggleFist: () => set({ allFist: !bundle.allFist, blind: false }),
    toggleBlind: () => set({ blind: !bundle.blind, allFist: false }),
  };
}

/** What the main action enters as done: all, if nothing was ticked, but what was crossed; else only what was ticked. */
export function doneOf({ actions }: Pick<Stop, 'actions'>, { ticks }: Bundle): Action[] {
  const some = actions.some((a) => ticks[a.key] === 'done');
  return actions.filter((a) => (some ? ticks[a.key] === 'done' : ticks[a.key] !== 'notDone'));
}

const id = (key: string) => key.slice(key.indexOf(':') + 1);

/** The one entry a stop becomes. */
export function stopBody(
  stop: Stop,
  { bundle, tags, wet }: { bundle: Bundle; tags: Record<string, number>; wet: (key: string) => boolean },
): Bodies['stopDone'] {
  const done = doneOf(stop, bundle);
  const off = [
    ...done.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
    ...Object.entries(bundle.extra).map(([key, way]) => ({ key, way })),
  ].map((o) => (tags[o.key] === undefined ? o : { ...o, tag: tags[o.key]! }));
  const named = (what: Seen) =>
    Object.keys(bundle.seen)
      .filter((key) => bundle.seen[key] === what)
      .map(id);
  return {
    to: stop.pose,
    off,
    capped: off.filter((o) => wet(o.key)).map((o) => o.key),
    look: {
      asked: stop.kind !== 'start',
      tight: named('tight'),
      nearly: named('nearly'),
      allFist: bundle.allFist,
      reachable: [],
      ...(named('unseen').length > 0 ? { unseen: named('unseen') } : {}),
      ...(bundle.blind ? { blind: true } : {}),
    },
    notDone: stop.actions.filter((a) => !done.includes(a)).map(({ key }) => ({ key })),
  };
}

/** The words on the strap: as said, or what differs. It enters what it names. */
export function strapWords(stop: Stop, bundle: Bundle, { off }: TravelWords): string {
  const said = Object.values(bundle.seen);
  const tight = said.filter((s) => s === 'tight' || s === 'nearly').length;
  const unseen = said.filter((s) => s === 'unseen').length;
  const done = doneOf(stop, bundle).length;
  const all = stop.actions.length;
  const some = Object.values(bundle.ticks).includes('done');
  const parts = [
    ...(done < all && !some ? [`${all - done} not done`] : []),
    ...(Object.keys(bundle.extra).length > 0 ? [`${Object.keys(bundle.extra).length} more off`] : []),
    ...(tight > 0 ? [`${tight} tight`] : []),
    ...(unseen > 0 ? [`${unseen} not seen`] : []),
    ...(bundle.blind ? ['none in sight'] : []),
    ...(bundle.allFist ? ['all more than a fist'] : []),
  ];
  if (some && done < all) return [`Only ${done} of ${all} done`, ...parts].join(', ');
  if (parts.length > 0) return `As said, but ${parts.join(', ')}`;
  if (stop.kind === 'start') return 'All as said';
  if (stop.kind === 'out') return `Tank is ${off}`;
  if (stop.kind === 'creep') return `At ${stop.pose.f}, nothing taut`;
  return 'All as said, nothing tight';
}
