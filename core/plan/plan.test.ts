import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { NO_EQUIPMENT, STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  beforeCutting,
  plan,
  refusals,
  reopenStation,
  settleOpen,
  settleStation,
  stationOf,
} from './index.ts';

const job = drawnSpurJob({
  id: 'j1',
  name: 'Lens drive, second wheel',
  pitch: '1.25',
  teeth: 58,
  face: '12',
  bore: '10',
});
const NO_SHOP = NO_EQUIPMENT;
const planned = (changed: Job = job) => plan(changed, STOCK_EQUIPMENT).parts[0]!;
const answers = (changed?: Job) =>
  Object.fromEntries(planned(changed).stations.map(({ id, answer }) => [id, answer]));
const states = (changed?: Job) =>
  // what is measured comes after the mill, and is nobody's to settle before
  Object.fromEntries(beforeCutting(planned(changed)).map(({ id, state }) => [id, state]));
const change = (edit: (part: SpurPart) => Partial<SpurPart>, from: Job = job) =>
  withSpurPart(from, 'p1', (part) => ({ ...part, ...edit(part) }));
const teeth = (typed: string, from?: Job) =>
  change((part) => ({ gear: { ...part.gear, teeth: measure(typed, 'count') } }), from);
const pitch = (typed: string, from?: Job) =>
  change((part) => ({ gear: { ...part.gear, pitch: measure(typed, 'module') } }), from);
const sentences = (changed: Job, path: string) =>
  planned(changed)
    .stations.flatMap(({ issues }) => issues)
    .filter((issue) => issue.path === path)
    .map(sayIssue);

describe('a spur gear from its drawing', () => {
  test('every station answers in one line', () => {
    expect(answers()).toEqual({
      gear: '58 teeth, m 1.25, 20°',
      blank: 'Ø 75.00 × 12.00',
      cutter: 'No. 2 inch, No. 7 metric',
      dividing: '20 spaces on 29',
      setup: 'waits for the cutter’s size',
      cut: '1 pass, 2.81 deep',
      inspect: 'span 25.001 over 7 teeth',
    });
    expect(planned().cutting).toMatchObject({
      divisions: 58,
      startSpace: 1,
      rounds: [{ name: 'one', depthMm: 2.8125 }],
    });
  });

  test('in inches the same answers read in inches', () => {
    expect(answers({ ...job, units: 'in' })).toMatchObject({
      blank: 'Ø 2.953 × 0.472',
      cut: '1 pass, 0.111 deep',
    });
  });

  test('every length shows its working, and the working says where its formula is from', () => {
    const gear = stationOf(planned(), 'gear')!;
    const depth = gear.working.find(({ key }) => key === 'wholeDepth')!;
    expect(depth).toMatchObject({
      formula: 'h = 2.25\\,m',
      put: '2.25 \\times 1.25',
      source: 'ISO 53:1998, profile A',
    });
    for (const { working } of planned().stations)
      for (const line of working) expect(line.source).not.toBe('');
  });

  test('other schools stand beside the depth in force', () => {
    const { otherDepths } = stationOf(planned(), 'gear')!.detail;
    expect(otherDepths).toHaveLength(7);
    expect(otherDepths.filter(({ inForce }) => inForce).map(({ name }) => name)).toEqual([
      'ISO 53 profile A, 2.25 m',
    ]);
  });

  test('rough and finish: the finish leaves what was asked', () => {
    const two = change((part) => ({ cut: { ...part.cut, passes: 'rough-finish' } }));
    expect(answers(two)['cut']).toBe('2 passes: 2.31 + 0.50');
    const tooMuch = change((part) => ({
      cut: { ...part.cut, passes: 'rough-finish', finishStock: measure('3', 'mm') },
    }));
    expect(sentences(tooMuch, 'parts.p1.cut.finishStock')[0]).toMatch(
      /must be more than zero and less than the whole depth, 2\.81 mm/,
    );
  });

  test('the plan is plain data: it survives being sent', () => {
    const whole = plan(job, STOCK_EQUIPMENT);
    expect(JSON.parse(JSON.stringify(whole))).toEqual(whole);
  });
});

describe('choices and doubt', () => {
  const settledAll = settleOpen(job, planned());

  test('settling keeps the answer; nothing is in doubt until an answer moves', () => {
    expect(new Set(Object.values(states(settledAll)))).toEqual(new Set(['settled']));
    expect(states()).toMatchObject({ gear: 'open' });
  });

  test('a change upstream puts what it touches in doubt and says what moved', () => {
    const moved = teeth('60', settledAll);
    expect(states(moved)).toEqual({
      gear: 'doubt',
      blank: 'doubt',
      cutter: 'settled',
      dividing: 'doubt',
      cut: 'settled',
    });
    const blank = stationOf(planned(moved), 'blank')!;
    expect(blank.moved).toEqual([
      { key: 'tipDiameter', label: 'Blank diameter', from: '75.00 mm', to: '77.50 mm' },
    ]);
    // the way chosen for 58 is not replaced silently
    expect(stationOf(planned(moved), 'dividing')!.answer).toBe('choose a way again');
    expect(planned(moved).cutting).toBeNull();
  });

  test('going back settles again by itself; showing other units moves nothing', () => {
    expect(new Set(Object.values(states(teeth('58', teeth('60', settledAll)))))).toEqual(
      new Set(['settled']),
    );
    expect(new Set(Object.values(states({ ...settledAll, units: 'in' })))).toEqual(new Set(['settled']));
  });

  test('a new plate on the head never takes the place of a settled way', () => {
    const head = STOCK_HEADS[0]!;
    const richer = {
      ...head,
      plates: [...head.plates, { id: 'plate-e', name: 'E', sides: [{ circles: [58] }], made: false }],
      mounted: { plateId: 'plate-e', side: 0 as const },
    };
    const now = { ...settledAll, equipment: { ...settledAll.equipment, heads: [richer] } };
    expect(answers(now)['dividing']).toBe('20 spaces on 29');
    expect(stationOf(planned(now), 'dividing')!.detail.methods[0]!.ways.map(({ words }) => words)).toContain(
      '40 spaces on 58',
    );
  });

  test('a station can be opened again', () => {
    expect(states(reopenStation(settledAll, 'p1', 'blank'))['blank']).toBe('open');
  });

  test('a question is asked until it is settled, then not again', () => {
    const slip = pitch('14');
    expect(states(slip)['blank']).toBe('doubt');
    expect(sentences(slip, 'parts.p1.gear.pitch')[0]).toMatch(
      /^m 14 with these figures is a blank of Ø 840\.00 mm/,
    );
    const settled = settleStation(slip, 'p1', stationOf(planned(slip), 'blank')!);
    expect(states(settled)['blank']).toBe('settled');
  });

  test('the job keeps its own copy of the head, and says when the shop has changed or lost it', () => {
    const changedShop = { ...STOCK_EQUIPMENT, heads: [{ ...STOCK_HEADS[0]!, plates: [] }] };
    expect(plan(job, changedShop).findings.map(({ code }) => code)).toEqual(['head-changed']);
    expect(plan(job, NO_SHOP).findings.map(({ code }) => code)).toEqual(['head-left-shop']);
    expect(plan(job, NO_SHOP).parts[0]!.cutting).not.toBeNull();
    expect(plan({ ...job, equipment: NO_SHOP }, STOCK_EQUIPMENT).parts[0]!.cutting).not.toBeNull();
  });
});

describe('bad input: a sentence at the field, the other stations keep working', () => {
  test.each([
    ['0', /out of range\. It runs from 4 to 1000/],
    ['-5', /out of range/],
    ['12.5', /must be a whole number/],
    ['99999999999999999999', /is beyond anything that is cut/],
    ['many', /cannot be read/],
  ])('%s teeth', (typed, sentence) => {
    const wrong = teeth(typed);
    expect(sentences(wrong, 'parts.p1.gear.teeth')[0]).toMatch(sentence);
    expect(refusals(plan(wrong, STOCK_EQUIPMENT))).toHaveLength(1);
    expect(planned(wrong).cutting).toBeNull();
    expect(stationOf(planned(wrong), 'blank')!.values.map(({ key }) => key)).toEqual(['faceWidth', 'bore']);
  });

  test('a wrong pitch leaves cutter and dividing answering', () => {
    expect(answers(pitch('wide'))).toMatchObject({
      cutter: 'No. 2 inch, No. 7 metric',
      dividing: '20 spaces on 29',
    });
  });

  test('a bore larger than the root', () => {
    const wide = change((part) => ({ blank: { ...part.blank, bore: measure('70', 'mm') } }));
    expect(sentences(wide, 'parts.p1.blank.bore')[0]).toMatch(/larger than the root, Ø 69\.38 mm/);
    expect(planned(wide).cutting).toBeNull();
    const thin = change((part) => ({ blank: { ...part.blank, bore: measure('65', 'mm') } }));
    expect(sentences(thin, 'parts.p1.blank.bore')[0]).toMatch(/^Only 2\.19 mm of metal/);
    const solid = change((part) => ({ blank: { ...part.blank, bore: measure('0', 'mm') } }));
    expect(sentences(solid, 'parts.p1.blank.bore')).toEqual([]);
    const less = change((part) => ({ blank: { ...part.blank, bore: measure('-1', 'mm') } }));
    expect(sentences(less, 'parts.p1.blank.bore')[0]).toMatch(/A bore is 0 \(solid\) or more/);
  });

  test('depths: stamped in the wrong unit, less than twice the addendum, past the centre', () => {
    const stamped = (typed: string) =>
      change((part) => ({
        gear: { ...part.gear, depth: { ...part.gear.depth, stamped: measure(typed, 'mm') } },
      }));
    expect(sentences(stamped('.111'), 'parts.p1.gear.depth.stamped')[0]).toMatch(
      /leaves no clearance: it must be more than twice the addendum, 2\.500 mm/,
    );
    expect(sentences(stamped('3.6'), 'parts.p1.gear.depth.stamped')[0]).toMatch(/is 2\.88 of the module/);
    expect(sentences(stamped('40'), 'parts.p1.gear.depth.stamped').join()).toMatch(/past the centre/);
    expect(answers(stamped('.111 in'))['cut']).toBe('1 pass, 2.82 deep');
    const typed = change((part) => ({
      gear: {
        ...part.gear,
        depth: {
          ...part.gear.depth,
          rule: 'typed',
          wholeDepth: measure('2.7', 'mm'),
          addendum: measure('1.25', 'mm'),
          readFrom: 'the print',
        },
      },
    }));
    expect(answers(typed)['cut']).toBe('1 pass, 2.70 deep');
  });

  test('nothing given yet is open, not wrong', () => {
    const empty = teeth('', pitch(''));
    expect(refusals(plan(empty, STOCK_EQUIPMENT))).toEqual([]);
    expect(answers(empty)).toMatchObject({
      gear: 'pitch and teeth needed',
      blank: 'waits for the gear',
      dividing: 'waits for the count',
    });
  });

  test('few teeth: undercut and no cutter are noted, not forbidden', () => {
    const pinion = teeth(
      '8',
      change((part) => ({ blank: { ...part.blank, bore: measure('0', 'mm') } })),
    );
    expect(sentences(pinion, 'parts.p1.gear.teeth').join(' ')).toMatch(
      /undercut.*Standard sets start at 12 teeth/,
    );
    expect(answers(pinion)['cutter']).toBe('a single-point tool, ground to form');
    expect(planned(pinion).cutting).not.toBeNull();
    expect(states(settleOpen(pinion, planned(pinion)))['cutter']).toBe('settled');
  });

  test('the start space', () => {
    const start = (typed: string) =>
      change((part) => ({ cut: { ...part.cut, startSpace: measure(typed, 'count') } }));
    expect(planned(start('15')).cutting?.startSpace).toBe(15);
    expect(sentences(start('59'), 'parts.p1.cut.startSpace')[0]).toBe(
      'The run cannot start at 59. Tooth spaces run from 1 to 58.',
    );
  });
});
