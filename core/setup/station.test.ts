import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { drawnSpurJob, withMill, withSpurPart, type Job } from '../job/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { plainMandrel, STOCK_EQUIPMENT, STOCK_MILL, type Equipment } from '../shop/index.ts';
import { jobOfRack } from '../sampleBench.ts';
import { measure } from '../units/index.ts';
import { emptySetup, type SetupInput } from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');
const screw = (lead: string, travel: string) => ({ lead: mm(lead), marks: 100, travel: mm(travel) });
const shop: Equipment = {
  ...STOCK_EQUIPMENT,
  heads: STOCK_EQUIPMENT.heads.map((head) => ({ ...head, centreHeight: mm('125') })),
  mills: [
    {
      ...STOCK_MILL,
      id: 'plain',
      travel: mm('500'),
      cross: screw('5', '180'),
      knee: screw('2', '300'),
      room: mm('360'),
      collar: mm('32'),
      speeds: '45 63 90 125 180',
      feeds: { by: 'mm', settings: '18 25 36 50 71' },
    },
    {
      ...STOCK_MILL,
      id: 'upright',
      name: 'Upright',
      axis: 'vertical',
      travel: mm('500'),
      cross: screw('4', '200'),
      knee: screw('2', '300'),
      readout: true,
    },
  ],
  mandrels: [
    {
      ...plainMandrel('m10', 'Mandrel 10', 'taper'),
      small: mm('9.98'),
      large: mm('10.04'),
      length: mm('140'),
    },
    { ...plainMandrel('m12', 'Mandrel 12', 'nut'), small: mm('11.99'), length: mm('60') },
  ],
};
const gear = (teeth = 30, pitch = '1.5'): Job =>
  withMill({
    job: drawnSpurJob({ id: 'g', name: 'Gear', pitch, teeth, face: '12', bore: '10' }),
    partId: 'p1',
    millId: 'plain',
    shop,
  });
const CUTTER = { cutterDiameter: mm('60'), cutterWidth: mm('5'), cutterTeeth: measure('12', 'count') };
const setUp = (said: Partial<SetupInput> = {}, job = gear(), equipment = shop) =>
  stationOf(
    plan(
      withSpurPart(job, 'p1', (part) => ({ ...part, setup: { ...part.setup, ...CUTTER, ...said } })),
      equipment,
    ).parts[0]!,
    'setup',
  )!;
const asks = (...args: Parameters<typeof setUp>) =>
  setUp(...args).issues.map(
    (issue) => `${issue.severity} ${issue.path.replace('parts.p1.setup.', '')}: ${sayIssue(issue)}`,
  );

describe('a set-up', () => {
  test('holds nothing up: without a word of it the gear can be cut', () => {
    const part = plan(gear(), shop).parts[0]!;
    expect(stationOf(part, 'setup')).toMatchObject({ state: 'open', complete: false, issues: [] });
    expect(part.cutting).toMatchObject({ safe: null, minutesPerCut: null });
  });
  test('what it works out goes with the run', () => {
    const job = withSpurPart(gear(), 'p1', (part) => ({
      ...part,
      setup: { ...part.setup, ...CUTTER, materialId: 'material-brass' },
    }));
    const { cutting } = plan(job, shop).parts[0]!;
    const approach = Math.sqrt(3.375 * (60 - 3.375));
    expect(cutting!.safe).toMatchObject({
      way: 'along',
      indexAt: 'entry',
      approach: expect.closeTo(approach, 9),
    });
    // 40 m a minute on 60 mm: 212 rpm, 180 on the mill; 180·12·0.05 = 108 mm a minute, 71 on the mill
    expect(cutting!.minutesPerCut).toBeCloseTo((approach + 12 + 2) / 71 + 45 / 60, 9);
    expect(cutting).toMatchObject({ outside: 48, bore: 10 });
  });
  test('an upright spindle centres by the knee, sinks by the cross slide, and may stand in front', () => {
    const job = withMill({ job: gear(), partId: 'p1', millId: 'upright', shop });
    const { detail } = setUp({ side: 'front', spin: 'clockwise' }, job);
    expect(detail.thrust).toMatchObject({ toward: 'right', place: 'front', toHead: false });
    expect(detail.depths[0]!.dial).toBe('3.375 mm');
    expect(detail.fits.map(({ key }) => key)).toContain('cross');
    expect(
      setUp({ centring: 'height' }, job).detail.centrings.find(({ by }) => by === 'height')!.move,
    ).toBeCloseTo(127.5, 9);
  });
  test('blanks in a stack lie face to face; a bar needs its kerf between them', () => {
    expect(setUp({ blanks: measure('4', 'count') }).detail.face).toBe(48);
    expect(setUp({ blanks: measure('4', 'count'), holding: 'bar', kerf: mm('3') }).detail.face).toBe(57);
  });
  test('mandrels that take the bore are marked, the others say why not', () => {
    const { mandrels } = setUp().detail;
    expect(mandrels.map(({ id, fits }) => [id, fits])).toEqual([
      ['m10', true],
      ['m12', false],
    ]);
    expect(asks({ mandrelId: 'm12' })).toContain(
      'query mandrelId: Mandrel 12 does not hold this blank: its thin end, 11.990 mm, does not enter the bore.',
    );
    expect(asks({ mandrelId: 'gone' })).toContain(
      'note mandrelId: The mandrel chosen here is no longer in the shop. Choose another.',
    );
  });
  test('a deep gear, or a rim far from its bore, is told to be keyed', () => {
    const key = (job: Job, said: Partial<SetupInput> = {}) =>
      setUp(said, job).detail.reasons.find((reason) => reason.key === 'key');
    expect(key(gear(20, '1'))).toBeUndefined();
    expect(key(gear(20, '2.5'))).toMatchObject({ against: true });
    expect(key(gear(20, '2.5'), { keyed: true })).toMatchObject({ against: false });
    expect(key(gear(60, '1'))).toMatchObject({ against: true });
  });
  test('a count that three divides sits in a three-jaw', () => {
    const jaws = (teeth: number) =>
      setUp({ holding: 'chuck' }, gear(teeth)).detail.reasons.find(({ key }) => key === 'jaws')!.say;
    expect(jaws(30)).toBe('30 teeth sit in a three-jaw');
    expect(jaws(31)).toMatch(/^Four jaws/);
    const uncounted = withSpurPart(gear(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, teeth: measure('', 'count') },
    }));
    const { reasons } = setUp({ holding: 'chuck' }, uncounted).detail;
    expect(reasons.find(({ key }) => key === 'jaws')).toMatchObject({
      say: expect.stringMatching(/^Four jaws/),
      why: expect.stringMatching(/is not held evenly by three jaws$/),
    });
  });
  test('speeds that cannot be read are no steps: the spindle runs at what is wanted', () => {
    const [plain, ...others] = shop.mills;
    const mills = [{ ...plain!, speeds: 'fast, slow' }, ...others];
    const { data } = setUp({ materialId: 'material-brass' }, gear(), { ...shop, mills }).detail;
    // 40 m a minute round Ø 60
    expect(data!.rpm).toBeCloseTo(40000 / (Math.PI * 60), 9);
  });
  test('a keyway: to either side of the middle, and from the touch in the bore to its depth, on the dials', () => {
    const key = { keyWidth: mm('4'), keyCutter: mm('3'), keyDepth: mm('1.8') };
    const { keyway } = setUp(key).detail;
    // 0.5 of a screw of 5 with 100 marks; the knee has 2 a turn. A flat tool 3 wide touches the bore of 10
    // with its corners, √(25 − 2.25) = 4.7697 from the middle; the key's sides leave it at √(25 − 4) =
    // 4.5826, and its floor lies 1.8 beyond: 4.5826 + 1.8 − 4.7697 = 1.6129
    expect(keyway).toMatchObject({
      passes: 2,
      width: 4,
      offsetDial: '10 marks',
      of: 'bore',
      depthDial: '80.6 marks',
    });
    expect(keyway!.travel).toBeCloseTo(Math.sqrt(21) + 1.8 - Math.sqrt(22.75), 12);
    expect(setUp({ ...key, keyDepth: mm('') }).detail.keyway).toMatchObject({ depth: null, depthDial: null });
    // as wide as its cutter: one pass, and the corners touch where the sides will be
    expect(setUp({ ...key, keyCutter: mm('4') }).detail.keyway).toMatchObject({
      passes: 1,
      offset: 0,
      travel: 1.8,
    });
  });
  test('out of line: taper and lean over this face, by proportion', () => {
    const { along } = setUp({ alongLength: mm('200'), alongTop: mm('.1'), alongSide: mm('-.05') }).detail;
    expect(along!.taper).toBeCloseTo((0.1 * 12) / 200, 12);
    expect(along!.lean).toBeCloseTo((-0.05 * 12) / 200, 12);
  });
});

describe('what a machinist would ask', () => {
  test.each<[string, Partial<SetupInput>, RegExp]>([
    [
      'another unit',
      { round: { typed: '0 2 4 2', unit: 'mm' } },
      /^query round: A runout of 4\.00 mm is more than/,
    ],
    ['too few', { round: { typed: '0 .02', unit: 'mm' } }, /^wrong round: 2 readings cannot tell/],
    [
      'in inches',
      { cutterDiameter: measure('60', 'in') },
      /^query cutterDiameter: 1524\.00 mm is more than 400\.00 mm/,
    ],
    ['no length', { alongTop: mm('.1') }, /^needed alongLength: Over what length/],
    ['far out', { alongTop: mm('5'), alongLength: mm('100') }, /^query alongTop: 5\.00 mm over 100\.00 mm/],
    [
      'a small cutter',
      { cutterDiameter: mm('6') },
      /^query cutterDiameter: A cutter of 6\.00 mm cannot sink 3\.38 mm/,
    ],
    ['a key too wide', { keyWidth: mm('6'), keyCutter: mm('2') }, /^wrong keyCutter: A keyway of 6\.00 mm/],
    [
      'no teeth',
      { cutterTeeth: measure('0', 'count') },
      /^wrong cutterTeeth: The cutter’s teeth of 0 is out of range/,
    ],
    ['a word', { jawGap: mm('wide') }, /^wrong jawGap: “wide” cannot be read/],
    ['less than nothing', { jawGap: mm('-3') }, /^wrong jawGap: .* cannot be less than zero/],
    [
      'too far out',
      { offset: mm('245') },
      /^query offset: Travel of the table: .* is needed, and there is 500\.00 mm\..*nearer/,
    ],
    [
      'fast',
      { materialId: 'material-stainless', cutterDiameter: mm('120') },
      /^note speedSet: The slowest speed of this mill, 45 rpm/,
    ],
  ])('%s', (_, said, words) => expect(asks(said)).toContainEqual(expect.stringMatching(words)));
  test('a set-up in order asks nothing', () => {
    expect(
      asks({
        materialId: 'material-brass',
        mandrelId: 'm10',
        offset: mm('-60'),
        round: { typed: '0 .01 .02 .01', unit: 'mm' },
      }),
    ).toEqual([]);
  });
});

test('whatever is typed there is an answer in whole sentences and plain figures (seed 606)', () => {
  const typed = fc.oneof(
    fc.constantFrom('', '0', '-5', '60', '2 3/8 in', '1e9', 'x', '.02', '1/0', '999999'),
    fc.double({ noNaN: true, min: -500, max: 500 }).map((value) => value.toFixed(3)),
  );
  const blank = emptySetup('mm');
  const fields = Object.keys(blank).filter(
    (key) =>
      typeof blank[key as keyof SetupInput] === 'object' &&
      key !== 'round' &&
      blank[key as keyof SetupInput] !== null,
  );
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...fields), typed), { maxLength: 12 }),
      fc.constantFrom('left', 'right'),
      fc.constantFrom('entry', 'exit'),
      fc.constantFrom('0 .1 .2', '', 'x y', '0 0 0 0'),
      (given, feed, indexAt, round) => {
        const said = Object.fromEntries(
          given.map(([field, text]) => [
            field,
            { ...(blank[field as keyof SetupInput] as object), typed: text },
          ]),
        );
        const station = setUp({
          ...said,
          feed,
          indexAt,
          round: { typed: round, unit: 'mm' },
        });
        expect(JSON.parse(JSON.stringify(station))).toEqual(station);
        const text = JSON.stringify(station);
        expect(text).not.toMatch(/NaN|Infinity|undefined/);
        for (const issue of station.issues) expect(sayIssue(issue)).toMatch(/^[“A-Z0-9−-].*[.?]$/);
      },
    ),
    { seed: 606, numRuns: 250 },
  );
});

test('what the table is set to at the first touch has its working; in one pass it is 0, and has none', () => {
  const working = (passes: 'one' | 'rough-finish') => {
    const job = withSpurPart(gear(), 'p1', (part) => ({ ...part, cut: { ...part.cut, passes } }));
    return setUp({}, job);
  };
  // m 1.5: 3.375 deep, roughed to 2.875; Ø 60: √(3.375 · 56.625) = 13.8242, √(2.875 · 57.125) = 12.8154
  const two = working('rough-finish');
  expect(two.detail.firstTouch).toBeCloseTo(1.0088, 3);
  const line = two.working.find(({ key }) => key === 'first-touch')!;
  expect([line.put, line.result]).toEqual([
    expect.stringMatching(/^13\.82\d* - 12\.81\d*$/),
    expect.stringMatching(/^1\.00/),
  ]);
  expect(working('one').detail.firstTouch).toBeCloseTo(0, 9);
  expect(working('one').working.map(({ key }) => key)).not.toContain('first-touch');
});

test('where the table divides the arbor lies along it: said, and nothing of a head or of turning', () => {
  const rack = plan(jobOfRack(), STOCK_EQUIPMENT).parts[0]!;
  const { cautions } = stationOf(rack, 'setup')!;
  // a disk turns square to its arbor, and the tooth spaces run the way it is fed: across the table
  expect(cautions[0]).toMatchObject({ code: 'arbor-along', when: 'The arbor' });
  expect(cautions[0]!.text).toContain('then the cross slide divides and the table feeds');
  const all = cautions.map(({ text }) => text).join(' ');
  expect(all).toContain('Moved on any sooner');
  expect(all).toContain('Lock the table before a cut.');
  expect(all).not.toMatch(/worm|direct pin|Turned any sooner/);
  const spur = plan(
    drawnSpurJob({ id: 's', name: 'S', pitch: '2', teeth: 20, face: '10', bore: '8' }),
    STOCK_EQUIPMENT,
  );
  expect(stationOf(spur.parts[0]!, 'setup')!.cautions.map(({ code }) => code)).not.toContain('arbor-along');
});
