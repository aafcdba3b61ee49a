import { expect, test } from '@jest/globals';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, PATIENCE_MS, wait } from './person.ts';

const place = journeysIn('empty');

const stored = async (): Promise<{ parts: Record<string, never>[]; relations: unknown[] }> => {
  const { jobs } = (await (await fetch(`${place.workshop.address}/api/jobs?archived=false`)).json()) as {
    jobs: { id: string }[];
  };
  const read = await fetch(`${place.workshop.address}/api/jobs/${jobs[0]!.id}`);
  return ((await read.json()) as { job: never }).job;
};

test('a broken gear: counted from its survivors, measured, contradicted, decided by a span, and taken', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new');
  await person.sees('What is on the bench?');
  expect(await person.hardToUse()).toEqual([]);
  await person.key('2');
  await person.sees('a sample to measure');
  await person.sees('Give a size of the sample, and its count');
  await person.types('Name of the job', 'Vane gear');

  // bad input is answered at its field, with the likely cause
  await person.types('Teeth counted', '1');
  await person.sees('The tooth count of 1 is out of range');
  await person.types('Teeth counted', '60');
  await person.types('Outside diameter', '2.5');
  await person.sees('With this count that is module 0.04');
  await person.sees('in inches, it is 24.8 DP');
  await person.types('Outside diameter', '52.40');
  await person.types('Bore', '55');
  await person.sees('An outside of 52.40 mm is not more than the bore, 55.00 mm');
  await person.types('Bore', '10');

  // 40 teeth of module 1.25, worn by a tenth
  await person.types('Teeth counted', '40');
  await person.sees('m 1.25, 40 teeth');
  await person.sees('outside 0.100 mm under, as worn or thinned teeth do');

  // a span over the wrong number of teeth is queried, not averaged: W5 of this gear is 17.31
  await person.types('Teeth between the jaws', '4');
  await person.types('Span over them', '17.29');
  await person.sees('The readings do not belong to one gear');
  await person.sees('one tooth more between the jaws than written?');
  await person.types('Teeth between the jaws', '5');
  // one span does not tell 20° from 14½° on teeth that may be thinned; a second does
  await person.sees(
    'm 1.25, 40 teeth, 20° is the likeliest; these readings cannot tell it from m 1.25, 40 teeth, 14° 30′.',
  );
  await person.sees('What decides: spans over 5 and 6 teeth; their difference.');
  await person.types('Span over one tooth more', '17');
  await person.sees('17 does not go with 17.29 mm: it must be larger by one base pitch');
  await person.types('Span over one tooth more', '20.98');
  await person.sees('It is m 1.25, 40 teeth, 20°. Nothing else sits as well on these readings.');
  await person.types('Room where it goes, Ø', '50');
  await person.pressButton('Take it');

  // the gear from it; the room is short
  await person.sees('40 teeth, m 1.25, 20°');
  await person.sees('Ø 52.50');
  await person.sees('✓ Stored');
  await person.pressWords('The sample');
  await person.sees('The gear is 52.50 mm over its tips, and there is room for 50');
  const job = await stored();
  expect(job.parts[0]).toMatchObject({
    arrival: {
      by: 'sample',
      sample: { tip: { typed: '52.40' }, span: { typed: '17.29' } },
      taken: { teeth: 40 },
    },
    gear: { pitch: { typed: '1.25', unit: 'module' } },
    blank: { bore: { typed: '10' } },
  });

  // other readings later speak for another gear, and the card asks
  await person.types('Outside diameter', '53.25');
  for (const field of ['Teeth between the jaws', 'Span over them', 'Span over one tooth more'])
    await person.types(field, '');
  await person.sees('with the readings as they are now it is 20 DP, 40 teeth');
  expect(person.faults).toEqual([]);
});

test('a bar end: the largest gear it has room for, and the one that indexes', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new');
  await person.sees('What is on the bench?');
  await person.pressButton('A piece of metal');
  await person.types('Diameter of the piece', '70');
  await person.types('Pitch wanted', '1.25');
  await person.sees('53 is the largest the piece has room for; 52 is recommended');
  await person.sees(/53 68\.75 mm .* with gears/);
  await person.types('Off the outside to clean it up', '80');
  await person.sees('Taking 80 off to clean up leaves nothing of the stock.');
  await person.types('Off the outside to clean it up', '0.5');
  await person.press('Take 52 teeth', 'button');
  await person.sees('52 teeth, m 1.25, 20°');
  await person.sees('Ø 67.50');

  // the blank came out under size: the dial goes by it
  await person.leavesField();
  await person.key('2');
  await person.types('As turned, when measured', '67.40');
  await person.sees(
    'The blank is 0.100 mm under size. Set from its outside, the dial goes to 2.763 mm instead of 2.813 mm',
  );
  await person.sees('1 pass, 2.76 deep');
  expect(person.faults).toEqual([]);
});

test('two shafts: an exact pair, a near miss with its remedies, both gears on one job', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/shafts');
  await person.types('Centre distance', '60');
  await person.types('Ratio wanted', '3 to 1');
  await person.sees('“3 to 1” is not a ratio. Write it like 3, 3:1 or 63/42.');
  await person.types('Ratio wanted', '3:1');
  await person.sees('m 1.5, 20 and 60 teeth');
  await person.sees('lands on it, nominal 60.000 mm');
  await person.types('Centre distance', '60.4');
  await person.sees('m 1.75, 17 and 52 teeth');
  await person.pressButton('What would put it right');
  await person.sees('Spread the shafts to 60.470 mm.');
  await person.sees(/Or sink the cutter 0\.0\d\d mm more into the first gear/);
  await person.press('Take m 1.75 17/52', 'button');
  await person.sees('17 teeth, m 1.75, 20°');
  await person.sees('2. Second gear');
  await person.sees('Runs with another gear of 52 teeth');
  await person.sees('Backlash at this distance');
  await person.pressButton('Cut this gear thinner by');
  await person.sees('Depth to cut, for thinner teeth');
  await person.sees('✓ Stored');
  await person.pressButton('2. Second gear');
  await person.sees('52 teeth, m 1.75, 20°');
  await person.sees('gear, for two shafts');
  await person.seesNot(/Cut this gear thinner by/);
  const job = await stored();
  expect(job.relations).toMatchObject([{ kind: 'pair', parts: ['p1', 'p2'] }]);
  expect(person.faults).toEqual([]);
});

test('just divide: seven flats on a bar, the depth from across flats, gauged as an odd count has to be', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new');
  await person.sees('What is on the bench?');
  await person.key('5');
  await person.types('How many', '7');
  await person.press('Of what', 'combobox');
  await person.page.waitForSelector('.ant-select-item-option[title="flats"]', { visible: true });
  await person.page.click('.ant-select-item-option[title="flats"]');
  await person.types('On a diameter of', '30');
  await person.types('Across flats', '31');
  await person.sees('31 does not go on stock of 30.00 mm');
  await person.types('Across flats', '27.5');
  await person.sees('7 is odd: no flat lies opposite another');
  await person.sees('1 pass, 1.25 deep');
  await person.sees('flat to corner 28.75 mm');
  // a figure steps with the arrow keys
  await person.page.keyboard.press('ArrowUp');
  await person.sees('1 pass, 1.20 deep');
  expect(person.faults).toEqual([]);
});

test('cutters: a set is listed, the station says which serves and why others do not, and a tool is drawn and saved', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/cutters');
  await person.sees('A set of one pitch, numbered as its maker numbers them');
  await person.types('Pitch of the set', '1.25');
  await person.sees('“1.25” is not known for a pitch. Write M1.5 or 14 DP.');
  await person.types('Pitch of the set', 'M1.25');
  await person.key('Enter');
  await person.pressButton('Add the eight');
  await person.sees('m 1.25 No. 5, 20°');
  await person.sees('✓ Stored');
  // one with nothing but its number
  await person.pressButton('Add one cutter');
  await person.types('Pitch', 'M1.25');
  await person.key('Enter');
  await person.types('Number', 'No. 3');
  await person.key('Enter');
  await person.sees('No. 3, school not known');
  await person.types('Number', '12');
  await person.sees('“12” is not a cutter number.');
  await person.types('Number', '3');
  await person.key('Enter');
  await person.sees('✓ Stored');
  expect(await person.hardToUse()).toEqual([]);

  await person.goTo('/jobs/new/drawing');
  await person.types('Pitch', '1.25');
  await person.types('Teeth', '40');
  await person.sees('40 teeth, m 1.25, 20°');
  await person.leavesField();
  await person.key('3');
  await person.sees('m 1.25 No. 6, 20° 35 to 54 teeth ✓ fits');
  await person.sees('No. 3 is 35 to 54 teeth by the inch school and 17 to 20 teeth by the metric one');
  await person.sees('Use m 1.25 No. 6, 20°, settle');
  await person.pressButton('7 are out: show why');
  await person.sees('It covers 55 to 134 teeth, and this gear is cut as 40 teeth.');
  await person.sees(/made for 35: \+\d+ µm at the tip/);
  await person.press('Use m 1.25 No. 6, 20°', 'button');
  await person.sees('put it back');
  await person.sees('✓ Stored');
  expect(await person.hardToUse()).toEqual([]);

  await person.pressWords('Make the cutter for this very count');
  await person.sees('width at the pitch line');
  await person.types('Times life size', '5000');
  await person.sees('A template is drawn 1 to 200 times life size');
  await person.types('Times life size', '25');
  await person.pressWords('Turned with two buttons');
  await person.sees(/The arcs stay within [\d.]+ µm of the true flank/);
  const session = await person.page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    ...(person.page.browserContext().id ? { browserContextId: person.page.browserContext().id! } : {}),
    downloadPath: place.workshop.folder,
    eventsEnabled: true,
  });
  const saved = new Promise((resolve) =>
    session.on('Browser.downloadProgress', ({ state }) => state === 'completed' && resolve(true)),
  );
  await person.pressButton('Save template as DXF');
  expect(await Promise.race([saved, wait(PATIENCE_MS)])).toBe(true);
  await person.goTo('/shop/cutters');
  await person.sees('To buy for the jobs on the bench');
  expect(person.faults).toEqual([]);
});

test('cutters from a spreadsheet: its ways are put up with, bad rows are named, good ones taken on agreement', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/cutters');
  await person.sees('To buy for the jobs on the bench');
  const file = path.join(place.workshop.folder, 'drawer.csv');
  writeFileSync(
    file,
    [
      '\uFEFFCutter;Pitch;Number;School;Range;Angle;Diameter;Stamped depth',
      '"Old Tom, 16 P";16 DP;No. 4;inch;26-34;14,5;2 1/4 in;.135 in',
      'Half;m1.25;3½;inch;;20;;',
      'Bare figure;14;1;;;20;;',
      'Upside down;M2;3;inch;34-26;20;;',
    ].join('\r\n'),
  );
  const [chooser] = await Promise.all([
    person.page.waitForFileChooser(),
    person.press('Bring in form cutters from CSV', 'button'),
  ]);
  await chooser.accept([file]);
  await person.sees('2 rows can be taken. 2 rows cannot:');
  await person.sees('“14” is not known for a pitch. Write M1.5 or 14 DP.');
  await person.sees('“34-26” is not a range of teeth. Write it like 26-34, or 135 to rack.');
  await person.pressButton('Take 2 rows');
  await person.sees('Old Tom, 16 P 26 to 34 teeth');
  await person.sees('✓ Stored');
  const shop = (await (await fetch(`${place.workshop.address}/api/shop`)).json()) as {
    equipment: { cutters: { name: string; stamped: { typed: string; unit: string } }[] };
  };
  expect(shop.equipment.cutters.find(({ name }) => name === 'Old Tom, 16 P')!.stamped).toEqual({
    typed: '.135',
    unit: 'in',
  });

  // what is taken out of the shop can be put back
  await person.pressButton('Old Tom, 16 P');
  await person.pressButton('Take Old Tom, 16 P out of the shop');
  await person.sees('is taken out of the shop. Jobs planned with it keep their own copy.');
  await person.pressButton('Put it back');
  await person.sees('Old Tom, 16 P 26 to 34 teeth');

  // a set comes and goes as a set
  await person.pressButton('Add a set of eight or fifteen');
  await person.types('Pitch of the set', 'M3');
  await person.pressButton('Add the eight');
  await person.sees('m 3 No. 8');
  await person.pressButton('m 3 No. 5');
  await person.pressButton('Take all 8 of the m 3 set, 20°, metric out');
  await person.sees('The m 3 set, 20°, metric is taken out of the shop.');
  await person.seesGo(/m 3 No\. 8/);
  await person.sees('Old Tom, 16 P 26 to 34 teeth');
  expect(person.faults).toEqual([]);
});

test('holes on a circle: the cut list with places for a readout, and cut to the end', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/divide');
  await person.types('How many', '4');
  await person.types('On a diameter of', '50');
  await person.sees('✓ Stored');
  await person.pressButton('Cut list: every one in order');
  await person.sees('X mm Y mm');
  await person.sees(/2 .* 25\.000 0\.000/);
  await person.sees(/4 .* -25\.000 0\.000/);
  await person.pressButton('Back to the card');
  await person.sees('4 · Dividing');
  await person.leavesField();
  await person.key('m');
  await person.pressButton('Start at work hole 1');
  await person.makesReady();
  for (let space = 1; space <= 4; space += 1) {
    await person.sees(`Work hole ${space} drilled`);
    await person.key('Space');
    await wait(BETWEEN_COUNTS_MS);
  }
  await person.sees('closing move');
  expect(person.faults).toEqual([]);
});

test('a helical gear: both planes, the virtual count by either rule, and no run while its lead waits for the face', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/drawing');
  await person.types('Pitch', '2');
  await person.types('Teeth', '30');
  await person.pressWords('Helical teeth');
  await person.types('Helix angle (empty for spur)', '95');
  await person.sees('A helix angle of 95 is out of range.');
  await person.types('Helix angle (empty for spur)', '20°');
  await person.sees('30 teeth, m 2, 20°, helix 20° right');
  await person.pressWords('left-hand');
  await person.sees('helix 20° left');
  await person.sees('Ø 67.85');
  await person.sees(/5 Lead waits for the face width/);
  await person.leavesField();
  await person.key('3');
  await person.sees('Cut as 36.2 teeth by the book');
  await person.key('m');
  await person.seesNot(/Start at tooth space 1/);
  expect(person.faults).toEqual([]);
});
