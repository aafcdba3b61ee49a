import { toldLength, placedUnder, type Issue } from '../findings/index.ts';
import {
  approx,
  parseAngleDeg,
  parseLength,
  parsePositiveLength,
  type Exact,
  radiansOf,
} from '../units/index.ts';
import type { MadeInput } from './schema.ts';

/** A hole to be drilled, in the order of drilling. */
export interface DrillHole {
  /** Number on the finished plate, counted clockwise from the start hole. */
  readonly hole: number;
  /** mm from the middle of the plate, to a thousandth: to the right and away from the operator. */
  readonly x: number;
  readonly y: number;
}

/** A plate or ring of N holes, ready to be drilled. */
export interface MadePlate {
  readonly use: MadeInput['use'];
  readonly holes: number;
  /** mm */
  readonly pitchCircle: number;
  readonly holeSize: number;
  readonly startAngleDeg: number;
  readonly drilling: readonly DrillHole[];
  /** Metal between two holes, mm. */
  readonly land: number;
  /** What a hole that is off does to the work, parts of a turn: pinned directly, and behind the worm. */
  readonly errorDirect: number;
  readonly errorBehindWorm: number;
  /** mm along its circle that a hole may be off. */
  readonly holeError: number;
}

/**
 * Where a hole stands: angles run clockwise from straight up, as holes are counted on a plate.
 * @returns mm, to a thousandth
 */
function holeAt({
  hole,
  holes,
  radius,
  startDeg,
}: {
  readonly hole: number;
  readonly holes: number;
  readonly radius: number;
  readonly startDeg: number;
}): DrillHole {
  const angle = radiansOf(startDeg + (360 * hole) / holes);
  const thousandth = (mm: number) => Math.round(mm * 1000) / 1000 + 0;
  return { hole, x: thousandth(radius * Math.sin(angle)), y: thousandth(radius * Math.cos(angle)) };
}

/**
 * Drilling order: quarter by quarter across the plate, so that heat and a creeping zero are spread and not
 * heaped at the last hole. Holes keep their numbers. Common practice.
 */
function drillingOrder(holes: number): number[] {
  const quarter = Math.ceil(holes / 4);
  const starts = [0, 2, 1, 3].map((q) => q * quarter);
  return Array.from({ length: quarter }, (_, k) =>
    starts.flatMap((start) => (start + k < Math.min(holes, start + quarter) ? [start + k] : [])),
  ).flat();
}

/**
 * Does a ring reach the table? It stands on the spindle, or on the work in line with it; outside its holes it
 * has half a hole of metal, at the least 2 mm. A plate hangs behind the crank, and how high that sits is not
 * known. Source: geometry; the metal outside the holes is common practice
 */
function fouls({
  madeInput: { use, pitchCircle },
  radius,
  holeSize,
  centreHeight,
}: {
  readonly madeInput: MadeInput;
  readonly radius: number;
  readonly holeSize: number;
  readonly centreHeight: number | null;
}): Issue[] {
  const rim = radius + holeSize / 2 + Math.max(2, holeSize / 2);
  if (use !== 'ring' || centreHeight === null || rim < centreHeight) return [];
  const units = pitchCircle.unit === 'in' ? 'in' : 'mm';
  return [
    {
      code: 'ring-fouls',
      path: 'pitchCircle',
      severity: 'note',
      given: pitchCircle.typed,
      detail: {
        reaches: toldLength(rim, units, 'both'),
        height: toldLength(centreHeight, units, 'both'),
      },
    },
  ];
}

/**
 * A plate or ring of N holes from what is typed of it.
 * @param holes N, whole, ≥ 2 @param head it is for: R, and its middle above the table, mm, null where not
 * known Issues: those of the parsers; holes-touch, ring-fouls as notes
 */
export function planMadePlate(
  input: MadeInput,
  holes: number,
  { ratio, centreHeight }: { readonly ratio: Exact; readonly centreHeight: number | null },
): { readonly plate: MadePlate | null; readonly issues: readonly Issue[] } {
  const circle = parsePositiveLength(input.pitchCircle, 'The circle of holes');
  const size = parsePositiveLength(input.holeSize, 'The hole');
  const start = parseAngleDeg(input.startAngle);
  const error = parseLength(input.holeError);
  const issues = [
    ...(circle.ok ? [] : placedUnder('pitchCircle', circle.issues)),
    ...(size.ok ? [] : placedUnder('holeSize', size.issues)),
    ...(start.ok ? [] : placedUnder('startAngle', start.issues)),
    ...(error.ok ? [] : placedUnder('holeError', error.issues)),
  ];
  if (!circle.ok || !size.ok || !start.ok || !error.ok) return { plate: null, issues };
  const [pitchCircle, holeSize] = [approx(circle.value), approx(size.value)];
  const radius = pitchCircle / 2;
  const land = 2 * radius * Math.sin(Math.PI / holes) - holeSize;
  if (land <= 0) {
    const touching: Issue = {
      code: 'holes-touch',
      path: 'pitchCircle',
      // a plate that nobody means to make must not hold up the gear
      severity: 'note',
      given: input.pitchCircle.typed,
      detail: {
        holes,
        least: holeSize / Math.sin(Math.PI / holes),
      },
    };
    return { plate: null, issues: [touching] };
  }
  const off = Math.abs(approx(error.value));
  const direct = off / radius / (2 * Math.PI);
  const startAngleDeg = approx(start.value);
  const plate: MadePlate = {
    use: input.use,
    holes,
    pitchCircle,
    holeSize,
    startAngleDeg,
    drilling: drillingOrder(holes).map((hole) => holeAt({ hole, holes, radius, startDeg: startAngleDeg })),
    land,
    errorDirect: direct,
    errorBehindWorm: direct / approx(ratio),
    holeError: off,
  };
  return { plate, issues: fouls({ madeInput: input, radius, holeSize, centreHeight }) };
}

/** The holes in the order of drilling, as cells: order, hole, X and Y in mm from the middle. */
export const holeRows = ({ drilling }: MadePlate): readonly (readonly string[])[] =>
  drilling.map(({ hole, x, y }, i) => [String(i + 1), String(hole), x.toFixed(3), y.toFixed(3)]);
