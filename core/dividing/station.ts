import { fieldAt, at, issueOf, type Issue } from '../findings/index.ts';
import type { Equipment, GearSet, Head, Mill, Stepper } from '../shop/index.ts';
import type { StationWork } from '../station/index.ts';
import {
  bothUnitsText,
  approx,
  decimalText,
  exact,
  knownLength,
  parseLength,
  plural,
} from '../units/index.ts';
import { advanceText, countOf, type Aim } from './aim.ts';
import { planMadePlate, type MadePlate } from './madePlate.ts';
import { quickMethods, rankMethods, simpleWays } from './methods.ts';
import { noneFits } from './none.ts';
import { preparationOf, type Preparation } from './preparation.ts';
import { cautionsOf, tableValues, valuesOf } from './saying.ts';
import type { ChoiceOf, DividingChoice, DividingInput } from './schema.ts';
import { tableWay } from './table.ts';
import { aimData, readStride, type AimData, type Target } from './target.ts';
import { canBeSet, wayOfChoice } from './ways.ts';
import { leadRefuses } from './withLead.ts';
import { advanceWords, choiceText } from './words.ts';
import { workingOf } from './working.ts';
import type { Ground, LeadGearing, MethodAnswer, Way } from './way.ts';

/** The side of a plate to be drawn. */
export interface PlateDrawing {
  readonly plateName: string;
  readonly side: 0 | 1;
  readonly twoSided: boolean;
  readonly circles: readonly number[];
}

export interface DividingDetail {
  readonly head: { readonly id: string; readonly name: string; readonly ratio: string } | null;
  readonly mill: { readonly id: string; readonly name: string } | null;
  /** Round the work; null along a line, or while unknown. */
  readonly aim: AimData | null;
  /** Along a line, mm; null round the work. */
  readonly line: { readonly spaces: number; readonly pitch: number } | null;
  /** What is found at once: each method with its ways or why it is out, best first. */
  readonly methods: readonly MethodAnswer[];
  /** The way in force: the one chosen, else the best. Null when there is none. */
  readonly inForce: Way | null;
  readonly chosen: boolean;
  /** The plate the way in force uses; where there is none, the one mounted or the first. */
  readonly plate: PlateDrawing | null;
  /** What changes on the head for the way in force. */
  readonly preparation: readonly Preparation[];
  /** Where this head has no way: other heads of the shop that do, each with its best move. */
  readonly otherHeads: readonly { readonly id: string; readonly name: string; readonly move: string }[];
  /** A plate or ring of this very count, to be drilled. */
  readonly made: MadePlate | null;
  /** How the work is geared to the table while it is cut; null for straight teeth. */
  readonly lead: LeadGearing | null;
}

export interface DividingFacts {
  readonly way: Way;
  readonly head: Head | null;
  readonly mill: Mill | null;
}

function plateDrawing(head: Head, way: Way | null): PlateDrawing | null {
  const at =
    way && 'plateId' in way.choice
      ? { plateId: way.choice.plateId, side: way.choice.side }
      : (head.mounted ?? { plateId: head.plates[0]?.id, side: 0 });
  const plate = head.plates.find(({ id }) => id === at.plateId);
  const side = plate?.sides[at.side];
  if (!plate || !side) return null;
  return {
    plateName: plate.name,
    side: at.side === 1 ? 1 : 0,
    twoSided: plate.sides.length === 2,
    circles: side.circles,
  };
}

/** Other heads that reach an aim at once and exactly, each with its best move. */
function headsThatDivide(heads: readonly Head[], not: Head, aim: Aim): DividingDetail['otherHeads'] {
  return heads
    .filter(({ id }) => id !== not.id)
    .flatMap((head) => {
      const [best] = simpleWays(head, aim);
      return best ? [{ id: head.id, name: head.name, move: best.words }] : [];
    });
}

/** Why a choice no longer serves: another count, or a head without its circle, gears or drive. */
function brokenChoice({
  choice,
  ground,
  aim,
  path,
}: {
  readonly choice: DividingChoice;
  readonly ground: Ground;
  readonly aim: Aim;
  readonly path: string;
}): Issue {
  const refused = ground.lead ? leadRefuses(ground.head, ground.lead, choice) : null;
  if (refused !== null)
    return {
      code: 'choice-not-with-lead',
      path: fieldAt<DividingInput>(path, 'choice'),
      severity: 'blocked',
      given: plural(aim.spaces, 'space'),
      detail: { way: choiceText(choice), why: refused },
    };
  const settable = canBeSet(ground, choice);
  const sameMove = choice.advance === advanceText(aim);
  const plate = 'plateId' in choice ? choice : null;
  const onHead =
    !plate ||
    ground.head.plates.some(
      ({ id, sides }) => id === plate.plateId && sides[plate.side]?.circles.includes(plate.circle),
    );
  const code = !onHead
    ? 'choice-not-on-head'
    : !sameMove
      ? 'choice-no-longer-divides'
      : settable
        ? 'choice-no-longer-divides'
        : choice.method === 'differential'
          ? 'choice-not-geared'
          : 'choice-lacks';
  return issueOf(
    code,
    { path: fieldAt<DividingInput>(path, 'choice'), severity: 'blocked', given: plural(aim.spaces, 'space') },
    { way: choiceText(choice), was: advanceWords(choice.advance), head: ground.head.name },
  );
}

/** What the dividing station draws on besides its own fields. */
export interface DividingGround {
  /** The head in force, or null. */
  readonly head: Head | null;
  readonly mill: Mill | null;
  /** The change gears listed with it. */
  readonly gearSets: readonly GearSet[];
  readonly steppers: readonly Stepper[];
  /** What is on hand, to look for another head where this one has no way. */
  readonly shop: Equipment;
  /** How the work is geared to the table, for a helical gear. */
  readonly lead?: LeadGearing | null;
}

type Work = StationWork<DividingFacts, DividingDetail>;

function emptyWork(input: DividingInput, { head, mill, lead }: DividingGround): Work {
  return {
    id: 'dividing',
    facts: null,
    answer: 'waits for the count',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: {
      head: head && { id: head.id, name: head.name, ratio: head.ratio },
      mill: mill && { id: mill.id, name: mill.name },
      aim: null,
      line: null,
      methods: [],
      inForce: null,
      chosen: input.choice !== null,
      plate: null,
      preparation: [],
      otherHeads: [],
      made: null,
      lead: lead ?? null,
    },
  };
}

/** What dividing is planned from. */
export interface DividingAsked {
  readonly input: DividingInput;
  /** What the part asks for; null while unknown. */
  readonly target: Target | null;
  readonly ground: DividingGround;
  /** Of `dividing` in the document. */
  readonly path: string;
}

/**
 * The dividing station: every way on the head that is found at once, each run through the head's motion, and
 * the one in force, which may also be a way that was picked from a longer search. Along a line: the readings
 * of the table's screw. Issues: no-head, no-mill, no-plates, no-simple-indexing, angle-not-simple,
 * choice-no-longer-divides, choice-not-on-head, choice-not-geared, choice-not-with-lead, lead-no-indexing,
 * choice-lacks, stride-shares, stride-part-turn, holes-touch, ring-fouls, travel-short
 */
export function planDividing({ input, target, ground, path }: DividingAsked): Work {
  const empty = emptyWork(input, ground);
  if (target?.along === 'line') return planLine({ target: target, mill: ground.mill, path, empty });
  const { head } = ground;
  if (!head) {
    const issue: Issue = {
      code: 'no-head',
      path: fieldAt<DividingInput>(path, 'headId'),
      severity: 'blocked',
    };
    return { ...empty, answer: 'no head chosen', issues: [issue] };
  }
  if (!target) return empty;
  const stride = readStride(input.stride, target.aim);
  if (!stride.ok)
    return {
      ...empty,
      answer: 'block order to be set',
      issues: at(fieldAt<DividingInput>(path, 'stride'), stride.issues),
      detail: { ...empty.detail, aim: aimData(target.aim) },
    };
  return planTurn({
    input,
    aim: { ...target.aim, stride: stride.value },
    ground: { ...ground, head },
    path,
    empty,
  });
}

function planTurn({
  input,
  aim,
  ground,
  path,
  empty,
}: {
  readonly input: DividingInput;
  readonly aim: Aim;
  readonly ground: DividingGround & { readonly head: Head };
  readonly path: string;
  readonly empty: Work;
}): Work {
  const { head, shop } = ground;
  const { choice } = input;
  const methods = rankMethods(quickMethods(ground, aim));
  // a table that has nothing but its wheel or motor goes by them; else what is not exact waits to be chosen
  const bare = head.plates.length === 0 && head.rings.length === 0;
  const best =
    methods.find(({ ways }) => ways[0]?.proof.everySpaceTrue)?.ways[0] ??
    (bare && !ground.lead ? methods[0]?.ways[0] : null) ??
    null;
  const way = choice ? wayOfChoice(ground, aim, choice) : best;
  const count = countOf(aim);
  const made =
    count !== null && count >= 2
      ? planMadePlate(input.made, count, {
          ratio: exact(head.ratio),
          centreHeight: knownLength(head.centreHeight),
        })
      : null;
  const detail: DividingDetail = {
    ...empty.detail,
    aim: aimData(aim),
    methods,
    inForce: way,
    plate: plateDrawing(head, way),
    made: made?.plate ?? null,
  };
  const issues = at(fieldAt<DividingInput>(path, 'made'), made?.issues ?? []);
  if (!way && choice) {
    const broken = brokenChoice({ choice, ground, aim, path });
    return { ...empty, answer: 'choose a way again', issues: [broken, ...issues], detail };
  }
  if (!way) {
    return {
      ...empty,
      answer: bare
        ? 'no plates on this head'
        : ground.lead
          ? 'not with the lead geared'
          : 'not by simple indexing',
      issues: [noneFits({ head, aim, lead: ground.lead ?? null, path }), ...issues],
      // a lead is geared on this head; another would need its own gears
      detail: ground.lead ? detail : { ...detail, otherHeads: headsThatDivide(shop.heads, head, aim) },
    };
  }
  return {
    ...empty,
    facts: { way, head, mill: null },
    answer: way.words,
    values: valuesOf({ way, aim, head, lead: ground.lead ?? null }),
    working: workingOf(way, aim, head.ratio),
    cautions: cautionsOf(way, aim, ground.lead ?? null),
    issues,
    detail: { ...detail, preparation: preparationOf(way, head, ground.lead ?? null) },
  };
}

/** Along a line: the table's screw, read from the first space. */
function planLine({
  target: { spaces, pitch },
  mill,
  path,
  empty,
}: {
  readonly target: Extract<Target, { along: 'line' }>;
  readonly mill: Mill | null;
  readonly path: string;
  readonly empty: Work;
}): Work {
  const detail = { ...empty.detail, line: { spaces, pitch: approx(pitch) } };
  if (!mill) {
    const issue: Issue = {
      code: 'no-mill',
      path: fieldAt<DividingInput>(path, 'millId'),
      severity: 'blocked',
    };
    return { ...empty, answer: 'no mill chosen', issues: [issue], detail };
  }
  const made = tableWay(mill, spaces, pitch);
  if (!made.ok) {
    const issues = at(fieldAt<DividingInput>(path, 'millId'), made.issues);
    return { ...empty, answer: 'the mill’s screw is not known', issues, detail };
  }
  const way = made.value;
  const travel = parseLength(mill.travel);
  const length = approx(pitch) * (spaces - 1);
  const short = travel.ok && approx(travel.value) < length;
  const issues: Issue[] = short
    ? [
        {
          code: 'travel-short',
          path: fieldAt<DividingInput>(path, 'millId'),
          severity: 'query',
          given: decimalText(length, 1),
          allowed: decimalText(approx(travel.value), 1),
          detail: { mill: mill.name },
        },
      ]
    : [];
  const { lead, marks } = way.choice as ChoiceOf<'table'>;
  const mark = exact(lead).div(marks);
  if (pitch.lt(mark) && !mill.readout)
    issues.push({
      code: 'marks-too-coarse',
      path: fieldAt<DividingInput>(path, 'millId'),
      severity: 'query',
      given: bothUnitsText(approx(pitch), 'mm'),
      detail: { mark: bothUnitsText(approx(mark), 'mm') },
    });
  return {
    ...empty,
    facts: { way, head: null, mill },
    answer: way.words,
    values: tableValues(way, spaces),
    working: [
      {
        key: 'turns',
        label: 'Turns of the screw for one space',
        formula: '\\frac{p}{L}',
        put: `\\frac{${decimalText(pitch, 6)}}{${decimalText(exact(lead), 6)}}`,
        result: decimalText(pitch.div(lead), 6),
        source: 'the table moves its screw’s lead for every turn',
      },
      {
        key: 'reading',
        label: 'Reading of space k, never added up from rounded moves',
        formula: 'k\\,\\frac{p}{L}\\,n',
        put: `k \\times ${decimalText(pitch.div(lead), 6)} \\times ${marks}`,
        result: '\\text{rounded once}',
        joined: '\\Rightarrow',
        source: 'common practice',
      },
    ],
    cautions: cautionsOf(way, { spaces, step: pitch, full: false, stride: 1, diameter: null }),
    issues,
    detail: { ...detail, inForce: way, preparation: preparationOf(way, null) },
  };
}
