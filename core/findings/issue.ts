import type { DetailNames, DetailOf, IssueCode, OwnFigures } from './details.ts';

/**
 * What can be wrong with something a person gave us, as data. The words live in core/messages alone.
 *
 * - `needed`: nothing was given yet; the station stays open, nothing is refused.
 * - `wrong`: cannot be used; refused at the boundary, the last good document stays stored.
 * - `blocked`: what was given is right, and this station has no answer to it (no circle divides the count).
 * - `query`: usable, but a machinist would ask before cutting metal: the station is in doubt until settled.
 * - `note`: worth knowing; changes nothing.
 */
export type Severity = 'needed' | 'wrong' | 'blocked' | 'query' | 'note';

/** An issue of one code, with the figures that its sentence needs. */
export type IssueOf<Code extends IssueCode> = Code extends IssueCode
  ? {
      readonly code: Code;
      /** Dotted path from the job document, with part ids: `parts.p1.gear.teeth`. Empty: the whole thing. */
      readonly path: string;
      readonly severity: Severity;
      /** What was given, as typed. */
      readonly given?: string;
      /** What would be right. */
      readonly allowed?: string;
    } & Readonly<Record<OwnFigures<Code>, string>> &
      ([DetailNames<Code>] extends [never]
        ? { readonly detail?: undefined }
        : { readonly detail: DetailOf<Code> })
  : never;

export type Issue = IssueOf<IssueCode>;

/** The figures of a code as arguments: none where its sentence needs none. */
export type FiguresOf<Code extends IssueCode> = [DetailNames<Code>] extends [never]
  ? readonly []
  : readonly [detail: DetailOf<Code>];

/** An issue whose code is an argument, with the figures that this code’s sentence needs. */
export function issueOf<Code extends IssueCode>(
  code: Code,
  where: Pick<Issue, 'path' | 'severity' | 'given' | 'allowed'>,
  ...[detail]: FiguresOf<Code>
): Issue {
  return { ...where, code, ...(detail === undefined ? {} : { detail }) } as Issue;
}

/** Found out only by a crash: a cutter, an arbor, a table or gears that strike something. */
const BREAKING: ReadonlySet<IssueCode> = new Set([
  'setup-no-room',
  'setup-cutter-small',
  'mandrel-fit',
  'table-column',
  'table-swing-short',
  'table-no-swing',
  'head-no-tilt',
  'lead-bracket',
]);

/** Does this, if it is so, break a tool, a machine or a hand? */
export const breaksThings = ({ code }: Issue): boolean => BREAKING.has(code);

/** Puts issues found inside something at the place where that something stands in the document. */
export function placedUnder(path: string, issues: readonly Issue[]): Issue[] {
  return issues.map((issue) => ({ ...issue, path: issue.path ? `${path}.${issue.path}` : path }));
}
