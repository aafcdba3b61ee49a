/**
 * What one server carries, measured on this machine: a class at the mills with heavy questions beside it, a
 * backup and a restore while others work, the cost of a count late in a long run, lists of few jobs and of
 * many. Prints tables for docs/performance.md. With a number of jobs: `npm run load -- 10000`.
 */
import { build, install } from './ready.mjs';
import { clones, heavyQuestion, ofJob } from './load/material.mjs';
import { openWorkshop } from './workshop.mjs';

install();
build();
const MANY = Number(process.argv[2] ?? 2000);
const TABLETS = 30;
const SECONDS = 20;
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** @returns a figure of times in ms: half of them, and ninety-nine in a hundred, are no longer */
function told(times) {
  const rising = [...times].sort((a, b) => a - b);
  const at = (part) => rising[Math.min(rising.length - 1, Math.floor(part * rising.length))] ?? 0;
  return { p50: at(0.5), p99: at(0.99), most: rising.at(-1) ?? 0, count: rising.length };
}
const ms = (value) => value.toFixed(value < 10 ? 1 : 0);
const row = (name, { p50, p99, most, count }) =>
  console.log(`| ${name} | ${count} | ${ms(p50)} | ${ms(p99)} | ${ms(most)} |`);
const heading = (title) =>
  console.log(
    `\n${title}\n\n| asked | times | half within, ms | 99 % within, ms | longest, ms |\n|---|---|---|---|---|`,
  );

const shop = await openWorkshop(4877);
const ask = async (method, address, body) => {
  const response = await fetch(`${shop.address}/api${address}`, {
    method,
    ...(body === undefined
      ? {}
      : {
          body: typeof body === 'string' ? body : JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
        }),
  });
  const text = await response.text();
  if (!response.ok) throw new Error(`${method} ${address}: ${response.status} ${text.slice(0, 300)}`);
  return text;
};
const timed = async (times, what) => {
  const started = performance.now();
  await what();
  times.push(performance.now() - started);
};
/** Asks over and over until told to stop. */
async function keepAsking(until, what, pause = 10) {
  const times = [];
  while (!until.done) {
    await timed(times, what);
    await wait(pause);
  }
  return times;
}
/** What others wait while something long is done. */
async function beside(long) {
  const until = { done: false };
  const asking = keepAsking(until, () => ask('GET', '/jobs'));
  const started = performance.now();
  await long();
  const took = performance.now() - started;
  until.done = true;
  return { took, times: await asking };
}

const job = ofJob('lens');
await ask('PUT', '/jobs/lens', { revision: 0, job });
const startRun = (id) => ask('POST', '/jobs/lens/runs', { id, partId: 'p1', revision: 1 });
const event = (runId, device, seq, act) => ({
  ...{ id: `${runId}-${device}-${seq}`, runId, device, deviceSeq: seq, lastSeen: {} },
  clientTime: new Date(Date.UTC(2026, 10, 12, 9, 0, seq)).toISOString(),
  ...act,
});
const append = (runId, ...events) => ask('POST', `/runs/${runId}/events`, { events });

// a count late in a long run beside one early: the same ten cuts taken back and made again
await startRun('long');
const early = [];
const late = [];
for (let seq = 1; seq <= 3030; seq += 1) {
  const note = { kind: 'note', round: 1, index: 1, text: `note ${seq}` };
  const tick = { kind: 'turn', round: 1, index: 1 + (seq % 50), turn: 1 };
  const one = event('long', 'bench', seq, seq % 40 === 0 ? note : tick);
  const times = seq > 20 && seq <= 50 ? early : seq > 3000 ? late : [];
  await timed(times, () => append('long', one));
}
heading('A count of a long run');
row('event 21 to 50', told(early));
row('event 3001 to 3030', told(late));

/** A class at its mills, each counting once a second; each from a run of its own. */
async function classOf(tablets, seconds, heavy) {
  const appends = [];
  const until = { done: false };
  const asked = [];
  const stamp = heavy ? 'h' : 'q';
  await Promise.all(Array.from({ length: tablets }, (_, i) => startRun(`${stamp}${i}`)));
  const asking = heavy
    ? keepAsking(
        until,
        async () => {
          await timed(asked, () => ask('POST', '/ways', heavyQuestion()).catch(() => null));
        },
        1000,
      )
    : null;
  let sent = 0;
  await Promise.all(
    Array.from({ length: tablets }, async (_, i) => {
      await wait((1000 * i) / tablets);
      for (let cut = 1; cut <= seconds; cut += 1) {
        const started = performance.now();
        await timed(appends, () =>
          append(
            `${stamp}${i}`,
            event(`${stamp}${i}`, 'tablet', cut, { kind: 'done', round: 1, index: cut }),
          ),
        );
        sent += 1;
        await wait(Math.max(0, 1000 - (performance.now() - started)));
      }
    }),
  );
  until.done = true;
  await asking;
  let kept = 0;
  for (let i = 0; i < tablets; i += 1)
    kept += JSON.parse(await ask('GET', `/runs/${stamp}${i}/events`)).events.length;
  return { appends, asked, sent, kept };
}
heading(`${TABLETS} tablets, each counting once a second, ${SECONDS} s`);
const quiet = await classOf(TABLETS, SECONDS, false);
row('a count', told(quiet.appends));
const loud = await classOf(TABLETS, SECONDS, true);
row('a count, a heavy question always at work beside it', told(loud.appends));
row('the heavy question', told(loud.asked));
console.log(`\nSent ${quiet.sent + loud.sent}, stored ${quiet.kept + loud.kept}.`);

/** Lists as they are opened: the first page of the bench and of the logbook, and a search. */
async function lists(name) {
  for (const [what, address] of [
    ['bench', '/jobs'],
    ['bench, a word looked for', '/jobs?words=lens%20wheel'],
    ['logbook', '/log'],
  ]) {
    const times = [];
    for (let i = 0; i < 40; i += 1) await timed(times, () => ask('GET', address));
    row(`${what}, ${name}`, told(times.slice(5)));
  }
}
const backup = JSON.parse(await ask('GET', '/backup'));
await ask('POST', '/restore', clones(backup, 100, 'few'));
heading('Lists');
await lists('about 100 jobs and runs');
const file = clones(backup, MANY, 'many');
const read = performance.now();
JSON.parse(file);
const reading = performance.now() - read;
const put = await beside(() => ask('POST', '/restore', file));
await lists(`about ${MANY} jobs and runs`);
heading(`While ${MANY} jobs and runs (${Math.round(file.length / 1e6)} MB) are put back and saved`);
const idle = [];
for (let i = 0; i < 100; i += 1) await timed(idle, () => ask('GET', '/jobs'));
row('the bench, nothing beside it', told(idle));
row('the bench, a restore beside it', told(put.times));
const saved = await beside(() => ask('GET', '/backup'));
row('the bench, a backup beside it', told(saved.times));
console.log(
  `\nPut back in ${(put.took / 1000).toFixed(1)} s, ${(put.took / reading).toFixed(0)} times what reading the file takes (${ms(reading)} ms); saved in ${(saved.took / 1000).toFixed(1)} s.`,
);
await shop.close();
