import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import { agreeOnDrive, drawnDriveJob, partnerOf, withDrive, withPart, type Job } from '../job/index.ts';
import type { WheelPart } from '../kinds/index.ts';
import { plan, settleOpen, stationOf } from '../plan/index.ts';
import { freezeRun, readRun } from '../run/index.ts';
import { plainCutter, STOCK_EQUIPMENT, type Equipment } from '../shop/index.ts';
import { lengthFigure, lengthText, measure } from '../units/index.ts';
import { spaceSide } from '../toothform/index.ts';
import { contactOf, hobOf, infeedOf, rimShape, usualFaces, type GashToJudge } from './index.ts';

const DEG = Math.PI / 180;
const cutter = {
  ...plainCutter('m2-6', 'm 2 No. 6', measure('2', 'module')),
  number: '6' as const,
  school: 'metric' as const,
  diameter: measure('60', 'mm'),
  width: measure('8', 'mm'),
};
const shop: Equipment = { ...STOCK_EQUIPMENT, cutters: [cutter] };
const job = (drive = {}) => drawnDriveJob({ id: 'w', name: 'Winch', shop }, drive);
const change = (now: Job, how: (part: WheelPart) => WheelPart) =>
  withPart(now, 'p1', (part) => (part.kind === 'wheel' ? how(part) : part));
const withIt = (now: Job) =>
  change(now, (part) => ({ ...part, cutter: { ...part.cutter, cutterId: 'm2-6' } }));
const partOf = (now: Job) => plan(now, shop).parts.find(({ id }) => id === 'p1')!;
const wheelOf = (now: Job) => stationOf(partOf(now), 'wheel')!;
const blankOf = (now: Job) => stationOf(partOf(now), 'wheelBlank')!;
const factsOf = (now: Job) => stationOf(partOf(now), 'drive')!.detail.shape!;
const said = (station: { readonly issues: readonly Parameters<typeof sayIssue>[0][] }) =>
  station.issues.map(
    (issue) => `${issue.severity} ${issue.path.replace('parts.p1.', '')}: ${sayIssue(issue)}`,
  );

describe('the blank', () => {
  test('throat, corners and chamfer; the hollow never wider than its angle', () => {
    const drive = factsOf(job());
    const wide = rimShape({ drive, rim: 'throat', faceWidth: 22, faceAngle: 60 * DEG });
    expect(wide).toMatchObject({ throat: 84, throatRadius: 10 });
    // the corner lies on the hollow's circle about the worm, at half the angle
    expect(wide.hollow).toBeCloseTo(10, 9);
    expect(Math.hypot(52 - wide.outside / 2, wide.hollow / 2)).toBeCloseTo(10, 9);
    // the chamfer runs on along the ray from the worm's axis
    expect((22 / 2 - wide.hollow / 2) / (wide.outside / 2 - wide.sideDiameter! / 2)).toBeCloseTo(
      Math.tan(30 * DEG),
      9,
    );
    const narrow = rimShape({ drive, rim: 'throat', faceWidth: 8, faceAngle: 60 * DEG });
    expect(narrow).toMatchObject({ sideDiameter: null, hollow: 8 });
    expect(Math.hypot(52 - narrow.outside / 2, 4)).toBeCloseTo(10, 9);
    expect(rimShape({ drive, rim: 'plain', faceWidth: 8, faceAngle: 60 * DEG })).toMatchObject({
      outside: 84,
      hollow: 0,
    });
  });

  // Source: Machinery's Handbook, worm wheels (from memory): face 2.38 p + 1/4 in
  test('the usual face, and a throat that was turned off size', () => {
    expect(usualFaces(factsOf(job()))[0]!.mm).toBeCloseTo(2.38 * 2 * Math.PI + 6.35, 9);
    const under = change(job(), (part) => ({
      ...part,
      rim: { ...part.rim, measured: measure('83.8', 'mm') },
    }));
    expect(blankOf(under).issues.map(sayIssue).join()).toMatch(
      /0\.200 mm under size\. Set from its outside, the dial goes to 4\.300 mm instead of 4\.400 mm/,
    );
    expect(wheelOf(under).detail.infeed!.fromThroat).toBeCloseTo(4.3, 9);
  });

  test('bad input at its field', () => {
    const rim = (how: Partial<WheelPart['rim']>) =>
      said(blankOf(change(job(), (part) => ({ ...part, rim: { ...part.rim, ...how } })))).join();
    expect(rim({ bore: measure('76', 'mm') })).toMatch(/^wrong rim\.bore/);
    expect(rim({ faceAngle: measure('170', 'deg') })).toMatch(
      /^wrong rim\.faceAngle: A face angle of 170 is out of range/,
    );
    expect(rim({ faceWidth: measure('60', 'mm') })).toMatch(
      /query rim\.faceWidth: A face of 60\.00 mm is chamfered down to below the roots/,
    );
    expect(rim({ measured: measure('90', 'mm') })).toMatch(/query rim\.measured/);
  });
});

describe('what bears', () => {
  const drive = factsOf(job());
  const gash = (how: Partial<GashToJudge> = {}): GashToJudge => ({
    school: 'plunge',
    rim: 'throat',
    faceWidth: 10,
    cutterDiameter: 60,
    madeFor: 40,
    ...how,
  });
  const middle = (contact: ReturnType<typeof contactOf>) =>
    contact.spots.filter(({ across, gap }) => Math.abs(across) < 1e-9 && gap !== null);

  test('in the middle plane an exact cutter leaves the involute, which a rack touches all along', () => {
    for (const d1 of ['24', '400']) {
      const own = factsOf(job({ wormDiameter: measure(d1, 'mm') }));
      // the worm's tips come down to here: a length h_a/sin α before the pitch point
      const lowest =
        Math.hypot(40 * Math.cos(20 * DEG), 40 * Math.sin(20 * DEG) - 2 / Math.sin(20 * DEG)) - 37.6;
      const acting = middle(contactOf(own, gash({ cutterDiameter: 500 }))).filter(
        ({ height }) => height > lowest,
      );
      expect(acting.length).toBeGreaterThan(8);
      // the stock cutter's angle stands across the thread, the worm's along its axis: cos γ apart at the
      // steeper worm
      for (const { gap } of acting) expect(Math.abs(gap!)).toBeLessThan(d1 === '24' ? 6 : 0.5);
    }
  });

  test('beside the middle it opens by the rule of a form cutter sunk too little, against the worm that falls away', () => {
    const flat = factsOf(job({ wormDiameter: measure('400', 'mm') }));
    const contact = contactOf(flat, gash({ cutterDiameter: 500 }));
    const pitchLine = contact.spots.filter(({ height }) => Math.abs(height - 2.4) < 0.05);
    const gapAt = (y: number) => pitchLine.find(({ across }) => Math.abs(across - y) < 1e-6)!.gap!;
    for (const y of [2.5, 5]) {
      // both sides lean alike in opposite ways; their mean is what the curvatures open
      const opened = (gapAt(y) + gapAt(-y)) / 2 - gapAt(0);
      const rise = (radius: number) => radius - Math.sqrt(radius ** 2 - y ** 2);
      const expected =
        1000 * (rise(200) * Math.sin(20 * DEG) - rise(250 - 2.4) * Math.sin(20 * DEG + Math.PI / 80));
      expect(Math.abs(opened - expected)).toBeLessThan(0.35);
      expect(opened).toBeGreaterThan(0);
    }
  });

  test('a larger cutter leaves a narrower band; one hardly larger than the worm touches at its corners first', () => {
    const found = [40, 60, 90, 140].map((cutterDiameter) => contactOf(drive, gash({ cutterDiameter })));
    for (let i = 1; i < found.length; i += 1) {
      expect(found[i]!.digs).toBeLessThanOrEqual(found[i - 1]!.digs);
      if (i > 1) expect(found[i]!.width).toBeLessThanOrEqual(found[i - 1]!.width);
    }
    const near = contactOf(drive, gash({ cutterDiameter: 32 }));
    expect(near.digs).toBeGreaterThan(100);
    expect(near.clear).toBeLessThan(10);
    // kept to the width that is clear, nothing touches first any more
    expect(contactOf(drive, gash({ cutterDiameter: 32, faceWidth: near.clear })).digs).toBeLessThan(25);
  });

  test('a straight traverse bears in a narrow band', () => {
    const straight = contactOf(drive, gash({ school: 'traverse', rim: 'plain', faceWidth: 16 }));
    expect(straight.width).toBeGreaterThan(0);
    expect(straight.width).toBeLessThan(6);
    // looked at in 25 columns over 16 mm: known no closer than to two thirds of a millimetre
    expect(straight.grain).toBeCloseTo(16 / 24, 9);
    expect((straight.width / straight.grain) % 1).toBeCloseTo(0, 6);
  });

  test('on a steep worm the gap is told along the normal, which leans by pressure and lead angle', () => {
    const steep = factsOf(job({ starts: measure('4', 'count') }));
    const gamma = Math.atan(8 / 24);
    // run across, the middle section is the cutter's own space, stretched along the axis by 1/cos γ
    const side = spaceSide(
      {
        teeth: 60,
        module: 2 * Math.cos(gamma),
        pressureAngle: 20 * DEG,
        addendum: steep.addendum,
        wholeDepth: steep.worm.depth,
        thinning: 0,
      },
      'trochoid',
      400,
    );
    const half = (height: number) => {
      const above = side.findIndex(({ y }) => y - side[0]!.y >= height);
      const up = above < 0 ? side.length - 1 : above;
      const [low, high] = [side[up - 1]!, side[up]!];
      return low.x + ((high.x - low.x) * (height - (low.y - side[0]!.y))) / (high.y - low.y);
    };
    const spots = middle(contactOf(steep, gash({ school: 'traverse', madeFor: 60 })));
    const axial = spots.map(({ height }) => {
      let least = Infinity;
      const out = steep.wheelDiameter / 2 - steep.worm.depth + steep.addendum + height;
      for (let turn = -0.3; turn <= 0.3; turn += 0.00002) {
        const angle = Math.atan2(half(height) / Math.cos(gamma), out) + turn;
        const [x, up] = [out * Math.sin(angle), out * Math.cos(angle)];
        const radius = Math.hypot(half(height) / Math.cos(gamma), out) / out;
        const above = steep.wheelDiameter / 2 - up * radius;
        if (above > steep.addendum) continue;
        const rack = (2 * Math.PI) / 4 - above * Math.tan(20 * DEG) + (steep.wheelDiameter / 2) * turn;
        least = Math.min(least, x * radius - rack);
      }
      return least;
    });
    const first = Math.min(...axial);
    expect(Math.max(...axial) - first).toBeGreaterThan(0.02);
    for (const [i, { gap }] of spots.entries())
      expect(gap!).toBeCloseTo((axial[i]! - first) * 1000 * Math.cos(20 * DEG) * Math.cos(gamma), 0);
  });

  test('set beside its angle a gash bears less', () => {
    const share = (setOff: number) => contactOf(drive, gash({ cutterDiameter: 60, setOff })).share;
    expect(share(3 * DEG)).toBeLessThan(share(0));
  });
});

describe('how it is cut', () => {
  test('a cutter rounder than the hollow meets the corners first, and how far it goes from there', () => {
    const drive = factsOf(job());
    const shape = rimShape({ drive, rim: 'throat', faceWidth: 22, faceAngle: 60 * DEG });
    const rim = { ...shape, corners: shape.outside, bore: 12, deeper: 0 };
    const { fromThroat, fromCorners } = infeedOf({ drive, rim, school: 'plunge', cutterDiameter: 60 });
    expect(fromThroat).toBeCloseTo(4.4, 9);
    // by search: lower the disk until it touches the corner circle of the rim anywhere
    const { leadAngle } = drive.worm;
    const touches = (bottom: number) => {
      for (let x = -6; x <= 6; x += 0.002) {
        const z = 52 - Math.sqrt((rim.outside / 2) ** 2 - x ** 2);
        const [u, v] = [
          x * Math.cos(leadAngle) - 5 * Math.sin(leadAngle),
          x * Math.sin(leadAngle) + 5 * Math.cos(leadAngle),
        ];
        if (Math.abs(u) < 0.004 && Math.hypot(v, z - (bottom - 30)) <= 30) return true;
      }
      return false;
    };
    let [low, high] = [0, 30];
    for (let i = 0; i < 40; i += 1) {
      const mid = (low + high) / 2;
      if (touches(mid)) high = mid;
      else low = mid;
    }
    const root = 12 + 4.4 - 2;
    expect(fromCorners!).toBeCloseTo(root - high, 2);
    // smaller than the hollow it goes to the bottom of it
    expect(infeedOf({ drive, rim, school: 'plunge', cutterDiameter: 19 }).fromCorners).toBeNull();
    expect(
      infeedOf({ drive, rim: { ...rim, rim: 'plain' }, school: 'plunge', cutterDiameter: 60 }).fromCorners,
    ).toBeNull();
  });

  test('set to the scale’s nearest mark, with its hand, and what that leans; every space proved', () => {
    const wheel = wheelOf(withIt(job()));
    expect(wheel.detail.setting).toMatchObject({ by: 'table', way: 'away', scale: 5 });
    const left = wheelOf(withIt(job({ hand: 'left' })));
    expect(left.detail.setting).toMatchObject({ way: 'towards' });
    const face = wheel.detail.rim!.faceWidth;
    expect(wheel.detail.lean).toBeCloseTo(face * 1000 * Math.tan(5 * DEG - Math.atan(1 / 12)), 6);
    const dividing = stationOf(partOf(withIt(job())), 'dividing')!;
    expect(dividing.answer).toMatch(/1 turn/);
    expect(dividing.detail.inForce!.proof.everySpaceTrue).toBe(true);
    expect(partOf(withIt(job())).cutting).toMatchObject({ divisions: 40, full: true });
  });

  test('the cutter: by its own count for one start, by the virtual one for several; m = mn/cos γ makes a stock cutter fit', () => {
    const one = stationOf(partOf(withIt(job())), 'cutter')!;
    expect(one.detail.inForce).toMatchObject({ verdict: 'fits', cutAs: 40 });
    const three = withIt(
      job({ starts: measure('3', 'count'), plane: 'normal', wormDiameter: measure('30', 'mm') }),
    );
    const gamma = Math.asin(0.2);
    expect(stationOf(partOf(three), 'cutter')!.detail.inForce!.cutAs).toBeCloseTo(
      40 / Math.cos(gamma) ** 3,
      9,
    );
    expect(wheelOf(three).detail.cutAs).toBeCloseTo(40 / Math.cos(gamma) ** 3, 9);
  });

  test('gash and hob: short by what is left, and a hob tall enough to clear the worm’s tips', () => {
    const hobbed = change(withIt(job()), (part) => ({
      ...part,
      gash: { ...part.gash, school: 'hob' as const },
    }));
    const wheel = wheelOf(hobbed);
    expect(wheel.detail.hobStock).toBeCloseTo(0.44, 9);
    const hob = hobOf(factsOf(job()), 8, 35);
    // sunk to the centre distance its tips reach the wheel's roots: a − da/2 is the wheel's root radius
    expect(52 - hob.outside / 2).toBeCloseTo(40 - 2.4, 9);
    expect(hob).toMatchObject({ straight: true, fluteHand: 'left', shares: false });
    expect(hobOf(factsOf(job({ starts: measure('2', 'count') })), 8, 35)).toMatchObject({
      straight: false,
      shares: true,
    });
    // the same teeth meet the same spaces where flutes and starts have a factor in common
    const shared = (starts: string, flutes: number) =>
      hobOf(factsOf(job({ starts: measure(starts, 'count') })), flutes, 35).shares;
    expect([shared('1', 8), shared('3', 8), shared('3', 9), shared('4', 6), shared('4', 9)]).toEqual([
      ...[false, false, true, true, false],
    ]);
    const three = withIt(job({ starts: measure('3', 'count') }));
    const fluted = (flutes: string) =>
      wheelOf(
        change(three, (part) => ({
          ...part,
          gash: { ...part.gash, school: 'hob' as const, flutes: measure(flutes, 'count') },
        })),
      );
    const codes = (flutes: string) => fluted(flutes).issues.map(({ path, code }) => `${path} ${code}`);
    expect(codes('9')).toContain('parts.p1.gash.flutes hob-flutes-share');
    expect(codes('8')).not.toContain('parts.p1.gash.flutes hob-flutes-share');
    expect(fluted('8').detail.hob).not.toBeNull();
    expect(fluted('two').detail.hob).toBeNull();
    expect(codes('two').map((one) => one.split(' ')[0])).toContain('parts.p1.gash.flutes');
    // flutes square to the thread: their lead angle and the thread's make a right angle
    expect(Math.atan(hob.fluteLead / (Math.PI * 24)) / DEG).toBeCloseTo(90 - Math.atan(1 / 12) / DEG, 9);
    const deep = change(hobbed, (part) => ({
      ...part,
      gash: { ...part.gash, hobStock: measure('5', 'mm') },
    }));
    // one depth for the school: what the station says, the caution says, and the run cuts
    const rim = stationOf(partOf(hobbed), 'wheelBlank')!.detail.facts!;
    const corners = infeedOf({ drive: factsOf(job()), rim, school: 'hob', cutterDiameter: 60 }).fromCorners!;
    const at = lengthText(corners - 0.44, 'mm', 'fine');
    expect(wheel.answer).toContain(`${lengthFigure(corners - 0.44, 'mm')} deep`);
    expect(wheel.cautions.find(({ code }) => code === 'corners-first')!.text).toContain(
      `From there it goes ${at}; sunk only 3.96`,
    );
    expect(partOf(hobbed).cutting!.rounds.at(-1)!.depthMm).toBeCloseTo(corners - 0.44, 9);
    expect(said(wheelOf(deep)).join()).toMatch(/wrong gash\.hobStock: Leaving 5 for the hob is not possible/);
  });

  test('a touch on the side of a throated rim meets its corners: 46.340 and 40.340, and as they were turned', () => {
    const by = (now: Job) =>
      Object.fromEntries(stationOf(partOf(now), 'setup')!.detail.centrings.map((one) => [one.by, one.move]));
    const sized = change(withIt(job()), (part) => ({
      ...part,
      setup: { ...part.setup, cutterDiameter: measure('60', 'mm'), cutterWidth: measure('6', 'mm') },
    }));
    // 40 teeth of module 2: throat 84, and by drawing the hollow of 60° its corners stand at 86.679
    expect(stationOf(partOf(sized), 'wheelBlank')!.detail.facts).toMatchObject({
      throat: 84,
      outside: expect.closeTo(86.679, 3),
    });
    expect(by(sized)).toMatchObject({ touch: expect.closeTo(46.34, 3), far: expect.closeTo(40.34, 3) });
    const turned = change(sized, (part) => ({
      ...part,
      rim: { ...part.rim, corners: measure('86.2', 'mm') },
    }));
    expect(by(turned)).toMatchObject({ touch: expect.closeTo(46.1, 9), far: expect.closeTo(40.1, 9) });
    // what was turned off the corners is gone through sooner
    const depth = (now: Job) => partOf(now).cutting!.rounds.at(-1)!.depthMm!;
    expect(depth(sized) - depth(turned)).toBeCloseTo((86.679 - 86.2) / 2, 2);
    const plain = change(turned, (part) => ({ ...part, rim: { ...part.rim, rim: 'plain' as const } }));
    expect(by(plain)).toMatchObject({ touch: expect.closeTo(45, 9), far: expect.closeTo(39, 9) });
  });

  test('a cutter that is typed and not owned meets the corners as one that is; unknown, it is said', () => {
    const typed = change(job(), (part) => ({
      ...part,
      setup: { ...part.setup, cutterDiameter: measure('60', 'mm') },
    }));
    expect(wheelOf(typed).detail.infeed).toEqual(wheelOf(withIt(job())).detail.infeed);
    expect(partOf(typed).cutting!.rounds.at(-1)!.depthMm).toBeCloseTo(5.315, 2);
    expect(said(wheelOf(job())).join()).toMatch(/note gash\.school: The diameter of the cutter is not known/);
    expect(said(wheelOf(typed)).join()).not.toMatch(/is not known/);
  });

  test('beyond what a form cutter gashes: asked over 15°, refused over 45°; a cutter smaller than the worm', () => {
    expect(said(wheelOf(withIt(job({ starts: measure('4', 'count') })))).join()).toMatch(
      /query gash\.school: At 18° 26′ 06″ a form cutter leaves flanks that bear poorly/,
    );
    const steep = wheelOf(withIt(job({ starts: measure('14', 'count') })));
    expect(steep.complete).toBe(false);
    expect(said(steep).join()).toMatch(
      /blocked gash\.school: A lead angle of 49° 23′ 55″ is beyond what a form cutter can gash/,
    );
    expect(partOf(withIt(job({ starts: measure('14', 'count') }))).cutting).toBeNull();
    const fat = withIt(job({ wormDiameter: measure('80', 'mm') }));
    expect(said(wheelOf(fat)).join()).toMatch(/A cutter of Ø 60 mm is smaller than the worm, Ø 84 mm/);
  });
});

describe('two cards that stay consistent', () => {
  test('what both share is changed on both; the other card says what moved', () => {
    const before = settleOpen(withIt(job()), partOf(withIt(job())));
    const after = withDrive(before, 'p2', (drive) => ({ ...drive, hand: 'left' }));
    expect(partnerOf(after, 'p2')!.drive.hand).toBe('left');
    const drive = stationOf(partOf(after), 'drive')!;
    expect(drive.state).toBe('doubt');
    expect(drive.moved).toContainEqual({ key: 'hand', label: 'Hand of both', from: 'right', to: 'left' });
    expect(plan(after, shop).findings).toEqual([]);
  });

  test('planned apart, it is told what differs; one press puts the figures of one on both', () => {
    const apart = change(job(), (part) => ({
      ...part,
      drive: { ...part.drive, hand: 'left', pitch: measure('2.5', 'module') },
    }));
    const [finding] = plan(apart, shop).findings;
    expect(sayIssue(finding!)).toMatch(
      /^Worm and wheel of this drive were planned with other figures: pitch 6\.2832 mm along the axis and 7\.854 mm along the axis; hand right and left; lead angle/,
    );
    // a change of one no longer touches the other
    expect(
      partnerOf(
        withDrive(apart, 'p2', (drive) => ({ ...drive, hand: 'left' })),
        'p2',
      )!.drive.pitch.typed,
    ).toBe('2.5');
    expect(plan(agreeOnDrive(apart, 'p2'), shop).findings).toEqual([]);
  });
});

describe('setting it up', () => {
  const ready = (school: WheelPart['gash']['school'], said: Partial<WheelPart['setup']> = {}) =>
    change(withIt(job()), (part) => ({
      ...part,
      gash: { ...part.gash, school },
      setup: { ...part.setup, ...said },
    }));
  test('sunk in place, it is clear once it is out by its whole depth, and takes its time for that', () => {
    const now = ready('plunge', {
      materialId: 'material-brass',
      cutterTeeth: measure('12', 'count'),
      feedSet: measure('40', 'mm'),
    });
    const part = partOf(now);
    const { fromCorners, fromThroat } = stationOf(part, 'wheel')!.detail.infeed!;
    const depth = fromCorners ?? fromThroat;
    expect(part.cutting!.safe).toEqual({ way: 'sink', depth: expect.closeTo(depth, 9) });
    // depth and 2 mm at 40 mm a minute, 15 s back, 30 s to index
    expect(part.cutting!.minutesPerCut).toBeCloseTo((depth + 2) / 40 + 45 / 60, 6);
    const { answer, cautions } = stationOf(part, 'setup')!;
    expect(answer).toMatch(/clear \d\.\d\d mm out/);
    expect(cautions.find(({ code }) => code === 'index-clear')!.text).toMatch(
      /^draw the work back past the touch/,
    );
  });
  test('gashed for a hob it is sunk as well; run across, the table says where it is clear', () => {
    expect(partOf(ready('hob')).cutting!.safe).toMatchObject({ way: 'sink' });
    expect(partOf(ready('traverse')).cutting!.safe).toMatchObject({ way: 'along', indexAt: 'entry' });
  });
  test('the figure goes with the run', () => {
    const now = ready('plunge');
    const run = need(
      freezeRun({
        job: now,
        planned: plan(now, shop),
        shop,
        start: { runId: 'r', jobRevision: 1, partId: 'p1' },
      }),
    );
    expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual(run);
    expect(run.safe).toMatchObject({ way: 'sink' });
  });
});
