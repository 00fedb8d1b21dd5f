const { default: Sequencer } = require('@jest/test-sequencer');
const { statSync } = require('node:fs');

/** Groups first, then what runs by itself, the larger before the smaller: the last to end are short. */
const weight = ({ path }) => (path.includes('/together/') ? Infinity : statSync(path).size);
module.exports = class extends Sequencer {
  sort(tests) {
    return [...tests].sort((a, b) => (weight(a) < weight(b) ? 1 : weight(a) > weight(b) ? -1 : a.path < b.path ? -1 : 1));
  }
};
