import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import type { InspectInput } from './index.ts';
import { spanToMeasure } from './span.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const GEAR = { id: 'g', name: 'Gear', pitch: '2', teeth: 30, face: '20', bore: '12' };
const withReadings = (job: Job, readings: Partial<Record<keyof InspectInput, string>>): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    inspect: {
      ...part.inspect,
      ...Object.fromEntries(Object.entries(readings).map(([key, typed]) => [key, measure(typed, 'mm')])),
    },
  }));
const inspected = (readings: Partial<Record<keyof InspectInput, string>> = {}, job = drawnSpurJob(GEAR)) =>
  stationOf(plan(withReadings(job, readings), STOCK_EQUIPMENT).parts[0]!, 'inspect')!;
const checkOf = (id: string, ...args: Parameters<typeof inspected>) =>
  inspected(...args).detail.checks.find((check) => check.id === id)!;

test('a reading that cannot be read is asked for at its field, and nothing is settled by the others', () => {
  const odd = inspected({ span: '21.5', chordal: 'three' });
  expect(odd.complete).toBe(false);
  expect(odd.issues.map(({ path, severity }) => `${severity} ${path}`)).toContain(
    'wrong parts.p1.inspect.chordal',
  );
  expect(inspected({ span: '21.5' }).complete).toBe(true);
});

test('of flanks that no jaws touch it is said so, not that the face is too narrow', () => {
  const gear = { teeth: 30, module: 2, pressureAngle: rad(20), helixAngle: rad(20) };
  const off = spanToMeasure(gear, { from: 40, to: 41, face: 100 }, 0);
  expect(off.out).toBe('jaws-off');
  expect(spanToMeasure(gear, { from: 29, to: 34, face: 1 }, 0).out).toBe('face-narrow');
  expect(spanToMeasure(gear, { from: 29, to: 34, face: 100 }, 0).out).toBeNull();
  // a face that is not known is no hindrance
  expect(spanToMeasure(gear, { from: 29, to: 34, face: null }, 0).out).toBeNull();
});

describe('what a tolerance of the tooth lets each tool read', () => {
  const inv = (a: number) => Math.tan(a) - a;
  /**
   * M over pins of 3.456 on 30 teeth of module 2, the tooth thicker by so much: by halving, from the
   * definition.
   */
  const pinsOver = (thicker: number) => {
    const wanted = inv(rad(20)) + 3.456 / (60 * Math.cos(rad(20))) - Math.PI / 60 + thicker / 60;
    let [low, high] = [0, 1];
    for (let i = 0; i < 200; i += 1) {
      const middle = (low + high) / 2;
      if (inv(middle) < wanted) low = middle;
      else high = middle;
    }
    return (60 * Math.cos(rad(20))) / Math.cos(low) + 3.456;
  };
  // 0.03 mm of the tooth is the usual tolerance: common practice
  test('a span the cosine of it, a chord nearly all, pins more than twice as much', () => {
    expect(checkOf('span').within).toBeCloseTo(0.03 * Math.cos(rad(20)), 9);
    expect(checkOf('chordal').within).toBeCloseTo(0.03 * Math.cos(Math.PI / 60), 9);
    expect(checkOf('pins').within).toBeCloseTo((0.03 * (pinsOver(1e-5) - pinsOver(-1e-5))) / 2e-5, 5);
    expect(checkOf('pins').within! / 0.03).toBeGreaterThan(2.3);
    expect(checkOf('outside').within).toBeNull();
    expect(checkOf('span', { tolerance: '0.01' }).within).toBeCloseTo(0.01 * Math.cos(rad(20)), 9);
  });
  test('a chord as long as the pitch circle is wide, or longer, is of no tooth', () => {
    // the diameter is 60 mm
    expect(checkOf('chordal', { chordal: '59.99' }).thick).not.toBeNull();
    for (const chordal of ['60', '61']) expect(checkOf('chordal', { chordal }).thick).toBeNull();
  });
  test('the tools that are in the shop are marked: a gear caliper for the chord, a disk micrometer or a caliper for the span', () => {
    const owning = (tools: readonly string[]) =>
      Object.fromEntries(
        stationOf(
          plan(drawnSpurJob(GEAR), { ...STOCK_EQUIPMENT, tools: tools as never }).parts[0]!,
          'inspect',
        )!.detail.checks.map(({ id, owned }) => [id, owned]),
      );
    expect(owning(['gear-caliper'])).toEqual({
      outside: false,
      depth: false,
      chordal: true,
      span: false,
      pins: false,
    });
    expect(owning(['caliper'])).toMatchObject({ outside: true, span: true, chordal: false });
    expect(owning(['disk-micrometer'])).toMatchObject({ span: true, outside: false });
    expect(owning(['pins', 'depth-gauge'])).toMatchObject({ pins: true, depth: true, span: false });
  });
  test('72 readings round are the most, 3 the fewest', () => {
    const round = (many: number) =>
      stationOf(
        plan(
          withSpurPart(drawnSpurJob(GEAR), 'p1', (part) => ({
            ...part,
            inspect: {
              ...part.inspect,
              round: {
                what: 'span',
                readings: { typed: Array.from({ length: many }, () => '21.5').join(' '), unit: 'mm' },
              },
            },
          })),
          STOCK_EQUIPMENT,
        ).parts[0]!,
        'inspect',
      )!;
    expect(round(72).issues).toEqual([]);
    expect(round(3).detail.round).not.toBeNull();
    for (const many of [2, 73])
      expect(round(many).issues.map(sayIssue)).toEqual([
        `${many} readings cannot tell which way it is off. Give 3 to 72, at equal steps once round: 0 .02 .05 .02.`,
      ]);
  });
  test('the station is complete with a reading that can be read, and not without', () => {
    expect(inspected({ span: '21.5' }).complete).toBe(true);
    expect(inspected({ runout: '0.02' }).complete).toBe(true);
    expect(inspected({ span: '21.5', pins: 'x' }).complete).toBe(false);
    expect(inspected().complete).toBe(false);
  });
  test('the working of a reading: the rule read the other way, by whichever tool', () => {
    const line = (readings: Parameters<typeof inspected>[0]) =>
      inspected(readings).working.find(({ key }) => key === 'thick');
    expect(line({ span: '21.6' })).toMatchObject({ put: '\\frac{21.6 - 21.5053}{\\cos 20^\\circ}' });
    expect(line({ chordal: '3.2' })!.put).toBe('\\text{the tooth whose chord is } 3.2');
    expect(line({ pins: '65' })!.put).toBe('\\text{the tooth over which pins read } 65');
    expect(line({ depth: '4.45' })!.put).toMatch(/^\\frac\{2\(4\.5 - 4\.45\)\\sin\(/);
    // an outside says nothing of the tooth
    expect(line({ outside: '63.9' })).toBeUndefined();
  });
});
