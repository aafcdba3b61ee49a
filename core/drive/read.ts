import { placedUnder, fail, ok, type Issue, type Result } from '../findings/index.ts';
import { leadFromThreads } from '../shop/index.ts';
import {
  approx,
  exact,
  parseAngleDeg,
  parseCount,
  parsePitch,
  parseRatio,
  pitchOf,
  type Exact,
  type Measure,
  type Pitch,
  radiansOf,
} from '../units/index.ts';
import { WORM_SCHOOLS, type WormProportions } from './proportions.ts';
import type { DriveInput } from './schema.ts';
import { parseSize } from './size.ts';
import { USUAL_FRICTION } from './wormSizes.ts';

export const MOST_STARTS = 24;
const LEAST_MODULE = 0.05;
const MOST_MODULE = 100;

/** How the thread is shaped, before its pitch is known: heights as parts of the pitch, or typed in mm. */
export interface ThreadShape {
  readonly school: DriveInput['thread']['school'];
  readonly name: string;
  /** Of the tool, degrees, exact. */
  readonly includedDeg: Exact;
  /** Heights for an axial pitch, mm. */
  proportionsAt(axialPitch: number): WormProportions;
}

/** What stands in the fields of a drive; null where it is missing or wrong. */
export interface DriveReadings {
  /** As given, in its plane; of a circular pitch the module it amounts to, to a millionth of a millimetre. */
  readonly pitch: Pitch | null;
  readonly plane: DriveInput['plane'];
  /** Along its plane, mm. */
  readonly module: number | null;
  readonly starts: number | null;
  readonly teeth: number | null;
  readonly wormDiameter: number | null;
  readonly centre: number | null;
  readonly hand: DriveInput['hand'];
  readonly shape: ThreadShape | null;
  readonly friction: number;
  readonly issues: readonly Issue[];
}

interface ReadPitch {
  readonly pitch: Pitch;
  readonly module: number;
}

/** Issues: out-of-range */
function inRange(module: number, path: string, { typed }: Measure): Result<never> | null {
  if (module >= LEAST_MODULE && module <= MOST_MODULE) return null;
  return fail({
    code: 'out-of-range',
    path,
    severity: 'wrong',
    given: typed,
    allowed: `It runs from module ${LEAST_MODULE} to ${MOST_MODULE}. Was the unit meant otherwise?`,
    detail: { what: 'A pitch' },
  });
}

/** Issues: those of the parsers; out-of-range */
function readPitch(input: DriveInput): Result<ReadPitch> {
  if (input.pitchBy === 'pitch') {
    const read = parsePitch(input.pitch);
    if (!read.ok) return fail(...placedUnder('pitch', read.issues));
    const module = approx(read.value.module);
    return inRange(module, 'pitch', input.pitch) ?? ok({ pitch: read.value, module });
  }
  const given = leadFromThreads(input.axialPitch.typed) ?? input.axialPitch;
  const read = parseSize(given, 'The axial pitch');
  if (!read.ok) return fail(...placedUnder('axialPitch', read.issues));
  const module = read.value / Math.PI;
  const odd = inRange(module, 'axialPitch', input.axialPitch);
  if (odd) return odd;
  return ok({ pitch: pitchOf('module', exact(Math.max(1, Math.round(module * 1e6)), 1_000_000)), module });
}

/** Issues: those of the parsers; out-of-range; worm-depth-odd */
function readShape({ thread }: DriveInput): Result<ThreadShape> {
  const school = WORM_SCHOOLS.find(({ id }) => id === thread.school);
  if (school) {
    const includedDeg = exact(school.id === '29' ? 29 : 40);
    return ok({ school: thread.school, name: school.name, includedDeg, proportionsAt: () => school });
  }
  const angle = parseAngleDeg(thread.angle);
  const addendum = parseSize(thread.addendum, 'The addendum of the thread');
  const depth = parseSize(thread.depth, 'The depth of the thread');
  const issues: Issue[] = [
    ...(angle.ok ? [] : placedUnder('thread.angle', angle.issues)),
    ...(addendum.ok ? [] : placedUnder('thread.addendum', addendum.issues)),
    ...(depth.ok ? [] : placedUnder('thread.depth', depth.issues)),
  ];
  if (angle.ok && (angle.value.lt(1) || angle.value.gt(90)))
    issues.push({
      code: 'out-of-range',
      path: 'thread.angle',
      severity: 'wrong',
      given: thread.angle.typed,
      allowed: 'The tool of a worm includes from 1° to 90°',
      detail: { what: 'A tool angle' },
    });
  if (addendum.ok && depth.ok && depth.value <= addendum.value)
    issues.push({
      code: 'worm-depth-odd',
      path: 'thread.depth',
      severity: 'wrong',
      given: thread.depth.typed,
    });
  if (!angle.ok || !addendum.ok || !depth.ok || issues.length > 0) return fail(...issues);
  const pressureAngle = radiansOf(approx(angle.value) / 2);
  return ok({
    school: 'typed',
    name: 'own thread',
    includedDeg: angle.value,
    proportionsAt: (axialPitch) => ({
      id: 'typed',
      name: 'own thread',
      pressureAngle,
      addendum: addendum.value / axialPitch,
      depth: depth.value / axialPitch,
      source: 'as typed',
    }),
  });
}

/**
 * A ratio as people write it in place of a count: `20:1`. @returns its figure; null where a count was typed
 */
const ratioTyped = (typed: string): string | null => /^\s*(\d+)\s*:\s*1\s*$/.exec(typed)?.[1] ?? null;

/**
 * The wheel’s teeth: counted, or by the ratio and the starts.
 * Issues: those of the counting parser
 */
function readTeeth({ teeth, starts }: DriveInput): Result<number> {
  const ratio = ratioTyped(teeth.typed);
  const read = parseCount({ given: starts, what: 'The number of starts', least: 1, most: MOST_STARTS });
  const counted = ratio !== null && read.ok ? { ...teeth, typed: String(Number(ratio) * read.value) } : teeth;
  return parseCount({ given: counted, what: 'The wheel’s tooth count', least: 6, most: 1000 });
}

/** Issues: those of the counting parser; starts-over-wheel */
function readStarts(input: DriveInput, teeth: number | null): Result<number> {
  const read = parseCount({ given: input.starts, what: 'The number of starts', least: 1, most: MOST_STARTS });
  if (!read.ok || teeth === null || read.value < teeth) return read;
  return fail({
    code: 'starts-over-wheel',
    path: '',
    severity: 'wrong',
    given: input.starts.typed,
    detail: { teeth },
  });
}

const valueOf = <T>(read: Result<T>): T | null => (read.ok ? read.value : null);

/** Every field of a drive. @returns issues at their fields, as `starts` or `thread.depth` */
export function readDrive(input: DriveInput): DriveReadings {
  const teeth = readTeeth(input);
  const starts = readStarts(input, valueOf(teeth));
  const pitch = readPitch(input);
  const shape = readShape(input);
  const byWorm = input.sizeBy === 'worm';
  const size = byWorm
    ? parseSize(input.wormDiameter, 'The worm’s pitch diameter')
    : parseSize(input.centre, 'The centre distance');
  const friction = readFriction(input.friction);
  const issuesOf = (read: Result<unknown>, path: string) => (read.ok ? [] : placedUnder(path, read.issues));
  return {
    pitch: pitch.ok ? pitch.value.pitch : null,
    plane: input.pitchBy === 'axial' ? 'axial' : input.plane,
    module: pitch.ok ? pitch.value.module : null,
    starts: valueOf(starts),
    teeth: valueOf(teeth),
    wormDiameter: byWorm && size.ok ? size.value : null,
    centre: !byWorm && size.ok ? size.value : null,
    hand: input.hand,
    shape: valueOf(shape),
    friction: valueOf(friction) ?? USUAL_FRICTION,
    issues: [
      ...(pitch.ok ? [] : pitch.issues),
      ...issuesOf(starts, 'starts'),
      ...issuesOf(teeth, 'teeth'),
      ...issuesOf(size, byWorm ? 'wormDiameter' : 'centre'),
      ...(shape.ok ? [] : shape.issues),
      ...issuesOf(friction, 'friction'),
    ],
  };
}

/** Empty for the usual one. Issues: out-of-range */
function readFriction(typed: Measure): Result<number> {
  if (typed.typed.trim() === '') return ok(USUAL_FRICTION);
  const read = parseRatio(typed, 'The coefficient of friction');
  if (read.ok && read.value.lte(1)) return ok(approx(read.value));
  return fail({
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: typed.typed,
    allowed: 'Between 0.02 (ground and oiled) and 0.2 (dry) are usual',
    detail: { what: 'A coefficient of friction' },
  });
}
