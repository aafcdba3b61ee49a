import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';
import { BETWEEN_COUNTS_MS, wait } from './person.ts';

const place = journeysIn('demo');

/** A fresh card that only divides, with its count. */
async function justDivide(count: string): Promise<Person> {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  await person.types('How many', count);
  return person;
}

test('block order: a stride that cannot be is refused, one that can is cut in its order', async () => {
  const person = await justDivide('12');
  await person.leavesField();
  await person.key('4');
  await person.sees('4 · Dividing');
  await person.sees('3 turns + 11 spaces on 33');
  await person.searched();
  await person.pressWords('Block order');
  await person.types('After number 1 comes number 1 +', '4');
  await person.sees('Every 4th place meets only 3 of the 12, since the two share a factor. Take 5.');
  await person.types('After number 1 comes number 1 +', '5');
  await person.sees('every 5th place');
  await person.sees('12 moves, every one true');
  await person.sees('= 200 turns of the crank, 5 turns of the work.');
  await person.sees('✓ Stored');
  await person.leavesField();
  await person.key('m');
  await person.pressButton('Start at work hole 1');
  await person.makesReady();
  for (const space of [1, 6, 11, 4]) {
    await person.sees(`Work hole ${space} drilled`);
    await person.key('Space');
    await wait(BETWEEN_COUNTS_MS);
  }
  await person.sees('Work hole 4 is drilled');
  await person.key('Backspace');
  await person.sees('Work hole 4 drilled');
  expect(person.faults).toEqual([]);
});

test('marks at an angle: a part of a turn, cut to its end and finished', async () => {
  const person = await justDivide('3');
  await person.pressWords('By an angle');
  await person.types('Angle from one to the next', '0');
  await person.sees('An angle from one to the next is more than 0 and at most a whole turn, 360°; 0 is not.');
  await person.types('Angle from one to the next', '17° 30′');
  await person.sees('3 holes, 17° 30′ apart');
  await person.leavesField();
  await person.key('4');
  await person.sees('4 · Dividing');
  await person.sees('1 turn + 17 spaces on 18');
  await person.sees('2 moves, every one true, the last on its angle.');
  await person.key('m');
  await person.pressButton('Start at work hole 1');
  await person.makesReady();
  for (let space = 1; space <= 3; space += 1) {
    await person.sees(`Work hole ${space} drilled`);
    await person.key('Space');
    await wait(BETWEEN_COUNTS_MS);
  }
  await person.sees('This is less than a whole turn, so there is no closing move.');
  await person.pressButton('Finished');
  await person.sees('All of them are drilled. 3 work holes');
  expect(person.faults).toEqual([]);
});

test('a count that no train reaches: said, with the nearest counts, and the best near miss with its error', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-star-wheel/p1/dividing');
  await person.sees('4 spaces on 39, gears 72 : 28, 24 : 86');
  await person.sees('Differential is out: No train of these gears reaches this count exactly.');
  await person.sees('The nearest counts that can be had exactly: Take 382 teeth Take 384 teeth');
  await person.sees(
    'Not exact. Run through the motion, 383 moves: the worst one is off by 11.2″, 3.1 µm at Ø 114.9 mm',
  );
  await person.sees('Peak to peak 11.2″, 3.1 µm at the pitch circle');
  // the plot is of all the spaces
  const plot = await person.page.$eval('.error-plot', (svg) => svg.getAttribute('aria-label'));
  expect(plot).toMatch(/^Error of each place in µm: from (-3\.1 to 0\.0|0\.0 to 3\.1)$/);
  // a fault tried out on the same work
  await person.pressWords('work that runs out');
  await person.sees('Full reading of the indicator');
  await person.sees(/Peak to peak (3′|2′ 59″), (50|49\.\d) µm/);
  expect(person.faults).toEqual([]);
});

test('a rack is read from its first tooth at the mill; its table is in millimetres', async () => {
  const person = await place.sitDown();
  await person.goTo('/runs/run-demo-lens-rack');
  // 11 × 4.712389 mm on a 5 mm screw of 100 marks: 10 turns and 36.7 marks
  await person.sees('Tooth space 11 is cut. Table to: 10 whole turns 37 on the dial');
  // first touch √(3.38·(55 − 3.38)) = 13.21 before the face of 16; the demo’s cross slide has a screw of 5
  await person.sees(
    'Move on only before 0 on the cross slide. Cut through to 29.21 mm = 5 turns + 84.2 marks. Sooner, and the cutter gouges the next tooth.',
  );
  await person.key('Space');
  await person.sees('Tooth space 12 is cut. Table to: 11 whole turns 31 on the dial');
  await person.goTo('/jobs/demo-lens-rack/p1/table');
  await person.sees('12 to the reading 10 turns, mark 37');
  await person.sees('51.836');
  await person.pressWords('Not cut yet');
  await person.sees('13 to the reading 11 turns, mark 31');
  await person.seesGo(/1 start/);
  expect(person.faults).toEqual([]);
});
