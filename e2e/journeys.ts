import { afterAll, afterEach, beforeAll } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { openBrowser, Person } from './person.ts';
import { Workshop } from './workshop.ts';

/** Where the journeys of one file take place: a server with a store of its own, and a browser. */
export interface Place {
  readonly workshop: Workshop;
  readonly browser: Browser;
  /** Someone comes to a screen of the shop. */
  sitDown(): Promise<Person>;
}

/** Opens the place for all journeys of a file; after each, its pages are closed, so that none works on behind the next. */
export function journeysIn(kind: 'empty' | 'demo'): Place {
  let workshop: Workshop;
  let browser: Browser;
  beforeAll(async () => {
    [workshop, browser] = await Promise.all([Workshop.open(kind), openBrowser()]);
  });
  afterEach(async () => {
    const [first, ...others] = await browser.pages();
    await Promise.all(others.map((page) => page.close()));
    await first?.goto('about:blank');
  });
  afterAll(async () => {
    await browser.close();
    await workshop.close();
  });
  return {
    get workshop() {
      return workshop;
    },
    get browser() {
      return browser;
    },
    sitDown: () => Person.sitDown(browser, workshop.address),
  };
}
