/**
 * A hand at the card that counts what it does: fields filled, presses, and how far it has to scroll for them.
 */
const PATIENCE_MS = 20_000;
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Looks for a field by its label. Runs in the page. */
function lookAt(name) {
  const clean = (text) => (text ?? '').replace(/\s+/g, ' ').trim();
  const label = [...document.querySelectorAll('.work label, .work .either-label, .work .field > span')].find(
    (each) => clean(each.textContent) === name,
  );
  const field = label?.closest('.field, .ant-checkbox-wrapper');
  if (!field) return null;
  const select = field.querySelector('.ant-select');
  const segmented = field.querySelector(':scope > .ant-segmented, .field-line > .ant-segmented');
  const input = field.querySelector('input.ant-input, .ant-input-affix-wrapper input');
  const kind = select ? 'choice' : input ? 'text' : segmented ? 'either' : 'none';
  const value =
    kind === 'choice'
      ? clean(select.querySelector('.ant-select-content, .ant-select-selection-item')?.textContent)
      : kind === 'text'
        ? input.value
        : clean(segmented?.querySelector('.ant-segmented-item-selected')?.textContent);
  const target = kind === 'choice' ? select : kind === 'text' ? input : segmented;
  const fold = field.closest('details:not([open])');
  return { kind, value, target, fold };
}

export class Hand {
  page;
  fields = 0;
  presses = 0;
  scrolled = 0;
  constructor(page) {
    this.page = page;
  }

  /** Moves the panel just so far that this can be seen, and counts how far that was. */
  async reach(handle) {
    const moved = await handle.evaluate((element) => {
      const panel = element.closest('.work-scroll') ?? document.scrollingElement;
      const top = Math.max(0, panel.getBoundingClientRect().top);
      const bottom = panel === document.scrollingElement ? innerHeight : panel.getBoundingClientRect().bottom;
      const own = element.getBoundingClientRect();
      const by = own.bottom > bottom ? own.bottom - bottom + 4 : own.top < top ? own.top - top - 4 : 0;
      if (element.closest('.work')) panel.scrollTop += by;
      return element.closest('.work') ? Math.abs(by) : 0;
    });
    this.scrolled += moved;
  }

  async find(name) {
    const handle = await this.page.evaluateHandle(lookAt, name);
    const found = await handle.evaluate(
      (one) => one && { kind: one.kind, value: one.value, folded: !!one.fold },
    );
    if (!found) return null;
    const part = async (key) => (await handle.getProperty(key)).asElement();
    return { ...found, target: await part('target'), fold: await part('fold') };
  }

  /** Does the field stand so already, wherever it lies? */
  async stands({ name, is }) {
    const found = await this.find(name);
    return found !== null && (found.kind === 'choice' ? found.value.startsWith(is) : found.value === is);
  }

  async fill({ name, is }) {
    let found = await this.find(name);
    if (!found) throw new Error(`there is no field ${name}`);
    if (found.folded) {
      const summary = await found.fold.$('summary');
      await this.reach(summary);
      await summary.click();
      this.presses += 1;
      await wait(80);
      found = await this.find(name);
    }
    await this.reach(found.target);
    if (found.kind === 'text') {
      await found.target.click({ count: 3 });
      await this.page.keyboard.press('Backspace');
      await found.target.type(is);
    } else if (found.kind === 'choice') {
      await found.target.click();
      const option = await this.page.waitForFunction(
        (wanted) =>
          [
            ...document.querySelectorAll(
              '.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option',
            ),
          ].find((each) => each.textContent.replace(/\s+/g, ' ').trim().startsWith(wanted)),
        { polling: 60, timeout: PATIENCE_MS },
        is,
      );
      await option.evaluate((each) => each.click());
      await wait(250);
    } else {
      const item = await found.target.evaluateHandle(
        (group, wanted) =>
          [...group.querySelectorAll('.ant-segmented-item')].find(
            (each) => each.textContent.trim() === wanted,
          ),
        is,
      );
      await item.asElement().click();
    }
    this.fields += 1;
    await wait(120);
    if (!(await this.stands({ name, is }))) throw new Error(`${name} does not stand at ${is}`);
  }

  /** Presses a button that begins with these words, or is called so, as soon as there is one. */
  async press(words, among = 'button, a, summary', ms = PATIENCE_MS) {
    const handle = await this.page.waitForFunction(
      (selector, wanted) =>
        [...document.querySelectorAll(selector)].find(
          (each) =>
            each.offsetParent !== null &&
            !each.disabled &&
            [each.innerText.replace(/\s+/g, ' ').trim(), each.getAttribute('aria-label') ?? ''].some((said) =>
              said.startsWith(wanted),
            ),
        ),
      { polling: 60, timeout: ms },
      among,
      words,
    );
    await this.reach(handle);
    await handle.evaluate((each) => each.click());
    this.presses += 1;
    await wait(150);
  }

  said(selector) {
    return this.page.$$eval(selector, (all) => all.map((each) => each.innerText.replace(/\s+/g, ' ').trim()));
  }

  /** How much of the station lies below the edge of its panel, px. */
  hidden() {
    return this.page.$eval('.work-scroll', (panel) => panel.scrollHeight - panel.clientHeight);
  }
}
