import { expect, test } from '@jest/globals';
import type { ElementHandle } from 'puppeteer-core';
import { journeysIn } from './journeys.ts';
import { wait, type Person } from './person.ts';

const place = journeysIn('demo');

/**
 * Another value of the same kind: a whole number one more, a list of them with one more, a name longer,
 * anything else as it stands with a figure more.
 */
function another(value: string): string {
  if (/^\d+$/.test(value)) return String(Number(value) + 1);
  if (/^\d+[.,]\d+$/.test(value)) return `${value}1`;
  if (/^\d+( : \d+)?$/.test(value)) return value.replace(/^\d+/, (n) => String(Number(n) + 1));
  return value;
}

const FIELDS = '.shop-editor input[type="text"], .shop-editor input:not([type])';

interface Field {
  /** Its place among all fields of the editor. */
  readonly at: number;
  /** Its label without figures, which may be its own value, and which of those it is. */
  readonly name: string;
  readonly value: string;
}

const fieldsOf = (person: Person): Promise<Field[]> =>
  person.page.$$eval(FIELDS, (inputs) => {
    const seen = new Map<string, number>();
    return inputs.flatMap((input, at) => {
      if (input.offsetParent === null || input.role === 'combobox' || input.readOnly) return [];
      const label = (input.labels?.[0]?.innerText ?? input.getAttribute('aria-label') ?? '').replace(
        /\d+/g,
        '',
      );
      const count = (seen.get(label) ?? 0) + 1;
      seen.set(label, count);
      return [{ at, name: `${label} ${count}`, value: input.value }];
    });
  });

/** A checkbox, another choice of several, or a button of the list: what a hand presses next. */
async function nextControl(person: Person): Promise<ElementHandle<HTMLElement>> {
  const handle = await person.page.evaluateHandle(() => {
    const shown = (selector: string) =>
      [...document.querySelectorAll<HTMLElement>(selector)].find(({ offsetParent }) => offsetParent !== null);
    const found =
      shown('.shop-editor .ant-segmented-item:not(.ant-segmented-item-selected)') ??
      shown('.shop-editor .ant-checkbox-wrapper') ??
      shown('.shop-table button');
    if (!found) throw new Error('nothing to press here');
    found.scrollIntoView({ block: 'center' });
    return found;
  });
  return handle;
}

const PRESSES = {
  mouse: (control: ElementHandle<HTMLElement>) => control.click(),
  touch: (control: ElementHandle<HTMLElement>) => control.tap(),
  key: async (control: ElementHandle<HTMLElement>, person: Person) => {
    const input = await control.$('input');
    await (input ?? control).focus();
    await person.key('Space');
  },
};

const PAGES = [
  '/shop',
  '/shop/gears',
  '/shop/motors',
  '/shop/mills',
  '/shop/lathes',
  '/shop/cutters',
  '/shop/materials',
  '/shop/mandrels',
];

test.each(Object.keys(PRESSES) as (keyof typeof PRESSES)[])(
  'every field of the shop: typed, then something else pressed by %s; the value stands',
  async (by) => {
    const person = await place.sitDown();
    if (by === 'touch')
      await person.page.setViewport({ width: 900, height: 1100, hasTouch: true, isMobile: true });
    const lost: string[] = [];
    let tried = 0;
    for (const address of PAGES) {
      await person.goTo(address);
      await person.page.waitForSelector('.shop-editor');
      for (const { name } of await fieldsOf(person)) {
        // a press may have taken a field away, or brought one
        const field = (await fieldsOf(person)).find((each) => each.name === name);
        const wanted = field && another(field.value);
        if (!field || wanted === undefined || wanted === field.value) continue;
        const input = (await person.page.$$(FIELDS))[field.at] as ElementHandle<HTMLInputElement>;
        await input.evaluate((element) => element.scrollIntoView({ block: 'center' }));
        await input.click({ count: 3 });
        await input.type(wanted);
        // what cannot be is told, and is another test's
        if (await input.evaluate((element) => element.getAttribute('aria-invalid') === 'true')) {
          await person.page.reload({ waitUntil: 'domcontentloaded' });
          await person.page.waitForSelector('.shop-editor');
          continue;
        }
        await PRESSES[by](await nextControl(person), person);
        tried += 1;
        await wait(150);
        await person.sees('✓ Stored');
        await person.page.reload({ waitUntil: 'domcontentloaded' });
        await person.page.waitForSelector('.shop-editor');
        const now = (await fieldsOf(person)).find((each) => each.name === name);
        // the press may be the very choice that takes the field away
        if (now && now.value.replace(/0+$/, '') !== wanted.replace(/0+$/, ''))
          lost.push(`${address} ${name}: typed ${wanted}, kept ${now.value}`);
      }
    }
    expect(lost).toEqual([]);
    expect(tried).toBeGreaterThan(25);
    expect(person.faults).toEqual([]);
  },
);
