import { describe, expect, test } from '@jest/globals';
import { readGear, type GearInput } from '../gear/index.ts';
import { sayIssue } from '../messages/index.ts';
import { jobFileText, newSpurJob, readJobFile, withSpurPart } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { measure, type Unit } from '../units/index.ts';
import { emptyArrival, judgeRoom, planArrival, type Arrival, type ArrivalBy } from './index.ts';

const fresh = (by: ArrivalBy = 'drawing', units: 'mm' | 'in' = 'mm') =>
  newSpurJob({ id: 'j', name: 'Any', units, shop: STOCK_EQUIPMENT }, by).parts[0] as SpurPart;

/** An arrival with some of its fields given, by name. */
function given<By extends Exclude<ArrivalBy, 'drawing'>>(
  by: By,
  fields: Record<string, readonly [string, Unit] | string>,
): Arrival {
  const empty = emptyArrival(by, 'mm');
  const key = by === 'sample' ? 'sample' : by === 'blank' ? 'stock' : 'shafts';
  const typed = Object.fromEntries(
    Object.entries(fields).map(([name, value]) => [
      name,
      typeof value === 'string' ? value : measure(value[0], value[1]),
    ]),
  );
  const inside = (empty as unknown as Record<string, object>)[key];
  return { ...empty, [key]: { ...inside, ...typed } };
}
/** The readings of a sample with these given. */
const sampleOf = (fields: Parameters<typeof given>[1]) => {
  const arrival = given('sample', fields);
  if (arrival.by !== 'sample') throw new Error('a sample');
  return arrival.sample;
};
function work(arrival: Arrival, gear: Partial<GearInput> = {}) {
  const input = { ...fresh().gear, ...gear };
  const done = planArrival({
    ...{ arrival, input, gear: readGear(input, 'mm'), head: STOCK_HEADS[0]! },
    ...{ path: 'parts.p1.arrival', units: 'mm' },
  });
  return {
    ...done,
    said: done.issues.map((issue) => `${issue.path.replace('parts.p1.arrival.', '')}: ${sayIssue(issue)}`),
    board: done.working.map(({ put, result }) => `${put} = ${result}`),
  };
}
const pitch = (typed: string) => ({ pitch: measure(typed, 'module') });

describe('what is said while little is known', () => {
  test('each door says what it is, and asks at no field for what was not given yet', () => {
    const answers = (['sample', 'blank', 'shafts'] as const).map((by) => work(emptyArrival(by, 'mm')));
    expect(answers.map(({ answer }) => answer)).toEqual([
      'a sample to measure',
      'a blank on hand',
      'two shafts where they are',
    ]);
    expect(answers.flatMap(({ said }) => said)).toEqual([]);
    expect(work({ by: 'drawing' })).toMatchObject({ answer: null, said: [] });
  });

  test('in inches the usual allowances are in inches too', () => {
    const arrival = fresh('blank', 'in').arrival;
    expect(arrival).toMatchObject({
      stock: { cleanUp: { typed: '.020', unit: 'in' }, diameter: { unit: 'in' } },
    });
    expect(fresh('shafts', 'in').arrival).toMatchObject({ shafts: { give: { typed: '.002', unit: 'in' } } });
  });
});

describe('a piece', () => {
  test('the board: the largest count it has room for, and what to turn it to', () => {
    // floor((70 − 0.5 − 2.5)/1.25) = floor(53.6)
    const { board } = work(given('blank', { diameter: ['70', 'mm'] }), pitch('1.25'));
    expect(board[0]).toBe('\\left\\lfloor\\frac{70 - 0.5 - 2 \\times 1.25}{1.25}\\right\\rfloor = 53');
    expect(board[1]).toBe('1.25 \\times 52 + 2 \\times 1.25 = 67.5\\ \\mathrm{mm}');
  });
  test('stub teeth make room for one more', () => {
    const stub = { ...fresh().gear.depth, rule: 'stub-1.8' as const };
    const { detail } = work(given('blank', { diameter: ['70.5', 'mm'] }), { ...pitch('1.25'), depth: stub });
    expect(detail).toMatchObject({ answer: { largest: 54 } });
  });
  test('what cannot be: more off than there is, too small for six teeth, less than nothing', () => {
    expect(work(given('blank', { diameter: ['20', 'mm'], cleanUp: ['25', 'mm'] }), pitch('1')).said).toEqual([
      'stock.cleanUp: Taking 25 off to clean up leaves nothing of the stock.',
    ]);
    expect(work(given('blank', { diameter: ['5', 'mm'] }), pitch('1')).said[0]).toMatch(
      /^stock.diameter: 5 is too small for any gear of this pitch: six teeth need 8.50 mm of stock/,
    );
    expect(
      work(given('blank', { diameter: ['20', 'mm'], cleanUp: ['-1', 'mm'] }), pitch('1')).said[0],
    ).toMatch(/cannot be less than zero; -1 is/);
  });
});

describe('two shafts', () => {
  test('the board: the sum of the teeth, the centres, the backlash', () => {
    const { board } = work(given('shafts', { centre: ['60.4', 'mm'], ratio: ['3:1', 'count'] }));
    expect(board[0]).toBe('\\frac{2 \\times 60.4}{1.75} = 69.029\\ \\text{, taken as } 69');
    expect(board[1]).toBe('\\frac{1.75(17 + 52)}{2} = 60.375\\ \\mathrm{mm}');
    expect(board[2]).toMatch(/^2 \\times 60.4\(0.01505\d - 0.014904\) = 0.0182\\ \\mathrm\{mm\}$/);
  });
  test('the angle on the card is the one the backlash is told by', () => {
    const backlash = (angle: string) => {
      const { detail } = work(given('shafts', { centre: ['60.4', 'mm'], ratio: ['3', 'count'] }), {
        pressureAngle: measure(angle, 'deg'),
      });
      return detail.by === 'shafts' ? detail.pairs[0]!.backlash! : 0;
    };
    // j ≈ 2·Δa·tan α
    expect(backlash('20')).toBeCloseTo(2 * 0.025 * Math.tan(Math.PI / 9), 3);
    expect(backlash('14.5')).toBeLessThan(backlash('20'));
  });
  test('one pitch alone, a ratio that is none, a distance of nothing', () => {
    const one = work(
      given('shafts', { centre: ['50.8', 'mm'], pitches: 'this', pitch: ['20 DP', 'module'] }),
    );
    expect(one.detail.by === 'shafts' && one.detail.pairs.every((pair) => pair.pitch === '20 DP')).toBe(true);
    expect(work(given('shafts', { centre: ['60', 'mm'], ratio: ['3 to 1', 'count'] })).said).toEqual([
      'shafts.ratio: “3 to 1” is not a ratio. Write it like 3, 3:1 or 63/42.',
    ]);
    expect(work(given('shafts', { centre: ['0', 'mm'] })).said[0]).toMatch(
      /^shafts.centre: The centre distance must be more than zero/,
    );
    expect(work(given('shafts', { centre: ['60', 'mm'], leastTeeth: ['2', 'count'] })).said[0]).toMatch(
      /^shafts.leastTeeth/,
    );
  });
});

describe('what the board shows of a sample', () => {
  const keys = (fields: Parameters<typeof given>[1]) =>
    work(given('sample', fields)).working.map(({ key, put, result }) => [key, `${put} = ${result}`] as const);
  const straight: Parameters<typeof given>[1] = {
    teeth: ['30', 'count'],
    tip: ['47.95', 'mm'],
    helix: 'none',
  };
  test('a spur gear: module by outside and count, and the outside of what it is taken for', () => {
    const shown = new Map(keys(straight));
    expect([...shown.keys()]).toEqual(['moduleFromTip', 'nominalTip']);
    // 47.95/32 = 1.4984; 25.4 over that
    expect(shown.get('moduleFromTip')).toBe(
      '\\frac{47.95}{30 + 2} = 1.4984\\ \\mathrm{mm}\\ (16.95\\ \\mathrm{DP})',
    );
    expect(shown.get('nominalTip')).toBe('1.5(30 + 2) = 48\\ \\mathrm{mm}');
  });
  test('a broken one: counted from its survivors, by an arc or straight across', () => {
    const broken: Parameters<typeof given>[1] = { tip: ['47.95', 'mm'], helix: 'none' };
    const board = (survivors: object) =>
      new Map(
        work({
          ...given('sample', broken),
          sample: { ...sampleOf(broken), survivors },
        } as Arrival).working.map(({ key, put, result }) => [key, `${put} = ${result}`]),
      );
    const none = { pitches: measure('5', 'count'), arc: measure('', 'deg'), chord: measure('', 'mm') };
    const arc = board({ ...none, arc: measure('60', 'deg') });
    expect([...arc.keys()]).toEqual(['survivors', 'moduleFromTip', 'nominalTip']);
    expect(arc.get('survivors')).toBe('\\frac{360^\\circ \\times 5}{60^\\circ} = 30');
    // 47.95·sin 30° across
    expect(board({ ...none, chord: measure('23.975', 'mm') }).get('survivors')).toBe(
      '\\frac{180^\\circ \\times 5}{\\arcsin\\frac{23.975}{47.95}} = 30',
    );
    expect([...board(none).keys()]).not.toContain('survivors');
  });
  test('two spans: the base pitch, and m·cos α from it', () => {
    // W5 − W4 = π·1.5·cos 20° = 4.4282; 16.129 and 20.557
    const shown = new Map(
      keys({ ...straight, spanTeeth: ['4', 'count'], span: ['16.13', 'mm'], spanNext: ['20.56', 'mm'] }),
    );
    expect([...shown.keys()]).toEqual(['moduleFromTip', 'nominalTip', 'basePitch', 'span']);
    // 4.43/π
    expect(shown.get('basePitch')).toBe('\\frac{4.43}{\\pi} = 1.4101\\ \\mathrm{mm}');
  });
  test('teeth that lean: the helix by outside and count in place of the module', () => {
    // 30 teeth of mn 1.5 at 20°: 45/cos 20° + 3 = 50.888
    const shown = new Map(
      keys({
        teeth: ['30', 'count'],
        tip: ['50.89', 'mm'],
        helix: 'seen',
        helixAngle: ['20', 'deg'],
        hand: 'right',
        gaugeFits: ['1.5', 'module'],
        wear: 'crisp',
      }),
    );
    expect([...shown.keys()]).toEqual(['helix', 'nominalTip']);
    // crisp tips may have lost 0.08, common practice; a quarter of it is added back
    const angle = (Math.acos(45 / 47.91) * 180) / Math.PI;
    expect(shown.get('helix')).toBe(
      `\\frac{30 \\times 1.5}{50.89 + \\frac{0.08}{4} - 2 \\times 1.5} = \\beta \\approx ${Number(angle.toFixed(2))}^\\circ`,
    );
    // and its outside, 45/cos β + 3
    expect(shown.get('nominalTip')).toBe(
      `\\frac{30 \\times 1.5}{\\cos ${Number(angle.toFixed(2))}^\\circ} + 2 \\times 1.5 = ${Number((45 / Math.cos((angle * Math.PI) / 180) + 3).toFixed(4))}\\ \\mathrm{mm}`,
    );
  });
});

describe('a sample', () => {
  test('the board: from the readings to the likeliest gear, with its figures', () => {
    const { board } = work(
      given('sample', {
        teeth: ['31', 'count'],
        tipBy: 'bore',
        bore: ['12', 'mm'],
        edgeToTip: ['18.72', 'mm'],
        spanTeeth: ['4', 'count'],
        span: ['16.02', 'mm'],
        helix: 'none',
        mateTeeth: ['45', 'count'],
        mateCentre: ['57.1', 'mm'],
      }),
    );
    expect(board).toEqual([
      '12 + 2 \\times 18.72 = 49.44\\ \\mathrm{mm}',
      '\\frac{49.44}{31 + 2} = 1.4982\\ \\mathrm{mm}\\ (16.95\\ \\mathrm{DP})',
      '1.5(31 + 2) = 49.5\\ \\mathrm{mm}',
      '1.5\\cos 20^\\circ[\\pi(4 - \\tfrac12) + 31 \\times 0.014904] = 16.1499\\ \\mathrm{mm}',
      '\\frac{1.5(31 + 45)}{2} = 57\\ \\mathrm{mm}',
    ]);
  });
  test('the room where it goes', () => {
    const arrival = given('sample', { room: ['50', 'mm'] });
    expect(judgeRoom({ arrival, tipDiameter: 49, path: 'x', system: 'mm' }).map(sayIssue)).toEqual([
      'It goes in, 0.50 mm clear all round.',
    ]);
    expect(judgeRoom({ arrival, tipDiameter: 50, path: 'x', system: 'in' }).map(sayIssue)).toEqual([
      'It goes in, 0.000 in clear all round.',
    ]);
    expect(judgeRoom({ arrival, tipDiameter: 52.5, path: 'x', system: 'in' }).map(sayIssue)).toEqual([
      'The gear is 2.067 in over its tips, and there is room for 50: it would keep a cover from closing, or foul. Better known before metal is bought.',
    ]);
    expect(judgeRoom({ arrival: given('sample', {}), tipDiameter: 1000, path: 'x', system: 'mm' })).toEqual(
      [],
    );
    expect(judgeRoom({ arrival: { by: 'drawing' }, tipDiameter: 1000, path: 'x', system: 'mm' })).toEqual([]);
  });
});

test('every arrival survives a job file, what was typed unchanged', () => {
  for (const by of ['drawing', 'sample', 'blank', 'shafts'] as const) {
    const job = withSpurPart(
      newSpurJob({ id: 'f', name: 'File', units: 'mm', shop: STOCK_EQUIPMENT }, by),
      'p1',
      (part) => ({
        ...part,
        arrival:
          by === 'drawing'
            ? part.arrival
            : (JSON.parse(
                JSON.stringify(part.arrival).replaceAll('"typed":""', '"typed":" 2 3/8 "'),
              ) as Arrival),
      }),
    );
    expect(readJobFile(jobFileText(job))).toEqual({ ok: true, value: job });
  }
});
