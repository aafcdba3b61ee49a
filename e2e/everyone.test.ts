import { expect, test } from '@jest/globals';
import type { CDPSession } from 'puppeteer-core';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait, type Person } from './person.ts';

const place = journeysIn('demo');

const VIEWS: readonly (readonly [string, string])[] = [
  ['/', 'On the bench'],
  ['/jobs/demo-lens-second/p1/gear', 'Helical teeth'],
  ['/jobs/demo-winding/p1/blank', 'Moved since it was settled'],
  ['/jobs/demo-fog-cam/p1/cutter', 'Metric school'],
  ['/jobs/new', 'What is on the bench?'],
  ['/devices', 'Add a readout'],
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
  ['/jobs/demo-lens-second/p1/dividing', 'every one true'],
  ['/jobs/demo-orrery-year/p1/dividing', 'cannot be had by simple indexing'],
  ['/jobs/demo-lens-second/p1/cut', 'Left for the finish pass'],
  ['/jobs/demo-blower/p1/gear', 'standing on its face'],
  ['/jobs/demo-blower/p1/lead', 'the tooth strays'],
  ['/jobs/demo-governor/p1/gear', 'Mate is cut as'],
  ['/runs/run-demo-fan-gear', '✓ clear run back move cut'],
  ['/shop/mills', 'how the table swings'],
  ['/runs/run-demo-lens-second', 'Tooth space 41 cut'],
  ['/runs/run-demo-fog-cam', 'Paused after tooth space 17'],
  ['/runs/run-demo-stair-moon', 'and it closes'],
  ['/jobs/demo-lens-second/p1/setup', 'Where it is clear to index'],
  ['/jobs/demo-stair-moon/p1/inspect', 'Readings round the gear'],
  ['/log/proof-demo-lens-second', 'The plan as it was cut'],
  ['/log', 'The whole workshop'],
  ['/jobs/demo-lens-second/print', 'Tooth spaces, rough'],
  ['/shop/materials', 'Cutting speed'],
  ['/shop/mandrels', 'Small end'],
  ['/practice/demo-lens-second/p1', 'Everything is made ready'],
  ['/exercises', 'Figures are drawn for you'],
  ['/classes', 'A new class'],
  ['/nowhere', 'There is no such page'],
];

/** Names of faces on the screen that did not ship with the app. */
async function strangersOn(session: CDPSession): Promise<string[]> {
  const look = async (): Promise<string[]> => {
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
  // a face that is still on its way is stood in for by the machine's own
  let here = await look();
  for (let tries = 0; here.length > 0 && tries < 15; tries += 1) {
    await wait(200);
    here = await look();
  }
  return here;
}

/**
 * Shapes and figures of drawings that nothing lays out are black: a sheet is missing. Paper is black on
 * purpose.
 */
const inkless = (person: Person): Promise<number> =>
  person.page.evaluate(
    () =>
      [...document.querySelectorAll('main svg :is(path, circle, rect, text, polygon)')].filter((shape) => {
        const { fill, visibility } = getComputedStyle(shape);
        return (
          fill === 'rgb(0, 0, 0)' && visibility === 'visible' && !shape.closest('.print, defs, clipPath')
        );
      }).length,
  );

/** Which shift the screen is in. */
const shiftOn = (person: Person): Promise<string | undefined> =>
  person.page.evaluate(() => document.documentElement.dataset['shift']);

/** From day to night or back, by the button; the mill, which has none, as it comes the next time. */
async function swapShift(person: Person, sign: string): Promise<void> {
  const before = await shiftOn(person);
  const button = await person.page.$('button ::-p-text(shift)');
  if (button) await button.evaluate((element) => (element as HTMLElement).click());
  else {
    await person.page.evaluate(
      (shift) => {
        const kept = JSON.parse(localStorage.getItem('vuelta.preferences') ?? '{"state":{},"version":1}') as {
          state: { shift?: string };
        };
        kept.state.shift = shift;
        localStorage.setItem('vuelta.preferences', JSON.stringify(kept));
      },
      before === 'day' ? 'night' : 'day',
    );
    await person.page.reload({ waitUntil: 'domcontentloaded' });
  }
  await person.page.waitForFunction((was) => document.documentElement.dataset['shift'] !== was, {}, before);
  await person.sees(sign);
}

test('no view has a serious fault for those who see, hear or move differently, by day and by night; every sign is of the fonts that ship with the app', async () => {
  const person = await place.sitDown();
  const session = await person.page.createCDPSession();
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const found: string[] = [];
  const strangers: string[] = [];
  const looked: string[] = [];
  const black: string[] = [];
  for (const [address, sign] of VIEWS) {
    await person.goTo(address);
    await person.sees(sign);
    strangers.push(...(await strangersOn(session)).map((name) => `${name} on ${address}`));
    // the next view comes in the shift this one was left in
    for (const swapped of [false, true]) {
      if (swapped) await swapShift(person, sign);
      const shift = await shiftOn(person);
      looked.push(`${shift} ${address}`);
      if ((await inkless(person)) > 0) black.push(`${shift} ${address}`);
      found.push(...(await person.hardToUse()).map((fault) => `${shift} ${address} ${fault}`));
    }
  }
  expect(strangers).toEqual([]);
  expect(black).toEqual([]);
  expect(found).toEqual([]);
  expect([...looked].sort()).toEqual(VIEWS.flatMap(([at]) => [`day ${at}`, `night ${at}`]).sort());
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
  await person.sees('The ways on this head');
  await person.page.evaluate(() =>
    [...document.querySelectorAll('summary')]
      .find(({ innerText }) => innerText.startsWith('The ways'))
      ?.focus(),
  );
  await person.key('Enter');
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
  await person.sees('is the first tooth space');
  await wait(BETWEEN_COUNTS_MS);
  await person.key('Space');
  await person.sees('Tooth space 1 is cut');
  await person.key('?');
  expect(person.faults).toEqual([]);
});

test.each([
  ['Keys ?', 'Keys'],
  ['Go to G', 'Go to'],
])('%s: closed again, the focus is where it was pressed', async (button, title) => {
  const person = await place.sitDown();
  await person.goTo('/');
  const pressed = await person.page.waitForSelector(`::-p-aria([name="${button}"][role="button"])`);
  await pressed!.focus();
  await person.page.keyboard.press('Enter');
  await person.page.waitForSelector(`::-p-aria([name="${title}"][role="dialog"])`, { visible: true });
  await person.page.keyboard.press('Escape');
  await person.page.waitForFunction((own) => document.activeElement === own, {}, pressed);
  expect(person.faults).toEqual([]);
});
