import type { SetupInput } from '../setup/index.ts';
import type { FormCutter } from '../shop/index.ts';
import { knownLength, type Measure } from '../units/index.ts';

/** What cuts, for every station alike. Lengths mm, null where not known. */
export interface CutterInForce {
  /**
   * The shop's own that was picked, with its sizes as typed at Set-up where they are; null where none is
   * picked.
   */
  readonly cutter: FormCutter | null;
  readonly diameter: number | null;
  readonly width: number | null;
}

/**
 * One cutter in force, from wherever it comes: sizes typed at Set-up say what is on the arbor, and go before
 * those of the cutter that was picked. What is typed there and not owned serves as well.
 */
export function cutterInForce(
  picked: FormCutter | null,
  { cutterDiameter, cutterWidth }: Pick<SetupInput, 'cutterDiameter' | 'cutterWidth'>,
): CutterInForce {
  const typed = (size: Measure, own: Measure | undefined): Measure | undefined =>
    knownLength(size) ? size : own;
  const diameter = typed(cutterDiameter, picked?.diameter);
  const width = typed(cutterWidth, picked?.width);
  return {
    cutter: picked && { ...picked, diameter: diameter ?? picked.diameter, width: width ?? picked.width },
    diameter: diameter ? knownLength(diameter) : null,
    width: width ? knownLength(width) : null,
  };
}
