// The longest tests begin first, so that none of them is left to run alone at the end; and what waits for servers and browsers stands
// evenly among what computes, so that the one fills the gaps of the other.
import { createRequire } from 'node:module';
import { relative } from 'node:path';
import { root } from './lib/paths.mjs';
import { partOf, readTimes } from './lib/times.mjs';

const Sequencer = createRequire(import.meta.url)('@jest/test-sequencer').default;
/** What a file is thought to take that never ran, s. */
const UNKNOWN = 5;

/** Each with the share of its list that has begun before it. */
function spread(list) {
  const all = list.reduce((sum, { seconds }) => sum + seconds, 0) || 1;
  let before = 0;
  return list
    .sort((a, b) => b.seconds - a.seconds || (a.path < b.path ? -1 : 1))
    .map((one) => {
      const at = before / all;
      before += one.seconds;
      return { ...one, at };
    });
}

export default class LongFirst extends Sequencer {
  sort(tests) {
    const times = readTimes();
    const known = tests.map((test) => {
      const path = relative(root, test.path);
      return { test, path, seconds: times[path] ?? UNKNOWN, waits: ['e2e', 'server'].includes(partOf(path)) };
    });
    const lists = [true, false].map((waits) => spread(known.filter((one) => one.waits === waits)));
    return lists
      .flat()
      .sort((a, b) => a.at - b.at || b.seconds - a.seconds)
      .map(({ test }) => test);
  }
}
