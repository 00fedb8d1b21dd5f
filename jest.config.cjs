/** Unit tests stand beside the code; those that need the database are named *.db.test.ts. */
module.exports = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  setupFiles: ['<rootDir>/scripts/jest-setup.cjs'],
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
  transformIgnorePatterns: ['/node_modules/(?!(d3-[a-z-]+|internmap|culori|uuid|ml-[a-z-]+|is-any-array)/)'],
};
