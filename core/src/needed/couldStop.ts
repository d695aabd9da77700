import { CAP_OPENS } from '../drain/index.ts';
import { answerTo } from '../questions/index.ts';
import { say, type Sentence } from '../quantity/index.ts';
import { compareOpen, type GoesIn } from '../fit/index.ts';
import { neededFor, ruleWord, type NeededFacts } from './list.ts';

/** Something that could end the job half-way. */
export interface CouldStop {
  /** What it is. */
  text: string;
  /** What is known of it. */
  why: Sentence;
}

/**
 * What could stop the job half-way, the surest first: what is known to be missing, then what nobody has looked at.
 *
 * @example couldStop(state, null)[0]!.text // 'ring seal not here'
 */
export function couldStop(state: NeededFacts & GoesIn, heldBy: string | null): CouldStop[] {
  const list: CouldStop[] = [];
  const needed = neededFor(state);
  for (const n of needed.filter((x) => x.here === 'no' && x.rule !== 'ifBad'))
    list.push({ text: `${n.name} not here`, why: n.why });
  for (const n of needed)
    if (n.kit?.outcome === 'bad') list.push({ text: `${n.name}: too few in the kit`, why: n.why });
  if (answerTo(state, CAP_OPENS) === 'no')
    list.push({ text: 'the filler cap does not open', why: 'nothing breathes, and no hose goes in' });
  if (heldBy) list.push({ text: `on typical figures ${heldBy} holds it`, why: 'the plan does not reach the ground' });
  for (const line of compareOpen(state)) list.push({ text: `${line.name}: old part against new`, why: line.why });
  const unsure = needed.filter((x) => x.here === 'unknown' && (x.rule === 'always' || x.rule === 'mayBreak'));
  for (const n of unsure)
    list.push({ text: `${n.count > 1 ? `${n.count} ` : ''}${n.name}: here?`, why: say`${ruleWord[n.rule]}: ${n.why}` });
  if (answerTo(state, CAP_OPENS) === undefined)
    list.push({ text: 'filler cap: try it now', why: 'a locked cap whose key is missing stops the draining' });
  return list;
}
