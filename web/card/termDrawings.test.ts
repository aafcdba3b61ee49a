import { expect, test } from '@jest/globals';
import { PURPOSES } from '../../core/station/index.ts';
import { TERM_DRAWINGS } from './termDrawings.ts';

test('every term of every station is drawn, and nothing is drawn that no station tells', () => {
  const told = new Set(Object.values(PURPOSES).flatMap(({ terms }) => terms.map(({ term }) => term)));
  expect([...told].sort()).toEqual(Object.keys(TERM_DRAWINGS).sort());
});
