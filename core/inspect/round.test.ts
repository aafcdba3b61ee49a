import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { readRound } from './index.ts';

const read = (typed: string, unit: 'mm' | 'in' = 'mm') =>
  need(readRound({ typed, unit })).map((mm) => Number(mm.toFixed(4)));

describe('indicator readings as they are written down', () => {
  test('in the job’s own unit, with commas, semicolons or spaces between', () => {
    expect(read('0 .02 .05 -.01')).toEqual([0, 0.02, 0.05, -0.01]);
    expect(read('0; .02; .05')).toEqual([0, 0.02, 0.05]);
    expect(read('0 .001 .002', 'in')).toEqual([0, 0.0254, 0.0508]);
  });
  test('a unit behind the last is meant for all that have none of their own', () => {
    // × 25.4
    expect(read('0 .002 .007 .003 in')).toEqual([0, 0.0508, 0.1778, 0.0762]);
    expect(read('0 2 7 thou')).toEqual([0, 0.0508, 0.1778]);
    expect(read('0 .02mm .007 in')).toEqual([0, 0.02, 0.1778]);
    expect(read('0 .02 .05 mm', 'in')).toEqual([0, 0.02, 0.05]);
  });
  test('two readings are no round, whatever their unit; a word that is none is told', () => {
    expect(readRound({ typed: '0 .007 in', unit: 'mm' })).toMatchObject({
      issues: [{ code: 'readings-few', given: '2' }],
    });
    expect(readRound({ typed: '0 .007 .01 ell', unit: 'mm' }).ok).toBe(false);
    expect(need(readRound({ typed: ' in ', unit: 'mm' }))).toEqual([]);
  });
});
