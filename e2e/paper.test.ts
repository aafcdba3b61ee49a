import { expect, test } from '@jest/globals';
import { readPdf } from '../server/readPdf/index.ts';
import { journeysIn } from './journeys.ts';

const place = journeysIn('demo');

/** What a person gets who presses the link of a file. */
async function fileOf(person: Awaited<ReturnType<typeof place.sitDown>>, link: string): Promise<Uint8Array> {
  const text = await person.page.evaluate(async (name) => {
    const found = [...document.querySelectorAll('a')].find(
      (each) => (each.getAttribute('aria-label') ?? each.innerText).trim() === name,
    );
    const answer = await fetch(found!.href);
    const bytes = new Uint8Array(await answer.arrayBuffer());
    return `${answer.status} ${btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))}`;
  }, link);
  const [status, data] = text.split(' ');
  expect([link, status]).toEqual([link, '200']);
  return Buffer.from(data!, 'base64');
}

const wordsOf = async (bytes: Uint8Array): Promise<string> =>
  (await readPdf(bytes))
    .map(({ text }) => text)
    .join(' ')
    .replace(/\s+/g, ' ');

test('from the card to the sheet at the machine: what stands on the card is on paper, with its options', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/gear');
  await person.press('Paper, files', 'link');
  await person.sees('Route sheet, PDF');
  const plain = await wordsOf(await fileOf(person, 'Route sheet, PDF'));
  expect(plain).toContain('Lens drive, second wheel');
  // 2 mm on the knee, 100 marks: 2.975 and the paper’s 0.03
  expect(plain).toContain('Depth from the touch, rough 3.005 mm 1 turn + 50.3 marks');
  expect(plain).toContain('20 spaces on 31');
  expect(plain).toContain('Learnt before: Key it');
  expect(plain).not.toContain('Working: Gear');
  await person.pressWords('with the working');
  await person.pressWords('with a table of every place');
  await person.pressWords('Letter');
  const bytes = await fileOf(person, 'Route sheet, PDF');
  expect(await wordsOf(bytes)).toMatch(/Table of every place.*Working: Gear/);
  expect(Math.round((await readPdf(bytes))[0]!.wide)).toBe(216);
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('a program as the control takes it: figures are asked at their fields, and nothing is handed out while one is wrong', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/print');
  await person.pressWords('Drawings, tables and programs');
  await person.pressWords('How your control takes a program');
  await person.types('Safe height above the plate', '1/2 in');
  await person.types('Deep, below its top', '-3');
  await person.sees('The depth must be more than zero');
  expect(
    await person.page.$$eval('a.file-link', (all) => all.filter((each) => each.innerText === 'NC').length),
  ).toBe(0);
  await person.types('Deep, below its top', '10');
  await person.pressWords('inches, G20');
  const program = Buffer.from(await fileOf(person, 'Its holes: a table, a drilling program, NC')).toString();
  expect(program).toContain('G20 G90');
  // 12.7 mm up, 10 mm down
  expect(program).toContain('G0 Z0.50000');
  expect(program).toMatch(/G81 .* Z-0\.39370 /);
  await person.press('Turning axis', 'combobox');
  await person.pressOption('C');
  const turning = Buffer.from(
    await fileOf(person, 'Program for a turning axis, a stop at each place, NC'),
  ).toString();
  expect(turning).toContain(`G0 C${(360 / 62).toFixed(4)}`);
  expect(person.faults).toEqual([]);
});

test('a list on a page goes out as it is shown, with nothing in it that a spreadsheet would run', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/dividing');
  await person.sees('20 spaces on 31');
  await person.pressWords('The ways on this head');
  await person.searched();
  await person.pressButton('All ');
  await person.page.waitForSelector('table.ways');
  const saved = await person.page.evaluate(async () => {
    const made: Blob[] = [];
    const { createObjectURL } = URL;
    URL.createObjectURL = (blob: Blob) => {
      made.push(blob);
      return createObjectURL.call(URL, blob);
    };
    const list = [...document.querySelectorAll<HTMLTableElement>('table.ways')].find(
      ({ offsetParent }) => offsetParent !== null,
    )!;
    const rows = list.tHead!.rows.length + list.tBodies[0]!.rows.length;
    list.nextElementSibling!.querySelector('button')!.click();
    while (made.length === 0) await new Promise((resolve) => setTimeout(resolve, 20));
    URL.createObjectURL = createObjectURL;
    return { text: await made[0]!.text(), rows };
  });
  // the buttons are no part of it
  expect(saved.text).not.toMatch(/Use/);
  expect(saved.text.split('\r\n')[1]!.split(',').length).toBeGreaterThan(2);
  expect(saved.text).not.toMatch(/choose/);
  expect(saved.text.trim().split('\r\n')).toHaveLength(saved.rows);
  for (const cell of saved.text.split(/[,\r\n]+/)) expect(cell).not.toMatch(/^"?[=@]/);
  expect(person.faults).toEqual([]);
});

test('of a rack its angle is asked; of a worm drive each card has its own files', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-rack/print');
  await person.pressWords('Drawings, tables and programs');
  await person.types('Pressure angle of the rack', '50');
  await person.sees('It lies between 0° and 45°');
  await person.types('Pressure angle of the rack', '14.5');
  const rack = Buffer.from(await fileOf(person, 'Rack, life size, SVG')).toString();
  expect(rack).toContain('14.5°');
  await person.goTo('/jobs/demo-carriage/print');
  await person.pressWords('Drawings, tables and programs');
  await person.sees('Worm through its axis, life size');
  await person.sees('Rim of the wheel');
  expect(person.faults).toEqual([]);
});
