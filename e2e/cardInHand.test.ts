import { expect, test } from '@jest/globals';
import { journeysIn } from './journeys.ts';
import { wait } from './person.ts';

const place = journeysIn('demo');

test('a step back goes over stations and over a reload, and is stored; what another tab changed is left alone', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/gear');
  await person.sees('62 teeth, m 1.5, 20°');
  await person.types('Teeth', '58');
  await person.sees('58 teeth, m 1.5, 20°');
  await person.sees('✓ Stored');
  await person.goTo('/jobs/demo-lens-second/p1/blank');
  await person.sees('Ø 90.00');
  await person.pressButton('Undo');
  await person.sees('62 teeth, m 1.5, 20°');
  await person.sees('✓ Stored');
  const stored = await place.workshop.ask<{ job: { parts: { gear: { teeth: { typed: string } } }[] } }>(
    'GET',
    '/jobs/demo-lens-second',
  );
  expect(stored.job.parts[0]!.gear.teeth.typed).toBe('62');
  // beyond the start nothing happens
  await person.pressButton('Undo');
  await person.sees('62 teeth, m 1.5, 20°');

  // changed in another tab meanwhile: it is shown here, and is not undone from here
  await person.types('Face width', '15');
  await person.sees('✓ Stored');
  const other = await place.sitDown();
  await other.goTo('/jobs/demo-lens-second/p1/blank');
  await other.sees('Ø 96.00 × 15.00');
  await other.types('Face width', '16');
  await other.sees('✓ Stored');
  await person.page.bringToFront();
  await person.sees('Ø 96.00 × 16.00');
  await person.pressButton('Undo');
  await wait(700);
  await person.sees('Ø 96.00 × 16.00');
  await person.types('Face width', '14');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
});

test('on a telephone the station that is open stands under the thumb, and what to do next is in sight', async () => {
  const person = await place.sitDown();
  await person.page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  await person.goTo('/jobs/demo-lens-second/p1/gear');
  await person.sees('Helical teeth');
  const tops = () =>
    person.page.evaluate(() => {
      const top = (selector: string) => document.querySelector(selector)!.getBoundingClientRect();
      return {
        strip: top('.route-list').bottom,
        work: top('.work').top,
        next: top('.next-things').bottom,
        wide: document.documentElement.scrollWidth,
        small: [...document.querySelectorAll<HTMLElement>('.route-station, .next-things button')].filter(
          (each) => each.offsetHeight < 44 && each.offsetParent !== null,
        ).length,
      };
    });
  await person.page.evaluate(() => scrollTo(0, 600));
  // the strip is still there: another station, and its panel begins right below it
  const station = await person.page.$('.route-station[href$="/dividing"]');
  await station!.tap();
  await person.sees('The ways on this head');
  await person.page.waitForFunction(() => document.querySelector('.work')!.getBoundingClientRect().top > 0);
  const at = await tops();
  expect(at.work).toBeLessThan(200);
  expect(at.work).toBeGreaterThanOrEqual(at.strip - 2);
  expect(at.next).toBeLessThanOrEqual(845);
  expect(at.wide).toBe(390);
  expect(at.small).toBe(0);
  expect(person.faults).toEqual([]);
});

test('what was changed in the shop is undone by key, also after the page was loaded anew', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/mandrels');
  await person.goTo('/shop');
  await person.sees('Table to the middle of its spindle');
  await person.types('Worm ratio', '72');
  await person.key('Tab');
  await person.sees('72 turns of the crank');
  await person.sees('✓ Stored');
  await person.goTo('/shop');
  await person.sees('72 turns of the crank');
  await person.page.keyboard.down('Control');
  await person.page.keyboard.press('z');
  await person.page.keyboard.up('Control');
  await person.sees('40 turns of the crank');
  await person.sees('✓ Stored');
  const { equipment } = await place.workshop.ask<{ equipment: { heads: { ratio: string }[] } }>(
    'GET',
    '/shop',
  );
  expect(equipment.heads[0]!.ratio).toBe('40');
  await person.pressButton('Redo');
  await person.sees('72 turns of the crank');
  await person.pressButton('Undo');
  await person.sees('40 turns of the crank');
  await person.sees('✓ Stored');
  expect(person.faults).toEqual([]);
});

test('a drawing is saved as a file of its own, lines and picture', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/dividing');
  await person.sees('20 spaces on 31');
  await person.page.evaluate(() => {
    const saved: Blob[] = [];
    Object.assign(window, { saved });
    const made = URL.createObjectURL.bind(URL);
    URL.createObjectURL = (thing) => {
      saved.push(thing as Blob);
      return made(thing);
    };
  });
  const savedAs = async (button: string) => {
    const before = await person.page.evaluate(() => (window as unknown as { saved: Blob[] }).saved.length);
    await person.pressButton(button);
    await person.page.waitForFunction(
      (count) => (window as unknown as { saved: Blob[] }).saved.length > count,
      { polling: 100 },
      before,
    );
    return person.page.evaluate(async (nth) => {
      const blob = (window as unknown as { saved: Blob[] }).saved[nth]!;
      const bytes = new Uint8Array(await blob.arrayBuffer());
      return { type: blob.type, text: new TextDecoder().decode(bytes), size: blob.size };
    }, before);
  };
  const lines = await savedAs('SVG');
  expect(lines.type).toBe('image/svg+xml');
  // the pin’s hole, the arms: drawn in their own colours, on the dye
  expect(lines.text).toMatch(/^<\?xml[^>]*>\s*<svg[^>]*viewBox/);
  expect(lines.text).toMatch(/<rect[^>]*fill="rgb\(\d+, \d+, \d+\)"/);
  expect(lines.text).not.toMatch(/class=|var\(--/);
  expect((lines.text.match(/<circle/g) ?? []).length).toBeGreaterThan(31);
  const picture = await savedAs('PNG');
  expect(picture.type).toBe('image/png');
  expect(picture.size).toBeGreaterThan(20_000);
  expect(person.faults).toEqual([]);
});

test('what a station is for is told when it is asked, and not on the next one', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/dividing');
  await person.sees('20 spaces on 31');
  await person.seesNot(/Says how the head is moved/);
  await person.press('What is Dividing for?', 'button');
  await person.sees(
    'Says how the head is moved from one tooth space to the next, and proves it for all of them.',
  );
  await person.sees('Idler: a gear between two others that turns the last one the other way');
  expect(await person.hardToUse()).toEqual([]);
  await person.leavesField();
  await person.key('7');
  await person.sees('7 · Cut');
  await person.seesNot(/Says in how many rounds|Says how the head is moved/);
  expect(person.faults).toEqual([]);
});

test('a drawing is made larger by the wheel, moved by dragging, and whole again by a press', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-tide-wheel/p1/gear');
  await person.sees('127 teeth');
  const { page } = person;
  await page.waitForSelector('.scribe-drawn svg');
  const laid = () => page.$eval('.scribe-drawn', (drawn) => (drawn as HTMLElement).style.transform);
  const [x, y] = await page.$eval('.scribe-drawn svg', (drawing) => {
    const { left, top, width } = drawing.getBoundingClientRect();
    return [left + width / 2, top + 60] as const;
  });
  await page.mouse.move(x, y);
  await page.mouse.wheel({ deltaY: -400 });
  await page.waitForFunction(() => document.querySelector('.scribe-sheet.is-zoomed'), { polling: 50 });
  const zoomed = await laid();
  await page.mouse.down();
  await page.mouse.move(x + 60, y + 30, { steps: 4 });
  await page.mouse.up();
  const number = (text: string, nth: number) => Number(text.match(/-?[\d.]+/g)![nth]);
  expect(number(await laid(), 0) - number(zoomed, 0)).toBeCloseTo(60, 3);
  expect(number(await laid(), 2)).toBe(number(zoomed, 2));
  await person.pressButton('All of it');
  expect(await laid()).toBe('');
  // at its top the wheel makes it larger; downward it scrolls a sheet that is too long
  await page.mouse.wheel({ deltaY: 400 });
  await page.waitForFunction(() => document.querySelector('.scribe-sheet')!.scrollTop > 0, { polling: 50 });
  expect(await laid()).toBe('');
  expect(person.faults).toEqual([]);
});
