import { beforeEach, expect, test } from '@jest/globals';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { measure } from '../core/units/index.ts';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, Person, wait } from './person.ts';

const place = journeysIn('empty');
let made = 0;
let runId = '';

/** A run of 14 teeth: 2 turns and 18 spaces on 21. */
async function startRun(startSpace = '1', passes: 'one' | 'rough-finish' = 'one'): Promise<void> {
  made += 1;
  const id = `job-${made}`;
  runId = `run-${made}`;
  const job = withSpurPart(
    drawnSpurJob({ id, name: `Pinion ${made}`, pitch: '2', teeth: 14, face: '10', bore: '6' }),
    'p1',
    (part) => ({ ...part, cut: { ...part.cut, passes, startSpace: measure(startSpace, 'count') } }),
  );
  await place.workshop.ask('PUT', `/jobs/${id}`, { revision: 0, job });
  await place.workshop.ask('POST', `/jobs/${id}/runs`, { id: runId, partId: 'p1', revision: 1 });
}
const atMill = async (): Promise<Person> => {
  const person = await place.sitDown();
  await person.goTo(`/runs/${runId}`);
  return person;
};
beforeEach(() => startRun());

test('key repeat and double taps count once; take back, note and pause', async () => {
  const person = await atMill();
  await person.sees('On the machine, before the first cut: 0 is the hole the pin is in');
  await person.makesReady();
  // a key held down, and a key pressed twice at once
  await person.page.keyboard.down('Space');
  for (let i = 0; i < 8; i += 1) await person.page.keyboard.down('Space');
  await person.page.keyboard.up('Space');
  await person.key('Space');
  await person.sees('Tooth space 2 cut');
  await person.sees('13 left');
  await wait(BETWEEN_COUNTS_MS);
  const big = await person.page.waitForSelector('::-p-text(Tooth space 2 cut)');
  await big!.click({ count: 2, delay: 20 });
  await person.sees('Tooth space 3 cut');
  // a tapped button does not keep the focus: Space still means the space just cut, here and after Take back
  expect(await person.page.evaluate(() => document.activeElement === document.body)).toBe(true);
  await wait(BETWEEN_COUNTS_MS);
  await person.sees('12 left');

  await person.key('Backspace');
  await person.sees('Tooth space 2 cut');
  await wait(BETWEEN_COUNTS_MS);
  await person.key('n');
  await person.types('Note', 'chatter here, slower feed');
  await person.pressButton('Write it down');
  await wait(200);
  await person.key('t');
  await person.sees('Turn 2 of 2 made');
  await person.key('p');
  await person.sees('Paused after tooth space 1');
  await person.sees(
    'To tooth space 2: turn clockwise 2 turns + 18 spaces on 21; from hole 0 the pin lands in hole 18. 1 turn of it is made.',
  );
  // nothing counts while paused
  await person.page.keyboard.press('Backspace');
  await person.sees('13 left');
  await person.sees('✓ stored');
  await person.page.reload();
  await person.sees('Paused after tooth space 1');
  await person.pressButton('Resume');
  await person.sees('Tooth space 2 cut');
  await person.key('n');
  await person.sees('chatter here, slower feed');
  expect(person.faults).toEqual([]);
});

test('a run may start at any space, its start hole is hole 0', async () => {
  await startRun('9');
  const person = await atMill();
  await person.sees(
    'Turn clockwise, a turn or two, and drop the pin into the nearest hole of 21, plate B: it is now hole 0. Arms: 18 spaces, 19 holes with the pin’s own.',
  );
  await person.makesReady();
  await person.sees('9 is the tooth space to start at');
  await person.key('Space');
  await person.sees('Tooth space 9 is cut. Turn clockwise: 2 whole turns 18 spaces on 21');
  await person.sees('Pin is in hole 0, lands in hole 18');
  await person.sees('Tooth space 10 cut');
});

test('rough and finish: the new depth is said before the first move of the second round', async () => {
  await startRun('1', 'rough-finish');
  const person = await atMill();
  await person.sees('rough pass, 4.000 mm deep');
  // thirteen of the fourteen counted elsewhere before
  const { events } = (await (await fetch(`${place.workshop.address}/api/runs/${runId}/events`)).json()) as {
    events: unknown[];
  };
  expect(events).toEqual([]);
  await place.workshop.countElsewhere(runId, 13);
  await person.sees('Tooth space 14 cut');
  await person.key('Space');
  await person.sees(
    'Rough pass is done. On to tooth space 1 again. Turn clockwise: 2 whole turns 18 spaces on 21',
  );
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('The arms are round');
  await person.sees(
    'The work stands at tooth space 1. The depth of the finish pass: 4.500 mm deep Lock the spindle. Raise the knee to 4.500 mm (0.1772 in).',
  );
  await person.sees('finish pass, 4.500 mm deep');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Tooth space 1 cut');
  await person.sees('Tooth space 2 cut');
});

test('two screens that counted at once ask, and agree on what the gear shows', async () => {
  const tablet = await atMill();
  // another browser, as another device is
  const other = await place.browser.createBrowserContext();
  const phone = await Person.sitDown(other, place.workshop.address);
  await phone.goTo(`/runs/${runId}`);
  await tablet.makesReady();
  await phone.sees('Tooth space 1 cut');
  await phone.page.setOfflineMode(true);
  await tablet.key('Space');
  await phone.key('Space');
  await wait(BETWEEN_COUNTS_MS);
  await phone.key('Space');
  await phone.sees(/server away, 2 kept here/);
  await phone.page.setOfflineMode(false);
  await tablet.sees(
    'Two screens counted without knowing of each other: tooth space 1, tooth space 2',
    15_000,
  );
  // nothing more is counted before it is answered
  await tablet.key('Space');
  await tablet.sees('Look at the work: which tooth space was cut last? − tooth space 2 +');
  await tablet.press('One back');
  await tablet.sees('− tooth space 1 +');
  await tablet.pressButton('Set the count so');
  await tablet.sees('Tooth space 1 is cut');
  await phone.sees('Tooth space 1 is cut', 15_000);
  await phone.seesNot(/in doubt/);
  await other.close();
});

test('when the cutter does not drop in, it says stop', async () => {
  await place.workshop.countElsewhere(runId, 14);
  const person = await atMill();
  await person.sees(
    'Spindle stopped, bring the cutter to tooth space 1: it must drop into it without touching a flank.',
  );
  await person.pressButton('It does not');
  await person.sees('It does not close: stop here');
  await wait(BETWEEN_COUNTS_MS);
  await person.key('Backspace');
  await person.sees('It drops in');
});

test('the count is lost: the pin’s hole and a look tell where it is, and the run goes on from there', async () => {
  const person = await atMill();
  await person.makesReady();
  await person.key('w');
  await person.sees('Where am I?');
  await person.types('Pin is in hole', '7');
  await person.sees('No cut of this run ends in hole 7. The pin slipped');
  await person.sees('The pin only ever stands in holes 3 apart, from 0.');
  await person.types('Pin is in hole', '50');
  await person.sees('The circle in use ends at hole 20.');
  await person.types('Pin is in hole', '9');
  await person.types('Tooth spaces cut, by eye', '11');
  await person.sees('The work stands at tooth space 12. Is it cut?');
  await person.press('Tooth space 12 is cut', 'button');
  await person.sees('2 left');
  await person.sees('Pin is in hole 9, lands in hole 6');
  // the pin may have been moved on before the space was cut
  await person.key('w');
  await person.types('Pin is in hole', '6');
  await person.press('Tooth space 13 is not cut yet', 'button');
  await person.seesGo(/Where am I\?/);
  await person.sees('The work stands at tooth space 13. Do not crank:');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Tooth space 13 cut');
  await person.sees('1 left');
  await person.sees('Pin is in hole 6, lands in hole 3');
  expect(person.faults).toEqual([]);
});
