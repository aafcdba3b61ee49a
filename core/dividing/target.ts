import type { Issue, Result } from '../findings/index.ts';
import { fail, ok } from '../findings/index.ts';
import { exact, exactText, greatestCommon, parseCount, type Exact, type Measure } from '../units/index.ts';
import type { Aim } from './aim.ts';

/** What a part asks of the dividing station: spaces round the work, or spaces along it. */
export type Target =
  | { readonly along: 'turn'; readonly aim: Aim }
  | {
      readonly along: 'line';
      readonly spaces: number;
      /** mm from one space to the next. */
      readonly pitch: Exact;
    };

/** An aim as plain data, to be sent to another thread or over the wire. */
export interface AimData {
  readonly spaces: number;
  /** Exact text. */
  readonly step: string;
  readonly full: boolean;
  readonly stride: number;
  readonly diameter: number | null;
}

export const aimData = (aim: Aim): AimData => ({ ...aim, step: exactText(aim.step) });
export const aimFrom = (data: AimData): Aim => ({ ...data, step: exact(data.step) });

/**
 * Block order as typed. Only a whole turn can be cut so, and only with a stride that meets every space.
 * Issues: those of the parser; stride-shares, stride-part-turn
 */
export function readStride(typed: Measure, aim: Aim): Result<number> {
  if (typed.typed.trim() === '') return ok(1);
  const most = Math.max(1, aim.spaces - 1);
  const read = parseCount({ given: typed, what: 'Block order', least: 1, most });
  if (!read.ok || read.value === 1) return read;
  const issue = { path: '', severity: 'wrong', given: typed.typed } as const;
  if (!aim.full) return fail({ ...issue, code: 'stride-part-turn' });
  const shared = greatestCommon(read.value, aim.spaces);
  if (shared === 1) return read;
  const allowed = nearestStrides(read.value, aim.spaces).join(' or ');
  const found: Issue = {
    ...issue,
    code: 'stride-shares',
    allowed,
    detail: { spaces: aim.spaces, cut: aim.spaces / shared },
  };
  return fail(found);
}

/** Strides near one that shares a factor with the count, and that do not. */
function nearestStrides(stride: number, spaces: number): number[] {
  const serves = (k: number) => k > 1 && greatestCommon(k, spaces) === 1;
  const look = (step: 1 | -1) => {
    for (let k = stride + step; k > 0 && k < spaces; k += step) if (serves(k)) return k;
    return null;
  };
  return [look(-1), look(1)].filter((k) => k !== null);
}
