import { expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { drawnSpurJob, JOB_VERSION } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';
import { wait } from './person.ts';

const place = journeysIn('demo');

const menu = async (person: Person, job: string, what: string) => {
  await person.press(`More for ${job}`);
  await person.page.waitForSelector('.ant-dropdown:not(.ant-dropdown-hidden) [role="menuitem"]', {
    visible: true,
  });
  await person.pressButton(what);
};

test('rename, duplicate, put away and take out again', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.sees('Interrupted at the mill Lens drive, second wheel');
  await menu(person, 'Stair-hall orrery, moon wheel', 'Rename');
  await person.types('Name', 'Orrery, moon wheel');
  await person.key('Enter');
  await person.sees('Orrery, moon wheel 66 teeth');
  await person.seesGo(/Stair-hall orrery, moon/);
  await menu(person, 'Orrery, moon wheel', 'Duplicate');
  await person.sees('Orrery, moon wheel, copy');
  await menu(person, 'Orrery, moon wheel, copy', 'Put away');
  await person.seesGo(/moon wheel, copy/);
  await person.pressButton('Show what was put away');
  await person.sees('Put away Import a job file');
  await menu(person, 'Orrery, moon wheel, copy', 'Take out again');
  await person.sees('Nothing has been put away');
  await person.pressButton('Back to the bench');
  await person.sees('Orrery, moon wheel, copy');
  expect(person.faults).toEqual([]);
});

test('export a job file, import it again; broken files are told apart and change nothing', async () => {
  const person = await place.sitDown();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vuelta-files-'));
  const text = await (await fetch(`${place.workshop.address}/api/jobs/demo-fog-cam/export`)).text();
  const give = async (name: string, contents: string) => {
    const file = path.join(folder, name);
    writeFileSync(file, contents);
    const picker = (await person.page.waitForSelector(
      'input[type="file"]',
    )) as ElementHandle<HTMLInputElement>;
    await picker.uploadFile(file);
  };
  await person.goTo('/');
  await person.sees('On the bench');
  const jobs = async () =>
    ((await (await fetch(`${place.workshop.address}/api/jobs`)).json()) as { jobs: unknown[] }).jobs.length;
  const before = await jobs();
  for (const [name, contents, sentence] of [
    ['notes.json', 'cut 44 teeth', 'This is not a job file: it cannot be read as JSON'],
    ['half.json', text.slice(0, 900), 'This job file is cut short: it ends in the middle.'],
    [
      'later.json',
      text.replace(/"version": \d+/, '"version": 99'),
      `This job file is of version 99; this Vuelta reads up to ${JOB_VERSION}.`,
    ],
    ['other.json', '{"teeth": 44}', 'it is not a Vuelta job'],
  ] as const) {
    await give(name, contents);
    await person.sees(`${name} was not imported`);
    await person.sees(sentence);
    await person.press('Close', 'button');
    await wait(300);
  }
  expect(await jobs()).toBe(before);
  await give('fog.json', text);
  await person.sees('44 teeth, 12 DP, 14.5°');
  await person.sees('1 pass, 0.180 deep');
  expect(await jobs()).toBe(before + 1);
  expect(readFileSync(path.join(folder, 'fog.json'), 'utf8')).toBe(text);
});

test('the first page loads nothing of the card, the drawings or the formulas', async () => {
  const person = await place.sitDown();
  const scripts: string[] = [];
  person.page.on('response', (response) => {
    if (response.url().endsWith('.js')) void response.text().then((text) => scripts.push(text));
  });
  await person.goTo('/');
  await person.sees('On the bench');
  await wait(800);
  const all = scripts.join('\n');
  expect(all).toContain('On the bench');
  for (const stranger of ['katex', 'ZodError', 'No simple', 'Whole depth', 'plate-landing'])
    expect(all.includes(stranger)).toBe(false);
});

test('the second job is laid like the first, says so, and can be laid plain', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '6');
  await person.types('Name of the job', 'Six holes');
  await person.leavesField();
  await person.key('7');
  await person.pressWords('Rough, then finish');
  await person.types('Left for the finish pass', '0.35');
  await person.leavesField();
  await person.key('6');
  await person.opens('Held');
  await person.pressWords('↺ counter');
  await person.sees('Held on a mandrel between centres, head at the left, cutter ↺, table to the right');
  await person.sees('✓ Stored');

  await person.goTo('/jobs/new/divide');
  await person.sees('As in Six holes: which way cutter and table go, passes. Lay it plain');
  await person.types('How many', '8');
  await person.leavesField();
  await person.key('7');
  await person.sees('Left for the finish pass');
  expect(await person.page.$eval('input[value="0.35"]', (field) => (field as HTMLInputElement).value)).toBe(
    '0.35',
  );
  // what was said once goes with the first station
  await person.seesNot(/As in Six holes/);

  await person.goTo('/jobs/new/divide');
  await person.types('How many', '9');
  await person.pressButton('Lay it plain');
  await person.seesGo(/As in/);
  await person.sees('9');
  await person.leavesField();
  await person.key('7');
  await person.sees('1 pass');
  expect(person.faults).toEqual([]);
});

test('jobs are found by words, marked several at once, found by a tag; a few letters lead anywhere', async () => {
  for (let i = 1; i <= 9; i += 1)
    await place.workshop.ask('PUT', `/jobs/many-${i}`, {
      revision: 0,
      job: drawnSpurJob({
        id: `many-${i}`,
        name: `Moon wheel ${i}`,
        pitch: '1',
        teeth: 30 + i,
        face: '8',
        bore: '4',
      }),
    });
  const person = await place.sitDown();
  await person.goTo('/');
  await person.types('Find a job', 'moon 37');
  await person.seesGo(/Moon wheel 3/);
  await person.sees('Moon wheel 7');
  await person.types('Find a job', "'");
  await person.sees('No job has all of that.');
  await person.pressButton('Show every job');
  await person.sees('Moon wheel 3');

  await person.pressButton('Several at once');
  for (const name of ['Moon wheel 6', 'Moon wheel 8', 'Moon wheel 9']) {
    // a row is laid out when it is drawn, and a page that draws no picture yet has no place to press
    const box = await person.page.waitForSelector(`input[aria-label="Take ${name} too"]`);
    await box!.evaluate((each) => (each as HTMLInputElement).click());
  }
  await person.sees('3 jobs');
  await person.pressButton('Tags and person');
  await person.page.waitForFunction(() => document.activeElement?.matches('.ant-modal .ant-select input'));
  await person.page.keyboard.type('stair hall, brass,');
  await person.page.keyboard.type('x'.repeat(41));
  await person.key('Enter');
  await person.sees('is too long: a tag is a word or two, at most 40 letters.');
  await wait(400);
  await person.key('Backspace');
  await person.seesGo(/is too long/);
  await person.types('For whom, or whose', 'Marta');
  await person.page.focus('.ant-modal .ant-select input');
  // the last tag is still being typed when it is kept
  await person.page.keyboard.type('wanted on Friday');
  await person.pressButton('Keep');
  await person.sees('for Marta');
  await person.sees('wanted on Friday');
  // several are exported by one press
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vuelta-several-'));
  const session = await person.page.createCDPSession();
  await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  await person.pressButton('Export');
  for (let i = 0; i < 100 && readdirSync(folder).filter((file) => file.endsWith('.json')).length < 3; i += 1)
    await wait(100);
  expect(readdirSync(folder).sort()).toEqual([6, 8, 9].map((n) => `moon-wheel-${n}.vuelta.json`));
  rmSync(folder, { recursive: true });
  await person.pressButton('Done');
  // the address has what is looked for: it is there again after a reload
  await person.pressButton('stair hall');
  await person.seesGo(/Moon wheel 3/);
  await person.page.reload();
  await person.sees('Moon wheel 9');
  await person.seesNot(/Moon wheel 3/);
  expect(await person.hardToUse()).toEqual([]);

  // put away together, and found among what was put away
  await person.pressButton('Several at once');
  await person.pressButton('All 3 in sight');
  // on paper, one after another
  await person.pressButton('Print');
  await person.sees('← Back to the bench');
  await person.sees(/Moon wheel [689] [\s\S]*Moon wheel [689] [\s\S]*Moon wheel [689] /);
  await person.page.waitForFunction(() => document.title.startsWith('3 cards, printed'));
  await person.page.goBack();
  await person.pressButton('Several at once');
  await person.pressButton('All 3 in sight');
  await person.pressButton('Put away');
  await person.sees('No job has all of that.');
  await person.pressButton('Show what was put away');
  await person.sees('Moon wheel 6');

  await person.key('g');
  await person.page.waitForSelector('.go-places');
  await person.page.keyboard.type('moon wheel 3');
  await person.sees('33 teeth, m 1, 20°');
  expect(await person.hardToUse()).toEqual([]);
  await person.key('Enter');
  await person.sees('1 · Gear');
  await person.key('g');
  await person.page.waitForSelector('.go-places');
  await person.page.keyboard.type('div');
  await person.key('Enter');
  await person.sees('4 · Dividing');
  await person.key('g');
  await person.page.waitForSelector('.go-places');
  await person.page.keyboard.type('127');
  await person.key('Enter');
  await person.sees('What this shop can divide');
  await person.sees(/127/);
  expect(person.faults).toEqual([]);
});
