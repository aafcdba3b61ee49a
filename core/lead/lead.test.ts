import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { tableOfGears, trainRatio, trainsBetween, TWELVE_GEARS, type Train } from '../gearing/index.ts';
import { approx, exact, exactText } from '../units/index.ts';
import {
  angleOfLead,
  approachAlong,
  bendAngle,
  bendPair,
  findLeadTrains,
  helixLead,
  leadOf,
  machineLead,
  spindleTurns,
  tableSwing,
} from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const twelve = tableOfGears(TWELVE_GEARS);
/** Every single gear on the wall, to try trains one and all. */
const WALL = TWELVE_GEARS.flatMap(({ teeth, count }) => Array.from({ length: count }, () => teeth));

function everyRatio(): number[] {
  const found: number[] = [];
  for (const [i, a] of WALL.entries())
    for (const [j, b] of WALL.entries()) {
      if (i === j) continue;
      found.push(a / b);
      for (const [k, c] of WALL.entries())
        for (const [l, d] of WALL.entries())
          if (new Set([i, j, k, l]).size === 4) found.push((a * c) / (b * d));
    }
  return found;
}
const RATIOS = everyRatio();

describe('leads', () => {
  // Source: Machinery's Handbook, lead of a milling machine: 40 : 1 and four threads to the inch, 10 in
  test('lead of the machine', () => {
    expect(exactText(machineLead(exact(40), exact('25.4').div(4)))).toBe('254');
    expect(exactText(machineLead(exact(40), exact(5)))).toBe('200');
    expect(exactText(machineLead(exact(1), exact(5)))).toBe('5');
  });

  test('of a gear, and back to its angle; β → 0 goes beyond any train, a lead too short has no angle', () => {
    expect(helixLead(30, 2, rad(20))).toBeCloseTo((Math.PI * 60) / Math.sin(rad(20)), 9);
    // by the pitch cylinder: π·d/tan β with d = z·m/cos β
    expect(helixLead(30, 2, rad(20))).toBeCloseTo(
      (Math.PI * (60 / Math.cos(rad(20)))) / Math.tan(rad(20)),
      9,
    );
    expect(angleOfLead(30, 2, helixLead(30, 2, rad(33)))).toBeCloseTo(rad(33), 12);
    expect(helixLead(30, 2, rad(0.001))).toBeGreaterThan(1e7);
    expect(angleOfLead(30, 2, 100)).toBeNull();
  });
});

test('a train’s lead: drivens over drivers of the machine’s', () => {
  // 72 on the screw, 24 on the worm shaft, one to three: 200 · 24/72
  expect(exactText(leadOf({ driver: 72, driven: 24, second: null }, exact(200)))).toBe('200/3');
});

describe('best trains by error over the face', () => {
  test('none of the twelve gears does better, tried one and all (seed 6)', () => {
    fc.assert(
      fc.property(fc.double({ min: 40, max: 2500, noNaN: true }), (lead) => {
        const asked = { lead, pitchDiameter: 60, faceWidth: 20 };
        const [best] = findLeadTrains({
          table: twelve,
          machine: exact(200),
          asked,
          leadSearch: { compound: true, most: 8 },
        });
        const error = (ratio: number) =>
          Math.abs(20 * ((Math.PI * 60 * ratio) / 200 - (Math.PI * 60) / lead) * 1000);
        const least = RATIOS.reduce((most, ratio) => Math.min(most, error(ratio)), Infinity);
        expect(Math.abs(best!.overFace)).toBeLessThanOrEqual(least + 0.06);
        expect(Math.abs(best!.overFace)).toBeCloseTo(error(approx(trainRatio(best!.train))), 6);
      }),
      { seed: 6, numRuns: 40 },
    );
  });

  test('no gears owned: nothing, said as nothing', () => {
    expect(
      findLeadTrains({
        table: tableOfGears([]),
        machine: exact(200),
        asked: { lead: 500, pitchDiameter: 60, faceWidth: 20 },
        leadSearch: { compound: true, most: 5 },
      }),
    ).toEqual([]);
  });
});

test('every train in a stretch of ratios is found, and none beside it', () => {
  const [low, high] = [0.41, 0.47];
  const wanted = new Set(
    RATIOS.filter((ratio) => ratio >= low && ratio <= high).map((ratio) => ratio.toFixed(9)),
  );
  const found = new Set(
    trainsBetween({ table: twelve, low, high, compound: true }).map((train) =>
      approx(trainRatio(train)).toFixed(9),
    ),
  );
  // a driver that is also a driven does nothing: such fours are the simple trains again
  for (const ratio of found) expect(wanted.has(ratio)).toBe(true);
  for (const ratio of wanted) expect(found.has(ratio)).toBe(true);
});

describe('bending the angle', () => {
  const bending = { teeth: 24, normalModule: 2, helixAngle: rad(20), give: rad(1.5) };

  test('each angle’s lead is cut by its train with no error, nearest first', () => {
    const angles = bendAngle({ table: twelve, machine: exact(200), bending, compound: true, most: 12 });
    expect(angles.length).toBeGreaterThan(5);
    for (const { train, lead, helixAngle } of angles) {
      expect(helixLead(24, 2, helixAngle)).toBeCloseTo(approx(lead), 6);
      expect(approx(leadOf(train, exact(200)))).toBeCloseTo(approx(lead), 12);
      expect(Math.abs(helixAngle - rad(20))).toBeLessThanOrEqual(rad(1.5) + 1e-9);
    }
    const away = angles.map(({ helixAngle }) => Math.abs(helixAngle - rad(20)));
    expect([...away].sort((a, b) => a - b)).toEqual(away);
  });

  test('a fine scan over the angle finds no nearer one', () => {
    const [nearest] = bendAngle({ table: twelve, machine: exact(200), bending, compound: true, most: 1 });
    let best = Infinity;
    for (const ratio of RATIOS) {
      const angle = angleOfLead(24, 2, 200 / ratio);
      if (angle !== null) best = Math.min(best, Math.abs(angle - rad(20)));
    }
    expect(Math.abs(nearest!.helixAngle - rad(20))).toBeCloseTo(best, 12);
  });

  test('a pair: where it is called exact both leads belong to the one angle', () => {
    const pairs = bendPair({
      table: twelve,
      machine: exact(200),
      bending,
      mateTeeth: 48,
      compound: true,
      most: 10,
    });
    expect(pairs.length).toBeGreaterThan(0);
    for (const { helixAngle, trains, exact: both, off } of pairs) {
      expect(helixLead(24, 2, helixAngle)).toBeCloseTo(approx(leadOf(trains[0], exact(200))), 6);
      const second = helixLead(48, 2, helixAngle);
      const cut = approx(leadOf(trains[1], exact(200)));
      if (both) expect(cut).toBeCloseTo(second, 6);
      else expect(cut / second - 1).toBeCloseTo(off, 9);
    }
    expect(pairs.findIndex(({ exact: both }) => !both)).not.toBe(0);
  });
});

describe('the motion', () => {
  const train: Train = { driver: 44, driven: 100, second: { driver: 32, driven: 28 } };
  const lead = leadOf(train, machineLead(exact(40), exact(5)));

  test('a travel of one lead is one turn of the spindle, exactly', () => {
    expect(exactText(spindleTurns({ travel: lead, screwLead: exact(5), train, ratio: exact(40) }))).toBe('1');
    expect(
      exactText(spindleTurns({ travel: lead.div(7), screwLead: exact(5), train, ratio: exact(40) })),
    ).toBe('1/7');
  });

  test('a point moved through the train stays on the helix that is stated, to a micrometre', () => {
    const d = 60;
    const beta = Math.atan((Math.PI * d) / approx(lead));
    for (let travel = 0; travel <= 40; travel += 5) {
      const turned =
        approx(spindleTurns({ travel: exact(travel), screwLead: exact(5), train, ratio: exact(40) })) *
        Math.PI *
        d;
      expect(Math.abs(turned - travel * Math.tan(beta))).toBeLessThan(0.001);
    }
  });
});

describe('the table', () => {
  test.each([
    ['right', 20],
    ['left', 33],
  ] as const)('%s-hand: swung so, the helix on top lies along the cutter', (hand, degrees) => {
    // x along the table to the right, y away from the person, z up; the cutter cuts along x
    const t = Math.PI / 2;
    const way = hand === 'right' ? 1 : -1;
    const [pitch, R] = [1 / Math.tan(rad(degrees)), 1];
    const tangent = [pitch, -way * R * Math.sin(t)] as const;
    const { rightEnd, degrees: swung, arborAlong } = tableSwing(hand, degrees);
    const turn = rad(swung) * (rightEnd === 'away' ? 1 : -1);
    const y = tangent[0] * Math.sin(turn) + tangent[1] * Math.cos(turn);
    expect(y).toBeCloseTo(0, 9);
    expect(arborAlong).toBe(false);
  });

  test('over 45° the arbor is held along the table, and the rest is swung the other way', () => {
    expect(tableSwing('right', 60)).toEqual({ rightEnd: 'towards', degrees: 30, arborAlong: true });
    expect(tableSwing('left', 45)).toEqual({ rightEnd: 'towards', degrees: 45, arborAlong: false });
  });

  test('the cutter begins where its outline first meets the end face', () => {
    // a disk of 60, 8 wide, 4.5 deep, swung 25°: the furthest point of its lower edge within the depth, along
    // the work
    const [h, D, w, b] = [4.5, 60, 8, rad(25)];
    let furthest = 0;
    for (let s = -D / 2; s <= D / 2; s += 0.01) {
      if (D / 2 - Math.sqrt((D * D) / 4 - s * s) > h) continue;
      for (const side of [-w / 2, w / 2]) furthest = Math.max(furthest, s * Math.cos(b) + side * Math.sin(b));
    }
    expect(approachAlong({ depth: h, cutterDiameter: D, cutterWidth: w, helixAngle: b })).toBeCloseTo(
      furthest,
      1,
    );
    expect(approachAlong({ depth: h, cutterDiameter: D, cutterWidth: w, helixAngle: 0 })).toBeCloseTo(
      Math.sqrt(h * (D - h)),
      9,
    );
  });
});
