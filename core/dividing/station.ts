import type { Issue } from '../findings/index.ts';
import type { Head } from '../shop/index.ts';
import { angleValue, textValue, type Caution, type StationWork, type Value } from '../station/index.ts';
import { exact, plural } from '../units/index.ts';
import type { DividingInput } from './schema.ts';
import { circleNeeded, circlesOf, nearestSimpleCounts } from './simple.ts';
import { isChoice, moveText, simpleWays, type Way } from './ways.ts';
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

const CAUTION: Caution = {
  code: 'direct-pin',
  when: 'Before cranking',
  text: 'direct pin out, worm home. Cranking against the pin breaks it.',
};

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

function valuesOf(way: Way, divisions: number, ratio: string): Value[] {
  const { move } = way;
  const { circle } = move;
  const side = circle.twoSided ? `, side ${circle.side + 1}` : '';
  const inTurns = exact(move.turns).add(exact(move.spaces, circle.holes));
  return [
    textValue({ key: 'divisions', label: 'Spaces', symbol: 'N', settles: true }, String(divisions)),
    textValue({ key: 'move', label: 'Move', settles: true }, moveText({ ...move, circle: circle.holes })),
    textValue({ key: 'plate', label: 'Plate', settles: true }, `${circle.plateName}${side}`),
    textValue({ key: 'ratio', label: 'Worm ratio', symbol: 'R', settles: true }, `${ratio} : 1`),
    textValue(
      { key: 'arms', label: 'Arms span' },
      move.spaces === 0 ? 'not needed' : plural(way.armsHoles, 'hole'),
    ),
    angleValue({ key: 'spindleAngle', label: 'Spindle turns' }, exact(360, divisions)),
    angleValue({ key: 'crankAngle', label: 'Crank turns' }, inTurns.mul(360)),
    textValue({ key: 'direction', label: 'Turn' }, 'clockwise, always'),
  ];
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

/** The way in force, or what is wrong with the one that was chosen. */
function takeWay(
  ways: readonly Way[],
  input: DividingInput,
  head: Head,
  divisions: number,
  path: string,
): { way: Way | null; issue: Issue | null } {
  const { choice } = input;
  if (!choice) return { way: ways[0] ?? null, issue: null };
  const way = ways.find((candidate) => isChoice(candidate, choice));
  if (way) return { way, issue: null };
  const detail = { way: moveText(choice), was: plural(choice.divisions, 'space'), head: head.name };
  const onHead = head.plates.some(
    (plate) => plate.id === choice.plateId && plate.sides[choice.side]?.circles.includes(choice.circle),
  );
  const issue = {
    path: `${path}.choice`,
    severity: 'blocked',
    given: plural(divisions, 'space'),
    detail,
  } as const;
  return { way: null, issue: { ...issue, code: onHead ? 'choice-no-longer-divides' : 'choice-not-on-head' } };
}

/**
 * The dividing station: every simple way on the head, each run through the head's motion, and the one in force.
 * @param divisions N, or null while unknown @param head the one chosen, or null @param path of `dividing` in the document
 * @param shopHeads all heads on hand, to look for another where this one has no way
 * Issues: no-head, no-plates, no-simple-indexing, choice-no-longer-divides, choice-not-on-head
 */
export function planDividing(
  input: DividingInput,
  divisions: number | null,
  head: Head | null,
  path: string,
  shopHeads: readonly Head[] = [],
): StationWork<DividingFacts, DividingDetail> {
  const about = head && { id: head.id, name: head.name, ratio: head.ratio };
  const empty: StationWork<DividingFacts, DividingDetail> = {
    id: 'dividing',
    facts: null,
    answer: 'waits for the tooth count',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: {
      head: about,
      divisions,
      ways: [],
      inForce: null,
      chosen: false,
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

  const ways = simpleWays(head, divisions);
  const { way, issue } = takeWay(ways, input, head, divisions, path);
  const detail = {
    ...empty.detail,
    ways,
    inForce: way,
    chosen: input.choice !== null,
    plate: plateDrawing(head, way),
  };
  if (ways.length === 0) {
    return {
      ...empty,
      answer: head.plates.length === 0 ? 'no plates on this head' : 'not by simple indexing',
      issues: [noneFits(head, divisions, path)],
      detail: { ...detail, otherHeads: headsThatDivide(shopHeads, head, divisions) },
    };
  }
  if (!way) return { ...empty, answer: 'choose a way again', issues: issue ? [issue] : [], detail };
  return {
    ...empty,
    facts: { way, head },
    answer: moveText({ ...way.move, circle: way.move.circle.holes }),
    values: valuesOf(way, divisions, head.ratio),
    working: workingOf(way, divisions, head.ratio),
    cautions: [CAUTION],
    detail: {
      ...detail,
      drawing: { circle: way.choice.circle, turns: way.choice.turns, spaces: way.choice.spaces },
    },
  };
}
