/**
 * What a key costs on the card: how long the page is busy with it, by the browser’s own account, beside what
 * plan() costs in that very page, for a spur gear and for a job of twenty parts. Prints a table for
 * docs/performance.md.
 */
import path from 'node:path';
import { rolldown } from 'rolldown';
import { build, install, root } from './ready.mjs';
import { openBrowser, openPage, openWorkshop } from './workshop.mjs';

install();
build();
const KEYS = 40;
const ROUNDS = Number(process.argv[2] ?? 2);
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** plan() as one script, made small as the page’s own is; it stands on the page as `planning.plan`. */
async function planScript() {
  const bundle = await rolldown({ input: path.join(root, 'core/plan/index.ts'), logLevel: 'silent' });
  const { output } = await bundle.generate({ format: 'iife', name: 'planning', minify: true });
  return output[0].code;
}

const shop = await openWorkshop(4878, '--demo');
const { browser, close } = await openBrowser();
const script = await planScript();

const read = async (address) => (await fetch(`${shop.address}/api${address}`)).json();
const store = async (job) => {
  const answer = await fetch(`${shop.address}/api/jobs/${job.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ revision: 0, job }),
  });
  if (!answer.ok) throw new Error(await answer.text());
};
const { equipment } = await read('/shop');
const [listed] = (await read('/jobs')).jobs.filter(({ id }) => id === 'demo-winding');
const { job: demo } = await read(`/jobs/${listed?.id ?? 'demo-winding'}`);
const ofParts = (count) => ({
  ...demo,
  id: `keys-${count}`,
  name: `Keys ${count}`,
  relations: [],
  parts: Array.from({ length: count }, (_, i) => ({ ...demo.parts[0], id: `p${i + 1}` })),
});

/** Main thread busy, s since the page began. */
async function busy(session) {
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (name) => metrics.find((metric) => metric.name === name).value;
  return {
    task: of('TaskDuration'),
    script: of('ScriptDuration'),
    style: of('RecalcStyleDuration') + of('LayoutDuration'),
  };
}
const between = (from, to) =>
  Object.fromEntries(Object.keys(from).map((key) => [key, ((to[key] - from[key]) * 1000) / KEYS]));

/** Types and takes back a figure, so that each key is another gear. */
async function type(page) {
  for (let i = 0; i < KEYS; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? '3' : 'Backspace');
    await wait(150);
  }
}

/** ms of one plan() in this page, on the job as each of those keys left it. */
const planning = (page, job) =>
  page.evaluate(
    (given, tools, keys) => {
      let now = given;
      const turn = () => {
        const started = performance.now();
        for (let i = 0; i < keys; i += 1) {
          const [first, ...rest] = now.parts;
          const typed = i % 2 === 0 ? '123' : '12';
          const blank = { ...first.blank, faceWidth: { ...first.blank.faceWidth, typed } };
          now = { ...now, parts: [{ ...first, blank }, ...rest] };
          globalThis.planning.plan(now, tools);
        }
        return (performance.now() - started) / keys;
      };
      turn();
      return turn();
    },
    job,
    equipment,
    KEYS,
  );

/** The least a key can cost here: a page of one field and one line that says what stands in it. */
const BARE = `<label>Face <input id="f" value="12"></label><p id="said">12</p>
<script>f.oninput = () => { said.textContent = f.value; }</script>`;

/** @returns busy time of a key, ms: all of it, script, style and layout; without what goes on anyway */
async function measure(page, field) {
  await field.click();
  const session = await page.createCDPSession();
  await session.send('Performance.enable');
  await page.keyboard.press('End');
  await type(page);
  await wait(1500);
  const idle = await busy(session);
  await wait(KEYS * 150);
  const start = await busy(session);
  await type(page);
  const end = await busy(session);
  const none = between(idle, start);
  const all = between(start, end);
  const key = Object.fromEntries(Object.keys(all).map((part) => [part, Math.max(0, all[part] - none[part])]));
  return { key, session };
}

const shown = (name, { task, script, style }, own = null, bare = 0) =>
  console.log(
    `| ${[name, task.toFixed(1), script.toFixed(1), style.toFixed(1), own?.toFixed(1) ?? '', own ? ((task - bare) / own).toFixed(1) : ''].join(' | ')} |`,
  );

console.log(
  '| a key on | page busy, ms | of it script | style and layout | plan() there, ms | over the bare page, in plan()s |',
);
console.log('|---|---|---|---|---|---|');
for (let round = 1; round <= ROUNDS; round += 1) {
  const bare = await openPage(browser);
  await bare.setContent(BARE);
  const { key: least } = await measure(bare, await bare.$('#f'));
  shown('a bare page', least);
  await bare.close();
  for (const count of [1, 20]) {
    const job = { ...ofParts(count), id: `keys-${count}-${round}` };
    await store(job);
    const page = await openPage(browser);
    await page.goto(`${shop.address}/jobs/${job.id}/p1/blank`);
    const label = await page.waitForSelector('::-p-xpath(//label[contains(., "Face width")])');
    const { key, session } = await measure(page, label);
    await session.send('Runtime.evaluate', { expression: script });
    shown(
      `the card, ${count === 1 ? 'one part' : `${count} parts`}`,
      key,
      await planning(page, job),
      least.task,
    );
    await page.close();
  }
}
await close();
await shop.close();
