/**
 * Test files side by side in one sandbox. Alone, each loads and warms up all it uses anew, which is a quarter of what
 * the unit tests cost; so ./test runs them in a few groups (jest.together.config.cjs), and `npx jest` each by itself.
 */
const { readFileSync, readdirSync } = require('node:fs');
const { join, relative } = require('node:path');

const SRC = join(__dirname, '../../src');
/** How many groups of each kind: as many as there are test files at once. */
const GROUPS = { unit: 2, ui: 2, db: 2 };
const kindOf = (file) => (file.includes('.db.test.') ? 'db' : file.endsWith('x') ? 'ui' : 'unit');

const all = readdirSync(SRC, { recursive: true })
  .filter((file) => /\.test\.tsx?$/.test(file))
  .sort();
const code = Object.fromEntries(all.map((file) => [file, readFileSync(join(SRC, file), 'utf8')]));

/** What changes a library for all who use it, or takes longer than a group, stays by itself. */
const MOCK = /jest\.mock\(\s*'([^']+)'/g;
const isLibrary = (name) => !name.startsWith('.');
const isAlone = (file) =>
  file.includes('.trial.test.') || [...code[file].matchAll(MOCK)].some(([, name]) => isLibrary(name));
/** A stand-in must be known before anyone else loads what it stands in for. */
const standsIn = (file) => Number(code[file].includes('jest.mock('));

/** The files of one group: large and small ones to each, in turns, those with stand-ins first. */
function filesOf(kind, index) {
  const n = GROUPS[kind];
  return all
    .filter((file) => kindOf(file) === kind && !isAlone(file))
    .sort((a, b) => code[b].length - code[a].length)
    .filter((_, i) => (Math.floor(i / n) % 2 ? n - 1 - (i % n) : i % n) === index)
    .sort((a, b) => standsIn(b) - standsIn(a));
}

/** Registers the tests of a group, each file's under its own name. */
exports.group = (kind, index) => {
  for (const file of filesOf(kind, index))
    describe(relative('.', join(SRC, file)), () => {
      require(join(SRC, file));
    });
};
exports.alone = all.filter(isAlone);
exports.kindOf = kindOf;
