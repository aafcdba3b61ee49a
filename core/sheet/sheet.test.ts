import { describe, expect, test } from '@jest/globals';
import {
  drawnDriveJob,
  drawnHelicalJob,
  drawnSpurJob,
  newDivideJob,
  indexedParts,
  newSpurJob,
  withDividing,
  withPart,
  type Job,
} from '../job/index.ts';
import { countAim, searchMethods } from '../dividing/index.ts';
import { dividingGround, plan } from '../plan/index.ts';
import { plainMandrel } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { BENCH, count, mm, workedJob } from '../worked/bench.ts';
import { standsText } from './figures.ts';
import { plainTex, routeSheet, type Sheet, type SheetBlock, type SheetSet } from './index.ts';

/*
 * What a person reads on the sheet, against figures worked here by hand: sources in docs/sources.md#worked.
 */

function sheetOf(job: Job, set: Partial<SheetSet> = {}): Sheet {
  return routeSheet({
    job,
    planned: plan(job, BENCH),
    shop: BENCH,
    revision: 3,
    stored: '1 Dec 2026',
    address: 'http://shop:4810/jobs/x',
    set: { working: false, spaces: false, ...set },
  });
}

/** Every block, those side by side as well. */
const flat = (blocks: readonly SheetBlock[]): SheetBlock[] =>
  blocks.flatMap((block) => (block.kind === 'beside' ? flat([...block.left, ...block.right]) : [block]));
const blocksOf = (sheet: Sheet, part = 0) => flat(sheet.parts[part]!.blocks);
function ofKind<Kind extends SheetBlock['kind']>(blocks: readonly SheetBlock[], kind: Kind) {
  return blocks.filter((block): block is Extract<SheetBlock, { kind: Kind }> => block.kind === kind);
}
/** Label, figure and what stands beside it. */
const rowsUnder = (blocks: readonly SheetBlock[], title: string) =>
  Object.fromEntries(
    ofKind(blocks, 'rows')
      .filter((block) => block.title === title)
      .flatMap(({ rows }) => rows.map(({ label, figure, other }) => [label, `${figure} | ${other}`])),
  );
const list = (blocks: readonly SheetBlock[], title: string) =>
  ofKind(blocks, 'list').find((each) => each.title === title)!;

/** 62 teeth, m 1.5, 14 wide, bore 12: rough and finish, on the lying mill, 20 spaces on 31. */
const wheel = workedJob({ units: 'mm', mill: 'lying' }, (bare) => ({
  ...bare,
  gear: {
    ...bare.gear,
    pitch: measure('1.5', 'module'),
    teeth: count('62'),
    depth: { ...bare.gear.depth, rule: 'iso53-a' },
  },
  blank: { ...bare.blank, faceWidth: mm('14'), bore: mm('12') },
  cut: { ...bare.cut, passes: 'rough-finish', finishStock: mm('0.4') },
  setup: {
    ...bare.setup,
    cutterDiameter: mm('60'),
    cutterWidth: mm('6'),
    cutterTeeth: count('12'),
    paper: mm('0.03'),
    holding: 'stub',
  },
}));

describe('the sheet of a wheel of 62 teeth', () => {
  const sheet = sheetOf(wheel, { spaces: true, working: true });
  const blocks = blocksOf(sheet);
  const h = 2.25 * 1.5;

  test('says what it is, what it is made with, and which card it is', () => {
    const [part] = sheet.parts;
    expect(part!.what).toBe('62 teeth, m 1.5, 20°');
    expect(part!.machines).toMatch(/40 : 1 · plate .* · Lying mill · .*Ø 60\.00 mm × 6\.00 mm/);
    expect(part!.head.map(({ label, figure }) => `${label}: ${figure}`)).toEqual([
      'Material: ',
      'Heat or batch: ',
      'For: ',
      'Cut by: ',
      'Date: ',
      'Card: revision 3, 1 Dec 2026',
    ]);
  });

  test('gear data: the figures of a works drawing, in both units, with how it is measured', () => {
    const rows = rowsUnder(blocks, 'The gear');
    expect(rows['Blank diameter']).toBe('96.000 mm | 3.7795 in');
    expect(rows['Pitch diameter']).toBe('93.000 mm | 3.6614 in');
    // W₇ = m·cos α·(π(7 − ½) + 62·inv α)
    const inv = Math.tan(Math.PI / 9) - Math.PI / 9;
    const span = 1.5 * Math.cos(Math.PI / 9) * (Math.PI * 6.5 + 62 * inv);
    expect(rows['Span over teeth: over 7 teeth']).toBe(
      `${span.toFixed(3)} mm | ${(span / 25.4).toFixed(4)} in`,
    );
  });

  test('depths and clear readings stand in length and in turns and marks of this mill', () => {
    const rows = rowsUnder(blocks, 'Setting up');
    // the knee: 2 mm a turn, 100 marks; the paper comes off the dial
    expect(rows['Depth from the touch, rough']).toBe(
      `${(h - 0.4 + 0.03).toFixed(3)} mm | 1 turn + 50.3 marks`,
    );
    expect(rows['Depth from the touch, finish']).toBe(`${(h + 0.03).toFixed(3)} mm | 1 turn + 70.3 marks`);
    // D/2 + w/2 + t on the cross screw of 5 mm
    const middle = 48 + 3 + 0.03;
    expect(rows['To the middle: touch with the near face']).toBe(
      `${middle.toFixed(3)} mm | 10 turns + 20.6 marks`,
    );
    // approach √(h(D − h)), then the face, on the table's 5 mm
    const approach = Math.sqrt(h * (60 - h));
    const through = approach + 14;
    expect(rows['Through: the whole face at depth']).toMatch(
      new RegExp(`^${through.toFixed(2)} mm \\| ${Math.floor(through / 5)} turns \\+ 56\\.5 marks$`),
    );
    expect(rows['Index before the touch, past']).toBe('0.00 mm | and 2.00 mm more');
  });

  test('a box for each tooth space with the hole the pin lands in, the first and every tenth heavy', () => {
    const rounds = ofKind(blocks, 'boxes');
    expect(rounds.map(({ title, aside }) => `${title}; ${aside}`)).toEqual([
      'Tooth spaces, rough pass; 2.975 mm deep; from the touch: 1 turn + 50.3 marks',
      'Tooth spaces, finish pass; 3.375 mm deep; from the touch: 1 turn + 70.3 marks',
    ]);
    for (const [round, { boxes }] of rounds.entries()) {
      expect(boxes).toHaveLength(62);
      // 20 of 31 at each move, and on from round to round
      for (const [i, { number, at, heavy }] of boxes.entries()) {
        expect(number).toBe(i + 1);
        expect(at).toBe(String(((round * 62 + i) * 20) % 31));
        expect(heavy).toBe(i === 0 || (i + 1) % 10 === 0);
      }
    }
  });

  test('half-way it is measured: the chord over fifteen spaces, and what one more would make of it', () => {
    const [said] = ofKind(blocks, 'said').filter(({ lead }) => lead.startsWith('Half-way'));
    expect(said!.lead).toBe('Half-way, after tooth space 31:');
    const chord = 96 * Math.sin((15 * Math.PI) / 62);
    expect(said!.text).toContain(`from an edge of tooth space 1 to the same edge of 16`);
    expect(said!.text).toContain(`${chord.toFixed(3)} mm each (${(chord / 25.4).toFixed(4)} in)`);
  });

  test('the prompts are the mill’s own, in the order of the hands', () => {
    const first = list(blocks, 'To tooth space 1').lines.join(' ');
    expect(first).toMatch(
      /Unlock the spindle\..*it is now hole 0.*Lock the spindle\..*Raise the knee to 2\.975 mm/,
    );
    const next = list(blocks, 'From tooth space 1 to tooth space 2, and so on').lines.join(' ');
    expect(next).toMatch(
      /Run the table back.*Unlock.*20 spaces on 31; from hole 0 the pin lands in hole 20.*Lock the spindle/,
    );
    expect(list(blocks, 'Dividing')).toMatchObject({
      large: '20 spaces on 31',
      lines: [
        'Arms: 20 spaces, 21 holes with the pin’s own.',
        'Proved by its motion: every place exact, and it closes.',
      ],
    });
  });

  test('inspection: caliper height, pin size, what each should read, and a place to write', () => {
    const table = ofKind(blocks, 'table').find(({ title }) => title === 'Inspection')!;
    const by = Object.fromEntries(table.rows.map(([name, ...rest]) => [name, rest]));
    // h_c = ha + d/2·(1 − cos 90°/z); s_c = d·sin(90°/z)
    const height = 1.5 + 46.5 * (1 - Math.cos(Math.PI / 124));
    expect(by['Tooth, by gear caliper']![0]).toContain(`${height.toFixed(3)} mm`);
    expect(by['Tooth, by gear caliper']![1]).toBe(`${(93 * Math.sin(Math.PI / 124)).toFixed(3)} mm`);
    // 1.728/P
    expect(by['Over pins']![0]).toBe(`pins of Ø ${(1.728 * 1.5).toFixed(3)} mm`);
    for (const row of table.rows) expect(row.at(-1)).toBe('');
    // the tooth’s tolerance to either side; the outside has none
    expect(by['Outside']![3]).toBe('');
    expect(by['Span over teeth']![3]).toMatch(/^± 0\.0\d\d$/);
  });

  test('with the table of every place and the working, where they are wanted', () => {
    const tables = ofKind(blocks, 'table').map(({ title }) => title);
    expect(tables).toEqual(
      expect.arrayContaining(['Table of every place', 'Working: Gear', 'Working: Blank']),
    );
    const places = ofKind(blocks, 'table').find(({ title }) => title === 'Table of every place')!;
    expect(places.rows).toHaveLength(62);
    expect(places.rows[31]!.slice(0, 4)).toEqual(['32', '32', '20 spaces on 31', `hole ${(31 * 20) % 31}`]);
    const plain = blocksOf(sheetOf(wheel));
    expect(ofKind(plain, 'table').map(({ title }) => title)).toEqual(['Inspection']);
  });

  test('drawings: blank to a standard scale, the plate with its landings', () => {
    const drawings = ofKind(blocks, 'drawing');
    expect(drawings.map(({ title, aside }) => `${title}: ${aside}`)).toEqual(
      expect.arrayContaining(['Blank, for the lathe: scale 1 : 2, mm']),
    );
    const plate = drawings.find(({ title }) => title.endsWith('from the crank'))!;
    expect(plate.drawing.words.map(({ text }) => text).sort()).toEqual(['0', '20', '29', '9']);
  });
});

describe('other kinds', () => {
  test('a helical gear has its lead gears by their places and its table swung', () => {
    const job = drawnHelicalJob(
      { id: 'h', name: 'Helical', pitch: '2', teeth: 30, face: '20', bore: '16' },
      '20',
    );
    const blocks = blocksOf(sheetOf(job));
    const drawings = ofKind(blocks, 'drawing').map(({ title }) => title);
    expect(drawings).toEqual(expect.arrayContaining(['Gears for the lead', 'The table, swung']));
    const swing = ofKind(blocks, 'drawing').find(({ title }) => title === 'The table, swung')!;
    // right-hand: the right end away
    expect(swing.drawing.words.map(({ text }) => text).join(' ')).toMatch(/right end away from you, 20°/);
  });

  test('worm and wheel each have a sheet, the worm its thread and its lathe gears', () => {
    const sheet = sheetOf(drawnDriveJob({ id: 'd', name: 'Drive', shop: BENCH }));
    expect(sheet.parts).toHaveLength(2);
    const worm = blocksOf(sheet, 0);
    const words = ofKind(worm, 'drawing')[0]!
      .drawing.words.map(({ text }) => text)
      .join('; ');
    // lead π·2
    expect(words).toContain(`lead ${(2 * Math.PI).toFixed(3)} mm`);
    expect(rowsUnder(worm, 'Worm')['Pitch diameter']).toBe('24.000 mm | 0.9449 in');
    expect(ofKind(blocksOf(sheet, 1), 'boxes')[0]!.boxes).toHaveLength(40);
  });

  test.each([97, 127, 151])(
    '%d teeth by gears: which way the plate must be seen to turn, and the train',
    (teeth) => {
      const job = drawnSpurJob({ id: 'p', name: 'Prime', pitch: '1', teeth, face: '10', bore: '10' });
      // what the page looks for in a worker, and a person takes
      const ground = dividingGround(job, BENCH, indexedParts(job)[0]!);
      const { methods } = searchMethods({ ...ground, head: ground.head! }, countAim(teeth));
      const way = methods.find(({ method }) => method === 'differential')!.ways[0]!;
      const chosen = withDividing(job, 'p1', (dividing) => ({ ...dividing, choice: way.choice }));
      const blocks = blocksOf(sheetOf(chosen));
      // g = R(A − N)/A: more than 0 turns the plate with the crank
      const { near } = way.geared!;
      const said = list(blocks, 'Dividing').lines.join(' ');
      expect(said).toContain(`the plate must turn ${near > teeth ? 'with' : 'against'} it`);
      expect(ofKind(blocks, 'drawing').map(({ title }) => title)).toContain('Gears for the plate');
    },
  );

  test('indexed where it leaves: clear after the far end and more, and nothing is said to be clear at the touch', () => {
    const exit = withPart(wheel, 'p1', (part) =>
      'gear' in part ? { ...part, setup: { ...part.setup, indexAt: 'exit' } } : part,
    );
    const rows = rowsUnder(blocksOf(sheetOf(exit)), 'Setting up');
    expect(rows['First touch at full depth']).toBe('0.00 mm | ');
    const approach = Math.sqrt(3.375 * (60 - 3.375));
    expect(rows['Index after, and 2.00 mm more']).toMatch(
      new RegExp(`^${(2 * approach + 14).toFixed(2)} mm \\| 8 turns \\+ 33 marks$`),
    );
    expect(rows['Index before the touch, past']).toBeUndefined();
  });

  test('less than a turn is not said to close; a mandrel is named only where it is chosen and holds', () => {
    const bare = newDivideJob({ id: 'a', name: 'Slots', units: 'mm', shop: BENCH });
    const job = withPart(bare, 'p1', (part) =>
      'spacing' in part
        ? {
            ...part,
            spacing: {
              ...part.spacing,
              by: 'angle',
              what: 'slots',
              angle: measure('12', 'deg'),
              count: count('5'),
            },
          }
        : part,
    );
    expect(list(blocksOf(sheetOf(job)), 'Dividing').lines.at(-1)).toBe(
      'Proved by its motion: every place exact.',
    );
    const shop = {
      ...BENCH,
      mandrels: [{ ...plainMandrel('m', 'Long mandrel', 'taper'), small: mm('11.98'), large: mm('12.04') }],
    };
    const machines = (mandrelId: string | null, holding: 'mandrel' | 'chuck') => {
      const held = withPart(wheel, 'p1', (part) =>
        'gear' in part ? { ...part, setup: { ...part.setup, mandrelId, holding } } : part,
      );
      const set = { working: false, spaces: false };
      const asked = {
        job: held,
        planned: plan(held, shop),
        shop,
        revision: 0,
        stored: '',
        address: null,
        set,
      };
      return routeSheet(asked).parts[0]!.machines;
    };
    expect(machines(null, 'mandrel')).not.toContain('Long mandrel');
    expect(machines('m', 'chuck')).not.toContain('Long mandrel');
    expect(machines('m', 'mandrel')).toContain('Long mandrel');
  });

  test('a rack has the mark of the table’s dial in each box, and no head', () => {
    const bare = newDivideJob({ id: 'r', name: 'Rack', units: 'mm', shop: BENCH });
    const job = withPart(bare, 'p1', (part) =>
      'spacing' in part
        ? {
            ...part,
            spacing: {
              ...part.spacing,
              by: 'pitch',
              what: 'teeth',
              pitch: measure('1.5', 'module'),
              count: count('12'),
            },
          }
        : part,
    );
    const sheet = sheetOf(job);
    const [boxes] = ofKind(blocksOf(sheet), 'boxes');
    const screw = BENCH.mills[0]!;
    expect(sheet.parts[0]!.machines).toContain(screw.name);
    expect(sheet.parts[0]!.machines).not.toContain(BENCH.heads[0]!.name);
    // π·1.5 each, on 5 mm a turn of 100 marks
    for (const [k, { at }] of boxes!.boxes.entries()) {
      const marks = Math.round((k * Math.PI * 1.5) / 0.05);
      expect(at).toBe(`${Math.floor(marks / 100)} t ${marks % 100}`);
    }
    expect(list(blocksOf(sheet), 'Dividing').lines.at(-1)).toMatch(
      /^Not exact: the worst place is off by 0\.0\d\d mm\.$/,
    );
  });

  test('of a job half filled it says what is open, and boxes nothing', () => {
    const job = newSpurJob({ id: 'n', name: 'New', units: 'mm', shop: BENCH });
    const blocks = blocksOf(sheetOf(job));
    const open = ofKind(blocks, 'said').filter(({ tone }) => tone === 'open');
    expect(open[0]!.lead).toBe('Open: Gear.');
    expect(open[0]!.text).toMatch(/Still needed/);
    expect(ofKind(blocks, 'boxes')).toHaveLength(0);
  });

  test('in inches the figures stand in inches first, the dial in thous', () => {
    const job = drawnSpurJob({
      id: 'i',
      name: 'Inch',
      pitch: '12',
      teeth: 30,
      face: '.5',
      bore: '.5',
      units: 'in',
    });
    const rows = rowsUnder(blocksOf(sheetOf(job)), 'The gear');
    expect(rows['Blank diameter']).toBe(`${(32 / 12).toFixed(4)} in | ${((32 / 12) * 25.4).toFixed(3)} mm`);
  });
});

test.each([
  ['d_a = d + 2h_a', 'da = d + 2ha'],
  ['\\frac{z + 2}{P}', '(z + 2)/P'],
  ['\\frac{d_f - \\text{bore}}{2}', '(df − bore)/2'],
  [
    'm \\cos\\alpha \\left[\\pi (k - \\tfrac{1}{2}) + z\\,\\mathrm{inv}\\,\\alpha\\right]',
    'm cos α [π (k − 1/2) + z inv α]',
  ],
  ['\\sqrt{h (D_c - h)}', '√(h (Dc − h))'],
  ['z / \\cos^3\\beta', 'z / cos³β'],
  ['14.5^\\circ', '14.5°'],
  ['3 \\times 10^{-4}', '3 × 10⁻⁴'],
])('%s is said on paper as %s', (tex, said) => expect(plainTex(tex)).toBe(said));

test('no line of working keeps a sign of its formula language', () => {
  for (const job of [wheel, drawnDriveJob({ id: 'd', name: 'D', shop: BENCH })])
    for (const block of ofKind(
      sheetOf(job, { working: true }).parts.flatMap(({ blocks }) => flat(blocks)),
      'table',
    ))
      expect(JSON.stringify(block.rows)).not.toMatch(/\\\\|[{}]|\bfrac\b|\btext\b/);
});

test('a wheel that reads in degrees: what the table reads, then the wheel', () => {
  // 90 : 1, so 4° a turn; 240 marks, each a minute of arc
  const move = { method: 'handwheel', reads: 'angle', marks: 240, vernier: 1 };
  const on = (turns: number, mark: string) =>
    standsText({ landing: { on: 'dial', turns, mark } } as never, { move, head: { ratio: '90' } } as never);
  expect(on(3, '5')).toBe('12° + 0° 05′');
  expect(on(0, '0')).toBe('0° + 0°');
});
