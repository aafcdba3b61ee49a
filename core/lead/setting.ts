import { fieldAt, type Issue } from '../findings/index.ts';
import type { Mill } from '../shop/index.ts';
import { approx, dmsText, exact, knownLength, lengthText, parseAngleDeg } from '../units/index.ts';
import type { LeadInput } from './schema.ts';
import { cornerReach, headTilt, onScale, tableSwing, widerBySetting } from './table.ts';

/** How table or head is set for the helix, as plain data. */
export interface TableSetting {
  readonly by: 'table' | 'head';
  /** Seen from above, where the table’s right end goes; with a tilted head where its top goes. */
  readonly way: 'away' | 'towards' | 'right' | 'left';
  /** With a tilted head: on which side of the work the cutter stands, seen by the one who runs the mill. */
  readonly side: 'near' | 'far';
  readonly degrees: number;
  /** Over 45°: the arbor along the table, on an attachment. */
  readonly arborAlong: boolean;
  /** What the machine’s scale is set to, degrees, and how far that is off, degrees. */
  readonly scale: number;
  readonly off: number;
  /** That much wider the mouth of a space may get for it, mm; null while the cutter is not known. */
  readonly wider: number | null;
  /**
   * Of the table, mm, and how far its corner reaches towards the column when swung; null while the table is
   * not known.
   */
  readonly size: { readonly length: number; readonly width: number } | null;
  readonly reach: number | null;
  /** From the table’s middle line to the column, mm; null while not known. */
  readonly toColumn: number | null;
  /** Does the spindle stand upright? Then nothing but its head lays the cutter along the teeth. */
  readonly upright: boolean;
  /** How far the mill’s table swings, degrees; null while not known. */
  readonly most: number | null;
}

const angleText = (degrees: number): string => dmsText(exact(degrees.toFixed(6)));

interface ToSet {
  readonly hand: 'right' | 'left';
  readonly helixDeg: number;
  readonly depth: number;
  readonly mill: Mill;
  readonly cutter: { readonly diameter: number | null };
}

/**
 * The table swung or the head tilted for a helix, on this mill’s scale.
 * Issues: table-swing-short, table-no-swing, table-column, head-no-tilt, upright-no-tilt
 */
export function setTable(
  input: Pick<LeadInput, 'setUp' | 'side'>,
  { hand, helixDeg, depth, mill, cutter }: ToSet,
  path: string,
): { readonly setting: TableSetting; readonly words: string; readonly issues: Issue[] } {
  const swing = tableSwing(hand, helixDeg);
  const tilt = headTilt(hand, helixDeg, input.side);
  const byHead = input.setUp === 'head';
  const { degrees } = byHead ? tilt : swing;
  const scale = onScale(degrees, mill.scaleMinutes);
  const off = scale - degrees;
  const wider = cutter.diameter === null ? null : widerBySetting(depth, cutter.diameter, off);
  const [length, width] = [knownLength(mill.tableLength), knownLength(mill.tableWidth)];
  const size = byHead || length === null || width === null ? null : { length, width };
  const reach = size && cornerReach(size.length, size.width, scale);
  const swings = mill.swing.typed.trim() === '' ? null : parseAngleDeg(mill.swing);
  const most = swings?.ok ? approx(swings.value) : null;
  const setting: TableSetting = {
    by: byHead ? 'head' : 'table',
    way: byHead ? tilt.top : swing.rightEnd,
    side: input.side,
    degrees,
    arborAlong: !byHead && swing.arborAlong,
    scale,
    off,
    wider,
    size,
    reach,
    toColumn: byHead ? null : knownLength(mill.toColumn),
    most,
    upright: mill.axis === 'vertical',
  };
  const words = byHead ? `tilt ${angleText(scale)}` : `swing ${angleText(scale)}`;
  return { setting, words, issues: byHead ? judgeTilt(mill, path) : judgeSwing(setting, mill, path) };
}

/** Issues: head-no-tilt, upright-no-tilt */
function judgeTilt({ name, headTilts, axis }: Mill, path: string): Issue[] {
  if (headTilts) return [];
  const code = axis === 'vertical' ? 'upright-no-tilt' : 'head-no-tilt';
  return [{ code, path: fieldAt<Pick<LeadInput, 'setUp'>>(path, 'setUp'), severity: 'query', given: name }];
}

/**
 * How the cutter is laid along the teeth on a mill. Beside the work on an upright spindle a disk lies flat,
 * and swinging the table turns the work in the very plane of the disk: only a tilted head lays it along them,
 * to the side the set-up has it on.
 * @param asked as the card has it @param side of the set-up
 * Source: by geometry; a tooth at the side of the work rises by its helix angle, and a flat disk does not
 * (test)
 */
export function layingFor(
  mill: Pick<Mill, 'axis'> | null,
  asked: Pick<LeadInput, 'setUp' | 'side'>,
  side: 'behind' | 'front',
): Pick<LeadInput, 'setUp' | 'side'> {
  if (mill?.axis !== 'vertical') return { setUp: asked.setUp, side: asked.side };
  return { setUp: 'head', side: side === 'behind' ? 'far' : 'near' };
}

function judgeSwing({ degrees, most, reach, toColumn }: TableSetting, mill: Mill, path: string): Issue[] {
  const issue = { path: fieldAt<Pick<LeadInput, 'setUp'>>(path, 'setUp'), severity: 'query' } as const;
  const issues: Issue[] = [];
  if (most === 0) issues.push({ ...issue, code: 'table-no-swing', given: mill.name });
  else if (most !== null && most < degrees)
    issues.push({ ...issue, code: 'table-swing-short', given: angleText(degrees), allowed: angleText(most) });
  const system = mill.toColumn.unit === 'in' ? 'in' : 'mm';
  if (reach !== null && toColumn !== null && reach > toColumn)
    issues.push({
      ...issue,
      code: 'table-column',
      given: lengthText(reach, system),
      allowed: lengthText(toColumn, system),
    });
  return issues;
}
