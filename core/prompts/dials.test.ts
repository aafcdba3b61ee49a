import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withPart } from '../job/index.ts';
import { isIndexed } from '../kinds/index.ts';
import { plan } from '../plan/index.ts';
import { freezeRun, readRun, type Run } from '../run/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { onTravelDial, runsAt } from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');
const shop: Equipment = {
  ...STOCK_EQUIPMENT,
  mills: [
    {
      ...STOCK_MILL,
      cross: { lead: mm('4'), marks: 80, travel: mm('200') },
      knee: { lead: mm('2'), marks: 100, travel: mm('300') },
      speeds: '63 90 125 180',
      feeds: { by: 'mm', settings: '25 36 50 71' },
    },
  ],
};
const runIn = (equipment: Equipment): Run => {
  const job = withPart(
    drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1.5', teeth: 46, face: '14', bore: '10' }),
    'p1',
    (part) =>
      isIndexed(part)
        ? {
            ...part,
            dividing: { ...part.dividing, millId: STOCK_MILL.id },
            setup: {
              ...part.setup,
              materialId: equipment.materials.find(({ name }) => name === 'Bronze')!.id,
              cutterDiameter: mm('60'),
              cutterWidth: mm('6'),
              cutterTeeth: measure('12', 'count'),
              paper: mm('0.025'),
            },
            cut: { ...part.cut, passes: 'rough-finish', finishStock: mm('0.4') },
          }
        : part,
  );
  const start = { runId: 'r', jobRevision: 1, partId: 'p1' };
  return need(freezeRun({ job, planned: plan(job, equipment), shop: equipment, start }));
};

describe('what is told on this machine’s own dials', () => {
  const run = runIn(shop);
  test('speed, feed and the depth of the round, on the screw that sets it, the paper gone through too', () => {
    // 26 m a minute over 60 mm: 137.9, the step below it; 12 teeth at 0.04 mm: 60, the step below it.
    // 3.375 deep: 2.975 and the paper are 3.000 mm, 1½ turns of 2 mm; to the end 3.400 mm, 1 turn, 70 marks
    expect(runsAt(run, 1)).toEqual([
      '125 rpm',
      '50 mm/min',
      'depth 1 turn + 50 marks from the touch, on the dial',
    ]);
    expect(runsAt(run, 2)[2]).toBe('depth 1 turn + 70 marks from the touch, on the dial');
  });
  test('where the table is clear, in turns and marks of the table’s screw and not of another', () => {
    // 27.82 mm at 5 mm and 100 marks: 556.4 marks of 0.05 mm
    expect(onTravelDial(run, 27.82)).toBe('5 turns + 56.4 marks');
    expect(onTravelDial(run, 10)).toBe('2 turns');
    expect(onTravelDial({ ...run, mount: { ...run.mount!, readout: true } }, 10)).toBe('');
  });
  test('what is not known is left out, on runs of before as well', () => {
    const bare = runIn({
      ...shop,
      mills: [{ ...STOCK_MILL, speeds: '' }],
      materials: shop.materials,
    });
    expect(runsAt(bare, 1)[2]).toBe('depth 3.000 mm from the touch');
    const { running: _, ...before } = run;
    const old = readRun(JSON.parse(JSON.stringify(before)));
    expect(old.running).toBeNull();
    expect(runsAt(old, 1)).toEqual(['depth 1 turn + 50 marks from the touch, on the dial']);
    expect(onTravelDial(old, 10)).toBe('');
  });
});
