/** Runs the bundled tests of one folder; nothing is left to transform. */
export default {
  rootDir: '../..',
  roots: ['<rootDir>/.mutant-tests'],
  testMatch: ['**/*.mjs'],
  transform: {},
  testEnvironment: 'node',
  moduleFileExtensions: ['mjs', 'js', 'json', 'node'],
  testTimeout: 120_000,
};
