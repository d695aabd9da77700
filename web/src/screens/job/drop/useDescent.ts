import {
  isOpening,
  bindings,
  isLevel,
  dropAt,
  nextStop,
  planChanged,
  stepHeight,
  stopAt,
  vapourFrom,
  type Pose,
  type Stop,
  type Sentence,
} from '@iron-cradle/core';
import { stopsAfter, stopsInWords, type Ahead } from '@iron-cradle/core/foresight';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { useJob, useTags } from '../../../log/useJob.ts';
import { useAhead } from '../../../workers/AheadOf.tsx';
import { stopBody, useBundle } from './useBundle.ts';

/** Everything the Drop screens show and do, phone and wide alike. */
export function useDescent() {
  const { state, enter } = useJob();
  const [height, setHeight] = useState<number | null>(null);
  const [changed, setChanged] = useState<Sentence[]>([]);
  const planned = useMemo(() => nextStop(state), [state]);
  const ahead = useAhead();
  const stop: Stop = useMemo(() => {
    if (height === null || (isLevel(planned.pose) && height === planned.pose.f)) return planned;
    return stopAt(state, {
      pose: { f: height, r: height },
      kind: height <= planned.pose.f && planned.kind === 'creep' ? 'creep' : 'stop',
    });
  }, [state, planned, height]);
  const newest = state.newest;
  const bundle = useBundle(`${newest}/${stop.pose.f}/${stop.pose.r}`);
  const candidates = useMemo(
    () => [...stop.actions.map((a) => a.key), ...bindings(state).map((b) => b.key)],
    [stop, state],
  );
  const tags = useTags(state, candidates);
  const before = useRef(planned);
  const watching = useRef(false);

  // After a surprise the change of plan is said in words, until the next entry. Being confirmed is no news.
  const onNews = useEffectEvent(() => {
    if (watching.current) {
      setChanged(planChanged(before.current, planned, state.vehicle.ends));
      watching.current = false;
    } else setChanged([]);
    before.current = planned;
    setHeight(null);
  });
  useEffect(() => onNews(), [newest]);

  const line = (key: string) => state.vehicle.connections.find((c) => `line:${c.id}` === key);
  const wet = (key: string) => {
    const found = line(key);
    return found ? isOpening(found) : false;
  };
  /** Local drop of a line’s port at this stop, mm. */
  const there = (key: string) => dropAt(stop.pose, line(key)?.x ?? 0, state.vehicle.length);
  /** A way a hand may find here though the file is not sure of it. */
  const mayPart = (key: string): string | null =>
    line(key)?.part.find((way) => way.reachFrom.typ <= there(key) && there(key) <= way.reachTo.typ)?.id ??
    line(key)?.part[0]?.id ??
    null;

  const confirm = async () => {
    if (stop.kind === 'held') return;
    const body = stopBody(stop, { bundle: bundle.bundle, tags, wet });
    await enter(stop.kind === 'creep' ? 'crept' : 'stopDone', body);
  };
  const surprise = async (body: {
    what: 'holds' | 'freed';
    key: string;
    name?: string;
    lets?: number;
    more?: number;
  }) => {
    watching.current = true;
    await enter('surprise', body);
  };
  const tautAt = async (key: string, at: number) => {
    watching.current = true;
    const body = stopBody({ ...stop, pose: { f: at, r: at } }, { bundle: bundle.bundle, tags, wet });
    await enter('crept', { ...body, taut: key });
  };

  return {
    state,
    stop,
    planned,
    tags,
    changed,
    ...bundle,
    stopNumber: state.stops.length + 1,
    left: ahead && leftInWords(ahead, planned),
    ghost: useMemo(() => ghostOf(ahead?.walk ?? [], stop), [ahead, stop]),
    ahead,
    vapour: vapourFrom(state),
    step: (by: -10 | 10) => setHeight(stepHeight(Math.max(stop.pose.f, stop.pose.r), by, state.vehicle.clear)),
    plain: () => setHeight(null),
    mayPart,
    confirm,
    surprise,
    tautAt,
    cleared: (key: string) => enter('cleared', { key, ...(tags[key] ? { tag: tags[key]! } : {}) }),
    partHere: (key: string) => {
      const way = mayPart(key);
      return enter('stopDone', {
        to: state.pose,
        off: [{ key, ...(way ? { way } : {}), ...(tags[key] ? { tag: tags[key]! } : {}) }],
        capped: wet(key) ? [key] : [],
        look: { asked: false, tight: [], nearly: [], allFist: false, reachable: [] },
        notDone: [],
      });
    },
  };
}

/** Everything the Drop screens show and do. */
export type Descent = ReturnType<typeof useDescent>;

const ghostOf = (walk: readonly Stop[], { pose }: Stop): Pose | null =>
  walk.find((s) => s.pose.f > pose.f || s.pose.r > pose.r)?.pose ?? null;

/** What comes after the stop that is shown: a count, or a range while it is one; null where nothing does. */
function leftInWords(ahead: Ahead, shown: Stop): string | null {
  const left = stopsAfter(ahead, shown);
  if (ahead.open) return left.typ === 0 ? null : `about ${left.typ} more`;
  return left.hi === 0 ? null : `${stopsInWords(left, false)} more`;
}
