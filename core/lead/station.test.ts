import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { tableOfGears, TWELVE_GEARS, trainText, type Train } from '../gearing/index.ts';
import { drawnHelicalJob, withSpurPart, type Job } from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { plan, stationOf, type PartPlan } from '../plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_GEARS, STOCK_HEADS, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { approx, exact, measure } from '../units/index.ts';
import { findLeadTrains, leadCutter, leadOf, proveHelix, searchLeads, usualLeadIdlers } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const twelve = tableOfGears(TWELVE_GEARS);

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

describe('worked examples', () => {
  // Source: Machinery's Handbook, change gears for helical milling, machine of 10 in lead (gears from memory,
  // checked by the formula): a lead of 12 in from 72 and 32 over 48 and 40; 48 in from 72 and 64 over 40 and
  // 24
  test.each([
    [12, { driver: 48, driven: 72, second: { driver: 40, driven: 32 } }],
    [48, { driver: 40, driven: 72, second: { driver: 24, driven: 64 } }],
  ] as [number, Train][])('a lead of %d in', (inches, train) => {
    expect(approx(leadOf(train, exact(10)))).toBe(inches);
    const asked = { lead: inches * 25.4, pitchDiameter: 60, faceWidth: 20 };
    const [best] = findLeadTrains({
      table: twelve,
      machine: exact(254),
      asked,
      leadSearch: { compound: true, most: 20 },
    });
    expect(best!.overFace).toBeCloseTo(0, 9);
  });

  test('the station: 30 teeth of module 1.5 at 20°, 40 : 1 and a screw of 5 mm', () => {
    const lead = leadIn(helical());
    // L = π·45/sin 20° = 413.343; 72·44/(48·32) · 200 = 412.5
    expect(lead.detail.wanted).toBeCloseTo((Math.PI * 45) / Math.sin(rad(20)), 4);
    expect(lead.detail.machine).toBe(200);
    expect(trainText(lead.detail.inForce!.train)).toBe('48 : 44, 32 : 72');
    expect(lead.answer).toBe('48 : 44, 32 : 72, swing 20°');
    // Δ = b·πd(1/L' − 1/L)
    const d = 45 / Math.cos(rad(20));
    expect(lead.detail.inForce!.overFace).toBeCloseTo(
      18000 * Math.PI * d * (1 / 412.5 - Math.sin(rad(20)) / (Math.PI * 45)),
      3,
    );
    expect(lead.issues).toEqual([]);
    expect(lead.detail.proof).toMatchObject({ spaces: 30, even: true, advance: '12/275', lead: '825/2' });
  });
});

describe('which train, and where', () => {
  test('the quick answer is the first of the longer search; six gears come nearer or are left out', () => {
    const { detail } = leadIn(helical());
    const question = {
      gears: STOCK_GEARS.gears,
      machine: detail.machineText!,
      asked: { lead: detail.wanted!, pitchDiameter: detail.pitchDiameter!, faceWidth: 18 },
      compound: true,
      six: false,
      head: STOCK_HEADS[0]!,
      hand: 'right' as const,
    };
    const four = searchLeads(question);
    expect(four).toHaveLength(50);
    expect(four[0]!.train).toEqual(detail.ways[0]!.train);
    const six = searchLeads({ ...question, six: true });
    expect(Math.abs(six[0]!.overFace)).toBeLessThan(Math.abs(four[0]!.overFace));
    expect(six[0]!.gears).toBe(6);
    // what is chosen there is kept, and checked again
    const chosen = leadIn(helical((part) => ({ lead: { ...part.lead, choice: six[0]!.train } })));
    expect(chosen.detail.inForce).toMatchObject({ gears: 6, overFace: six[0]!.overFace });
  });

  test('idlers by custom: a right-hand lead through an even number of meshes, a left-hand one through an odd number', () => {
    const simple: Train = { driver: 40, driven: 72, second: null };
    const four: Train = { ...simple, second: { driver: 24, driven: 64 } };
    const six: Train = { ...four, third: { driver: 28, driven: 56 } };
    for (const [train, gears] of [
      [simple, 2],
      [four, 4],
      [six, 6],
    ] as const)
      for (const hand of ['right', 'left'] as const)
        expect((gears / 2 + usualLeadIdlers(train, hand)) % 2 === 0).toBe(hand === 'right');
    // two shafts apart are not joined without one
    expect(usualLeadIdlers(simple, 'left')).toBe(2);
  });

  test('a train that the gears do not hold, or the bracket does not take', () => {
    const choice = (train: Train) => helical((part) => ({ lead: { ...part.lead, choice: train } }));
    expect(says(choice({ driver: 24, driven: 24, second: { driver: 24, driven: 50 } }))).toMatch(
      /blocked 24 : 24, 24 : 50 was chosen, and these gears do not hold it/,
    );
    const noStud = {
      ...STOCK_EQUIPMENT,
      heads: [{ ...STOCK_HEADS[0]!, differential: { gearSetId: 'gears-twelve', stud: false, idlers: 1 } }],
    };
    expect(says(choice({ driver: 48, driven: 44, second: { driver: 32, driven: 72 } }), noStud)).toMatch(
      /does not go on Head with three plates: its bracket has no stud/,
    );
    // without a stud the best simple train is in force, far as it is, and is asked about
    expect(leadIn(helical(), noStud).detail.ways.every(({ gears }) => gears === 2)).toBe(true);
    // the left hand wants two idlers of a simple train
    const left = helical((part) => ({
      gear: { ...part.gear, hand: 'left' },
      lead: { ...part.lead, choice: { driver: 48, driven: 100, second: null }, allowed: measure('9', 'mm') },
    }));
    expect(says(left, noStud)).toMatch(
      /^blocked 48 : 100 does not go on .*: its bracket takes 1 idler at most, and this train needs 2\.$/,
    );
  });

  test('in force is the nearest that its bracket takes and that clears its stud, by the rules tried on each', () => {
    const seen = new Set<string>();
    for (const hand of ['right', 'left'] as const)
      for (const idlers of [0, 1, 2])
        for (const [k, helix] of ['8', '13', '17', '22', '29', '34', '41'].entries()) {
          // five of the twelve gears, others each time
          const gears = TWELVE_GEARS.filter((_, i) => (i * (k + 3)) % 12 < 5);
          const shop = {
            ...STOCK_EQUIPMENT,
            gearSets: STOCK_EQUIPMENT.gearSets.map((set) => ({ ...set, gears })),
            heads: [{ ...STOCK_HEADS[0]!, differential: { gearSetId: 'gears-twelve', stud: true, idlers } }],
          };
          const job = helical((part) => ({ gear: { ...part.gear, hand } }), helix);
          const { ways, inForce } = leadIn(job, shop).detail;
          // a right-hand lead goes through an even number of meshes, idlers among them; a left-hand one
          // through an odd
          const needs = ({ second }: Train) =>
            (hand === 'right') === (second === null) ? 1 : second ? 0 : 2;
          const goes = ({ train }: (typeof ways)[number]) => needs(train) <= idlers;
          const clears = ({ train: { driver, driven, second } }: (typeof ways)[number]) =>
            !second || (driver + driven > second.driver + 15 && second.driver + second.driven > driven + 15);
          const first = ways.find((way) => goes(way) && clears(way)) ?? ways.find(goes) ?? ways[0];
          if (inForce)
            expect([hand, idlers, helix, inForce.train]).toEqual([hand, idlers, helix, first?.train]);
          if (inForce && first !== ways[0]) seen.add(goes(ways[0]!) ? 'does not clear' : 'is refused');
        }
    // of gears of 16 teeth and more one of the four placements always clears: only a bracket stands in the
    // way
    expect([...seen]).toEqual(['is refused']);
  });

  test('what a tooth may stray is the person’s to say', () => {
    const strict = helical((part) => ({ lead: { ...part.lead, allowed: measure('.0002', 'in') } }));
    expect(says(strict)).toMatch(
      /query The tooth ends up 13 µm beside its place over this face, more than the 0.005 mm allowed/,
    );
    expect(stationOf(partIn(strict), 'lead')!.state).toBe('doubt');
    expect(says(helical((part) => ({ lead: { ...part.lead, allowed: measure('0', 'mm') } })))).toMatch(
      /more than zero/,
    );
  });
});

describe('what is lacking is said, and the other stations go on', () => {
  const withoutGears = { ...STOCK_EQUIPMENT, gearSets: [{ ...STOCK_GEARS, gears: [] }] };
  const oneGear = { ...STOCK_EQUIPMENT, gearSets: [{ ...STOCK_GEARS, gears: [{ teeth: 40, count: 1 }] }] };
  const bareHead = { ...STOCK_EQUIPMENT, heads: [{ ...STOCK_HEADS[0]!, differential: null }] };
  test.each([
    ['no gears owned', withoutGears, /No gears are listed/],
    ['a single gear', oneGear, /a train needs two at least/],
    ['a head that cannot be geared', bareHead, /has no change gears between table and worm/],
    ['no mill', { ...STOCK_EQUIPMENT, mills: [] }, /No mill is chosen whose table screw drives/],
    [
      'a screw lead of 0',
      { ...STOCK_EQUIPMENT, mills: [{ ...STOCK_MILL, lead: measure('0', 'mm') }] },
      /has no lead that can be used/,
    ],
    [
      'a screw lead that cannot be read',
      { ...STOCK_EQUIPMENT, mills: [{ ...STOCK_MILL, lead: measure('five', 'mm') }] },
      /has no lead that can be used/,
    ],
  ] as [string, Equipment, RegExp][])('%s', (_what, shop, why) => {
    expect(says(helical(), shop)).toMatch(why);
    const part = partIn(helical(), shop);
    expect(part.cutting).toBeNull();
    expect(stationOf(part, 'blank')!.complete).toBe(true);
    expect(stationOf(part, 'dividing')!.detail.inForce).not.toBeNull();
  });

  test('a lead longer than any train makes, and one so short that it needs the spindle itself', () => {
    // 0.05°: 162 m of lead
    expect(says(helical(undefined, '0.05'))).toMatch(
      /No train of these gears comes near a lead of 162000.*A finer angle has a longer lead/,
    );
    const short = helical(
      (part) => ({ gear: { ...part.gear, teeth: measure('6', 'count'), pitch: measure('0.5', 'module') } }),
      '70',
    );
    expect(says(short)).toMatch(
      /comes near a lead of 10.03 mm.*Past the worm, on the spindle itself, they cut from/,
    );
    const direct = helical(
      (part) => ({
        gear: { ...part.gear, teeth: measure('6', 'count'), pitch: measure('0.5', 'module') },
        lead: { ...part.lead, drive: 'spindle' },
      }),
      '70',
    );
    const lead = leadIn(direct);
    expect(lead.detail.machine).toBe(5);
    expect(lead.detail.inForce!.lead / lead.detail.wanted!).toBeCloseTo(1, 2);
    // and there the crank divides nothing
    expect(stationOf(partIn(direct), 'dividing')!.issues.map(({ code }) => code)).toEqual([
      'lead-no-indexing',
    ]);
  });

  test('without a face width it waits; no straight gear has the station', () => {
    expect(
      leadIn(helical((part) => ({ blank: { ...part.blank, faceWidth: measure('', 'mm') } }))).answer,
    ).toBe('waits for the face width');
    expect(stationOf(partIn(helical(undefined, '0')), 'lead')).toBeNull();
    expect(partIn(helical(undefined, '0')).cutting!.helix).toBeNull();
  });
});

test('of a cutter what the lead asks for: its sizes, none where it has none', () => {
  const mm = (typed: string) => measure(typed, 'mm');
  expect(leadCutter({ diameter: mm('2 3/8'), width: mm('5') })).toEqual({ diameter: 2.375, width: 5 });
  expect(leadCutter({ diameter: mm(''), width: mm('x') })).toEqual({ diameter: null, width: null });
  expect(leadCutter(null)).toEqual({ diameter: null, width: null });
});

describe('the motion of table, train and crank together', () => {
  const even = (spaces: number) => Array.from({ length: spaces }, (_, k) => exact(k, spaces));
  // 5 mm screw, R 40, 48 : 24 and 40 : 32 make 40·5·(24·32)/(48·40) = 80 mm
  const drive = {
    screwLead: exact(5),
    train: { driver: 48, driven: 24, second: { driver: 40, driven: 32 } },
    ratio: exact(40),
  };
  const on = { face: exact(20), drawn: 80, pitchDiameter: 50 };

  test('run through screw, gears and worm by hand: a quarter turn over 20 mm of an 80 mm lead', () => {
    // 20 mm are 4 turns of the screw; × 48/24 = 8, × 40/32 = 10 turns of the worm; / 40 = a quarter
    expect(proveHelix(drive, even(7), on)).toEqual({
      spaces: 7,
      even: true,
      advance: '1/4',
      lead: '80',
      worst: expect.closeTo(0, 6),
    });
    // every third space of seven: another order, the same places
    const blocks = Array.from({ length: 7 }, (_, k) => exact(3 * k, 7));
    expect(proveHelix(drive, blocks, on)).toMatchObject({ even: true, worst: expect.closeTo(0, 6) });
    // past the worm the gears turn the work forty times as fast
    expect(proveHelix({ ...drive, ratio: exact(1) }, even(7), on)).toMatchObject({
      advance: '10',
      lead: '2',
    });
  });

  test('what is not as drawn shows: another lead, gears exchanged, a space slipped, cut twice, a count that does not close', () => {
    // 79 mm drawn: 20/80 − 20/79 of a turn at the end of the face, on 157.08 mm round: 0.4971 mm
    expect(proveHelix(drive, even(7), { ...on, drawn: 79 }).worst).toBeCloseTo(
      (20 / 79 - 20 / 80) * Math.PI * 50_000,
      3,
    );
    const exchanged = { ...drive, train: { ...drive.train, driver: 24, driven: 48 } };
    expect(proveHelix(exchanged, even(7), on)).toMatchObject({ lead: '320', even: true });
    expect(proveHelix(exchanged, even(7), on).worst).toBeGreaterThan(1000);
    const slipped = even(7).map((turn, k) => (k === 6 ? turn.add(exact(1, 840)) : turn));
    const off = proveHelix(drive, slipped, on);
    expect(off.even).toBe(false);
    expect(off.worst).toBeCloseTo((Math.PI * 50_000) / 840, 3);
    const twice = even(7).map((turn, k) => (k === 6 ? exact(0) : turn));
    expect(proveHelix(drive, twice, on).even).toBe(false);
    // moves for eight, made seven times
    expect(proveHelix(drive, even(8).slice(0, 7), on).even).toBe(false);
  });

  test('every train that is found makes the lead it is said to make (seed 3)', () => {
    const found = findLeadTrains({
      table: twelve,
      machine: exact(200),
      asked: { lead: 500, pitchDiameter: 50, faceWidth: 20 },
      leadSearch: { compound: true, most: 30 },
    });
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 90 }), fc.constantFrom(...found), (spaces, { train, lead }) => {
        const proof = proveHelix({ screwLead: exact(5), train, ratio: exact(40) }, even(spaces), {
          face: exact(20),
          drawn: approx(lead),
          pitchDiameter: 50,
        });
        expect(proof).toMatchObject({ spaces, even: true });
        expect(proof.worst).toBeLessThan(1e-6);
        expect(exact(proof.lead).equals(lead)).toBe(true);
      }),
      { seed: 3, numRuns: 60 },
    );
  });
});
