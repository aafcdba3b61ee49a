import { afterEach, describe, expect, test } from '@jest/globals';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { measure } from '../core/units/index.ts';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, Person, wait } from './person.ts';
import { Workshop } from './workshop.ts';

const place = journeysIn('empty');
let other: Workshop | null = null;
afterEach(async () => {
  await other?.close();
  other = null;
});

/** A run of 24 teeth with its first cuts counted elsewhere. */
async function startRun(id: string, cuts: number): Promise<void> {
  const job = drawnSpurJob({ id, name: `Wheel ${id}`, pitch: '1.5', teeth: 24, face: '10', bore: '8' });
  const { workshop } = place;
  await workshop.ask('PUT', `/jobs/${id}`, { revision: 0, job });
  await workshop.ask('POST', `/jobs/${id}/runs`, { id: `run-${id}`, partId: 'p1', revision: 1 });
  if (cuts > 0) await workshop.countElsewhere(`run-${id}`, cuts);
}

async function atMill(id: string): Promise<Person> {
  const person = await place.sitDown();
  await person.goTo(`/runs/run-${id}`);
  return person;
}

const doneOf = async (id: string): Promise<number> =>
  (await place.workshop.ask<{ summary: { done: number } }>('GET', `/runs/run-${id}`)).summary.done;

describe.each(['no-preference', 'reduce'])('motion: %s', (motion) => {
  test('what is typed in a dialog at the mill is written, and counts, pauses and takes back nothing', async () => {
    const id = `keys-${motion}`;
    await startRun(id, 3);
    const person = await atMill(id);
    await person.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: motion }]);
    await person.sees('Tooth space 4 cut');
    // nothing is waited for: a hand types on at once
    await person.key('n');
    await person.page.waitForSelector('.mill-dialog');
    await person.page.keyboard.type('p a b ', { delay: 60 });
    await person.page.waitForFunction(() => document.querySelector('textarea')?.value === 'p a b ');
    await person.pressButton('Write it down');
    await person.seesGo(/Write it down/);
    await person.sees('Tooth space 4 cut');
    await person.seesNot(/Paused/);
    await person.key('w');
    await person.page.waitForSelector('.mill-dialog');
    await person.page.keyboard.type('2', { delay: 60 });
    await person.key('Space', 'p');
    await person.key('Escape');
    await person.seesGo(/Where am I\?/);
    await person.sees('Tooth space 4 cut');
    await person.seesNot(/Paused/);
    await person.sees('✓ stored');
    expect(await doneOf(id)).toBe(3);
    expect(person.faults).toEqual([]);
  });
});

test('a run that will not be cut to its end: scrapped with its reason, taken back, given up, and the card goes on', async () => {
  await startRun('ended', 5);
  const person = await atMill('ended');
  await person.sees('Tooth space 6 cut');
  await person.key('e');
  await person.types('Why? It stays in the log with this.', 'cutter chipped');
  await person.pressButton('Scrap the piece');
  await person.sees(
    'This piece was scrapped after tooth space 5. “cutter chipped”. 5 of 24 cuts stand in the log.',
  );
  // no key counts on a piece that is lost
  await wait(BETWEEN_COUNTS_MS);
  await person.key('Space');
  await person.sees('✓ stored');
  expect(await doneOf('ended')).toBe(5);
  await person.key('Backspace');
  await person.sees('Tooth space 6 cut');
  await wait(BETWEEN_COUNTS_MS);
  await person.key('e');
  await person.pressButton('End it as it is');
  await person.sees('This run was ended after tooth space 5.');
  await person.sees('✓ stored');
  await person.goTo('/');
  await person.seesNot(/Interrupted at the mill Wheel ended/);
  await person.goTo('/jobs/ended/p1/cut');
  await person.sees('7 · Cut');
  await person.leavesField();
  await person.key('m');
  await person.sees('Start at tooth space 1');
  await person.goTo('/log/run-ended');
  await person.sees(/5 of 24/);
  expect(person.faults).toEqual([]);
});

test('what could break something is named with its figure at the start, and waits for a tick of its own', async () => {
  const drawn = drawnSpurJob({
    id: 'jaws',
    name: 'Wheel jaws',
    pitch: '1.5',
    teeth: 24,
    face: '10',
    bore: '8',
  });
  const job = withSpurPart(drawn, 'p1', (part) => ({
    ...part,
    setup: {
      ...part.setup,
      cutterDiameter: measure('60', 'mm'),
      cutterWidth: measure('6', 'mm'),
      jawGap: measure('5', 'mm'),
      jawDiameter: measure('95', 'mm'),
    },
  }));
  await place.workshop.ask('PUT', '/jobs/jaws', { revision: 0, job });
  const person = await place.sitDown();
  await person.goTo('/jobs/jaws/p1/cut');
  await person.sees('1 pass, 3.38 deep');
  await person.key('m');
  await person.sees(/Gap to jaws or head: \d+\.\d\d mm is needed, and there is 5\.00 mm\./);
  const waits = () =>
    person.page.$$eval(
      'button',
      (buttons) =>
        buttons.filter(({ innerText, disabled }) => disabled && innerText.includes('Start at tooth space 1'))
          .length,
    );
  expect(await waits()).toBe(1);
  await person.pressWords('I have looked at it on the machine: gap to jaws or head clears.');
  expect(await waits()).toBe(0);
  await person.pressButton('Start at tooth space 1');
  await person.makesReady();
  await person.sees('Tooth space 1 cut');
  expect(person.faults).toEqual([]);
});

test('the bench tells the same move as the mill', async () => {
  await startRun('same', 2);
  const person = await atMill('same');
  // 24 teeth: 1 2/3 turns, 22 spaces on 33; from space 2 in hole 22, 22 on is hole 11
  await person.sees('Tooth space 2 is cut. Turn clockwise: 1 whole turn 22 spaces on 33');
  await person.sees('Pin is in hole 22, lands in hole 11');
  await person.goTo('/');
  await person.sees(
    'Tooth space 2 is cut. Turn clockwise: 1 whole turn + 22 spaces on 33 Pin is in hole 22, lands in hole 11.',
  );
  await person.goTo('/log/run-same');
  await person.sees(
    'Next: Tooth space 2 is cut. Turn clockwise: 1 whole turn + 22 spaces on 33. Pin is in hole 22, lands in hole 11.',
  );
});

test('a page of another origin can read nothing of the workshop and change nothing in it', async () => {
  await startRun('origin', 1);
  other = await Workshop.open('empty');
  const person = await Person.sitDown(place.browser, other.address);
  await person.goTo('/');
  await person.sees('No jobs yet');
  const tried = await person.page.evaluate(async (address) => {
    const attempts: [string, RequestInit][] = [
      ['/api/jobs', {}],
      ['/api/jobs/origin', { method: 'DELETE' }],
      ['/api/jobs/origin', { method: 'PUT', headers: { 'content-type': 'application/json' }, body: '{}' }],
      // what a form may send without asking
      [
        '/api/runs/run-origin/events',
        { method: 'POST', headers: { 'content-type': 'text/plain' }, body: '{"events":[]}' },
      ],
      ['/api/demo', { method: 'POST', mode: 'no-cors' }],
    ];
    return Promise.all(
      attempts.map(([to, init]) =>
        fetch(address + to, init).then(
          ({ type, ok }) => (type === 'opaque' ? 'sent' : ok),
          () => 'refused',
        ),
      ),
    );
  }, place.workshop.address);
  expect(tried.slice(0, 3)).toEqual(['refused', 'refused', 'refused']);
  expect(tried).not.toContain(true);
  expect(await doneOf('origin')).toBe(1);
});

test('a shop field is kept whatever is pressed next, by mouse and by touch: both changes stand', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop');
  await person.pressButton('Head with three plates');
  // typed, and at once something else of the same head pressed: no Enter, no pause
  await person.types('Name', 'Old three-plate head');
  await person.pressWords('It has a graduated handwheel');
  await person.sees('Marks on one turn');
  await person.types('Marks on one turn', '360');
  await person.pressWords('Marks are just numbered');
  await person.sees('✓ Stored');
  const head = async () =>
    (
      await place.workshop.ask<{
        equipment: { heads: { name: string; ratio: string; handwheel: object | null }[] };
      }>('GET', '/shop')
    ).equipment.heads[0]!;
  expect(await head()).toMatchObject({
    name: 'Old three-plate head',
    handwheel: { marks: 360, reads: 'numbers' },
  });
  // and with a finger
  await person.page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  await person.page.reload();
  await person.pressButton('Old three-plate head');
  await person.types('Parts on the vernier', '5');
  const choice = await person.page.waitForSelector('::-p-text(Reads degrees and minutes)');
  await choice!.tap();
  await person.sees('✓ Stored');
  expect(await head()).toMatchObject({ handwheel: { marks: 360, vernier: 5, reads: 'angle' } });
  expect(person.faults).toEqual([]);
});

test('a key held down in a field is answered there; it and the rest of the card outlive the page', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/new/drawing');
  await person.types('Pitch', '2');
  await person.types('Teeth', '9'.repeat(20));
  await person.sees(/out of range|beyond anything/);
  await person.leavesField();
  await person.key('2');
  await person.sees('Face width');
  await person.types('Face width', '9'.repeat(30));
  await person.sees('is beyond anything that is cut. Was a key held down');
  await person.page.reload();
  await person.sees('is beyond anything that is cut. Was a key held down');
  await person.types('Face width', '12');
  await person.leavesField();
  await person.key('1');
  await person.types('Teeth', '30');
  await person.sees('30 teeth, m 2, 20°');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
});

test('cards kept in the browser by an earlier Vuelta, and one that cannot be read: taken up, or put aside as a file', async () => {
  const job = drawnSpurJob({
    id: 'kept',
    name: 'Kept wheel',
    pitch: '1.5',
    teeth: 24,
    face: '10',
    bore: '8',
  });
  const person = await place.sitDown();
  await person.goTo('/');
  await person.sees('On the bench');
  await person.page.evaluate(
    (text) => {
      localStorage.setItem('vuelta.draft.kept', text);
      localStorage.setItem(
        'vuelta.draft.broken',
        '{"job": {"format": "vuelta-job", "version": 99, "name": "From tomorrow"}, "revision": 0}',
      );
      localStorage.setItem('vuelta.draft.half', '{"job": {"format"');
    },
    JSON.stringify({ job, revision: 0 }),
  );
  await person.page.reload();
  await person.sees('Kept aside: What was typed on “From tomorrow” and not stored cannot be used as it is.');
  await person.sees('Not stored yet: Kept wheel');
  await person.goTo('/jobs/half/p1/gear');
  await wait(500);
  await person.goTo('/');
  await person.sees('Kept wheel');
  expect(
    await person.page.evaluate(
      () => Object.keys(localStorage).filter((key) => key.startsWith('vuelta.aside.')).length,
    ),
  ).toBe(2);
  expect(person.faults).toEqual([]);
});
