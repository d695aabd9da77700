// Where mistakes are put in on purpose, the first test that finds one ends the search: the quick ones go first.
const { statSync } = require('node:fs');
const Sequencer = require('@jest/test-sequencer').default;

/** Those that try very much by chance; they go last. */
const LONG = /route\/route|rehearsal|replay|ascent|rules/;

module.exports = class QuickFirst extends Sequencer {
  sort(tests) {
    const weight = ({ path }) => (LONG.test(path) ? 1e9 : 0) + statSync(path).size;
    return [...tests].sort((a, b) => weight(a) - weight(b));
  }
};
