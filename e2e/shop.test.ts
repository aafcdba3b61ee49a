import { expect, test } from '@jest/globals';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';
import { BETWEEN_COUNTS_MS, wait } from './person.ts';

const place = journeysIn('empty');

/** Lays a file on the disk and brings it in where the button says. */
async function bringIn(person: Person, button: string, name: string, text: string): Promise<void> {
  const file = path.join(place.workshop.folder, name);
  writeFileSync(file, text);
  const [chooser] = await Promise.all([person.page.waitForFileChooser(), person.press(button, 'button')]);
  await chooser.accept([file]);
}

test('an owner’s odd plates from a spreadsheet, a prime count, the crank on screen, and cut to the end', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop');
  await person.sees('Head with three plates');

  // a head of an odd ratio, typed as its owner says it
  await person.pressButton('Add a plain head');
  await person.types('Name', 'Old head');
  await person.key('Enter');
  await person.types('Worm ratio', '40:0');
  await person.sees('“40:0” is not a worm ratio');
  await person.types('Worm ratio', '1/60');
  await person.key('Enter');
  await person.sees('60 turns of the crank for one of the spindle; one turn is 6°');
  await person.sees('✓ Stored');

  // a spreadsheet's own ways: a mark of encoding, semicolons, quotes; and rows that cannot be
  const text = [
    '\uFEFFHead;Plate;Circles;Side',
    '"Old head";A;"31 41 53";1',
    'Old head;B;0;1',
    'Old head;B;2.5;1',
    'Another head;C;20;1',
    '',
  ].join('\r\n');
  await bringIn(person, 'Bring in index plates from CSV', 'plates.csv', text);
  await person.sees('1 row can be taken. 3 rows cannot:');
  await person.sees('A circle of 0 holes cannot be. Circles run from 2 to 2000 holes, whole.');
  await person.sees('There is no head called “Another head” in the shop.');
  await person.pressButton('Take 1 row');
  await person.sees('head, 60 : 1, 1 plate');
  await person.sees('✓ Stored');

  // another table, and far too much of one, change nothing
  await bringIn(person, 'Bring in index plates from CSV', 'gears.csv', 'set,teeth,owned\r\nMine,24,1\r\n');
  await person.sees(
    'This is the table of change gears, not of index plates. Bring it in there. Nothing was changed.',
  );
  await person.pressButton('Understood');
  await bringIn(person, 'Bring in index plates from CSV', 'huge.csv', 'x'.repeat(5_000_000));
  await person.sees('huge.csv is 5.0 MB');
  await person.pressButton('Understood');
  await person.sees('head, 60 : 1, 1 plate');

  // pasted as a spreadsheet hands it over: tabs, and a cell that was made harmless
  const paste = async (rows: string) => {
    await person.press('Paste index plates from a spreadsheet', 'button');
    await person.sees('The names: head, plate, circles');
    await person.types('Rows from a spreadsheet', rows);
    await person.pressButton('Look at the rows');
  };
  await paste("Head\tPlate\tCircles\nOld head\t'=B\t37 43\nOld head\tA\t31, 41, 53");
  await person.sees('2 rows can be taken.');
  await person.pressButton('Take 2 rows');
  await person.sees('head, 60 : 1, 2 plates');
  await person.sees('✓ Stored');
  await paste('set\tteeth\towned\nMine\t24\t1');
  await person.sees('This is the table of change gears, not of index plates.');
  await person.pressButton('Understood');

  // a prime count on that head
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '31');
  await person.sees('31 holes round');
  await person.leavesField();
  await person.key('4');
  await person.press('Head', 'combobox');
  const option = await person.page.waitForSelector('.ant-select-item-option[title^="Old head"]', {
    visible: true,
  });
  await option!.click();
  await person.sees('1 turn + 29 spaces on 31');
  await person.sees(
    '31 moves, every one true, the last back on the first. 31 × 1 29/31 = 60 turns of the crank',
  );
  await person.sees('Put on plate A; its screws tight.');

  // the crank turned on the screen lands where the plan says
  await person.searched();
  await person.pressButton('Turn the crank: one move');
  await person.sees('1 of 31 moves, 1 turn + 29 spaces on 31; the work has turned 11° 36′ 46″');
  await person.pressButton('Turn the crank: one move');
  await person.sees('no. 3 → 4');
  await person.pressButton('Done: the head stands so now');
  await person.sees('The shop remembers that the head stands so.');
  await person.sees('Two turns of the crank clockwise, the pin into hole 0.');
  await person.seesNot(/Put on plate A/);

  await person.leavesField();
  await person.key('m');
  await person.pressButton('Start at work hole 1');
  await person.sees('drop the pin into the nearest hole of 31, plate A: it is now hole 0.');
  await person.makesReady();
  for (let space = 1; space <= 31; space += 1) {
    await person.sees(`Work hole ${space} drilled`);
    await person.key('Space');
    await wait(BETWEEN_COUNTS_MS);
  }
  await person.sees('All 31 are drilled. One closing move. Turn clockwise: 1 whole turn 29 spaces on 31');
  await person.pressButton('It drops in');
  await person.sees('31 work holes, and it closes');
  expect(person.faults).toEqual([]);
}, 120_000);

test('what is taken out of the shop can be put back, and a job goes on without it', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop');
  await person.pressButton('Head with a two-sided plate');
  await person.pressButton('Take Head with a two-sided plate out of the shop');
  await person.sees(
    'Head with a two-sided plate is taken out of the shop. Jobs planned with it keep their own copy.',
  );
  await person.pressButton('Put it back');
  await person.sees('head, 40 : 1, 1 plate, 3 rings');
  // the gears cannot go while a head is geared with them
  await person.goTo('/shop/gears');
  await person.pressButton('Take Twelve change gears out of the shop');
  await person.sees('Head with three plates is geared with a set of change gears that is not listed.');
  expect(person.faults).toEqual([]);
});

test('two screens on one shop, and a server that goes away: nothing typed is lost unseen', async () => {
  const first = await place.sitDown();
  const second = await place.sitDown();
  await first.goTo('/shop/mills');
  await first.sees('Mill with a 5 mm screw');
  await second.goTo('/shop/mills');
  await second.sees('Mill with a 5 mm screw');
  await first.page.bringToFront();
  await first.pressButton('Add one with a 1/4 in screw');
  await first.sees('✓ Stored');
  await second.page.bringToFront();
  await second.pressButton('Add one with a 5 mm screw');
  await second.sees('Changed on another screen');
  await second.pressButton('Show the stored shop');
  await second.sees('Mill with a 1/4 in screw');
  await second.sees('✓ Stored');

  await place.workshop.kill();
  await second.types('Marks on its dial', '125');
  await second.key('Enter');
  await second.sees('Server away', 15_000);
  await place.workshop.start();
  await second.sees('✓ Stored', 15_000);
  await second.page.reload();
  await second.sees('5 mm a turn, 125 marks');
});

test('a plate of a name that is there, circles that cannot be: said at the field, the good ones kept', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop');
  await person.types('Plate A, circles', '15 2.5 100000');
  await person.sees('A circle of 2.5 holes cannot be');
  await person.sees('A circle of 100000 holes cannot be');
  await person.key('Enter');
  await person.page.reload();
  await person.sees('Index plates');
  const circles = () => person.page.$$eval('.plate-side input', (inputs) => inputs.map(({ value }) => value));
  expect((await circles())[0]).toBe('15 16 17 18 19 20');
  const letter = await person.page.waitForSelector('.plate-row input');
  await letter!.click({ count: 3 });
  await letter!.type('B');
  await person.key('Enter');
  await person.sees('Two plates are called B. Give each its own letter.');
  expect(person.faults).toEqual([]);
});

test('a table with a wheel: read from the start, every space, and its table to print', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop');
  await person.pressButton('Add a rotary table');
  await person.sees('rotary table, 90 : 1');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '53');
  await person.types('On a diameter of', '80');
  await person.leavesField();
  await person.key('4');
  await person.press('Head', 'combobox');
  const option = await person.page.waitForSelector('.ant-select-item-option[title^="Rotary table"]', {
    visible: true,
  });
  await option!.click();
  await person.sees('Handwheel 6° 47′ 33″ by the wheel worst 4.9″, 1 µm in use');
  await person.sees(
    'Not exact. Run through the motion, 53 moves: the worst one is off by 4.9″, 1 µm at Ø 80 mm; the last falls back on the first.',
  );
  await person.sees('✓ Stored');
  await person.searched();
  await person.pressButton('The table of every move');
  await person.sees('2 to the reading table 4°, wheel 2° 47′ 30″');
  await person.sees('All 53');
  await person.page.goBack();
  await person.sees('Not exact');
  await person.key('m');
  await person.pressButton('Start at work hole 1');
  await person.sees('Come up clockwise, a turn or two, and set table and wheel to read 0 there');
  await person.makesReady();
  await person.key('Space');
  await person.sees('Work hole 1 is drilled. Turn clockwise, to: 4° on the table 2° 47′ 30″ on the wheel');
  expect(person.faults).toEqual([]);
});

test('a ring that a gear needs becomes a part of its job, is drilled, put on the head and used', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  // the table that was divided on last is not this job’s
  await person.pressButton('Lay it plain');
  await person.types('How many', '73');
  await person.leavesField();
  await person.key('4');
  await person.sees('73 cannot be had by simple indexing with these plates');
  // the first way offered is the one in brass
  await person.pressButton('Use');
  await person.sees('73 moves, every one true');
  await person.searched();
  await person.pressWords('Make a plate or ring for this count');
  await person.sees('73 holes, 1.3 mm of metal between two.');
  await person.pressButton('Drill it on this head first');
  await person.sees('Ring of 73');
  await person.sees('73 holes round');
  await person.pressButton('2. The work');
  await person.leavesField();
  await person.key('4');
  await person.searched();
  await person.pressWords('Make a plate or ring for this count');
  await person.pressButton('It is made: put it on the head');
  await person.sees('None of its 73 holes are drilled, by the count at the mill. Is it made all the same?');
  await person.seesNot(/Direct 1 space on the 73 ring/);
  await person.pressButton('It is made, put it on');
  await person.sees('Direct 1 space on the 73 ring');
  expect(person.faults).toEqual([]);
});

test('counts by what the shop can do: pressed, and a job started', async () => {
  const person = await place.sitDown();
  await person.goTo('/counts');
  await person.sees('What this shop can divide');
  await person.press('383: not exactly', 'button');
  // scrolled on, the strip goes to 1000
  await person.page.evaluate(() => document.querySelector('.counts-main')!.scrollTo(0, 1e6));
  await person.page.waitForSelector('::-p-aria([name="1000: simple indexing"])');
  await person.press('127: differential, with gears', 'button');
  await person.sees('differential, with gears');
  await person.pressButton('Divide by 127');
  await person.sees('127 holes round');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test.each(['/shop', '/shop/gears', '/shop/motors', '/shop/mills', '/counts'])(
  '%s can be used by everyone',
  async (address) => {
    const person = await place.sitDown();
    await person.goTo(address);
    await person.sees(/Stored|What this shop/);
    await wait(300);
    expect(await person.hardToUse()).toEqual([]);
  },
);

test('a job goes on when its head leaves the shop, and says so', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '33');
  await person.sees('✓ Stored');
  const address = new URL(person.page.url()).pathname.replace(/spacing$/, 'dividing');
  await person.goTo('/shop');
  await person.pressButton('Take Head with three plates out of the shop');
  await person.sees('✓ Stored');
  await person.goTo(address);
  await person.sees(
    'Head with three plates is no longer in the shop. This job keeps its own copy and goes on with it.',
  );
  await person.sees('1 turn + 7 spaces on 33');
  await person.opens('The ways on this head');
  await person.sees(/All \d+ ways/);
  await person.goTo('/shop');
  await person.pressButton('Add one with three plates');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
});
