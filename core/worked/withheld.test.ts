import { describe, expect, test } from '@jest/globals';
import type { SpurPart } from '../kinds/index.ts';
import { measure } from '../units/index.ts';
import { count, mm, workedJob, workedPart } from './bench.ts';
import { difference, inOrder, notTyped, told, type Told } from './told.ts';

/*
 * What is not given is not told, and nothing else is lost with it. Each row is reasoned from what a figure is
 * made of: the stroke of depth, face and cutter; speed of material and cutter; a move to the middle of
 * outside and width.
 */

/** Everything of a set-up that can be said, on a gear that it is true of. */
const FULL = {
  cutterDiameter: mm('60'),
  cutterWidth: mm('5'),
  cutterTeeth: count('12'),
  materialId: 'material-brass' as string | null,
  returnSeconds: count('20'),
  indexSeconds: count('40'),
  paper: mm('0.05'),
  blanks: count('2'),
  kerf: mm('3'),
  offset: mm('20'),
  jawGap: mm('30'),
  jawDiameter: mm('60'),
  tailGap: mm('40'),
  tailDiameter: mm('30'),
  round: { typed: '0 0.02 0.05 0.03', unit: 'mm' as const },
  alongLength: mm('100'),
  alongTop: mm('0.04'),
  alongSide: mm('0.03'),
  keyWidth: mm('4'),
  keyCutter: mm('3'),
  keyDepth: mm('1.8'),
  speedSet: count('90'),
  feedSet: mm('25'),
};
const setUpWith = (change: (part: SpurPart) => Partial<SpurPart>) =>
  told(
    workedPart(
      workedJob({ units: 'mm', mill: 'lying' }, (bare) => {
        const part = {
          ...bare,
          gear: { ...bare.gear, pitch: measure('1.5', 'module'), teeth: count('30') },
          blank: { ...bare.blank, faceWidth: mm('12'), bore: mm('10') },
          cut: { ...bare.cut, passes: 'rough-finish' as const },
          setup: { ...bare.setup, ...FULL },
        };
        return { ...part, ...change(part) };
      }),
    ),
    'setup',
  );
const full = setUpWith(() => ({}));
/** What needs depth, face and cutter; and what needs the stroke and a feed. */
const STROKE = ['caution index-clear', 'firstTouch', 'stroke', 'tableDial'].concat(
  ['collar', 'head-end', 'height', 'raise', 'table', 'tail-end'].map((end) => `fits ${end}`),
  ['approach', 'clear', 'first-touch'].map((line) => `line ${line}`),
  ['approach', 'clear-after', 'through', 'travel'].map((value) => `value ${value}`),
);
const TIME = ['line time', 'minutes', 'value time'];
const SPEED = ['data', 'line feed', 'line rpm', 'value feed', 'value rpm'];
/** Without a size of the gear there is neither depth nor outside. */
const NO_GEAR = {
  gone: [...STROKE, ...TIME].concat(
    ['caution creep', 'reasons key', 'depth', 'depths finish', 'depths rough'],
    ['line centre', 'outside', 'value push'],
  ),
  other: ['answer', 'centrings far', 'centrings height', 'centrings touch', 'keyway', 'round'],
};
describe('a set-up of which one thing is not said', () => {
  const rows: Readonly<Record<keyof typeof FULL, Told>> = {
    cutterDiameter: { gone: [...STROKE, ...TIME, ...SPEED], other: ['answer', 'cutter'] },
    cutterWidth: {
      gone: ['line centre'],
      other: ['centrings far', 'centrings height', 'centrings touch', 'cutter'],
    },
    // the feed was set by hand: only what it would be for so many teeth is not known
    cutterTeeth: { gone: ['line feed'], other: ['cutter', 'data'] },
    materialId: { gone: [...TIME, ...SPEED, 'material'], other: ['answer'] },
    // of 156 minutes told as two hours and a half, five more or less are not told
    returnSeconds: { other: ['line time', 'minutes'] },
    indexSeconds: { other: ['line time', 'minutes'] },
    paper: { other: ['centrings touch', 'depths finish', 'depths rough', 'line centre', 'mount'] },
    blanks: {
      gone: ['reasons nut', 'reasons stack'],
      other: [
        'along',
        'face',
        'fits table',
        'line clear',
        'line time',
        'minutes',
        'stroke',
        'tableDial',
      ].concat(['value clear-after', 'value through', 'value time', 'value travel']),
    },
    // on a mandrel the blanks lie face to face
    kerf: {},
    offset: { other: ['fits table'] },
    jawGap: { other: ['beside', 'fits head-end'] },
    jawDiameter: { other: ['beside', 'fits head-end'] },
    tailGap: { other: ['beside', 'fits tail-end'] },
    tailDiameter: { other: ['beside', 'fits tail-end'] },
    round: { gone: ['line eccentric', 'round', 'value runout'] },
    alongLength: { gone: ['along'], anew: ['needed along-alone'] },
    alongTop: { other: ['along'] },
    alongSide: { other: ['along'] },
    keyWidth: { gone: ['keyway'] },
    keyCutter: { gone: ['keyway'] },
    keyDepth: { other: ['keyway'] },
    speedSet: { other: ['answer', 'data', 'line feed', 'line rpm', 'value rpm'] },
    feedSet: {
      other: ['answer', 'data', 'line feed', 'line time', 'minutes', 'value feed', 'value time'],
    },
  };
  test.each(Object.entries(rows) as [keyof typeof FULL, Told][])('%s', (field, expected) => {
    const without = setUpWith((part) => ({
      setup: { ...part.setup, [field]: notTyped(FULL[field]) },
    }));
    expect(difference(full, without)).toEqual(inOrder(expected));
  });
  test.each<[string, (part: SpurPart) => Partial<SpurPart>, Told]>([
    [
      'the face',
      (part) => ({ blank: { ...part.blank, faceWidth: mm('') } }),
      { gone: [...STROKE, ...TIME, 'along', 'face'], other: ['answer'] },
    ],
    // a key is asked for because the rim is four bores and more across
    [
      'the bore',
      (part) => ({ blank: { ...part.blank, bore: mm('') } }),
      { gone: ['caution creep', 'reasons key'], other: ['keyway'] },
    ],
    ['the count of teeth', (part) => ({ gear: { ...part.gear, teeth: count('') } }), NO_GEAR],
    ['the pitch', (part) => ({ gear: { ...part.gear, pitch: measure('', 'module') } }), NO_GEAR],
  ])('%s', (_, change, expected) => expect(difference(full, setUpWith(change))).toEqual(inOrder(expected)));
});

describe('a set-up of which one thing is chosen otherwise', () => {
  const longer = ['along', 'face', 'fits table', 'line clear', 'line time', 'minutes', 'stroke', 'tableDial'];
  test.each<[string, Partial<SpurPart['setup']>, Told]>([
    [
      'indexed where the cutter comes out, which it must then do',
      { indexAt: 'exit' },
      {
        other: ['caution index-clear', 'fits head-end', 'indexAt', ...TIME, 'value travel'],
        anew: ['query setup-no-room'],
      },
    ],
    [
      'as a bar, which creeps on nothing and is parted afterwards',
      { holding: 'bar' },
      {
        gone: ['caution creep', 'reasons key', 'reasons nut', 'reasons thick-end'],
        other: [...longer, 'value clear-after', 'value through', 'value travel'],
        anew: ['reasons bar'],
      },
    ],
    [
      'in a chuck',
      { holding: 'chuck' },
      {
        gone: ['caution creep', 'reasons key', 'reasons nut', 'reasons tailstock', 'reasons thick-end'],
        anew: ['reasons jaws'],
      },
    ],
    [
      'on a stub, which is drawn home',
      { holding: 'stub' },
      { gone: ['reasons tailstock', 'reasons thick-end'], anew: ['reasons draw'] },
    ],
    ['with a key', { keyed: true }, { gone: ['caution creep'], other: ['reasons key'] }],
    [
      'with the head at the right, where the cutter enters',
      { headAt: 'right' },
      {
        other: ['fits head-end', 'headAt', 'reasons thick-end', 'reasons thrust', 'thrust', 'value push'],
        anew: ['query setup-no-room'],
      },
    ],
    [
      'with the spindle turned round: the cut pulls and pushes to the tailstock',
      { spin: 'counter' },
      {
        other: ['reasons feed', 'reasons thick-end', 'reasons thrust', 'spin', 'thrust', 'value push'],
        anew: ['caution climb'],
      },
    ],
    [
      'fed the other way: the cut pulls, and enters at the head',
      { feed: 'left' },
      {
        other: ['feed', 'fits head-end', 'fits table', 'mount', 'reasons feed', 'thrust'],
        anew: ['caution climb', 'query setup-no-room'],
      },
    ],
  ])('%s', (_, said, expected) => {
    const otherwise = setUpWith((part) => ({ setup: { ...part.setup, ...said } }));
    expect(difference(full, otherwise)).toEqual(inOrder(expected));
  });
  test('in one pass: no first touch later than the full depth’s', () => {
    const once = setUpWith((part) => ({ cut: { ...part.cut, passes: 'one' } }));
    expect(difference(full, once)).toEqual(
      inOrder({
        gone: ['depths finish', 'depths rough', 'line first-touch'],
        other: ['firstTouch', 'tableDial', ...TIME],
        anew: ['depths to depth'],
      }),
    );
  });
});
