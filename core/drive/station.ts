import { isUndercut } from '../involute/index.ts';
import {
  toldLength,
  placedUnder,
  issueOf,
  type FiguresOf,
  type Issue,
  type IssueCode,
} from '../findings/index.ts';
import { type Placed, type StationWork, textValue } from '../station/index.ts';
import {
  decimalText,
  dmsText,
  exact,
  lengthText,
  pitchText,
  type UnitSystem,
  degreesOf,
} from '../units/index.ts';
import { contactRatio, engagedLength, FAIR_GASH_DEG, wheelUndercutBelow, usualWorms } from './pair.ts';
import { readDrive, type DriveReadings } from './read.ts';
import { identifyDrive } from './sample.ts';
import { valuesOf, workingOf } from './saying.ts';
import type { DriveInput } from './schema.ts';
import { fromCentre, fromDiameter } from './solve.ts';
import { likelySelfLocking, wormSizes } from './wormSizes.ts';
import { shapeOf, type DriveDetail, type DriveFacts, type PairReport } from './detail.ts';

export type DriveWork = StationWork<DriveFacts, DriveDetail>;

/** `20`, `13 1/3`: turns of a worm for one of its wheel. */
export function ratioText(teeth: number, starts: number): string {
  const ratio = exact(teeth, starts);
  const whole = ratio.floor();
  const rest = ratio.sub(whole);
  if (rest.equals(0)) return decimalText(whole);
  return `${whole.equals(0) ? '' : `${decimalText(whole)} `}${rest.toFraction()}`;
}

/** @returns null while something is missing; issues at the field that cannot be */
function solve(
  read: DriveReadings,
  input: DriveInput,
  system: UnitSystem,
): { facts: DriveFacts | null; issues: Issue[] } {
  const { pitch, module, plane, starts, teeth, shape } = read;
  if (!pitch || module === null || starts === null || teeth === null || !shape)
    return { facts: null, issues: [] };
  const byWorm = input.sizeBy === 'worm';
  const given = byWorm ? read.wormDiameter : read.centre;
  if (given === null) return { facts: null, issues: [] };
  const field = byWorm ? 'wormDiameter' : 'centre';
  const wrong = <Code extends IssueCode>(
    code: Code,
    ...figures: FiguresOf<Code>
  ): { facts: null; issues: Issue[] } => ({
    facts: null,
    issues: [issueOf(code, { path: field, severity: 'wrong', given: lengthText(given, system) }, ...figures)],
  });
  const solved = byWorm
    ? fromDiameter({ plane, module, starts, pitchDiameter: given })
    : fromCentre({ plane, module, starts, teeth, centre: given });
  if (!solved)
    return byWorm
      ? wrong('worm-threads-across', { least: toldLength(starts * module, system) })
      : wrong('worm-centre-none');
  const { axialModule, pitchDiameter } = solved;
  const wheelDiameter = teeth * axialModule;
  if (pitchDiameter <= 0) return wrong('worm-centre-short', { wheel: toldLength(wheelDiameter / 2, system) });
  const proportions = shape.proportionsAt(Math.PI * axialModule);
  const worm = wormSizes({ axialModule, starts, pitchDiameter, proportions });
  if (worm.root <= 0)
    return wrong('worm-thin', {
      worm: toldLength(pitchDiameter, system),
      depth: toldLength(worm.depth, system),
      least: toldLength(pitchDiameter - worm.root, system),
    });
  if (worm.toolFlat <= 0 || worm.crest <= 0)
    return {
      facts: null,
      issues: [
        {
          code: 'worm-thread-pointed',
          path: 'thread.depth',
          severity: 'wrong',
          given: dmsText(shape.includedDeg),
          detail: { which: worm.crest <= 0 ? 'crest' : 'tool' },
        },
      ],
    };
  const addendum = proportions.addendum * worm.axialPitch;
  const facts: DriveFacts = {
    pitch,
    plane,
    axialModule,
    starts,
    teeth,
    hand: read.hand,
    proportions,
    includedDeg: shape.includedDeg,
    wormDiameter: pitchDiameter,
    worm,
    wheelDiameter,
    centre: (pitchDiameter + wheelDiameter) / 2,
    addendum,
  };
  return { facts, issues: [] };
}

/** Issues: worm-steep, wheel-undercut, worm-slender */
function judgeDrive({ worm, teeth, proportions, wormDiameter }: DriveFacts, sizeField: string): Issue[] {
  const issues: Issue[] = [];
  const angle = dmsText(exact(degreesOf(worm.leadAngle).toFixed(6)));
  const steep = degreesOf(worm.leadAngle) > FAIR_GASH_DEG;
  if (steep)
    issues.push({
      code: 'worm-steep',
      path: sizeField,
      severity: 'query',
      given: angle,
      detail: { fair: FAIR_GASH_DEG },
    });
  if (worm.root < worm.depth)
    issues.push({
      code: 'worm-slender',
      path: sizeField,
      severity: 'query',
      given: decimalText(worm.root / wormDiameter, 2),
    });
  const least = wheelUndercutBelow(proportions);
  if (isUndercut(teeth, least))
    issues.push({
      code: 'wheel-undercut',
      path: 'teeth',
      severity: 'query',
      given: String(teeth),
      detail: {
        least,
        angle: degreesOf(2 * proportions.pressureAngle),
      },
    });
  return issues;
}

function reportOf(facts: DriveFacts, friction: number): PairReport {
  const { worm, proportions, teeth, starts, axialModule, wheelDiameter, addendum, centre } = facts;
  return {
    ratio: ratioText(teeth, starts),
    leadAngleDeg: degreesOf(worm.leadAngle),
    frictionDeg: degreesOf(Math.atan(friction / Math.cos(proportions.pressureAngle))),
    selfLocking: likelySelfLocking(worm.leadAngle, proportions.pressureAngle, friction),
    contactRatio: contactRatio(teeth, axialModule, proportions),
    undercutBelow: wheelUndercutBelow(proportions),
    engaged: engagedLength(wheelDiameter, addendum),
    usualWorms: usualWorms(centre),
  };
}

/** What a worm drive is planned from. */
export interface DriveAsked extends Placed {
  readonly input: DriveInput;
}

/**
 * The drive: what worm and wheel have in common, and how the two run together.
 * Issues: those of the readings; worm-threads-across, worm-centre-none, worm-centre-short, worm-thin,
 * worm-thread-pointed, worm-steep, worm-slender, wheel-undercut
 * Source: docs/sources.md#worm
 */
export function planDrive({ input, path, units: system }: DriveAsked): DriveWork {
  const read = readDrive(input);
  const { facts, issues: found } = solve(read, input, system);
  const sample = identifyDrive(input.sample);
  const pair = facts && reportOf(facts, read.friction);
  const issues = [
    ...read.issues,
    ...found,
    ...(facts ? judgeDrive(facts, input.sizeBy === 'worm' ? 'wormDiameter' : 'centre') : []),
    ...placedUnder('sample', sample.issues),
  ];
  return {
    id: 'drive',
    facts,
    answer:
      facts && pair
        ? answerOf(facts, pair)
        : read.teeth !== null && read.starts !== null
          ? `${ratioText(read.teeth, read.starts)} : 1, sizes to be given`
          : 'pitch, starts and teeth needed',
    values:
      facts && pair
        ? valuesOf(facts, pair, system)
        : read.teeth !== null && read.starts !== null
          ? [
              textValue(
                { key: 'ratio', label: 'Ratio', settles: true },
                `${ratioText(read.teeth, read.starts)} : 1`,
              ),
            ]
          : [],
    working: facts && pair ? workingOf(facts, pair, read) : [],
    cautions: pair
      ? [
          {
            code: 'self-locking',
            when: 'Where a load hangs on it',
            text: pair.selfLocking
              ? 'fit a brake all the same. A worm this flat usually holds, until it shakes or is oiled well: then the load comes down.'
              : 'fit a brake. The wheel can drive a worm this steep, and the load comes down.',
          },
        ]
      : [],
    issues: placedUnder(path, issues),
    detail: { shape: facts && shapeOf(facts), pair, sample },
  };
}

function answerOf({ pitch, plane, starts, proportions }: DriveFacts, { ratio }: PairReport): string {
  const what = plane === 'normal' ? ' normal' : '';
  const start = starts === 1 ? '1 start' : `${starts} starts`;
  return `${ratio} : 1, ${pitchText(pitch)}${what}, ${start}, ${decimalText(degreesOf(2 * proportions.pressureAngle), 2)}°`;
}
