import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { need } from '../findings/index.ts';
import {
  equipmentSchema,
  idFrom,
  NO_EQUIPMENT,
  plainCutter,
  plainHead,
  plainLathe,
  plainMandrel,
  readBox,
  readCutterNumber,
  readCircles,
  readRatio,
  readTable,
  readToothRange,
  STOCK_EQUIPMENT,
  STOCK_MATERIALS,
  STOCK_ROTARY,
  TABLE_IDS,
  writeTable,
  type Equipment,
  type TableId,
} from './index.ts';
import { exact, exactText, measure } from '../units/index.ts';

const shop = {
  ...STOCK_EQUIPMENT,
  heads: [...STOCK_EQUIPMENT.heads, STOCK_ROTARY],
  steppers: [
    {
      id: 'd',
      name: 'Belt drive',
      headId: STOCK_ROTARY.id,
      on: 'crank' as const,
      stepsPerTurn: 200,
      microsteps: 8,
      belt: '3',
    },
  ],
  cutters: [
    {
      ...plainCutter('c1', 'Fog drive cutter', measure('12', 'dp')),
      number: '3' as const,
      school: 'inch' as const,
      range: { from: 35, to: 54 },
      stamped: measure('.180', 'in'),
      diameter: measure('2 3/8', 'in'),
      teeth: 12,
      material: 'HSS',
    },
    { ...plainCutter('c2', 'Orrery set, no name', measure('0.5', 'module')), number: '1½' as const },
    { ...plainCutter('c3', 'Rack end', measure('1', 'module')), range: { from: 135, to: null } },
  ],
  materials: STOCK_MATERIALS,
  mandrels: [
    {
      ...plainMandrel('m1', 'Mandrel 10', 'taper'),
      small: measure('9.98', 'mm'),
      large: measure('10.04', 'mm'),
      length: measure('5.5', 'in'),
    },
    { ...plainMandrel('m2', 'Half inch with nut', 'nut'), small: measure('1/2', 'in'), key: true },
  ],
  lathes: [
    {
      ...plainLathe('l1', 'Inch lathe', measure('1/8', 'in')),
      box: { by: 'tpi' as const, settings: '8 9 10 11½ 12' },
      gearSetId: STOCK_EQUIPMENT.gearSets[0]!.id,
      slideLead: measure('2.5', 'mm'),
    },
    { ...plainLathe('l2', 'Bare lathe', measure('3', 'mm')), stud: false },
  ],
};
const rows = (text: string) => text.split('\n').map((line) => line.split('|'));
const read = (id: TableId, text: string) => readTable(id, rows(text), shop);
const why = (id: TableId, text: string) => {
  const result = read(id, text);
  return result.ok
    ? result.value.bad.map(({ row, issues }) => `${row}: ${issues.map(sayIssue).join(' ')}`)
    : result.issues.map(sayIssue);
};

describe('worm ratios as people write them', () => {
  test.each([
    ['40', '40'],
    ['40:1', '40'],
    [' 40 : 1 ', '40'],
    ['1/40', '40'],
    ['1:90', '90'],
    ['40,5', '81/2'],
    ['81/2', '81/2'],
  ])('%s', (typed, wanted) => expect(readRatio(typed)).toEqual({ ok: true, value: wanted }));
  test.each(['', '0', '0:1', '40:0', 'forty', '-40', '40:1:1', '1e3'])('not %s', (typed) =>
    expect(readRatio(typed).ok).toBe(false),
  );
});

describe('the box of a lathe', () => {
  const eighth = exact(254, 80);
  const ratios = (by: 'mm' | 'tpi' | 'turns', settings: string) =>
    need(readBox({ by, settings }, eighth)).map(({ name, ratio }) => `${name} ${exactText(ratio)}`);
  test('threads to the inch, pitches or turns, as they stand on its plate', () => {
    expect(ratios('tpi', '8 11½ 4')).toEqual(['8 per inch 1', '11½ per inch 16/23', '4 per inch 2']);
    expect(ratios('tpi', '11 1/2, 8')).toEqual(['11 1/2 per inch 16/23', '8 per inch 1']);
    expect(ratios('mm', '3.175; 6.35')).toEqual(['3.175 mm 1', '6.35 mm 2']);
    expect(ratios('turns', '1 1/2 2:1')).toEqual(['1 1', '1/2 1/2', '2:1 2']);
    expect(ratios('mm', '  ')).toEqual([]);
  });
  test('a setting that cannot be read is named', () => {
    const bad = readBox({ by: 'tpi', settings: '8 x 0' }, eighth);
    expect(bad.ok ? [] : bad.issues.map(sayIssue)).toEqual([
      '“x” is no setting of a box. Write them like 8 9 10 11½ 12, or with commas.',
      '“0” is no setting of a box. Write them like 8 9 10 11½ 12, or with commas.',
    ]);
  });
  test('a lathe row: its screw in threads, a set that is not listed', () => {
    const text = `lathe|leadscrew|box|box counts|gear set\nLittle lathe|8 tpi|8 16|tpi|${shop.gearSets[0]!.name}\nOther|3 mm||| None such\nThird|0`;
    const result = need(read('lathes', text));
    expect(result.equipment.lathes.at(-1)).toMatchObject({
      name: 'Little lathe',
      leadscrew: { typed: '1/8', unit: 'in' },
      gearSetId: shop.gearSets[0]!.id,
    });
    expect(why('lathes', text)).toEqual([
      '3: There is no set of change gears called “None such” in the shop.',
      '4: The lead of the leadscrew must be more than zero; 0 is not.',
    ]);
  });
});

describe('circles', () => {
  test('separated any way, each once, rising', () => {
    expect(readCircles('20, 15 16;16/17')).toEqual({ ok: true, value: [15, 16, 17, 20] });
  });
  test.each(['0', '2.5', '100000', '15 x', '', '1'])('%s cannot be, and the sentence names it', (typed) => {
    const result = readCircles(typed);
    expect(result.ok ? '' : sayIssue(result.issues[0]!)).toMatch(
      /^A circle of .+ holes cannot be\. Circles run from 2 to 2000/,
    );
  });
});

describe('cutters as they are stamped', () => {
  test.each([
    ['3', '3'],
    ['No. 3', '3'],
    ['#3', '3'],
    ['3½', '3½'],
    ['3 1/2', '3½'],
    ['3.5', '3½'],
    ['', null],
  ])('number %s', (typed, wanted) => expect(readCutterNumber(typed)).toEqual({ ok: true, value: wanted }));
  test.each(['0', '9', '8½', 'three'])('%s is no number', (typed) =>
    expect(readCutterNumber(typed).ok).toBe(false),
  );
  test.each([
    ['26-34', { from: 26, to: 34 }],
    ['26 to 34 teeth', { from: 26, to: 34 }],
    ['135-R', { from: 135, to: null }],
    ['135 to rack', { from: 135, to: null }],
    ['135+', { from: 135, to: null }],
    ['13', { from: 13, to: 13 }],
    ['', null],
  ])('range %s', (typed, wanted) => expect(readToothRange(typed)).toEqual({ ok: true, value: wanted }));
  test.each(['34-26', '2-5', 'rack', '26..', '1/2-3'])('%s is no range', (typed) =>
    expect(readToothRange(typed).ok).toBe(false),
  );

  test('a table of a spreadsheet comes in; a pitch must say which it is', () => {
    const text =
      'cutter|pitch|number|school|stamped depth\nA|M1.5|3|metric|3.24\nB|14 DP|No. 4|inch|.154 in\nC|14|1||\nD|m2|9|inch|';
    const found = need(read('cutters', text));
    expect(found.good).toBe(2);
    expect(found.equipment.cutters.slice(-2)).toMatchObject([
      {
        name: 'A',
        pitch: { typed: '1.5', unit: 'module' },
        number: '3',
        stamped: { typed: '3.24', unit: 'mm' },
      },
      {
        name: 'B',
        pitch: { typed: '14', unit: 'dp' },
        school: 'inch',
        stamped: { typed: '.154', unit: 'in' },
      },
    ]);
    expect(why('cutters', text)).toEqual([
      '4: “14” is not known for a pitch. Write M1.5 or 14 DP.',
      '5: “9” is not a cutter number. Numbers run from 1 to 8, with halves from 1½ to 7½.',
    ]);
  });
});

describe('tables out and in again', () => {
  test.each(TABLE_IDS)('%s: what goes out comes in unchanged', (id) => {
    const back = need(readTable(id, writeTable(id, shop), shop));
    expect(back.bad).toEqual([]);
    expect(back.equipment).toEqual(shop);
  });

  test('a whole shop can be built from its tables, and is a shop', () => {
    let built = NO_EQUIPMENT;
    for (const id of ['gears', 'heads', 'plates', 'rings', 'steppers', 'mills'] as const)
      built = need(readTable(id, writeTable(id, shop), built)).equipment;
    expect(equipmentSchema.safeParse(built).success).toBe(true);
    expect(
      built.heads.map(({ plates, rings, ratio }) => [
        plates.map(({ sides }) => sides),
        rings.map(({ holes }) => holes),
        ratio,
      ]),
    ).toEqual(
      shop.heads.map(({ plates, rings, ratio }) => [
        plates.map(({ sides }) => sides),
        rings.map(({ holes }) => holes),
        ratio,
      ]),
    );
  });

  test('good rows are taken, bad ones named with their reason; what is there already stays', () => {
    const text = `head|plate|circles
Head with three plates|F|53 59 61
Head with three plates|G|0
Head with three plates|H|2.5 20
Nobody’s head|A|20
Head with three plates|F|71`;
    const result = need(read('plates', text));
    expect(result.good).toBe(1);
    expect(result.bad.map(({ row }) => row)).toEqual([3, 4, 5, 6]);
    expect(result.equipment.heads[0]!.plates.map(({ name }) => name)).toEqual(['A', 'B', 'C', 'F']);
    expect(why('plates', text)).toEqual([
      '3: A circle of 0 holes cannot be. Circles run from 2 to 2000 holes, whole.',
      '4: A circle of 2.5 holes cannot be. Circles run from 2 to 2000 holes, whole.',
      '5: There is no head called “Nobody’s head” in the shop. Add it first, or write its name as it stands there.',
      '6: Two rows are called head with three plates · f · 1. Give each its own name.',
    ]);
  });

  test('a head with an odd ratio, a wheel and gears; a ratio that is none', () => {
    const result = need(
      read(
        'heads',
        `Head|Ratio|Gear set|Plate lock|wheel marks\nOld one|1/72|Twelve change gears|yes|\nBad|7x||maybe|0`,
      ),
    );
    expect(result.equipment.heads.at(-1)).toMatchObject({
      name: 'Old one',
      ratio: '72',
      plateLock: true,
      differential: { gearSetId: 'gears-twelve' },
      handwheel: null,
    });
    expect(result.bad[0]!.issues.map(({ code }) => code)).toEqual([
      'ratio-bad',
      'word-unknown',
      'out-of-range',
    ]);
  });

  test('gears owned 0 times, and a wheel that is no number', () => {
    expect(why('gears', 'set|teeth|owned\nTwelve change gears|127|0\nTwelve change gears|1x7|1')).toEqual([
      '2: A wheel of 127 teeth is owned 0 times. Leave the row out, or say how many there are.',
      expect.stringMatching(/^3: /),
    ]);
  });

  test('another table, no table, an empty one', () => {
    expect(why('plates', 'set|teeth|owned\na|20|1')).toEqual([
      'This is the table of change gears, not of index plates. Bring it in there.',
    ]);
    expect(why('plates', 'name|price\nx|3')[0]).toMatch(/No column is called head, plate, circles\./);
    expect(why('plates', 'head|plate|circles\n\n')[0]).toMatch(/no rows/);
    expect(readTable('plates', [], shop).ok).toBe(false);
  });

  test('lengths keep the unit they were written with', () => {
    const { equipment } = need(
      read(
        'mills',
        'mill|screw lead|dial marks|travel\nKnee mill|1/4 in|250|18"\nSmall mill|4|80|\nOld mill|4 tpi|250|\nFive mill|5 threads per inch|200|',
      ),
    );
    expect(equipment.mills.slice(1)).toMatchObject([
      { lead: { typed: '1/4', unit: 'in' }, travel: { typed: '18', unit: 'in' } },
      { lead: { typed: '4', unit: 'mm' }, travel: { typed: '' } },
      // four threads to the inch are a quarter of an inch a turn
      { lead: { typed: '1/4', unit: 'in' } },
      { lead: { typed: '1/5', unit: 'in' } },
    ]);
    const swings = need(
      read(
        'mills',
        'mill|screw lead|dial marks|swing|scale minutes|table length|head tilts\nKnee|5|100|45°|15|36 in|yes',
      ),
    ).equipment.mills[1];
    expect(swings).toMatchObject({
      swing: { typed: '45', unit: 'deg' },
      scaleMinutes: 15,
      tableLength: { typed: '36', unit: 'in' },
      headTilts: true,
    });
    expect(why('mills', 'mill|screw lead|dial marks|scale minutes\nKnee|5|100|90').join()).toMatch(
      /minutes of the scale/i,
    );
    const rings = need(read('rings', `head|holes|on the work\n${shop.heads[0]!.name}|53|yes`)).equipment
      .heads[0]!.rings;
    expect(rings.at(-1)).toMatchObject({ holes: 53, onWork: true });
  });
});

test('ids are made from names and never clash', () => {
  expect(idFrom('Plate É 2', [])).toBe('plate-e-2');
  expect(idFrom('A', ['a', 'a-2'])).toBe('a-3');
  expect(idFrom('＊＊', [])).toBe('one');
});

test('whatever shop: its tables go out and build it again, names with odd signs and all (seed 24)', () => {
  const name = fc
    .string({ minLength: 1, maxLength: 12 })
    .map((text) => text.replace(/\s+/g, ' ').trim())
    .filter((text) => text !== '');
  const circles = fc
    .uniqueArray(fc.integer({ min: 2, max: 400 }), { minLength: 1, maxLength: 8 })
    .map((all) => all.sort((a, b) => a - b));
  const byName = {
    selector: (thing: { name: string }) => thing.name.toLowerCase(),
    minLength: 1,
    maxLength: 3,
  };
  const plates = fc.uniqueArray(
    fc.record({
      name,
      sides: fc.array(fc.record({ circles }), { minLength: 1, maxLength: 2 }),
      made: fc.boolean(),
    }),
    byName,
  );
  const heads = fc.uniqueArray(
    fc.record({ name, ratio: fc.constantFrom('40', '81/2', '5', '90'), plates }),
    byName,
  );
  fc.assert(
    fc.property(heads, (made) => {
      const whole = {
        ...NO_EQUIPMENT,
        heads: made.map((head, i) => ({
          ...plainHead(`h${i}`, head.name),
          ratio: head.ratio,
          plates: head.plates.map((plate, k) => ({ ...plate, id: `p${k}` })),
        })),
      };
      const first = need(readTable('heads', writeTable('heads', whole), NO_EQUIPMENT));
      const second = need(readTable('plates', writeTable('plates', whole), first.equipment));
      expect([first.bad, second.bad]).toEqual([[], []]);
      const plain = (equipment: Equipment) =>
        equipment.heads.map(({ name: called, ratio, plates: own }) => [
          called,
          ratio,
          own.map((plate) => [plate.name, plate.sides, plate.made]),
        ]);
      expect(plain(second.equipment)).toEqual(plain(whole));
    }),
    { seed: 24, numRuns: 150 },
  );
});
