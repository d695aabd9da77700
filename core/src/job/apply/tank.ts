import { commonPractice, measured } from '../../basis/index.ts';
import type { Estimate } from '../../estimate/index.ts';
import { FIST, gridNearest, NEARLY, type Margins } from '../../stops/margins.ts';
import { estimateOf, type Connection } from '../../vehicle/index.ts';
import { cutKey, untriedOf } from '../cuts.ts';
import type { LookBody } from '../entries/shared.ts';
import { clipOwner, keyOf, lineOf, nameOf, obstructionOf, splitKey } from '../names.ts';
import type { Bodies, Entry, ItemKind, JobState, LedgerItem, Pose } from '../types.ts';

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>;

/** Local drop of the tank at `x`, mm. */
export const localDrop = (pose: Pose, x: number, length: number): number => pose.f + ((pose.r - pose.f) * x) / length;

/** Is the line on its port? A line is off while its item is not closed. */
export const isOn = (state: Pick<JobState, 'items'>, lineId: string): boolean =>
  state.items.every((item) => item.key !== keyOf('line', lineId) || item.state === 'closed');

const attached = (state: JobState): Connection[] => state.vehicle.connections.filter((line) => isOn(state, line.id));

function knowAtLeast(known: Estimate, least: number): Estimate {
  if (least <= known.lo) return known;
  return { lo: least, typ: Math.max(known.typ, least), hi: Math.max(known.hi, least), basis: measured };
}

/** The tank comes to a pose. What was attached on the way either let it, or was pulled. */
export function moveTo(state: JobState, to: Pose, entry: Entry, how: 'stop' | 'creep'): void {
  const pose = { f: gridNearest(to.f), r: gridNearest(to.r) };
  const wasHome = state.pose.f === 0 && state.pose.r === 0;
  const lower = pose.f > state.pose.f || pose.r > state.pose.r;
  state.pose = pose;
  if (!lower) return;
  const here = Math.max(pose.f, pose.r);
  if (wasHome && !state.gates[2].passed)
    state.flags.push({ text: `lowered to ${here} mm before gate 2 was passed`, at: entry.at, by: entry.by });
  for (const line of attached(state)) {
    const drop = localDrop(pose, line.x, state.vehicle.length);
    const known = state.slack[line.id]!;
    const limit = state.taut[line.id] ?? known.hi;
    if (how === 'stop' && drop > limit) {
      state.pulls.push({ key: keyOf('line', line.id), at: entry.at, by: entry.by, inspected: null, words: null });
      state.flags.push({
        text: `${line.name} was pulled: it allows ${limit} mm, the tank went to ${Math.round(drop)}`,
        at: entry.at,
        by: entry.by,
      });
    }
    state.slack[line.id] = knowAtLeast(known, drop);
  }
  state.deepest = Math.max(state.deepest, here);
  if (!state.out && !state.stops.includes(here)) state.stops.push(here);
  if (here >= state.vehicle.clear) state.out = true;
}

/** Takes a thing off and writes it into the ledger under its number. */
export function takeOff(
  state: JobState,
  key: string,
  way: string | undefined,
  tag: number | undefined,
  entry: Entry,
): LedgerItem {
  const { kind, id } = splitKey(key);
  const line = kind === 'line' ? lineOf(state.vehicle, id) : undefined;
  const owner = kind === 'clip' ? clipOwner(state.vehicle, id) : undefined;
  const x = line?.x ?? owner?.x ?? obstructionOf(state.vehicle, id)?.x ?? state.vehicle.length / 2;
  const item: LedgerItem = {
    key,
    kind: kind as ItemKind,
    name: nameOf(state, key),
    tag: tag ?? state.items.find((other) => other.key === key)?.tag ?? null,
    state: 'open',
    offAt: localDrop(state.pose, x, state.vehicle.length),
    offBy: entry.by,
    offTime: entry.at,
    way: way ?? null,
    capped: false,
    back: { event: 'home' },
    backAt: null,
    backOwner: null,
    note: null,
  };
  state.items = [...state.items.filter((other) => other.key !== key), item];
  delete state.notDone[key];
  if (line) delete state.taut[line.id];
  const clip = owner?.clips.find((c) => c.id === id);
  if (owner && clip) {
    const now = state.slack[owner.id]!;
    const freed = estimateOf(state.vehicle, clip.slack);
    state.slack[owner.id] = {
      lo: Math.max(now.lo, freed.lo),
      typ: Math.max(now.typ, freed.typ),
      hi: Math.max(now.hi, freed.hi),
      basis: freed.basis,
    };
    delete state.taut[owner.id];
  }
  return item;
}

/**
 * What the look on top told, at this height. A line that is visible for sure and was not named has more than two
 * fingers of play, less what the eye errs; a line nobody can see yet stays as it was.
 */
function look(state: JobState, seen: LookBody, margins: Margins): void {
  for (const line of attached(state)) {
    const here = Math.round(localDrop(state.pose, line.x, state.vehicle.length));
    const known = state.slack[line.id]!;
    if (seen.reachable.includes(line.id)) state.reached[line.id] = Math.min(here, state.reached[line.id] ?? here);
    const between = (most: number): Estimate => {
      const lo = Math.max(known.lo, here);
      const hi = Math.max(lo, Math.min(known.hi, here + most));
      return { lo, typ: Math.min(hi, Math.max(lo, known.typ)), hi, basis: measured };
    };
    if (seen.tight.includes(line.id))
      state.slack[line.id] = { lo: here, typ: here + 5, hi: here + margins.eye, basis: measured };
    else if (seen.nearly.includes(line.id)) state.slack[line.id] = between(NEARLY + margins.eye);
    else if (seen.asked && line.visibleFrom.hi <= here)
      state.slack[line.id] = knowAtLeast(known, here + (seen.allFist ? FIST : NEARLY) - margins.eye);
  }
}

export function stopDone(state: JobState, entry: Of<'stopDone'> | Of<'crept'>, margins: Margins): void {
  const { to, off, capped, notDone, look: seen } = entry.body;
  moveTo(state, to, entry, entry.kind === 'crept' ? 'creep' : 'stop');
  for (const { key, way, tag } of off) {
    const item = takeOff(state, key, way, tag, entry);
    item.capped = capped.includes(key);
  }
  const drop = Math.max(state.pose.f, state.pose.r);
  for (const { key, reason } of notDone) state.notDone[key] = { drop, reason: reason ?? null };
  look(state, seen, margins);
}

export function crept(state: JobState, entry: Of<'crept'>, margins: Margins): void {
  stopDone(state, entry, margins);
  const line = entry.body.taut ? lineOf(state.vehicle, splitKey(entry.body.taut).id) : undefined;
  if (!line || !isOn(state, line.id)) return;
  const here = Math.round(localDrop(state.pose, line.x, state.vehicle.length));
  state.slack[line.id] = { lo: here, typ: here, hi: here, basis: measured };
  state.taut[line.id] = here;
}

export function surprise(state: JobState, body: Bodies['surprise']): void {
  const { kind, id } = splitKey(body.key);
  const line = kind === 'line' ? lineOf(state.vehicle, id) : undefined;
  const here = Math.max(state.pose.f, state.pose.r);
  if (body.what === 'freed' && line) {
    const from = state.taut[line.id] ?? state.slack[line.id]!.lo;
    const known = state.slack[line.id]!;
    const lo = from + (body.more ?? 0);
    state.slack[line.id] = { lo, typ: Math.max(known.typ, lo), hi: Math.max(known.hi, lo), basis: measured };
    delete state.taut[line.id];
  } else if (body.what === 'holds') {
    const lets = body.lets ?? here;
    if (line) {
      state.slack[line.id] = { lo: lets, typ: lets, hi: lets, basis: measured };
      state.taut[line.id] = lets;
    } else {
      const name = body.name ?? obstructionOf(state.vehicle, id)?.name ?? 'something not in the file';
      const extra = { id: kind === 'new' ? `new-${id}` : id, name, blocksAt: lets };
      state.extras = [...state.extras.filter((e) => e.id !== extra.id), extra];
      // It blocks again, even if the log had it cleared.
      state.items = state.items.filter((item) => item.key !== keyOf('obstruction', extra.id));
    }
  }
}

export function replaced(state: JobState, body: Bodies['replaced']): void {
  const { id } = splitKey(body.key);
  const line = lineOf(state.vehicle, id);
  state.replaced[body.key] = body;
  if (line && body.slack !== undefined)
    state.slack[line.id] = { lo: body.slack, typ: body.slack, hi: body.slack, basis: commonPractice };
}

/** A cut hose or pipe is parted where it was cut; anything else that is cut parts nothing. */
export function cut(state: JobState, entry: Of<'cut'>): void {
  const { body, by, at } = entry;
  state.cuts.push({ ...body, id: cutKey(entry.id), untried: untriedOf(body.what, body.tried), by, at });
  const parts = body.what === 'hose' || body.what === 'pipe';
  const line = parts && body.key ? lineOf(state.vehicle, splitKey(body.key).id) : undefined;
  if (line && isOn(state, line.id)) takeOff(state, keyOf('line', line.id), undefined, body.tag, entry);
}
