import type { Mandrel } from '../shop/index.ts';
import { knownLength, lengthText, type UnitSystem } from '../units/index.ts';

/** Does a mandrel take this blank? */
export interface MandrelFit {
  readonly id: string;
  readonly name: string;
  /** null where bore or mandrel is not known well enough */
  readonly fits: boolean | null;
  readonly line: string;
}

/**
 * What a straight seat may be under its bore before a nut no longer holds the blank true. Common practice. mm
 */
const SLACK = 0.03;

/**
 * A taper takes a bore between its two ends; a straight seat one that is hardly larger than itself; and the
 * blanks have to go on it. Common practice
 * @param bore mm; null or 0 where there is none @param face of all blanks, mm
 */
export function mandrelFits({
  mandrel,
  bore,
  face,
  system,
}: {
  readonly mandrel: Mandrel;
  readonly bore: number | null;
  readonly face: number | null;
  readonly system: UnitSystem;
}): MandrelFit {
  const { id, name, kind } = mandrel;
  const [small, large, length] = [
    knownLength(mandrel.small),
    knownLength(mandrel.large),
    knownLength(mandrel.length),
  ];
  const tell = (fits: boolean | null, line: string): MandrelFit => ({ id, name, fits, line });
  const mm = (value: number) => lengthText(value, system, 'fine');
  if (small === null || !bore)
    return tell(null, small === null ? 'its seat is not listed' : 'the bore is not known');
  if (small > bore + 1e-9) return tell(false, `its thin end, ${mm(small)}, does not enter the bore`);
  if (kind === 'taper' && large === null) return tell(null, 'its thick end is not listed');
  if (kind === 'taper' && large! < bore - 1e-9)
    return tell(false, `its thick end, ${mm(large!)}, slips through the bore`);
  if (kind !== 'taper' && bore - small > SLACK)
    return tell(false, `${mm(bore - small)} of slack in the bore`);
  if (length !== null && face !== null && length < face)
    return tell(false, `${mm(length)} long, and the work is ${mm(face)}`);
  return tell(true, 'fits the bore');
}
