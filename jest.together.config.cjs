const base = require('./jest.config.cjs');
const { alone, kindOf } = require('./scripts/together/together.cjs');

/** All tests as ./test runs them: in groups that share what they load (scripts/together). */
const KINDS = { unit: ['unit', 'db'], ui: ['ui'] };
module.exports = {
  ...base,
  testSequencer: '<rootDir>/scripts/together/order.cjs',
  projects: base.projects.map((project) => {
    const kinds = KINDS[project.displayName];
    return {
      ...project,
      roots: ['<rootDir>/src', '<rootDir>/scripts/together'],
      testMatch: [
        ...kinds.map((kind) => `<rootDir>/scripts/together/${kind}-*.test.cjs`),
        ...alone.filter((file) => kinds.includes(kindOf(file))).map((file) => `<rootDir>/src/${file}`),
      ],
    };
  }),
};
