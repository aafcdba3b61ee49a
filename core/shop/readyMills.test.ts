import { describe, expect, test } from '@jest/globals';
import { approx, parseLength, type Measure } from '../units/index.ts';
import { equipmentSchema, READY_MILLS, readFeeds, readSpeeds, STOCK_EQUIPMENT } from './index.ts';

const mm = (measure: Measure): number => {
  const read = parseLength(measure);
  if (!read.ok) throw new Error(measure.typed);
  return approx(read.value);
};

describe.each(READY_MILLS.map((mill) => [mill.name, mill] as const))('%s', (_, mill) => {
  test('is equipment as it stands, its plates can be read', () => {
    expect(equipmentSchema.safeParse({ ...STOCK_EQUIPMENT, mills: [mill] }).success).toBe(true);
    const speeds = readSpeeds(mill.speeds);
    expect(speeds.ok && speeds.value.length).toBeGreaterThan(6);
    expect(readFeeds(mill.feeds).ok).toBe(true);
  });
  test('each dial has marks of a length that is read in its own units', () => {
    const inch = mill.lead.unit === 'in';
    for (const { lead, marks } of [mill, mill.cross, mill.knee]) {
      const mark = mm(lead) / marks;
      // a thou, or a round part of a tenth of a millimetre
      expect(inch ? mark / 25.4 : mark).toBeCloseTo(inch ? 0.001 : mark > 0.03 ? 0.05 : 0.02, 9);
    }
  });
  test('its travels lie within its table, and the work has room under the spindle', () => {
    expect(mm(mill.travel)).toBeLessThan(mm(mill.tableLength));
    expect(mm(mill.room)).toBeGreaterThan(mm(mill.knee.travel));
  });
});
