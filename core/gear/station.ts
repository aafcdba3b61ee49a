import type { GearInput } from './schema.ts';
import { isUndercut } from '../involute/index.ts';
import { toldLength, fieldAt, type Issue } from '../findings/index.ts';
import { type Placed, type StationWork } from '../station/index.ts';
import {
  dmsText,
  approx,
  degreesText,
  exactText,
  lengthText,
  pitchText,
  type UnitSystem,
} from '../units/index.ts';
import { depthsOfAllSchools } from './depth.ts';
import { helicalOf, helicalWorking, type HelicalDetail } from './helical.ts';
import { judgeMesh, judgeThinning, meshWithMate, meshWorking, type MeshDetail } from './meshWithMate.ts';
import { crossedMate, crossedWorking, judgeCrossed, type CrossedDetail } from './crossedMate.ts';
import { comparePitch } from './pitchJudgement.ts';
import type { GearReadings } from './readings.ts';
import { spurSizes, undercutOf, type SpurSizes } from './spurSizes.ts';
import { valuesOf, workingOf } from './saying.ts';

/** Another school's whole depth, to stand beside the one in force. */
export interface OtherDepth {
  readonly name: string;
  readonly mm: number;
  readonly source: string;
  readonly inForce: boolean;
}

export type { CrossedDetail, MeshDetail };

export interface GearDetail {
  /** How it runs with its mate; null when none is given. */
  readonly mesh: MeshDetail | null;
  /** The same on crossed shafts. */
  readonly crossed: CrossedDetail | null;
  readonly helical: HelicalDetail | null;
  readonly otherDepths: readonly OtherDepth[];
  /** In the plane the cutter works in: the figure as exact text. */
  readonly normalPitch: { readonly system: 'module' | 'dp'; readonly figure: string } | null;
}

function judgeSizes(sizes: SpurSizes, path: string, system: UnitSystem): Issue[] {
  const issues = comparePitch(sizes.pitch, sizes.teeth, system).map((issue) => ({
    ...issue,
    path: fieldAt<GearInput>(path, 'pitch'),
  }));
  if (sizes.rootDiameter.lte(0)) {
    const detail = { blank: toldLength(approx(sizes.tipDiameter), system) };
    issues.push({
      code: 'depth-over-root',
      path: fieldAt<GearInput>(path, 'depth.stamped'),
      severity: 'wrong',
      given: lengthText(approx(sizes.depth.wholeDepth), system),
      detail,
    });
  }
  const limit = undercutOf(sizes);
  if (isUndercut(sizes.teeth, limit)) {
    const detail = { limit, angle: approx(sizes.pressureAngleDeg) };
    issues.push({
      code: 'undercut',
      path: fieldAt<GearInput>(path, 'teeth'),
      severity: 'note',
      given: String(sizes.teeth),
      detail,
    });
  }
  return issues;
}

/** What a gear is planned from. */
export interface GearAsked extends Placed {
  readonly read: GearReadings;
  /** The count the cutter in force is made for: sinking it deeper thins the tooth by its slope. */
  readonly cutterTeeth: number;
  /** Taken off the teeth of the mate, mm, where it is a part of the same job. */
  readonly mateThinning: number;
  /** Are both gears of the pair cut from this card? */
  readonly together: boolean;
}

/**
 * The gear station: what the drawing fixes.
 * Issues: those of the readings; those of the mesh, parallel or crossed; pitch-look-alike,
 * pitch-not-standard, undercut, depth-over-root
 */
export function planGear({
  read,
  path,
  units: system,
  cutterTeeth,
  mateThinning,
  together,
}: GearAsked): StationWork<SpurSizes, GearDetail> {
  const issues: Issue[] = read.issues.map((issue) => ({ ...issue, path: `${path}.${issue.path}` }));
  const { teeth, pitch, pressureAngleDeg, depth } = read;
  const answer =
    !teeth && !pitch
      ? 'pitch and teeth needed'
      : [
          teeth ? `${teeth} teeth` : 'teeth needed',
          pitch ? pitchText(pitch) : 'pitch needed',
          pressureAngleDeg && degreesText(pressureAngleDeg),
          read.helixKnown || !teeth || !pitch ? null : 'helix needed',
          !read.helixDeg.equals(0) && `helix ${dmsText(read.helixDeg)} ${read.hand}`,
        ]
          .filter(Boolean)
          .join(', ');
  const none: GearDetail = { mesh: null, crossed: null, helical: null, otherDepths: [], normalPitch: null };
  const empty = {
    id: 'gear',
    facts: null,
    answer,
    values: [],
    working: [],
    cautions: [],
    detail: none,
  } as const;
  if (!teeth || !pitch || !pressureAngleDeg || !depth || !read.helixKnown) return { ...empty, issues };

  const { helixDeg, hand, thinning } = read;
  const sizes = spurSizes({
    teeth,
    pitch,
    pressureAngleDeg,
    depth,
    variation: { helixDeg, hand, thinning, cutterTeeth },
  });
  issues.push(...judgeSizes(sizes, path, system));
  issues.push(...judgeThinning({ sizes, given: lengthText(approx(thinning), system, 'fine'), path, system }));
  const mesh = meshWithMate({ sizes, gearReadings: read, cutterTeeth, mateThinning, together });
  if (mesh)
    issues.push(...judgeMesh({ meshDetail: mesh, hasCentre: read.mate.centre !== null, path, system }));
  const crossed = crossedMate(sizes, read);
  issues.push(...judgeCrossed({ found: crossed, gearReadings: read, path, system }));
  const usable = sizes.rootDiameter.gt(0);
  return {
    ...empty,
    facts: usable ? sizes : null,
    values: valuesOf(sizes),
    working: [
      ...workingOf(sizes),
      ...helicalWorking(sizes),
      ...(mesh ? meshWorking(mesh, cutterTeeth) : []),
      ...(crossed ? crossedWorking(crossed, sizes) : []),
    ],
    issues,
    detail: {
      mesh,
      crossed,
      helical: helicalOf(sizes),
      normalPitch: { system: pitch.system, figure: exactText(pitch.figure) },
      otherDepths: depthsOfAllSchools(pitch.module).map((other) => ({
        name: other.rule!.name,
        mm: approx(other.wholeDepth),
        source: other.rule!.source,
        inForce: depth.from === 'rule' && depth.rule === other.rule,
      })),
    },
  };
}
