import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import { approx, measure } from '../units/index.ts';
import {
  equipmentSchema,
  NO_EQUIPMENT,
  readCuttingSpeed,
  readFeeds,
  readSpeeds,
  readTable,
  shopToToday,
  STOCK_EQUIPMENT,
  STOCK_MATERIALS,
  STOCK_MILL,
  type Equipment,
} from './index.ts';

const list = (typed: string) => need(readSpeeds(typed)).map((one) => approx(one));

describe('speeds and feeds as they stand on a plate', () => {
  test.each([
    ['45 63 90', [45, 63, 90]],
    ['90, 45; 63', [45, 63, 90]],
    ['45/63 63', [45, 63]],
    ['', []],
    ['22.4', [22.4]],
  ])('%s', (typed, wanted) => expect(list(typed)).toEqual(wanted));
  test.each(['45 fast', '45 0', '45 -63'])('%s is refused by its word', (typed) => {
    const read = readSpeeds(typed);
    expect(read.ok ? '' : sayIssue(read.issues[0]!)).toMatch(/^“.+” is not a speed\. Write them/);
  });
  test('feeds in inches are kept as they are and read in millimetres', () => {
    expect(need(readFeeds({ by: 'in', settings: '1 2.5' })).map((one) => approx(one))).toEqual([25.4, 63.5]);
    expect(need(readFeeds({ by: 'mm', settings: '12 18' })).map((one) => approx(one))).toEqual([12, 18]);
  });
});

describe('a cutting speed', () => {
  test.each([
    ['24', 24],
    ['24 m/min', 24],
    ['24m per minute', 24],
    ['80 ft/min', 24.384],
    ['80 sfm', 24.384],
    ['100 feet', 30.48],
  ])('%s is %d m a minute', (typed, wanted) =>
    expect(approx(need(readCuttingSpeed(typed)))).toBeCloseTo(wanted, 9),
  );
  test.each(['', 'fast', '0', '-3 m/min', '5000 m/min'])('“%s” is none', (typed) =>
    expect(readCuttingSpeed(typed).ok).toBe(false),
  );
  test('every stock material can be read, and says that its figures are only to start from', () => {
    for (const { speed, starting } of STOCK_MATERIALS) {
      expect(approx(need(readCuttingSpeed(speed)))).toBeGreaterThan(5);
      expect(starting).toBe(true);
    }
  });
});

describe('machines in full', () => {
  test('a row that says only what it used to leaves the rest of the mill alone', () => {
    const mill = { ...STOCK_MILL, speeds: '45 63', collar: measure('32', 'mm'), axis: 'vertical' as const };
    const shop: Equipment = { ...STOCK_EQUIPMENT, mills: [mill] };
    const cells = [
      ['mill', 'screw lead', 'dial marks'],
      [mill.name, '6 mm', '120'],
    ];
    expect(need(readTable('mills', cells, shop)).equipment.mills).toEqual([
      { ...mill, lead: measure('6', 'mm'), marks: 120 },
    ]);
  });
  test('a mill, a material and a mandrel of a spreadsheet; what cannot be read is told by its row', () => {
    const read = (id: 'mills' | 'materials' | 'mandrels', text: string) =>
      need(
        readTable(
          id,
          text.split('\n').map((line) => line.split('|')),
          NO_EQUIPMENT,
        ),
      );
    const mills = read(
      'mills',
      'mill|screw lead|dial marks|spindle|cross lead|knee lead|speeds|feeds|feeds in\nA|4 tpi|250|horizontal|4 tpi|0.1 in|50 80 120|1/2|in\nB|5|100|sideways||||\nC|5|100||||45 x||',
    );
    expect(mills.equipment.mills).toMatchObject([
      {
        name: 'A',
        cross: { lead: { typed: '1/4', unit: 'in' } },
        knee: { lead: { typed: '0.1', unit: 'in' } },
      },
    ]);
    expect(mills.bad.map(({ row, issues }) => `${row}: ${sayIssue(issues[0]!)}`)).toEqual([
      '3: “sideways” is not known for how the spindle stands. Write horizontal or vertical.',
      '4: “x” is not a speed. Write them one after another: 45 63 90 125.',
    ]);
    expect(
      read('materials', 'material|speed|chip load\nOld iron|50 ft/min|.002 in').equipment.materials,
    ).toMatchObject([
      { name: 'Old iron', speed: '50 ft/min', chipLoad: { typed: '.002', unit: 'in' }, starting: false },
    ]);
    expect(read('materials', 'material|speed\nX|quick').bad[0]!.issues.map(sayIssue)).toEqual([
      '“quick” is not a cutting speed. Write it like 24 m/min or 80 ft/min.',
    ]);
    expect(read('mandrels', 'mandrel|diameter|kind|key\nM|12|nut|yes').equipment.mandrels).toMatchObject([
      { name: 'M', kind: 'nut', key: true, small: { typed: '12', unit: 'mm' } },
    ]);
  });
  test('a shop stored before materials were listed starts with the stock ones; one that emptied its list keeps it empty', () => {
    const { materials: _materials, mandrels: _mandrels, lessons: _lessons, ...before } = STOCK_EQUIPMENT;
    const old = { ...before, heads: before.heads.map(({ centreHeight: _height, ...head }) => head) };
    expect(equipmentSchema.parse(shopToToday(old))).toEqual(STOCK_EQUIPMENT);
    expect(equipmentSchema.parse(shopToToday({ ...old, materials: [] })).materials).toEqual([]);
  });
});
