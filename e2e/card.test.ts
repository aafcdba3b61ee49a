import { expect, test } from '@jest/globals';
import { drawnSpurJob } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';

const place = journeysIn('demo');

test('bad input: a sentence at the field, the other stations go on, nothing stored is changed', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/gear');
  await person.sees('62 teeth, m 1.5, 20°');
  for (const [typed, sentence] of [
    ['0', 'The tooth count of 0 is out of range. It runs from 4 to 1000.'],
    ['-3', 'out of range'],
    ['12.5', 'The tooth count must be a whole number; 12.5 is not.'],
    ['4000000', 'beyond anything that is cut'],
    ['a dozen', '“a dozen” cannot be read'],
  ] as const) {
    await person.types('Teeth', typed);
    await person.sees(sentence);
    await person.sees('Not stored.');
  }
  await person.types('Teeth', '62');
  await person.sees('✓ Stored');
  await person.types('Pitch', '14');
  await person.sees('If the drawing says 14 DP, the blank is Ø 116.11 mm');
  await person.types('Pitch', '1.5');

  await person.key('Tab');
  await person.goTo('/jobs/demo-lens-second/p1/blank');
  await person.types('Bore (0 for none)', '95');
  await person.sees('A bore of 95 is larger than the root, Ø 89.25 mm');
  await person.sees('m 1.5 No. 7, 20°');
  const stored = (await (await fetch(`${place.workshop.address}/api/jobs/demo-lens-second`)).json()) as {
    job: { parts: { blank: { bore: { typed: string } } }[] };
  };
  expect(stored.job.parts[0]!.blank.bore.typed).toBe('12');

  // what was typed is still there after the page is closed, still not stored
  await person.goTo('/jobs/demo-lens-second/p1/blank');
  await person.sees('A bore of 95 is larger than the root');
  await person.types('Bore (0 for none)', '12');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
});

test('an upstream change is said where it landed, in the units of the job', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-winding/p1/blank');
  await person.sees('Moved since it was settled: Blank diameter 94.00 mm → 96.00 mm');
  await person.key('u');
  await person.sees('Blank diameter 3.701 in → 3.780 in');
  await person.key('u');
  await person.key('4');
  await person.sees('was chosen for 45 parts and does not give 46 parts. Pick a way again.');
  await person.pressButton('Use');
  await person.sees('46 moves, every one true');
  await person.key('s');
  await person.sees('✓ Stored');
});

test('a count that simple indexing does not reach is said honestly; another head may reach it', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-orrery-year/p1/dividing');
  await person.sees(
    '73 cannot be had by simple indexing with these plates: it needs a circle whose holes are a multiple of 73. The nearest counts that do index: 72 and 74.',
  );
  await person.goTo('/jobs/demo-orrery-year/p1/gear');
  await person.types('Teeth', '51');
  await person.sees('not by simple indexing');
  await person.goTo('/jobs/demo-orrery-year/p1/dividing');
  await person.press('Head', 'combobox');
  const option = await person.page.waitForSelector(
    '.ant-select-item-option[title^="Head with a two-sided plate"]',
    { visible: true },
  );
  await option!.click();
  await person.sees('40 spaces on 51');
  await person.sees('turn over to side 2');
  await person.sees(
    'Differential is out: Head with a two-sided plate has no gears between spindle and plate',
  );
});

test('a prime count: a differential way picked, proved, drawn, and cut at the mill', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-orrery-year/p1/gear');
  await person.types('Teeth', '127');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/demo-orrery-year/p1/dividing');
  // an earlier journey may have left another head in force
  await person.press('Head', 'combobox');
  const option = await person.page.waitForSelector(
    '.ant-select-item-option[title^="Head with three plates"]',
    { visible: true },
  );
  await option!.click();
  await person.sees(/Differential 11 spaces on 33, gears 56 : 24/);
  await person.opens('The ways on this head');
  await person.pressButton('All 28 ways');
  await person.pressButton('Show all');
  await person.press('Use 13 spaces on 39, gears 56 : 24', 'button');
  await person.sees('13 spaces on 39, gears 56 : 24');
  await person.sees(
    'On the spindle 56 teeth On the plate shaft 24 teeth Idlers, usually 2 Plate must turn against the crank',
  );
  await person.sees(
    'Run through the head’s motion: 127 moves, every one true, the last back on the first. 127 × 13/39 − 7/3 of the plate = 40 turns',
  );
  await person.sees('plate lock pin out, and try that the plate creeps against the crank');
  await person.key('m');
  await person.pressButton('Start at tooth space 1');
  await person.sees('Gears 56 : 24, 2 idlers; plate lock pin out: the plate must creep against the crank.');
  await person.makesReady();
  await person.key('Space');
  await person.sees(
    'Tooth space 1 is cut. Turn clockwise: 13 spaces on 39 Pin is in hole 0, lands in hole 13',
  );
  expect(person.faults).toEqual([]);
});

test('a printed chart row is checked, and its misprint traced', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.pressButton('Check a chart');
  await person.sees('Type a row as it is printed');
  await person.pressWords('Two gears');
  for (const [field, typed] of [
    ['The row is for', '127'],
    ['Spaces', '13'],
    ['Circle', '39'],
    ['Gear on the spindle', '24'],
    ['Gear on the plate shaft', '56'],
    ['Idlers', '2'],
  ] as const) {
    await person.types(field, typed);
  }
  await person.sees('The row does not give 127');
  await person.sees('the gears on the spindle and the plate shaft exchanged');
  await person.types('Gear on the spindle', '56');
  await person.types('Gear on the plate shaft', '24');
  await person.sees('The row is right. 127 Run through the head’s motion: 127 moves, every one true.');
  await person.types('Circle', '0');
  await person.sees('The circle of 0 is out of range. It runs from 2 to 2000.');
  expect(await person.hardToUse()).toEqual([]);
  // a right one goes into a job: a new one, or the one it is wanted for
  await person.types('Circle', '39');
  await person.pressButton('A new job that divides so');
  await person.sees('13 spaces on 39, gears 56 : 24');
  await person.sees('127 moves, every one true');
  await person.pressButton('A way from a book: is it good? Use it');
  await person.sees('Check a chart');
  await person.pressWords('Two gears');
  for (const [field, figure] of [
    ['Spaces', '7'],
    ['Circle', '21'],
    ['Gear on the spindle', '56'],
    ['Gear on the plate shaft', '24'],
    ['Idlers', '2'],
  ] as const)
    await person.types(field, figure);
  await person.pressButton('Use it in Divide by 127');
  await person.sees('7 spaces on 21, gears 56 : 24');
  await person.sees('127 moves, every one true');
  expect(person.faults).toEqual([]);
});

test('the depth: every school beside the one in force, the stamped figure wins', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-fog-cam/p1/gear');
  await person.sees(/Whole depth h 0\.1800 in 4\.572 mm/);
  await person.types('Depth stamped on cutter', '');
  // the cutter that is in force has a stamp of its own
  await person.sees('0.1800 in = 4.572 mm, stamped on 12 P No. 3, fog drive');
  await person.sees(/Whole depth h 0\.1800 in 4\.572 mm/);
  await person.sees('14 1/2° · depth: as stamped on the cutter · no thinning');
  await person.sees(/Form cutter, 2\.157 \/ P 0\.1798 in/);
  await person.sees(/Coarse pitch, 2\.25 \/ P 0\.1875 in/);
  await person.types('Depth stamped on cutter', '.1875');
  await person.sees(/Whole depth h 0\.1875 in/);
  await person.sees('in doubt');
});

test('a stale save keeps both versions, and says so', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-stair-moon/p1/blank');
  await person.sees('✓ Stored');
  const { job, revision } = (await (
    await fetch(`${place.workshop.address}/api/jobs/demo-stair-moon`)
  ).json()) as {
    job: { name: string };
    revision: number;
  };
  await fetch(`${place.workshop.address}/api/jobs/demo-stair-moon`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ revision, job: { ...job, name: 'Renamed on the tablet' } }),
  });
  await person.types('Bore (0 for none)', '7');
  await person.sees(
    'Changed on another screen. This job was stored from somewhere else in the meantime. Both versions are kept.',
  );
  await person.pressButton('Show the stored one');
  await person.sees('Another version of this job');
  expect(await person.page.$eval('input[aria-label="Name of the job"]', (input) => input.value)).toBe(
    'Renamed on the tablet',
  );
  await person.pressButton('Open it as a job beside this one');
  await person.page.waitForFunction(() =>
    (
      document.querySelector('input[aria-label="Name of the job"]') as HTMLInputElement | null
    )?.value.endsWith('(other version)'),
  );
});

test('a new card that something wrong keeps from being stored is found again on the bench', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/drawing');
  await person.types('Teeth', 'forty');
  await person.sees('“forty” cannot be read');
  await person.types('Name of the job', 'Weather vane pinion');
  await person.leavesField();
  await person.sees('Not stored.');
  await person.goTo('/');
  await person.sees('Not stored yet: Weather vane pinion. One of its figures cannot be used');
  await person.pressButton('Weather vane pinion');
  await person.sees('“forty” cannot be read');
  await person.types('Teeth', '40');
  await person.sees('✓ Stored');
  await person.goTo('/');
  await person.sees('Weather vane pinion 40 teeth, pitch needed, 20° not cut yet');
});

test('a bare figure is meant in the units of the job; the unit behind the field swaps it', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/drawing');
  await person.sees('pitch and teeth needed');
  await person.leavesField();
  await person.key('u', '2');
  await person.types('Face width', '1/2');
  await person.sees('0.5000 in = 12.700 mm');
  await person.press('Face width: unit in, press for mm', 'button');
  await person.sees('0.0197 in = 0.500 mm');
  await person.press('Face width: unit mm, press for in', 'button');
  await person.sees('0.5000 in = 12.700 mm');
});

test('a reading that is too thick says how much to sink, one in another unit is asked about', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/inspect');
  await person.sees(/Span over teeth ?over \d+ teeth, ±/);
  await person.sees(/span 34\.\d+ over 8 teeth|span \d+\.\d+ over \d+ teeth/);
  const text = await person.text();
  const [, should] = /span (\d+\.\d+) over/.exec(text)!;
  await person.types('Span over teeth, as read', (Number(should) + 0.1).toFixed(3));
  await person.sees(/0\.10\d thick: sink 0\.1\d\d more/);
  await person.sees('Still on the head? Sink');
  await person.types('Span over teeth, as read', (Number(should) / 25.4).toFixed(3));
  await person.sees('Was it read in the other unit');
  await person.types('Span over teeth, as read', should!);
  await person.sees('Within 0.030 mm of what it should be.');
  await person.sees('✓ Stored');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('a panel and a drawing that do not arrive stay by themselves: the card works on, and comes whole with the page', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/gear');
  await person.sees('62 teeth, m 1.5, 20°');
  const { job } = await place.workshop.ask<{ job: { name: string } }>('GET', '/jobs/demo-lens-second');
  expect(await person.page.title()).toBe(`${job.name} · Vuelta`);

  let lost = true;
  await person.page.setRequestInterception(true);
  person.page.on('request', (request) =>
    lost && /\/assets\/cutter-[^/]*\.js$/.test(request.url())
      ? void request.abort()
      : void request.continue(),
  );
  await person.key('3');
  await person.sees('This station could not be shown. Nothing typed, counted or stored is lost');
  await person.sees('The drawing could not be shown.');
  // the edge of the card says what it said, and another station opens and takes what is typed
  await person.sees('m 1.5 No. 7, 20°');
  await person.key('2');
  await person.sees('Bore (0 for none)');
  await person.seesGo(/could not be shown/);
  await person.types('Face width', '15');
  await person.sees('✓ Stored');
  await person.types('Face width', '14');
  await person.sees('✓ Stored');
  await person.key('Tab');

  await person.goTo('/jobs/demo-lens-second/p1/cutter');
  await person.sees('This station could not be shown.');
  lost = false;
  await person.pressButton('Load the page again');
  await person.sees('Make the cutter for this very count');
  await person.seesNot(/could not be shown/);
  expect(person.faults.filter((fault) => !/could not be shown|dynamically imported/.test(fault))).toEqual([]);
  expect(person.faults.length).toBeGreaterThan(0);
});

test('a search that breaks off says so where its answer would stand, and is done again by a press', async () => {
  const person = await place.sitDown();
  await person.page.evaluateOnNewDocument(() => {
    const RealWorker = window.Worker;
    const here = window as Window & { workersDie?: boolean };
    here.workersDie = true;
    // as a device does that has no memory left for a worker, or a network that loses its file
    window.Worker = class extends RealWorker {
      constructor(file: string | URL, options?: WorkerOptions) {
        super(here.workersDie ? '/assets/none.js' : file, options);
      }
    };
  });
  const job = drawnSpurJob({ id: 'year', name: 'Year wheel', pitch: '0.8', teeth: 73, face: '4', bore: '6' });
  await place.workshop.ask('PUT', '/jobs/year', { revision: 0, job });
  await person.goTo('/jobs/year/p1/dividing');
  await person.sees(/near misses broke off \(it did not start\)\. Nothing is lost\./);
  // what was not looked for may be there: nobody is sent to drill a ring
  await person.seesNot(/Looking for trains|Make one/);
  await person.page.evaluate(() => {
    (window as Window & { workersDie?: boolean }).workersDie = false;
  });
  await person.pressButton('Try again');
  // the rule of differential indexing: by 70, 40/70 = 28 on 49, the plate turned by 40(70 − 73)/70 = −48/28;
  // or by 72, 40/72 = 15 on 27, and −40/72: whichever plate is on comes first
  await person.sees(/28 spaces on 49, gears 48 : 28|15 spaces on 27, gears 40 : 72/);
  await person.seesGo(/broke off/);
  expect(person.faults).toEqual([]);
});
