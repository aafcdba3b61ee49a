import { expect, test } from '@jest/globals';
import { drawnSpurJob, withSpurPart, type Job } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait, type Person } from './person.ts';

const place = journeysIn('empty');

/** A run of a wheel, with its first cuts counted elsewhere. */
async function startRun(
  id: string,
  teeth: number,
  cuts: number,
  change: (job: Job) => Job = (job) => job,
): Promise<void> {
  const job = change(drawnSpurJob({ id, name: `Wheel ${id}`, pitch: '1.5', teeth, face: '10', bore: '8' }));
  const { workshop } = place;
  await workshop.ask('PUT', `/jobs/${id}`, { revision: 0, job });
  await workshop.ask('POST', `/jobs/${id}/runs`, { id: `run-${id}`, partId: 'p1', revision: 1 });
  if (cuts > 0) await workshop.countElsewhere(`run-${id}`, cuts);
}

const atMill = async (id: string): Promise<Person> => {
  const person = await place.sitDown();
  await person.goTo(`/runs/run-${id}`);
  return person;
};
const scratchFirst = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cut: { ...part.cut, scratch: true } }));

test('a scratch all the way round: the marks must close before the first cut, and a wrong answer can be taken back', async () => {
  await startRun('scratch', 14, 13, scratchFirst);
  const person = await atMill('scratch');
  await person.sees('scratch round');
  await person.pressButton('Tooth space 14 scratched');
  await person.sees(
    'Scratched all round. One more move, to the first mark. Turn clockwise: 2 whole turns 18 spaces on 21',
  );
  await person.pressButton('It does not');
  await person.sees('✕ The marks do not close. Cut nothing.');
  await person.key('x');
  await person.sees('Something looks wrong');
  // what was seen is known already: 360°/(40 × 21) is 25′ 43″, and 24π/840 on Ø 24
  await person.sees('The scratch round does not close');
  await person.sees('One space on the 21 circle is 0° 25′ 43″, 0.090 mm at the outside.');
  await person.key('Escape');
  await person.seesGo(/Something looks wrong/);
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Take back');
  await person.sees('Scratched all round.');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('It falls on the mark');
  await person.sees('The marks close. The work stands at tooth space 1.');
  await person.page.reload({ waitUntil: 'domcontentloaded' });
  await person.sees('The marks close. The work stands at tooth space 1.');
  await person.pressButton('Tooth space 1 cut');
  await person.sees('Tooth space 2 cut');
  expect(person.faults).toEqual([]);
});

test('half-way: two chords with what they should be; a slip is told while there is metal', async () => {
  await startRun('half', 24, 13);
  const person = await atMill('half');
  // 13 cuts: twice a quarter; 39·sin(6·180°/24) = 27.577
  await person.pressButton('Half-way: check across');
  await person.sees('27.577 mm');
  await person.types('Tooth spaces 1 to 7, mm', '27.58');
  await person.sees('✓ good, 0.003 mm off');
  await person.types('Tooth spaces 7 to 13, mm', '30.94');
  await person.sees('✕ one too many between them');
  await person.types('Tooth spaces 7 to 13, mm', '1.0857');
  await person.sees('another unit, or other edges?');
  await person.types('Tooth spaces 7 to 13, mm', 'x');
  await person.sees('✕ Not a length.');
  await person.types('Tooth spaces 7 to 13, mm', '27.6');
  await person.pressButton('Write it down, go on');
  await person.sees('Tooth space 14 cut');
  await person.goTo('/log/run-half');
  await person.sees('After no. 13: 27.580 mm and 27.600 mm, should be 27.577 mm: good');
  expect(person.faults).toEqual([]);
});

test('one screen on two runs: neither waits for counts of the other', async () => {
  await startRun('first', 24, 0);
  await startRun('second', 24, 0);
  const person = await atMill('first');
  await person.makesReady();
  await person.pressButton('Tooth space 1 cut');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Tooth space 2 cut');
  await person.goTo('/runs/run-second');
  await person.makesReady();
  await person.pressButton('Tooth space 1 cut');
  await person.sees('Tooth space 2 cut');
  await person.goTo('/runs/run-first');
  await person.pressButton('Tooth space 3 cut');
  await person.sees('Tooth space 4 cut');
  await person.sees('✓ stored');
  await person.seesNot(/on their way/);
});

test('each step asked, the landing hole now and then; a reload keeps the step', async () => {
  await startRun('learner', 14, 1);
  const person = await atMill('learner');
  await person.sees('Tooth space 2 cut');
  await person.key('o');
  await person.pressWords('Ask each step');
  await person.key('Escape');
  await person.seesGo(/For learners/);
  await person.pressButton('It is clear');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Unlocked');
  await person.sees('2 whole turns 18 spaces on 21');
  await person.page.reload({ waitUntil: 'domcontentloaded' });
  await person.pressButton('The move is made');
  await person.sees('which hole is the pin in now?');
  // 2 turns and 18 spaces on 21: from hole 0 to 18; who counts the pin’s own hole lands in 17
  await person.types('Before you lock: which hole is the pin in now?', '17');
  await person.pressButton('Is it right?');
  await person.sees('✕ Not hole 17. Do not lock.');
  await person.types('Before you lock: which hole is the pin in now?', '18');
  await person.pressButton('Is it right?');
  await person.pressButton('The arms are round');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Locked');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Tooth space 2 cut');
  await person.sees('Tooth space 2 is cut.');
  await person.key('o');
  await person.pressWords('Ask each step');
  await person.goTo('/log/run-learner');
  await person.sees('Landing holes asked 2, 1 wrong');
  expect(person.faults).toEqual([]);
});

test('measured thick on the head: once more round, so much deeper, and the record says so', async () => {
  await startRun('thick', 14, 14);
  const person = await atMill('thick');
  await person.pressButton('It drops in');
  await person.pressButton('Measure it');
  // a span of 2 of 14 teeth, m 1.5: 1.5 cos 20° (1.5 π + 14 inv 20°) = 6.936
  await person.sees('span 6.936 over 2 teeth');
  await person.types('Span over teeth, as read', '7.05');
  await person.sees(/Once more round, 0\.\d+ mm deeper/);
  await person.pressButton('Once more round');
  await person.sees('It was cut 3.375 mm deep; one round goes to');
  await person.pressButton('Start at tooth space 1, 3.');
  await person.sees(/once more, deeper, 3\.\d+ mm deep/);
  await person.sees('14 left');
  const sunk = person.page.url().split('/').at(-1)!;
  await place.workshop.countElsewhere(sunk, 14);
  await person.pressButton('It drops in');
  await person.pressButton('Measure it');
  // the old readings must not sink it a second time
  await person.sees('Sunk deeper since, in all');
  await person.seesNot(/Once more round/);
  await person.types('Span over teeth, as read', '7.00');
  await person.sees(/Once more round, 0\.\d+ mm deeper/);
  await person.goTo('/log/run-thick');
  await person.press('another run', 'link');
  await person.sees(/Sinks the gear of the run before it 0\.\d+ mm deeper/);
  expect(person.faults).toEqual([]);
});

test('interrupted with a reason, set again, and gone on under another plan as a run of its own', async () => {
  await startRun('again', 62, 9);
  const person = await atMill('again');
  await person.sees('Tooth space 10 cut');
  await person.key('p');
  await person.types('What was it? May be left empty.', 'Telephone');
  await person.key('Enter');
  await person.seesGo(/Paused after/);
  await person.key('n');
  await person.pressWords('The blank was taken off or moved here');
  await person.pressButton('Write it down');
  await person.seesGo(/Write it down/);

  // another head with other plates
  await person.goTo('/jobs/again/p1/dividing');
  await person.press('Head', 'combobox');
  await person.pressOption('two-sided');
  await person.sees('✓ Stored');
  await person.pressButton('Go on under the plan as it is now');
  await person.sees('9 of 62 cuts are made under the plan as it was');
  await person.press('Go on under this plan', 'button');
  // the head, then the depth by a new touch, then the space
  await person.sees('Crank set to the 62 circle');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Done');
  await person.sees('Touch it anew, for the depth: land under the cutter');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Unlocked');
  await person.sees('Find the last tooth space that was cut:');
  await person.sees('9 is cut already');
  await wait(BETWEEN_COUNTS_MS);
  await person.makesReady();
  await person.pressButton('Tooth space 9 cut');
  await person.sees('Tooth space 10 cut');
  await person.goTo('/log/run-again');
  await person.sees('Gone on with in another run');
  await person.sees('Telephone');
  await person.sees('set again.');
  await person.sees('9 of 62');
  expect(person.faults).toEqual([]);
});

test('on a phone and on a tablet everything to press is in sight, the figure of safety too', async () => {
  await startRun('small', 62, 4, (job) =>
    withSpurPart(job, 'p1', (part) => ({
      ...part,
      setup: { ...part.setup, cutterDiameter: { typed: '60', unit: 'mm' } },
    })),
  );
  for (const [width, height] of [
    [390, 844],
    [800, 1280],
  ] as const) {
    const person = await place.sitDown();
    await person.page.setViewport({ width, height });
    await person.goTo('/runs/run-small');
    await person.sees('Tooth space 5 cut');
    await person.sees(/Index only before 0/);
    const outside = await person.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.mill button, .mill-safe')]
        .filter((each) => {
          const { left, right, top, bottom } = each.getBoundingClientRect();
          return left < -1 || right > window.innerWidth + 1 || top < -1 || bottom > window.innerHeight + 1;
        })
        .map((each) => each.innerText),
    );
    expect(outside).toEqual([]);
    expect(await person.hardToUse()).toEqual([]);
    expect(person.faults).toEqual([]);
  }
});
