/** Unit and server tests. Browser journeys have their own: jest.e2e.config.mjs.
 * The limit is there for a test that hangs, not to time one: a loaded machine may take seconds for what is
 * quick elsewhere. */
export const base = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2023',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  testEnvironment: 'node',
  moduleNameMapper: { '\\.css$': '<rootDir>/web/noStyle.ts' },
};
export default {
  ...base,
  roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/stand-ins', '<rootDir>/web'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testTimeout: 120_000,
};
