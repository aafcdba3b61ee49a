import { fieldAt, placedUnder, issueOf, type Issue } from '../findings/index.ts';
import type { Equipment, GearSet, Head, Mill, Stepper } from '../shop/index.ts';
import { exact, knownLength, plural } from '../units/index.ts';
import { advanceText, countOf, type Aim } from './aim.ts';
import { planMadePlate } from './madePlate.ts';
import { quickMethods, rankMethods, simpleWays } from './methods.ts';
import { noneFits } from './none.ts';
import { preparationOf } from './preparation.ts';
import { cautionsOf, valuesOf } from './saying.ts';
import type { DividingChoice, DividingInput } from './schema.ts';
import { aimData, readStride, type Target } from './target.ts';
import { canBeSet, wayOfChoice } from './ways.ts';
import { leadRefuses } from './withLead.ts';
import { advanceWords, choiceText } from './words.ts';
import { workingOf } from './working.ts';
import type { Ground, LeadGearing, Way } from './way.ts';
import type { DividingDetail, DividingWork, PlateDrawing } from './detail.ts';
import { planLine } from './lineStation.ts';

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
      const [best] = simpleWays(head, aim, 1);
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
      given: plural(aim.spaces, 'part'),
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
    { path: fieldAt<DividingInput>(path, 'choice'), severity: 'blocked', given: plural(aim.spaces, 'part') },
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

function emptyWork(input: DividingInput, { head, mill, lead }: DividingGround): DividingWork {
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
export function planDividing({ input, target, ground, path }: DividingAsked): DividingWork {
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
      issues: placedUnder(fieldAt<DividingInput>(path, 'stride'), stride.issues),
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
  readonly empty: DividingWork;
}): DividingWork {
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
  const issues = placedUnder(fieldAt<DividingInput>(path, 'made'), made?.issues ?? []);
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
