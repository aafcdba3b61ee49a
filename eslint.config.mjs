import importX, { createNodeResolver } from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const tests = ['**/*.test.ts', 'e2e/**', 'core/worked/**'];

export default tseslint.config(
  { ignores: ['dist/**', 'node_modules/**', 'data/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js', '.mjs'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'import-x/no-cycle': 'error',
      // the layers: imports point towards core; the page and the server meet only over the wire
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: [
            {
              target: './core',
              from: ['./server', './web', './e2e', './bench'],
              message: 'core stands alone',
            },
            {
              target: './web',
              from: ['./server', './e2e', './bench'],
              message: 'the page speaks to the server over /api only',
            },
            {
              target: './server',
              from: ['./web', './e2e', './bench'],
              message: 'the server knows no screen',
            },
          ],
        },
      ],
    },
  },
  {
    // each folder of core and server is reached through its index alone
    files: ['core/**/*.ts', 'server/**/*.ts', 'web/**/*.ts', 'web/**/*.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^(\\.\\./)+(core/)?(findings|units|gear|blank|card|cutter|dividing|cut|shop|job|kinds|plan|run|station|wire|gearing|spacing|inspect|mesh|toothform|sample|arrival|involute|lead|drive|worm|wheel|setup|trouble|logbook|prompts)/(?!index\\.ts$|plans\\.ts$)',
              message: 'Import from the folder’s index.ts.',
            },
          ],
        },
      ],
    },
  },
  {
    // core may import only itself and these packages: no DOM, no Node, no framework
    files: ['core/**/*.ts'],
    ignores: tests,
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!\\.|fraction\\.js$|zod$)',
              message: 'core imports only itself, fraction.js and zod.',
            },
            {
              regex:
                '^(\\.\\./)+(findings|units|gear|blank|card|cutter|dividing|cut|shop|job|kinds|plan|run|station|wire|gearing|spacing|inspect|mesh|toothform|sample|arrival|involute|lead|drive|worm|wheel|setup|trouble|logbook|prompts)/(?!index\\.ts$|plans\\.ts$)',
              message: 'Import from the folder’s index.ts.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
        'localStorage',
        'crypto',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
);
