import { expect, test } from '@jest/globals';
import { jobOfGear } from '../core/sampleBench.ts';
import type { ClassBoard } from '../core/wire/index.ts';
import { journeysIn } from './journeys.ts';
import { Person, wait } from './person.ts';

const place = journeysIn('demo');

const CIRCLES = [15, 16, 17, 18, 19, 20, 21, 23, 27, 29, 31, 33, 37, 39, 41, 43, 47, 49];

/** The move for a count on these circles, worked here: 40 over the count. */
function moveFor(count: number): {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
} {
  const circle = CIRCLES.find((holes) => (40 * holes) % count === 0)!;
  const all = (40 * circle) / count;
  return { turns: Math.floor(all / circle), spaces: all % circle, circle };
}

const takes = (person: Person, title: string): Promise<void> => person.pressWords(title);

/** How many teeth simple indexing is asked for. */
async function countAsked(person: Person): Promise<number> {
  await person.sees(/for \d+ teeth\?/);
  return Number(/for (\d+) teeth\?/.exec(await person.text())![1]);
}

async function answers(person: Person, typed: string): Promise<void> {
  await person.types('Move of the crank', typed);
  await person.key('Enter');
}

test('alone: a slip is told by what it gives, a hint, the working, what went wrong stands marked after a reload', async () => {
  const person = await place.sitDown();
  await person.goTo('/exercises');
  await person.sees('Figures are drawn for you. Nothing is sent anywhere.');
  await takes(person, 'Simple indexing');
  const { turns, spaces, circle } = moveFor(await countAsked(person));
  await person.key('Enter');
  await person.sees('Nothing is written here yet.');
  await answers(person, `${turns} turns ${spaces + 1} on ${circle}`);
  await person.sees(`Spaces, not holes: ${spaces}.`);
  await person.sees('0 of 1 right at the first try');
  await person.pressButton('A hint');
  await person.sees('Forty over the count, in lowest terms.');
  await answers(person, `${turns} turns ${spaces} on ${circle}`);
  await person.sees('✓ Right.');
  // mended, but not at the first try
  await person.sees('0 of 1 right at the first try');
  await person.pressButton('Show the working');
  await person.sees('Turns of the crank for one move');
  expect(await person.hardToUse()).toEqual([]);
  await person.goTo('/exercises');
  await person.sees('0 of 1 right at the first try');
  await person.sees('Turns of the crank for one move');
  await person.pressButton('Next');
  await person.sees('Mark it');
  expect(person.faults).toEqual([]);
});

test('a class: made, joined, tried; the teacher sees the slip; another tablet by the figures; deleted, it is gone', async () => {
  const teacher = await place.sitDown();
  await teacher.goTo('/classes');
  await teacher.types('Name of the class', 'Keepers, first year');
  await teacher.pressButton('Make the class');
  await teacher.sees('Nobody has joined yet.');
  const code = /Join a class ([A-Z]{5})/.exec(await teacher.text())![1]!;

  const join = async (name: string): Promise<Person> => {
    const person = await Person.sitDown(await place.browser.createBrowserContext(), place.workshop.address);
    await person.goTo(`/exercises?class=${code}`);
    await person.types('Your name, or one you choose', name);
    await person.pressButton('Join');
    return person;
  };
  const ana = await join('Ana');
  await ana.sees('Keepers, first year · Ana');
  const figures = /your name and (\d{4})\./.exec(await ana.text())![1]!;
  await takes(ana, 'Simple indexing');
  const { turns, spaces, circle } = moveFor(await countAsked(ana));
  await answers(ana, `${turns} ${spaces + 1}/${circle}`);
  await ana.sees('Spaces, not holes');

  await teacher.page.bringToFront();
  await teacher.sees('That counts the hole the pin is in.');
  await teacher.sees(/Ana 0 1 just now Simple indexing/);
  expect(await teacher.hardToUse()).toEqual([]);

  // the same name on another tablet is asked for its figures, and stands where it stood
  const again = await join('ANA');
  await again.sees('Somebody in this class is called Ana already.');
  await again.types('Your four figures', figures);
  await again.pressButton('Join');
  await again.sees('0 of 1 right at the first try');

  await teacher.page.bringToFront();
  await teacher.pressButton('Ana');
  await teacher.pressButton('Delete Ana');
  await teacher.sees('It cannot be had back.');
  await teacher.pressButton('Delete for good');
  await teacher.sees('Nobody has joined yet.');
  // her tablet is by itself again, with nothing of the class
  await ana.page.bringToFront();
  await ana.goTo('/exercises');
  await ana.sees('Figures are drawn for you. Nothing is sent anywhere.');
  for (const person of [teacher, ana, again]) expect(person.faults).toEqual([]);
});

test('on paper: the same number is the same sheet, and the key stands apart with its working', async () => {
  const person = await place.sitDown();
  const sheet = '/exercises/sheet?number=47&level=2&kinds=outside,simple';
  const listed = async () =>
    person.page.$eval('.paper-list', (list) => (list as HTMLElement).innerText.replace(/\s+/g, ' '));
  await person.goTo(sheet);
  await person.sees('Exercises, sheet 47');
  const first = await listed();
  await person.goTo(sheet);
  await person.sees('Exercises, sheet 47');
  expect(await listed()).toBe(first);
  const count = Number(/for (\d+) teeth/.exec(first)![1]);
  await person.pressWords('Key with working');
  await person.sees('Key to sheet 47');
  await person.sees('Check: all the moves make one turn of the work');
  const key = await listed();
  const { turns, spaces, circle } = moveFor(count);
  // any circle that serves; the fraction of a turn is the same
  const said = /49 (?:(\d+) )?(\d+)\/(\d+) Turns of the crank/.exec(key)!;
  expect(Number(said[1] ?? 0) + Number(said[2]) / Number(said[3])).toBeCloseTo(turns + spaces / circle, 9);
  expect(await person.hardToUse()).toEqual([]);
});

test('a class given a job: what a learner does at the bench is on the teacher’s page, with its harm', async () => {
  const job = { ...jobOfGear({ teeth: 26, module: 1.5 }), id: 'class-wheel' };
  await place.workshop.ask('PUT', '/jobs/class-wheel', { revision: 0, job });
  const made = await place.workshop.ask('POST', '/classes', {
    ...{ name: 'Bench evening', kinds: [], jobId: 'class-wheel' },
  });
  const { key, code } = made as { readonly key: string; readonly code: string };
  const learner = await Person.sitDown(await place.browser.createBrowserContext(), place.workshop.address);
  await learner.goTo(`/exercises?class=${code}`);
  await learner.types('Your name, or one you choose', 'Ana');
  await learner.pressButton('Join');
  await learner.pressWords('Rehearse the class’s job');
  await learner.sees('Everything is made ready for 26 teeth');
  const teacher = await place.sitDown();
  await teacher.goTo(`/classes/${key}`);
  await teacher.sees('not begun');
  // a space 3.375 deep, with the spindle left unlocked
  await learner.key('r');
  for (const [name, to] of [
    ['Depth', '3.375'],
    ['Table', '20'],
  ]) {
    const field = await learner.page.waitForSelector(`.practice-feed[aria-label="${name}"] input.ant-input`);
    await field!.click();
    await field!.type(to!);
    await learner.key('Enter');
  }
  await learner.sees('Cut with the spindle unlocked');
  await teacher.page.bringToFront();
  await teacher.sees('1 of 26, harm 1×');
  await teacher.pressWords('Ana');
  await teacher.sees('1 of 26 in the blank that is on. Done to it: cut with the spindle unlocked.');
  await teacher.sees('At the bench 1 learner cut with the spindle unlocked');
  // what is shown is nobody’s work
  await learner.page.bringToFront();
  await learner.pressWords('Show me');
  await learner.sees('From the start');
  await learner.pressWords('Stop showing');
  // longer than hands rest before it is told
  await wait(2500);
  const { learners } = await place.workshop.ask<ClassBoard>('GET', `/classes/${key}`);
  expect(learners[0]!.bench).toMatchObject({ made: 1, harms: [{ what: 'shifted', times: 1 }] });
  expect(learner.faults).toEqual([]);
  expect(teacher.faults).toEqual([]);
});
