import type { GearDrawing } from '../involute/index.ts';
import { deeperForThinning } from '../mesh/index.ts';

/** The gear of another count that this cutter would cut exactly, as deep as it is made to go. */
export function exactGear(gear: GearDrawing, teeth: number): GearDrawing {
  const module = gear.pitchDiameter / gear.teeth;
  const addendum = (gear.tipDiameter - gear.pitchDiameter) / 2;
  const nominal = (Math.PI * module) / 2;
  const thinned = nominal - gear.toothThickness;
  const deeper = thinned > 1e-9 ? deeperForThinning(thinned, gear.pressureAngle, teeth) : 0;
  const depth = (gear.tipDiameter - gear.rootDiameter) / 2 - deeper;
  const pitchDiameter = module * teeth;
  return {
    teeth,
    pitchDiameter,
    tipDiameter: pitchDiameter + 2 * addendum,
    rootDiameter: pitchDiameter + 2 * addendum - 2 * depth,
    baseDiameter: pitchDiameter * Math.cos(gear.pressureAngle),
    pressureAngle: gear.pressureAngle,
    toothThickness: nominal,
  };
}
