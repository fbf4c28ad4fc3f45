import astro from 'eslint-plugin-astro';
import tseslint from 'typescript-eslint';

const upward = (...folders) => folders.map((f) => `../**/${f}/**`);

export default tseslint.config(
  { ignores: ['dist', '.astro', 'node_modules', 'test-results', 'playwright-report', '.zeitgeber', 'src/server/db/migrations'] },
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
  {
    // The core is pure: no clock, no chance of its own, no network, no globals.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.testing.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
        { object: 'performance', property: 'now' },
      ],
      'no-restricted-globals': ['error', 'fetch', 'window', 'document', 'localStorage', 'process', 'globalThis', 'setTimeout'],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is an argument.' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['node:*', 'react', 'astro*', 'better-sqlite3', 'drizzle-orm*', 'highs'], message: 'Core is pure.' },
            {
              group: upward('server', 'ui', 'islands', 'adapters', 'workers', 'text', 'contract', 'layouts', 'pages', 'demo'),
              message: 'Core imports only core.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: upward('server', 'islands', 'adapters', 'workers', 'contract', 'pages', 'demo'),
              message: 'ui imports core and text only.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/islands/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: upward('server', 'adapters', 'pages', 'layouts', 'demo'), message: 'Islands speak to the server through /api/v1.' },
          ],
        },
      ],
    },
  },
  // Answers of the API are checked against its description at run time.
  { files: ['e2e/**/*.ts'], rules: { '@typescript-eslint/no-explicit-any': 'off' } },
  {
    files: ['scripts/**/*.mjs', '*.mjs', '*.cjs'],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', URL: 'readonly', fetch: 'readonly', setTimeout: 'readonly' } },
  },
);
