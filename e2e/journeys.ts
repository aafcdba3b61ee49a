import { afterAll, afterEach, beforeAll } from '@jest/globals';
import type { Browser, BrowserContext } from 'puppeteer-core';
import { openBrowser, Person } from './person.ts';
import { Workshop } from './workshop.ts';

/** Where the journeys of one file take place: a server with a store of its own, and a browser. */
export interface Place {
  readonly workshop: Workshop;
  readonly browser: Browser;
  /** Someone comes to a screen of the shop. */
  sitDown(): Promise<Person>;
}

/**
 * Opens the place for all journeys of a file; each has a browser’s memory of its own, so that one that fails
 * spoils no other.
 */
export function journeysIn(kind: 'empty' | 'demo'): Place {
  let workshop: Workshop;
  let browser: Browser;
  let memory: Promise<BrowserContext> | null = null;
  beforeAll(async () => {
    [workshop, browser] = await Promise.all([Workshop.open(kind), openBrowser()]);
  });
  afterEach(async () => {
    const own = browser.browserContexts().filter((each) => each !== browser.defaultBrowserContext());
    await Promise.all(own.map((each) => each.close()));
    memory = null;
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
    sitDown: async () => {
      memory ??= browser.createBrowserContext();
      return Person.sitDown(await memory, workshop.address);
    },
  };
}
