import {
  toldLength,
  placedUnder,
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { mmResult, lengthValue, type Value, type Working } from '../station/index.ts';
import {
  approx,
  decimalText,
  exact,
  parsePositiveLength,
  type Exact,
  type UnitSystem,
} from '../units/index.ts';
import type { SpacingInput } from './schema.ts';

/** Flats on a round bar, lengths mm. */
export interface Flats {
  /** Across flats; for an odd count twice the way from flat to centre. */
  readonly across: number;
  /** Over the stock, from the outside down to the flat. */
  readonly depth: number;
  /** What an odd count is gauged by: flat to the corner opposite, on the round. Null for an even one. */
  readonly gauge: number | null;
  /** Largest across flats that leaves sharp corners. */
  readonly fullCorners: number;
  /** Do the corners come out full, or does a strip of the round stay between flats? */
  readonly corners: boolean;
}

/** @param diameter of the stock, mm @param flats ≥ 2 @returns mm. Source: by geometry, D·cos(180°/n) */
export const fullCornersOf = (diameter: number, flats: number): number =>
  diameter * Math.cos(Math.PI / flats);

/**
 * Flats by across-flats from a stock diameter.
 * Issues: flats-over-stock, flats-odd, flats-corners-lost, flats-depth-other
 * Source: depth (D − AF)/2; an odd count has no opposite flat, and is gauged flat to corner as AF/2 + D/2
 */
export function readFlats({
  input,
  flats,
  diameter,
  depth,
  system,
}: {
  readonly input: SpacingInput;
  readonly flats: number;
  readonly diameter: Exact | null;
  readonly depth: Exact | null;
  readonly system: UnitSystem;
}): Result<{ flats: Flats | null; issues: readonly Issue[] }> {
  if (input.what !== 'flats' || !diameter || flats < 2) return ok({ flats: null, issues: [] });
  const D = approx(diameter);
  const fullCorners = fullCornersOf(D, flats);
  const typed = input.acrossFlats.typed.trim() !== '';
  if (!typed && !depth) return ok({ flats: null, issues: [] });
  const across = typed
    ? parsePositiveLength(input.acrossFlats, 'Across flats')
    : ok(diameter.sub(depth!.mul(2)));
  if (!across.ok) return fail(...placedUnder('acrossFlats', across.issues));
  const AF = approx(across.value);
  const given = typed ? input.acrossFlats.typed : input.depth.typed;
  const path = typed ? 'acrossFlats' : 'depth';
  if (AF >= D || AF <= 0)
    return fail({
      code: 'flats-over-stock',
      path,
      severity: 'wrong',
      given,
      detail: { stock: toldLength(D, system) },
    });
  const issues: Issue[] = [];
  const note = <Code extends IssueCode>(code: Code, ...figures: FiguresOf<Code>) =>
    issues.push(issueOf(code, { path, severity: 'note', given }, ...figures));
  // the corner lies on the round, or where the flats meet inside it
  const corner = Math.min(D / 2, AF / 2 / Math.cos(Math.PI / flats));
  const gauge = flats % 2 === 1 ? AF / 2 + corner : null;
  if (gauge !== null) note('flats-odd', { flats, gauge: toldLength(gauge, system) });
  // deeper than the corners reach: the flats meet inside the round
  const corners = AF <= fullCorners + 1e-9;
  if (AF < fullCorners - 1e-9)
    note('flats-corners-lost', {
      full: toldLength(fullCorners, system),
      over: toldLength(AF / Math.cos(Math.PI / flats), system),
    });
  if (typed && depth && Math.abs(approx(depth) - (D - AF) / 2) > 0.005)
    issues.push({
      code: 'flats-depth-other',
      path: 'depth',
      severity: 'query',
      given: input.depth.typed,
      detail: { depth: toldLength((D - AF) / 2, system, 'fine') },
    });
  return ok({ flats: { across: AF, depth: (D - AF) / 2, gauge, fullCorners, corners }, issues });
}

/** The depth that flats come to, as an exact figure for the cut. */
export const flatsDepth = ({ depth }: Flats): Exact => exact(depth.toFixed(6));

export function flatsValues(flats: Flats): Value[] {
  return [
    lengthValue({ key: 'acrossFlats', label: 'Across flats', settles: true }, flats.across),
    lengthValue({ key: 'fullCorners', label: 'Largest with sharp corners' }, flats.fullCorners),
    ...(flats.gauge === null
      ? []
      : [lengthValue({ key: 'gauge', label: 'Gauge, flat to corner' }, flats.gauge)]),
  ];
}

export function flatsWorking(flats: Flats, count: number, diameter: number): Working[] {
  const D = decimalText(diameter, 4);
  const AF = decimalText(flats.across, 4);
  const source = 'by geometry of the polygon in the round';
  return [
    {
      key: 'flatDepth',
      label: 'Depth of a flat',
      formula: 'h = \\frac{D - AF}{2}',
      put: `\\frac{${D} - ${AF}}{2}`,
      ...mmResult(flats.depth),
      source,
    },
    {
      key: 'fullCorners',
      label: 'Largest across flats with sharp corners',
      formula: 'D\\cos\\frac{180^\\circ}{n}',
      put: `${D}\\cos\\frac{180^\\circ}{${count}}`,
      ...mmResult(flats.fullCorners),
      source,
    },
    ...gaugeWorking({ flats, count, AF, D, source }),
  ];
}

/** What an odd count is gauged by: to the round where a strip of it stays, else to where two flats meet. */
function gaugeWorking({
  flats: { gauge, corners },
  count,
  AF,
  D,
  source,
}: {
  readonly flats: Flats;
  readonly count: number;
  readonly AF: string;
  readonly D: string;
  readonly source: string;
}): Working[] {
  if (gauge === null) return [];
  const [formula, put] = corners
    ? [
        '\\frac{AF}{2} + \\frac{AF}{2\\cos\\frac{180^\\circ}{n}}',
        `\\frac{${AF}}{2} + \\frac{${AF}}{2\\cos\\frac{180^\\circ}{${count}}}`,
      ]
    : ['\\frac{AF}{2} + \\frac{D}{2}', `\\frac{${AF}}{2} + \\frac{${D}}{2}`];
  return [
    { key: 'gauge', label: 'Gauge, flat to the corner opposite', formula, put, ...mmResult(gauge), source },
  ];
}
