import type { MeasuredRecord } from '../inspect/index.ts';
import { plainWords } from '../job/index.ts';
import { outcomeOf, OUTCOMES, type RunDigest } from '../run/index.ts';
import { lengthText, type UnitSystem } from '../units/index.ts';
import type { LogEntry } from '../wire/index.ts';

/** Everything written on a page of the logbook, as one plain text to search in. */
export function logWords(digest: RunDigest): string {
  const { jobName, gear, move, head, method, piece, card, notes, interruptions, measured } = digest;
  return plainWords(
    [
      jobName,
      gear,
      move,
      head,
      method,
      piece.name,
      ...card.map(({ title, answer }) => `${title} ${answer}`),
      ...notes.map(({ text }) => text),
      ...interruptions.map(({ reason }) => reason),
      digest.ended?.reason ?? '',
      ...measured.map(({ verdict }) => verdict),
    ].join(' '),
  );
}

/** Two runs line by line: what is the same in both, and what is not. */
export interface ComparedLine {
  readonly label: string;
  readonly a: string;
  readonly b: string;
  readonly differs: boolean;
}

/** One measuring in words: `Span over teeth 30.100 mm, should be 30.086 mm; good`. */
export function measuredText({ readings, verdict }: MeasuredRecord, units: UnitSystem): string {
  const mm = (value: number) => lengthText(value, units, 'fine');
  const told = readings.map(
    ({ name, read, should, by }) =>
      `${name} ${mm(read)}${by ? ` by ${by}` : ''}${should === null ? '' : `, should be ${mm(should)}`}`,
  );
  return [...told, ...(verdict === '' ? [] : [verdict])].join('; ');
}

const minutes = (seconds: number | null): string => (seconds === null ? '' : `${Math.round(seconds)} s`);

function linesOf({ digest }: LogEntry): ReadonlyMap<string, string> {
  const { card, piece, rounds, notes, interruptions, checks, measured, units } = digest;
  return new Map([
    ['Job', digest.jobName],
    ['Work', digest.gear],
    ['Piece', `${piece.kind === 'proof' ? 'proof ' : ''}${piece.name}`.trim()],
    ...card.map(({ title, answer }): [string, string] => [title, answer]),
    ['Rounds', rounds.map(({ name }) => name).join(', ')],
    ['Move', digest.move],
    ['Ended', [OUTCOMES[outcomeOf(digest)], digest.ended?.reason].filter(Boolean).join(': ')],
    ['Cuts', `${digest.done} of ${digest.total}`],
    ['A cut took', minutes(digest.perCut)],
    ['Counted time', `${Math.round(digest.counted / 60)} min`],
    ['Taken back', String(digest.takenBack)],
    ['Interruptions', String(interruptions.length)],
    [
      'Half-way',
      checks.map(({ good }) => (good === null ? 'passed over' : good ? 'good' : 'off')).join(', '),
    ],
    ['Measured', measured.map((one) => measuredText(one, units)).join(' · ')],
    ['Notes', notes.map(({ text }) => text).join(' · ')],
  ]);
}

export function compareRuns(a: LogEntry, b: LogEntry): readonly ComparedLine[] {
  const [left, right] = [linesOf(a), linesOf(b)];
  return [...new Set([...left.keys(), ...right.keys()])].map((label) => {
    const [one, two] = [left.get(label) ?? '', right.get(label) ?? ''];
    return { label, a: one, b: two, differs: one !== two };
  });
}

/** The logbook as a table for a spreadsheet, its heading first. */
export function logTable(entries: readonly LogEntry[]): readonly (readonly string[])[] {
  const heading = [
    'started',
    'job',
    'work',
    'piece',
    'proof',
    'head',
    'method',
    'move',
    'divisions',
    'rounds',
    'cuts',
    'of',
    'ended',
    'why ended',
    'seconds a cut',
    'minutes counted',
    'taken back',
    'interruptions',
    'measured',
    'notes',
    'run',
  ];
  const rows = entries.map(({ runId, startedAt, digest }) => [
    startedAt,
    digest.jobName,
    digest.gear,
    digest.piece.name,
    digest.piece.kind === 'proof' ? 'yes' : 'no',
    digest.head,
    digest.method,
    digest.move,
    String(digest.divisions),
    digest.rounds.map(({ name }) => name).join(' '),
    String(digest.done),
    String(digest.total),
    OUTCOMES[outcomeOf(digest)],
    digest.ended?.reason ?? '',
    digest.perCut === null ? '' : String(Math.round(digest.perCut)),
    (digest.counted / 60).toFixed(1),
    String(digest.takenBack),
    String(digest.interruptions.length),
    digest.measured.map((one) => measuredText(one, digest.units)).join(' | '),
    digest.notes.map(({ space, text }) => `${space}: ${text}`).join(' | '),
    runId,
  ]);
  return [heading, ...rows];
}
