import importX, { createNodeResolver } from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import house from './scripts/lint/house.mjs';

const tests = ['**/*.test.ts', '**/*.test.tsx', 'e2e/**', 'core/worked/**'];

export default tseslint.config(
  { ignores: ['dist/**', 'node_modules/**', 'data/**'] },
  ...tseslint.configs.recommended,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    plugins: { house },
    rules: {
      'house/through-the-index': 'error',
      'house/no-formatter-ignored': 'error',
      // beyond three, things are told apart by name; the figures that a code asks for come after it
      'max-params': ['error', 4],
      // the formatter breaks what can be broken; what is left long is a sentence
      'max-len': [
        'error',
        { code: 110, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    plugins: { 'import-x': importX },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js', '.mjs'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      // a store is read by what is needed of it: else every change of it draws anew
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name=/^use(Draft|Preferences|ShopSave|Faces)$/][arguments.length=0]',
          message: 'Name what is read of the store.',
        },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // what is promised is waited for, or said not to be
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
      // a thing that is no text is not put into one
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true, allowAny: true, allowArray: true },
      ],
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      'import-x/no-cycle': 'error',
      // the layers: imports point towards core; the page and the server meet only over the wire
      'import-x/no-restricted-paths': [
        'error',
        {
          zones: [
            {
              target: './core',
              from: ['./server', './web', './e2e', './bench', './stand-ins'],
              message: 'core stands alone',
            },
            {
              target: './web',
              from: ['./server', './e2e', './bench', './stand-ins'],
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
    files: tests,
    rules: { 'max-params': ['error', 5] },
  },
  {
    // what was written once stays what it was: a step of a migration calls nothing that lives on
    files: ['core/job/shapes.ts', 'core/shop/migrate.ts', 'core/dividing/migrate.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '.', message: 'A step is frozen: write the shape.' }] },
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
              regex: '^(?!\\.|fraction\\.js$|zod$|dequal$|@tarikjabiri/dxf$)',
              message: 'core imports only itself, fraction.js, zod, dequal, and what writes DXF.',
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
