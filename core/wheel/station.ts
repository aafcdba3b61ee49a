import { engagedLength, MOST_GASH_DEG, shapeOf, wheelCutAs, type DriveFacts } from '../drive/index.ts';
import { fieldAt, placedUnder, type Issue } from '../findings/index.ts';
import { setTable, settingOf } from '../lead/index.ts';
import type { Placed, StationWork } from '../station/index.ts';
import type { Mill } from '../shop/index.ts';
import { dmsText, exact, lengthFigure, degreesOf } from '../units/index.ts';
import type { WheelCutter, WheelDetail, WheelFacts } from './detail.ts';
import { hobOf, infeedOf } from './gash.ts';
import { judgeGash, readGash } from './judging.ts';
import type { RimFacts } from './rim.ts';
import { cautionsOf, valuesOf, workingOf } from './saying.ts';
import type { GashInput } from './schema.ts';
import { SCHOOL_NAMES, schoolsOf } from './schools.ts';

/** What the wheel is cut from, on and with. */
export interface WheelGround {
  /** Null while unknown, as the rim is. */
  readonly drive: DriveFacts | null;
  readonly rim: RimFacts | null;
  readonly mill: Mill | null;
  readonly cutter: WheelCutter;
}

/** What a gash is planned from. */
export interface WheelAsked extends Placed {
  readonly input: GashInput;
  readonly ground: WheelGround;
}

/**
 * The wheel station: how it is cut, what bears then, how the machine is set and how deep it goes.
 * Issues: those of the parsers; gash-no-mill, gash-too-steep, gash-steep, gash-hollow-straight, gash-corners,
 * gash-cutter-unknown, hob-stock-deep, cutter-under-worm, hob-flutes-share; those of
 * the table’s setting
 * Source: docs/sources.md#worm
 */
export function planWheel({
  input,
  ground: { drive, rim, mill, cutter },
  path,
  units: system,
}: WheelAsked): StationWork<WheelFacts, WheelDetail> {
  const detail: WheelDetail = {
    drive: drive && shapeOf(drive),
    rim,
    school: input.school,
    schools: [],
    mill: mill && { id: mill.id, name: mill.name },
    setting: null,
    lean: null,
    infeed: null,
    hobStock: null,
    hob: null,
    cutAs: null,
    cutterDiameter: cutter.diameter,
  };
  const empty: StationWork<WheelFacts, WheelDetail> = {
    id: 'wheel',
    facts: null,
    answer: drive ? 'waits for the sizes of the blank' : 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail,
  };
  if (!drive || !rim) return empty;
  const { worm, teeth, starts } = drive;
  const cutAs = wheelCutAs(teeth, starts, worm.leadAngle);
  const leadDeg = degreesOf(worm.leadAngle);
  const known: WheelDetail = {
    ...detail,
    cutAs,
    schools: schoolsOf({ drive, rim, wheelCutter: cutter, cutAs }),
  };
  const infeed = infeedOf({ drive, rim, school: input.school, cutterDiameter: cutter.diameter });
  const read = readGash(input, infeed.fromThroat, system);
  if (leadDeg > MOST_GASH_DEG) {
    const steep: Issue = {
      code: 'gash-too-steep',
      path: fieldAt<GashInput>(path, 'school'),
      severity: 'blocked',
      given: dmsText(exact(leadDeg.toFixed(6))),
      detail: { most: MOST_GASH_DEG },
    };
    return {
      ...empty,
      answer: 'too steep to gash',
      issues: [steep, ...placedUnder(path, read.issues)],
      detail: known,
    };
  }
  const set =
    mill && setTable(input, { hand: drive.hand, helixDeg: leadDeg, depth: worm.depth, mill, cutter }, path);
  const lean = mill ? settingOf(leadDeg, mill.scaleMinutes, rim.faceWidth).lean : null;
  const stock = read.hobStock ?? 0;
  const depth = (infeed.fromCorners ?? infeed.fromThroat) - stock;
  const touchOn = infeed.fromCorners !== null ? 'corners' : rim.rim === 'throat' ? 'throat' : 'outside';
  const hob =
    input.school === 'hob' && read.flutes !== null
      ? hobOf(drive, read.flutes, engagedLength(drive.wheelDiameter, drive.addendum))
      : null;
  const done: WheelDetail = {
    ...known,
    setting: set?.setting ?? null,
    lean,
    infeed,
    hobStock: read.hobStock,
    hob,
  };
  const issues = [
    ...placedUnder(path, [
      ...read.issues,
      ...judgeGash({ driveFacts: drive, wheelCutter: cutter, wheelDetail: done, mill, system }),
    ]),
    ...(set?.issues ?? []),
  ];
  const bad = issues.some(({ severity }) => severity === 'wrong' || severity === 'blocked');
  const words = set ? set.words : `${dmsText(exact(leadDeg.toFixed(6)))}`;
  return {
    ...empty,
    facts: bad ? null : { depth, touchOn, school: input.school, setting: set?.setting ?? null },
    answer: `${SCHOOL_NAMES[input.school].name.toLowerCase()}, ${words}, ${lengthFigure(depth, system)} deep`,
    values: valuesOf({ wheelDetail: done, drive, depth, system }),
    working: workingOf({ drive, rim, wheelDetail: done, mill, depth }),
    cautions: cautionsOf(input.school, infeed, { depth, stock, system }),
    issues,
    detail: done,
  };
}
