import { whyNotTakenBack, type RawEntry, type Speech } from '../kernel/index.ts';
import { poseInWords } from '../pose/index.ts';
import { inWords, lengthText, bar, litres, type UnitSystem } from '../quantity/index.ts';
import { shortName, travelWords } from '../vehicle/index.ts';
import { kindOf } from './log.ts';
import { nameOf } from './names.ts';
import type { JobState } from './state.ts';

/** How kinds speak in this job, to this reader. */
const speechOf = (state: JobState, units: UnitSystem): Speech => ({
  name: (key) => shortName(nameOf(state, key)),
  ends: state.vehicle.ends,
  length: (mm) => lengthText(mm, units),
  pose: (pose) => poseInWords(pose, state.vehicle.ends, units).replace(/ (mm|in)$/, ''),
  gone: travelWords(state.vehicle).gone,
  back: travelWords(state.vehicle).back,
  litres: (l) => inWords([litres(l, l, 1)], units),
  bar: (p) => inWords([bar(p)], units),
});

/** What an entry says, in a few words: for “take back”, for the log, for the record. @example entryInWords(state, entry) // 'lowered to 40' */
export const entryInWords = (state: JobState, entry: RawEntry, units: UnitSystem = 'metric'): string =>
  kindOf(entry.kind).words(entry.body as object, speechOf(state, units));

/** The same, where a taking back says what it takes back. @example entryInLog(state, log, { entry }) // 'taken back: lowered to 40' */
export function entryInLog(
  state: JobState,
  log: readonly RawEntry[],
  { entry, units = 'metric' }: { entry: RawEntry; units?: UnitSystem },
): string {
  const words = entryInWords(state, entry, units);
  const names = state.heads.find((head) => head.id === entry.id)?.names ?? null;
  const named = names === null ? undefined : log.find((other) => other.id === names);
  return named ? `${words}: ${entryInWords(state, named, units)}` : words;
}

/** What nobody takes back: how the job began, and what the server brought in the name of whoever changed the shop. */
const notOffered: readonly string[] = ['opened', 'shopFigures'];

/**
 * This person’s newest entry that can be taken back, in words; null when there is none.
 *
 * @param log entries with their bodies
 * @param maker the device and person that want it back
 * @example takeBackInWords(state, log, { maker: { by: 'ines', device: 'd1' } })?.words // 'lowered to 40'
 */
export function takeBackInWords(
  state: JobState,
  log: readonly RawEntry[],
  { maker, units = 'metric' }: { maker: { by: string; device: string }; units?: UnitSystem },
): { entry: string; words: string } | null {
  if (state.signed) return null;
  const knower = { device: maker.device, n: Infinity, seen: state.heads.length - 1 };
  for (let i = state.heads.length - 1; i >= 0; i--) {
    const head = state.heads[i];
    if (!head?.counts || head.by !== maker.by || head.names !== null || notOffered.includes(head.kind)) continue;
    if (whyNotTakenBack(state.heads, knower, head.id) !== null) return null;
    const entry = log.find((e) => e.id === head.id);
    return entry ? { entry: head.id, words: entryInWords(state, entry, units) } : null;
  }
  return null;
}
