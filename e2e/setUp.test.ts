import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';

const place = journeysIn('demo');
const SETUP = '/jobs/demo-winding/p1/setup';

test('set up a gear: material, cutter, what it is run at, where it is clear, the move to the middle', async () => {
  const person = await place.sitDown();
  await person.goTo(SETUP);
  await person.sees('waits for the cutter’s size');
  await person.types('Cutter diameter', '60');
  await person.types('Cutter width', '6');
  await person.types('Teeth of the cutter', '12');
  // by hand: a = √(4.5·55.5) = 15.80
  await person.sees(/clear 15\.80 mm off/);
  await person.press('Material', 'combobox');
  await person.pressOption('Mild steel');
  // 24 m a minute on 60 mm is 127.3 rpm: the step below is 125; 125·12·0.035 = 52.5 mm a minute, the step
  // below 50
  await person.sees(/125 rpm, 50 mm\/min/);
  await person.sees(/For the whole job about/);
  await person.sees(/Clear: index before this 0\.00 mm/);
  await person.sees(/Through: the whole face is at depth 31\.80 mm/);
  // 2 mm a turn, 100 marks
  await person.sees(/47\.61 mm/);
  await person.pressButton('Index where it leaves');
  await person.sees(/Clear: index after this 47\.61 mm/);
  await person.sees(/run on to 47\.61 mm past the first touch/);

  await person.pressWords('Bring the cutter to the middle');
  // (96 + 6)/2 = 51 mm on a screw of 5 mm
  await person.sees(
    'Draw clear along the table; then go on the same way by the cross screw, by: 10 turns + 20 marks',
  );
  await person.types('Paper or feeler between', '.05');
  await person.sees('10 turns + 21 marks');
  await person.press('By', 'combobox');
  await person.pressOption('Far face level');
  await person.sees('9 turns');
  // 4.5 + 0.05 on the knee’s 2 mm
  await person.sees('2 turns + 27.5 marks');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
  expect(await person.hardToUse()).toEqual([]);
});

test('which way it pushes follows spindle and feed, and what does not fit is told before anything is clamped', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/setup');
  await person.opens('Held on a mandrel between centres, head at the left, cutter ↻, table to the right');
  await person.opens('What follows from it');
  await person.sees('The cut pushes the work left, towards the head');
  await person.sees('Thick end of the mandrel at the head');
  await person.sees('Learnt before: Key it: the bare mandrel slipped at tooth space 51.');
  await person.pressWords('↺ counter');
  await person.sees('The cut pushes the work right, towards the tailstock');
  await person.sees('Thick end of the mandrel at the tailstock');
  await person.sees('a table with slack in its screw is snatched forward');
  await person.pressWords('↻ clockwise');
  await person.pressWords('Will it fit?');
  await person.types('Work right of the table’s middle', '-275');
  await person.sees(/Travel of the table.*mm nearer to the middle of the table, to the right/);
  await person.types('Work right of the table’s middle', '-120');
  await person.sees('what is known does');
  await person.types('How large across those are', '95');
  await person.types('Gap to jaws or head', '5');
  await person.sees(/Gap to jaws or head: .* is needed, and there is 5\.00 mm/);
  await person.types('How large across those are', '40');
  await person.sees('what is known does');
  await person.sees('✓ Stored');
});

test('readings round the blank: which way it is off; wrong units and too few are told', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/setup');
  await person.pressWords('Indicated round the blank');
  const field = 'Readings at equal steps, once round';
  await person.types(field, '0 .02');
  await person.sees('2 readings cannot tell which way it is off');
  await person.types(field, '0 .05 .1 .05');
  await person.sees(/Runout 0\.100 mm: good for a display/);
  await person.sees('The middle is 0.050 mm off towards 180° from the first reading');
  await person.types(field, '0 2 4 2');
  await person.sees('Were these thous, or hundredths of a millimetre?');
  await person.types(field, '0 oops 4');
  await person.sees('“oops” cannot be read');
  await person.types(field, '0 .01 .02 .01');
  await person.sees(/Runout 0\.020 mm: good for a quiet drive/);
  await person.pressWords('A keyway in it');
  await person.types('Width of the key', '6');
  await person.types('Width of its cutter', '2.5');
  await person.sees('A keyway of 6.00 mm wants a cutter from 3.00 mm to 6.00 mm');
  await person.types('Width of its cutter', '4');
  await person.sees(/Two cuts, 20 marks \(1\.000 mm\) to either side/);
  // bore 12: the corners of a tool 4 wide touch at √32, the sides of the key leave it at √27: 2.8 less 0.461
  await person.types('Depth at the side of the key', '2.8');
  await person.sees(
    /From where both corners of the tool touch the bore, in the middle, go .* \(2\.339 mm\): the depth less 0\.461 mm of the round/,
  );
  expect(person.faults).toEqual([]);
});

test('a mill, a material and a mandrel of one’s own, and the set-up works with them at once', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/materials');
  await person.pressButton('Add a material');
  await person.types('Cutting speed, form cutter of high-speed steel', 'quick');
  await person.sees('“quick” is not a cutting speed');
  await person.types('Cutting speed, form cutter of high-speed steel', '60 ft/min');
  await person.key('Enter');
  await person.sees('18.3 m a minute, 60 ft a minute');
  await person.types('Name', 'Old axle steel');
  await person.key('Enter');
  await person.sees('✓ Stored');
  await person.goTo('/shop/mills');
  await person.types('Spindle speeds, rpm', '40 60 x');
  await person.sees('“x” is not a speed');
  await person.types('Spindle speeds, rpm', '40 60 80 110');
  await person.key('Enter');
  await person.sees('✓ Stored');
  await person.goTo('/shop/mandrels');
  await person.pressButton('Add a taper mandrel');
  await person.types('Small end', '11.98');
  await person.key('Enter');
  await person.types('Thick end', '12.05');
  await person.key('Enter');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/demo-lens-second/p1/setup');
  await person.press('Material', 'combobox');
  await person.pressOption('Old axle steel');
  // 18.288 m a minute on 60 mm: 97.0 rpm, the step below is 80
  await person.sees(/80 rpm/);
  await person.press('Mandrel', 'combobox');
  await person.pressOption('✓ Taper mandrel');
  await person.sees('fits the bore');
  expect(person.faults).toEqual([]);
});

test('a swung table is drawn with the column it may strike', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-blower/p1/setup');
  // 450·sin 20° + 110·cos 20°: half of a table of 900 by 220
  await person.page.waitForSelector(
    'svg[aria-label="Table and column from above: corner reaches 257.28 mm, column at 300.00 mm"]',
  );
});
