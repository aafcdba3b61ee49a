import { lackingGear } from '../owned.ts';
import { type ChartGears, type ChartRow } from '../../dividing/index.ts';
import { trainText } from '../../gearing/index.ts';
import { plural } from '../../units/index.ts';
import { MOVE_LIKE, moveText, readMove } from '../move.ts';
import type { Answers, AskedField, Drawn, Posed, Verdict, Verdicts } from '../types.ts';

import {
  check,
  circlesGiven,
  differentialCount,
  gearsGiven,
  givesText,
  headGiven,
  rowOf,
  workingOf,
} from './differential.ts';

const PLACES = [
  ['spindle', 'On the spindle'],
  ['first', 'On the stud, towards the spindle'],
  ['second', 'On the stud, towards the plate'],
  ['plateShaft', 'On the plate’s shaft'],
] as const;

/** The whole setting of a head, judged by what it divides. */
export const train: Drawn = {
  topic: 'gears',
  title: 'A differential train',
  pose: (chance, level) => {
    const drawn = differentialCount(chance, level);
    if (!drawn) return null;
    const { count, way } = drawn;
    const row = rowOf(count, way);
    const gears = row.gears!;
    const right: Answers = {
      move: moveText(way.move),
      spindle: String(gears.spindle),
      first: gears.stud ? String(gears.stud.first) : '',
      second: gears.stud ? String(gears.stud.second) : '',
      plateShaft: String(gears.plateShaft),
      idlers: String(way.idlers),
    };
    const field = (key: string, label: string, like = ''): AskedField => ({
      key,
      label,
      unit: '',
      like,
      answer: right[key]!,
    });
    const fields = [
      field('move', 'Move of the crank', MOVE_LIKE),
      ...PLACES.map(([key, label]) =>
        field(key, label, key === 'first' || key === 'second' ? 'empty in a simple train' : ''),
      ),
      field('idlers', 'Idlers'),
    ];
    return {
      asks: `Set the head for ${count} divisions: the move of the crank, the gears from the spindle to the plate, the idlers.`,
      given: [headGiven, circlesGiven, gearsGiven],
      fields,
      hint: 'Choose a count near by that indexes simply, move for that, and let the gears make up the rest.',
      answer: `${moveText(way.move)}, as for ${way.near}; ${trainText(way.train)}; ${plural(way.idlers, 'idler')}`,
      working: workingOf(count, way, 'turns', 'circle', 'plateRatio', 'train', 'check'),
      judge: (answers) => judgeTrain(count, answers),
    } satisfies Posed;
  },
};

const WHOLE = /^\d{1,3}$/;

/** Gears as they were written; null in a place that cannot be read. */
function judgeTrain(count: number, answers: Answers): Verdicts {
  const unread: Record<string, Verdict> = {};
  const number = (key: string): number | null => {
    const typed = (answers[key] ?? '').trim();
    if (WHOLE.test(typed)) return Number(typed);
    unread[key] = {
      state: 'unread',
      says: typed === '' ? 'Nothing is written here yet.' : 'A whole number, such as 48.',
    };
    return null;
  };
  const move = readMove(answers['move'] ?? '');
  if (!move || move.circle === 0)
    unread['move'] = { state: 'unread', says: 'Write turns, spaces and circle: 1 9/27.' };
  const [spindle, plateShaft, idlers] = [number('spindle'), number('plateShaft'), number('idlers')];
  const isSimple = [answers['first'], answers['second']].every((typed) => (typed ?? '').trim() === '');
  const stud = isSimple ? null : { first: number('first'), second: number('second') };
  if (Object.keys(unread).length > 0) return unread;
  const gears: ChartGears = {
    spindle: spindle!,
    stud: stud && { first: stud.first!, second: stud.second! },
    plateShaft: plateShaft!,
    idlers: idlers!,
  };
  return sayRow({ divisions: count, ...move!, gears });
}

const every = (verdict: Verdict, keys: readonly string[]): Verdicts =>
  Object.fromEntries(keys.map((key) => [key, verdict]));

/** A whole setting judged: by what it divides, and by the slip that would explain it. */
function sayRow(row: ChartRow): Verdicts {
  const gears = row.gears!;
  const keys = ['move', 'spindle', ...(gears.stud ? ['first', 'second'] : []), 'plateShaft', 'idlers'];
  const sizes = [
    gears.spindle,
    gears.plateShaft,
    ...(gears.stud ? [gears.stud.first, gears.stud.second] : []),
  ];
  const lacking = lackingGear(sizes);
  if (lacking) return every({ state: 'wrong', says: lacking }, keys);
  const found = check(row);
  if (found.right && !found.noCircle) return every({ state: 'right' }, keys);
  if (found.noCircle)
    return every({ state: 'slip', says: `This head has no circle of ${row.circle}.` }, keys);
  const divides =
    found.gives === '0' ? 'the work does not come round' : `it would divide ${givesText(found.gives)}`;
  const [likely] = found.misprints.filter(({ kind }) => kind !== 'wrong-circle' && kind !== 'wrong-gear');
  return every(
    likely
      ? { state: 'slip', says: `As written ${divides}. Meant, it seems: ${likely.meant}.` }
      : { state: 'wrong', says: `As written ${divides}.` },
    keys,
  );
}
