import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait } from './person.ts';

const place = journeysIn('demo');

const VIEWS: readonly (readonly [string, string])[] = [
  ['/', 'On the bench'],
  ['/jobs/demo-lens-second/p1/gear', 'Depth rule'],
  ['/jobs/demo-winding/p1/blank', 'Moved since it was settled'],
  ['/jobs/demo-fog-cam/p1/cutter', 'Metric school'],
  ['/jobs/new', 'What is on the bench?'],
  ['/jobs/demo-pump-gear/p1/gear', 'It is m 1.5, 31 teeth, 20°'],
  ['/jobs/demo-bar-end/p1/gear', '52 is recommended'],
  ['/jobs/demo-two-shafts/p1/gear', '17 and 52 teeth'],
  ['/jobs/demo-carriage/p2/drive', 'The pair'],
  ['/jobs/demo-carriage/p2/lathe', 'Gears and box together'],
  ['/jobs/demo-carriage/p2/worm', 'Tool flat'],
  ['/jobs/demo-carriage/p1/wheelBlank', 'Throat radius'],
  ['/jobs/demo-carriage/p1/wheel', 'Gash and hob'],
  ['/jobs/demo-carriage/p1/setup', 'The cutter is sunk where it stands'],
  ['/shop/lathes', 'Its gearbox'],
  ['/jobs/demo-square/p1/spacing', 'flat to corner'],
  ['/shop/cutters', 'To buy for the jobs on the bench'],
  ['/jobs/demo-lens-second/p1/dividing', 'every space true'],
  ['/jobs/demo-orrery-year/p1/dividing', 'cannot be had by simple indexing'],
  ['/jobs/demo-lens-second/p1/cut', 'Left for the finish pass'],
  ['/jobs/demo-blower/p1/gear', 'standing on its face'],
  ['/jobs/demo-blower/p1/lead', 'the tooth strays'],
  ['/jobs/demo-governor/p1/gear', 'Mate is cut as'],
  ['/runs/run-demo-fan-gear', '✓ clear run back move cut'],
  ['/shop/mills', 'how the table swings'],
  ['/runs/run-demo-lens-second', 'Space 41 cut'],
  ['/runs/run-demo-fog-cam', 'Paused after space 17'],
  ['/runs/run-demo-stair-moon', 'and it closes'],
  ['/jobs/demo-lens-second/p1/setup', 'Where it is clear to index'],
  ['/jobs/demo-stair-moon/p1/inspect', 'Readings round the gear'],
  ['/log/proof-demo-lens-second', 'The plan as it was cut'],
  ['/log', 'The whole workshop'],
  ['/jobs/demo-lens-second/print', 'Spaces, rough'],
  ['/shop/materials', 'Cutting speed'],
  ['/shop/mandrels', 'Small end'],
  ['/nowhere', 'There is no such page'],
];

test('no view has a serious fault for those who see, hear or move differently; by day and by night', async () => {
  const person = await place.sitDown();
  const found: string[] = [];
  for (const shift of ['day', 'night']) {
    for (const [address, sign] of VIEWS) {
      await person.goTo(address);
      await person.sees(sign);
      found.push(...(await person.hardToUse()).map((fault) => `${shift} ${address} ${fault}`));
    }
    await person.goTo('/jobs/demo-lens-second/p1/gear');
    await person.sees('Depth rule');
    await person.key('Tab', 'Escape');
    await person.leavesField();
    if (shift === 'day') await person.key('l');
  }
  expect(found).toEqual([]);
});

test('by keyboard alone: a new job, its numbers, a way chosen, the mill', async () => {
  const person = await place.sitDown();
  await person.goTo('/');
  await person.sees('On the bench');
  await person.key('n');
  await person.sees('What is on the bench?');
  await person.key('1');
  await person.sees('pitch and teeth needed');
  // the pitch field is where the typing goes at once
  await person.page.waitForFunction(() => document.activeElement?.tagName === 'INPUT');
  await person.page.keyboard.type('20 DP');
  await person.sees('module 1.27 mm = 20 DP');
  // on to the teeth: past the unit switch
  for (let i = 0; i < 4; i += 1) {
    await person.key('Tab');
    const label = await person.page.evaluate(
      () => (document.activeElement as HTMLInputElement).labels?.[0]?.innerText ?? '',
    );
    if (label === 'Teeth') break;
  }
  await person.page.keyboard.type('40');
  await person.sees('40 teeth, 20 DP, 20°');
  await person.leavesField();
  await person.key('2');
  await person.sees('Bore (0 for none)');
  await person.page.focus('input[aria-describedby]');
  await person.page.keyboard.type('10');
  await person.key('Tab');
  await person.page.keyboard.type('0');
  await person.leavesField();
  await person.key('4');
  await person.sees('All 18 ways');
  await person.page.focus('.method-why button');
  await person.key('Enter');
  await person.page.waitForSelector('.ways');
  // the second way, by Tab and Enter
  await person.page.focus('.ways tr:nth-child(2) button');
  await person.key('Enter');
  await person.page.waitForFunction(() =>
    document.querySelector('.ways tr:nth-child(2)')?.classList.contains('is-best'),
  );
  await person.leavesField();
  await person.key('m');
  await person.sees('Start cutting');
  await person.key('Enter');
  await person.sees('That is 0');
  await person.key('Space');
  await person.sees('is the first space');
  await wait(BETWEEN_COUNTS_MS);
  await person.key('Space');
  await person.sees('Space 1 is cut');
  await person.key('?');
  expect(person.faults).toEqual([]);
});

test('every sign on the screens comes from the fonts that ship with the app', async () => {
  const person = await place.sitDown();
  const session = await person.page.createCDPSession();
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const strangersHere = async (): Promise<string[]> => {
    const { root } = await session.send('DOM.getDocument', { depth: 1 });
    const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector: 'body' });
    const { nodeIds } = await session.send('DOM.querySelectorAll', { nodeId, selector: '*' });
    const used = await Promise.all(
      nodeIds.map((id) =>
        session.send('CSS.getPlatformFontsForNode', { nodeId: id }).catch(() => ({ fonts: [] })),
      ),
    );
    return [
      ...new Set(
        used.flatMap(({ fonts }) =>
          fonts.filter(({ isCustomFont }) => !isCustomFont).map(({ familyName }) => familyName),
        ),
      ),
    ];
  };
  const strangers: string[] = [];
  for (const [address, sign] of VIEWS) {
    await person.goTo(address);
    await person.sees(sign);
    // a face that is still on its way is stood in for by the machine's own
    let here = await strangersHere();
    for (let tries = 0; here.length > 0 && tries < 15; tries += 1) {
      await wait(200);
      here = await strangersHere();
    }
    strangers.push(...here.map((name) => `${name} on ${address}`));
  }
  expect(strangers).toEqual([]);
});
