import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';
import house from './scripts/long-functions.mjs';

const config = [
  {
    ignores: [
      '.next/**',
      '.cache/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'public/stand-keeper.js',
    ],
  },
  // What is for React alone is asked only where it is drawn; its compiler's rules are what takes the time.
  ...next.map((part) => ({
    ...part,
    files: ['src/ui/**/*.{ts,tsx}', 'src/app/**/*.{ts,tsx}'],
    ignores: [...(part.ignores ?? []), '**/*.test.{ts,tsx}'],
  })),
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'off',
      // The React Compiler is not used; its list of libraries it would skip is of no concern.
      'react-hooks/incompatible-library': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    files: ['src/**'],
    ignores: ['src/ui/kit/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          name: 'next/link',
          importNames: ['default'],
          message: 'Use Link of ui/kit: it asks for a page when it is taken.',
        },
      ],
    },
  },
  {
    files: ['src/**'],
    // Drawings and tables, each of one piece; and tests, which tell a story from beginning to end.
    ignores: [
      'src/**/*.test.ts',
      'src/**/*.test.tsx',
      'src/core/testing/{fault-world,outlines,stitch-picture}.ts',
      'src/ui/needle-gauge/needle-gauge.ts',
      'src/ui/prepare/cutting.ts',
      'src/ui/print/setting-card.ts',
      'src/ui/section-drawing/section.ts',
      'src/ui/speed-ruler/speed-ruler.ts',
      'src/ui/stand/setting.ts',
      'src/ui/take-in/pages.ts',
      'src/ui/tension-ladder/ladder.ts',
      'src/ui/test-strip/stitch-side.ts',
    ],
    plugins: { house },
    rules: { 'house/long-functions': 'error' },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
];

export default config;
