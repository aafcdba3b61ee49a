import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { clearsStud } from '../gearing/index.ts';
import { drawnDriveJob, withPart, type Job } from '../job/index.ts';
import type { WormPart } from '../kinds/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { CHECK_BAR, FRONT_RELIEF } from '../toothform/index.ts';
import { plainLathe, STOCK_EQUIPMENT, type Equipment, type ShopLathe } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { dialReading, startWays, toolOf, usualThreadLength, wormTemplate } from './index.ts';

const DEG = Math.PI / 180;
const gears = [20, 30, 35, 40, 45, 50, 55, 60, 65, 66, 70, 80, 100, 127].map((teeth) => ({
  teeth,
  count: 1,
}));
const lathe: ShopLathe = {
  ...plainLathe('lathe', 'Bench lathe', measure('1/8', 'in')),
  box: { by: 'tpi', settings: '8 9 10 11½ 12 16' },
  gearSetId: 'lathe-gears',
  slideLead: measure('2', 'mm'),
  slideMarks: 40,
};
const shopWith = (change: Partial<ShopLathe> = {}, owned = gears): Equipment => ({
  ...STOCK_EQUIPMENT,
  gearSets: [
    ...STOCK_EQUIPMENT.gearSets,
    { id: 'lathe-gears', name: 'Lathe gears', bore: '', pitch: '', gears: owned },
  ],
  lathes: [{ ...lathe, ...change }],
});
const job = (shop = shopWith(), drive = {}) => drawnDriveJob({ id: 'w', name: 'Winch', shop }, drive);
const change = (now: Job, how: (part: WormPart) => WormPart) =>
  withPart(now, 'p2', (part) => (part.kind === 'worm' ? how(part) : part));
const partOf = (now: Job, shop = shopWith()) => plan(now, shop).parts.find(({ id }) => id === 'p2')!;
const latheOf = (now: Job, shop?: Equipment) => stationOf(partOf(now, shop), 'lathe')!;
const wormOf = (now: Job, shop?: Equipment) => stationOf(partOf(now, shop), 'worm')!;

describe('the thread and its tool', () => {
  test('the tool laid into the thread: at the pitch line thread and space are alike, turned to the lead it is narrower', () => {
    const { drive } = stationOf(partOf(job()), 'worm')!.detail;
    const level = toolOf(drive!, 'axis');
    expect(level.includedAngle / DEG).toBeCloseTo(40, 9);
    // flat, and both flanks up to the pitch line: half the pitch
    const below = drive!.worm.depth - drive!.addendum;
    expect(level.flat + 2 * below * Math.tan(20 * DEG)).toBeCloseTo(Math.PI, 9);
    const turned = toolOf(drive!, 'thread');
    expect(turned.flat / level.flat).toBeCloseTo(Math.cos(drive!.worm.leadAngle), 12);
    expect(Math.tan(turned.includedAngle / 2) / Math.tan(20 * DEG)).toBeCloseTo(
      Math.cos(drive!.worm.leadAngle),
      12,
    );
  });

  test('the section of a thread cut by the tool, point by point round the worm, keeps to the stated tool', () => {
    const { drive } = stationOf(partOf(job()), 'worm')!.detail;
    const { worm, axialModule } = drive!;
    const tool = toolOf(drive!, 'axis');
    // the tool's flank swept along the lead, then cut by a plane through the axis a third of a turn on
    const around = (2 * Math.PI) / 3;
    for (const up of [0, 0.3, 0.7, 1]) {
      const radius = worm.root / 2 + up * worm.depth;
      const own = tool.flat / 2 + up * worm.depth * Math.tan(tool.includedAngle / 2);
      const swept = own + (worm.lead * around) / (2 * Math.PI);
      const section = swept - worm.lead / 3;
      const expected = Math.PI * axialModule * 0.25 + (radius - 12) * Math.tan(20 * DEG);
      expect(section).toBeCloseTo(expected, 9);
    }
  });

  // Source: Machinery's Handbook, worm threads of 29°: flat 0.310, crest 0.335, depth 0.6866 of the pitch
  test('both schools stand beside the one in force', () => {
    const [inch, metric] = wormOf(job()).detail.schools;
    const px = 2 * Math.PI;
    expect([inch!.flat / px, inch!.crest / px, inch!.depth / px].map((part) => part.toFixed(3))).toEqual([
      '0.310',
      '0.335',
      '0.687',
    ]);
    expect(metric!.depth).toBeCloseTo(4.4, 9);
  });

  test('the template closes over tip and flanks, and its sizes are those of the tool', () => {
    const { drive } = stationOf(partOf(job()), 'worm')!.detail;
    const sheet = wormTemplate({ facts: drive!, set: 'axis', scale: 20, title: 'Worm' });
    const tip = sheet.outline.filter(({ y }) => y === 0);
    expect(tip[1]!.x - tip[0]!.x).toBeCloseTo(20 * toolOf(drive!, 'axis').flat, 9);
    expect(sheet.sizes.find(({ name }) => name === 'depth, tip to outside')!.mm).toBeCloseTo(4.4, 9);
    // the flanks run straight on past the outside, 1.35 depths up, at half the angle of the tool
    const rise = 1.35 * 4.4 * 20;
    const widest = 10 * toolOf(drive!, 'axis').flat + rise * Math.tan(20 * DEG);
    expect(Math.max(...sheet.outline.map(({ x }) => x))).toBeCloseTo(widest, 9);
    expect(Math.max(...sheet.outline.map(({ y }) => y))).toBeCloseTo(rise, 9);
    expect(Math.min(...sheet.outline.map(({ x }) => x))).toBeCloseTo(-widest, 9);
    const lines = (wanted: string) => sheet.lines.filter(({ name }) => name === wanted);
    // lines across stand 8 mm out of it on either side, at the pitch line (a depth less an addendum of 2) and
    // at the outside
    for (const [name, y] of [
      ['pitch line', 20 * 2.4],
      ['outside', 20 * 4.4],
    ] as const) {
      const [across] = lines(name);
      expect([across!.from.y, across!.to.y]).toEqual([expect.closeTo(y, 9), expect.closeTo(y, 9)]);
      expect([across!.from.x, across!.to.x]).toEqual([
        expect.closeTo(-widest - 8, 9),
        expect.closeTo(widest + 8, 9),
      ]);
    }
    // the bar to check a print by is as long as it says, with an upright of 3 mm at each end, below the tip
    const [bar, ...ends] = lines('check');
    expect(bar!.to.x - bar!.from.x).toBeCloseTo(CHECK_BAR, 9);
    expect(bar!.from.y).toBeLessThan(-5);
    expect(ends.map(({ from, to }) => [from.x, to.x, from.y, to.y])).toEqual(
      [-1, 1].map((end) => [
        (end * CHECK_BAR) / 2,
        (end * CHECK_BAR) / 2,
        expect.closeTo(bar!.from.y - 1.5, 9),
        expect.closeTo(bar!.from.y + 1.5, 9),
      ]),
    );
    // relief seen from the side: ten degrees or whatever is told below the tip
    const [upright, relief] = lines('relief');
    expect(upright!.to.y - upright!.from.y).toBeCloseTo(rise, 9);
    expect(Math.atan2(relief!.to.x - relief!.from.x, relief!.to.y) / DEG).toBeCloseTo(FRONT_RELIEF, 9);
    expect(sheet.words.map(({ text }) => text).join('\n')).toContain(`${FRONT_RELIEF} deg below the tip`);
  });

  // Source: Machinery's Handbook, worm gearing (from memory): length p(4.5 + z/50)
  test('length, infeed, and the mill’s nearest mark to the lead angle', () => {
    expect(usualThreadLength(10, 50)).toBe(55);
    const worm = wormOf(job());
    // m 2, 40 teeth: usual 2π·5.3 = 33.30, but the throat circle (R 42) is met at 38 from its middle: 2√(42²
    // − 38²) = 35.78
    expect(worm.answer).toBe('Ø 28.00 × 35.78, 4.40 deep');
    expect(worm.detail.lengthTaken).toMatchObject({ reached: true });
    expect(worm.working.find(({ key }) => key === 'engaged')!.label).toBe(
      'The wheel reaches over more: taken',
    );
    // 30 teeth: usual 2π·5.1 = 32.04, reached 2√(32² − 28²) = 30.98
    const fewer = wormOf(job(shopWith(), { teeth: measure('30', 'count') }));
    expect(fewer.answer).toBe('Ø 28.00 × 32.04, 4.40 deep');
    expect(fewer.detail.lengthTaken).toMatchObject({ reached: false });
    // whatever the count, the thread taken where none is typed is never too short for its wheel
    for (let teeth = 12; teeth <= 200; teeth += 17) {
      const any = wormOf(job(shopWith(), { teeth: measure(String(teeth), 'count') }));
      expect(any.detail.length!).toBeGreaterThanOrEqual(
        2 * Math.sqrt((teeth + 2) ** 2 - (teeth - 2) ** 2) - 1e-9,
      );
      expect(any.issues).toEqual([]);
    }
    expect(worm.detail.infeed!.alongFlank).toBeCloseTo(4.4 / Math.cos(20 * DEG), 9);
    // the stock mill's scale reads whole degrees: 5° for 4.7636°
    expect(worm.detail.onScale).toMatchObject({ degrees: 5 });
    expect(worm.detail.onScale!.lean).toBeCloseTo(10_000 * Math.tan((5 - Math.atan(1 / 12) / DEG) * DEG), 6);
  });

  test('a thread shorter than the wheel reaches over; a length and a scale that cannot be', () => {
    const short = wormOf(
      change(job(), (part) => ({ ...part, worm: { ...part.worm, length: measure('20', 'mm') } })),
    );
    expect(short.issues.map(sayIssue)).toEqual([
      'The wheel reaches over 35.78 mm of the worm; a thread of 20.00 mm leaves teeth hanging in the air.',
    ]);
    const bad = wormOf(
      change(job(), (part) => ({
        ...part,
        worm: { ...part.worm, length: measure('-3', 'mm'), scale: measure('0', 'count') },
      })),
    );
    expect(bad.issues.map(({ path, severity }) => `${severity} ${path}`)).toEqual([
      'wrong parts.p2.worm.length',
      'wrong parts.p2.worm.scale',
    ]);
  });
});

describe('the lathe', () => {
  test('gears and box together, to a few micrometres over what the wheel reaches', () => {
    const station = latheOf(job());
    const { inForce, engaged } = station.detail;
    expect(engaged).toBeCloseTo(4 * Math.sqrt(80), 9);
    expect(Math.abs(inForce!.overLength)).toBeLessThan(5);
    expect(station.cautions[0]!.text).toMatch(/half-nuts shut.*No mark of a thread dial comes round/);
    // another way of reckoning it: turns of the leadscrew for one of the spindle
    const { driver, driven, second } = inForce!.train!;
    const box = 8 / Number(inForce!.setting.replace(' per inch', '').replace('½', '.5'));
    const lead = (((25.4 / 8) * box * driver) / driven) * (second ? second.driver / second.driven : 1);
    expect(lead).toBeCloseTo(inForce!.lead, 9);
  });

  test('of several starts, the gears in force reach the next start by the gear on the spindle, or say that none does', () => {
    const reached: boolean[] = [];
    for (const starts of [2, 3, 4, 6]) {
      const station = latheOf(job(shopWith(), { starts: measure(String(starts), 'count') }));
      const { inForce, ways, byStarts } = station.detail;
      // every train of two and four, tried one by one: is there one that divides, goes on the bracket and is
      // near enough?
      const wall = gears.map(({ teeth }) => teeth);
      const lead = starts * 2 * Math.PI;
      const reach = 2 * Math.sqrt(42 ** 2 - 38 ** 2);
      const near = (ratio: number) =>
        [8, 9, 10, 11, 11.5, 12, 16].some(
          (tpi) => Math.abs(((25.4 / tpi) * ratio) / lead - 1) * reach <= 0.02,
        );
      const exists = wall.some(
        (a) =>
          a % starts === 0 &&
          wall.some((b) => {
            if (b === a) return false;
            if (near(a / b)) return true;
            const rest = wall.filter((gear) => gear !== a && gear !== b);
            return rest.some((c) =>
              rest.some((d) => d !== c && near((a * c) / (b * d)) && a + b > c + 15 && c + d > b + 15),
            );
          }),
      );
      expect([starts, byStarts!.possible]).toEqual([starts, exists]);
      if (exists) {
        expect(inForce!.train!.driver % starts).toBe(0);
        expect(Math.abs(inForce!.overLength)).toBeLessThanOrEqual(20);
      }
      // the nearest of all stay in the list, to be chosen with another way to the next start
      if (exists) expect(ways.length).toBeGreaterThan(20);
      expect(station.issues.some(({ code }) => code === 'starts-way')).toBe(!exists);
      reached.push(exists);
    }
    expect(reached).toEqual([true, false, false, false]);
    // no gear divides by 3: the nearest is taken, and asked about
    const odd = [20, 25, 35, 40, 50, 55, 65, 70, 80, 100, 127].map((teeth) => ({ teeth, count: 1 }));
    const none = latheOf(job(shopWith({}, odd), { starts: measure('3', 'count') }));
    expect(none.issues.map(({ code }) => code)).toContain('starts-way');
    expect(none.detail.inForce).not.toBeNull();
    // by the top slide any gears will do: the nearest of all
    const bySlide = latheOf(
      change(job(shopWith(), { starts: measure('3', 'count') }), (part) => ({
        ...part,
        lathe: { ...part.lathe, startsBy: 'slide' },
      })),
    );
    expect(bySlide.detail.inForce).toEqual(
      bySlide.detail.ways.find(({ train }) => !train || clearsStud(train)),
    );
  });

  test('a pitch that the box has on its plate needs no other gears', () => {
    const quarter = job(shopWith({ box: { by: 'tpi', settings: '4 8' } }), {
      pitchBy: 'axial',
      axialPitch: measure('1/4', 'in'),
    });
    const { inForce } = latheOf(quarter).detail;
    expect(inForce).toMatchObject({ setting: '4 per inch', train: null, ppm: 0 });
    // two turns of a leadscrew of 8 to the inch to one of the thread: they meet at every second
    expect(latheOf(quarter).cautions[0]!.text).toMatch(
      /meet again only after every 2 turns of the leadscrew/,
    );
  });

  test('what is wanting: no lathe, no gears, a box that cannot be read, gears sold since, too far off', () => {
    const said = (now: Job, shop: Equipment) =>
      latheOf({ ...now, equipment: { ...now.equipment, lathes: [], gearSets: [] } }, shop).issues.map(
        (issue) => `${issue.severity} ${sayIssue(issue)}`,
      );
    const none = drawnDriveJob({ id: 'w', name: 'Winch' });
    expect(said(none, STOCK_EQUIPMENT)).toEqual([
      'blocked No lathe is chosen. List one in the shop, with its leadscrew, box and change gears.',
    ]);
    const bare = shopWith({ box: { by: 'mm', settings: '' }, gearSetId: null });
    expect(said(job(bare), bare)[0]).toMatch(/^blocked Bench lathe has no change gears listed, and no box/);
    expect(said(job(), shopWith({ box: { by: 'tpi', settings: '8 nine' } }))[0]).toMatch(/“nine”/);
    const chosen = change(job(), (part) => ({
      ...part,
      lathe: {
        ...part.lathe,
        choice: { setting: '8 per inch', train: { driver: 33, driven: 17, second: null } },
      },
    }));
    expect(said(chosen, shopWith())[0]).toMatch(
      /^blocked 8 per inch, 33 : 17: these gears or this setting are not on this lathe/,
    );
    expect(
      said(
        job(shopWith(), { pitch: measure('40', 'module'), wormDiameter: measure('300', 'mm') }),
        shopWith({ stud: false, box: { by: 'mm', settings: '' } }),
      )[0],
    ).toMatch(/^blocked No gears and setting of this lathe come near a lead of 125\.66 mm/);
    const coarse = shopWith({ stud: false }, [
      { teeth: 40, count: 1 },
      { teeth: 80, count: 1 },
    ]);
    expect(said(job(coarse), coarse).join()).toMatch(/query With box .* the thread goes \d+ µm astray/);
  });

  test('starts: the driver divides or it does not, the slide’s readings never add up their rounding', () => {
    const slide = { lead: 2, marks: 40 };
    const [gear, top, plate] = startWays({
      starts: 3,
      axialPitch: Math.PI * 2,
      driver: 60,
      slide,
      system: 'mm',
    });
    expect(gear).toMatchObject({ possible: true, off: 0 });
    expect(gear!.say).toMatch(/every 20th tooth of the 60/);
    expect(startWays({ starts: 3, axialPitch: 5, driver: 40, slide, system: 'mm' })[0]).toMatchObject({
      possible: false,
    });
    expect(startWays({ starts: 3, axialPitch: 5, driver: null, slide, system: 'mm' })[0]!.possible).toBe(
      false,
    );
    expect(top!.say).toMatch(/Start 2: 3 turns \+ 6 of 40; Start 3: 6 turns \+ 11 of 40/);
    expect(top!.off).toBeLessThanOrEqual(25);
    expect(dialReading(12.566, slide).off).toBeCloseTo((12.55 - 12.566) * 1000, 6);
    expect(plate!.say).toMatch(/3 slots 120° apart/);
    expect(startWays({ starts: 1, axialPitch: 5, driver: 40, slide: null, system: 'mm' })).toEqual([]);
    expect(startWays({ starts: 2, axialPitch: 5, driver: 40, slide: null, system: 'mm' })[1]!.say).toMatch(
      /not listed in the shop/,
    );
  });

  test('what a thread may stray is asked for, whatever else is known; gears in each other’s way are told', () => {
    const noSense = change(job(), (part) => ({
      ...part,
      lathe: { ...part.lathe, allowed: measure('-1', 'mm') },
    }));
    expect(latheOf(noSense).issues.map(({ path, severity }) => `${severity} ${path}`)).toEqual([
      'wrong parts.p2.lathe.allowed',
    ]);
    const nothing = withPart(noSense, 'p2', (part) =>
      part.kind === 'worm' ? { ...part, drive: { ...part.drive, teeth: measure('', 'count') } } : part,
    );
    expect(latheOf(nothing).issues.map(({ path }) => path)).toEqual(['parts.p2.lathe.allowed']);
    // 20 and 30 do not exceed the 100 beside them by 15
    const crowded = change(job(), (part) => ({
      ...part,
      lathe: {
        ...part.lathe,
        choice: {
          setting: '8 per inch',
          train: { driver: 20, driven: 30, second: { driver: 100, driven: 50 } },
        },
      },
    }));
    expect(latheOf(crowded).issues.map(({ code }) => code)).toContain('lathe-stud');
    const roomy = change(job(), (part) => ({
      ...part,
      lathe: {
        ...part.lathe,
        choice: { setting: '8 per inch', train: { driver: 100, driven: 50, second: null } },
      },
    }));
    expect(latheOf(roomy).issues.map(({ code }) => code)).not.toContain('lathe-stud');
  });

  test('one turn of a dial is a turn', () => {
    const slide = { lead: 5, marks: 50 };
    expect(startWays({ starts: 3, axialPitch: 6, driver: 40, slide, system: 'mm' })[1]!.say).toContain(
      'Start 2: 1 turn + 10 of 50; Start 3: 2 turns + 20 of 50.',
    );
    // 6.03 mm of marks of 0.1: 0.03 beside it; 12.06 a mark of 0.06 less 0.1
    expect(startWays({ starts: 3, axialPitch: 6.03, driver: 40, slide, system: 'mm' })[1]!.off).toBeCloseTo(
      40,
      6,
    );
  });

  test('settling the lathe keeps gears and setting by their content', async () => {
    const { settleStation } = await import('../plan/index.ts');
    const settled = settleStation(job(), 'p2', latheOf(job()));
    const part = settled.parts.find(({ id }) => id === 'p2');
    expect(part?.kind === 'worm' && part.lathe.choice?.train).toEqual(latheOf(job()).detail.inForce!.train);
    expect(latheOf(settled).state).toBe('settled');
  });
});
