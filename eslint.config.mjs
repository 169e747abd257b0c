import tseslint from 'typescript-eslint';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';

const outsideCore = [
  'react',
  'react-dom',
  'react-redux',
  'react-router',
  '@reduxjs/*',
  'dexie',
  'hono',
  '@hono/*',
  'pino',
  'commander',
  'comlink',
  'node:*',
  'fs',
  'path',
];

export default tseslint.config(
  {
    ignores: ['dist/**', 'node_modules/**', 'test-results/**', 'playwright-report/**', 'core/intake/text/papaparse.d.ts'],
  },
  ...tseslint.configs.recommended,
  {
    plugins: { 'import-x': importX },
    settings: {
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: 'tsconfig.json' })],
    },
    rules: {
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'smart'],
      'no-console': 'error',
    },
  },
  {
    // The core computes and knows nobody: no screen, no storage, no machine.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [...outsideCore, '**/web/**', '**/server/**', '**/cli/**', '**/demo/**'],
              message: 'core/ is pure: it imports nothing of the screen, the server or Node.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'process',
        'Buffer',
        'fetch',
        'setTimeout',
        'Date',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Same input, same output.' }],
    },
  },
  {
    // part/ is the vocabulary that all others speak, so it may know none of them.
    files: ['core/part/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                ...outsideCore,
                '**/intake/**',
                '**/arrange/**',
                '**/shapes/**',
                '**/lands/**',
                '**/spice/**',
                '**/checks/**',
                '**/release/**',
                '**/formats/**',
              ],
              message: 'part/ knows nobody.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks, 'jsx-a11y': jsxA11y },
    rules: {
      // The two rules of hooks; the others are for the React compiler, which is not used here.
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      ...jsxA11y.flatConfigs.recommended.rules,
      // Lists and stages that scroll or take keys must be reachable by the keyboard (WCAG 2.1.1).
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region', 'group', 'separator', 'grid'], allowExpressionValues: true }],
    },
  },
  { files: ['tools/**', 'cli/**', 'bench/**', 'demo/**'], rules: { 'no-console': 'off' } },
);
