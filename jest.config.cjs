/**
 * Unit tests stand beside the code. Those that need the database are named *.db.test.ts; those that try a rule on many
 * made-up worlds *.trial.test.ts (npm run check leaves out both); those of components are *.test.tsx and run in a
 * simulated browser.
 */

/**
 * A test runs in a sandbox in which a global is looked up anew at every use; as an argument of the module it is as quick
 * as elsewhere. For the core, which reckons; components have icons of these names.
 */
const QUICK = [
  'Math',
  'Number',
  'Object',
  'Array',
  'Infinity',
  'Map',
  'Set',
  'Float64Array',
  'Int32Array',
  'Uint8Array',
];

const shared = {
  // Where the next run finds it: what lies in TMPDIR goes with the scratch cluster.
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  roots: ['<rootDir>/src'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^server-only$': '<rootDir>/scripts/empty.cjs' },
  transform: {
    '^.+\\.(m?[tj]s|[tj]sx)$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: {
            legacyDecorator: true,
            decoratorMetadata: true,
            useDefineForClassFields: true,
            react: { runtime: 'automatic' },
          },
          keepClassNames: true,
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(d3-[a-z-]+|internmap|culori|uuid|ml-[a-z-]+|is-any-array|flatbush|flatqueue|polylabel|tinyqueue|comlink|@tanstack/[a-z-]+)/)',
  ],
};

module.exports = {
  maxWorkers: '100%',
  // A loaded machine takes its time; what has not ended after this hangs.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      sandboxInjectedGlobals: QUICK,
      testEnvironment: 'node',
      testMatch: ['**/*.test.ts'],
      setupFiles: ['<rootDir>/scripts/jest-setup.cjs'],
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-expect.cjs'],
    },
    {
      ...shared,
      displayName: 'ui',
      // Elements as a studio's own program makes them: each needs no account of where it was made.
      moduleNameMapper: {
        ...shared.moduleNameMapper,
        '^react/jsx-runtime$': '<rootDir>/node_modules/react/cjs/react-jsx-runtime.production.js',
      },
      testEnvironment: 'jsdom',
      testMatch: ['**/*.test.tsx'],
      setupFiles: ['<rootDir>/scripts/jest-setup.cjs'],
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-expect.cjs', '<rootDir>/src/ui/testing/browser.ts'],
      testEnvironmentOptions: { customExportConditions: ['node', 'require', 'default'] },
    },
  ],
};
