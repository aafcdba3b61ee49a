import { dividedName, wordsOfDivided } from '../cut/index.ts';
import { markText, rimText } from '../dividing/index.ts';
import type { AnyStationPlan } from '../plan/index.ts';
import type { Cut, Run } from '../run/index.ts';
import type { Value } from '../station/index.ts';
import {
  decimalText,
  dmsText,
  exact,
  lengthText,
  otherSystem,
  type Finish,
  type UnitSystem,
} from '../units/index.ts';
import { row, type SheetBox, type SheetRow } from './blocks.ts';

/** A length in both units. */
export const lengthRow = (
  label: string,
  mm: number,
  units: UnitSystem,
  set: Partial<SheetRow> & { readonly finish?: Finish } = {},
): SheetRow => {
  const { finish = 'fine', ...rest } = set;
  return row(label, lengthText(mm, units, finish), {
    other: lengthText(mm, otherSystem(units), finish),
    ...rest,
  });
};

/** A value of a station as it stands on a sheet. */
export function valueRow(value: Value, units: UnitSystem): SheetRow {
  switch (value.kind) {
    case 'length':
      return value.inMm
        ? row(value.label, `${decimalText(value.mm, 4)} mm`)
        : lengthRow(value.label, value.mm, units);
    case 'angle':
      return row(value.label, dmsText(exact(value.at)));
    case 'text':
      return row(value.label, value.text);
  }
}

export const valueRows = (station: AnyStationPlan | null, units: UnitSystem): readonly SheetRow[] =>
  (station?.values ?? []).map((value) => valueRow(value, units));

/** Where everything stands for a cut, as short as goes into a box. */
export function standsText({ landing }: Cut, { move, head }: Pick<Run, 'move' | 'head'>): string {
  switch (landing.on) {
    case 'plate':
    case 'ring':
      return String(landing.hole);
    case 'two-circles':
      return `${landing.hole}/${landing.backHole}`;
    case 'dial': {
      const ratio = exact(head?.ratio ?? '1');
      if (move.method === 'handwheel' && move.reads === 'angle')
        return `${rimText(landing.turns, ratio)} + ${markText(landing.mark, move, ratio)}`;
      if (move.method === 'handwheel') return `${landing.turns} t ${markText(landing.mark, move, ratio)}`;
      return `${landing.turns} t ${decimalText(exact(landing.mark), 2)}`;
    }
    case 'steps':
      return String(landing.steps);
  }
}

/** What the large figure in a box is. */
export function standsSaid({ move, divides }: Pick<Run, 'move' | 'divides'>): string {
  const small = `small: the ${wordsOfDivided(divides).one}`;
  switch (move.method) {
    case 'simple':
    case 'differential':
    case 'nearest-hole':
      return `${small}; large: the hole of the ${move.circle} circle where the pin lands`;
    case 'compound':
      return `${small}; large: hole of the pin on ${move.circle} / of the back pin on ${move.back.circle}`;
    case 'direct':
      return `${small}; large: the hole of the ${move.holes} ring where the pin lands`;
    case 'handwheel':
      if (move.reads === 'angle') return `${small}; large: what the table reads + what the wheel reads`;
      return `${small}; large: turns of the wheel since the start (t) and what it then reads`;
    case 'table':
      return `${small}; large: turns of the dial since the start (t) and the mark it then reads`;
    case 'stepper':
      return `${small}; large: the motor’s count of steps`;
  }
}

/** A box for each cut of a round, in the order of cutting. */
export const boxesOf = (run: Run, round: number): readonly SheetBox[] =>
  run.cuts
    .filter((cut) => cut.round === round)
    .map((cut) => ({
      number: cut.space,
      at: standsText(cut, run),
      heavy: cut.space === 1 || cut.space % 10 === 0,
    }));

/** `tooth space 12` */
export const nameOf = (run: Run, space: number): string => dividedName(run, space);
