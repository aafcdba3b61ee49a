import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import { measure } from '../units/index.ts';
import {
  plainCutter,
  readCircles,
  readSize,
  readTable,
  STOCK_EQUIPMENT,
  unitsOfCutter,
  unitsOfSize,
} from './index.ts';

const said = (read: ReturnType<typeof readSize>) =>
  read.ok ? read.value : read.issues.map(sayIssue).join(' ');
const inch = { units: 'in', what: 'The diameter' } as const;
const metric = { units: 'mm', what: 'The diameter' } as const;

describe('a bare figure is in the units of the thing it is a size of', () => {
  test('a cutter of a diametral pitch is an inch cutter, one by module a metric one', () => {
    expect(unitsOfCutter({ pitch: measure('12', 'dp') })).toBe('in');
    expect(unitsOfCutter({ pitch: measure('M1.5', 'module') })).toBe('mm');
    expect(readSize('5 1/8', 'diameter', inch)).toEqual({ ok: true, value: measure('5 1/8', 'in') });
    expect(readSize('60', 'diameter', metric)).toEqual({ ok: true, value: measure('60', 'mm') });
    expect(unitsOfSize(measure('', 'mm'), 'in')).toBe('in');
    expect(unitsOfSize(measure('1/2', 'in'), 'mm')).toBe('in');
  });
  test('what cannot be that is asked about, with the other reading; its unit written behind it settles it', () => {
    expect(said(readSize('63', 'diameter', inch))).toBe(
      'The diameter of 63 in? It runs from 0.394 in to 15.748 in. If 63 mm is meant, write it so; with its unit behind it any figure is taken.',
    );
    expect(said(readSize('2.5', 'diameter', metric))).toMatch(
      /^The diameter of 2\.5 mm\? .* If 2\.5 in is meant, write it so/,
    );
    expect(readSize('63 mm', 'diameter', inch)).toEqual({ ok: true, value: measure('63', 'mm') });
    expect(readSize('500 mm', 'diameter', metric).ok).toBe(true);
    expect(readSize('', 'diameter', inch)).toEqual({ ok: true, value: measure('', 'mm') });
    expect(said(readSize('-3', 'diameter', metric))).toMatch(/more than zero/);
  });
  test('a row of a table of inch cutters may leave the unit out', () => {
    const cutter = { ...plainCutter('c', 'Any', measure('12', 'dp')) };
    const shop = { ...STOCK_EQUIPMENT, cutters: [cutter] };
    const read = need(
      readTable(
        'cutters',
        [
          ['cutter', 'pitch', 'diameter'],
          ['Any', '12 DP', '2 3/8'],
        ],
        shop,
      ),
    );
    expect(read.equipment.cutters[0]!.diameter).toEqual(measure('2 3/8', 'in'));
  });
});

test('circles with a dash between them are answered with the way to write them', () => {
  const why = (typed: string) => {
    const read = readCircles(typed);
    return read.ok ? read.value.join() : read.issues.map(sayIssue).join(' ');
  };
  expect(why('15-20')).toBe(
    '“15-20” can be read as two circles or as all from one to the other. Write each by itself: 15 20, or 15 16 17 18 19 20.',
  );
  expect(why('21 - 49')).toMatch(/Write each by itself: 21 49\.$/);
  expect(why('15 16, 17;18/19|20')).toBe('15,16,17,18,19,20');
});
