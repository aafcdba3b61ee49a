import { recordOf, type MeasuredRecord } from '../../core/inspect/index.ts';
import { plan, stationOf } from '../../core/plan/index.ts';
import { foldRun, type Piece, type RunAct, type RunEvent } from '../../core/run/index.ts';
import type { Services } from '../routes/index.ts';
import { demoDevices } from './devices.ts';
import { demoShop } from './shop.ts';
import { demoJobs, type DemoJob } from './workshop.ts';

/**
 * Fills an empty demo store through the same services the page uses. A store that has jobs is left as it is.
 */
export async function seedDemo({ jobs, runs, shop, devices }: Services): Promise<void> {
  if (!(await jobs.areNone())) return;
  await shop.save(0, demoShop);
  for (const device of demoDevices) await devices.save(device.id, device);
  for (const { job, proof, run } of demoJobs()) {
    const { revision } = await jobs.save(0, job);
    if (proof)
      await seedRun({
        runs,
        jobId: job.id,
        revision,
        made: proof,
        piece: { kind: 'proof', name: 'brass offcut' },
      });
    if (run) await seedRun({ runs, jobId: job.id, revision, made: run, piece: { kind: 'work', name: '' } });
    const inspect = run?.closed ? stationOf(plan(job, demoShop).parts[0]!, 'inspect') : null;
    const record = inspect && recordOf(inspect.detail, job.units);
    if (record) await runs.append(`run-${job.id}`, [writtenAtTheBench(`run-${job.id}`, record)]);
  }
}

const writtenAtTheBench = (runId: string, record: MeasuredRecord): RunEvent => ({
  id: `${runId}-measured`,
  runId,
  device: 'demo-bench',
  deviceSeq: 1,
  lastSeen: {},
  clientTime: new Date(Date.UTC(2026, 10, 12, 11, 5)).toISOString(),
  kind: 'measured',
  ...record,
});

async function seedRun({
  runs,
  jobId,
  revision,
  made,
  piece,
}: {
  readonly runs: Services['runs'];
  readonly jobId: string;
  readonly revision: number;
  readonly made: NonNullable<DemoJob['run']>;
  readonly piece: Piece;
}): Promise<void> {
  const { run } = await runs.start(jobId, {
    id: piece.kind === 'proof' ? `proof-${jobId}` : `run-${jobId}`,
    partId: 'p1',
    revision,
    piece,
  });
  const events: RunEvent[] = [];
  const add = (act: RunAct) => {
    const n = events.length + 1;
    events.push({
      id: `${run.id}-${n}`,
      runId: run.id,
      device: 'demo-screen',
      deviceSeq: n,
      lastSeen: {},
      clientTime: new Date(
        Date.UTC(2026, 10, piece.kind === 'proof' ? 11 : 12, 9, 0, (piece.kind === 'proof' ? 32 : 40) * n),
      ).toISOString(),
      ...act,
    });
  };
  for (const { round, index } of run.cuts.slice(0, made.cuts)) add({ kind: 'done', round, index });
  const { next } = foldRun(run, events);
  for (let stage = 1; next && stage <= (made.strokes ?? 0); stage += 1)
    add({ kind: 'stroke', round: next.round, index: next.index, stage });
  for (const text of made.notes ?? [])
    add({ kind: 'note', round: next?.round ?? 1, index: next?.index ?? 1, text });
  if (made.interrupted) {
    add({ kind: 'pause' });
    add({ kind: 'resume', ids: [events.at(-1)!.id], reason: made.interrupted });
  }
  if (made.paused) add({ kind: 'pause' });
  if (made.closed) add({ kind: 'closed', fits: true });
  await runs.append(run.id, events);
}
