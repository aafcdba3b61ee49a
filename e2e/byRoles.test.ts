import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait, type Person } from './person.ts';

const place = journeysIn('empty');

/** What a page is called, and its headings, as they are spoken. */
async function headings(person: Person): Promise<readonly string[]> {
  const { root } = { root: await person.page.accessibility.snapshot() };
  const found: string[] = [];
  const walk = (node: NonNullable<typeof root>): void => {
    if (node.role === 'heading') found.push(`${node.level} ${node.name}`);
    node.children?.forEach(walk);
  };
  if (root) walk(root);
  return found;
}
const spoken = (role: string, name: string): string => `::-p-aria([name="${name}"][role="${role}"])`;

test('from an empty shop to the second tooth, by nothing but what a screen reader calls things', async () => {
  const person = await place.sitDown();
  const { page } = person;
  /** Comes to it as such a reader does, and presses Enter on it. */
  const enters = async (role: string, name: string) => {
    const handle = await page.waitForSelector(spoken(role, name), { timeout: 15_000 });
    await handle!.focus();
    await page.keyboard.press('Enter');
  };
  const fills = async (name: string, text: string) => {
    const handle = await page.waitForSelector(spoken('textbox', name), { timeout: 15_000 });
    await handle!.focus();
    await handle!.type(text);
  };
  await person.goTo('/');
  await enters('link', 'Start the first job');
  await page.waitForSelector(spoken('heading', 'What is on the bench?'));
  await enters('button', 'A drawing 1 Pitch and teeth are given.');
  await fills('Pitch', '2');
  await fills('Teeth', '12');
  // the answer of a station is its heading
  await page.waitForSelector(spoken('heading', '12 teeth, m 2, 20°'));
  expect(await headings(person)).toContain('1 New gear');
  await enters('button', 'Settle Gear S');
  await person.sees('Blank cannot be settled yet. Still needed: the face width.');
  await fills('Face width', '12');
  await fills('Bore (0 for none)', '6');
  await enters('button', 'Settle Blank S');
  await fills('Cutter diameter', '50');
  await fills('Cutter width', '6');
  await fills('Teeth of the cutter', '10');
  await page.waitForSelector(spoken('heading', 'clear 14.31 mm off'));
  expect(await headings(person)).toContain('3 Where it is clear to index');
  await enters('button', 'Settle Set-up S');
  await enters('button', 'At the mill 0 / 12 M');
  await enters('button', 'Start at tooth space 1');
  // what is to be done is read out as it changes, and one button says it is done
  const says = () => page.$eval('.mill-say', (each) => each.textContent.replace(/\s+/g, ' ').trim());
  await person.sees('On the machine, before the first cut:');
  expect(await page.$eval('.mill-say', (each) => each.getAttribute('aria-live'))).toBe('polite');
  expect(await headings(person)).toContain('1 New gear');
  await person.makesReady();
  for (const space of [1, 2]) {
    await enters('button', `Tooth space ${space} cut tap anywhere here, or Space`).catch(async () => {
      throw new Error(`no button for space ${space}; it says: ${await says()}`);
    });
    await person.sees(`Tooth space ${space} is cut.`);
    await wait(BETWEEN_COUNTS_MS);
  }
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('every page has one first heading, and is whole at twice the size of its letters', async () => {
  const person = await place.sitDown();
  for (const address of ['/', '/shop/heads', '/shop/cutters', '/log', '/counts', '/chart', '/nowhere']) {
    await person.page.setViewport({ width: 1280, height: 800 });
    await person.goTo(address);
    await person.page.waitForSelector('h1');
    await wait(300);
    expect([address, (await headings(person)).filter((said) => said.startsWith('1 ')).length]).toEqual([
      address,
      1,
    ]);
    // a window of 1280 at 200 % has room for 640
    await person.page.setViewport({ width: 640, height: 400 });
    await wait(200);
    const wide = await person.page.evaluate(() => document.documentElement.scrollWidth);
    expect([address, wide]).toEqual([address, 640]);
  }
});
