import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { foldRun, runEventSchema, type Run, type RunEvent } from '../core/run/index.ts';
import { startServer } from '../server/start.ts';
import { compare, inMicroseconds, report } from './measure.ts';

const jobOf = (id: string, teeth: number) =>
  withSpurPart(drawnSpurJob({ id, name: id, pitch: '0.5', teeth, face: '4', bore: '3' }), 'p1', (part) => ({
    ...part,
    cut: { ...part.cut, passes: 'rough-finish', finishStock: { typed: '0.1', unit: 'mm' } },
  }));

const eventsOf = (run: Run): RunEvent[] =>
  run.cuts.map(({ round, index }, i) => ({
    id: `${run.id}-${i}`,
    runId: run.id,
    device: 'bench',
    deviceSeq: i + 1,
    lastSeen: {},
    clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i)).toISOString(),
    kind: 'done',
    round,
    index,
  }));

/** The same, each cut after a move of a motor. */
const motorEventsOf = (run: Run): RunEvent[] =>
  eventsOf(run).flatMap((event, i) => {
    const { round, index } = run.cuts[i]!;
    const sent = {
      kind: 'sent',
      round,
      index,
      steps: i * 360,
      rest: i * 360,
      how: 'there',
      by: 'Motor',
    } as const;
    const own = { ...event, id: `${event.id}-sent`, deviceSeq: 2 * i + 1 };
    return [
      { ...own, ...sent },
      { ...event, deviceSeq: 2 * i + 2 },
    ];
  });

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** The page of a long run in the logbook beside that of a short one; and what a count costs the screen. */
export async function benchLogbook(): Promise<boolean> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vuelta-bench-'));
  const server = await startServer(
    {
      host: '127.0.0.1',
      port: 0,
      dataFolder: folder,
      workshop: 'own',
      webFolder: folder,
      version: '',
      copies: { keep: 0, hours: 24 },
      certificate: null,
      takeCopy: false,
    },
    pino({ level: 'silent' }),
  );
  const ask = async <T>(method: string, address: string, body?: object): Promise<T> => {
    const response = await fetch(`${server.address}/api${address}`, {
      method,
      ...(body ? { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } } : {}),
    });
    if (!response.ok) throw new Error(await response.text());
    return (await response.json()) as T;
  };
  const runs: Run[] = [];
  for (const teeth of [20, 400]) {
    const id = `teeth-${teeth}`;
    await ask('PUT', `/jobs/${id}`, { revision: 0, job: jobOf(id, teeth) });
    const { run } = await ask<{ run: Run }>('POST', `/jobs/${id}/runs`, {
      id: `run-${teeth}`,
      partId: 'p1',
      revision: 1,
    });
    await ask('POST', `/runs/${run.id}/events`, { events: eventsOf(run) });
    runs.push(run);
  }
  const [few, many] = runs as [Run, Run];
  const { run: byMotor } = await ask<{ run: Run }>('POST', '/jobs/teeth-400/runs', {
    id: 'run-motor',
    partId: 'p1',
    revision: 1,
  });
  await ask('POST', '/runs/run-motor/events', { events: motorEventsOf(byMotor) });
  const times: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < 60; i += 1)
    for (const [j, run] of [few, many, byMotor].entries()) {
      const started = performance.now();
      await ask('GET', `/log/${run.id}`);
      if (i >= 10) times[j]!.push(performance.now() - started);
    }
  const [short, long, sent] = times.map(median) as [number, number, number];
  const { run: fresh } = await ask<{ run: Run }>('POST', '/jobs/teeth-400/runs', {
    id: 'run-fresh',
    partId: 'p1',
    revision: 1,
  });
  const counts = await benchCounts(ask, fresh, many);
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  const kept = report(
    'opening the log of a 400-tooth, two-pass run beside a 20-tooth one',
    long / short,
    { atMost: 3 },
    `${long.toFixed(2)} ms : ${short.toFixed(2)} ms`,
  );

  const motorKept = report(
    'opening the log of a run by motor beside the same run by hand, 800 cuts',
    sent / long,
    { atMost: 1.2 },
    `${sent.toFixed(2)} ms : ${long.toFixed(2)} ms`,
  );

  // one more count: the whole state is folded anew, and must be there before the next picture is drawn
  const events = eventsOf(many);
  const raw = events.map((event) => JSON.parse(JSON.stringify(event)) as unknown);
  const folding = compare({
    name: 'fold',
    work: () => foldRun(many, events),
    yardstick: () => raw.map((event) => runEventSchema.parse(event)),
  });
  return (
    report(
      'the state of 800 counts folded anew at a count, beside reading those counts once',
      folding.work / folding.yardstick,
      { atMost: 3 },
      inMicroseconds(folding),
    ) &&
    counts &&
    motorKept &&
    kept
  );
}

/** So many whole turns ticked off by a screen, numbered on from those it has made. */
const turnsOf = ({ id }: Run, from: number, many: number): RunEvent[] =>
  Array.from({ length: many }, (_, i) => ({
    id: `${id}-turn-${from + i}`,
    runId: id,
    device: 'second',
    deviceSeq: from + i,
    lastSeen: {},
    clientTime: '2026-11-25T10:00:00Z',
    kind: 'turn',
    round: 1,
    index: 1 + ((from + i) % 400),
    turn: 1,
  }));

/** One count more of a run that has thirty, beside one more of a run that has three thousand. */
async function benchCounts(
  ask: (method: string, address: string, body?: object) => Promise<unknown>,
  few: Run,
  many: Run,
): Promise<boolean> {
  const append = (run: Run, from: number, how: number) =>
    ask('POST', `/runs/${run.id}/events`, { events: turnsOf(run, from, how) });
  const next = new Map([
    [few, 31],
    [many, 1],
  ]);
  await append(few, 1, 30);
  for (; next.get(many)! < 2200; next.set(many, next.get(many)! + 100))
    await append(many, next.get(many)!, 100);
  const times = new Map<Run, number[]>([
    [few, []],
    [many, []],
  ]);
  for (let i = 0; i < 60; i += 1)
    for (const run of [few, many]) {
      const seq = next.get(run)!;
      next.set(run, seq + 1);
      const started = performance.now();
      await append(run, seq, 1);
      if (i >= 10) times.get(run)!.push(performance.now() - started);
    }
  const [short, long] = [median(times.get(few)!), median(times.get(many)!)];
  return report(
    'a count of a run that has 3000 events beside one of a run that has 30, over HTTP',
    long / short,
    { atMost: 1.5 },
    `${long.toFixed(2)} ms : ${short.toFixed(2)} ms`,
  );
}
