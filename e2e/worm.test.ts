import { expect, test } from '@jest/globals';
import type { Job } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';

const place = journeysIn('demo');

const stored = async (id: string): Promise<Job> =>
  ((await (await fetch(`${place.workshop.address}/api/jobs/${id}`)).json()) as { job: Job }).job;

test('a worm drive from its door to the mill: two cards, gears of the lathe, the gash, the first space', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new');
  await person.sees('What is on the bench?');
  await person.key('6');
  await person.sees('worm of a worm drive');
  await person.types('Name of the job', 'Capstan');
  await person.types('Pitch', '2');
  await person.types('Teeth of the wheel', '40');
  await person.types('Pitch diameter of the worm', '24');
  await person.sees('40 : 1, m 2, 1 start, 40°');
  await person.sees(/Lead angle γ 4° 45′ 49″/);
  await person.sees('hardly: likely self-locking');
  // the lathe: gears and box together
  await person.leavesField();
  await person.key('4');
  await person.sees('Gears and box together, the least astray first');
  await person.sees(/keep the half-nuts shut/);
  await person.pressWords('Fractions that stand for π');
  await person.sees(/22\/7 402\.5 14 µm long/);
  await person.key('5');
  await person.sees(/Tool flat 1\.395 mm/);
  await person.sees('Save template as DXF');
  // the wheel has the same drive
  await person.pressWords('2. Wheel');
  await person.sees('wheel of a worm drive');
  await person.key('1');
  await person.sees('40 : 1, m 2, 1 start, 40°');
  await person.leavesField();
  await person.key('2');
  await person.types('Bore (0 for none)', '12');
  await person.sees(/Throat Ø d a2 84\.000 mm|Throat Ø d?a2? ?84\.000 mm/);
  await person.leavesField();
  await person.key('3');
  await person.pressButton('Use');
  await person.sees('put it back');
  await person.key('5');
  await person.sees(/bears over \d\.\d\d mm/);
  await person.sees('Push the table’s right end away from you');
  await person.press('Use traverse', 'button');
  await person.sees('For a traverse leave the rim plain');
  await person.press('Use plunge', 'button');
  await person.sees(/plunge, swing/);
  await person.key('m');
  await person.pressButton('Start at tooth space 1');
  await person.makesReady();
  await person.sees('1 is the first tooth space');
  // 40 teeth on 40 : 1
  await person.pressButton('Tooth space 1 cut');
  await person.sees('Tooth space 1 is cut. Turn clockwise: 1 whole turn');
  expect(person.faults).toEqual([]);
});

test('bad input is answered at its field, and the other card says what moved', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-carriage/p2/drive');
  await person.sees('40 : 1, m 2');
  await person.types('Starts of the worm', '0');
  await person.sees('The number of starts of 0 is out of range. It runs from 1 to 24.');
  await person.types('Starts of the worm', '40');
  await person.sees('out of range');
  await person.types('Teeth of the wheel', '12');
  await person.types('Starts of the worm', '14');
  await person.sees('14 starts are too many for a wheel of 12 teeth');
  await person.types('Starts of the worm', '1');
  await person.sees('12 teeth are fewer than the 17.1 that a 40° worm clears');
  await person.types('Teeth of the wheel', '40');
  await person.types('Pitch diameter of the worm', '4');
  await person.sees('leaves no core in a worm of Ø 4.00 mm');
  await person.types('Pitch diameter of the worm', '24');
  await person.pressWords('the distance');
  await person.types('Centre distance', '39');
  await person.sees('there is no room for a worm: the wheel alone reaches 40.00 mm');
  await person.types('Centre distance', '55');
  await person.sees(/Worm, pitch Ø d ?1 30\.000 mm/);
  await person.types('Starts of the worm', '16');
  await person.sees('2 1/2 : 1');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/demo-carriage/p1/wheel');
  await person.sees(/is beyond what a form cutter can gash: neither table nor head lays it over 45°/);
  await person.goTo('/jobs/demo-carriage/p1/drive');
  await person.types('Starts of the worm', '1');
  await person.sees('✓ Stored');
  const job = await stored('demo-carriage');
  expect(job.parts.map((part) => 'drive' in part && part.drive.starts.typed)).toEqual(['1', '1']);
  expect(person.faults).toEqual([]);
});

test('a worn worm is read, its pitch taken for both cards, and two starts are told how to be reached', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-winch/p2/drive');
  await person.sees('10 DP');
  await person.press('Take 10 DP', 'button');
  await person.sees('18 : 1, 10 DP, 2 starts, 29°');
  await person.sees(/Centre distance a 2\.3000 in/);
  await person.sees('✓ Stored');
  await person.leavesField();
  await person.key('4');
  await person.sees('From one start to the next');
  await person.sees(/2 slots 180° apart/);
  await person.press('Use by the top slide', 'button');
  await person.sees(/Start 2: 3 turns \+ 14 of 100/);
  const job = await stored('demo-winch');
  expect(job.parts.every((part) => 'drive' in part && part.drive.pitch.typed === '10')).toBe(true);
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('no lathe in the shop: it is said, listed with its box, and the gears are found', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/lathes');
  await person.sees('Lathe by the window');
  await person.pressButton('Add one with a 3 mm leadscrew');
  await person.types('Its settings', '0.5 nought 2');
  await person.sees('“nought” is no setting of a box.');
  await person.types('Its settings', '0.5 1 2 3');
  await person.key('Enter');
  await person.sees(/2 2\.000 mm, 0\.0787 in|2 mm 2\.000 mm/);
  await person.press('Change gears that go on it', 'combobox');
  await person.pressOption('Gears of the lathe');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/demo-carriage/p2/lathe');
  await person.press('Lathe', 'combobox');
  await person.pressOption('Lathe with a 3 mm leadscrew');
  await person.sees(/box \d(\.\d)? mm/);
  await person.sees('in use');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});
