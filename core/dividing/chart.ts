import { tableOfGears, trainText, type OwnedGear } from '../gearing/index.ts';
import { exact, exactText, plural, type Exact } from '../units/index.ts';
import { findDifferentials } from './differential.ts';
import { turnsWithCrank } from './motion.ts';
import { proveDivision } from './proof.ts';
import { findSimpleIndexings, type Circle } from './simple.ts';
import { moveText } from './words.ts';

/** A row of a printed dividing chart, as read. */
export interface ChartRow {
  /** The count it claims. */
  readonly divisions: number;
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
  /** Gears by position; null for a row of simple indexing. */
  readonly gears: ChartGears | null;
}

export interface ChartGears {
  readonly spindle: number;
  /**
   * The stud gear that meshes towards the spindle, and the one that meshes towards the plate; null in a
   * simple train.
   */
  readonly stud: { readonly first: number; readonly second: number } | null;
  readonly plateShaft: number;
  readonly idlers: number;
}

/** One change to a row that would make it right. */
export interface Misprint {
  readonly kind:
    'idlers' | 'swapped' | 'transposed' | 'off-by-one' | 'turns' | 'digits' | 'wrong-gear' | 'wrong-circle';
  /** What was likely meant, in words. */
  readonly meant: string;
  readonly row: ChartRow;
}

export interface ChartCheck {
  /** What the row truly divides a turn into, exact text; whole when it divides evenly. */
  readonly gives: string;
  readonly isWhole: boolean;
  /** Is it the count that the row claims, proved by motion? */
  readonly right: boolean;
  /**
   * Single misprints that would explain it, the likeliest first; empty when the row is right or past
   * guessing.
   */
  readonly misprints: readonly Misprint[];
  /** Has this head no circle of so many holes? */
  readonly noCircle: boolean;
  /** What does divide the count on this head, in words; null where the row does, or nothing. */
  readonly instead: string | null;
}

/**
 * Turns of the plate for one of the spindle that a row's gears make. The hand by the custom rule: a simple
 * train turns the plate with the crank through an odd number of idlers, a compound one through an even
 * number.
 */
function plateRatio({ gears }: ChartRow): Exact {
  if (!gears) return exact(0);
  const { spindle, stud, plateShaft, idlers } = gears;
  const size = exact(spindle * (stud?.second ?? 1), plateShaft * (stud?.first ?? 1));
  return turnsWithCrank(idlers, stud !== null) ? size : size.neg();
}

/** What a row divides a turn of the work into: (R − g)/move. @returns null when its move is nothing */
function dividesInto(ratio: Exact, row: ChartRow): Exact | null {
  const move = exact(row.turns).add(exact(row.spaces, row.circle));
  if (move.equals(0)) return null;
  const count = ratio.sub(plateRatio(row)).div(move);
  return count.gt(0) ? count : null;
}

function isRight(ratio: Exact, row: ChartRow): boolean {
  if (!dividesInto(ratio, row)?.equals(row.divisions)) return false;
  const { turns, spaces, circle, divisions } = row;
  return proveDivision({ ratio, plateRatio: plateRatio(row) }, { turns, spaces, circle }, divisions)
    .everySpaceTrue;
}

/** Where a gear of a row goes. */
export type ChartPosition = 'spindle' | 'first' | 'second' | 'plateShaft';
/** What a chart calls the positions, where it goes by letters: no two books use the same. */
export type ChartLetters = Readonly<Partial<Record<ChartPosition, string>>>;

const POSITION_WORDS: Readonly<Record<ChartPosition, string>> = {
  spindle: 'the spindle',
  first: 'the stud (first)',
  second: 'the stud (second)',
  plateShaft: 'the plate shaft',
};

const gearAt = (gears: ChartGears, at: ChartPosition): number | null =>
  at === 'spindle' || at === 'plateShaft' ? gears[at] : (gears.stud?.[at] ?? null);

function withGear(gears: ChartGears, at: ChartPosition, teeth: number): ChartGears {
  if (at === 'spindle' || at === 'plateShaft') return { ...gears, [at]: teeth };
  return gears.stud ? { ...gears, stud: { ...gears.stud, [at]: teeth } } : gears;
}

const positionsOf = (gears: ChartGears): ChartPosition[] =>
  gears.stud ? ['spindle', 'first', 'second', 'plateShaft'] : ['spindle', 'plateShaft'];

/** `the spindle`, or `C, the spindle` of a chart that goes by letters. */
const positionWords = (at: ChartPosition, letters: ChartLetters): string =>
  letters[at] ? `${letters[at]}, ${POSITION_WORDS[at]}` : POSITION_WORDS[at];

/** Rows that differ by one slip of the gears. */
function gearSlips({
  row,
  gears,
  owned,
  letters,
}: {
  readonly row: ChartRow;
  readonly gears: ChartGears;
  readonly owned: readonly OwnedGear[];
  readonly letters: ChartLetters;
}): Misprint[] {
  const slips: Misprint[] = [];
  const say = (kind: Misprint['kind'], meant: string, changed: ChartGears) =>
    slips.push({ kind, meant, row: { ...row, gears: changed } });
  // the usual numbers first: one or two in a simple train, none or one in a compound one
  for (const idlers of gears.stud ? [0, 1, 2] : [1, 2, 0]) {
    if (idlers === gears.idlers) continue;
    const words = ['no idler', 'one idler', 'two idlers'][idlers];
    say('idlers', `${words}, not ${gears.idlers}`, { ...gears, idlers });
  }
  const places = positionsOf(gears);
  for (const [i, a] of places.entries()) {
    for (const b of places.slice(i + 1)) {
      const swapped = withGear(withGear(gears, a, gearAt(gears, b)!), b, gearAt(gears, a)!);
      const lettered =
        letters[a] && letters[b] ? `the letters ${letters[a]} and ${letters[b]} exchanged: ` : '';
      say(
        'swapped',
        `${lettered}the gears on ${POSITION_WORDS[a]} and ${POSITION_WORDS[b]} ${lettered ? 'change places' : 'exchanged'}`,
        swapped,
      );
    }
  }
  if (gears.stud) {
    const { spindle, stud, plateShaft } = gears;
    say('swapped', 'drivers and drivens exchanged', {
      ...gears,
      spindle: stud.first,
      plateShaft: stud.second,
      stud: { first: spindle, second: plateShaft },
    });
  }
  for (const at of places) {
    for (const { teeth } of owned) {
      if (teeth !== gearAt(gears, at))
        say(
          'wrong-gear',
          `${teeth} teeth on ${positionWords(at, letters)}, not ${gearAt(gears, at)}`,
          withGear(gears, at, teeth),
        );
    }
  }
  return slips;
}

/** A figure with two neighbouring digits exchanged: 39 for 93. None begins with 0. */
function exchanged(figure: number): number[] {
  const digits = String(figure);
  const found = Array.from({ length: digits.length - 1 }, (_, i) =>
    [digits.slice(0, i), digits[i + 1], digits[i], digits.slice(i + 2)].join(''),
  );
  return found.filter((other) => other !== digits && !other.startsWith('0')).map(Number);
}

/** Rows with two digits of one figure exchanged. */
function digitSlips(row: ChartRow, letters: ChartLetters): Misprint[] {
  const meant = (now: number, was: number, what: string) =>
    `${now} ${what}, not ${was}: two digits exchanged`;
  const slips: Misprint[] = [
    ...exchanged(row.turns).map((turns): Misprint => ({
      kind: 'digits',
      meant: meant(turns, row.turns, 'turns'),
      row: { ...row, turns },
    })),
    ...exchanged(row.spaces).map((spaces): Misprint => ({
      kind: 'digits',
      meant: meant(spaces, row.spaces, 'spaces'),
      row: { ...row, spaces },
    })),
    ...exchanged(row.circle).map((circle): Misprint => ({
      kind: 'digits',
      meant: meant(circle, row.circle, 'on the circle'),
      row: { ...row, circle },
    })),
  ];
  const { gears } = row;
  if (!gears) return slips;
  const ofGears = positionsOf(gears).flatMap((at) =>
    exchanged(gearAt(gears, at)!).map((teeth): Misprint => ({
      kind: 'digits',
      meant: meant(teeth, gearAt(gears, at)!, `teeth on ${positionWords(at, letters)}`),
      row: { ...row, gears: withGear(gears, at, teeth) },
    })),
  );
  return [...slips, ...ofGears];
}

/** The whole turns that the rest of the row asks for: left out, or one too many. */
function turnSlips(ratio: Exact, row: ChartRow): Misprint[] {
  const needed = ratio.sub(plateRatio(row)).div(row.divisions).sub(exact(row.spaces, row.circle));
  if (needed.d !== 1n || needed.lt(0)) return [];
  const turns = Number(needed.n);
  if (turns === row.turns) return [];
  const meant =
    row.turns === 0
      ? `${plural(turns, 'whole turn')} left out`
      : `${plural(turns, 'whole turn')}, not ${row.turns}`;
  return [{ kind: 'turns', meant, row: { ...row, turns } }];
}

/** What does divide a count on these circles, with these gears: simply, else by the first train. */
function dividesBy({
  ratio,
  divisions,
  circles,
  owned,
}: {
  readonly ratio: Exact;
  readonly divisions: number;
  readonly circles: readonly Circle[];
  readonly owned: readonly OwnedGear[];
}): string | null {
  const [simple] = findSimpleIndexings(ratio, divisions, circles);
  if (simple)
    return `${moveText({ ...simple, circle: simple.circle.holes })}, plate ${simple.circle.plateName}`;
  const [geared] = findDifferentials({
    ratio,
    divisions,
    circles,
    gears: tableOfGears(owned),
    search: { any: true },
  });
  if (!geared) return null;
  const { move, train, idlers } = geared;
  return `${moveText({ ...move, circle: move.circle.holes })}, plate ${move.circle.plateName}, gears ${trainText(train)}, ${idlers === 0 ? 'no idler' : plural(idlers, 'idler')}`;
}

/** Rows that differ by one slip of the move. */
function moveSlips(row: ChartRow, circles: readonly number[]): Misprint[] {
  const { spaces, circle } = row;
  const slips: Misprint[] = [
    {
      kind: 'transposed',
      meant: `${circle} spaces on ${spaces}, the two exchanged`,
      row: { ...row, spaces: circle, circle: spaces },
    },
    {
      kind: 'off-by-one',
      meant: `${spaces + 1} spaces, not ${spaces}: the pin’s own hole was counted`,
      row: { ...row, spaces: spaces + 1 },
    },
    {
      kind: 'off-by-one',
      meant: `${spaces - 1} spaces, not ${spaces}: holes were printed for spaces`,
      row: { ...row, spaces: spaces - 1 },
    },
    ...circles
      .filter((holes) => holes !== circle)
      .map((holes): Misprint => ({
        kind: 'wrong-circle',
        meant: `the ${holes} circle, not ${circle}`,
        row: { ...row, circle: holes },
      })),
  ];
  return slips.filter(
    ({ row: changed }) => changed.circle >= 2 && changed.spaces >= 0 && changed.spaces < changed.circle,
  );
}

/**
 * What a printed chart row truly gives, and, when it is not what it claims, which single misprint would make
 * it right.
 * @param ratio R, exact @param circles those on hand @param gears the change gears on hand @param letters of
 * the chart, where it has any Source: N = (R − g)/move, from the motion of the head; kinds of misprint:
 * common practice
 */
export function checkChart(
  row: ChartRow,
  {
    ratio,
    circles,
    gears: owned,
    letters = {},
  }: {
    readonly ratio: Exact;
    readonly circles: readonly Circle[];
    readonly gears: readonly OwnedGear[];
    readonly letters?: ChartLetters;
  },
): ChartCheck {
  const onHand = [...new Set(circles.map(({ holes }) => holes))];
  const gives = dividesInto(ratio, row);
  const right = isRight(ratio, row);
  const slips = right
    ? []
    : [
        ...moveSlips(row, []),
        ...turnSlips(ratio, row),
        ...digitSlips(row, letters),
        ...(row.gears ? gearSlips({ row, gears: row.gears, owned, letters }) : []),
        ...moveSlips(row, onHand).filter(({ kind }) => kind === 'wrong-circle'),
      ];
  // a single wrong wheel or circle explains almost anything: it is offered only after the slips of the hand
  const likeliest: readonly Misprint['kind'][] = [
    'idlers',
    'swapped',
    'transposed',
    'off-by-one',
    'turns',
    'digits',
    'wrong-gear',
    'wrong-circle',
  ];
  return {
    gives: gives ? exactText(gives) : '0',
    isWhole: gives?.d === 1n,
    right,
    misprints: slips
      .filter((slip) => isRight(ratio, slip.row))
      .sort((a, b) => likeliest.indexOf(a.kind) - likeliest.indexOf(b.kind)),
    noCircle: !onHand.includes(row.circle),
    instead:
      right && onHand.includes(row.circle)
        ? null
        : dividesBy({ ratio, divisions: row.divisions, circles, owned }),
  };
}
