import type { Issue } from './issue.ts';

/** Expected failures are values: either the value, or every issue found (not only the first). */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (...issues: Issue[]): { readonly ok: false; readonly issues: readonly Issue[] } => ({
  ok: false,
  issues,
});

/** The value of a result that the caller has reason to know is good; a bug otherwise. */
export function need<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(`expected a value, found ${result.issues.map((issue) => issue.code).join(', ')}`);
}
