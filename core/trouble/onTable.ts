import { decimalText, lengthText, type UnitSystem } from '../units/index.ts';
import type { Cause } from './cause.ts';
import type { TroubleFacts } from './facts.ts';
import type { SymptomId } from './symptoms.ts';

/* Work that a table divides along a bar: no crank, no mandrel, and nothing that closes. */

type Table = NonNullable<TroubleFacts['table']>;

interface OnTable {
  readonly table: Table;
  readonly facts: TroubleFacts;
  readonly part: number;
  readonly units: UnitSystem;
}

/** What a screw in use goes back before its slide follows, mm. Common practice. */
export const SCREW_SLACK = 0.2;

/** Leads of table screws as they are made, mm: of metric and of inch mills. Common practice. */
const SCREWS = [2, 2.5, 3, 4, 5, 6, 25.4 / 10, 25.4 / 8, 25.4 / 5, 25.4 / 4];

/** The screw most like this one under another dial, mm. */
export const otherScrew = (lead: number): number =>
  SCREWS.filter((each) => Math.abs(each - lead) > 1e-6).reduce((best, each) =>
    Math.abs(Math.log(each / lead)) < Math.abs(Math.log(best / lead)) ? each : best,
  );

/**
 * What two usual slips make of one space, and of all of them: the step rounded to a mark and read each from
 * the last, and a dial that was made for another screw. mm, without sign
 * Source: arithmetic of the dial
 */
export function wrongAlong({ pitch, lead, marks, spaces }: Table): {
  readonly rounded: { readonly step: number; readonly each: number; readonly all: number };
  readonly screw: { readonly other: number; readonly each: number; readonly all: number };
} {
  const mark = lead / marks;
  const step = Math.round(pitch / mark) * mark;
  const other = otherScrew(lead);
  const [each, off] = [Math.abs(step - pitch), pitch * Math.abs(other / lead - 1)];
  const moves = spaces - 1;
  return {
    rounded: { step, each, all: each * moves },
    screw: { other, each: off, all: off * moves },
  };
}

const slipped = ({ facts, part, table, units }: OnTable): Cause => ({
  key: 'slipped',
  cause: `The bar slipped in the vice: ${lengthText(part * table.pitch, units, 'fine')}${facts.done > 0 ? ` after ${facts.done} of ${facts.divisions}` : ' in all'}`,
  test: 'Scribe a line across bar and vice and cut on: it parts. The spaces grow off bit by bit, or from the one cut at which it gave.',
  mend: 'Stop. A stop against the end of the bar, cleaner jaws, and look again after a quarter of the cuts.',
});

const slack = ({ table, units }: OnTable): Cause => ({
  key: 'slack',
  cause: 'The table was run back, and the slack of its screw came in',
  test: `One space is off by as much as the dial turns before the table follows, some ${lengthText(SCREW_SLACK, units)} on a screw in use, and far less than a space of ${lengthText(table.pitch, units, 'fine')}.`,
  mend: 'Overshot: back half a turn and come up again the same way, to the same reading.',
});

function miscount({ table, part, units }: OnTable): Cause {
  const off = part * table.pitch;
  const marks = off / (table.lead / table.marks);
  return {
    key: 'miscount',
    cause: `One reading was mistaken: ${lengthText(off, units, 'fine')} is ${decimalText(marks, 1)} marks, ${decimalText(off / table.lead, 2)} turns of the screw`,
    test: `All spaces are right but one. A whole turn counted too often or left out is ${lengthText(table.lead, units, 'fine')}.`,
    mend: 'Measure from the first space to each: where it begins to be off the wrong reading was set. Go by the list of readings, whole turns and marks.',
  };
}

function drift(on: OnTable): Cause[] {
  const { table, units } = on;
  const { rounded, screw } = wrongAlong(table);
  const mm = (value: number) => lengthText(value, units, 'fine');
  return [
    {
      key: 'rounded',
      cause: `Each move was reckoned from the last: ${mm(rounded.step)} a space is off by ${mm(rounded.each)}, ${mm(rounded.all)} from the first to the last`,
      test: 'The dial at the last space does not read what the list says for it.',
      mend: 'Never repeat a rounded step: set each reading of the list, counted from the first space.',
    },
    {
      key: 'screw',
      cause: `The screw is not what the card says: one of ${mm(screw.other)} under a dial for ${mm(table.lead)} is off by ${mm(screw.each)} a space, ${mm(screw.all)} from the first to the last`,
      test: 'An indicator against the table over one turn of the dial.',
      mend: 'Write the true lead of the screw into the mill, and take the readings anew.',
    },
    slipped(on),
  ];
}

function lean({ units }: OnTable): Cause[] {
  return [
    {
      key: 'askew',
      cause: 'The bar does not lie square to the way it is fed past the cutter',
      test: `An indicator along the side of the bar, fed across: each ${lengthText(0.1, units)} it moves leans the teeth by as much.`,
      mend: 'Tap it true; clamp it against a stop.',
    },
  ];
}

function shallow(): Cause[] {
  return [
    {
      key: 'packing',
      cause: 'The bar lies lower at one side: a chip under it, or packing that is not parallel',
      test: 'An indicator over its top, fed across.',
      mend: 'Take it out, clean, tap it down on its parallels.',
    },
    {
      key: 'knee',
      cause: 'The knee sinks, or was not clamped',
      test: 'The dial reads as set, and the depth does not.',
      mend: 'Clamp the knee for the cut; come up always from below.',
    },
  ];
}

/** Of a rack: how thick a tooth should be, and where. */
function thickness({ table, units }: OnTable, deep: boolean): Cause[] {
  const { rack } = table;
  const test = rack
    ? `A gear-tooth caliper set to ${lengthText(rack.module, units, 'fine')} should read ${lengthText(table.pitch / 2, units, 'fine')} over a tooth of nominal thickness; a thinned one is less.`
    : 'A depth gauge from the top of the bar.';
  return [
    deep
      ? {
          key: 'deep',
          cause: 'Cut too deep',
          test,
          mend: 'Metal does not come back: bring the pinion closer, or cut another. Zero the dial on the top of the bar itself.',
        }
      : {
          key: 'shallow',
          cause: 'Cut too shallow',
          test,
          mend: 'While it lies as it was cut, sink it a little more, once along.',
        },
  ];
}

function nick({ facts, units }: OnTable): Cause[] {
  const at =
    facts.approach === null
      ? ''
      : `. That is ${lengthText(facts.approach, units)} before the side of the bar on this job`;
  return [
    {
      key: 'early',
      cause: `The table was moved on before the cutter was clear${at}`,
      test: `The nick lies at the side where you move on, ${facts.indexAt === 'entry' ? 'where the cutter enters' : 'where it leaves'}, on the same flank of every tooth.`,
      mend: 'Feed farther back before you unlock the table. Mark the place on the cross slide.',
    },
    {
      key: 'return',
      cause: 'The cutter rubbed on the way back with the table or the knee slack',
      test: 'The marks run the length of the tooth space, not only at its end.',
      mend: 'Lock the table for the way back too; run back with the spindle stopped, or clear of the work.',
    },
  ];
}

/** Null: as on a head. */
export function causesOnTable(symptom: SymptomId, on: OnTable): readonly Cause[] | null {
  switch (symptom) {
    case 'end-tooth':
      return [miscount(on), slack(on), slipped(on)];
    case 'marks':
    case 'count':
      return [miscount(on), slipped(on)];
    case 'drift':
      return drift(on);
    case 'nick':
      return nick(on);
    case 'lean':
      return lean(on);
    case 'shallow':
      return shallow();
    case 'tight':
      return thickness(on, false);
    case 'loose':
      return thickness(on, true);
    // nothing goes round
    case 'once-round':
      return [];
    default:
      return null;
  }
}
