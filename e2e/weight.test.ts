import { expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { journeysIn } from './journeys.ts';

const place = journeysIn('demo');

/** kB of a page as a browser without any of it fetches it. */
interface Weight {
  code: number;
  faces: number;
}

async function weightOf(address: string): Promise<Weight> {
  const person = await place.sitDown();
  const session = await person.page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  const sorts = new Map<string, { readonly sort: keyof Weight; readonly encoding: string }>();
  const weight: Weight = { code: 0, faces: 0 };
  session.on('Network.responseReceived', ({ requestId, response: { url, headers } }) => {
    const encoding = headers['content-encoding'] ?? headers['Content-Encoding'] ?? '';
    if (/\.(js|css)$/.test(url)) sorts.set(requestId, { sort: 'code', encoding });
    else if (url.endsWith('.woff2')) sorts.set(requestId, { sort: 'faces', encoding });
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const found = sorts.get(requestId);
    if (!found) return;
    if (found.sort === 'code' && encodedDataLength > 2048) expect(found.encoding).toBe('br');
    weight[found.sort] += encodedDataLength / 1000;
  });
  await person.goTo(address);
  await person.page.waitForNetworkIdle();
  return weight;
}

// what was measured and a little: a page that grows beyond it is looked at before it lands
test.each([
  ['the bench', '/', { code: 200, faces: 40 }],
  ['a card', '/jobs/demo-lens-second/p1/gear', { code: 460, faces: 50 }],
  ['the mill', '/runs/run-demo-lens-second', { code: 346, faces: 50 }],
] as const)('%s is fetched compressed, and weighs no more than it may', async (_, address, most) => {
  const { code, faces } = await weightOf(address);
  expect(code).toBeGreaterThan(100);
  expect(code).toBeLessThanOrEqual(most.code);
  expect(faces).toBeLessThanOrEqual(most.faces);
});

test('pieces of a page come without what browsers heed on a page alone; a worker keeps its policy', async () => {
  const asked = async (address: string) => (await fetch(`${place.workshop.address}${address}`)).headers;
  const page = await (await fetch(`${place.workshop.address}/`)).text();
  const piece = /\/assets\/index-[\w-]+\.js/.exec(page)![0];
  const script = await asked(piece);
  expect([script.get('content-security-policy'), script.get('x-content-type-options')]).toEqual([
    null,
    'nosniff',
  ]);
  expect((await asked('/')).get('content-security-policy')).toContain("script-src 'self'");
  const worker = readdirSync('dist/web/assets').find((name) => /worker.*\.js$/.test(name))!;
  expect((await asked(`/assets/${worker}`)).get('content-security-policy')).toContain("script-src 'self'");
});
