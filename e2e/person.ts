import { mkdtempSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import {
  launch,
  type Browser,
  type BrowserContext,
  type ElementHandle,
  type KeyInput,
  type Page,
} from 'puppeteer-core';
import { scratchFolder } from '../server/scratch.ts';

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** @param more arguments of the browser */
export function openBrowser(...more: readonly string[]): Promise<Browser> {
  const executablePath = process.env['BROWSER_PATH'] ?? '/usr/bin/chromium';
  return launch({
    executablePath,
    args: [...ARGS, ...more],
    // a busy machine takes its time to bring a browser up
    timeout: 120_000,
    userDataDir: mkdtempSync(path.join(scratchFolder(), 'vuelta-browser-')),
  });
}

/** How long a person waits for a screen before calling it broken: a busy machine is slow, not wrong. */
export const PATIENCE_MS = 45_000;

/** How long the browser may take to answer a press. */
const PRESS_MS = 8000;

/** Two taps closer together are taken as one, so a person counting leaves more time than this. */
export const BETWEEN_COUNTS_MS = 760;
export const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Someone at a screen: reads what is written, presses what has a name, types. Faults of the page are
 * collected.
 */
export class Person {
  readonly page: Page;
  readonly faults: string[] = [];
  private readonly base: string;

  private constructor(page: Page, base: string) {
    this.page = page;
    this.base = base;
    page.on('pageerror', (error) => this.faults.push(error instanceof Error ? error.message : String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource|ERR_CONNECTION/.test(message.text()))
        this.faults.push(message.text());
    });
  }

  static async sitDown(browser: Browser | BrowserContext, base: string): Promise<Person> {
    const page = await browser.newPage();
    page.setDefaultTimeout(PATIENCE_MS);
    await page.setViewport({ width: 1280, height: 800 });
    await page.bringToFront();
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    return new Person(page, base);
  }

  async goTo(address: string): Promise<void> {
    await this.page.goto(this.base + address, { waitUntil: 'domcontentloaded' });
  }

  /** What a person could read now, spaces evened out. */
  async text(): Promise<string> {
    return (await this.page.evaluate(() => document.body.innerText)).replace(/\s+/g, ' ');
  }

  /** Waits until this can be read. */
  async sees(wanted: RegExp | string, ms = PATIENCE_MS): Promise<void> {
    const until = Date.now() + ms;
    let seen = '';
    while (Date.now() < until) {
      seen = await this.text().catch(() => '');
      if (typeof wanted === 'string' ? seen.includes(wanted) : wanted.test(seen)) return;
      await wait(60);
    }
    throw new Error(`did not see ${String(wanted)} in:\n${seen.slice(0, 2500)}`);
  }

  async seesNot(unwanted: RegExp): Promise<void> {
    const seen = await this.text();
    if (unwanted.test(seen)) throw new Error(`sees ${String(unwanted)} in:\n${seen.slice(0, 2500)}`);
  }

  /** Waits until this can no longer be read. */
  async seesGo(unwanted: RegExp, ms = PATIENCE_MS): Promise<void> {
    const until = Date.now() + ms;
    while (Date.now() < until && unwanted.test(await this.text().catch(() => ''))) await wait(60);
    await this.seesNot(unwanted);
  }

  /** Opens what is folded away, by the line that tells of it; leaves it where it lies open. */
  async opens(summary: string): Promise<void> {
    const handle = await this.findInPage('summary', summary, true);
    if (await handle.evaluate((each) => !(each.parentElement as HTMLDetailsElement).open))
      await this.pressIt(handle, summary);
  }

  /** What is asked for and lies in a fold: the fold is opened by its line, as a hand does. */
  private async unfold(name: string): Promise<void> {
    await this.page.evaluate((wanted) => {
      const says = (each: Element) =>
        [each.textContent, each.getAttribute('aria-label')].some(
          (said) => said?.replace(/\s+/g, ' ').trim() === wanted,
        );
      const named = [...document.querySelectorAll('label, .either-label, button')].filter(says);
      if (named.some((each) => !each.closest('details:not([open])'))) return;
      named[0]?.closest('details:not([open])')?.querySelector('summary')?.click();
    }, name);
  }

  private async byName(name: string, role?: string): Promise<ElementHandle> {
    await this.unfold(name);
    const found = await this.page.waitForSelector(
      `::-p-aria([name="${name}"]${role ? `[role="${role}"]` : ''})`,
      { visible: true },
    );
    if (!found) throw new Error(`nothing is called ${name}`);
    return found;
  }

  /** Presses what a screen reader would call by this name. */
  async press(name: string, role?: string): Promise<void> {
    const handle = (await this.byName(name, role)) as ElementHandle<HTMLElement>;
    await this.pressIt(handle, name);
  }

  /**
   * Waits for what is to be pressed and can be reached; when it does not come, tells what could be read
   * instead.
   */
  private async findInPage(
    among: string,
    words: string,
    begins = false,
  ): Promise<ElementHandle<HTMLElement>> {
    try {
      const handle = await this.page.waitForFunction(
        (selector, wanted, atStart) => {
          const saysIt = ({ innerText }: HTMLElement) => {
            const said = innerText.replace(/\s+/g, ' ').trim();
            return atStart ? said.startsWith(wanted) : said.includes(wanted);
          };
          // what lies behind a dialog says it too, and no hand reaches it
          const inReach = (element: HTMLElement) => {
            element.scrollIntoView({ block: 'nearest', inline: 'nearest' });
            const { left, top, width, height } = element.getBoundingClientRect();
            const hit = document.elementFromPoint(left + width / 2, top + height / 2);
            return hit !== null && (element.contains(hit) || hit.contains(element));
          };
          return [...document.querySelectorAll<HTMLElement>(selector)].find(
            (element) =>
              element.offsetParent !== null &&
              !(element as HTMLButtonElement).disabled &&
              saysIt(element) &&
              inReach(element),
          );
        },
        // not by frames: a page that is not in front draws none
        { polling: 100 },
        among,
        words,
        begins,
      );
      return handle as ElementHandle<HTMLElement>;
    } catch (error) {
      const seen = (await this.text().catch(() => '')).slice(0, 2500);
      throw new Error(`could not press ${words} in:\n${seen}`, { cause: error });
    }
  }

  /**
   * Presses, and sees whether the press arrived: one that the browser itself dropped is made again, and told.
   */
  private async pressIt(handle: ElementHandle<HTMLElement>, words: string): Promise<void> {
    const pressed = await handle.evaluateHandle((element) => {
      const seen = { pressed: false };
      // the thing itself, what is in it, or what it is laid in: the field of a list of choices is hidden in
      // its box
      const own = element.closest('.ant-select') ?? element;
      document.addEventListener(
        'click',
        ({ target }) => {
          if (target instanceof Node && (own.contains(target) || target.contains(own))) seen.pressed = true;
        },
        { capture: true },
      );
      return seen;
    });
    for (let tries = 1; tries <= 3; tries += 1) {
      // the browser answers a press with its next picture, and a page that is not in front draws none
      const answered = await Promise.race([
        // what moves away under the finger is not pressed
        handle.click().then(
          () => true,
          () => false,
        ),
        wait(PRESS_MS).then(() => false),
      ]);
      if (!answered) await this.page.bringToFront();
      // a press may lead to another page, and there is nothing left to ask
      if (await pressed.evaluate((seen) => seen.pressed).catch(() => true)) return;
      console.warn(`the press on ${words} did not arrive (${tries})`);
      if (!(await handle.evaluate(({ isConnected }) => isConnected).catch(() => false))) return;
    }
    throw new Error(`a press on ${words} never arrives`);
  }

  /** Presses the button that begins with these words, as soon as it can be pressed. */
  async pressButton(words: string): Promise<void> {
    await this.pressIt(await this.findInPage('button, a, [role="menuitem"]', words, true), words);
  }

  /**
   * Waits until the longer search for ways has said all it has to say: what stands below it moves down then.
   */
  async searched(): Promise<void> {
    await this.opens('The ways on this head');
    await this.sees(/Approximate/);
  }

  /** Presses the innermost thing that says these words: a summary, a choice of several. */
  async pressWords(words: string): Promise<void> {
    const among = 'summary, label, .ant-segmented-item-label, button, a';
    await this.pressIt(await this.findInPage(among, words), words);
  }

  /** Presses a choice of a list that has been opened. */
  async pressOption(words: string): Promise<void> {
    await this.pressIt(await this.findInPage('.ant-select-item-option', words), words);
  }

  /** Replaces what stands in a field. */
  async types(field: string, text: string): Promise<void> {
    const input = await this.byName(field, 'textbox');
    await input.click({ count: 3 });
    await this.page.keyboard.press('Backspace');
    if (text) await input.type(text);
  }

  /**
   * At the mill, before the first cut: says it is so to whatever is asked of head and work, until a space can
   * be counted.
   */
  async makesReady(): Promise<void> {
    let missed = 0;
    for (;;) {
      const handle = await this.page.waitForFunction(
        () =>
          [...document.querySelectorAll('button')].find(
            ({ offsetParent, innerText }) =>
              offsetParent !== null &&
              /^(That is 0|It stands so|Done|Unlocked|(Tooth space|Work hole|Flat|Slot|Place|Mark|Spline space) \d+ (cut|scratched|drilled))/.test(
                innerText.trim(),
              ),
          ),
        { polling: 100 },
      );
      const button = handle as ElementHandle<HTMLButtonElement>;
      if ((await button.evaluate(({ innerText }) => innerText)).match(/\d+ (cut|scratched|drilled)/)) return;
      // drawn anew between being found and being pressed: it is looked for again
      const gone = await button.click().then(
        () => false,
        () => true,
      );
      if (gone) missed += 1;
      if (missed > 20) throw new Error('the button at the mill never stays');
      await wait(gone ? 60 : BETWEEN_COUNTS_MS);
    }
  }

  /** Takes the hands off a field, once one has the focus, so that single keys work again. */
  async leavesField(): Promise<void> {
    await this.page
      .waitForFunction(() => document.activeElement !== document.body, { timeout: 3000 })
      .catch(() => null);
    await this.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  }

  async key(...keys: KeyInput[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key);
  }

  /** What axe finds wrong that is serious or critical. Rules: WCAG 2 A and AA. */
  async hardToUse(): Promise<string[]> {
    await this.page.evaluate(axeSource);
    return this.page.evaluate(async () => {
      const { axe } = window as unknown as {
        axe: {
          run(options: object): Promise<{
            violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[];
          }>;
        };
      };
      const { violations } = await axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] });
      return violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .map(
          ({ id, nodes }) =>
            `${id}: ${nodes
              .slice(0, 3)
              .map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary.slice(0, 200)}`)
              .join(' | ')}`,
        );
    });
  }
}
