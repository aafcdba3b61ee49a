import { measure, type UnitSystem } from '../units/index.ts';
import type { MadeInput } from './schema.ts';

type Raw = Readonly<Record<string, unknown>>;
const isObject = (raw: unknown): raw is Raw => typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** A choice as it rested when only counts were divided, and always exactly. */
export function choiceFromV2(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  const { divisions, ...rest } = raw;
  return { ...rest, advance: divisions === 1 ? '1' : `1/${String(divisions)}`, exact: true };
}

/** What is typed of a plate to be made, before anything is. */
export const noPlateToMake = (units: UnitSystem): MadeInput => ({
  use: 'ring',
  pitchCircle: measure(units === 'mm' ? '100' : '4', units),
  holeSize: measure(units === 'mm' ? '3' : '1/8', units),
  startAngle: measure('0', 'deg'),
  holeError: measure(units === 'mm' ? '0.02' : '.001', units),
});

/** The dividing station's own fields as they rested before block order and made plates. */
export function dividingFromV2(raw: unknown, units: UnitSystem): unknown {
  if (!isObject(raw)) return raw;
  return {
    ...raw,
    millId: null,
    choice: choiceFromV2(raw['choice']),
    stride: measure('1', 'count'),
    made: noPlateToMake(units),
  };
}

/** How a cut of an old run was come to: the move was the same each time, and the hole was kept. */
export function landingFromV2(move: unknown, hole: unknown): unknown {
  const { turns, spaces } = isObject(move) ? move : {};
  return { on: 'plate', turns, spaces, hole };
}
