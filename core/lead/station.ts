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
import type { SpurSizes } from '../gear/index.ts';
import {
  bracketRefuses,
  clearsStud,
  gearsIn,
  ownsTrain,
  tableOfGears,
  trainText,
  type GearTable,
} from '../gearing/index.ts';
import type { GearSet, Head, Mill } from '../shop/index.ts';
import {
  approx,
  decimalText,
  exact,
  exactText,
  lengthText,
  parseLength,
  parsePositiveLength,
  type Exact,
  type UnitSystem,
  degreesOf,
  radiansOf,
} from '../units/index.ts';
import type { Placed } from '../station/index.ts';
import { readGive } from './give.ts';
import { machineLead } from './lead.ts';
import {
  findLeadTrains,
  judgeTrain,
  reachOfLeads,
  usualLeadIdlers,
  type LeadAsked,
  type LeadTrain,
} from './leadTrains.ts';
import { cautionsOf, valuesOf, workingOf } from './saying.ts';
import type { LeadInput } from './schema.ts';
import { setTable } from './setting.ts';
import { approachAlong, testLine } from './table.ts';
import type { LeadCutter, LeadDetail, LeadGround, LeadWay, LeadWork } from './types.ts';

const ALLOWED_MM = 0.02;
const QUICK = 14;

export function wayOfTrain(found: LeadTrain, head: Head, hand: 'right' | 'left'): LeadWay {
  const { train, lead } = found;
  const idlers = usualLeadIdlers(train, hand);
  return {
    train,
    gears: gearsIn(train),
    idlers,
    lead: approx(lead),
    leadText: exactText(lead),
    helixDeg: degreesOf(found.helixAngle),
    overFace: found.overFace,
    clears: clearsStud(train),
    refused: bracketRefuses(head.differential, train, idlers),
  };
}

interface Equipped {
  readonly head: Head;
  readonly mill: Mill;
  readonly screwLead: Exact;
  readonly gearSet: GearSet;
  readonly table: GearTable;
}

/**
 * Head, mill and gears, or what is lacking. Issues: no-head, lead-head-not-geared, lead-no-mill,
 * lead-screw-unknown, lead-no-gears, lead-gears-one
 */
function equip(input: LeadInput, { head, mill, gearSets }: LeadGround, path: string): Result<Equipped> {
  const blocked = <Code extends IssueCode>(code: Code, given = '', ...figures: FiguresOf<Code>): Issue =>
    issueOf(code, { path, severity: 'blocked', given }, ...figures);
  const setId = input.gearSetId ?? head?.differential?.gearSetId;
  const gearSet = gearSets.find(({ id }) => id === setId) ?? null;
  const lead = mill && parsePositiveLength(mill.lead, 'The lead of the screw');
  const table = gearSet && tableOfGears(gearSet.gears);
  const owned = gearSet?.gears.reduce((sum, { count }) => sum + count, 0) ?? 0;
  const issues: Issue[] = [];
  if (!head) issues.push(blocked('no-head'));
  else if (!head.differential) issues.push(blocked('lead-head-not-geared', head.name));
  else if (!gearSet || owned === 0) issues.push(blocked('lead-no-gears', gearSet?.name ?? head.name));
  else if (owned === 1) issues.push(blocked('lead-gears-one', gearSet.name));
  if (!mill) issues.push(blocked('lead-no-mill'));
  else if (!lead?.ok) issues.push(blocked('lead-screw-unknown', mill.name));
  if (issues.length > 0 || !head || !mill || !lead?.ok || !gearSet || !table) return fail(...issues);
  return ok({ head, mill, screwLead: lead.value, gearSet, table });
}

function emptyDetail(input: LeadInput, { head, mill }: LeadGround, hand: 'right' | 'left'): LeadDetail {
  return {
    wanted: null,
    hand,
    drive: input.drive,
    head: head && { id: head.id, name: head.name, ratio: head.ratio },
    mill: mill && { id: mill.id, name: mill.name },
    gearSet: null,
    machine: null,
    machineText: null,
    ways: [],
    inForce: null,
    chosen: input.choice !== null,
    allowed: ALLOWED_MM * 1000,
    table: null,
    test: null,
    approach: null,
    faceWidth: null,
    pitchDiameter: null,
    proof: null,
  };
}

/**
 * How far a tooth may stray, mm, with what is wrong in the station’s own fields. Issues: those of the parser;
 * not-positive; those of `give`
 */
function readAllowed(input: LeadInput, path: string): { readonly mm: number; readonly issues: Issue[] } {
  const give = at(path, readGive(input).issues);
  if (input.allowed.typed.trim() === '') return { mm: ALLOWED_MM, issues: give };
  const read = parsePositiveLength(input.allowed, 'What a tooth may stray');
  return read.ok
    ? { mm: approx(read.value), issues: give }
    : { mm: ALLOWED_MM, issues: [...give, ...at(fieldAt<LeadInput>(path, 'allowed'), read.issues)] };
}

/** The lead that is farther off than this, as a part of itself, is no lead for this gear. */
const OUT_OF_REACH = 0.02;

/** What a lead is planned from. */
export interface LeadPlanned extends Placed {
  readonly input: LeadInput;
  /** Of the gear; null while unknown. */
  readonly sizes: SpurSizes | null;
  /** mm; null while unknown. */
  readonly face: Exact | null;
  readonly ground: LeadGround;
  readonly cutter: LeadCutter;
}

/**
 * The lead station of a helical gear: trains for its lead from the gears there are, the best or the chosen
 * one, and the table or head set to it.
 * Issues: no-head, lead-head-not-geared, lead-no-mill, lead-screw-unknown, lead-no-gears, lead-gears-one,
 * lead-out-of-reach, lead-off, lead-train-lacks, lead-bracket; those of the table’s setting
 * Source: docs/sources.md#lead
 */
export function planLead({ input, sizes, face, ground, cutter, path, units: system }: LeadPlanned): LeadWork {
  const hand = sizes?.hand ?? 'right';
  const detail = emptyDetail(input, ground, hand);
  const empty: LeadWork = {
    id: 'lead',
    facts: null,
    answer: 'waits for the gear',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail,
  };
  if (!sizes) return empty;
  const helixAngle = radiansOf(approx(sizes.helixDeg));
  const pitchDiameter = approx(sizes.pitchDiameter);
  const wanted = (Math.PI * pitchDiameter) / Math.tan(helixAngle);
  const known: LeadDetail = { ...detail, wanted, pitchDiameter };
  const equipped = equip(input, ground, fieldAt<LeadInput>(path, 'choice'));
  if (!equipped.ok)
    return { ...empty, answer: 'no gears for the lead', issues: equipped.issues, detail: known };
  const { head, mill, screwLead, gearSet, table } = equipped.value;
  const ratio = input.drive === 'worm' ? exact(head.ratio) : exact(1);
  const machine = machineLead(ratio, screwLead);
  const ready: LeadDetail = {
    ...known,
    gearSet: { id: gearSet.id, name: gearSet.name },
    machine: approx(machine),
    machineText: exactText(machine),
  };
  if (!face) return { ...empty, answer: 'waits for the face width', detail: ready };
  const faceWidth = approx(face);
  const asked: LeadAsked = { lead: wanted, pitchDiameter, faceWidth };
  const compound = head.differential!.stud;
  const allowed = readAllowed(input, path);
  const ways = findLeadTrains({ table, machine, asked, leadSearch: { compound, most: QUICK } }).map((found) =>
    wayOfTrain(found, head, hand),
  );
  const full: LeadDetail = { ...ready, ways, faceWidth, allowed: allowed.mm * 1000 };
  const { choice } = input;
  if (choice && !ownsTrain(table, choice)) {
    const lacks: Issue = {
      code: 'lead-train-lacks',
      path: fieldAt<LeadInput>(path, 'choice'),
      severity: 'blocked',
      given: trainText(choice),
    };
    return { ...empty, answer: 'choose a train again', issues: [lacks, ...allowed.issues], detail: full };
  }
  const way = choice
    ? wayOfTrain(judgeTrain(choice, machine, asked), head, hand)
    : (ways.find(({ refused, clears }) => refused === null && clears) ??
      ways.find(({ refused }) => refused === null) ??
      ways[0] ??
      null);
  if (!way || Math.abs(way.lead / wanted - 1) > OUT_OF_REACH) {
    const issue = outOfReach({
      wanted,
      table,
      drive: input.drive,
      compound,
      machine,
      ratio: exact(head.ratio),
      path,
      system,
    });
    return { ...empty, answer: 'no train near this lead', issues: [issue, ...allowed.issues], detail: full };
  }
  const lead = exact(way.leadText);
  const setting = setTable(
    input,
    { hand, helixDeg: way.helixDeg, depth: approx(sizes.cutDepth), mill, cutter },
    path,
  );
  const done: LeadDetail = {
    ...full,
    inForce: way,
    table: setting.setting,
    test: testLine({ hand, lead: way.lead, face: faceWidth, tipDiameter: approx(sizes.tipDiameter) }),
    // a width that is not known must not make the cutter seem clear too soon
    approach:
      cutter.diameter === null || cutter.width === null
        ? null
        : approachAlong({
            depth: approx(sizes.cutDepth),
            cutterDiameter: cutter.diameter,
            cutterWidth: cutter.width,
            helixAngle,
          }),
  };
  const issues = [
    ...allowed.issues,
    ...judge({ way, allowed: allowed.mm, head, path, system }),
    ...setting.issues,
  ];
  const blocked = issues.some(({ severity }) => severity === 'blocked' || severity === 'wrong');
  return {
    ...empty,
    facts: blocked
      ? null
      : { train: way.train, idlers: way.idlers, drive: input.drive, hand, lead, screwLead, ratio },
    answer: `${trainText(way.train)}, ${setting.words}`,
    values: valuesOf({ leadDetail: done, way, lead, table: setting.setting }),
    working: workingOf(sizes, done, way, { screwLead, ratio, machine, cutter }),
    cautions: cautionsOf(done),
    issues,
    detail: done,
  };
}

/** Issues: lead-off, lead-bracket */
function judge({
  way,
  allowed,
  head,
  path,
  system,
}: {
  readonly way: LeadWay;
  readonly allowed: number;
  readonly head: Head;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue[] {
  const issues: Issue[] = [];
  if (Math.abs(way.overFace) > allowed * 1000)
    issues.push({
      code: 'lead-off',
      path: fieldAt<LeadInput>(path, 'choice'),
      severity: 'query',
      given: trainText(way.train),
      detail: {
        off: `${decimalText(Math.abs(way.overFace), 0)} µm`,
        most: lengthText(allowed, system, 'fine'),
      },
    });
  if (way.refused)
    issues.push({
      code: 'lead-bracket',
      path: fieldAt<LeadInput>(path, 'choice'),
      severity: 'blocked',
      given: trainText(way.train),
      detail: { head: head.name, why: way.refused },
    });
  return issues;
}

/** Issues: lead-out-of-reach */
function outOfReach({
  wanted,
  table,
  drive,
  compound,
  machine,
  ratio,
  path,
  system,
}: {
  readonly wanted: number;
  readonly table: GearTable;
  readonly drive: LeadInput['drive'];
  readonly compound: boolean;
  readonly machine: Exact;
  readonly ratio: Exact;
  readonly path: string;
  readonly system: UnitSystem;
}): Issue {
  const mm = (value: number) => lengthText(value, system);
  const [shortest, longest] = reachOfLeads(table, machine, compound) ?? [0, 0];
  // the same gears on the other shaft
  const other =
    drive === 'worm'
      ? [shortest / approx(ratio), longest / approx(ratio)]
      : [shortest * approx(ratio), longest * approx(ratio)];
  const serves = wanted >= other[0]! && wanted <= other[1]!;
  const way = drive === 'worm' ? 'Past the worm, on the spindle itself,' : 'Through the worm';
  const hint = serves
    ? `${way} they cut from ${mm(other[0]!)} to ${mm(other[1]!)}.`
    : wanted > longest
      ? 'A finer angle has a longer lead: this one wants a head of a larger ratio, or gears that differ more.'
      : 'A steeper angle has a shorter lead: it wants gears that differ more.';
  return {
    code: 'lead-out-of-reach',
    path: fieldAt<LeadInput>(path, 'choice'),
    severity: 'blocked',
    given: mm(wanted),
    detail: { shortest: mm(shortest), longest: mm(longest), try: hint },
  };
}

/**
 * The longer search: the best of every train of two, four and, where asked for, six gears. Run it off the
 * thread that draws.
 */
export function searchLeads(
  { gears, machine, asked, compound, six, head, hand }: LeadQuestion,
  most = 50,
): readonly LeadWay[] {
  const found = findLeadTrains({
    table: tableOfGears(gears),
    machine: exact(machine),
    asked,
    leadSearch: { compound, six, most },
  });
  return found.map((train) => wayOfTrain(train, head, hand));
}

/** What a longer search is asked, as plain data. */
export interface LeadQuestion {
  readonly gears: GearSet['gears'];
  /** Exact text, mm. */
  readonly machine: string;
  readonly asked: LeadAsked;
  readonly compound: boolean;
  readonly six: boolean;
  readonly head: Head;
  readonly hand: 'right' | 'left';
}

/** How far a cutter reaches, from what the shop says of it. */
export function leadCutter(
  cutter: { readonly diameter: Mill['lead']; readonly width: Mill['lead'] } | null,
): LeadCutter {
  const read = (typed: Mill['lead'] | undefined) => {
    const length = typed && typed.typed.trim() !== '' ? parseLength(typed) : null;
    return length?.ok ? approx(length.value) : null;
  };
  return { diameter: read(cutter?.diameter), width: read(cutter?.width) };
}
