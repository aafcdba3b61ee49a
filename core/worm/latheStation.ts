import { engagedLength, type DriveFacts } from '../drive/index.ts';
import {
  fieldAt,
  at,
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { clearsStud, ownsTrain, tableOfGears, trainText } from '../gearing/index.ts';
import { readBox, type BoxSetting, type GearSet, type ShopLathe } from '../shop/index.ts';
import {
  figureValue,
  lengthValue,
  pitchValue,
  type Placed,
  type StationWork,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import {
  approx,
  decimalText,
  exact,
  exactText,
  lengthText,
  parsePositiveLength,
  type Exact,
} from '../units/index.ts';
import {
  compareWays,
  findLatheGears,
  judgeLatheGears,
  PI_STAND_INS,
  type Lathe,
  type LatheWay,
} from './lathe.ts';
import type { ThreadingInput } from './schema.ts';
import { startWays, type Slide, type StartWay } from './starts.ts';

export interface LatheGround {
  readonly lathe: ShopLathe | null;
  readonly gearSets: readonly GearSet[];
}

export interface LatheFacts {
  readonly way: LatheWay;
}

export interface LatheDetail {
  readonly lathe: { readonly id: string; readonly name: string } | null;
  readonly gearSet: { readonly id: string; readonly name: string } | null;
  readonly ways: readonly LatheWay[];
  readonly inForce: LatheWay | null;
  readonly chosen: boolean;
  /** Wanted lead and the length the wheel reaches over, mm. */
  readonly lead: number | null;
  readonly engaged: number | null;
  /** µm */
  readonly allowed: number;
  /**
   * What each stand-in for π would do to this lead over that length, µm; none where the pitch is not a
   * multiple of π.
   */
  readonly standIns: readonly { readonly text: string; readonly ppm: number; readonly overLength: number }[];
  readonly startCount: number;
  readonly starts: readonly StartWay[];
  readonly byStarts: StartWay | null;
}

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

const wayText = ({ setting, train }: LatheWay): string =>
  [setting && `box ${setting}`, train ? trainText(train) : 'gears one to one']
    .filter((part) => part !== '')
    .join(', ');

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
  const all = findLatheGears(lathe, lead, engaged, { most: SHOWN });
  return {
    nearest: all.length > 0 && near(all).length === 0 ? all.slice(0, 1) : near(all),
    reaching:
      dividesBy === 1 ? [] : near(findLatheGears(lathe, lead, engaged, { most: REACHING_SHOWN, dividesBy })),
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
export function planLathe({
  input,
  drive,
  ground,
  path,
  units: system,
}: LatheAsked): StationWork<LatheFacts, LatheDetail> {
  const { lathe: shopLathe, gearSets } = ground;
  const gearSet = gearSets.find(({ id }) => id === shopLathe?.gearSetId) ?? null;
  const detail: LatheDetail = {
    lathe: shopLathe && { id: shopLathe.id, name: shopLathe.name },
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
  };
  const empty: StationWork<LatheFacts, LatheDetail> = {
    id: 'lathe',
    facts: null,
    answer: 'waits for the drive',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail,
  };
  const given =
    input.allowed.typed.trim() === '' ? null : parsePositiveLength(input.allowed, 'What a thread may stray');
  const fields: Issue[] =
    given && !given.ok ? at(fieldAt<ThreadingInput>(path, 'allowed'), given.issues) : [];
  if (!drive) return { ...empty, issues: fields };
  const { worm, wheelDiameter, addendum, starts } = drive;
  const { lead } = worm;
  const engaged = engagedLength(wheelDiameter, addendum);
  const allowed = given?.ok ? approx(given.value) * 1000 : ALLOWED_MM * 1000;
  const known: LatheDetail = {
    ...detail,
    startCount: starts,
    lead,
    engaged,
    allowed,
    standIns: PI_STAND_INS.map(({ text, ppm }) => ({ text, ppm, overLength: engaged * ppm * 1e-3 })),
  };
  const equipped = equip(ground, fieldAt<ThreadingInput>(path, 'choice'));
  if (!equipped.ok)
    return { ...empty, answer: 'no lathe gears', issues: [...fields, ...equipped.issues], detail: known };
  const lathe = equipped.value;
  const { nearest, reaching } = findWays({
    lathe,
    lead,
    engaged,
    dividesBy: input.startsBy === 'gear' ? starts : 1,
  });
  const tooFar = nearest[0] && Math.abs(nearest[0].ppm) >= OUT_OF_REACH_PPM ? nearest[0] : null;
  const fine = reaching.filter((way) => goesOn(way) && Math.abs(way.overLength) <= allowed);
  const listed = new Set(nearest.map(wayText));
  const ways = tooFar
    ? []
    : [...nearest, ...reaching.filter((way) => !listed.has(wayText(way)))].sort(compareWays);
  if (tooFar && !input.choice) {
    const off = `${decimalText(Math.abs(tooFar.ppm) / 10_000, 1)} %`;
    const far: Issue = {
      code: 'lathe-out-of-reach',
      path: fieldAt<ThreadingInput>(path, 'choice'),
      severity: 'blocked',
      given: lengthText(lead, system),
      detail: { off },
    };
    return { ...empty, answer: 'no gears near this lead', issues: [...fields, far], detail: known };
  }
  const found = inForce({
    input,
    lathe,
    ways: fine.length > 0 ? fine : ways,
    lead,
    engaged,
    path: fieldAt<ThreadingInput>(path, 'choice'),
  });
  if (!found.ok)
    return {
      ...empty,
      answer: 'choose the gears again',
      issues: [...fields, ...found.issues],
      detail: { ...known, ways },
    };
  const way = found.value;
  if (!way)
    return {
      ...empty,
      answer: 'no lathe gears',
      issues: [
        ...fields,
        {
          code: 'lathe-no-gears',
          path: fieldAt<ThreadingInput>(path, 'choice'),
          severity: 'blocked',
          given: shopLathe!.name,
        },
      ],
      detail: known,
    };
  const all = startWays({
    starts,
    axialPitch: worm.axialPitch,
    driver: way.train?.driver ?? null,
    slide: slideOf(shopLathe!),
    system,
  });
  const byStarts = all.find(({ by }) => by === input.startsBy) ?? null;
  const done: LatheDetail = { ...known, ways, inForce: way, starts: all, byStarts };
  const issues = [...fields, ...judge({ way, byStarts, allowed, path })];
  return {
    ...empty,
    facts: issues.some(({ severity }) => severity === 'wrong') ? null : { way },
    answer: wayText(way),
    values: valuesOf(done, way),
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
    detail: done,
  };
}

/**
 * Turns of the leadscrew after which a thread dial may still be waited for. Common practice: the largest
 * dials count so many.
 */
const DIAL_TURNS = 32;

/**
 * May the half-nuts be opened? Thread and leadscrew stand as at the start only after so many turns of the
 * screw as the lead has leadscrew pitches, in lowest terms.
 */
function halfNuts({ leadscrew }: Lathe, { leadText }: LatheWay): string {
  const turns = exact(leadText).div(leadscrew).n;
  const back = 'keep the half-nuts shut and run the lathe back in reverse, the tool drawn out.';
  return turns > BigInt(DIAL_TURNS)
    ? `${back} No mark of a thread dial comes round for such a pitch: opened once, the next pass cuts another thread.`
    : `${back} Thread and leadscrew meet again only after every ${turns} turn${turns === 1n ? '' : 's'} of the leadscrew: opened and closed anywhere else, the next pass cuts another thread.`;
}

/** Issues: lathe-off, lathe-stud, starts-way */
function judge({
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
        off: `${decimalText(Math.abs(way.overLength), 0)} µm`,
        most: `${decimalText(allowed, 0)} µm`,
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

/** `3 µm long`, over the length engaged. */
export function astrayText(um: number): string {
  const size = Math.abs(um);
  if (size < 0.05) return 'too little to tell';
  return `${decimalText(size, size < 10 ? 1 : 0)} µm ${um > 0 ? 'long' : 'short'}`;
}

function valuesOf({ lead, engaged, byStarts, lathe }: LatheDetail, way: LatheWay): Value[] {
  return [
    textValue({ key: 'lathe', label: 'Lathe', settles: true }, lathe!.name),
    pitchValue({ key: 'wanted', label: 'Lead wanted', symbol: 'p_z', settles: true }, lead!),
    ...(way.setting ? [textValue({ key: 'setting', label: 'Box at', settles: true }, way.setting)] : []),
    textValue(
      { key: 'train', label: 'Gears, driver : driven', settles: true },
      way.train ? trainText(way.train) : 'one to one',
    ),
    lengthValue({ key: 'lead', label: 'Lead they cut' }, exact(way.leadText)),
    lengthValue({ key: 'engaged', label: 'Engaged length' }, engaged!),
    figureValue({
      naming: { key: 'astray', label: 'Over that length', settles: true },
      text: astrayText(way.overLength),
      figure: {
        is: way.overLength,
        within: 2,
        unit: 'µm',
      },
    }),
    ...(byStarts
      ? [
          textValue(
            { key: 'starts', label: 'Next start', settles: true },
            byStarts.name.replace(/^By /, 'by '),
          ),
        ]
      : []),
  ];
}

function workingOf({
  lathe,
  way,
  driveFacts: {
    worm: { lead },
    wheelDiameter,
    addendum,
  },
  engaged,
}: {
  readonly lathe: Lathe;
  readonly way: LatheWay;
  readonly driveFacts: DriveFacts;
  readonly engaged: number;
}): Working[] {
  const ratio: Exact = lathe.box.find(({ name }) => name === way.setting)?.ratio ?? exact(1);
  const gears = way.train ? trainText(way.train).replace(/ : /g, '/').replace(/, /g, '\\times ') : '1';
  const mm = (value: number, places = 6) => `${decimalText(value, places)}\\ \\mathrm{mm}`;
  return [
    {
      key: 'cut',
      label: 'Lead these gears cut',
      formula: "p' = p_s \\times \\text{box} \\times \\frac{\\text{drivers}}{\\text{drivens}}",
      put: `${decimalText(lathe.leadscrew, 4)} \\times ${exactText(ratio)} \\times ${gears}`,
      result: mm(approx(exact(way.leadText))),
      source: 'common practice; by the motion of the gears',
    },
    {
      key: 'off',
      label: 'Off, in a million',
      formula: "\\frac{p'}{p_z} - 1",
      put: `\\frac{${decimalText(way.lead, 6)}}{${decimalText(lead, 6)}} - 1`,
      result: `${decimalText(way.ppm, 2)}\\times 10^{-6}`,
      source: 'by geometry',
    },
    {
      key: 'engaged',
      label: 'Length the wheel reaches over',
      formula: '4\\sqrt{\\tfrac{d_2}{2} h_a}',
      put: `4\\sqrt{\\tfrac{${decimalText(wheelDiameter, 3)}}{2} \\times ${decimalText(addendum, 4)}}`,
      result: mm(engaged, 3),
      source: 'chord of the throat circle, by geometry',
    },
    {
      key: 'astray',
      label: 'Astray over it',
      formula: "\\Delta = l\\left(\\frac{p'}{p_z} - 1\\right)",
      put: `${decimalText(engaged, 3)} \\times ${decimalText(way.ppm, 2)}\\times 10^{-6}`,
      result: `${decimalText(way.overLength, 2)}\\ \\mathrm{\u00b5m}`,
      source: 'by geometry',
    },
  ];
}
