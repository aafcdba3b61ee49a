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
  | 'negative'
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
  | 'pitches-impossible'
  | 'pitches-at-odds'
  | 'helix-needs-mate'
  | 'helix-transverse-centre'
  | 'helix-centre-short'
  | 'helix-centre-long'
  | 'helix-crossed-none'
  | 'helix-lead-short'
  | 'helix-two-angles'
  | 'shafts-at-odds'
  | 'shafts-needed'
  | 'pair-angles-differ'
  | 'pair-hands-same'
  | 'pair-pitches-differ'
  | 'pair-pressure-differs'
  | 'pair-depths-differ'
  | 'crossed-centre-off'
  | 'thinning-too-much'
  | 'mesh-too-close'
  | 'mesh-binds'
  | 'mesh-bottoms'
  | 'mesh-interferes'
  | 'mesh-barely'
  | 'blank-off-nominal'
  | 'blank-far-off'
  // sample
  | 'tip-under-bore'
  | 'tips-at-odds'
  | 'spans-contradict'
  | 'span-alone'
  | 'sample-unit'
  | 'survivors-over-turn'
  | 'stock-used-up'
  | 'stock-too-small'
  | 'room-short'
  | 'sample-says-other'
  | 'angle-assumed'
  | 'ratio-not-one'
  // cutter
  | 'below-cutter-range'
  | 'cutter-number-bad'
  | 'tooth-range-bad'
  | 'cutter-pitch'
  | 'cutter-angle'
  | 'cutter-range'
  | 'cutter-school'
  | 'cutter-unnumbered'
  | 'cutter-diameter-unknown'
  | 'gash-cutter-unknown'
  | 'hand-unasked'
  | 'cutter-left-shop'
  | 'cutter-changed'
  | 'cutter-shrinks'
  | 'cutter-axial-pitch'
  // dividing
  | 'no-head'
  | 'no-plates'
  | 'no-simple-indexing'
  // lead
  | 'lead-head-not-geared'
  | 'lead-no-gears'
  | 'lead-gears-one'
  | 'lead-no-mill'
  | 'lead-screw-unknown'
  | 'lead-out-of-reach'
  | 'lead-off'
  | 'lead-train-lacks'
  | 'lead-bracket'
  | 'table-swing-short'
  | 'table-no-swing'
  | 'table-column'
  | 'head-no-tilt'
  | 'lead-no-indexing'
  | 'choice-not-with-lead'
  | 'choice-no-longer-divides'
  | 'choice-not-on-head'
  | 'choice-not-geared'
  | 'head-left-shop'
  | 'head-changed'
  | 'circle-bad'
  | 'plate-twice'
  | 'no-mill'
  | 'angle-not-simple'
  | 'choice-lacks'
  | 'stride-shares'
  | 'stride-part-turn'
  | 'holes-touch'
  | 'ring-fouls'
  | 'chart-letter-twice'
  | 'travel-short'
  | 'stepper-changed'
  | 'gears-changed'
  | 'mill-changed'
  | 'mill-left-shop'
  // worm and wheel
  | 'worm-threads-across'
  | 'worm-centre-none'
  | 'worm-centre-short'
  | 'worm-thin'
  | 'worm-thread-pointed'
  | 'worm-depth-odd'
  | 'worm-steep'
  | 'worm-slender'
  | 'wheel-undercut'
  | 'starts-over-wheel'
  | 'worm-short'
  | 'drive-differs'
  | 'no-lathe'
  | 'lathe-screw-unknown'
  | 'lathe-box-bad'
  | 'lathe-no-gears'
  | 'lathe-gears-lack'
  | 'lathe-out-of-reach'
  | 'lathe-off'
  | 'lathe-stud'
  | 'lathe-changed'
  | 'lathe-left-shop'
  | 'starts-way'
  | 'box-bad'
  | 'rim-chamfer-root'
  | 'gash-no-mill'
  | 'gash-too-steep'
  | 'gash-steep'
  | 'gash-corners'
  | 'gash-hollow-straight'
  | 'hob-stock-deep'
  | 'hob-flutes-share'
  | 'cutter-under-worm'
  // spacing
  | 'angle-over-turn'
  | 'angles-overlap'
  | 'marks-too-coarse'
  | 'flats-over-stock'
  | 'flats-odd'
  | 'flats-corners-lost'
  | 'flats-depth-other'
  // shop
  | 'ratio-bad'
  | 'name-twice'
  | 'no-such-head'
  | 'no-such-gears'
  | 'gear-owned-none'
  | 'steps-bad'
  | 'speed-bad'
  | 'table-other'
  | 'table-columns'
  | 'table-empty'
  | 'word-unknown'
  // cut
  | 'finish-stock-too-deep'
  | 'start-space-out-of-range'
  | 'not-ready-to-cut'
  | 'continue-other'
  | 'continue-none'
  | 'continue-order'
  | 'deepen-other'
  // set-up
  | 'setup-size-far'
  | 'setup-no-room'
  | 'setup-cutter-small'
  | 'setup-left-shop'
  | 'mandrel-fit'
  | 'speed-none'
  | 'readings-few'
  | 'runout-far'
  | 'along-far'
  | 'along-alone'
  | 'keyway-cutter'
  // inspect
  | 'inspect-far'
  | 'inspect-disagree'
  | 'inspect-thick'
  | 'inspect-thin'
  // documents
  | 'not-json'
  | 'cut-short'
  | 'not-a-job'
  | 'not-a-backup'
  | 'strange-host'
  | 'strange-origin'
  | 'not-sent-as-json'
  | 'body-unreadable'
  | 'address-bad'
  | 'quote-open'
  | 'stored-unreadable'
  | 'figure-beyond'
  | 'size-unlikely'
  | 'list-dash'
  | 'not-paired'
  | 'pairing-wrong'
  | 'pairing-wait'
  | 'later-version'
  | 'shape'
  | 'too-large'
  | 'stale-revision'
  | 'not-found'
  | 'event-from-other-run'
  | 'event-id-reused'
  | 'event-names-no-cut';

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
export function at(path: string, issues: readonly Issue[]): Issue[] {
  return issues.map((issue) => ({ ...issue, path: issue.path ? `${path}.${issue.path}` : path }));
}
