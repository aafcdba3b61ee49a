import { expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { JOB_VERSION } from '../core/job/index.ts';
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
