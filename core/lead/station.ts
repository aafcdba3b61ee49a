import { fieldAt, placedUnder, type Issue } from '../findings/index.ts';
import type { SpurSizes } from '../gear/index.ts';
import { ownsTrain, trainText } from '../gearing/index.ts';
import { approx, exact, exactText, parsePositiveLength, type Exact, radiansOf } from '../units/index.ts';
import type { Placed } from '../station/index.ts';
import { readGive } from './give.ts';
import type { BendBasis } from './bendSearch.ts';
import { machineLead } from './lead.ts';
import { findLeadTrains, judgeTrain, type LeadAsked } from './leadTrains.ts';
import { cautionsOf, valuesOf, workingOf } from './saying.ts';
import type { LeadInput } from './schema.ts';
import { setTable } from './setting.ts';
import { approachAlong, testLine } from './table.ts';
import type { LeadCutter, LeadDetail, LeadGround, LeadWork } from './types.ts';
import { equip } from './equipped.ts';
import { judgeWay, OUT_OF_REACH, outOfReach } from './judge.ts';
import { wayOfTrain } from './question.ts';

const ALLOWED_MM = 0.02;
const QUICK = 14;

function emptyDetail(
  { input, ground: { head, mill }, bends }: LeadPlanned,
  hand: 'right' | 'left',
): LeadDetail {
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
    bends,
  };
}

/**
 * How far a tooth may stray, mm, with what is wrong in the station’s own fields. Issues: those of the parser;
 * not-positive; those of `give`
 */
function readAllowed(input: LeadInput, path: string): { readonly mm: number; readonly issues: Issue[] } {
  const give = placedUnder(path, readGive(input).issues);
  if (input.allowed.typed.trim() === '') return { mm: ALLOWED_MM, issues: give };
  const read = parsePositiveLength(input.allowed, 'What a tooth may stray');
  return read.ok
    ? { mm: approx(read.value), issues: give }
    : { mm: ALLOWED_MM, issues: [...give, ...placedUnder(fieldAt<LeadInput>(path, 'allowed'), read.issues)] };
}

/** What a lead is planned from. */
export interface LeadPlanned extends Placed {
  readonly input: LeadInput;
  /** Of the gear; null while unknown. */
  readonly sizes: SpurSizes | null;
  /** mm; null while unknown. */
  readonly face: Exact | null;
  readonly ground: LeadGround;
  readonly cutter: LeadCutter;
  readonly bends: BendBasis | null;
}

/**
 * The lead station of a helical gear: trains for its lead from the gears there are, the best or the chosen
 * one, and the table or head set to it.
 * Issues: no-head, lead-head-not-geared, lead-no-mill, lead-screw-unknown, lead-no-gears, lead-gears-one,
 * lead-out-of-reach, lead-off, lead-train-lacks, lead-bracket; those of the table’s setting
 * Source: docs/sources.md#lead
 */
export function planLead(planned: LeadPlanned): LeadWork {
  const { input, sizes, face, ground, cutter, path, units: system } = planned;
  const hand = sizes?.hand ?? 'right';
  const detail = emptyDetail(planned, hand);
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
    ...judgeWay({ way, allowed: allowed.mm, head, path, system }),
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
    working: workingOf({ sizes, leadDetail: done, way, screwLead, ratio, machine, cutter }),
    cautions: cautionsOf(done),
    issues,
    detail: done,
  };
}
