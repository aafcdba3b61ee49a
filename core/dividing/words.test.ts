import { describe, expect, test } from '@jest/globals';
import { NO_EQUIPMENT, STOCK_GEARS, STOCK_HEADS, STOCK_ROTARY } from '../shop/index.ts';
import { exact, measure } from '../units/index.ts';
import {
  angleAim,
  bestWay,
  choiceText,
  countAim,
  crankTurnsText,
  errorText,
  landingText,
  markText,
  emptyMadePlate,
  planDividing,
  rimText,
  searchMethods,
  smallAngleText,
  type Aim,
  type DividingChoice,
} from './index.ts';

const three = STOCK_HEADS[0]!;
const wheel = { marks: 240, vernier: 6, reads: 'angle' as const };

describe('as it is said at the bench', () => {
  test.each([
    [0, '0″'],
    [1 / 1_296_000, '1″'],
    [4.24 / 1_296_000, '4.2″'],
    [59.97 / 1_296_000, '1′'],
    [65 / 1_296_000, '1′ 05″'],
    [-3600 / 1_296_000, '1°'],
    [3725 / 1_296_000, '1° 02′ 05″'],
  ])('an angle of %d turns is %s', (turns, said) => expect(smallAngleText(turns)).toBe(said));

  test('an error with what it comes to at a diameter', () => {
    expect(errorText(4 / 1_296_000, null)).toBe('4″');
    // 4″ on Ø 100: π · 100 mm · 4 / 1 296 000 = 0.97 µm
    expect(errorText(4 / 1_296_000, 100)).toBe('4″, 1 µm');
    expect(errorText(60 / 1_296_000, 100)).toBe('1′, 15 µm');
    expect(errorText(0, 100)).toBe('0″');
  });

  test('a wheel in degrees, and one with numbered marks', () => {
    expect(markText('335/2', wheel, exact(90))).toBe('2° 47′ 30″');
    expect(markText('335/2', { ...wheel, reads: 'numbers' }, exact(90))).toBe('167.5');
    expect(rimText(30, exact(90))).toBe('120°');
    const ground = { ratio: exact(90), wheel: { ...wheel, reads: 'numbers' as const } };
    expect(landingText({ on: 'dial', turns: 7, mark: '1/2' }, ground)).toBe('turn 7, mark 0.5');
    expect(landingText({ on: 'dial', turns: 1, mark: '3' }, { ratio: exact(1), wheel: null })).toBe(
      '1 turns, mark 3',
    );
  });

  test.each<[DividingChoice, string, string]>([
    [
      { method: 'direct', advance: '1/8', ringId: 'r', ringName: '24', holes: 24, spaces: 3 },
      '3 spaces on the 24 ring',
      'worm out',
    ],
    [
      { method: 'direct', advance: '1/24', ringId: 'r', ringName: '24', holes: 24, spaces: 1 },
      '1 space on the 24 ring',
      'worm out',
    ],
    [{ method: 'handwheel', advance: '1/53', ...wheel }, '6° 47′ 33″ by the wheel', '0.7547'],
    [
      { method: 'table', advance: '4712389/1000000', millId: 'm', millName: 'M', lead: '5', marks: 100 },
      'table 4.7124 mm on',
      '0.9425',
    ],
    [
      { method: 'nearest-hole', advance: '1/53', plateId: 'p', plateName: 'C', side: 0, circle: 49 },
      'nearest hole of 49',
      '0.7547',
    ],
  ])('%o', (choice, words, turns) => {
    expect(choiceText(choice)).toBe(words);
    expect(crankTurnsText(choice, '40')).toBe(turns);
  });
});

describe('the station’s figures, working and cautions for each method', () => {
  const station = (
    head: typeof three,
    aim: Aim,
    choice: DividingChoice | null,
    steppers: Parameters<typeof planDividing>[0]['ground']['steppers'] = [],
  ) =>
    planDividing({
      input: {
        headId: head.id,
        millId: null,
        choice,
        stride: measure('', 'count'),
        made: emptyMadePlate('mm'),
      },
      target: { along: 'turn', aim },
      ground: { head, mill: null, gearSets: [STOCK_GEARS], steppers, shop: NO_EQUIPMENT },
      path: 'p',
    });
  const said = (work: ReturnType<typeof station>) =>
    Object.fromEntries(
      work.values.map((value) => [value.key, value.kind === 'text' ? value.text : value.at]),
    );
  const shown = (work: ReturnType<typeof station>) =>
    work.working.map(({ put, result }) => `${put} → ${result}`);
  const codes = (work: ReturnType<typeof station>) => work.cautions.map(({ code }) => code);

  test('direct: the ring, no crank, and the caution that the pin breaks', () => {
    const aim = countAim(12);
    const ring = {
      method: 'direct' as const,
      advance: '1/12',
      ringId: 'ring-24',
      ringName: '24 holes',
      holes: 24,
      spaces: 2,
    };
    const work = station(three, aim, ring);
    expect(said(work)).toMatchObject({ ring: '24 holes', worm: 'out', direction: 'clockwise, always' });
    expect(said(work)['move']).toBe('2 spaces on the 24 ring');
    expect(shown(work)[0]).toBe('24 \\times \\tfrac{1}{12} → 2');
    expect(codes(work)).toEqual(['worm-out']);
  });

  test('compound: both moves spelt out, the trade’s caution, the sum that makes 40', () => {
    const compound = searchMethods(
      { head: three, gearSets: [], steppers: [] },
      countAim(69),
    ).methods[1]!.ways.find(({ words }) => words === '21 spaces on 23, then 11 spaces back on 33')!;
    const work = station(three, countAim(69), compound.choice);
    expect(said(work)).toMatchObject({
      pinMove: '21 spaces on 23',
      backMove: '11 spaces back on 33',
      arms: '21 spaces, 22 holes with the pin’s own',
    });
    expect(codes(work)).toEqual(['direct-pin', 'two-pins']);
    expect(work.working.find(({ key }) => key === 'check')).toMatchObject({
      put: '69 \\times \\left(\\tfrac{21}{23} - \\tfrac{11}{33}\\right)',
      result: '40',
    });
  });

  test('an angle: the crank’s turns from degrees', () => {
    const work = station(three, angleAim(exact('4.5'), 5), null);
    expect(said(work)).toMatchObject({ divisions: '5', step: '9/2', plate: 'A' });
    expect(shown(work)[0]).toBe('40 \\times \\frac{4.5^\\circ}{360^\\circ} → \\tfrac{1}{2}');
    expect(work.working.some(({ key }) => key === 'check')).toBe(false);
  });

  test('a wheel: what it reads to, and how far off the worst one is', () => {
    const work = station(STOCK_ROTARY, countAim(53, 80), null);
    expect(said(work)).toMatchObject({ wheelMarks: '240, of 1′', least: '10″', worst: '4.9″, 1 µm' });
    expect(said(work)).not.toHaveProperty('end');
  });

  test('a motor coupled straight, whose turn is no whole number of steps, is warned about', () => {
    const odd = {
      id: 'd',
      name: 'Motor',
      headId: three.id,
      on: 'spindle' as const,
      stepsPerTurn: 200,
      microsteps: 16,
      belt: '7/3',
    };
    const choice: DividingChoice = {
      method: 'stepper',
      advance: '1/9',
      driveId: 'd',
      driveName: 'Motor',
      stepsPerTurn: '22400/3',
    };
    const work = station(three, countAim(9), choice, [odd]);
    expect(work.cautions[1]!.text).toMatch(/One turn of the work is 22400\/3 steps, not a whole number/);
    expect(said(work)['steps']).toBe('7466.6667');
  });

  test('a near miss by gears: what the train has beside what it should have, and that it does not close', () => {
    const near = searchMethods({ head: three, gearSets: [STOCK_GEARS], steppers: [] }, countAim(383))
      .methods.find(({ method }) => method === 'approximate')!
      .ways.find(({ choice }) => choice.method === 'differential')!;
    const work = station(three, countAim(383, 115), near.choice);
    expect(codes(work)).toEqual(['direct-pin', 'plate-free', 'does-not-close']);
    expect(work.working.find(({ key }) => key === 'train')!.joined).toBe('\\Rightarrow');
    expect(work.values.find(({ key }) => key === 'end')).toBeDefined();
  });

  test('a choice whose drive has gone says that the head lacks it', () => {
    const choice: DividingChoice = {
      method: 'stepper',
      advance: '1/9',
      driveId: 'gone',
      driveName: 'Motor',
      stepsPerTurn: '3200',
    };
    expect(station(three, countAim(9), choice).issues[0]?.code).toBe('choice-lacks');
  });
});

test('the best way of all on a head: exact before near, and nothing where there is nothing', () => {
  const at = (head: typeof three, n: number) =>
    bestWay({ head, gearSets: [STOCK_GEARS], steppers: [] }, countAim(n))?.words;
  expect(at(three, 58)).toBe('20 spaces on 29');
  expect(at(three, 127)).toBe('11 spaces on 33, gears 56 : 24');
  expect(at(STOCK_ROTARY, 53)).toBe('6° 47′ 33″ by the wheel');
  expect(at({ ...STOCK_ROTARY, handwheel: null }, 53)).toBeUndefined();
});
