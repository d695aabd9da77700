// The longest tests begin first, so that none of them is left to run alone at the end.
import { createRequire } from 'node:module';

const Sequencer = createRequire(import.meta.url)('@jest/test-sequencer').default;
const long = ['core/src/route/highs', 'core/src/route/route', 'e2e/views', 'e2e/', 'core/src/rehearsal'];
const rank = ({ path }) => {
  const at = long.findIndex((part) => path.includes(part));
  return at < 0 ? long.length : at;
};

export default class LongFirst extends Sequencer {
  sort(tests) {
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
}
