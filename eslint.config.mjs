import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const projects = [
  './tsconfig.json',
  './packages/web/tsconfig.json',
  './packages/e2e/tsconfig.json',
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'packages/e2e/results/**'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: projects, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      eqeqeq: 'error',
      'no-console': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // A component reads from top to bottom, and its markup takes room.
    files: ['**/*.tsx'],
    rules: {
      'max-lines-per-function': ['error', { max: 150, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // A group of tests is no function, and data has as many lines as it has.
    files: ['**/*.test.{ts,tsx}', 'packages/e2e/src/*.ts', 'packages/catalogue/src/**/*.ts'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off' },
  },
  {
    // Answers of a test's requests are checked by what the test expects of them.
    files: ['**/*.test.ts'],
    rules: { '@typescript-eslint/no-unsafe-assignment': 'off' },
  },
  {
    // Written by the migrator.
    files: ['packages/server/src/db/migrations/*.ts'],
    rules: { '@typescript-eslint/require-await': 'off', 'max-lines-per-function': 'off' },
  },
  {
    files: ['packages/core/**/*.ts'],
    rules: {
      // The core has no clock and no randomness that it is not handed.
      'no-restricted-globals': ['error', 'Date', 'performance', 'setTimeout', 'fetch', 'process'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    files: ['packages/web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What cannot be fetched must not take along what is around it.
    files: ['packages/web/**/*.tsx'],
    ignores: ['packages/web/src/ui/lazily.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'react', importNames: ['lazy'], message: 'Use lazily of ui/lazily.' },
      ],
    },
  },
  {
    files: ['packages/e2e/**/*.ts'],
    rules: { 'no-console': 'off' },
  },
  {
    // Runs between the pages and the network.
    files: ['packages/web/public/offline.js'],
    languageOptions: {
      globals: Object.fromEntries(
        [
          'self',
          'caches',
          'fetch',
          'setTimeout',
          'clearTimeout',
          'Headers',
          'Request',
          'Response',
          'URL',
        ].map((name) => [name, 'readonly']),
      ),
    },
  },
  {
    // Runs on the audio thread.
    files: ['packages/web/public/*.worklet.js'],
    languageOptions: {
      globals: { AudioWorkletProcessor: 'readonly', registerProcessor: 'readonly' },
    },
  },
  {
    files: ['**/*.{mjs,cjs,js}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        module: 'writable',
        require: 'readonly',
        globalThis: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
      },
    },
  },
);
