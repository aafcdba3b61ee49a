import { placedUnder, type Issue } from '../findings/index.ts';
import { standardPitches } from '../gear/index.ts';
import {
  approx,
  decimalText,
  exact,
  measure,
  parseCount,
  parseOptionalLength,
  type Measure,
} from '../units/index.ts';
import { MOST_STARTS } from './read.ts';
import type { DriveInput, DriveSample } from './schema.ts';

/** How a reading sits on what a drive of a candidate pitch would give. mm */
export interface SampleFit {
  readonly reading: 'threads' | 'throat' | 'centre';
  readonly read: number;
  readonly expected: number;
  readonly fits: boolean;
}

/** A pitch that the readings may mean. */
export interface DriveCandidate {
  readonly by: 'module' | 'dp' | 'axial';
  /** Figure in its own system; of an axial pitch the length. */
  readonly figure: string;
  /** Unit of an axial pitch. */
  readonly unit: 'mm' | 'in' | 'module' | 'dp';
  readonly module: number;
  readonly fits: readonly SampleFit[];
  /** Readings that contradict it. */
  readonly against: number;
  /** Of the worm, from its outside; null when that was not read. mm */
  readonly wormDiameter: number | null;
}

export interface SampleAnswer {
  readonly read: boolean;
  readonly axialPitch: number | null;
  readonly best: readonly DriveCandidate[];
  readonly issues: readonly Issue[];
}

/**
 * What a reading may be off: a caliper over crests, a worn rim (reads low), two shafts. mm. Common practice.
 */
const GIVE = { threads: 0.1, throatLow: 0.35, throatHigh: 0.08, centre: 0.15 } as const;

/** Pitches along the axis that worms are cut to on a lathe, as threads are. Common practice. */
const INCH_PITCHES = '1/16 1/12 1/10 1/8 1/7 1/6 3/16 1/5 1/4 3/10 5/16 1/3 3/8 2/5 7/16 1/2 5/8 3/4 1'.split(
  ' ',
);
const MM_PITCHES = '1 1.5 2 2.5 3 3.5 4 4.5 5 6 7 8 9 10 12'.split(' ');

const AXIAL: readonly { readonly text: string; readonly unit: 'mm' | 'in' }[] = [
  ...INCH_PITCHES.map((text) => ({
    text,
    unit: 'in' as const,
  })),
  ...MM_PITCHES.map((text) => ({ text, unit: 'mm' as const })),
];

interface Readings {
  readonly outside: number | null;
  readonly spaces: number | null;
  readonly over: number | null;
  readonly teeth: number | null;
  readonly throat: number | null;
  readonly centre: number | null;
}

function fitsOfModule(
  module: number,
  { outside, spaces, over, teeth, throat, centre }: Readings,
): readonly SampleFit[] {
  const fits: SampleFit[] = [];
  const add = ({
    reading,
    read,
    expected,
    low,
    high,
  }: {
    readonly reading: SampleFit['reading'];
    readonly read: number;
    readonly expected: number;
    readonly low: number;
    readonly high: number;
  }) => fits.push({ reading, read, expected, fits: read - expected >= -low && read - expected <= high });
  if (spaces !== null && over !== null)
    add({
      reading: 'threads',
      read: over,
      expected: spaces * Math.PI * module,
      low: GIVE.threads,
      high: GIVE.threads,
    });
  if (teeth !== null && throat !== null)
    add({
      reading: 'throat',
      read: throat,
      expected: (teeth + 2) * module,
      low: GIVE.throatLow,
      high: GIVE.throatHigh,
    });
  if (teeth !== null && centre !== null && outside !== null)
    // a worn worm measures small as well
    add({
      reading: 'centre',
      read: centre,
      expected: (outside - 2 * module + teeth * module) / 2,
      low: GIVE.centre,
      high: GIVE.centre + 0.1,
    });
  return fits;
}

const offBy = (fits: readonly SampleFit[]): number =>
  fits.reduce((sum, { read, expected }) => sum + Math.abs(read - expected) / Math.max(expected, 1), 0);

/** Standard pitches and usual axial ones, as candidates. */
function candidates(): readonly Omit<DriveCandidate, 'fits' | 'against' | 'wormDiameter'>[] {
  const standard = (['module', 'dp'] as const).flatMap((system) =>
    standardPitches(system).map(({ pitch }) => ({
      by: system,
      figure: decimalText(pitch.figure),
      unit: system,
      module: approx(pitch.module),
    })),
  );
  const axial = AXIAL.map(({ text, unit }) => ({
    by: 'axial' as const,
    figure: text,
    unit,
    module: (approx(exact(text)) * (unit === 'in' ? 25.4 : 1)) / Math.PI,
  }));
  return [...standard, ...axial];
}

/**
 * What worm and wheel on the bench may be: standard pitches by how many readings contradict them, then by how
 * far they are off. Thread and tooth are taken as one module high, which both schools give.
 * Issues: those of the parsers, at their fields
 */
export function identifyDrive(sample: DriveSample): SampleAnswer {
  const issues: Issue[] = [];
  const length = (field: 'outside' | 'over' | 'throat' | 'centre', what: string): number | null => {
    const read = parseOptionalLength(sample[field], what);
    if (!read.ok) issues.push(...placedUnder(field, read.issues));
    return read.ok && read.value?.gt(0) ? approx(read.value) : null;
  };
  const count = ({
    field,
    what,
    least,
    most,
  }: {
    readonly field: 'threads' | 'starts' | 'teeth';
    readonly what: string;
    readonly least: number;
    readonly most: number;
  }): number | null => {
    if (sample[field].typed.trim() === '') return null;
    const read = parseCount({ given: sample[field], what, least, most });
    if (!read.ok) issues.push(...placedUnder(field, read.issues));
    return read.ok ? read.value : null;
  };
  count({ field: 'starts', what: 'The number of starts', least: 1, most: MOST_STARTS });
  const crests = count({ field: 'threads', what: 'The crests', least: 2, most: 500 });
  const readings: Readings = {
    outside: length('outside', 'The outside of the worm'),
    spaces: crests === null ? null : crests - 1,
    over: length('over', 'The length over the crests'),
    teeth: count({ field: 'teeth', what: 'The wheel’s tooth count', least: 6, most: 1000 }),
    throat: length('throat', 'The throat diameter'),
    centre: length('centre', 'The centre distance'),
  };
  const judged = candidates()
    .map((one): DriveCandidate => {
      const fits = fitsOfModule(one.module, readings);
      const against = fits.filter((fit) => !fit.fits).length;
      return {
        ...one,
        fits,
        against,
        wormDiameter: readings.outside === null ? null : readings.outside - 2 * one.module,
      };
    })
    .filter(({ fits, against }) => fits.length > 0 && against < fits.length)
    .sort((a, b) => a.against - b.against || offBy(a.fits) - offBy(b.fits) || (a.figure < b.figure ? -1 : 1));
  const { spaces, over } = readings;
  return {
    read: Object.values(sample).some(({ typed }) => typed.trim() !== ''),
    axialPitch: spaces !== null && over !== null ? over / spaces : null,
    best: judged.slice(0, 5),
    issues,
  };
}

/** Takes a candidate: its pitch and what was counted go into the drive’s own fields; the readings stay. */
export function takeCandidate(drive: DriveInput, found: DriveCandidate): DriveInput {
  const { sample } = drive;
  const given = (typed: Measure, otherwise: Measure) => (typed.typed.trim() === '' ? otherwise : typed);
  const pitch =
    found.by === 'axial'
      ? { pitchBy: 'axial' as const, axialPitch: measure(found.figure, found.unit) }
      : { pitchBy: 'pitch' as const, pitch: measure(found.figure, found.unit), plane: 'axial' as const };
  const inches = sample.outside.unit === 'in';
  const worm =
    found.wormDiameter === null ? '' : decimalText(found.wormDiameter / (inches ? 25.4 : 1), inches ? 4 : 3);
  const size =
    sample.centre.typed.trim() !== ''
      ? { sizeBy: 'centre' as const, centre: sample.centre }
      : worm !== ''
        ? { sizeBy: 'worm' as const, wormDiameter: measure(worm, sample.outside.unit) }
        : {};
  return {
    ...drive,
    ...pitch,
    ...size,
    starts: given(sample.starts, drive.starts),
    teeth: given(sample.teeth, drive.teeth),
    thread: { ...drive.thread, school: found.by === 'module' ? '40' : '29' },
  };
}
