import { expect, test } from '@jest/globals';
import type { Job } from '../core/job/index.ts';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';
import { BETWEEN_COUNTS_MS, wait } from './person.ts';

const place = journeysIn('empty');

const stored = async (name: string): Promise<Job> => {
  const { jobs } = (await (await fetch(`${place.workshop.address}/api/jobs?archived=false`)).json()) as {
    jobs: { id: string; name: string }[];
  };
  const { id } = jobs.find((job) => job.name === name)!;
  return ((await (await fetch(`${place.workshop.address}/api/jobs/${id}`)).json()) as { job: Job }).job;
};

/** A card laid from a drawing: pitch, teeth, face. */
async function draws(
  person: Person,
  name: string,
  pitch: string,
  teeth: string,
  face: string,
): Promise<void> {
  await person.goTo('/jobs/new');
  await person.sees('What is on the bench?');
  await person.key('1');
  await person.sees('pitch and teeth needed');
  await person.types('Name of the job', name);
  await person.types('Pitch', pitch);
  await person.types('Teeth', teeth);
  await person.leavesField();
  await person.key('2');
  await person.sees('Face width');
  await person.types('Face width', face);
  await person.leavesField();
  await person.key('1');
  await person.sees('Helical teeth');
}

test('a helical pair: lead, one angle bent for both gears, and their cards', async () => {
  const person = await place.sitDown();
  await draws(person, 'Blower', '1.5', '30', '18');
  await person.seesNot(/5 Lead/);
  await person.pressWords('Helical teeth');

  // bad input is answered at its field
  await person.types('Helix angle (empty for spur)', '90');
  await person.sees('A helix angle of 90 is out of range. A helix angle lies from 0° (spur) to 80°');
  await person.types('Helix angle (empty for spur)', '-20');
  await person.sees('which way it leans is its hand, given beside it');
  await person.types('Helix angle (empty for spur)', '20');
  await person.sees('30 teeth, m 1.5, 20°, helix 20° right');
  await person.types('Transverse pitch, if given', '1.7');
  await person.sees(
    'The two pitches are at odds with a helix of 20°: the transverse pitch would be 1.5963, not 1.7',
  );
  await person.types('Transverse pitch, if given', '');
  await person.sees('right-hand: standing on its face, the teeth lean to the right');

  // the lead, by its number
  await person.leavesField();
  await person.key('5');
  await person.sees('48 : 44, 32 : 72, swing 20°');
  await person.sees('Over 18.00 mm of face the tooth strays 13 µm too steep; up to 20 µm is allowed.');
  await person.sees(
    /On the table screw 48 teeth First on the stud 44 teeth Second on the stud 32 teeth On the worm shaft 72 teeth/,
  );
  await person.sees('Push the table’s right end away from you');
  await person.sees(/30 tooth spaces, each turned 12\/275 of a turn over the face; a turn takes 412.5 mm/);
  expect(await person.hardToUse()).toEqual([]);
  // six gears come nearer; the one chosen stays
  await person.pressWords('six gears too, on two studs');
  await person.sees('24 : 64, 48 : 100, 86 : 32 1.5 µm too shallow');
  await person.pressWords('six gears too, on two studs');

  // the mate gets a card of its own
  await person.key('1');
  await person.pressWords('Runs with another gear');
  await person.types('Teeth of the mate', '45');
  await person.pressButton('Lay a card for the mate in this job');
  await person.sees('45 teeth, m 1.5, 20°, helix 20° left');
  await person.pressButton('1. First gear');
  await person.sees('30 teeth, m 1.5, 20°, helix 20° right');

  // one angle for both, no more than a tenth of a millimetre of centre distance away
  await person.key('5');
  await person.sees('48 : 44, 32 : 72');
  await person.pressWords('Bend the angle to what the gears cut exactly');
  await person.types('The centre distance by', '.1');
  await person.sees('One angle for this gear and its mate of 45 teeth');
  await person.sees('Taking one changes both gears of this job');
  // what is further than that is gone
  await person.seesGo(/19° 42′ 59″/);
  await person.sees('20° 05′ 49″');
  await person.press('Take 20° 05′ 49″ for both', 'button');
  await person.sees('helix 20° 05′ 49″ right');
  await person.sees('Over 18.00 mm of face the tooth strays too little to tell');
  await person.pressButton('2. The mate');
  await person.sees('helix 20° 05′ 49″ left');
  await person.key('5');
  await person.sees('the tooth strays too little to tell');
  await person.sees('Pull the table’s right end towards you');
  await person.sees('✓ Stored');
  const job = await stored('Blower');
  expect(
    job.parts.map((part) =>
      part.kind === 'spur' ? [part.gear.hand, part.gear.helix.typed, part.lead.choice !== null] : [],
    ),
  ).toEqual([
    ['right', job.parts[0]!.kind === 'spur' ? job.parts[0]!.gear.helix.typed : '', true],
    ['left', job.parts[0]!.kind === 'spur' ? job.parts[0]!.gear.helix.typed : '', true],
  ]);
  expect(person.faults).toEqual([]);
  await person.page.close();
});

test('a count that does not index with the lead geared: why not, a ring between spindle and work, and a neighbour', async () => {
  const person = await place.sitDown();
  await draws(person, 'Prime helical', '1', '53', '12');
  await person.key('4');
  // straight teeth go by a differential train
  await person.searched();
  await person.sees(/Differential/);
  await person.key('1');
  await person.pressWords('Helical teeth');
  await person.types('Helix angle (empty for spur)', '15');
  await person.sees('helix 15° right');
  await person.leavesField();
  await person.key('4');
  await person.sees(
    'With the lead geared only the crank’s own plate divides, and 53 parts will not come out on it',
  );
  await person.sees(
    'Differential is out: The head’s gears are needed for the lead, and it cannot be geared for both.',
  );
  await person.sees('Ring between spindle and work');
  await person.pressButton('It is made: put it on the head');
  await person.sees('Ring made, 53 holes between spindle and work; its pin in any hole');
  await person.sees('1 space on the 53 ring');
  // or one tooth fewer
  await person.key('1');
  await person.types('Teeth', '51');
  await person.leavesField();
  await person.key('4');
  await person.sees('Take 50 teeth');
  await person.pressButton('Take 50 teeth');
  await person.sees(/50 teeth, m 1, 20°, helix 15° right/);
  expect(person.faults).toEqual([]);
  await person.page.close();
});

test('at the mill the return stroke is led through, and a reload in the middle of it loses nothing', async () => {
  const person = await place.sitDown();
  await draws(person, 'Fan', '1.5', '8', '10');
  await person.pressWords('Helical teeth');
  await person.types('Helix angle (empty for spur)', '15');
  await person.pressWords('left-hand');
  await person.sees('helix 15° left');
  await person.leavesField();
  await person.key('2');
  await person.types('Bore (0 for none)', '0');
  await person.leavesField();
  await person.sees('✓ Stored');
  await person.key('m');
  await person.pressButton('Start at tooth space 1');
  await person.sees('it must run as a left-hand thread. If not, one idler more or less.');
  await person.sees(
    'Unlock the spindle, and lock nothing that turns from now on: the table has to turn the work.',
  );
  await person.makesReady();
  await person.sees('is the first tooth space');
  const step = async (now: RegExp | string) => {
    await person.key(' ');
    await person.sees(now);
    await wait(BETWEEN_COUNTS_MS);
  };
  await step('Tooth space 1 is cut. clear of the cutter');
  await step('Run back, to the left, until the cutter is well clear of the work;');
  await person.page.reload();
  await person.sees('Run back, to the left, until');
  await wait(BETWEEN_COUNTS_MS);
  await step('Run back, the cutter clear.');
  await person.sees('whole turns');
  await step('Go in again:');
  await person.key('Backspace');
  await person.sees('Run back, the cutter clear.');
  await wait(BETWEEN_COUNTS_MS);
  await step('Go in again:');
  await step('Tooth space 2 is cut.');
  for (let space = 3; space <= 8; space += 1) {
    await step('Run back, to the left, until');
    await step('the cutter clear.');
    await step('Go in again:');
    await step(`Tooth space ${space} is cut.`);
  }
  await step('Run back, to the left, until');
  await step('All 8 are cut. It is clear and run back. One closing move. Turn clockwise:');
  await step('All 8 are cut, and the closing move is made:');
  await person.pressButton('It drops in');
  await person.sees('and it closes');
  expect(person.faults).toEqual([]);
  await person.page.close();
});

test('crossed shafts: the mate follows from their angle, gets its own card, and a centre distance finds the angle', async () => {
  const person = await place.sitDown();
  await draws(person, 'Governor', '1.5', '16', '12');
  await person.pressWords('Helical teeth');
  await person.types('Helix angle (empty for spur)', '45');
  await person.pressWords('Runs with another gear');
  await person.types('Teeth of the mate', '24');
  await person.pressWords('crossed');
  await person.types('Angle of the shafts', '90');
  await person.sees(/Angle of the shafts 90° Mate’s helix 45° right Centre distance 42.426 mm/);
  await person.sees('67.9 teeth, No. 2 inch, No. 7 metric');
  // the shafts stand elsewhere: two angles serve, one is taken and the other named
  await person.types('Real centre distance', '44');
  await person.sees(
    'The pitch cylinders of this pair touch at 42.426 mm, and the shafts stand 44.000 mm apart',
  );
  await person.press('The angle comes from', 'combobox');
  await person.pressOption('A centre distance to keep');
  await person.sees(
    /Two angles give this centre distance. [\d.]+° is taken, the one nearer to half the shaft angle/,
  );
  await person.sees('Centre distance 44.000 mm');
  await person.pressButton('Lay a card for the mate in this job');
  await person.sees(/24 teeth, m 1.5, 20°, helix [\d° ′″]+ right/);
  await person.sees('Centre distance 44.000 mm');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
  await person.page.close();
});

test('a search under way never holds up typing, and can be stopped', async () => {
  const person = await place.sitDown();
  // a wall of sixty gears: the search for a pair takes a while
  const { revision, equipment } = (await (await fetch(`${place.workshop.address}/api/shop`)).json()) as {
    revision: number;
    equipment: { gearSets: object[] };
  };
  const gears = Array.from({ length: 60 }, (_, i) => ({ teeth: 20 + i, count: 1 }));
  const richer = { ...equipment, gearSets: equipment.gearSets.map((set) => ({ ...set, gears })) };
  const saved = await fetch(`${place.workshop.address}/api/shop`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ revision, equipment: richer }),
  });
  expect(saved.status).toBe(200);
  await draws(person, 'Long search', '1.5', '30', '18');
  await person.pressWords('Helical teeth');
  await person.types('Helix angle (empty for spur)', '20');
  await person.pressWords('Runs with another gear');
  await person.types('Teeth of the mate', '47');
  await person.leavesField();
  await person.key('5');
  await person.sees('swing 20°');
  await person.pressWords('Bend the angle to what the gears cut exactly');
  await person.sees('Looking through the trains…');
  // what is typed is drawn at once, while the search goes on
  const field = await person.page.waitForSelector('::-p-aria([name="The angle may move by ±"])');
  await field!.click({ count: 3 });
  await person.page.keyboard.type('2.5');
  // what is typed is read and answered while the search goes on
  await person.sees('2.5° = 2° 30′');
  await person.sees('Looking through the trains…');
  await person.pressButton('Stop looking');
  await person.sees('Stopped.');
  expect(person.faults).toEqual([]);
  await person.page.close();
});
