/**
 * One sample of each file that leaves Vuelta, into docs/examples: made by a demo workshop of its own, as a
 * person or a script gets them.
 */
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { build, install, root } from './ready.mjs';
import { openWorkshop } from './workshop.mjs';

install();
build();
const { FILE_NAMES } = await import('../dist/node/core/files/index.js');
const { drawnSpurJob, withSpurPart } = await import('../dist/node/core/job/index.js');
const { measure } = await import('../dist/node/core/units/index.js');
const folder = path.join(root, 'docs/examples');
mkdirSync(folder, { recursive: true });
for (const old of readdirSync(folder)) if (old !== 'README.md') rmSync(path.join(folder, old));

const keep = (name, content) => {
  writeFileSync(path.join(folder, name), content);
  console.log(`${name}: ${content.length} bytes`);
};
const text = (document) => `${JSON.stringify(document, null, 2)}\n`;

/** A small pinion with its mate, so that the drawings are small. */
const pinion = withSpurPart(
  drawnSpurJob({
    id: 'pinion',
    name: 'Lens carriage, pinion',
    pitch: '1.5',
    teeth: 12,
    face: '10',
    bore: '6',
  }),
  'p1',
  (part) => ({
    ...part,
    gear: { ...part.gear, mate: { ...part.gear.mate, teeth: measure('18', 'count') } },
  }),
);

const demo = await openWorkshop(4877, '--demo');
const own = await openWorkshop(4878);
try {
  const ask = async (shop, address, sent) => {
    const answer = await fetch(`${shop.address}/api${address}`, {
      ...(sent
        ? {
            method: sent.method,
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(sent.body),
          }
        : {}),
    });
    if (!answer.ok) throw new Error(`${address}: ${answer.status} ${await answer.text()}`);
    return Buffer.from(await answer.arrayBuffer());
  };
  const json = async (shop, address, sent) => JSON.parse((await ask(shop, address, sent)).toString());
  /** Which demo job has what the pinion has not. */
  const FROM = {
    sheet: 'demo-lens-second',
    rack: 'demo-lens-rack',
    worm: 'demo-carriage',
    wheel: 'demo-carriage',
    cutting: 'demo-lens-second',
  };
  for (const name of FILE_NAMES) {
    const job = FROM[name.split('.')[0]];
    const file = job
      ? await ask(demo, `/jobs/${job}/files/${name}`)
      : await ask(own, `/files/${name}`, { method: 'POST', body: { job: pinion } });
    keep(name, file);
  }
  await ask(own, '/jobs/pinion', { method: 'PUT', body: { revision: 0, job: pinion } });
  const { run } = await json(own, '/jobs/pinion/runs', {
    method: 'POST',
    body: { id: 'pinion-run', partId: 'p1', revision: 1 },
  });
  keep('job.json', await ask(own, '/jobs/pinion/export'));
  keep('run.json', text(run));
  keep('shop.json', text((await json(demo, '/shop')).equipment));
  const event = {
    kind: 'done',
    id: 'first-cut',
    runId: 'pinion-run',
    device: 'tablet',
    deviceSeq: 1,
    clientTime: '2026-11-11T09:30:00.000Z',
    lastSeen: {},
    round: 1,
    index: 1,
  };
  await ask(own, '/runs/pinion-run/events', { method: 'POST', body: { events: [event] } });
  keep('event.json', text(event));
  keep('backup.json', await ask(own, '/backup'));
} finally {
  await demo.close();
  await own.close();
}
