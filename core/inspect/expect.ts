import type { SpurSizes } from '../gear/index.ts';
import { thinningFromDeeper } from '../mesh/index.ts';
import { approx, radiansOf } from '../units/index.ts';
import { chordalTooth } from './chordal.ts';
import { overPins, pinCircle } from './pins.ts';
import type { CheckId } from './schema.ts';
import { spanOver, spanToMeasure, type MeasuredGear } from './span.ts';

/** What one way of measuring should read, and what a reading says of the tooth. mm */
export interface Expected {
  readonly id: CheckId;
  readonly should: number;
  /** What the reading changes by for a tooth that much thicker; 0 where it says nothing of the tooth. */
  readonly perThickness: number;
  /** Too thick by, along the pitch circle in the normal plane, for a reading; null where it says nothing. */
  readonly thick: (reading: number) => number | null;
  /** Why it cannot be measured so; null when it can. */
  readonly out: 'face-narrow' | 'jaws-off' | 'pin-sinks' | 'pin-hidden' | null;
  /** Teeth between the jaws, the height the caliper is set to, the pin. */
  readonly with: number | null;
}

/** The gear as cut: its blank as turned, the cutter that cut it. */
export interface AsCut {
  readonly sizes: SpurSizes;
  /** Outside as turned, mm. */
  readonly outside: number;
  /** Depth that outside asks for, mm. */
  readonly depth: number;
  /** null where not known. */
  readonly faceWidth: number | null;
  readonly cutterTeeth: number;
  /** mm */
  readonly pin: number;
}

/** What a jaw keeps off the tip of a tooth, in modules. Common practice. */
const TIP_EASED = 0.1;

/**
 * The tooth that gives a reading, between half of it gone and half as much again. @param of falling reading
 * for rising thinning
 */
function solve(of: (thick: number) => number, reading: number, size: number): number {
  let [low, high] = [-size, size];
  for (let i = 0; i < 70; i += 1) {
    const middle = (low + high) / 2;
    if (of(middle) > reading) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/**
 * What each way of measuring should read on a gear cut as planned.
 * Sources: span, pins, chordal tooth: ISO 21771 and Machinery’s Handbook; depth to thickness: the form
 * cutter’s rule
 */
export function expectedOf({
  sizes,
  outside,
  depth,
  faceWidth,
  cutterTeeth,
  pin,
}: AsCut): readonly Expected[] {
  const helixAngle = radiansOf(approx(sizes.helixDeg));
  const { pressureAngle, teeth, toothThickness } = sizes;
  const module = approx(sizes.module);
  const thinning = approx(sizes.thinning);
  const gear: MeasuredGear = { teeth, module, pressureAngle, helixAngle };
  const shaped = (module * teeth) / Math.cos(helixAngle) ** 3;
  const addendum = approx(sizes.depth.addendum) + (outside - approx(sizes.tipDiameter)) / 2;
  const tooth = chordalTooth(shaped, addendum, toothThickness);
  const flanks = {
    // the fillet reaches as high as the clearance
    from:
      outside / 2 - depth + Math.max(0, approx(sizes.depth.wholeDepth) - 2 * approx(sizes.depth.addendum)),
    // tips are eased and deburred
    to: outside / 2 - TIP_EASED * module,
    face: faceWidth,
  };
  const { teeth: k, out: spanOut } = spanToMeasure(gear, flanks, thinning);
  const span = spanOver(k, gear, thinning);
  const over = (thick: number) => overPins(pin, gear, thinning - thick);
  const pins = over(0);
  const step = module * 1e-4;
  return [
    { id: 'outside', should: outside, perThickness: 0, thick: () => null, out: null, with: null },
    {
      id: 'depth',
      should: depth,
      perThickness: -1 / thinningFromDeeper(1, pressureAngle, cutterTeeth),
      thick: (reading) => thinningFromDeeper(depth - reading, pressureAngle, cutterTeeth),
      out: null,
      with: null,
    },
    {
      id: 'chordal',
      should: tooth.thickness,
      perThickness: Math.cos(toothThickness / shaped),
      thick: (reading) => (reading >= shaped ? null : shaped * Math.asin(reading / shaped) - toothThickness),
      out: null,
      with: tooth.addendum,
    },
    {
      id: 'span',
      should: span,
      perThickness: Math.cos(pressureAngle),
      thick: (reading) => (reading - span) / Math.cos(pressureAngle),
      out: spanOut,
      with: k,
    },
    {
      id: 'pins',
      should: pins,
      perThickness: (over(step) - over(-step)) / (2 * step),
      thick: (reading) => {
        const thick = solve(over, reading, module / 2);
        // thinner than where the pin would reach the base circle, nothing can be told by it
        return Number.isFinite(over(thick - step)) ? thick : null;
      },
      out: pinOut({ circle: pinCircle(pin, gear, thinning), pin, outside, depth }),
      with: pin,
    },
  ];
}

/**
 * Does a pin touch the flanks of its space, and stand out beyond the tips? @param circle that pins stand on,
 * mm
 */
function pinOut({
  circle,
  pin,
  outside,
  depth,
}: {
  readonly circle: number;
  readonly pin: number;
  readonly outside: number;
  readonly depth: number;
}): Expected['out'] {
  const root = outside - 2 * depth;
  if (!(circle - pin > root)) return 'pin-sinks';
  return circle + pin > outside ? null : 'pin-hidden';
}

/** What an indicator reading all round does to a gear cut so. mm */
export interface RunoutSays {
  readonly reading: number;
  readonly eccentric: number;
  /** Depth, to either side; thickness and pitch, from least to most. */
  readonly depth: number;
  readonly thickness: number;
  readonly pitch: number;
}

/**
 * @param reading least to most, mm
 * Source: an eccentric circle; thickness 2t·sin(α − 90°/z)/cos α, pitch t/cos α (trade’s rules, tested by a
 * shifted gear)
 */
export const runoutSays = (reading: number, { pressureAngle, teeth }: SpurSizes): RunoutSays => ({
  reading,
  eccentric: reading / 2,
  depth: reading / 2,
  thickness: Math.abs(
    (2 * reading * Math.sin(pressureAngle - Math.PI / (2 * teeth))) / Math.cos(pressureAngle),
  ),
  pitch: reading / Math.cos(pressureAngle),
});
