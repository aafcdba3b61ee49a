import { base } from './jest.config.mjs';

/**
 * Journeys through the built application in a real browser; one at a time, so that each has the machine to
 * itself.
 */
export default {
  ...base,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.test.ts'],
  testTimeout: 900_000,
  maxWorkers: 2,
};
