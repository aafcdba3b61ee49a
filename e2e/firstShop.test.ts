import { expect, test } from '@jest/globals';
import type { Equipment } from '../core/shop/index.ts';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait, type Person } from './person.ts';

const place = journeysIn('empty');
const shopNow = async (): Promise<Equipment> =>
  (await place.workshop.ask<{ equipment: Equipment }>('GET', '/shop')).equipment;

const chooses = async (person: Person, field: string, words: string) => {
  await person.press(field, 'combobox');
  await person.pressOption(words);
};

test('an empty shop asks three questions, and the first card stands on the answers', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.sees('Your shop, in three questions');
  expect(await person.hardToUse()).toEqual([]);
  await chooses(person, 'Which head divides?', 'Rotary table, 90 : 1');
  await chooses(person, 'Which mill?', 'Knee mill, arbor across, table swings, inch');
  await person.pressWords('inches');
  await person.pressButton('That is my shop: a first job');
  await person.sees('What is on the bench?');
  await person.key('1');
  await person.types('Pitch', '14 DP');
  await person.types('Teeth', '30');
  // a table of 90 to 1: a thirtieth is three turns of it, exactly
  await person.sees('12° by the wheel');
  await person.sees('30 on Rotary table: read on the handwheel, exactly.');
  await person.leavesField();
  await person.key('2');
  await person.types('Face width', '1/2');
  await person.types('Bore (0 for none)', '3/8');
  await person.leavesField();
  await person.key('6');
  await person.sees('Knee mill, arbor across, table swings, inch');
  await person.types('Cutter diameter', '2 1/2');
  await person.types('Cutter width', '1/4');
  await person.types('Teeth of the cutter', '12');
  await person.press('Material', 'combobox');
  await person.pressOption('Bronze');
  // 26 m a minute over 2½ in: 130.4 turns, between the steps of 112 and 140
  await person.sees('112 rpm: 73 ft/min');
  await person.sees('140 rpm: 92 ft/min');
  const { heads, mills } = await shopNow();
  expect(heads.map(({ name }) => name)).toEqual(['Rotary table']);
  expect(mills.map(({ name }) => name)).toEqual(['Knee mill, arbor across, table swings, inch']);
  // asked once
  await person.goTo('/');
  await person.sees('On the bench');
  await person.seesNot(/three questions/);
  expect(person.faults).toEqual([]);
});

test('a mill in common use is added and trimmed', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/mills');
  await chooses(person, 'Add a mill in common use', 'Knee mill, upright, metric');
  await person.sees('Knee mill, upright, metric 5 mm a turn, 250 marks');
  await person.sees('✓ Stored');
  expect((await shopNow()).mills.find(({ name }) => name === 'Knee mill, upright, metric')).toMatchObject({
    axis: 'vertical',
    knee: { lead: { typed: '2.5', unit: 'mm' }, marks: 125 },
  });
  expect(person.faults).toEqual([]);
});

test('single keys switched off: the space bar counts nothing, no prompt speaks of it, the button does', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '6');
  await person.sees('✓ Stored');
  await person.pressButton('At the mill');
  await person.pressButton('Start at work hole 1');
  await person.makesReady();
  await person.sees('tap anywhere here, or Space');
  await person.pressButton('Card');
  await person.sees('Go on at the mill');
  await person.key('?');
  await person.pressWords('Single keys do things');
  await person.sees('Off: everything is done by its button.');
  await person.key('Escape');
  await person.pressButton('Go on at the mill');
  await person.sees('Work hole 1 drilled tap anywhere here');
  await person.seesNot(/or Space|Lost\? W\b/);
  await person.key('Space');
  await wait(BETWEEN_COUNTS_MS);
  await person.sees('Work hole 1 drilled');
  await person.pressButton('Work hole 1 drilled');
  await person.sees('Work hole 2 drilled');
  expect(person.faults).toEqual([]);
});
