const { statSync } = require('node:fs');

/** Groups first, then what runs by itself, the larger before the smaller: the last to end are short. */
const weight = ({ path }) => (path.includes('/together/') ? Infinity : statSync(path).size);
module.exports = class {
  sort(tests) {
    const heavier = (a, b) => Number(weight(b) > weight(a)) - Number(weight(b) < weight(a));
    return [...tests].sort((a, b) => heavier(a, b) || (a.path < b.path ? -1 : 1));
  }
  allFailedTests(tests) {
    return tests;
  }
  cacheResults() {}
};
