import { commonPractice } from '../../basis/index.ts';
import { estimateOf, type Range } from '../../vehicle/index.ts';
import type { Verdict } from '../../verdict/index.ts';
import { keyOf, nameOf, splitKey } from '../names.ts';
import type { Bodies, Entry, ItemState, JobState, LedgerItem } from '../types.ts';

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>;

const find = (state: JobState, key: string): LedgerItem | undefined => state.items.find((item) => item.key === key);

/** A thing is back where it belongs. */
export function close(state: JobState, entry: Of<'made'> | Of<'restored'> | Of<'takenOut'>): void {
  const item = find(state, entry.body.key);
  if (!item) {
    state.flags.push({
      text: `${nameOf(state, entry.body.key)} was put back, though the log never had it off`,
      at: entry.at,
      by: entry.by,
    });
    return;
  }
  item.state = 'closed';
  item.backAt = Math.max(state.pose.f, state.pose.r);
  item.backOwner = entry.by;
  if (entry.kind === 'made') item.capped = false;
}

export function setState(state: JobState, key: string, to: ItemState, note: string): void {
  const item = find(state, key);
  if (!item) return;
  item.state = to;
  item.note = note;
}

export function putIn(state: JobState, entry: Of<'putIn'> | Of<'loosened'>): void {
  const kind = entry.kind === 'putIn' ? 'thing' : 'loose';
  const until = entry.kind === 'putIn' ? (entry.body.before ?? 'the ring closes') : entry.body.until;
  state.items.push({
    key: keyOf(kind, entry.id),
    kind,
    name: entry.body.name,
    tag: entry.body.tag ?? null,
    state: kind === 'thing' ? 'open' : 'loose',
    offAt: Math.max(state.pose.f, state.pose.r),
    offBy: entry.by,
    offTime: entry.at,
    way: null,
    capped: false,
    back: { event: kind === 'thing' ? `before ${until}` : until },
    backAt: null,
    backOwner: null,
    note: null,
  });
}

/**
 * A torque beside the file's range. What was not measured, or has no figure in the file, stays unknown.
 *
 * @param range N·m of the file, null when not known
 */
export function judgeTorque(body: Pick<Bodies['torque'], 'lo' | 'hi' | 'asWritten'>, range: Range | null): Verdict {
  const reason = (text: string) => ({
    text,
    figure: body.asWritten,
    basis: commonPractice,
    ...(range ? { limit: `${range.lo}–${range.hi} N·m` } : {}),
  });
  if (body.lo === undefined || body.hi === undefined)
    return {
      outcome: 'unknown',
      reasons: [reason('not measured')],
      next: ['go over it with a torque wrench by the service information'],
    };
  if (!range)
    return {
      outcome: 'unknown',
      reasons: [reason('the file has no figure for this fastener')],
      next: ['read the figure in the service information for this vehicle'],
    };
  if (body.lo >= range.lo && body.hi <= range.hi)
    return { outcome: 'good', reasons: [reason('within the file’s range')], next: [] };
  const part = body.hi >= range.lo && body.lo <= range.hi;
  return {
    outcome: part ? 'doubtful' : 'bad',
    reasons: [reason(part ? 'partly outside the file’s range' : 'outside the file’s range')],
    next: ['check against the service information, then go over it again'],
  };
}

export function torque(state: JobState, entry: Of<'torque'>): void {
  const support = state.vehicle.supports.find((s) => s.id === splitKey(entry.body.key).id);
  const fastener = state.vehicle.fasteners.find((f) => f.id === support?.fastener);
  const range = fastener?.torque ? { ...fastener.torque, ...estimateOf(state.vehicle, fastener.torque) } : null;
  state.torques = [
    ...state.torques.filter((t) => t.key !== entry.body.key),
    { ...entry.body, verdict: judgeTorque(entry.body, range), by: entry.by },
  ];
}

/** What a look at a joint is worth: dry counts only when it was wiped dry before and wet behind. */
export function judgeJoint(body: Pick<Bodies['jointSeen'], 'seen' | 'checks'>): Verdict {
  const reason = (text: string) => ({ text, basis: commonPractice });
  if (body.seen === 'hidden')
    return {
      outcome: 'unknown',
      reasons: [reason('nobody could see it')],
      next: ['use a mirror or a borescope, or lower to the test stop'],
    };
  if (body.seen !== 'dry')
    return {
      outcome: 'bad',
      reasons: [reason(body.seen === 'weeps' ? 'it weeps' : 'it drips')],
      next: ['pressure off, make it again, look again', 'do not run it like this'],
    };
  const missing = [
    ...(body.checks.includes('wiped') ? [] : ['not wiped dry before']),
    ...(body.checks.includes('wet') ? [] : ['nothing wet behind it yet']),
  ];
  if (missing.length > 0)
    return {
      outcome: 'doubtful',
      reasons: missing.map(reason),
      next: ['wipe it dry, put fuel and pressure behind it, look again'],
    };
  return { outcome: 'good', reasons: [reason('wiped dry, wet behind, and still dry')], next: [] };
}

export function jointSeen(state: JobState, entry: Of<'jointSeen'>): void {
  const { key, seen, checks, words } = entry.body;
  state.joints = [
    ...state.joints.filter((j) => j.key !== key),
    { key, seen, checks, words: words ?? null, by: entry.by, at: entry.at, verdict: judgeJoint(entry.body) },
  ];
}
