import {
  approx,
  decimalText,
  lengthText,
  otherSystem,
  parseAngleDeg,
  parseLength,
  parsePitch,
  dmsText,
  type Measure,
  type UnitSystem,
} from '../../core/units/index.ts';

/** What a length field understood, in both units; empty while it cannot be read. */
export function echoLength(value: Measure, units: UnitSystem): string {
  const length = parseLength(value);
  if (!length.ok) return '';
  const mm = approx(length.value);
  return `${lengthText(mm, units, 'fine')} = ${lengthText(mm, otherSystem(units), 'fine')}`;
}

/** What a pitch field understood, in both systems. */
export function echoPitch(value: Measure): string {
  const pitch = parsePitch(value);
  if (!pitch.ok) return '';
  const m = approx(pitch.value.module);
  return `module ${decimalText(m, 4)} mm = ${decimalText(25.4 / m, 4)} DP`;
}

/** What an angle field understood: decimal and in degrees and minutes. */
export function echoAngle(value: Measure): string {
  const angle = parseAngleDeg(value);
  if (!angle.ok || angle.value.lt(0)) return '';
  const decimal = `${decimalText(angle.value, 4)}°`;
  const minutes = dmsText(angle.value);
  return decimal === minutes ? '' : `${decimal} = ${minutes}`;
}
