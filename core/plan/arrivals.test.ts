import { describe, expect, test } from '@jest/globals';

import { sayIssue } from '../messages/index.ts';
import {
  drawnSpurJob,
  newSpurJob,
  takeCount,
  takePair,
  takeSample,
  withCutter,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { plainCutter, STOCK_EQUIPMENT, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { plan, refusals, settleOpen, stationOf } from './index.ts';

const shop: Equipment = {
  ...STOCK_EQUIPMENT,
  cutters: [
    {
      ...plainCutter('a', 'Seven', measure('1.5', 'module')),
      number: '7',
      school: 'metric',
      stamped: measure('3.30', 'mm'),
      diameter: measure('60', 'mm'),
    },
    { ...plainCutter('b', 'Another pitch', measure('2', 'module')), number: '7', school: 'metric' },
  ],
};
const job = drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1.5', teeth: 62, face: '14', bore: '12' });
const change = (from: Job, edit: (part: SpurPart) => Partial<SpurPart>): Job =>
  withSpurPart(from, 'p1', (part) => ({ ...part, ...edit(part) }));
const part = (of: Job) => plan(of, shop).parts[0]!;
const answer = (of: Job, id: 'gear' | 'blank' | 'cutter' | 'cut') => stationOf(part(of), id)!.answer;
const says = (of: Job) =>
  part(of)
    .stations.flatMap(({ issues }) => issues)
    .map((issue) => `${issue.path}: ${sayIssue(issue)}`);

describe('the cutter that is picked', () => {
  test('its stamped depth wins over the rule, and a figure on the card over it', () => {
    const picked = withCutter({ job, partId: 'p1', cutterId: 'a', shop });
    expect([answer(job, 'cut'), answer(picked, 'cut')]).toEqual(['1 pass, 3.38 deep', '1 pass, 3.30 deep']);
    const typed = change(picked, ({ gear }) => ({
      gear: { ...gear, depth: { ...gear.depth, stamped: measure('3.35', 'mm') } },
    }));
    expect(answer(typed, 'cut')).toBe('1 pass, 3.35 deep');
  });

  test('the job keeps its own copy when the shop’s is gone, and says so', () => {
    const picked = withCutter({ job, partId: 'p1', cutterId: 'a', shop });
    const gone = plan(picked, STOCK_EQUIPMENT);
    expect(stationOf(gone.parts[0]!, 'cutter')!.answer).toBe('Seven');
    expect(gone.findings.map(sayIssue)).toEqual([
      'Seven is no longer in the shop. This job keeps its own copy and goes on with it.',
    ]);
  });

  test('another pitch cannot be settled; what was settled by number moves when one is picked', () => {
    expect(stationOf(part(withCutter({ job, partId: 'p1', cutterId: 'b', shop })), 'cutter')).toMatchObject({
      complete: false,
    });
    const settled = settleOpen(job, part(job));
    const picked = stationOf(
      part(withCutter({ job: settled, partId: 'p1', cutterId: 'a', shop })),
      'cutter',
    )!;
    expect([picked.state, picked.moved[0]?.to]).toEqual(['doubt', 'Seven']);
  });
});

describe('thinner teeth and measured blanks', () => {
  // Source: a form cutter’s rule, Δh = j·cos α/(2·sin(α + 90°/zc)), zc = 55: 0.1 · 0.9397/(2 · sin 21.636°) =
  // 0.1274
  test('thinning sinks the cut by the form cutter’s rule', () => {
    const thin = change(job, ({ gear }) => ({ gear: { ...gear, thinning: measure('0.1', 'mm') } }));
    expect(part(thin).cutting!.rounds[0]!.depthMm).toBeCloseTo(3.375 + 0.1274, 3);
    expect(answer(thin, 'blank')).toBe(answer(job, 'blank'));
  });

  test('a blank off nominal by δ moves the dial by δ/2, and what was settled says what moved', () => {
    const settled = settleOpen(job, part(job));
    const under = change(settled, ({ blank }) => ({ blank: { ...blank, measured: measure('95.9', 'mm') } }));
    expect(part(under).cutting!.rounds[0]!.depthMm).toBeCloseTo(3.325, 9);
    expect(stationOf(part(under), 'cut')!.moved).toMatchObject([{ from: '3.38 mm', to: '3.33 mm' }]);
    const over = change(settled, ({ blank }) => ({ blank: { ...blank, measured: measure('96.1', 'mm') } }));
    expect(says(over).join()).toMatch(/0.100 mm over size.*long and eat the clearance/);
    const far = change(settled, ({ blank }) => ({ blank: { ...blank, measured: measure('3.78', 'mm') } }));
    expect(says(far).join()).toMatch(/measured in other units/);
  });
});

test('a mate at its real distance: the figures of the pair, and what binds', () => {
  const pair = (centre: string) =>
    change(job, ({ gear }) => ({
      gear: {
        ...gear,
        mate: { ...gear.mate, teeth: measure('30', 'count'), centre: measure(centre, 'mm') },
      },
    }));
  // a0 = 1.5 (62 + 30)/2 = 69
  expect(stationOf(part(pair('69.1')), 'gear')!.detail.mesh!.report.nominalCentre).toBe(69);
  expect(says(pair('69.1'))).toEqual([]);
  expect(says(pair('69')).join()).toMatch(
    /mate.centre: At 69.000 mm the pair has 0.000 mm of backlash: it binds/,
  );
  expect(says(pair('60')).join()).toMatch(/cannot roll at all/);
  expect(says(pair('68.5')).join()).toMatch(/it binds. Spread the shafts to 69.082 mm, or sink the cutter/);
});

test('a helical gear: blank by both planes, cutter by its virtual count, a lead, and no run without it', () => {
  const helical = change(job, ({ gear }) => ({
    gear: { ...gear, teeth: measure('30', 'count'), helix: measure('20', 'deg'), hand: 'left' },
  }));
  const planned = part(helical);
  // d = 30 · 1.5/cos 20° = 47.888, da = 50.888
  expect(planned.stations.map(({ answer: said }) => said).slice(0, 3)).toEqual([
    '30 teeth, m 1.5, 20°, helix 20° left',
    'Ø 50.89 × 14.00',
    'No. 3 inch, No. 6 metric',
  ]);
  expect(planned.stations.map(({ id }) => id)).toEqual([
    'gear',
    'blank',
    'cutter',
    'dividing',
    'lead',
    'setup',
    'cut',
    'inspect',
  ]);
  expect(planned.cutting?.helix).toMatchObject({ hand: 'left', drive: 'worm' });
  const ungeared = { ...helical, equipment: { ...helical.equipment, gearSets: [] } };
  const bare = plan(ungeared, { ...shop, gearSets: [] });
  expect(bare.parts[0]!.cutting).toBeNull();
  expect(stationOf(bare.parts[0]!, 'lead')!.issues.map(({ code }) => code)).toEqual(['lead-no-gears']);
  // stations that do not need the lead go on
  expect(stationOf(bare.parts[0]!, 'dividing')!.answer).toBe(stationOf(planned, 'dividing')!.answer);
});

describe('taking what was measured', () => {
  const sampleJob = (fields: Record<string, ReturnType<typeof measure>>): Job =>
    withSpurPart(newSpurJob({ id: 's', name: 'Sample', units: 'mm', shop }, 'sample'), 'p1', (own) =>
      own.arrival.by === 'sample'
        ? { ...own, arrival: { ...own.arrival, sample: { ...own.arrival.sample, ...fields } } }
        : own,
    );
  const found = (of: Job) => {
    const { arrival } = stationOf(part(of), 'gear')!.detail;
    return arrival.by === 'sample' ? arrival.found.best : [];
  };

  test('a sample fills the gear, keeps its readings, and asks when they change', () => {
    const read = sampleJob({
      teeth: measure('44', 'count'),
      tip: measure('3.83', 'in'),
      helix: 'none' as never,
    });
    expect(found(read)[0]).toMatchObject({ pitch: '12 DP', teeth: 44 });
    const taken = takeSample(read, 'p1', found(read)[0]!);
    expect(answer(taken, 'gear')).toBe('44 teeth, 12 DP, 14.5°');
    // the angle was put in, not read: it is asked about until a person has answered
    expect(says(taken).join()).toMatch(
      /pressureAngle: The readings did not tell the pressure angle; 14° 30′ was put in as the usual one of a diametral pitch/,
    );
    const twenty = change(taken, ({ gear }) => ({ gear: { ...gear, pressureAngle: measure('20', 'deg') } }));
    expect(says(twenty).join()).not.toMatch(/did not tell the pressure angle/);
    expect((taken.parts[0] as SpurPart).arrival).toMatchObject({
      sample: { tip: { typed: '3.83', unit: 'in' } },
      taken: { teeth: 44, angleDeg: null },
    });
    const other = change(taken, (own) => ({
      arrival:
        own.arrival.by === 'sample'
          ? { ...own.arrival, sample: { ...own.arrival.sample, tip: measure('4.6', 'in') } }
          : own.arrival,
    }));
    expect(says(other).join()).toMatch(
      /taken for 12 DP, 44 teeth; with the readings as they are now it is 10 DP, 44 teeth/,
    );
    expect(stationOf(part(other), 'gear')!.state).toBe('doubt');
  });

  test('a count for a piece; a pair for two shafts makes two parts, and taking another changes both', () => {
    const piece = takeCount(newSpurJob({ id: 'b', name: 'Bar', units: 'mm', shop }, 'blank'), 'p1', 52);
    expect((piece.parts[0] as SpurPart).arrival).toMatchObject({ by: 'blank', taken: 52 });
    const shafts = change(newSpurJob({ id: 'x', name: 'Shafts', units: 'mm', shop }, 'shafts'), (own) => ({
      arrival:
        own.arrival.by === 'shafts'
          ? {
              ...own.arrival,
              shafts: { ...own.arrival.shafts, centre: measure('60', 'mm'), ratio: measure('3', 'count') },
            }
          : own.arrival,
    }));
    const { arrival } = stationOf(part(shafts), 'gear')!.detail;
    const pairs = arrival.by === 'shafts' ? arrival.pairs : [];
    const first = takePair(shafts, 'p1', pairs[0]!);
    const again = takePair(first, 'p1', pairs[1]!);
    expect(again.parts).toHaveLength(2);
    expect(again.relations).toEqual([{ id: 'pair-p2', kind: 'pair', parts: ['p1', 'p2'] }]);
    expect((again.parts as SpurPart[]).map(({ gear }) => [gear.teeth.typed, gear.mate.teeth.typed])).toEqual([
      [String(pairs[1]!.teeth[0]), String(pairs[1]!.teeth[1])],
      [String(pairs[1]!.teeth[1]), String(pairs[1]!.teeth[0])],
    ]);
    expect(refusals(plan(again, shop))).toEqual([]);
    // thinning one of the two frees both
    const backlash = (of: Job) =>
      plan(of, shop).parts.map((each) => stationOf(each, 'gear')!.detail.mesh!.report.backlash!);
    const before = backlash(again);
    const thinned = withSpurPart(again, 'p2', (own) => ({
      ...own,
      gear: { ...own.gear, thinning: measure('0.08', 'mm') },
    }));
    for (const [i, now] of backlash(thinned).entries()) expect(now - before[i]!).toBeCloseTo(0.08, 3);
  });
});
