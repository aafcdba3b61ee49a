import type { Issue, IssueCode } from './issue.ts';

const d = (issue: Issue, key: string) => issue.detail?.[key] ?? '';

/** Every sentence a person reads about something wrong, in one place: what is wrong, then what would be right. */
const sentences: Readonly<Record<IssueCode, (issue: Issue) => string>> = {
  missing: (i) => `Still needed: ${i.allowed}.`,
  'not-a-number': (i) => `“${i.given}” cannot be read. Write it like ${i.allowed}.`,
  'unit-unknown': (i) => `“${d(i, 'unit')}” is not a unit known here. Use ${i.allowed}.`,
  'unit-wrong-kind': (i) => `“${i.given}” is not ${d(i, 'wanted')}. Write it like ${i.allowed}.`,
  'units-mixed': (i) =>
    `In “${i.given}” some figures have a unit and some have none. Give each one its unit.`,
  'divided-by-zero': (i) => `“${i.given}” divides by zero. Check the figure under the stroke.`,
  'not-whole': (i) => `${d(i, 'what')} must be a whole number; ${i.given} is not. ${i.allowed}.`,
  'out-of-range': (i) => `${d(i, 'what')} of ${i.given} is out of range. ${i.allowed}.`,
  'not-positive': (i) => `${d(i, 'what')} must be more than zero; ${i.given} is not.`,
  'pitch-slip': (i) =>
    `${i.given} with these figures is ${d(i, 'why')}. If the drawing says ${d(i, 'other')}, the blank is ${d(i, 'otherBlank')}.`,
  'pitch-not-standard': (i) =>
    `${i.given} is not a standard pitch. Nearest: ${d(i, 'nearest')}. A stock cutter may not exist for it.`,
  'pitch-look-alike': (i) =>
    `${i.given} is close to ${d(i, 'other')}, and they do not run together: over ${d(i, 'teeth')} teeth the pitch line differs by ${d(i, 'drift')}.`,
  'bore-over-root': (i) =>
    `A bore of ${i.given} is larger than the root, ${d(i, 'root')}: no metal would be left under the teeth. Give a smaller bore, or check the pitch.`,
  'bore-near-root': (i) =>
    `Only ${d(i, 'wall')} of metal is left between bore and root. Below the whole depth, ${d(i, 'wanted')}, a tooth can tear out or a key has no room.`,
  'depth-under-addendum': (i) =>
    `A whole depth of ${i.given} leaves no clearance: it must be more than twice the addendum, ${d(i, 'twice')}.`,
  'depth-over-root': (i) =>
    `A whole depth of ${i.given} would cut past the centre of this blank (Ø ${d(i, 'blank')}).`,
  'depth-unusual': (i) =>
    `${i.given} is ${d(i, 'factor')} of the module; whole depths run from 1.8 to 2.4. Read the stamp again, or check its unit.`,
  undercut: (i) =>
    `Fewer than ${d(i, 'limit')} teeth at ${d(i, 'angle')}: a generated mate would undercut these. A form cutter copies its own shape, so the teeth come out, but the mate may dig in at the root: try the pair before relying on it.`,
  'addendum-missing': () => 'A depth typed from a book or print also needs its addendum.',
  'below-cutter-range': (i) =>
    `Standard sets start at 12 teeth; for ${i.given} a single-point tool has to be ground to the tooth space.`,
  'no-head': () => 'No dividing head is chosen. Pick one from the shop.',
  'no-plates': (i) =>
    `${d(i, 'head')} has no index plates listed. Add its plates, with the holes of each circle.`,
  'no-simple-indexing': (i) =>
    `${i.given} spaces cannot be had by simple indexing with these plates: ${d(i, 'need')}. ${i.allowed}`,
  'choice-no-longer-divides': (i) =>
    `${d(i, 'way')} was chosen for ${d(i, 'was')} and does not divide ${i.given}. Pick a way again.`,
  'choice-not-on-head': (i) =>
    `${d(i, 'way')} was chosen, and ${d(i, 'head')} has no such circle. Pick a way again.`,
  'choice-not-geared': (i) =>
    `${d(i, 'way')} was chosen, and ${d(i, 'head')} cannot be geared so: a gear is missing, or its plate cannot be set free. Pick a way again.`,
  'head-left-shop': (i) =>
    `${d(i, 'head')} is no longer in the shop. This job keeps its own copy and goes on with it.`,
  'head-changed': (i) =>
    `${d(i, 'head')} has changed in the shop since this job was planned. The job still uses the copy it was planned with.`,
  'circle-bad': (i) => `A circle of ${i.given} holes cannot be. ${i.allowed}.`,
  'plate-twice': (i) => `Two plates are called ${i.given}. Give each its own letter.`,
  'finish-stock-too-deep': (i) =>
    `Leaving ${i.given} for the finish pass is not possible: it must be more than zero and less than the whole depth, ${d(i, 'depth')}.`,
  'start-space-out-of-range': (i) => `The run cannot start at space ${i.given}. ${i.allowed}.`,
  'not-ready-to-cut': (i) => `Not ready to cut: ${i.allowed}.`,
  'not-json': (i) => `This is not a job file: it cannot be read as JSON (${d(i, 'where')}). ${i.allowed}`,
  'cut-short': () =>
    'This job file is cut short: it ends in the middle. Copy or download it again; nothing was changed.',
  'not-a-job': () =>
    'This file is JSON, and it is not a Vuelta job: it lacks the mark "format": "vuelta-job".',
  'later-version': (i) =>
    `This job file is of version ${i.given}; this Vuelta reads up to ${i.allowed}. Update Vuelta, then import it again.`,
  shape: (i) => `${d(i, 'what')}`,
  'too-large': (i) => `${d(i, 'what')} is larger than ${i.allowed}.`,
  'stale-revision': (i) =>
    `This job was changed somewhere else in the meantime (yours is ${i.given}, the stored one is ${i.allowed}). Both are kept.`,
  'not-found': (i) => `There is no ${d(i, 'what')} with the id ${i.given}.`,
  'event-from-other-run': (i) => `Event ${i.given} belongs to another run.`,
  'event-id-reused': (i) => `Event ${i.given} was stored before with other contents.`,
  'event-names-no-cut': (i) => `Event ${i.given} names a cut that this run does not have. ${i.allowed}.`,
};

/** The sentence for an issue: what is wrong and what would be right. */
export function sayIssue(issue: Issue): string {
  return sentences[issue.code](issue);
}
