import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';
import { BETWEEN_COUNTS_MS, wait } from './person.ts';

const place = journeysIn('empty');

const count = async (person: Person, space: number) => {
  await person.sees(`Tooth space ${space} cut`);
  await person.key('Space');
  await wait(BETWEEN_COUNTS_MS);
};

test('from a drawing to the last tooth, with the plug pulled on the way', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.sees('No jobs yet');
  await person.key('n');
  await person.sees('What is on the bench?');
  await person.key('1');

  // the card answers at every keystroke, in both units
  await person.types('Pitch', '2');
  await person.sees('module 2 mm = 12.7 DP');
  await person.types('Teeth', '12');
  await person.sees('12 teeth, m 2, 20°');
  await person.sees(/Pitch diameter d 24\.000 mm 0\.9449 in/);
  await person.sees(/Whole depth h 4\.500 mm 0\.1772 in/);
  await person.sees(/Tooth thickness s 3\.142 mm/);
  await person.sees('20° · depth: ISO 53 profile A, 2.25 m · no thinning');
  await person.opens('Every size of it');
  await person.sees(/Addendum ha 2\.000 mm/);
  await person.sees(/Circular pitch p 6\.283 mm 0\.2474 in/);
  await person.sees('No. 8 inch, No. 1 metric');
  await person.sees('3 turns + 11 spaces on 33');
  await person.types('Name of the job', 'First pinion');

  await person.pressButton('Settle Gear');
  await person.types('Face width', '12');
  await person.types('Bore (0 for none)', '1/4 in');
  await person.sees('6.350 mm = 0.2500 in');
  await person.sees('Ø 28.00 × 12.00');
  await person.leavesField();
  // cutter and dividing have nothing to ask: the next that has is the set-up
  await person.key('s');
  await person.sees('6 · Set-up');
  await person.key('4');
  await person.opens('The ways on this head');
  await person.sees('All 6 ways');
  await person.sees('12 moves, every one true, the last back on the first');
  await person.key('w');
  await person.sees('Turns of the crank for one move');
  await person.sees('✓ Stored');
  await person.sees('At the mill 0 / 12');

  await person.key('m');
  await person.sees('Start at tooth space 1');
  await person.pressButton('Start at tooth space 1');
  // the plate is not on the head yet
  await person.sees('On the machine, before the first cut:');
  await person.sees('Arms: 11 spaces, 12 holes with the pin’s own.');
  await person.makesReady();
  await person.sees('is the first tooth space');

  for (let space = 1; space <= 4; space += 1) await count(person, space);
  await person.sees('Tooth space 4 is cut. Turn clockwise: 3 whole turns 11 spaces on 33');
  await person.sees('Pin is in hole 0, lands in hole 11');
  // interrupted in the middle of a move
  await person.key('t');
  await wait(320);
  await person.key('t');
  await person.sees('Turn 3 of 3 made');
  await person.sees('✓ stored');

  await place.workshop.kill();
  await person.sees('server away', 15_000);
  await count(person, 5);
  await person.key('t');
  await person.sees(/server away, [2-9] kept here/);
  await place.workshop.start();
  await person.sees('✓ stored', 15_000);

  // the browser closed, another opened: the bench has the next move
  await person.page.close();
  const again = await place.sitDown();
  await again.goTo('/');
  await again.sees('Interrupted at the mill First pinion');
  await again.sees(
    'Tooth space 5 is cut. Turn clockwise: 3 whole turns + 11 spaces on 33 Pin is in hole 11, lands in hole 22.',
  );
  await again.key('m');
  await again.sees('Turn 2 of 3 made');
  for (let space = 6; space <= 12; space += 1) await count(again, space);

  await again.sees('All 12 are cut. One closing move. Turn clockwise: 3 whole turns 11 spaces on 33');
  await again.sees(
    'Spindle stopped, bring the cutter to tooth space 1: it must drop into it without touching a flank.',
  );
  await again.pressButton('It drops in');
  await again.sees('12 tooth spaces, and it closes');
  await again.sees('✓ stored');
  // still on the head: what it should measure is one press away
  await again.pressButton('Measure it');
  await again.sees('Span over teeth, as read');
  await again.page.goBack();
  await again.pressButton('Back to the bench');
  await again.sees('cut, and it closes');
  expect([...person.faults, ...again.faults]).toEqual([]);
});
