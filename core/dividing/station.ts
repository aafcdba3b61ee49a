import type { Issue } from '../findings/index.ts';
import type { GearSet, Head } from '../shop/index.ts';
import type { StationWork } from '../station/index.ts';
import { exact, plural } from '../units/index.ts';
import type { DividingChoice, DividingInput } from './schema.ts';
import { circleNeeded, circlesOf, nearestSimpleCounts } from './simple.ts';
import { cautionsOf, valuesOf } from './saying.ts';
import { choiceText, moveText, simpleWays, wayOfChoice, type Way } from './ways.ts';
import { workingOf } from './working.ts';

/** The side of a plate to be drawn. */
export interface PlateDrawing {
  readonly plateName: string;
  readonly side: 0 | 1;
  readonly twoSided: boolean;
  readonly circles: readonly number[];
}

/** One space's move on it. */
export interface MoveDrawing {
  readonly circle: number;
  readonly turns: number;
  readonly spaces: number;
}

export interface DividingDetail {
  readonly head: { readonly id: string; readonly name: string; readonly ratio: string } | null;
  readonly divisions: number | null;
  /** Every simple way on this head, best first. */
  readonly ways: readonly Way[];
  /** The way in force: the one chosen, else the best. Null when there is none. */
  readonly inForce: Way | null;
  readonly chosen: boolean;
  /** The plate the way in force uses; where there is none, the one mounted or the first. */
  readonly plate: PlateDrawing | null;
  readonly drawing: MoveDrawing | null;
  /** Where this head has no way: other heads of the shop that do, each with its best move. */
  readonly otherHeads: readonly { readonly id: string; readonly name: string; readonly move: string }[];
}

export interface DividingFacts {
  readonly way: Way;
  readonly head: Head;
}

function plateDrawing(head: Head, way: Way | null): PlateDrawing | null {
  const at = way
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

/** Other heads that reach a count by simple indexing, each with its best move. */
function headsThatDivide(heads: readonly Head[], not: Head, divisions: number): DividingDetail['otherHeads'] {
  return heads
    .filter(({ id }) => id !== not.id)
    .flatMap((head) => {
      const [best] = simpleWays(head, divisions);
      return best
        ? [{ id: head.id, name: head.name, move: moveText({ ...best.move, circle: best.move.circle.holes }) }]
        : [];
    });
}

/** What can be said when no circle serves. */
function noneFits(head: Head, divisions: number, path: string): Issue {
  if (head.plates.length === 0) {
    return {
      code: 'no-plates',
      path: `${path}.headId`,
      severity: 'blocked',
      given: head.name,
      detail: { head: head.name },
    };
  }
  const ratio = exact(head.ratio);
  const circles = circlesOf(head.plates);
  const needed = circleNeeded(ratio, divisions);
  const { below, above } = nearestSimpleCounts(ratio, divisions, circles);
  const near = [below, above].filter((n) => n !== null).join(' and ');
  return {
    code: 'no-simple-indexing',
    path: `${path}.choice`,
    severity: 'blocked',
    given: String(divisions),
    allowed: near ? `The nearest counts that do index: ${near}.` : 'No other count near it does either.',
    detail: { need: `it needs a circle whose holes are a multiple of ${needed}` },
  };
}

/** Why a choice no longer serves: another count, or a head without its circle. */
function brokenChoice(choice: DividingChoice, head: Head, divisions: number, path: string): Issue {
  const onHead = head.plates.some(
    (plate) => plate.id === choice.plateId && plate.sides[choice.side]?.circles.includes(choice.circle),
  );
  const geared = choice.method === 'differential' && choice.divisions === divisions && onHead;
  return {
    code: geared ? 'choice-not-geared' : onHead ? 'choice-no-longer-divides' : 'choice-not-on-head',
    path: `${path}.choice`,
    severity: 'blocked',
    given: plural(divisions, 'space'),
    detail: { way: choiceText(choice), was: plural(choice.divisions, 'space'), head: head.name },
  };
}

/** What the dividing station draws on besides its own fields. */
export interface DividingGround {
  /** The head in force, or null. */
  readonly head: Head | null;
  /** The change gears listed with it. */
  readonly gearSets: readonly GearSet[];
  /** All heads on hand, to look for another where this one has no way. */
  readonly shopHeads: readonly Head[];
}

/**
 * The dividing station: every simple way on the head, each run through the head's motion, and the one in force, which
 * may also be a way that was picked from a longer search.
 * @param divisions N, or null while unknown @param path of `dividing` in the document
 * Issues: no-head, no-plates, no-simple-indexing, choice-no-longer-divides, choice-not-on-head, choice-not-geared
 */
export function planDividing(
  input: DividingInput,
  divisions: number | null,
  { head, gearSets, shopHeads }: DividingGround,
  path: string,
): StationWork<DividingFacts, DividingDetail> {
  const empty: StationWork<DividingFacts, DividingDetail> = {
    id: 'dividing',
    facts: null,
    answer: 'waits for the tooth count',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: {
      head: head && { id: head.id, name: head.name, ratio: head.ratio },
      divisions,
      ways: [],
      inForce: null,
      chosen: input.choice !== null,
      plate: null,
      drawing: null,
      otherHeads: [],
    },
  };
  if (!head) {
    const issue: Issue = { code: 'no-head', path: `${path}.headId`, severity: 'blocked' };
    return { ...empty, answer: 'no head chosen', issues: [issue] };
  }
  if (divisions === null) return empty;

  const { choice } = input;
  const ways = simpleWays(head, divisions);
  const way = choice ? wayOfChoice(head, gearSets, divisions, choice) : (ways[0] ?? null);
  const detail = { ...empty.detail, ways, inForce: way, plate: plateDrawing(head, way) };
  if (!way && ways.length === 0) {
    return {
      ...empty,
      answer: head.plates.length === 0 ? 'no plates on this head' : 'not by simple indexing',
      issues: [noneFits(head, divisions, path)],
      detail: { ...detail, otherHeads: headsThatDivide(shopHeads, head, divisions) },
    };
  }
  if (!way) {
    const issues = choice ? [brokenChoice(choice, head, divisions, path)] : [];
    return { ...empty, answer: 'choose a way again', issues, detail };
  }
  const { circle, turns, spaces } = way.choice;
  return {
    ...empty,
    facts: { way, head },
    answer: choiceText(way.choice),
    values: valuesOf(way, divisions, head.ratio),
    working: workingOf(way, divisions, head.ratio),
    cautions: cautionsOf(way),
    detail: { ...detail, drawing: { circle, turns, spaces } },
  };
}
