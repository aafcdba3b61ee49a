import { describe, expect, test } from '@jest/globals';
import type { Run } from '../run/index.ts';
import { gashedWheel, jobOfRack, splinedShaft } from '../sampleBench.ts';
import { begin, freeze, shop, three } from '../sampleRuns.ts';
import { STOCK_ROTARY } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { causesOf, SYMPTOMS, symptomText, troubleFacts, type SymptomId } from './index.ts';

describe('work that is no gear, and moves without arms', () => {
  const causes = (run: Run, id: SymptomId) =>
    causesOf(id, {
      facts: troubleFacts(run, { next: null, last: null, doneCuts: [] }),
      part: 0.5,
      units: 'mm',
    });
  const keys = (run: Run, id: SymptomId) => causes(run, id).map(({ key }) => key);
  const splines = begin(splinedShaft(), shop);
  const round = (spacing: Readonly<Record<string, unknown>>) => begin(splinedShaft(spacing), shop);
  const wheel = begin(gashedWheel(), shop);

  test('eight splines by five whole turns: no arms, no circle; a turn more or fewer, and the worm', () => {
    expect(keys(splines, 'drift')).toEqual(['ratio']);
    expect(causes(splines, 'drift')[0]).toMatchObject({
      cause: 'The worm of this head is not one of 40 to 1',
      test: 'Mark the spindle, and turn 40 times round to the same hole: the mark must come back.',
    });
    // 40 over 6 and over 4
    expect(causes(splines, 'count')[0]!.cause).toBe(
      'A turn too many in each move gives 6.67, a turn too few 10',
    );
    expect(causes(splines, 'end-tooth')[1]!.test).toMatch(/^All spline spaces are good but one/);
    // 0.1 of a radius of 20
    expect(causes(splines, 'lean')[0]!.cause).toBe(
      'The cutter stands beside the middle, and every spline space as much: 0.100 mm is 0° 17′ 11″ at the outside',
    );
    expect([keys(splines, 'tight'), keys(splines, 'loose')]).toEqual([
      ['narrow', 'shallow'],
      ['wide', 'deep'],
    ]);
  });

  test('flats: half of what is over across; nothing comes of a cutter beside the middle; holes fit nothing', () => {
    const flats = round({ what: 'flats', acrossFlats: measure('36', 'mm'), depth: measure('', 'mm') });
    expect(causes(flats, 'tight')).toMatchObject([
      { key: 'shallow', mend: expect.stringContaining('sink half of what it is over across') },
    ]);
    expect(keys(flats, 'lean')).not.toContain('off-centre');
    const holes = round({ what: 'holes', depth: measure('', 'mm') });
    expect([keys(holes, 'tight'), keys(holes, 'loose')]).toEqual([[], []]);
  });

  test('a worm wheel: its worm is the gauge, and the depth counts from the touch that was planned', () => {
    // one turn: none fewer can be made
    expect(causes(wheel, 'count')[0]!.cause).toBe('A turn too many in each move gives 20');
    expect(keys(wheel, 'tight')).toEqual(['shallow', 'touch', 'close']);
    // from the corners, which stand higher, the throat’s 4.4 is too little
    expect(causes(wheel, 'tight')[1]!.cause).toBe(
      'It went only as deep from the corners as it should from the throat: 5.315 mm is meant from the corners',
    );
    expect(keys(wheel, 'loose')).toEqual(['deep', 'touch', 'apart']);
    expect(causes(wheel, 'loose')[1]!.cause).toBe(
      'The depth of 5.315 mm was counted from the throat, and it is meant from the corners, which the cutter meets first',
    );
    // a cutter that goes into the hollow meets the throat, and nothing is counted from lower still
    const small = begin(gashedWheel({ cutter: '18' }), shop);
    expect(causes(small, 'tight')[1]!.cause).toBe(
      'The depth of 4.400 mm was counted from the corners, and it is meant from the throat',
    );
    expect(keys(small, 'loose')).toEqual(['deep', 'apart']);
    // a plain rim has no other touch; without a known mill nothing is laid, and it is a wheel all the same
    expect(keys(begin(gashedWheel({ rim: 'plain' }), shop), 'tight')).toEqual(['shallow', 'close']);
    expect(keys({ ...wheel, laid: null }, 'tight')).toContain('touch');
    expect(keys(wheel, 'lean')).toEqual(['off-centre', 'laid', 'along', 'stack']);
    expect(causes(wheel, 'nick')[0]!.mend).toBe('Draw the cutter out past the touch before unlocking.');
    expect(keys(wheel, 'nick')).toEqual(['early']);
    // no span is to be had on it
    const said = SYMPTOMS.flatMap(({ id }) => causes(wheel, id)).map(({ test: by, mend }) => by + mend);
    expect(said.join(' ')).not.toMatch(/Span or pins|Inspect|mate/);
  });

  test('what is no tooth is not called one; a wheel and a rack have teeth', () => {
    const said = (run: Run) =>
      SYMPTOMS.map((symptom) =>
        symptomText(symptom, troubleFacts(run, { next: null, last: null, doneCuts: [] })),
      );
    expect(said(splines).join(' ')).not.toMatch(/tooth|teeth/);
    expect(said(splines)).toContain('Each one is a little off');
    for (const run of [wheel, begin(jobOfRack(), shop)])
      expect(said(run)).toContain('Every tooth is a little off');
  });

  test('by wheel, by motor and by the ring nothing is said of a circle', () => {
    const rotary = { head: STOCK_ROTARY, count: 53 };
    expect(causes(freeze(rotary, 'handwheel'), 'drift')).toMatchObject([
      { key: 'ratio', test: expect.stringContaining('turn 90 times round to the same reading') },
    ]);
    expect(causes(freeze(rotary, 'stepper'), 'drift')).toMatchObject([
      { key: 'setting', cause: 'The controller does not make 144000 steps for one turn of the work' },
    ]);
    const ring = freeze({ head: three, count: 24 }, 'direct');
    expect(causes(ring, 'drift')).toMatchObject([
      { key: 'ring', cause: 'The pin is in another ring than the one of 24 holes' },
    ]);
    expect(keys(ring, 'end-tooth')).toEqual(['crept', 'miscount']);
  });
});
