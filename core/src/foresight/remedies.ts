import { present } from '../errors/index.ts';
import { inWords, mm, say, type Sentence } from '../quantity/index.ts';
import type { Margins, TankState } from '../hang/index.ts';
import { isOff } from '../ledger/index.ts';
import { seek } from '../route/index.ts';
import { routeModel, type View } from '../stops/index.ts';
import { keyOf, lineOf, obstructionOf, splitKey, type Way } from '../vehicle/index.ts';
import { changed, type Change } from './change.ts';
import { nameOf } from './names.ts';
import { stuck } from './stuck.ts';

/** A change that makes a way, with what it takes. */
export interface Remedy {
  /** What is changed. */
  changes: Change[];
  /** The least whole mm with which there is a way; of two changes, both together. */
  mm: number;
  /** What it means with a tool in hand. */
  text: Sentence;
  /** Minutes of the way down once it is done, the change itself not counted: nobody has measured that. */
  minutes: number;
}

/** More than so much nobody gains by a clip, a longer extension or a pull aside, mm. Common practice, no source. */
const MOST: Record<'longer' | 'reach' | 'lower' | 'tilt', number> = { longer: 300, reach: 200, lower: 200, tilt: 100 };

/** Tilt goes by the grid, everything else by whole millimetres. */
const STEP: typeof MOST = { longer: 1, reach: 1, lower: 1, tilt: 5 };

interface RemedyOptions {
  view?: View;
  margins?: Margins;
  /** 0 to 1; return false to give up. */
  onProgress?: (share: number) => boolean | void;
}

/**
 * The cheapest single changes that make a way where there is none, each true by solving again and by the least whole
 * millimetre that will do; pairs of two lines or a line and a reach only where no single change works.
 *
 * @returns ranked by minutes, then by millimetres; empty where there is a way already or nothing helps
 * @example remedies(state)[0]!.text // 'free the heater line from a clip or another joint: 45 mm more'
 */
export function remedies(state: TankState, options: RemedyOptions = {}): Remedy[] {
  const { view = 'typical', margins = state.shop, onProgress } = options;
  const minutes = (s: TankState): number | null => seek(routeModel(s, view, margins)).route?.minutes ?? null;
  if (minutes(state) !== null) return [];
  const singles = candidates(state, view, margins);
  const out: Remedy[] = [];
  /** What it takes with each change by its own figure, null where that makes no way. */
  const at = (by: readonly By[]) => minutes(by.reduce<TankState>((s, { make, mm }) => changed(s, make.of(mm)), state));
  /** The least of one change that makes a way beside what else is changed. Each is monotone: more never takes a way away. */
  const leastOf = (make: Make, others: readonly By[]): By | null => {
    const [step, most] = [STEP[make.kind], MOST[make.kind]];
    if (at([...others, { make, mm: most }]) === null) return null;
    let [no, yes] = [0, most / step];
    while (yes - no > 1) {
      const mid = Math.floor((yes + no) / 2);
      if (at([...others, { make, mm: mid * step }]) === null) no = mid;
      else yes = mid;
    }
    return { make, mm: yes * step };
  };
  /** One after the other, the rest at their most: none can then be less. */
  const least = (makes: readonly Make[]): By[] | null => {
    const by: By[] = makes.map((make) => ({ make, mm: MOST[make.kind] }));
    for (const [i, make] of makes.entries()) {
      const own = leastOf(
        make,
        by.filter((_, j) => j !== i),
      );
      if (!own) return null;
      by[i] = own;
    }
    return by;
  };
  const remedyOf = (by: readonly By[]): Remedy => ({
    changes: by.map(({ make, mm }) => make.of(mm)),
    mm: by.reduce((sum, { mm }) => sum + mm, 0),
    text: by.flatMap(({ make, mm }, i) => [...(i > 0 ? [', and '] : []), ...[make.text(mm)].flat()]),
    minutes: present(at(by), 'way', 'remedy'),
  });
  const pairs = singles.flatMap((a, i) => singles.slice(i + 1).map((b) => [a, b] as const));
  let tried = 0;
  const go = (makes: readonly Make[], all: number): boolean => {
    // Which of two is made least first is a choice: the smaller sum is offered.
    const [found] = [least(makes), ...(makes.length > 1 ? [least([...makes].reverse())] : [])]
      .flatMap((by) => (by ? [remedyOf(by)] : []))
      .sort((a, b) => a.mm - b.mm);
    if (found) out.push(found);
    tried += 1;
    return onProgress?.(tried / all) !== false;
  };
  for (const one of singles) if (!go([one], singles.length)) return ranked(out);
  if (out.length === 0) {
    tried = 0;
    for (const two of pairs) if (!go(two, pairs.length)) break;
  }
  return ranked(out);
}

const ranked = (list: Remedy[]): Remedy[] =>
  list.sort((a, b) => a.minutes - b.minutes || a.mm - b.mm || (inWords(a.text) < inWords(b.text) ? -1 : 1));

/** A change and how much of it, mm. */
interface By {
  make: Make;
  mm: number;
}

interface Make {
  kind: keyof typeof MOST;
  of: (mm: number) => Change;
  text: (by: number) => Sentence;
}

/** A hand that reaches further than the file says. */
const further = (name: string, ways: readonly Way[]): Make[] =>
  ways.map((way) => ({
    kind: 'reach',
    of: (mm) => ({ what: 'reach', way: way.id, mm }),
    text: (by) => say`reach the ${name} ${mm(by)} further (${way.from}): longer extension, a wheel or a liner off`,
  }));

/** Only what is left or what holds it may help; and more tilt. */
function candidates(state: TankState, view: View, margins: Margins): Make[] {
  const { left } = stuck(routeModel(state, view, margins));
  const keys = new Set(left.flatMap((l) => [l.key, ...(l.heldBy ? [l.heldBy] : []), ...l.waitsFor]));
  const out: Make[] = [];
  for (const key of [...keys].sort()) {
    const { kind, id } = splitKey(key);
    const name = nameOf(state, key);
    if (kind === 'line') {
      const line = lineOf(state.vehicle, id);
      if (!line) continue;
      const clipped = line.clips.some((c) => !isOff(state, keyOf('clip', c.id)));
      out.push({
        kind: 'longer',
        of: (mm) => ({ what: 'longer', line: id, mm }),
        text: (by) =>
          say`${clipped ? 'another clip off' : 'free'} the ${name}${clipped ? '' : ' from a clip or at another joint'}: ${mm(by)} more`,
      });
      out.push(...further(name, line.part));
    } else if (kind === 'obstruction') {
      out.push({
        kind: 'lower',
        of: (mm) => ({ what: 'lower', obstruction: id, mm }),
        text: (by) => say`pull the ${name} ${mm(by)} aside or down`,
      });
      out.push(...further(name, obstructionOf(state.vehicle, id)?.clear ?? []));
    }
  }
  out.push({
    kind: 'tilt',
    of: (mm) => ({ what: 'tilt', mm }),
    text: (by) => say`tilt it ${mm(by)} more than the file lets: drain it further first`,
  });
  return out;
}
