import type { Mill, Screw } from '../shop/index.ts';
import {
  approx,
  decimalText,
  lengthText,
  parseOptionalLength,
  plural,
  type UnitSystem,
} from '../units/index.ts';

/** A screw with its dial, in mm. */
export interface Dial {
  readonly lead: number;
  readonly marks: number;
  /** null where it is not known */
  readonly travel: number | null;
}

/** A screw as the shop lists it; null while its lead is not known. */
export function dialOf(screw: Screw): Dial | null {
  const lead = parseOptionalLength(screw.lead, '');
  const travel = parseOptionalLength(screw.travel, '');
  if (!lead.ok || lead.value === null || lead.value.equals(0)) return null;
  return {
    lead: approx(lead.value),
    marks: screw.marks,
    travel: travel.ok && travel.value ? approx(travel.value) : null,
  };
}

/** Turns and marks of a dial for a move. */
export interface DialMove {
  readonly turns: number;
  /** To a tenth of a mark. */
  readonly marks: number;
  /** What is got when it is set to the nearest whole mark, less what was wanted, mm. */
  readonly miss: number;
}

/** @param mm a length, taken without its sign */
export function dialMove(mm: number, { lead, marks }: Dial): DialMove {
  const mark = lead / marks;
  const all = Math.abs(mm) / mark;
  // a tenth of a mark that rounds up to a whole turn is that turn
  const tenths = Math.round(all * 10);
  const turns = Math.floor(tenths / (marks * 10));
  return { turns, marks: tenths / 10 - turns * marks, miss: Math.round(all) * mark - Math.abs(mm) };
}

/** A move as it is made: on the dial, or by the readout. `2 turns + 37.5 marks`. */
export function moveText({
  mm,
  dial,
  readout,
  system,
}: {
  readonly mm: number;
  readonly dial: Dial | null;
  readonly readout: boolean;
  readonly system: UnitSystem;
}): string {
  if (readout || !dial) return lengthText(Math.abs(mm), system, 'fine');
  const { turns, marks } = dialMove(mm, dial);
  const rest = `${decimalText(marks, 1)} ${marks === 1 ? 'mark' : 'marks'}`;
  if (turns === 0) return rest;
  return marks === 0 ? plural(turns, 'turn') : `${plural(turns, 'turn')} + ${rest}`;
}

/**
 * The screw that sinks the cutter: the knee under an arbor, the cross slide beside an upright spindle. Says a
 * depth on it.
 */
export function depthDialOf(mill: Mill | null, system: UnitSystem): (mm: number) => string {
  const dial = mill && dialOf(mill.axis === 'vertical' ? mill.cross : mill.knee);
  return (mm) => moveText({ mm, dial, readout: mill?.readout ?? false, system });
}
