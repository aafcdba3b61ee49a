import { expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Device } from '../core/devices/index.ts';
import { journeysIn } from './journeys.ts';
import { wait } from './person.ts';
import { scratchFolder } from '../server/scratch.ts';

const place = journeysIn('demo');

test('find a run, read it, set it beside another, and write down what was learnt', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.press('Logbook', 'link');
  await person.sees('Choose a run to see its plan');
  await person.types('Search the logbook', 'second slipped');
  await person.sees('1 run:');
  // what stands beside is not the last of all
  await person.sees('The newest of these:');
  await person.types('Search the logbook', 'no such thing');
  await person.sees('Nothing in the logbook has all of that');
  await person.pressButton('Show everything');
  await person.sees('The last run:');
  await person.types('Search the logbook', 'second wheel');
  await person.pressButton('Lens drive, second wheel');
  await person.sees('The plan as it was cut');
  await person.sees('Blank keyed to the mandrel.');
  await person.pressButton('beside');
  await person.sees('Side by side');
  await person.sees(/≠ Piece.*proof brass offcut/);
  await person.pressButton('Only what differs');
  await person.seesGo(/Dividing 20 spaces on 31/);
  await person.pressButton('Back to the one run');
  await person.types('To be said again next time', 'Plate B sits tight: warm it');
  await person.press('It is about', 'combobox');
  await person.pressOption('Head with three plates');
  await person.press('Write it down', 'button');
  await person.sees('Head with three plates, at Dividing.');
  expect(await person.hardToUse()).toEqual([]);
  // another job on the same head is told
  await person.goTo('/jobs/demo-stair-moon/p1/dividing');
  await person.sees('Learnt before: Plate B sits tight: warm it');
  expect(person.faults).toEqual([]);
});

test('what was measured is written with the run of its piece, as often as it is measured', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/inspect');
  await person.types('Span over teeth, as read', '30.15');
  await person.press('Measured on the piece of', 'combobox');
  await person.pressOption('brass offcut');
  await person.pressButton('Write these readings in the logbook');
  await person.sees('✓ These readings are in the logbook');
  await person.types('Span over teeth, as read', '30.09');
  await person.pressButton('Write these readings in the logbook');
  await person.sees('✓ These readings are in the logbook');
  await person.press('See its page', 'link');
  await person.sees(
    /Span over teeth 30\.150 mm should be 30\.086 mm Teeth 0\.068 mm thick: sink 0\.\d+ mm more/,
  );
  await person.sees(/Span over teeth 30\.090 mm should be 30\.086 mm Teeth good/);
  // the work itself has none yet, and says what its card has
  await person.goTo('/log/run-demo-lens-second');
  await person.sees('Measured, as its card has it now');
  expect(person.faults).toEqual([]);
});

test('the whole workshop goes out as one file, and back in over what has changed', async () => {
  const person = await place.sitDown();
  const folder = mkdtempSync(path.join(scratchFolder(), 'vuelta-down-'));
  const session = await person.page.createCDPSession();
  await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  await person.goTo('/log');
  await person.press('Save a backup', 'link');
  let saved: string | undefined;
  for (let i = 0; i < 200 && !saved; i += 1) {
    saved = readdirSync(folder).find((name) => name.endsWith('.json'));
    await wait(100);
  }
  const file = path.join(folder, saved!);
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ format: 'vuelta-workshop' });

  // a device is taken away meanwhile
  await place.workshop.ask('DELETE', '/devices/demo-indicator', {});
  await person.goTo('/jobs/demo-winding/p1/gear');
  await person.types('Teeth', '50');
  await person.sees('✓ Stored');
  const bring = async (name: string) => {
    await person.goTo('/log');
    await person.sees('Put a backup back…');
    const input = await person.page.$('input[type=file]');
    await (input as unknown as { uploadFile(name: string): Promise<void> }).uploadFile(name);
    await person.press('Put it back', 'button');
  };
  const bad = path.join(folder, 'bad.json');
  writeFileSync(bad, readFileSync(file, 'utf8').slice(0, 5000));
  await bring(bad);
  await person.sees('This cannot be put back: it is not whole, or no JSON. Nothing was changed.');
  await bring(file);
  await person.sees(/Put back: \d+ jobs/);
  await person.sees('1 job stood here otherwise; that version is kept with each');
  await person.sees(/counts, 1 device that were not here/);
  await person.sees('Devices came put aside: look at their lines at Shop, Devices, and use them.');
  const { devices } = await place.workshop.ask<{ devices: Device[] }>('GET', '/devices');
  expect(devices.map(({ id, on }) => [id, on]).sort()).toEqual([
    ['demo-indicator', false],
    ['demo-motor', true],
    ['demo-readout', true],
  ]);
  await person.goTo('/jobs/demo-winding/p1/gear');
  await person.sees('46 teeth');
  await person.sees('Another version of this job');
  expect(person.faults).toEqual([]);
});

test('the card on paper: every station, a box for every space, on either sheet', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/cut');
  await person.press('Paper, files', 'link');
  await person.sees('← Back to the card');
  await person.sees('Lens drive, second wheel');
  // a box for each with the hole the pin lands in: 20 on 31 at each move
  await person.sees(/Tooth spaces, rough pass ?2\.975 mm deep; from the touch: 1 turn \+ 50\.3 marks/);
  await person.sees(/1 0 2 20 3 9 4 29 5 18/);
  await person.sees('From tooth space 1 to tooth space 2, and so on');
  await person.sees(/To the finish pass .* lands in hole \d+/i);
  const pages = async () => {
    const pdf = await person.page.pdf({ preferCSSPageSize: true });
    const text = Buffer.from(pdf).toString('latin1');
    return {
      count: (text.match(/\/Type\s*\/Page\b/g) ?? []).length,
      box: /MediaBox\s*\[([^\]]*)\]/.exec(text)![1]!.trim(),
    };
  };
  const a4 = await pages();
  expect(a4.box).toMatch(/^0 0 59[45](\.\d+)? 84[12]/);
  await person.pressWords('Letter');
  const letter = await pages();
  expect(letter.box).toMatch(/^0 0 612 792/);
  expect([a4.count, letter.count].every((count) => count >= 1 && count <= 3)).toBe(true);
  expect(person.faults).toEqual([]);
});
