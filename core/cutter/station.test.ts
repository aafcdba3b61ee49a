import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { plainCutter, type FormCutter } from '../shop/index.ts';
import { exact, measure, pitchOf, knownLength } from '../units/index.ts';
import {
  cutterFor,
  cutterChoiceSchema,
  emptyCutterChoice,
  pickedCutter,
  planCutter,
  type CutterNeed,
} from './index.ts';

const need = (teeth: number, helixDeg = 0): CutterNeed => ({
  teeth,
  pitch: pitchOf('module', exact('1.5')),
  angleDeg: exact(20),
  helixDeg,
  dedendum: 1.875,
});
const form = (teeth: number) => ({
  teeth,
  module: 1.5,
  pressureAngle: Math.PI / 9,
  addendum: 1.5,
  wholeDepth: 3.375,
  thinning: 0,
});
const own: FormCutter = {
  ...plainCutter('x', 'Mine', measure('1.5', 'module')),
  range: { from: 26, to: 34 },
  diameter: measure('60', 'mm'),
};
const station = (
  teeth: number,
  more: { helix?: number; picked?: FormCutter; owned?: readonly FormCutter[] } = {},
) =>
  planCutter({
    choice: { ...emptyCutterChoice(), cutterId: more.picked?.id ?? null },
    count: teeth,
    need: need(teeth, more.helix),
    form: form(teeth),
    picked: more.picked ?? null,
    owned: more.owned ?? [],
    diameter: more.picked ? knownLength(more.picked.diameter) : null,
    path: 'parts.p1',
    teethAt: 'gear.teeth',
  });
const compared = (work: ReturnType<typeof station>) =>
  work.detail.ground!.compare.map(({ name, madeFor }) => `${name} ${madeFor}`);

describe('the cutter station', () => {
  test('the range of a count, up to the rack, in the working; a cutter from the shop says what it cuts, and once', () => {
    // Machinery’s Handbook: 26 to 34, and 135 to a rack
    expect(station(33).working[0]!.put).toBe('26 \\le z \\le 34');
    expect(station(140).working[0]!.put).toBe('135 \\le z');
    const picked = station(30, { picked: own, owned: [own] });
    expect(picked.values.map(({ key }) => key)).toEqual(['cutter', 'covers', 'inchNumber', 'metricNumber']);
    expect(picked.values[1]).toMatchObject({ label: 'It cuts', text: '26 to 34 teeth' });
    expect(picked.issues).toEqual([]);
    const unnamed = { ...own, range: null };
    expect(station(30, { picked: unnamed }).values.map(({ key }) => key)).not.toContain('covers');
  });
  test('a whole number that its halves would relieve is no question to who picked it', () => {
    const whole = { ...own, range: null, number: '4' as const, school: 'inch' as const };
    const half = { ...whole, id: 'h', name: 'Half', number: '3½' as const };
    // 31 lies in the half's 30 to 34: its owner is told beside the cutter, and not asked
    const work = station(31, { picked: whole, owned: [whole, half] });
    expect(work.detail.inForce!.reasons.map(({ code }) => code)).toEqual(['cutter-shrinks']);
    expect(work.issues).toEqual([]);
    expect(work.answer).toBe('Mine');
  });
  test('the cutter that was picked is the job’s own copy, else the one in the shop, else none', () => {
    const choice = { ...emptyCutterChoice(), cutterId: 'x' };
    const other = { ...own, id: 'y', name: 'Other' };
    const copy = { ...own, name: 'Copy' };
    expect(pickedCutter(choice, [other, copy], [own])?.name).toBe('Copy');
    expect(pickedCutter(choice, [other], [other, own])?.name).toBe('Mine');
    expect(pickedCutter(choice, [], [other])).toBeNull();
  });
  test('how a tool goes on below the base circle rests as it was chosen, and as nothing else', () => {
    for (const continuation of ['radial', 'trochoid'] as const) {
      const choice = { ...emptyCutterChoice(), continuation };
      expect(cutterChoiceSchema.parse(choice)).toEqual(choice);
    }
    expect(cutterChoiceSchema.safeParse({ ...emptyCutterChoice(), continuation: 'straight' }).success).toBe(
      false,
    );
    expect(cutterChoiceSchema.safeParse({ ...emptyCutterChoice(), countBy: 'eye' }).success).toBe(false);
  });
  test('how large the cutter is at its pitch line: over all, less what lies below the line on either side', () => {
    expect(station(30).detail.ground!.cutterDiameter).toBeNull();
    expect(station(30, { picked: own, owned: [own] }).detail.ground!.cutterDiameter).toBeCloseTo(
      60 - 2 * need(30).dedendum,
      12,
    );
  });
  test('by number, with its half beside it', () => {
    const work = station(33);
    expect(work.answer).toBe('No. 4 inch, No. 5 metric');
    expect(compared(work)).toEqual(['No. 4 inch, No. 5 metric 26', 'No. 3½ inch 30']);
    expect(work.cautions).toHaveLength(1);
  });

  test('with a cutter of the shop: its name, no caution when its range is engraved', () => {
    const work = station(33, { picked: own, owned: [own] });
    expect([work.answer, work.cautions.length, work.issues.length]).toEqual(['Mine', 0, 0]);
    expect(compared(work)).toEqual(['Mine 26', 'No. 3½ inch 30']);
  });

  test('one out of range is asked about, not forbidden', () => {
    const work = station(40, { picked: own, owned: [own] });
    expect(work.issues).toMatchObject([
      { code: 'cutter-range', severity: 'query', path: 'parts.p1.cutter.cutterId' },
    ]);
    expect(sayIssue(work.issues[0]!)).toBe('It covers 26 to 34 teeth, and this gear is cut as 40 teeth.');
  });

  test('below every set: a single point, set beside the lowest of the set', () => {
    const work = station(9);
    expect(work.answer).toBe('a single-point tool, ground to form');
    expect(work.issues.map(({ code }) => code)).toEqual(['below-cutter-range']);
    expect(compared(work)).toEqual(['No. 8 inch, No. 1 metric 12']);
  });

  test('none that serves: the nearest of the right form is set beside it', () => {
    const far = { ...own, id: 'far', name: 'Far', range: { from: 12, to: 13 } };
    expect(compared(station(40, { owned: [far, own] }))).toContain('Mine 26');
  });

  // 30/cos³30° = 46.19; with a 60 mm cutter of 1.875 dedendum + (56.25/1.5)·tan²30° = 58.69
  test('helical: both counts, the working, and the cutter by the one in force', () => {
    const bare = station(30, { helix: 30 });
    expect(bare.detail.virtual!.book).toBeCloseTo(46.19, 1);
    // of a cutter that is not known nothing is told by its roundness
    expect(bare.detail.virtual!.disk).toBeNull();
    expect(bare.answer).toBe('No. 3 inch, No. 6 metric');
    const known = station(30, { helix: 30, picked: { ...own, range: { from: 55, to: 134 } } });
    expect(known.detail.virtual!.disk).toBeCloseTo(58.69, 1);
    expect(known.detail.inForce!.verdict).toBe('fits');
    expect(known.working.map(({ key }) => key)).toEqual(['virtual', 'virtualDisk', 'range']);
    expect(known.detail.ground!.cutterDiameter).toBeCloseTo(56.25, 9);
  });

  // by z/cos³β: 30 at 16.961° is 34.28, and 17 at 9° is 17.64; by hand, and each between two ranges or at the
  // edge of one
  test.each([
    { teeth: 30, helix: 16.961, virtual: 34.28, number: 'No. 4 inch, No. 5 metric' },
    { teeth: 16, helix: 9.6, virtual: 16.69, number: 'No. 6 inch, No. 3 metric' },
    { teeth: 16, helix: 8, virtual: 16.48, number: 'No. 7 inch, No. 2 metric' },
    { teeth: 50, helix: 14.2, virtual: 54.88, number: 'No. 2 inch, No. 7 metric' },
    { teeth: 12, helix: 5, virtual: 12.14, number: 'No. 8 inch, No. 1 metric' },
    { teeth: 11, helix: 11, virtual: 11.63, number: 'No. 8 inch, No. 1 metric' },
  ])('$teeth teeth at $helix° are cut as $virtual: $number', ({ teeth, helix, virtual, number }) => {
    const work = station(teeth, { helix });
    expect(work.detail.virtual!.book).toBeCloseTo(virtual, 2);
    expect(work.answer).toBe(number);
    expect(work.detail.set.filter(({ covers }) => covers)).toHaveLength(1);
    expect(work.issues.map(({ code }) => code)).toEqual(['cutter-diameter-unknown']);
  });

  test('no count, whole or not, falls between two ranges; which rule made it is said', () => {
    for (let count = 11.5; count < 200; count += 0.01) expect(cutterFor(count)).not.toBeNull();
    expect(cutterFor(11.49)).toBeNull();
    const shown = (work: ReturnType<typeof station>) => work.values.find(({ key }) => key === 'cutAs');
    expect(shown(station(30, { helix: 30 }))).toMatchObject({ text: '46.2 teeth, by the book' });
    const low = { ...own, range: { from: 26, to: 34 } };
    const known = station(30, { helix: 30, picked: low, owned: [low] });
    expect(shown(known)).toMatchObject({ text: '58.7 teeth, by the cutter’s own roundness' });
    expect(known.issues.map(sayIssue)).toContain(
      'It covers 26 to 34 teeth, and this gear is cut as 58.7 teeth, by the cutter’s own roundness.',
    );
  });

  test('with nothing known it waits', () => {
    const work = planCutter({
      choice: emptyCutterChoice(),
      ...{ count: null, need: null, form: null, picked: null, owned: [own], diameter: null },
      ...{ path: 'parts.p1', teethAt: 'gear.teeth' },
    });
    expect([work.answer, work.facts, work.detail.ground]).toEqual(['waits for the tooth count', null, null]);
  });
});
