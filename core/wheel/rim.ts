import { parseSize, shapeOf, wheelSizes, type DriveFacts, type DriveShape } from '../drive/index.ts';
import { placedUnder, fail, ok, toldLength, type Issue, type Result } from '../findings/index.ts';
import type { Placed, StationWork } from '../station/index.ts';
import {
  approx,
  lengthFigure,
  lengthText,
  parseAngleDeg,
  parseLength,
  type UnitSystem,
  radiansOf,
} from '../units/index.ts';
import { rimValues, rimWorking } from './rimSaying.ts';
import type { RimInput } from './schema.ts';

/** A wheel's blank. Lengths mm, angles radians. */
export interface RimFacts {
  readonly rim: RimInput['rim'];
  readonly throat: number;
  /** At the corners of the hollow; the throat's own on a plain rim. */
  readonly outside: number;
  readonly throatRadius: number;
  readonly faceWidth: number;
  readonly faceAngle: number;
  /** Of the hollow, from corner to corner; the rest of the face is chamfer. */
  readonly hollow: number;
  /** Where the chamfer ends at the faces; null where there is none. */
  readonly sideDiameter: number | null;
  readonly bore: number;
  /** Over the corners as they were turned, or as they should be, mm. */
  readonly corners: number;
  /** What the depth from the throat grows by, for the throat as it was turned. */
  readonly deeper: number;
}

/** What follows from the drive and the face alone. */
export type RimShape = Omit<RimFacts, 'bore' | 'deeper' | 'corners'>;

export interface RimDetail {
  readonly facts: RimFacts | null;
  readonly drive: DriveShape | null;
  /** Face widths that the schools give, mm. */
  readonly usual: readonly { readonly mm: number; readonly source: string }[];
}

/**
 * Face widths in use.
 * Sources: 2.38·p + ¼ in, Machinery’s Handbook, worm wheels (from memory); 2m(0.5 + √(q + 1)), metric
 * practice
 */
export const usualFaces = ({ worm, axialModule, wormDiameter }: DriveShape): RimDetail['usual'] => [
  { mm: 2.38 * worm.axialPitch + 6.35, source: '2.38 of the pitch and ¼ in' },
  { mm: 2 * axialModule * (0.5 + Math.sqrt(wormDiameter / axialModule + 1)), source: 'metric books' },
];

/** The narrower of them: what is wider than the hollow carries nothing. */
export const usualFace = (usual: RimDetail['usual']): number => Math.min(...usual.map(({ mm }) => mm));

export interface RimReadings {
  readonly face: number | null;
  readonly faceAngle: number | null;
  readonly bore: number | null;
  readonly measured: number | null;
  readonly corners: number | null;
  readonly issues: readonly Issue[];
}

/** Issues: those of the parsers; out-of-range */
function readRim(input: RimInput): RimReadings {
  const optional = (typed: RimInput['faceWidth'], what: string): Result<number | null> => {
    if (typed.typed.trim() === '') return ok(null);
    return parseSize(typed, what);
  };
  const face = optional(input.faceWidth, 'The face width');
  const measured = optional(input.measured, 'The throat as turned');
  const corners = optional(input.corners, 'The corners as turned');
  const angle = parseAngleDeg(input.faceAngle);
  const spread: Result<number> = !angle.ok
    ? angle
    : angle.value.gte(20) && angle.value.lte(120)
      ? ok(radiansOf(approx(angle.value)))
      : fail({
          code: 'out-of-range',
          path: '',
          severity: 'wrong',
          given: input.faceAngle.typed,
          allowed: 'It runs from 20° to 120°; about 60° is usual',
          detail: { what: 'A face angle' },
        });
  const bore = parseLength(input.bore);
  const solid: Result<number> = bore.ok
    ? bore.value.gte(0)
      ? ok(approx(bore.value))
      : fail({
          code: 'negative',
          path: '',
          severity: 'wrong',
          given: input.bore.typed,
          detail: { what: 'A bore' },
        })
    : fail(
        ...bore.issues.map((found) =>
          found.code === 'missing' ? { ...found, allowed: 'the bore (0 for none)' } : found,
        ),
      );
  const issuesOf = (read: Result<unknown>, path: string) => (read.ok ? [] : placedUnder(path, read.issues));
  return {
    face: face.ok ? face.value : null,
    faceAngle: spread.ok ? spread.value : null,
    bore: solid.ok ? solid.value : null,
    measured: measured.ok ? measured.value : null,
    corners: corners.ok ? corners.value : null,
    issues: [
      ...issuesOf(face, 'faceWidth'),
      ...issuesOf(spread, 'faceAngle'),
      ...issuesOf(solid, 'bore'),
      ...issuesOf(measured, 'measured'),
      ...issuesOf(corners, 'corners'),
    ],
  };
}

/**
 * The shape of a rim. The hollow goes as far as its angle or the face lets it; beyond it the corners are
 * chamfered along the rays from the worm's axis.
 * Source: by geometry
 */
export function rimShape({
  drive,
  rim,
  faceWidth,
  faceAngle,
}: {
  readonly drive: DriveShape;
  readonly rim: RimInput['rim'];
  readonly faceWidth: number;
  readonly faceAngle: number;
}): RimShape {
  const { teeth, starts, axialModule, wormDiameter, addendum, centre } = drive;
  const within = (angle: number) =>
    wheelSizes(teeth, starts, { axialModule, wormDiameter, addendum, faceAngle: angle });
  const full = within(faceAngle);
  const { throatDiameter: throat, throatRadius } = full;
  if (rim === 'plain')
    return {
      rim,
      throat,
      outside: throat,
      throatRadius,
      faceWidth,
      faceAngle,
      hollow: 0,
      sideDiameter: null,
    };
  const narrow = faceWidth <= full.faceWidth;
  const sizes = narrow ? within(2 * Math.asin(Math.min(1, faceWidth / 2 / throatRadius))) : full;
  return {
    rim,
    throat,
    outside: sizes.outsideDiameter,
    throatRadius,
    faceWidth,
    faceAngle,
    hollow: sizes.faceWidth,
    sideDiameter: narrow ? null : 2 * (centre - faceWidth / 2 / Math.tan(faceAngle / 2)),
  };
}

/** Issues: bore-over-root, bore-near-root, blank-off-nominal, blank-far-off, rim-chamfer-root */
function judgeRim({
  shape,
  rimReadings: { bore, measured, corners },
  input,
  drive,
  system,
}: {
  readonly shape: RimShape;
  readonly rimReadings: RimReadings;
  readonly input: RimInput;
  readonly drive: DriveShape;
  readonly system: UnitSystem;
}): Issue[] {
  const { worm, wheelDiameter, addendum } = drive;
  const issues: Issue[] = [];
  const mm = (value: number, finish: 'shop' | 'fine' = 'shop') => toldLength(value, system, finish);
  const root = wheelDiameter - 2 * (worm.depth - addendum);
  if (bore !== null) {
    const wall = (root - bore) / 2;
    if (wall <= 0)
      issues.push({
        code: 'bore-over-root',
        path: 'bore',
        severity: 'wrong',
        given: input.bore.typed,
        detail: { root: mm(root) },
      });
    else if (bore > 0 && wall < worm.depth)
      issues.push({
        code: 'bore-near-root',
        path: 'bore',
        severity: 'query',
        given: input.bore.typed,
        detail: { wall: mm(wall), wanted: mm(worm.depth) },
      });
  }
  if (shape.sideDiameter !== null && shape.sideDiameter < root)
    issues.push({
      code: 'rim-chamfer-root',
      path: 'faceWidth',
      severity: 'query',
      given: lengthText(shape.faceWidth, system),
      detail: { most: mm(2 * Math.tan(shape.faceAngle / 2) * (drive.centre - root / 2)) },
    });
  if (measured !== null) {
    const off = measured - shape.throat;
    if (Math.abs(off) > addendum / 4)
      issues.push({
        code: 'blank-far-off',
        path: 'measured',
        severity: worm.depth + off / 2 > 0 ? 'query' : 'wrong',
        given: input.measured.typed,
        detail: { off: mm(Math.abs(off), 'fine'), wanted: mm(shape.throat, 'fine') },
      });
    else if (Math.abs(off) > 1e-9) {
      const over = off > 0;
      issues.push({
        code: 'blank-off-nominal',
        path: 'measured',
        severity: over ? 'query' : 'note',
        given: input.measured.typed,
        detail: {
          off: mm(Math.abs(off), 'fine'),
          way: over ? 'over' : 'under',
          dial: mm(worm.depth + off / 2, 'fine'),
          nominal: mm(worm.depth, 'fine'),
          tips: over ? 'long and eat the clearance of the worm' : 'short, which does no harm',
        },
      });
    }
  }
  if (corners !== null && shape.rim === 'throat') {
    const off = corners - shape.outside;
    if (corners <= shape.throat || Math.abs(off) > addendum)
      issues.push({
        code: 'blank-far-off',
        path: 'corners',
        severity: corners <= shape.throat ? 'wrong' : 'query',
        given: input.corners.typed,
        detail: { off: mm(Math.abs(off), 'fine'), wanted: mm(shape.outside, 'fine') },
      });
  }
  return issues;
}

/** What a wheel's blank is planned from. */
export interface RimAsked extends Placed {
  readonly input: RimInput;
  /** Null while unknown. */
  readonly drive: DriveFacts | null;
}

/**
 * The blank of a worm wheel.
 * Issues: those of the parsers; bore-over-root, bore-near-root, blank-off-nominal, blank-far-off,
 * rim-chamfer-root Source: docs/sources.md#worm
 */
export function planRim({ input, drive, path, units: system }: RimAsked): StationWork<RimFacts, RimDetail> {
  const read = readRim(input);
  const empty: StationWork<RimFacts, RimDetail> = {
    id: 'wheelBlank',
    facts: null,
    answer: 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: placedUnder(path, read.issues),
    detail: { facts: null, drive: drive && shapeOf(drive), usual: [] },
  };
  if (!drive) return empty;
  const usual = usualFaces(drive);
  if (read.faceAngle === null || read.issues.some(({ path: field }) => field === 'faceWidth'))
    return { ...empty, answer: 'sizes to be given', detail: { ...empty.detail, usual } };
  const shape = rimShape({
    drive,
    rim: input.rim,
    faceWidth: read.face ?? usualFace(usual),
    faceAngle: read.faceAngle,
  });
  const issues = judgeRim({ shape, rimReadings: read, input, drive, system });
  const wrong = [...read.issues, ...issues].some(({ severity }) => severity === 'wrong');
  const facts: RimFacts = {
    ...shape,
    bore: read.bore ?? 0,
    corners: (shape.rim === 'throat' ? read.corners : null) ?? shape.outside,
    deeper: read.measured === null ? 0 : (read.measured - shape.throat) / 2,
  };
  const figure = (value: number) => lengthFigure(value, system);
  return {
    ...empty,
    facts: wrong || read.bore === null ? null : facts,
    answer: `Ø ${figure(shape.outside)} × ${figure(shape.faceWidth)}${shape.rim === 'throat' ? `, throat ${figure(shape.throat)}` : ''}`,
    values: rimValues(shape, read, drive),
    working: rimWorking(shape, drive),
    issues: placedUnder(path, [...read.issues, ...issues]),
    detail: { facts, drive: shapeOf(drive), usual },
  };
}
