import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withSpurPart } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import {
  digestOf,
  freezeRun,
  outcomeOf,
  runDigestSchema,
  tallyOf,
  type Run,
  type RunAct,
  type RunEvent,
} from '../run/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import type { LogEntry } from '../wire/index.ts';
import { compareRuns, logTable, logWords, measuredText } from './index.ts';

function runOf(id: string, name: string, teeth = 24, scratch = false): Run {
  const job = withSpurPart(
    drawnSpurJob({ id: `j-${id}`, name, pitch: '1.5', teeth, face: '12', bore: '10' }),
    'p1',
    (part) => ({
      ...part,
      cut: { ...part.cut, scratch },
      setup: { ...part.setup, cutterDiameter: measure('60', 'mm') },
    }),
  );
  return need(
    freezeRun({
      job,
      planned: plan(job, STOCK_EQUIPMENT),
      shop: STOCK_EQUIPMENT,
      start: {
        runId: id,
        jobRevision: 1,
        partId: 'p1',
        piece: { kind: id === 'r2' ? 'proof' : 'work', name: id === 'r2' ? 'brass offcut' : '' },
      },
    }),
  );
}

const SECONDS = 30;
const eventsOf = (run: Run, acts: readonly RunAct[]): RunEvent[] =>
  acts.map((act, i) => ({
    id: `${run.id}-${i}`,
    runId: run.id,
    device: 'd',
    deviceSeq: i + 1,
    lastSeen: {},
    clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i * SECONDS)).toISOString(),
    ...act,
  }));
const doneUpTo = (run: Run, n: number): RunAct[] =>
  run.cuts.slice(0, n).map(({ round, index }) => ({ kind: 'done', round, index }));
const entryOf = (run: Run, acts: readonly RunAct[]): LogEntry => ({
  runId: run.id,
  jobId: run.jobId,
  partId: run.partId,
  startedAt: '2026-11-25T09:00:00Z',
  updatedAt: '2026-11-25T10:00:00Z',
  digest: digestOf(tallyOf(run, eventsOf(run, acts))),
});

describe('the digest of a run', () => {
  const run = runOf('r1', 'Second wheel', 24, true);
  const acts: RunAct[] = [
    ...doneUpTo(run, 24),
    { kind: 'tried', fits: true },
    ...doneUpTo(run, 28).slice(24),
    { kind: 'take-back', ids: ['r1-28'] },
    { kind: 'note', round: 2, index: 4, text: 'Second coat of dye', reset: true },
    { kind: 'pause' },
    { kind: 'resume', ids: ['r1-31'], reason: 'Telephone' },
    { kind: 'landing', round: 2, index: 4, said: 3, right: false },
    { kind: 'landing', round: 2, index: 4, said: 4, right: true },
  ];
  const digest = digestOf(tallyOf(run, eventsOf(run, acts)));
  test('says what happened, without a single count', () => {
    expect(digest).toMatchObject({
      jobName: 'Second wheel',
      done: 27,
      total: 48,
      scratch: true,
      closed: null,
      perCut: SECONDS,
      takenBack: 1,
      screens: 1,
      asked: 2,
      wrong: 1,
      notes: [{ space: 4, text: 'Second coat of dye', reset: true }],
      interruptions: [{ reason: 'Telephone', seconds: SECONDS }],
    });
    expect(JSON.stringify(digest)).not.toContain('landing":');
    expect(digest.card.map(({ title }) => title)).toContain('Set-up');
  });
  test('rests as it is and can be read again', () => {
    expect(runDigestSchema.parse(JSON.parse(JSON.stringify(digest)))).toEqual(digest);
  });
  test('is the same however the events arrived', () => {
    expect(digestOf(tallyOf(run, eventsOf(run, acts).reverse()))).toEqual(digest);
  });
  test('of a run that nobody has begun', () => {
    const none = digestOf(tallyOf(run, []));
    expect(none).toMatchObject({ done: 0, first: null, last: null, perCut: null, counted: 0, notes: [] });
    expect(runDigestSchema.safeParse(none).success).toBe(true);
  });
  test('what was measured is kept each time, and what was taken back is not', () => {
    const plain = runOf('r8', 'Plain');
    const span = (read: number, verdict: string): RunAct => ({
      kind: 'measured',
      readings: [{ name: 'Span over teeth', read, should: 21.505 }],
      verdict,
    });
    const measured = [
      span(21.6, 'thick'),
      span(2.16, ''),
      { kind: 'take-back' as const, ids: ['r8-1'] },
      span(21.5, 'good'),
    ];
    const { digest } = entryOf(plain, measured);
    expect(digest.measured.map(({ verdict }) => verdict)).toEqual(['thick', 'good']);
    expect(digest).toMatchObject({ done: 0, screens: 0, counted: 0 });
    expect(measuredText(digest.measured[1]!, 'in')).toBe(
      'Span over teeth 0.8465 in, should be 0.8467 in; good',
    );
  });
  test('a check half-way is kept with what it should have been', () => {
    const plain = runOf('r9', 'Plain');
    const at = { round: 1, index: 13 };
    const good = digestOf(
      tallyOf(plain, eventsOf(plain, [...doneUpTo(plain, 13), { kind: 'checked', ...at, read: [27.58] }])),
    );
    expect(good.checks).toMatchObject([{ space: 13, read: [27.58], good: true }]);
    const slip = digestOf(
      tallyOf(
        plain,
        eventsOf(plain, [...doneUpTo(plain, 13), { kind: 'checked', ...at, read: [27.58, 30.94] }]),
      ),
    );
    expect(slip.checks[0]!.good).toBe(false);
    const passed = digestOf(
      tallyOf(plain, eventsOf(plain, [...doneUpTo(plain, 13), { kind: 'checked', ...at, read: null }])),
    );
    expect(passed.checks[0]).toMatchObject({ read: null, good: null });
  });
});

describe('finding and comparing runs', () => {
  const [one, two, three] = [
    runOf('r1', 'Second wheel'),
    runOf('r2', 'Second wheel'),
    runOf('r3', 'Moon wheel', 66),
  ];
  const entries = [
    entryOf(one, [...doneUpTo(one, 24), { kind: 'closed', fits: true }]),
    entryOf(two, [...doneUpTo(two, 10), { kind: 'note', round: 1, index: 10, text: 'Mandrel slipped' }]),
    entryOf(three, []),
  ];
  test('by every word on its page, written plainly; and how it ended', () => {
    const found = (word: string) => entries.filter(({ digest }) => logWords(digest).includes(word)).length;
    expect(found('second wheel')).toBe(2);
    expect(found('mandrel slipped')).toBe(1);
    expect(found('66 teeth')).toBe(1);
    expect(found('offcut')).toBe(1);
    expect(found('Mandrel')).toBe(0);
    expect(entries.map(({ digest }) => outcomeOf(digest))).toEqual(['closes', 'going', 'not-begun']);
  });
  test('side by side, with what differs', () => {
    const lines = compareRuns(entries[0]!, entries[1]!);
    const differs = lines.filter((line) => line.differs).map(({ label }) => label);
    expect(differs).toEqual(['Piece', 'Ended', 'Cuts', 'Counted time', 'Notes']);
    expect(lines.find(({ label }) => label === 'Cuts')).toMatchObject({ a: '24 of 24', b: '10 of 24' });
    expect(compareRuns(entries[0]!, entries[0]!).some((line) => line.differs)).toBe(false);
  });
  test('as a table: one row a run, every row as long as the heading', () => {
    const [heading, ...rows] = logTable(entries);
    expect(rows).toHaveLength(3);
    expect(rows.every((row) => row.length === heading!.length)).toBe(true);
    expect(rows[1]).toEqual(expect.arrayContaining(['brass offcut', 'yes', '10: Mandrel slipped']));
  });
});
