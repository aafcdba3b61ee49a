import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { drawnHelicalJob, drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { standardPitches, toothSystem } from './index.ts';

/* What the gear station tells, beside what was worked outside the code. */

const RAD = Math.PI / 180;
const mm = (typed: string) => measure(typed, 'mm');
const deg = (typed: string) => measure(typed, 'deg');
const count = (typed: string) => measure(typed, 'count');
const drawn = { id: 'g', name: 'Gear', pitch: '1', teeth: 20, face: '10', bore: '5' };
const gear = (change: Partial<SpurPart['gear']>, job: Job = drawnSpurJob(drawn)) =>
  stationOf(
    plan(
      withSpurPart(job, 'p1', (part) => ({ ...part, gear: { ...part.gear, ...change } })),
      STOCK_EQUIPMENT,
    ).parts[0]!,
    'gear',
  )!;
const said = (change: Partial<SpurPart['gear']>) => gear(change).issues.map(sayIssue);
const lengthOf = (station: ReturnType<typeof gear>, key: string) => {
  const value = station.values.find((one) => one.key === key);
  return value?.kind === 'length' ? value.mm : value?.kind === 'angle' ? value.deg : null;
};

describe('how far teeth may lean', () => {
  test('80° is the most, and what is more is answered with what is right', () => {
    expect(said({ helix: deg('80') })).toEqual([]);
    expect(said({ helix: deg('80.1') })).toEqual([
      'A helix angle of 80.1 is out of range. A helix angle lies from 0° (spur) to 80°; which way it leans is its hand, given beside it.',
    ]);
  });
  test('by a lead: sin β = π·20/L; 63 mm would be 85.8°, and 62.83 mm is at any angle too short', () => {
    const by = (lead: string) => ({ helixFrom: 'lead' as const, lead: mm(lead) });
    expect(lengthOf(gear(by('120')), 'helix')).toBeCloseTo(Math.asin((Math.PI * 20) / 120) / RAD, 6);
    // sin 80° = 0.9848: a lead of 63.80 is the shortest
    expect(lengthOf(gear(by('63.81')), 'helix')).toBeCloseTo(Math.asin((Math.PI * 20) / 63.81) / RAD, 6);
    for (const lead of ['63.7', '63', '60'])
      expect(said(by(lead))).toEqual([
        `A lead of ${lead} is too short for these teeth: at any angle it is more than 62.83 mm. Was it measured over less than a whole turn?`,
      ]);
  });
  test('by a print off the tips of stub teeth: the tips stand 0.8 out, not 1', () => {
    const stub = gear({
      helixFrom: 'print',
      helix: deg('24'),
      depth: { ...drawnDepth(), rule: 'stub-1.8' },
    });
    const beta = lengthOf(stub, 'helix')! * RAD;
    const d = 20 / Math.cos(beta);
    expect((Math.tan(beta) * (d + 1.6)) / d).toBeCloseTo(Math.tan(24 * RAD), 6);
  });
});

function drawnDepth(): SpurPart['gear']['depth'] {
  const [part] = drawnSpurJob(drawn).parts;
  if (part?.kind !== 'spur') throw new Error('a spur part');
  return part.gear.depth;
}

describe('beside its mate', () => {
  const mate = (change: Partial<SpurPart['gear']['mate']>) => {
    const [part] = drawnSpurJob(drawn).parts;
    if (part?.kind !== 'spur') throw new Error('a spur part');
    return { mate: { ...part.gear.mate, teeth: count('40'), ...change } };
  };
  test('at the nominal centre there is none of the backlash that is wanted: as much thinner, and so much deeper', () => {
    const { mesh } = gear(mate({ backlash: mm('0.06') })).detail;
    expect(mesh!.report.backlash).toBeCloseTo(0, 9);
    expect(mesh!.thinner).toBeCloseTo(0.06, 9);
    // form cutter for 17 to 20 teeth, exact at 17: Δh = j cos α / (2 sin(α + 90°/17)), common practice by
    // geometry
    expect(mesh!.deeper).toBeCloseTo((0.06 * Math.cos(20 * RAD)) / (2 * Math.sin((20 + 90 / 17) * RAD)), 6);
    // spread until the involutes have it by themselves: j = 2a (inv αw − inv α), by halving
    const wide = mesh!.centreForWanted;
    const w = Math.acos((30 * Math.cos(20 * RAD)) / wide);
    const inv = (a: number) => Math.tan(a) - a;
    expect(2 * wide * (inv(w) - inv(20 * RAD))).toBeCloseTo(0.06, 6);
    expect(gear(mate({ centre: mm('30.2'), backlash: mm('0.06') })).detail.mesh!.deeper).toBe(0);
  });
  test('closer than the base circles let them stand there is no backlash to speak of, and no depth that would make it', () => {
    // 30 cos 20° = 28.19
    const { mesh } = gear(mate({ centre: mm('28'), backlash: mm('0.06') })).detail;
    expect(mesh!.report.backlash).toBeNull();
    expect([mesh!.deeper, mesh!.thinner]).toEqual([0, 0]);
  });
  test('on parallel shafts an angle left over from crossed ones says nothing', () => {
    const helical = drawnHelicalJob(drawn, '20');
    const change = mate({ shafts: 'parallel', helix: deg('40'), shaftAngle: deg('75') });
    const station = gear(change, helical);
    // at the nominal centre, without backlash, they only bind
    expect(station.issues.map(({ code }) => code)).toEqual(['mesh-binds']);
    expect(station.working.map(({ key }) => key)).not.toContain('shafts');
    expect(
      gear(mate({ shafts: 'crossed', helix: deg('40') }), helical).working.map(({ key }) => key),
    ).toContain('shafts');
  });
});

// Source: ISO 54, series I and II; diametral pitches from memory
test('standard pitches of either system are those of its own table', () => {
  const figures = (system: 'module' | 'dp') =>
    standardPitches(system).map(({ pitch }) => Number(pitch.figure.valueOf()));
  for (const module of [0.5, 1, 1.125, 1.25, 2.75, 6, 50]) expect(figures('module')).toContain(module);
  for (const module of [1.3, 14.5, 24, 48]) expect(figures('module')).not.toContain(module);
  for (const pitch of [3.5, 10, 12, 14, 24, 48, 64, 120]) expect(figures('dp')).toContain(pitch);
  for (const pitch of [13, 1.125, 50, 0.5]) expect(figures('dp')).not.toContain(pitch);
  expect(() => toothSystem('none' as never)).toThrow('no tooth system none');
});
