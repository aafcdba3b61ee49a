import { expect, test } from '@jest/globals';
import { jobOfGear, jobOfRack, splinedShaft } from '../core/sampleBench.ts';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';

const place = journeysIn('demo');

/** The table, the depth: to a reading that is typed. */
async function feeds(person: Person, name: 'Table' | 'Cross slide' | 'Depth', to: string): Promise<void> {
  const field = await person.page.waitForSelector(`.practice-feed[aria-label="${name}"] input.ant-input`);
  await field!.click();
  await field!.type(to);
  await person.page.keyboard.press('Enter');
}

async function cranks(person: Person, by: string): Promise<void> {
  const field = await person.page.waitForSelector('#crank-by');
  await field!.click();
  await field!.type(by);
  await person.page.keyboard.press('Enter');
}

/** Single keys, with no field in focus. */
async function keys(person: Person, ...each: readonly ('l' | 'p' | 'r' | 'a')[]): Promise<void> {
  await person.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (const key of each) await person.page.keyboard.press(key);
}

/** Free, pin out, on by the crank, and the pin in again. */
async function indexes(person: Person, by: string): Promise<void> {
  await keys(person, 'l', 'p');
  await cranks(person, by);
  await keys(person, 'p');
}

/** A space of the second wheel, as the card says: 20 spaces on 31, 2.98 for the rough round. */
async function cutsOne(person: Person): Promise<void> {
  await keys(person, 'l');
  await feeds(person, 'Depth', '2.98');
  await feeds(person, 'Table', '15');
  await person.sees('Cut, 2.98 mm deep.');
  await feeds(person, 'Table', '-40');
  await indexes(person, '20');
  await keys(person, 'a');
}

test('rehearse a job: cut, index, spoil a land, take it back, measure, and come back after a reload', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/dividing');
  await person.pressWords('Rehearse');
  await person.sees('Everything is made ready for 62 teeth, m 1.5, 20°.');
  // into it with the cutter standing
  await feeds(person, 'Depth', '2.98');
  await feeds(person, 'Table', '0');
  await person.sees('The work is against a cutter that does not turn');
  await feeds(person, 'Table', '-40');
  await keys(person, 'r');
  await cutsOne(person);
  await person.sees('Pin in hole 20.');
  await person.sees('1 of 62');
  await cutsOne(person);
  // twice 20 on 31 is 40: 9 past the start
  await person.sees('Pin in hole 9.');
  // against the lock
  await keys(person, 'l', 'p');
  await cranks(person, '20');
  await person.sees('The spindle is locked: the crank will not go further.');
  await keys(person, 'l');
  // indexed with the cutter in the work
  await feeds(person, 'Table', '-5');
  await cranks(person, '20');
  await person.sees(/while the cutter was in the work: gouged/);
  await person.pressButton('Take back');
  await person.pressButton('Take back');
  await person.pressButton('Measure');
  // the rough round goes 2.98 of 3.38 deep: thicker than the card wants
  await person.sees(/2 of 62 tooth spaces/);
  await person.sees(/Span over 1, in the middle of the face/);
  await person.page.keyboard.press('Escape');
  await new Promise((resolve) => setTimeout(resolve, 800));
  await person.page.reload();
  await person.sees('2 of 62');
  expect(person.faults).toEqual([]);
  expect(await person.hardToUse()).toEqual([]);
});

test('go on like this cuts the rest; a hidden fault is named by what is found', async () => {
  const person = await place.sitDown();
  await person.goTo('/practice/demo-lens-second/p1');
  await person.sees('Everything is made ready');
  await keys(person, 'r');
  for (let i = 0; i < 3; i += 1) await cutsOne(person);
  await person.pressWords('Go on like this, 59 more');
  await person.sees('62 of 62');
  await person.pressButton('Hide a fault');
  await person.sees('Something is not as it was set.');
  const all = await person.page.$$('.practice-fault-list button');
  // plain indexing: none that needs gears
  expect(all).toHaveLength(15);
  let found = false;
  for (let i = 0; i < all.length && !found; i += 1) {
    const buttons = await person.page.$$('.practice-fault-list button');
    await buttons[i]!.click();
    await person.sees(/It is not that\.|Yes\./);
    found = await person.page.$eval('.practice-fault', (fault) => fault.textContent!.includes('Yes.'));
  }
  expect(found).toBe(true);
  await person.sees('Then:');
  expect(person.faults).toEqual([]);
});

test('the knob is dragged round by mouse and by finger, and the pin falls where it was left', async () => {
  const person = await place.sitDown();
  await person.goTo('/practice/demo-lens-second/p1');
  await person.sees('Everything is made ready');
  const { page } = person;
  const box = (await (await page.waitForSelector('.practice-head'))!.boundingBox())!;
  const radius = Math.min(box.width, box.height) * 0.4;
  /** Where the knob is, so many holes of 31 round. */
  const at = (holes: number): readonly [number, number] => {
    const angle = (2 * Math.PI * holes) / 31;
    return [
      box.x + box.width / 2 + radius * Math.sin(angle),
      box.y + box.height / 2 - radius * Math.cos(angle),
    ];
  };
  await keys(person, 'p');
  await page.mouse.move(...at(0));
  await page.mouse.down();
  for (let holes = 1; holes <= 20; holes += 1) await page.mouse.move(...at(holes + 0.1));
  await page.mouse.up();
  await person.sees('Pin out, over hole 20');
  await page.touchscreen.touchStart(...at(20));
  for (let holes = 21; holes <= 38; holes += 1) await page.touchscreen.touchMove(...at(holes + 0.1));
  await page.touchscreen.touchEnd();
  // 38 is a turn and seven
  await person.sees('Pin out, over hole 7, 1 turn on');
  await keys(person, 'p');
  await person.sees('Pin in hole 7.');
  // both drags are one turn of the hand, and one press takes them back
  await person.pressButton('Take back');
  await person.pressButton('Take back');
  await person.sees('Pin out, over hole 0');
  expect(person.faults).toEqual([]);
});

test('a helical gear: the table turns the work by its gears; shown, then spoilt with the pin out', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-blower/p1/gear');
  await person.pressWords('Rehearse');
  await person.sees('Everything is made ready for 30 teeth, m 1.5, 20°');
  await keys(person, 'r');
  await feeds(person, 'Depth', '3.3');
  await feeds(person, 'Table', '18.6');
  await person.sees('Cut, 3.30 mm deep.');
  await person.sees('1 of 30');
  // the plate went along, so the pin is still in its hole
  await person.sees('Pin in hole 0.');
  await feeds(person, 'Depth', '-10');
  await feeds(person, 'Table', '-40');
  // held by the lock: geared, the spindle has to be free
  await keys(person, 'l');
  await feeds(person, 'Table', '0');
  await person.sees('The spindle is locked, and by the gears it holds the table.');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('arms and circle are set by hand: counted wrongly, the pin lands a hole on', async () => {
  const person = await place.sitDown();
  await person.goTo('/practice/demo-lens-second/p1');
  await person.sees('Arms over 20 spaces, pin on the circle of 31');
  await person.opens('Arms over 20 spaces, pin on the circle of 31');
  const arms = await person.page.waitForSelector('::-p-aria([name="Arms, in spaces"])');
  await arms!.click({ count: 3 });
  await person.page.keyboard.type('21');
  await person.key('Enter');
  await person.sees('Arms over 21 spaces');
  await keys(person, 'p');
  await cranks(person, '21');
  await keys(person, 'p');
  await person.sees('Pin in hole 21.');
  expect(person.faults).toEqual([]);
});

test('what the bench has no place for says so, and leads back', async () => {
  const person = await place.sitDown();
  await person.goTo('/practice/demo-square/p1');
  await person.sees('The practice bench waits for the diameter of the cutter, the width of the face');
  await person.goTo('/practice/demo-cam-marks/p1');
  await person.sees(/The practice bench has no place for .* yet/);
  await person.pressWords('Back to the card');
  await person.sees('1 · Spacing');
});

test('gears come off and go on by hand, the plate is changed, and a room sees the train', async () => {
  const person = await place.sitDown();
  const job = { ...jobOfGear({ teeth: 55, module: 1, method: 'differential' }), id: 'by-gears' };
  await place.workshop.ask('PUT', '/jobs/by-gears', { revision: 0, job });
  await person.goTo('/practice/by-gears/p1');
  await person.opens('Arms over 15 spaces, pin on the circle of 21');
  // 40 : 56 through one idler, worked by hand: near 56, so 40(56 − 55)/56 = 40/56 with the crank
  await person.sees('the plate goes with the crank');
  const idlers = await person.page.waitForSelector('::-p-aria([name="Idlers"])');
  await idlers!.click({ count: 3 });
  await person.page.keyboard.type('2');
  await person.key('Enter');
  await person.sees('the plate goes against the crank');
  const spindle = await person.page.waitForSelector('::-p-aria([name="On the spindle"])');
  await spindle!.click({ count: 3 });
  await person.page.keyboard.type('27');
  await person.key('Enter');
  await person.sees('No gear of 27 is owned.');
  await person.pressButton('Take the gears off');
  await person.sees('No gears are in mesh.');
  await person.pressButton('Put on those of the card');
  await person.sees('the plate goes with the crank');
  // the pin holds the plate until it is drawn
  await person.press('Plate', 'combobox');
  await (await person.page.waitForSelector('.ant-select-item-option[title^="C:"]', {
    visible: true,
  }))!.click();
  await person.sees('The pin is in the plate: draw it before the plate comes off.');
  await keys(person, 'p');
  await person.press('Plate', 'combobox');
  await (await person.page.waitForSelector('.ant-select-item-option[title^="C:"]', {
    visible: true,
  }))!.click();
  await person.sees('pin on the circle of 37');
  expect(await person.hardToUse()).toEqual([]);
  await person.pressButton('More');
  await person.press('For a projector', 'menuitem');
  expect(await person.page.$$('.practice-right .scribe-drawing')).toHaveLength(1);
  expect(person.faults).toEqual([]);
});

test('the dial of a table is dragged on by mouse and by finger, mark for mark, and typed back past its 0', async () => {
  const person = await place.sitDown();
  const job = { ...jobOfRack(), id: 'by-dial' };
  await place.workshop.ask('PUT', '/jobs/by-dial', { revision: 0, job });
  await person.goTo('/practice/by-dial/p1');
  const dial = await person.page.waitForSelector('.practice-head', { visible: true });
  const { x, y, width, height } = (await dial!.boundingBox())!;
  const at = (turn: number): [number, number] => [
    x + width / 2 + 0.3 * width * Math.sin(2 * Math.PI * turn),
    y + height / 2 - 0.3 * width * Math.cos(2 * Math.PI * turn),
  ];
  const { mouse, touchscreen } = person.page;
  await mouse.move(...at(0.002));
  await mouse.down();
  // all at once, as a quick hand does: no drawing between
  await Promise.all(Array.from({ length: 25 }, (_, i) => mouse.move(...at((i + 1) / 100 + 0.004))));
  await mouse.up();
  // a quarter round is 25 of 100 marks
  await person.sees('Table at 25 of 100, 1.250 mm');
  await touchscreen.touchStart(...at(0));
  // a touch is told in whole pixels: a third of a mark farther, and it rests there
  for (const i of [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 10]) await touchscreen.touchMove(...at(-(i + 0.3) / 100));
  await touchscreen.touchEnd();
  await person.sees('Table at 15 of 100, 0.750 mm');
  await cranks(person, '-50');
  await person.sees('Table at 50 of 100, 1 turn back, -2.500 mm');
  await keys(person, 'l');
  await cranks(person, '0');
  await person.sees('The table is locked');
  expect(person.faults).toEqual([]);
});

test('a rack along the table: to the readings of the list, measured, gone on with, and a gouge told', async () => {
  const person = await place.sitDown();
  const job = { ...jobOfRack(), id: 'by-table' };
  await place.workshop.ask('PUT', '/jobs/by-table', { revision: 0, job });
  await person.goTo('/jobs/by-table/p1/dividing');
  await person.pressWords('Rehearse');
  await person.sees('which rack cutter is on stands below the dial');
  await person.sees('Rack cutter of 20°, a new bar with one of 14½°');
  await keys(person, 'r');
  // a pitch of 2π by a screw of 5 mm and 100 marks: 6.283 is 1 turn and 26 marks, to the nearest
  for (const reading of ['0', '1 + 26']) {
    await cranks(person, reading);
    await keys(person, 'l');
    await feeds(person, 'Depth', '4.5');
    await feeds(person, 'Cross slide', '20');
    await person.sees('Cut, 4.50 mm deep.');
    await feeds(person, 'Depth', '-5');
    await feeds(person, 'Cross slide', '-40');
    await keys(person, 'l');
  }
  await person.sees('Table at 1 turn + 26 of 100, 6.300 mm');
  await person.pressWords('Go on like this, 10 more');
  await person.sees('12 of 12');
  // 11 · 2π is 69.115: 13 turns and 82.3 marks
  await person.sees('Table at 13 turns + 82 of 100, 69.100 mm');
  await person.pressWords('Measure');
  await person.sees('12 of 12 tooth spaces');
  await person.sees('First to last');
  await person.sees('69.100 mm');
  await person.sees('69.115 mm');
  await person.pressWords('Something looks wrong');
  await person.pressWords('Every tooth is a little off');
  await person.sees('The screw is not what the card says');
  await person.key('Escape');
  await person.sees('On the bench now');
  await cranks(person, '13 + 12');
  await person.sees('The table is locked');
  await keys(person, 'l');
  await cranks(person, '13 + 12');
  // 3.5 back by the dial, of which 0.2 is the slack of the screw
  await person.sees('Moved 3.30 mm while the cutter was in the work: gouged');
});

test('a worm wheel sunk in its hollow: as deep in the throat as the card says, and gouged by a turn', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-carriage/p1/wheel');
  await person.pressWords('Rehearse');
  await person.sees('below the first touch; less than 0 is clear of it');
  await keys(person, 'r');
  // a face of 16.42: over its middle; 5.315 from the corners, which the cutter meets first
  await feeds(person, 'Table', '8.21');
  for (const cut of [1, 2]) {
    await keys(person, 'l');
    await feeds(person, 'Depth', '5.315');
    await person.sees('Cut, 5.32 mm deep.');
    await person.sees(`${cut} of 40`);
    await feeds(person, 'Depth', '-10');
    await indexes(person, '1 + 0');
    await person.sees('Pin in hole 0.');
  }
  await person.pressWords('Go on like this, 38 more');
  await person.sees('40 of 40');
  await person.pressWords('Measure');
  await person.sees('40 of 40 tooth spaces');
  await person.sees('A tooth at its pitch line');
  const depth = await person.page.$eval('.practice-measured tbody tr', (row) => row.textContent);
  expect(depth).toMatch(/^Depth, in the middle of the face4\.400 mm4\.400 mm$/);
  await person.key('Escape');
  // it stands in the last space, locked
  await keys(person, 'l', 'p');
  await cranks(person, '16');
  await person.sees('Draw it out before you index.');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('splines round a shaft: cut to a typed crank, as wide as their cutter', async () => {
  const person = await place.sitDown();
  await place.workshop.ask('PUT', '/jobs/splined', { revision: 0, job: splinedShaft() });
  await person.goTo('/jobs/splined/p1/dividing');
  await person.pressWords('Rehearse');
  await person.sees('Everything is made ready for 8 splines round.');
  await keys(person, 'r');
  // eight by 40 turns: five whole turns
  for (const cut of [1, 2]) {
    await keys(person, 'l');
    await feeds(person, 'Depth', '5');
    await feeds(person, 'Table', '30');
    await person.sees(`${cut} of 8`);
    await feeds(person, 'Table', '-40');
    await indexes(person, '5 + 0');
    await person.sees('Pin in hole 0.');
  }
  await person.pressWords('Go on like this, 6 more');
  await person.sees('8 of 8');
  await person.pressWords('Measure');
  const width = await person.page.$$eval('.practice-measured tbody tr', (rows) =>
    rows.map((row) => row.textContent).find((text) => text.startsWith('Width of a slot')),
  );
  expect(width).toBe('Width of a slot4.000 mm4.000 mm');
  expect(person.faults).toEqual([]);
});
