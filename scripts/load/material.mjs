/** Jobs and questions for measuring. */
import { createHash } from 'node:crypto';

const core = (folder) => import(`../../dist/node/core/${folder}/index.js`);
const [{ drawnSpurJob }, { STOCK_EQUIPMENT }] = await Promise.all([core('job'), core('shop')]);

export const ofJob = (id) =>
  drawnSpurJob({ id, name: `Wheel ${id}`, pitch: '1.25', teeth: 58, face: '12', bore: '10' });

/** All the plates that may be listed, and two hundred gears. */
function everything() {
  const [head] = STOCK_EQUIPMENT.heads;
  const side = (k) => ({ circles: Array.from({ length: 60 }, (_, i) => 15 + ((k * 60 + i) % 480)) });
  const plates = Array.from({ length: 60 }, (_, i) => ({
    ...head.plates[0],
    id: `x${i}`,
    name: `X${i}`,
    sides: [side(2 * i), side(2 * i + 1)],
  }));
  const gears = Array.from({ length: 200 }, (_, i) => ({ teeth: 20 + i, count: 1 }));
  return {
    ...STOCK_EQUIPMENT,
    heads: [{ ...head, plates }],
    gearSets: STOCK_EQUIPMENT.gearSets.map((set) => ({ ...set, gears })),
  };
}
const equipment = everything();
const heavy = drawnSpurJob({ id: 'heavy', name: 'Heavy', pitch: '1', teeth: 997, face: '10', bore: '3' });

export const heavyQuestion = () => ({ job: { ...heavy, equipment }, equipment });

/** A backup as it is written, a row a line, with the hash of what stands before it. */
function inLines({ jobs, kept, runs, pictures, shop, ...head }) {
  const list = (name, rows) => `"${name}":[${rows.map((row) => `\n${JSON.stringify(row)}`).join(',')}]`;
  const parts = [
    JSON.stringify(head).slice(0, -1),
    `"shop":${JSON.stringify(shop)}`,
    ...[list('jobs', jobs), list('kept', kept), list('runs', runs), list('pictures', pictures)],
  ];
  const text = parts.join(',\n');
  return `${text},\n"sha256":"${createHash('sha256').update(text).digest('hex')}"}\n`;
}

/** A backup with so many jobs, each with a run of sixty counts, made of the first in another. */
export function clones({ format, version, at, shop, jobs, runs }, many, stamp) {
  const [job] = jobs;
  const run = runs.find(({ run: { id } }) => id === 'q0');
  const events = Array.from({ length: 58 }, (_, i) => ({
    ...{ deviceSeq: i + 1, lastSeen: {}, kind: 'done', round: 1, index: i + 1 },
    clientTime: at,
  }));
  const each = (make) => Array.from({ length: many }, (_, i) => make(`${stamp}-${i}`, i));
  return inLines({
    ...{ format, version, at, shop },
    kept: [],
    pictures: [],
    jobs: each((id, i) => ({
      ...job,
      updatedAt: new Date(Date.parse(at) - i * 60_000).toISOString(),
      job: { ...job.job, id, name: `Lens wheel ${i}`, person: `Hand ${i % 7}`, tags: [`tag ${i % 40}`] },
    })),
    runs: each((id, i) => ({
      ...run,
      startedAt: new Date(Date.parse(at) - i * 60_000).toISOString(),
      run: { ...run.run, id: `run-${id}`, jobId: id, jobName: `Lens wheel ${i}` },
      events: events.map((event) => ({
        ...event,
        id: `${id}-${event.deviceSeq}`,
        runId: `run-${id}`,
        device: `d-${stamp}`,
      })),
      eventsRaw: [],
    })),
  });
}
