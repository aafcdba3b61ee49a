import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { drawnHelicalJob, withSpurPart, type Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { plan, stationOf, type PartPlan } from '../plan/index.ts';
import { plainCutter, STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { cornerReach, headTilt, layingFor, onScale, setTable, testLine, widerBySetting } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const deg = (typed: string) => measure(typed, 'deg');

const DRAWN = { id: 'h', name: 'Blower', pitch: '1.5', teeth: 30, face: '18', bore: '12' };
const helical = (change: (part: SpurPart) => Partial<SpurPart> = () => ({}), helix = '20'): Job =>
  withSpurPart(drawnHelicalJob(DRAWN, helix), 'p1', (part) => ({ ...part, ...change(part) }));
/** A job whose own copies are left out, so that the shop given counts. */
const partIn = (job: Job, shop: Equipment = STOCK_EQUIPMENT): PartPlan =>
  plan({ ...job, equipment: { ...job.equipment, heads: [], gearSets: [], mills: [] } }, shop).parts[0]!;
const leadIn = (job: Job, shop?: Equipment) => stationOf(partIn(job, shop), 'lead')!;
const says = (job: Job, shop?: Equipment) =>
  leadIn(job, shop)
    .issues.map((issue) => `${issue.severity} ${sayIssue(issue)}`)
    .join('\n');

describe('table and head', () => {
  const swings = (typed: string, more = {}) => ({
    ...STOCK_EQUIPMENT,
    mills: [{ ...STOCK_MILL, swing: deg(typed), scaleMinutes: 15, ...more }],
  });

  test('to the nearest mark, with what it costs; and whether the mill can', () => {
    expect(onScale(20.13, 15)).toBe(20.25);
    expect(onScale(20.13, 60)).toBe(20);
    // a disk of 60, 4 deep, half a degree off: 2·√(4·56)·tan 0.5°
    expect(widerBySetting(4, 60, 0.5)).toBeCloseTo(2 * Math.sqrt(224) * Math.tan(rad(0.5)), 9);
    expect(widerBySetting(4, 60, 0)).toBe(0);
    expect(says(helical(undefined, '30'), swings('25'))).toMatch(/has to swing 29° 59′ 24″ and goes to 25°/);
    expect(says(helical(), swings('0'))).toMatch(/does not swing/);
    expect(says(helical(), swings('45'))).toBe('');
    const tilted = helical((part) => ({ lead: { ...part.lead, setUp: 'head' } }));
    expect(says(tilted, swings('0', { headTilts: true }))).toBe('');
    expect(says(tilted, swings('45'))).toMatch(/^query .*not listed as one that tilts/);
  });

  test('a swung corner comes nearer to the column', () => {
    // the corners of the rectangle, turned, one and all
    for (const degrees of [0, 12, 30, 45]) {
      const a = rad(degrees);
      const reach = Math.max(
        ...[-1, 1].flatMap((x) => [-1, 1].map((y) => x * 450 * Math.sin(a) + y * 110 * Math.cos(a))),
      );
      expect(cornerReach(900, 220, degrees)).toBeCloseTo(reach, 9);
    }
    const close = {
      tableLength: measure('900', 'mm'),
      tableWidth: measure('220', 'mm'),
      toColumn: measure('200', 'mm'),
    };
    expect(says(helical(), swings('45', close))).toMatch(
      /corner reaches 257.28 mm towards the column and has 200.00 mm/,
    );
    expect(says(helical(), swings('45', { ...close, toColumn: measure('258', 'mm') }))).toBe('');
    // where its place before the column is not known, nothing is asked
    expect(says(helical(), swings('45', { ...close, toColumn: measure('', 'mm') }))).toBe('');
  });

  test.each([
    ['right', 'near'],
    ['right', 'far'],
    ['left', 'near'],
    ['left', 'far'],
  ] as const)(
    'a tilted head: %s-hand, cutter on the %s side, its plane lies along the tooth',
    (hand, side) => {
      // x to the right, y away, z up; a point of the helix at the side of the work, and its direction
      const way = hand === 'right' ? 1 : -1;
      const theta = side === 'near' ? Math.PI : 0;
      const beta = rad(28);
      const tangent = { x: 1 / Math.tan(beta), z: way * Math.cos(theta) };
      const { top, degrees } = headTilt(hand, 28, side);
      // the cutter's axis stands upright, its top tilted
      const tilt = rad(degrees) * (top === 'right' ? 1 : -1);
      const axis = { x: Math.sin(tilt), z: Math.cos(tilt) };
      expect(tangent.x * axis.x + tangent.z * axis.z).toBeCloseTo(0, 9);
    },
  );

  test('the scribed line: by a point carried along the helix', () => {
    for (const hand of ['right', 'left'] as const) {
      const { spindleDeg, round, leans } = testLine({ hand, lead: 400, face: 25, tipDiameter: 60 });
      // x = L·θ/2π, y = r·cos θ: on top θ = 90°, and what it does over the face
      const theta = (2 * Math.PI * 25) / 400;
      expect(rad(spindleDeg)).toBeCloseTo(theta, 9);
      expect(round).toBeCloseTo(30 * theta, 9);
      const y = 30 * Math.cos(Math.PI / 2 + (hand === 'right' ? theta : -theta));
      expect(leans).toBe(y < 0 ? 'towards' : 'away');
    }
  });

  test('the cutter’s approach along the work is told once its diameter and width are known: neither is guessed', () => {
    const owned = (width: string): Equipment => ({
      ...STOCK_EQUIPMENT,
      cutters: [
        {
          ...plainCutter('c', 'Six', measure('1.5', 'module')),
          diameter: measure('60', 'mm'),
          width: measure(width, 'mm'),
        },
      ],
    });
    const picked = helical((part) => ({ cutter: { ...part.cutter, cutterId: 'c' } }));
    expect(leadIn(picked).detail.approach).toBeNull();
    expect(leadIn(picked, owned('')).detail.approach).toBeNull();
    // √(h(Dc − h))·cos β + (w/2)·sin β
    expect(leadIn(picked, owned('6')).detail.approach).toBeCloseTo(
      Math.sqrt(3.375 * (60 - 3.375)) * Math.cos(rad(20)) + 3 * Math.sin(rad(20)),
      6,
    );
  });
});

describe('an upright spindle, its cutter beside the work', () => {
  /**
   * Does a disk whose axis stands so lie along a tooth there? The component of the tooth along the disk's
   * axis.
   */
  const across = (tooth: number[], axis: number[]) =>
    Math.abs(tooth.reduce((sum, part, i) => sum + part * axis[i]!, 0));
  const oneDegree = Math.PI / 180;

  test('swinging the table never lays a flat disk along the tooth; tilting the head by the helix angle does (geometry)', () => {
    for (const hand of ['right', 'left'] as const)
      for (const side of ['behind', 'front'] as const) {
        const beta = 20 * oneDegree;
        // the work along the table (x), the operator at −y; the tooth at its side, by the direction of a
        // screw thread
        const out = side === 'behind' ? [0, 1, 0] : [0, -1, 0];
        const round = [0, 0, out[1]!]; // x × out
        const turn = hand === 'right' ? 1 : -1;
        const tooth = [Math.cos(beta), 0, turn * Math.sin(beta) * round[2]!];
        for (let swing = -45; swing <= 45; swing += 5) {
          // swung, the work turns about z, which the flat disk's axis is: nothing changes along it
          const swung = [
            tooth[0]! * Math.cos(swing * oneDegree),
            tooth[0]! * Math.sin(swing * oneDegree),
            tooth[2]!,
          ];
          expect(across(swung, [0, 0, 1])).toBeCloseTo(Math.sin(beta), 9);
        }
        const laying = layingFor({ axis: 'vertical' }, { setUp: 'table', side: 'near' }, side);
        expect(laying.setUp).toBe('head');
        const { setting } = setTable(
          laying,
          {
            hand,
            helixDeg: 20,
            depth: 3,
            mill: { ...STOCK_MILL, axis: 'vertical' },
            cutter: { diameter: null },
          },
          'x',
        );
        expect(setting).toMatchObject({
          by: 'head',
          degrees: 20,
          upright: true,
          side: side === 'behind' ? 'far' : 'near',
        });
        // the head's top to the right: its axis leans to +x
        const lean = setting.way === 'right' ? 1 : -1;
        expect(across(tooth, [lean * Math.sin(beta), 0, Math.cos(beta)])).toBeCloseTo(0, 9);
      }
  });

  test('a head that is not said to tilt is asked about, and no table is offered instead; a lying mill is set as it was asked', () => {
    const { issues } = setTable(
      layingFor({ axis: 'vertical' }, { setUp: 'table', side: 'near' }, 'behind'),
      {
        hand: 'right',
        helixDeg: 20,
        depth: 3,
        mill: { ...STOCK_MILL, name: 'Pillar', axis: 'vertical', headTilts: false },
        cutter: { diameter: null },
      },
      'lead',
    );
    expect(issues.map(sayIssue)).toEqual([
      'The head of Pillar is not listed as one that tilts sideways, and on an upright spindle nothing else lays the cutter along the teeth: swinging the table does not. If it tilts, say so in the shop; if not, take a lying mill.',
    ]);
    for (const asked of [
      { setUp: 'table', side: 'near' },
      { setUp: 'head', side: 'far' },
    ] as const) {
      expect(layingFor({ axis: 'horizontal' }, asked, 'behind')).toEqual(asked);
      expect(layingFor(null, asked, 'front')).toEqual(asked);
    }
  });
});
