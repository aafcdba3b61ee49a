/**
 * What a job takes from an equipped shop to its first cut: fields filled, presses, px scrolled, for six kinds
 * of job, the first and the second of each. The hand follows the brass button and types only what does not
 * stand there already. Prints a table.
 */
import { build, install } from './ready.mjs';
import { Hand } from './steps/hand.mjs';
import { JOBS } from './steps/jobs.mjs';
import { openBrowser, openPage, openWorkshop } from './workshop.mjs';

install();
build();
const only = process.argv[2] ?? '';
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const MOST_ROUNDS = 60;

/** What the demo workshop has. */
async function demoEquipment() {
  const demo = await openWorkshop(4875, '--demo');
  const { equipment } = await (await fetch(`${demo.address}/api/shop`)).json();
  await demo.close();
  return equipment;
}

/** A workshop with equipment and no jobs. */
async function equippedShop(equipment) {
  const shop = await openWorkshop(4876);
  const { revision } = await (await fetch(`${shop.address}/api/shop`)).json();
  await fetch(`${shop.address}/api/shop`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ revision, equipment }),
  });
  return shop;
}

const stationNow = (page) => new URL(page.url()).pathname.split('/')[4];
const STATIONS = {
  gear: 1,
  spacing: 1,
  blank: 2,
  cutter: 3,
  dividing: 4,
  lead: 5,
  setup: 6,
  cut: 7,
  inspect: 8,
};

async function isMet(hand, wish) {
  if (!wish.button) return hand.stands(wish);
  const answers = await hand.said('.route-station');
  const own = answers.find((said) => said.startsWith(String(STATIONS[wish.at]))) ?? '';
  return wish.until.test(own);
}

/** From the bench to the first space that can be cut. */
async function doJob(page, base, door, wishes) {
  const hand = new Hand(page);
  let left = [...wishes];
  let below = 0;
  const seen = new Set();
  await page.goto(base, { waitUntil: 'networkidle2' });
  await page.evaluate(() => document.activeElement?.blur?.());
  await page.keyboard.press('n');
  await page.waitForSelector('.door');
  await page.keyboard.press({ drawing: '1', sample: '2', blank: '3', shafts: '4', divide: '5' }[door]);
  hand.presses += 2;
  await page.waitForSelector('.work-scroll');
  await wait(400);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const at = stationNow(page);
    for (const wish of left.filter((one) => one.at === at)) {
      if (!(await isMet(hand, wish))) {
        if (wish.button) {
          await hand.press(wish.button);
          // on to the station it opens, if it opens one
          await wait(400);
          if (!(await isMet(hand, wish))) throw new Error(`${wish.button} did nothing`);
        } else if ((await hand.find(wish.name)) === null) continue;
        else await hand.fill(wish);
      }
      left = left.filter((one) => one !== wish);
    }
    if (!seen.has(at)) {
      seen.add(at);
      below += Math.max(0, await hand.hidden());
    }
    await wait(300);
    const [brass = ''] = await hand.said('.next-thing:not([disabled])');
    // what is wished for elsewhere and stands there needs no visit; it is found out by looking
    if (brass !== '' && !brass.startsWith('At the mill')) {
      await hand.press(brass.slice(0, 14), '.next-thing');
      await wait(200);
      if (stationNow(page) !== at || left.length === 0) continue;
    }
    const [next] = left;
    if (!next) {
      await hand.press('At the mill', '.next-thing, .quiet-thing');
      break;
    }
    if (next.at === stationNow(page)) throw new Error(`cannot get on with ${next.name ?? next.button}`);
    const before = hand.presses;
    await hand.press(String(STATIONS[next.at]), '.route-station');
    await wait(150);
    // a station that is only looked into by this script, because all stands there already, was no press
    const unmet = [];
    for (const wish of left.filter((one) => one.at === next.at))
      if (!(await isMet(hand, wish))) unmet.push(wish);
    if (unmet.length === 0) {
      if (stationNow(page) !== at) await hand.press(String(STATIONS[at]), '.route-station');
      await wait(200);
      hand.presses = before;
      left = left.filter((one) => one.at !== next.at);
    }
  }
  const card = { fields: hand.fields, presses: hand.presses, scrolled: Math.round(hand.scrolled), below };
  await page.waitForSelector('.start-list');
  await hand.press('Start at', '.ant-modal button');
  for (;;) {
    const button = await page.waitForFunction(
      () =>
        [...document.querySelectorAll('button')].find(
          ({ offsetParent, innerText }) =>
            offsetParent !== null &&
            /^(That is 0|It stands so|Done|Unlocked|(Tooth space|Work hole|Flat|Slot|Place|Mark|Spline space) \d+ (cut|scratched|drilled))/.test(
              innerText.trim(),
            ),
        ),
      { polling: 100, timeout: 20_000 },
    );
    if ((await button.evaluate(({ innerText }) => innerText)).match(/\d+ (cut|scratched|drilled)/)) break;
    await button.evaluate((each) => each.click());
    hand.presses += 1;
    await wait(800);
  }
  return { ...card, mill: hand.presses - card.presses };
}

const equipment = await demoEquipment();
const { browser, close } = await openBrowser();
const column = (value, width) => String(value).padStart(width);
try {
  console.log('job                fields  presses  scrolled  below the edge   at the mill');
  for (const { name, door, wants } of JOBS) {
    if (!name.includes(only)) continue;
    // each kind begins in a workshop and a browser that remember nothing
    const shop = await equippedShop(equipment);
    const context = await browser.createBrowserContext();
    for (const [i, wishes] of wants.entries()) {
      const page = await openPage(context);
      const title = `${name}, ${i === 0 ? 'first' : 'second'}`.padEnd(18);
      try {
        const did = await doJob(page, shop.address, door, wishes);
        console.log(
          `${title} ${column(did.fields, 6)} ${column(did.presses, 8)} ${column(did.scrolled, 9)} ${column(did.below, 15)} ${column(did.mill, 13)}`,
        );
      } catch (error) {
        console.log(`${title} ${error.message.split('\n')[0]}`);
        if (process.env.STEPS_PICTURE)
          await page.screenshot({ path: `${process.env.STEPS_PICTURE}/${name}-${i}.png` });
        process.exitCode = 1;
      }
      await page.close();
    }
    await context.close();
    await shop.close();
  }
} finally {
  await close();
}
