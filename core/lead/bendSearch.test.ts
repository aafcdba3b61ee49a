import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { tableOfGears, TWELVE_GEARS, trainRatio } from '../gearing/index.ts';
import {
  drawnHelicalJob,
  mateOf,
  takeBentAngle,
  withMatePart,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { plan, stationOf, type PartPlan } from '../plan/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../shop/index.ts';
import { approx, exact, measure, pitchOf } from '../units/index.ts';
import { bendAngle } from './bend.ts';
import { findLeadTrains, helixLead, searchBends, type BendQuestion } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const deg = (typed: string) => measure(typed, 'deg');

const DRAWN = { id: 'h', name: 'Blower', pitch: '1.5', teeth: 30, face: '18', bore: '12' };
const helical = (change: (part: SpurPart) => Partial<SpurPart> = () => ({}), helix = '20'): Job =>
  withSpurPart(drawnHelicalJob(DRAWN, helix), 'p1', (part) => ({ ...part, ...change(part) }));
/** A job whose own copies are left out, so that the shop given counts. */
const partIn = (job: Job, shop: Equipment = STOCK_EQUIPMENT): PartPlan =>
  plan({ ...job, equipment: { ...job.equipment, heads: [], gearSets: [], mills: [] } }, shop).parts[0]!;
const leadIn = (job: Job, shop?: Equipment) => stationOf(partIn(job, shop), 'lead')!;

test.each([1, 10, 60])(
  'the %i nearest angles are those of the whole search, however close by it stops',
  (most) => {
    const asked = {
      table: tableOfGears(TWELVE_GEARS),
      machine: exact(200),
      bending: { teeth: 30, normalModule: 1.5, helixAngle: rad(20), give: rad(3) },
      compound: true,
    };
    const all = bendAngle({ ...asked, most: Infinity });
    expect(all.length).toBeGreaterThan(100);
    expect(bendAngle({ ...asked, most })).toEqual(all.slice(0, most));
    const keep = (angle: number) => angle > rad(21);
    expect(bendAngle({ ...asked, most, keep })).toEqual(
      all.filter(({ helixAngle }) => keep(helixAngle)).slice(0, most),
    );
  },
);

describe('bending, within what may move', () => {
  const question: BendQuestion = {
    gears: TWELVE_GEARS,
    machine: '200',
    compound: true,
    teeth: 30,
    normalModule: 1.5,
    addendum: 1.5,
    faceWidth: 18,
    helixDeg: 20,
    mateTeeth: 45,
    centre: null,
    give: { angle: 1, centre: null, diameter: null },
  };
  const centreAt = (helix: number) => (1.5 * 75) / (2 * Math.cos(rad(helix)));

  test('every angle’s lead is cut exactly by its train; a pair’s by both', () => {
    const { single, pair } = searchBends(question, 40);
    for (const row of [...single, ...pair!]) {
      const { helixDeg, train, lead, tipDiameter, centre, moved } = row;
      if (!('exact' in row) || row.exact) expect(helixLead(30, 1.5, rad(helixDeg))).toBeCloseTo(lead, 6);
      expect(200 / approx(trainRatio(train))).toBeCloseTo(lead, 9);
      expect(tipDiameter).toBeCloseTo(45 / Math.cos(rad(helixDeg)) + 3, 9);
      expect(centre).toBeCloseTo(centreAt(helixDeg), 9);
      expect(Math.abs(moved)).toBeLessThanOrEqual(1 + 1e-9);
    }
    expect(pair!.some(({ exact: both }) => both)).toBe(true);
    for (const row of pair!.filter(({ exact: both }) => both)) {
      expect(200 / approx(trainRatio(row.mateTrain))).toBeCloseTo(helixLead(45, 1.5, rad(row.helixDeg)), 6);
      expect(row.mateOverFace).toBe(0);
    }
  });

  test('nothing moves further than allowed', () => {
    const centre = searchBends({ ...question, give: { angle: 2, centre: 0.05, diameter: null } }, 200);
    expect(centre.single.length).toBeGreaterThan(0);
    for (const row of [...centre.single, ...centre.pair!])
      expect(Math.abs(row.centre! - centreAt(20))).toBeLessThanOrEqual(0.05 + 1e-9);
    const kept = searchBends(
      { ...question, centre: 60, give: { angle: 2, centre: 0.02, diameter: null } },
      200,
    );
    for (const row of kept.single) expect(Math.abs(row.centre! - 60)).toBeLessThanOrEqual(0.02 + 1e-9);
    const diameter = searchBends({ ...question, give: { angle: 2, centre: null, diameter: 0.03 } }, 200);
    for (const row of diameter.single)
      expect(Math.abs(row.tipDiameter - (45 / Math.cos(rad(20)) + 3))).toBeLessThanOrEqual(0.03 + 1e-9);
    expect(searchBends({ ...question, give: { angle: 0, centre: null, diameter: null } }).single).toEqual([]);
    expect(searchBends({ ...question, gears: [] })).toEqual({ single: [], pair: [] });
  });

  test('what may move is read at its fields: nothing negative, nothing so far that it is another gear', () => {
    const give = (change: Partial<SpurPart['lead']['give']>) =>
      leadIn(
        helical((part) => ({ lead: { ...part.lead, give: { ...part.lead.give, ...change } } })),
      ).issues.map(({ path, code }) => `${code} ${path}`);
    expect(give({ angle: deg('45') })).toEqual(['out-of-range parts.p1.lead.give.angle']);
    expect(give({ angle: deg('-1') })).toEqual(['out-of-range parts.p1.lead.give.angle']);
    expect(give({ centre: measure('-.1', 'mm'), diameter: measure('x', 'mm') })).toEqual([
      'negative parts.p1.lead.give.centre',
      'not-a-number parts.p1.lead.give.diameter',
    ]);
    expect(give({ angle: deg('') })).toEqual([]);
  });

  test('a fine scan of the angle finds no better pair', () => {
    const gears = [24, 28, 32, 40, 44, 48, 56, 64, 72, 86, 100]
      .slice(0, 7)
      .map((teeth) => ({ teeth, count: 1 }));
    const table = tableOfGears(gears);
    const { pair } = searchBends({ ...question, gears, mateTeeth: 41 });
    const off = (teeth: number, helix: number) => {
      const lead = helixLead(teeth, 1.5, rad(helix));
      const [best] = findLeadTrains({
        table,
        machine: exact(200),
        asked: { lead, pitchDiameter: (teeth * 1.5) / Math.cos(rad(helix)), faceWidth: 18 },
        leadSearch: { compound: true, most: 1 },
      });
      return Math.abs(200 / approx(trainRatio(best!.train)) / lead - 1);
    };
    // where a scan rests, the worse of the two leads is off the least; ours is off no more
    let least = Infinity;
    for (let helix = 19; helix <= 21; helix += 0.002)
      least = Math.min(least, Math.max(off(30, helix), off(41, helix)));
    const [best] = pair!;
    const ours = [
      best!.lead / helixLead(30, 1.5, rad(best!.helixDeg)),
      best!.mateLead / helixLead(41, 1.5, rad(best!.helixDeg)),
    ].map((ratio) => Math.abs(ratio - 1));
    expect(best!.exact).toBe(false);
    expect(Math.max(...ours)).toBeLessThanOrEqual(least + 1e-7);
    // both bear the same
    expect(Math.abs(best!.overFace)).toBeCloseTo(Math.abs(best!.mateOverFace), 2);
    expect(Math.sign(best!.overFace)).toBe(-Math.sign(best!.mateOverFace));
  });

  test('taken, it goes into both gears of the job, and both leads come out exactly', () => {
    const drawn = helical((part) => ({
      gear: { ...part.gear, mate: { ...part.gear.mate, teeth: measure('45', 'count') } },
    }));
    const { job, mateId } = withMatePart({ job: drawn, partId: 'p1', crossed: null });
    expect(mateOf(job, 'p1')!.gear).toMatchObject({
      hand: 'left',
      teeth: { typed: '45' },
      mate: { teeth: { typed: '30' } },
    });
    const row = searchBends(question).pair!.find(({ exact: both }) => both)!;
    const taken = takeBentAngle({
      job,
      partId: 'p1',
      bentTo: row,
      normalPitch: pitchOf('module', exact('1.5')),
    });
    const parts = plan(taken, STOCK_EQUIPMENT).parts;
    for (const part of parts) {
      const lead = stationOf(part, 'lead')!;
      expect(Math.abs(lead.detail.inForce!.overFace)).toBeLessThan(0.01);
      expect(lead.detail.chosen).toBe(true);
    }
    expect(parts.map((part) => stationOf(part, 'gear')!.detail.helical!.hand)).toEqual(['right', 'left']);
    expect(plan(taken, STOCK_EQUIPMENT).findings).toEqual([]);
    // one gear alone bent: the pair no longer goes together, and it is said
    const apart = takeBentAngle({
      job: taken,
      partId: 'p1',
      bentTo: { ...row, helixDeg: 20.5, mateTrain: undefined },
      normalPitch: pitchOf('module', exact('1.5')),
    });
    expect(plan(apart, STOCK_EQUIPMENT).findings.map(sayIssue).join()).toMatch(
      /mesh only with one and the same angle/,
    );
    const sameHand = withSpurPart(taken, mateId!, (part) => ({
      ...part,
      gear: { ...part.gear, hand: 'right' },
    }));
    expect(plan(sameHand, STOCK_EQUIPMENT).findings.map(sayIssue).join()).toMatch(
      /Both gears of this pair are right-hand/,
    );
  });

  test('a transverse print bent: the cutter’s own pitch is kept', () => {
    const mt = (1.5 / Math.cos(rad(20))).toFixed(9);
    const print = helical((part) => ({
      gear: { ...part.gear, pitch: measure(mt, 'module'), pitchPlane: 'transverse' },
    }));
    const normal = stationOf(partIn(print), 'gear')!.detail.normalPitch!;
    const bent = takeBentAngle({
      job: print,
      partId: 'p1',
      bentTo: { helixDeg: 19.9, train: { driver: 48, driven: 100, second: null } },
      normalPitch: pitchOf(normal.system, exact(normal.figure)),
    });
    expect(stationOf(partIn(bent), 'gear')!.answer).toMatch(/m 1.5, 20°, helix 19° 54′ right/);
  });

  test('a mate on crossed shafts gets a card that agrees with the first, whichever hand it has', () => {
    for (const [own, shafts] of [
      ['30', '90'],
      ['50', '20'],
    ] as const) {
      const drawn = helical(
        (part) => ({
          gear: {
            ...part.gear,
            mate: {
              ...part.gear.mate,
              teeth: measure('24', 'count'),
              shafts: 'crossed',
              shaftAngle: deg(shafts),
            },
          },
        }),
        own,
      );
      const first = stationOf(partIn(drawn), 'gear')!.detail;
      const { mateHelixDeg: helixDeg, mateHand: hand } = first.crossed!;
      const { job, mateId } = withMatePart({
        job: drawn,
        partId: 'p1',
        crossed: {
          helixDeg,
          hand,
          ownHelixDeg: first.helical!.helixDeg,
        },
      });
      const planned = plan(job, STOCK_EQUIPMENT);
      const mate = stationOf(
        planned.parts.find(({ id }) => id === mateId)!,
        'gear',
      )!;
      expect(mate.issues).toEqual([]);
      expect(mate.detail.crossed!.shaftDeg).toBeCloseTo(Number(shafts), 4);
      expect(mate.detail.crossed!.centre).toBeCloseTo(first.crossed!.centre, 4);
      expect(planned.findings).toEqual([]);
    }
  });
});
