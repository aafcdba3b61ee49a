import { describe, expect, test } from '@jest/globals';
import { choiceOfRow, type ChartRow } from '../dividing/index.ts';
import { drawnSpurJob, withDividing } from '../job/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { plan, stationOf } from './index.ts';

const head = STOCK_HEADS[0]!;
const used = (row: ChartRow) => {
  const choice = choiceOfRow(row, head);
  if (!choice) return null;
  const { divisions: teeth } = row;
  const job = withDividing(
    drawnSpurJob({ id: 'j', name: 'From a book', pitch: '1', teeth, face: '8', bore: '6' }),
    'p1',
    (dividing) => ({ ...dividing, headId: head.id, choice }),
  );
  return stationOf(plan(job, STOCK_EQUIPMENT).parts[0]!, 'dividing')!;
};

// Source: differential indexing chart, N = 53 and N = 127, Machinery's Handbook (from memory)
describe('a way from a book, used as it is printed', () => {
  test('gears of two studs go where the row puts them, and every space is true', () => {
    const station = used({
      divisions: 53,
      turns: 0,
      spaces: 35,
      circle: 49,
      gears: { spindle: 72, stud: { first: 24, second: 40 }, plateShaft: 56, idlers: 0 },
    })!;
    expect(station.answer).toMatch(/^35 spaces on 49/);
    const { inForce } = station.detail;
    expect(inForce?.choice).toMatchObject({
      method: 'differential',
      near: 56,
      train: { driver: 72, driven: 24, second: { driver: 40, driven: 56 } },
    });
    expect(inForce?.proof).toMatchObject({ moves: 53, everySpaceTrue: true, closes: true });
  });
  test('two gears and two idlers; no gears at all', () => {
    const geared = used({
      divisions: 127,
      turns: 0,
      spaces: 13,
      circle: 39,
      gears: { spindle: 56, stud: null, plateShaft: 24, idlers: 2 },
    })!;
    expect(geared.detail.inForce).toMatchObject({
      choice: { near: 120, train: { driver: 56, driven: 24, second: null }, idlers: 2 },
      proof: { everySpaceTrue: true },
    });
    const plain = used({ divisions: 58, turns: 0, spaces: 20, circle: 29, gears: null })!;
    expect(plain.answer).toMatch(/^20 spaces on 29/);
    expect(plain.detail.inForce?.proof.everySpaceTrue).toBe(true);
  });
  test('a circle that the head has not, and spaces past a turn, are no choice', () => {
    const row = { divisions: 58, turns: 0, spaces: 20, circle: 29, gears: null };
    expect(choiceOfRow({ ...row, circle: 58, spaces: 40 }, head)).toBeNull();
    expect(choiceOfRow({ ...row, spaces: 29 }, head)).toBeNull();
  });
});
