import { engagedLength, type DriveFacts } from '../drive/index.ts';
import {
  fieldAt,
  placedUnder,
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { clearsStud, ownsTrain, tableOfGears, trainText } from '../gearing/index.ts';
import { readBox, type BoxSetting, type ShopLathe } from '../shop/index.ts';
import type { Placed, StationWork } from '../station/index.ts';
import { approx, exact, lengthText, parsePositiveLength } from '../units/index.ts';
import {
  compareWays,
  findLatheGears,
  judgeLatheGears,
  PI_STAND_INS,
  type Lathe,
  type LatheWay,
} from './lathe.ts';
import type { ThreadingInput } from './schema.ts';
import type { LatheDetail, LatheFacts, LatheGround } from './latheDetail.ts';
import { halfNuts, valuesOf, wayText, workingOf } from './latheSaying.ts';
import { startWays, type Slide, type StartWay } from './starts.ts';

const ALLOWED_MM = 0.02;
const SHOWN = 40;
/** Of those that reach the next start by the gear on the spindle. */
const REACHING_SHOWN = 10;
/** A lead farther off than this is no lead for this worm, parts in a million. */
const OUT_OF_REACH_PPM = 20_000;

/**
 * Leadscrew, box and gears of a lathe. Issues: no-lathe, lathe-screw-unknown, lathe-box-bad, lathe-no-gears
 */
function equip({ lathe, gearSets }: LatheGround, path: string): Result<Lathe> {
  const blocked = <Code extends IssueCode>(code: Code, given = '', ...figures: FiguresOf<Code>): Issue =>
    issueOf(code, { path, severity: 'blocked', given }, ...figures);
  if (!lathe) return fail(blocked('no-lathe'));
  const screw = parsePositiveLength(lathe.leadscrew, 'The lead of the leadscrew');
  if (!screw.ok) return fail(blocked('lathe-screw-unknown', lathe.name));
  const box = readBox(lathe.box, screw.value);
  if (!box.ok) return fail(blocked('lathe-box-bad', lathe.name, { word: box.issues[0]?.given ?? '' }));
  const gears = gearSets.find(({ id }) => id === lathe.gearSetId)?.gears ?? [];
  const owned = gears.reduce((sum, { count }) => sum + count, 0);
  if (owned < 2 && box.value.length === 0) return fail(blocked('lathe-no-gears', lathe.name));
  return ok({ leadscrew: screw.value, box: box.value, gears, stud: lathe.stud });
}

function slideOf({ slideLead, slideMarks }: ShopLathe): Slide | null {
  const lead = slideLead.typed.trim() === '' ? null : parsePositiveLength(slideLead, '');
  return lead?.ok ? { lead: approx(lead.value), marks: slideMarks } : null;
}

const goesOn = ({ train }: LatheWay): boolean => train === null || clearsStud(train);

/**
 * The nearest ways, and where the starts are reached by the gear on the spindle also the nearest that divide
 * by them: gears that are a little nearer and cannot reach the second start are of no use.
 */
function findWays({
  lathe,
  lead,
  engaged,
  dividesBy,
}: {
  readonly lathe: Lathe;
  readonly lead: number;
  readonly engaged: number;
  readonly dividesBy: number;
}): { readonly nearest: readonly LatheWay[]; readonly reaching: readonly LatheWay[] } {
  const near = (ways: readonly LatheWay[]) => ways.filter(({ ppm }) => Math.abs(ppm) < OUT_OF_REACH_PPM);
  const all = findLatheGears(lathe, { lead, engaged }, { most: SHOWN });
  return {
    nearest: all.length > 0 && near(all).length === 0 ? all.slice(0, 1) : near(all),
    reaching:
      dividesBy === 1
        ? []
        : near(findLatheGears(lathe, { lead, engaged }, { most: REACHING_SHOWN, dividesBy })),
  };
}

/**
 * The one in force: chosen, or the nearest that goes on the bracket and reaches every start. Issues:
 * lathe-gears-lack
 */
function inForce({
  input,
  lathe,
  ways,
  lead,
  engaged,
  path,
}: {
  readonly input: ThreadingInput;
  readonly lathe: Lathe;
  readonly ways: readonly LatheWay[];
  readonly lead: number;
  readonly engaged: number;
  readonly path: string;
}): Result<LatheWay | null> {
  const { choice } = input;
  if (!choice) return ok(ways.find(goesOn) ?? ways[0] ?? null);
  const setting: BoxSetting | undefined =
    lathe.box.length === 0 && choice.setting === ''
      ? { name: '', ratio: exact(1) }
      : lathe.box.find(({ name }) => name === choice.setting);
  const owned =
    choice.train === null
      ? lathe.box.length > 0
      : ownsTrain(tableOfGears(lathe.gears), choice.train) && (lathe.stud || !choice.train.second);
  if (!setting || !owned)
    return fail({
      code: 'lathe-gears-lack',
      path,
      severity: 'blocked',
      given: [choice.setting, choice.train && trainText(choice.train)].filter(Boolean).join(', '),
    });
  return ok(
    judgeLatheGears({ leadscrew: lathe.leadscrew, boxSetting: setting, train: choice.train, lead, engaged }),
  );
}

/** What the lathe's gears are looked for by. */
export interface LatheAsked extends Placed {
  readonly input: ThreadingInput;
  /** Null while unknown. */
  readonly drive: DriveFacts | null;
  readonly ground: LatheGround;
}

/**
 * The lathe station of a worm: gears and box for its lead, and how its starts are reached.
 * Issues: no-lathe, lathe-screw-unknown, lathe-box-bad, lathe-no-gears, lathe-gears-lack, lathe-out-of-reach,
 * lathe-off, lathe-stud, starts-way; those of the parser
 */
export function planLathe(asked: LatheAsked): StationWork<LatheFacts, LatheDetail> {
  const { input, drive, ground, path } = asked;
  const given =
    input.allowed.typed.trim() === '' ? null : parsePositiveLength(input.allowed, 'What a thread may stray');
  const fields: Issue[] =
    given && !given.ok ? placedUnder(fieldAt<ThreadingInput>(path, 'allowed'), given.issues) : [];
  const empty = { ...waiting(asked), issues: fields };
  if (!drive) return empty;
  const { worm, wheelDiameter, addendum, starts } = drive;
  const engaged = engagedLength(wheelDiameter, addendum);
  const known: LatheDetail = {
    ...empty.detail,
    startCount: starts,
    lead: worm.lead,
    engaged,
    allowed: given?.ok ? approx(given.value) * 1000 : ALLOWED_MM * 1000,
    standIns: PI_STAND_INS.map(({ text, ppm }) => ({ text, ppm, overLength: engaged * ppm * 1e-3 })),
  };
  const equipped = equip(ground, fieldAt<ThreadingInput>(path, 'choice'));
  if (!equipped.ok)
    return { ...empty, answer: 'no lathe gears', issues: [...fields, ...equipped.issues], detail: known };
  return planThread({ ...asked, drive, engaged, lathe: equipped.value, empty: { ...empty, detail: known } });
}

type Work = StationWork<LatheFacts, LatheDetail>;

/** What stands while the drive is not known. */
function waiting({ input, ground: { lathe, gearSets } }: LatheAsked): Work {
  const gearSet = gearSets.find(({ id }) => id === lathe?.gearSetId) ?? null;
  return {
    id: 'lathe',
    facts: null,
    answer: 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: {
      lathe: lathe && { id: lathe.id, name: lathe.name },
      gearSet: gearSet && { id: gearSet.id, name: gearSet.name },
      ways: [],
      inForce: null,
      chosen: input.choice !== null,
      lead: null,
      engaged: null,
      allowed: ALLOWED_MM * 1000,
      standIns: [],
      startCount: 1,
      starts: [],
      byStarts: null,
    },
  };
}

interface ThreadAsked extends LatheAsked {
  readonly drive: DriveFacts;
  readonly lathe: Lathe;
  /** mm that the wheel reaches over. */
  readonly engaged: number;
  /** What stands where no gears are in force. */
  readonly empty: Work;
}

/** The gears and the box for a thread that is known, on a lathe that is. */
function planThread(asked: ThreadAsked): Work {
  const { input, drive, ground, path, units, lathe, engaged, empty } = asked;
  const { lead } = drive.worm;
  const choice = fieldAt<ThreadingInput>(path, 'choice');
  const { nearest, reaching } = findWays({
    lathe,
    lead,
    engaged,
    dividesBy: input.startsBy === 'gear' ? drive.starts : 1,
  });
  const tooFar = nearest[0] && Math.abs(nearest[0].ppm) >= OUT_OF_REACH_PPM ? nearest[0] : null;
  if (tooFar && !input.choice) {
    const far: Issue = {
      code: 'lathe-out-of-reach',
      path: choice,
      severity: 'blocked',
      given: lengthText(lead, units),
      detail: { off: Math.abs(tooFar.ppm) / 10_000 },
    };
    return { ...empty, answer: 'no gears near this lead', issues: [...empty.issues, far] };
  }
  const fine = reaching.filter((way) => goesOn(way) && Math.abs(way.overLength) <= empty.detail.allowed);
  const listed = new Set(nearest.map(wayText));
  const ways = tooFar
    ? []
    : [...nearest, ...reaching.filter((way) => !listed.has(wayText(way)))].sort(compareWays);
  const found = inForce({ input, lathe, ways: fine.length > 0 ? fine : ways, lead, engaged, path: choice });
  if (!found.ok)
    return {
      ...empty,
      answer: 'choose the gears again',
      issues: [...empty.issues, ...found.issues],
      detail: { ...empty.detail, ways },
    };
  if (found.value) return geared(asked, ways, found.value);
  const given = ground.lathe!.name;
  const none: Issue = { code: 'lathe-no-gears', path: choice, severity: 'blocked', given };
  return { ...empty, answer: 'no lathe gears', issues: [...empty.issues, none] };
}

/** The station with gears in force, and how they come from start to start. */
function geared(asked: ThreadAsked, ways: readonly LatheWay[], way: LatheWay): Work {
  const { input, drive, ground, path, units: system, lathe, engaged, empty } = asked;
  const starts = startWays({
    starts: drive.starts,
    axialPitch: drive.worm.axialPitch,
    driver: way.train?.driver ?? null,
    slide: slideOf(ground.lathe!),
    system,
  });
  const byStarts = starts.find(({ by }) => by === input.startsBy) ?? null;
  const detail: LatheDetail = { ...empty.detail, ways, inForce: way, starts, byStarts };
  const issues = [...empty.issues, ...judgeLatheWay({ way, byStarts, allowed: detail.allowed, path })];
  return {
    ...empty,
    facts: issues.some(({ severity }) => severity === 'wrong') ? null : { way },
    answer: wayText(way),
    values: valuesOf(detail, way),
    working: workingOf({ lathe, way, driveFacts: drive, engaged }),
    cautions: [
      { code: 'half-nuts', when: 'From the first pass to the last', text: halfNuts(lathe, way) },
      {
        code: 'lathe-gears',
        when: 'Before the gears are changed',
        text: 'switch off at the wall; gear cover shut again before the spindle turns. The lathe’s manual and your shop’s rules come first.',
      },
    ],
    issues,
    detail,
  };
}

/** Issues: lathe-off, lathe-stud, starts-way */
function judgeLatheWay({
  way,
  byStarts,
  allowed,
  path,
}: {
  readonly way: LatheWay;
  readonly byStarts: StartWay | null;
  readonly allowed: number;
  readonly path: string;
}): Issue[] {
  const issues: Issue[] = [];
  const issue = {
    path: fieldAt<ThreadingInput>(path, 'choice'),
    severity: 'query',
    given: wayText(way),
  } as const;
  if (Math.abs(way.overLength) > allowed)
    issues.push({
      ...issue,
      code: 'lathe-off',
      detail: {
        off: Math.abs(way.overLength),
        most: allowed,
      },
    });
  if (way.train && !clearsStud(way.train)) issues.push({ ...issue, code: 'lathe-stud' });
  if (byStarts && !byStarts.possible)
    issues.push({
      code: 'starts-way',
      path: fieldAt<ThreadingInput>(path, 'startsBy'),
      severity: 'query',
      given: byStarts.name,
      detail: { why: byStarts.say },
    });
  return issues;
}
