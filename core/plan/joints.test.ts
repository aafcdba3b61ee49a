import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import {
  drawnHelicalJob,
  drawnSpurJob,
  duplicateJob,
  newSpurJob,
  takeSample,
  withHand,
  withMatePart,
  withPressureAngle,
  withRunBegun,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { plan, stationOf } from './index.ts';

const gear = (id: string, pitch = '2') =>
  drawnSpurJob({ id, name: 'Gear', pitch, teeth: 24, face: '12', bore: '8' });
const station = <Id extends 'gear' | 'cutter' | 'inspect'>(job: Job, id: Id) =>
  stationOf(plan(job, STOCK_EQUIPMENT).parts[0]!, id)!;
const sayings = (job: Job) => plan(job, STOCK_EQUIPMENT).findings.map(sayIssue);

describe('a pair may not disagree in silence', () => {
  const mated = withMatePart({
    job: withSpurPart(gear('j'), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, mate: { ...part.gear.mate, teeth: measure('36', 'count') } },
    })),
    partId: 'p1',
    crossed: null,
  });
  const pair = mated.job;
  const other = mated.mateId!;
  const change = (how: (part: SpurPart) => SpurPart) => withSpurPart(pair, other, how);
  test('alike, nothing is said', () => expect(sayings(pair)).toEqual([]));
  test('pressure angle, pitch, depth: each is told with both figures', () => {
    expect(
      sayings(change((part) => ({ ...part, gear: { ...part.gear, pressureAngle: measure('14.5', 'deg') } }))),
    ).toEqual([expect.stringMatching(/^The two gears of this pair have pressure angles of 20° and 14° 30′/)]);
    expect(
      sayings(change((part) => ({ ...part, gear: { ...part.gear, pitch: measure('12', 'dp') } })))[0],
    ).toMatch(/^The two gears of this pair are m 2 and 12 DP: they do not run together/);
    const stamped = change((part) => ({
      ...part,
      gear: { ...part.gear, depth: { ...part.gear.depth, rule: 'form-2.157' } },
    }));
    expect(sayings(stamped)).toEqual([
      expect.stringMatching(
        /^The two gears of this pair go by different depths, 2\.25 and 2\.157 of the module/,
      ),
    ]);
  });
  test('the angle asked at the door for two shafts goes on both', () => {
    const both = withPressureAngle(pair, 'p1', measure('14.5', 'deg'));
    expect(both.parts.map((part) => (part.kind === 'spur' ? part.gear.pressureAngle.typed : ''))).toEqual([
      '14.5',
      '14.5',
    ]);
    expect(sayings(both)).toEqual([]);
  });
});

describe('the hand of a helical sample', () => {
  const sampled = (helixDeg: number) =>
    takeSample(newSpurJob({ id: 'j', name: 'J', units: 'mm', shop: STOCK_EQUIPMENT }, 'sample'), 'p1', {
      system: 'module',
      pitch: 'm 2',
      figure: '2',
      module: 2,
      angleDeg: 20,
      stub: false,
      teeth: 24,
      helixDeg,
      tipDiameter: 55,
      cost: 0,
      tied: true,
      fits: [],
    });
  const asked = (job: Job) => station(job, 'gear').issues.filter(({ code }) => code === 'hand-unasked');
  test('is asked, and stands as a query until it is answered; a straight one asks nothing', () => {
    expect(asked(sampled(20))).toMatchObject([
      { severity: 'query', path: 'parts.p1.arrival.sample.hand', given: 'right' },
    ]);
    expect(asked(sampled(0))).toEqual([]);
    const told = withSpurPart(sampled(20), 'p1', (part) => withHand(part, 'left'));
    expect(asked(told)).toEqual([]);
    expect(told.parts[0]).toMatchObject({ gear: { hand: 'left' }, arrival: { sample: { hand: 'left' } } });
  });
});

describe('one cutter in force, from wherever it comes', () => {
  const leaning = drawnHelicalJob(
    { id: 'j', name: 'Fan', pitch: '1', teeth: 30, face: '16', bore: '10' },
    '30',
  );
  test('typed at Set-up and not owned, it decides the helical count by the disk rule', () => {
    // 30/cos³30° = 46.19 by the book; with Dp = 52.5 − 2·1.25 = 50 at the pitch line, + 50·tan²30° = 16.67
    // more
    const book = station(leaning, 'cutter');
    expect(book.detail.virtual!.book).toBeCloseTo(46.188, 3);
    expect(book.issues.map(sayIssue).join()).toMatch(
      /The diameter of the cutter is not known, so the count is the book’s, 46\.2/,
    );
    const typed = station(
      withSpurPart(leaning, 'p1', (part) => ({
        ...part,
        setup: { ...part.setup, cutterDiameter: measure('52.5', 'mm') },
      })),
      'cutter',
    );
    expect(typed.detail.virtual!.disk).toBeCloseTo(62.855, 3);
    expect(typed.answer).toBe('No. 2 inch, No. 7 metric');
    expect(book.answer).toBe('No. 3 inch, No. 6 metric');
    expect(typed.issues.map(({ code }) => code)).not.toContain('cutter-diameter-unknown');
  });
});

describe('what belongs to one piece', () => {
  const measured = withSpurPart(gear('j'), 'p1', (part) => ({
    ...part,
    blank: { ...part.blank, measured: measure('52.1', 'mm') },
    inspect: {
      ...part.inspect,
      depth: measure('4.4', 'mm'),
      span: measure('15.6', 'mm'),
      tolerance: measure('0.02', 'mm'),
    },
  }));
  test('a duplicate copies neither readings nor the blank as it was turned', () => {
    const [copy] = duplicateJob(measured, 'k', 'Copy').parts as SpurPart[];
    expect([copy!.blank.measured.typed, copy!.inspect.depth.typed, copy!.inspect.span.typed]).toEqual([
      '',
      '',
      '',
    ]);
    expect(copy!.inspect.tolerance.typed).toBe('0.02');
  });
  test('a depth read after sinking is judged by the sunk depth; a fresh piece by the card’s', () => {
    const sunk = withRunBegun(withRunBegun(measured, 'p1', { by: 0.1 }), 'p1', { by: 0.05 });
    const [part] = sunk.parts as SpurPart[];
    expect([part!.inspect.sunk.typed, part!.inspect.depth.typed]).toEqual(['0.15', '']);
    const should = (job: Job) =>
      station(job, 'inspect').detail.checks.find(({ id }) => id === 'depth')!.should;
    expect(should(sunk) - should(measured)).toBeCloseTo(0.15, 9);
    expect(should(withRunBegun(sunk, 'p1', null))).toBeCloseTo(should(measured), 9);
  });
});
