/**
 * What can be wrong with something a person gave us, as data. The words live in messages.ts alone.
 *
 * - `needed`: nothing was given yet; the station stays open, nothing is refused.
 * - `wrong`: cannot be used; refused at the boundary, the last good document stays stored.
 * - `blocked`: what was given is right, and this station has no answer to it (no circle divides the count).
 * - `query`: usable, but a machinist would ask before cutting metal: the station is in doubt until settled.
 * - `note`: worth knowing; changes nothing.
 */
export type Severity = 'needed' | 'wrong' | 'blocked' | 'query' | 'note';

export interface Issue {
  readonly code: IssueCode;
  /** Dotted path from the job document, with part ids: `parts.p1.gear.teeth`. Empty: the whole thing. */
  readonly path: string;
  readonly severity: Severity;
  /** What was given, as typed. */
  readonly given?: string;
  /** What would be right. */
  readonly allowed?: string;
  /** Figures that the sentence needs, already worded. */
  readonly detail?: Readonly<Record<string, string>>;
}

export type IssueCode =
  // typing
  | 'missing'
  | 'not-a-number'
  | 'unit-unknown'
  | 'unit-wrong-kind'
  | 'units-mixed'
  | 'divided-by-zero'
  | 'not-whole'
  | 'out-of-range'
  | 'not-positive'
  // gear and blank
  | 'pitch-slip'
  | 'pitch-not-standard'
  | 'pitch-look-alike'
  | 'bore-over-root'
  | 'bore-near-root'
  | 'depth-under-addendum'
  | 'depth-over-root'
  | 'depth-unusual'
  | 'undercut'
  | 'addendum-missing'
  // cutter
  | 'below-cutter-range'
  // dividing
  | 'no-head'
  | 'no-plates'
  | 'no-simple-indexing'
  | 'choice-no-longer-divides'
  | 'choice-not-on-head'
  | 'choice-not-geared'
  | 'head-left-shop'
  | 'head-changed'
  | 'circle-bad'
  | 'plate-twice'
  // cut
  | 'finish-stock-too-deep'
  | 'start-space-out-of-range'
  | 'not-ready-to-cut'
  // documents
  | 'not-json'
  | 'cut-short'
  | 'not-a-job'
  | 'later-version'
  | 'shape'
  | 'too-large'
  | 'stale-revision'
  | 'not-found'
  | 'event-from-other-run'
  | 'event-id-reused'
  | 'event-names-no-cut';

/** Puts issues found inside something at the place where that something stands in the document. */
export function at(path: string, issues: readonly Issue[]): Issue[] {
  return issues.map((issue) => ({ ...issue, path: issue.path ? `${path}.${issue.path}` : path }));
}
