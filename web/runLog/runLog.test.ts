import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { need } from '../../core/findings/index.ts';
import { drawnSpurJob } from '../../core/job/index.ts';
import { plan } from '../../core/plan/index.ts';
import { foldRun, freezeRun, type RunEvent } from '../../core/run/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import type { KeptRun, RunKeep, RunNews } from './keptRuns.ts';

/** As much of a browser as a run's log needs. */
class Drawer {
  private readonly things = new Map<string, string>();
  get length() {
    return this.things.size;
  }
  key = (i: number) => [...this.things.keys()][i] ?? null;
  getItem = (key: string) => this.things.get(key) ?? null;
  setItem = (key: string, text: string) => void this.things.set(key, text);
  removeItem = (key: string) => void this.things.delete(key);
  clear = () => this.things.clear();
}
const drawer = new Drawer();
Object.assign(globalThis, {
  localStorage: drawer,
  sessionStorage: new Drawer(),
  window: { addEventListener: () => undefined },
});
const { createRunLog } = await import('./index.ts');
const { joinRuns, keptRuns } = await import('./keptRuns.ts');

const job = drawnSpurJob({ id: 'j', name: 'Pinion', pitch: '1', teeth: 12, face: '8', bore: '4' });
const run = need(
  freezeRun({
    job,
    planned: plan(job, STOCK_EQUIPMENT),
    shop: STOCK_EQUIPMENT,
    start: { runId: 'r', jobRevision: 1, partId: 'p1' },
  }),
);

/** How a request fares: not heard, heard and the answer lost, answered by something else, or in order. */
const FATES = [
  'in order',
  'unheard',
  'answer lost',
  'a page in between',
  'unknown device',
  'unknown run',
  'fault',
] as const;
type Fate = (typeof FATES)[number];
const STATUS: Readonly<Partial<Record<Fate, number>>> = {
  'unknown device': 401,
  'unknown run': 404,
  fault: 500,
};

/** The server's side of it: each id once, in order of arrival. */
class Server {
  readonly events: RunEvent[] = [];
  fates: Fate[] = [];
  /** Ids that it will never take. */
  readonly refuses = new Set<string>();
  answer = async (address: string, init: RequestInit): Promise<Response> => {
    const fate = this.fates.shift() ?? 'in order';
    const json = (status: number, body: object) =>
      new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
    await Promise.resolve();
    if (fate === 'unheard') throw new TypeError('failed to fetch');
    if (fate === 'a page in between') return new Response('<html>Sign in</html>', { status: 200 });
    const status = STATUS[fate];
    if (status) return json(status, { detail: `It says ${status}.` });
    const answer = init.method === 'POST' ? this.append(init) : this.after(address);
    if (fate === 'answer lost') throw new TypeError('failed to fetch');
    return json(answer.status, answer.body);
  };
  private append({ body }: RequestInit) {
    const { events } = JSON.parse(body as string) as { events: RunEvent[] };
    if (events.some(({ id }) => this.refuses.has(id)))
      return { status: 422, body: { detail: 'It names no cut.' } };
    for (const event of events) if (!this.events.some(({ id }) => id === event.id)) this.events.push(event);
    return { status: 200, body: { arrival: this.events.length } };
  }
  private after(address: string) {
    const after = Number(new URL(address, 'http://shop').searchParams.get('after'));
    return { status: 200, body: { events: this.events.slice(after), arrival: this.events.length } };
  }
}

let server: Server;
let clock = 0;
beforeEach(() => {
  drawer.clear();
  server = new Server();
  globalThis.fetch = ((address: string, init: RequestInit) => server.answer(address, init)) as typeof fetch;
  // every press is a press of its own
  jest.spyOn(performance, 'now').mockImplementation(() => (clock += 5000));
});

/** What a browser keeps of runs, as text and apart from what the page goes on with. */
class Keep implements RunKeep {
  private readonly texts = new Map<string, string>();
  read = async (runId: string) => {
    const text = this.texts.get(runId);
    return Promise.resolve(text === undefined ? null : (JSON.parse(text) as KeptRun));
  };
  write = async (news: RunNews) => {
    const kept = joinRuns(await this.read(news.run.id), news);
    if (kept) this.texts.set(news.run.id, JSON.stringify(kept));
  };
}

const open = async (keep?: RunKeep) => {
  const log = createRunLog(run, keep);
  await log.getState().exchange();
  return log;
};
const stateOf = (log: Awaited<ReturnType<typeof open>>) => foldRun(run, log.getState().events);
/** Presses done, as the page does, without waiting for the server. */
const cut = (log: Awaited<ReturnType<typeof open>>) => {
  const { next } = stateOf(log);
  if (next) log.getState().act({ kind: 'done', round: next.round, index: next.index });
  return next !== null;
};

describe('the log of a run on a page', () => {
  test('a count shows at once and is stored in its turn', async () => {
    const log = await open();
    cut(log);
    expect(stateOf(log).done).toBe(1);
    expect([log.getState().waiting, server.events.length]).toEqual([1, 0]);
    await log.getState().exchange();
    expect([log.getState().waiting, server.events.length]).toEqual([0, 1]);
  });

  test.each(FATES.filter((fate) => fate !== 'in order'))(
    '%s: the count stays, and is there once',
    async (fate) => {
      const log = await open();
      server.fates = [fate, fate, fate, fate];
      cut(log);
      await log.getState().exchange();
      expect(stateOf(log).done).toBe(1);
      expect(log.getState()).toMatchObject({ link: 'away', waiting: 1, refused: null });
      server.fates = [];
      await log.getState().exchange();
      expect(log.getState()).toMatchObject({ link: 'ok', waiting: 0, trouble: null });
      expect(server.events).toHaveLength(1);
    },
  );

  test('what the server judges wrong is put aside and told, and holds nothing up', async () => {
    const log = await open();
    server.fates = ['unheard', 'unheard', 'unheard', 'unheard'];
    cut(log);
    cut(log);
    server.refuses.add(log.getState().events[0]!.id);
    server.fates = [];
    await log.getState().exchange();
    await log.getState().exchange();
    expect(server.events.map(({ id }) => id)).toEqual([log.getState().events[0]!.id]);
    expect(log.getState()).toMatchObject({ waiting: 0, refused: 'It names no cut.' });
    const aside = Array.from({ length: drawer.length }, (_, i) => drawer.key(i)!);
    expect(aside.filter((key) => key.startsWith('vuelta.refused.'))).toHaveLength(1);
  });

  test('opened while the server is away, it stands where this browser saw it last, and the outbox on it', async () => {
    const keep = new Keep();
    const log = await open(keep);
    cut(log);
    await log.getState().exchange();
    // what another screen has counted since is kept as well
    const [mine] = server.events as [RunEvent];
    server.events.push({
      ...mine,
      ...{ id: 'theirs', device: 'other', deviceSeq: 1, lastSeen: { [mine.device]: mine.deviceSeq } },
      ...{ kind: 'done', round: 1, index: 2 },
    } as RunEvent);
    await log.getState().exchange();
    server.fates = ['unheard', 'unheard', 'unheard', 'unheard'];
    cut(log);
    const again = await open(keep);
    expect(again.getState()).toMatchObject({ loaded: true, link: 'away', waiting: 1 });
    expect(stateOf(again)).toMatchObject({ done: 3, doubts: [] });
    // without a kept one nothing may be counted: the count could be behind
    server.fates = ['unheard'];
    expect((await open()).getState().loaded).toBe(false);
    // a server that answers is the one to be believed
    server.fates = ['unknown device'];
    expect((await open(keep)).getState().loaded).toBe(false);
  });

  test('what waited is sent as the page opens, and then the server is gone: nothing of before is forgotten', async () => {
    const keep = new Keep();
    const log = await open(keep);
    cut(log);
    cut(log);
    await log.getState().exchange();
    server.fates = ['unheard', 'unheard', 'unheard', 'unheard'];
    cut(log);
    await log.getState().exchange();
    // heard once, then no more
    server.fates = ['in order', 'unheard'];
    const again = await open(keep);
    expect(again.getState()).toMatchObject({ loaded: true, link: 'away', waiting: 0 });
    expect(stateOf(again).done).toBe(3);
    // and where nothing was kept before, a part of it is not taken for all
    server.fates = ['unheard', 'unheard', 'unheard', 'unheard'];
    cut(again);
    server.fates = ['in order', 'unheard'];
    const fresh = await open(new Keep());
    expect([fresh.getState().loaded, server.events.length]).toEqual([false, 4]);
  });

  test('two pages of one browser keep what either knows; what the server refuses is not kept', async () => {
    const keep = new Keep();
    const [one, two] = [await open(keep), await open(keep)];
    cut(one);
    await one.getState().exchange();
    // the other has not heard of it yet, and writes down what it has done itself
    two.getState().act({ kind: 'note', round: 1, index: 1, text: 'Chips' });
    server.fates = ['in order', 'unheard'];
    await two.getState().exchange();
    const kept = async () => (await keep.read('r'))!.events.map(({ kind }) => kind).sort();
    expect(await kept()).toEqual(['done', 'note']);
    server.fates = ['unheard', 'unheard', 'unheard', 'unheard'];
    // a good one before it is kept by itself
    cut(one);
    cut(one);
    server.refuses.add(one.getState().events.at(-1)!.id);
    server.fates = [];
    await one.getState().exchange();
    await one.getState().exchange();
    expect(one.getState().refused).toBe('It names no cut.');
    expect(await kept()).toEqual(['done', 'done', 'note']);
  });

  test('a browser that can write no more keeps none of it: a count that is behind would be worse', async () => {
    const texts = new Map<string, string>();
    const cache = {
      match: (place: string) =>
        Promise.resolve(texts.has(place) ? new Response(texts.get(place)) : undefined),
      put: async (place: string, response: Response) => void texts.set(place, await response.text()),
      keys: () => Promise.resolve([...texts.keys()].map((place) => ({ url: `https://shop${place}` }))),
      delete: () => Promise.resolve(true),
    };
    Object.assign(globalThis, {
      location: { protocol: 'https:' },
      caches: { open: () => Promise.resolve(cache), delete: () => Promise.resolve(void texts.clear()) },
    });
    Object.defineProperty(globalThis, 'navigator', { value: { serviceWorker: {} }, configurable: true });
    const keep = keptRuns();
    const log = await open(keep);
    cut(log);
    await log.getState().exchange();
    expect((await keep.read('r'))!.events).toHaveLength(1);
    cache.put = () => Promise.reject(new Error('quota'));
    cut(log);
    await log.getState().exchange();
    expect(await keep.read('r')).toBeNull();
    expect(server.events).toHaveLength(2);
    for (const name of ['location', 'caches', 'navigator']) Reflect.deleteProperty(globalThis, name);
    expect(await keptRuns().read('r')).toBeNull();
  });

  test('the outbox lets go of a count only when it is kept besides', async () => {
    const keep = new Keep();
    const log = await open(keep);
    const boxed: number[] = [];
    const inOutbox = () =>
      Array.from({ length: drawer.length }, (_, i) => drawer.key(i)!).filter((key) =>
        key.startsWith('vuelta.outbox.r.'),
      ).length;
    const writing = keep.write;
    keep.write = (kept) => {
      boxed.push(inOutbox());
      return writing(kept);
    };
    cut(log);
    await log.getState().exchange();
    expect([boxed[0], inOutbox()]).toEqual([1, 0]);
    expect((await keep.read('r'))!.events).toHaveLength(1);
  });

  test.each([
    ['nothing kept', () => undefined],
    ['kept in this browser', () => new Keep()],
  ])(
    'whatever becomes of the requests, with reloads between: every count once, none more, %s (seed 311)',
    async (_, keeping) => {
      const step = fc.oneof(
        { arbitrary: fc.constant('cut' as const), weight: 6 },
        {
          arbitrary: fc.constantFrom('back' as const, 'note' as const, 'settle' as const, 'reload' as const),
          weight: 4,
        },
      );
      await fc.assert(
        fc.asyncProperty(
          fc.array(step, { maxLength: 30 }),
          fc.array(fc.constantFrom(...FATES), { maxLength: 80 }),
          async (steps, fates) => {
            drawer.clear();
            server = new Server();
            const keep = keeping();
            let log = await open(keep);
            server.fates = [...fates];
            let made = 0;
            let wanted = 0;
            for (const what of steps) {
              // a page that has not heard the server yet shows no button to press
              if (!log.getState().loaded) await log.getState().exchange();
              if (!log.getState().loaded && what !== 'reload') continue;
              const { takeBack, next } = stateOf(log);
              if (what === 'cut' && cut(log)) [made, wanted] = [made + 1, wanted + 1];
              if (what === 'note') {
                log.getState().act({ kind: 'note', round: 1, index: next?.index ?? 1, text: 'Chips' });
                made += 1;
              }
              if (what === 'back' && takeBack.length > 0) {
                log.getState().act({ kind: 'take-back', ids: [...takeBack] });
                [made, wanted] = [made + 1, wanted - 1];
              }
              if (what === 'settle') await log.getState().exchange();
              if (what === 'reload') log = await open(keep);
              // what the screen says is what was counted, whoever it has heard
              if (log.getState().loaded) expect(stateOf(log).done).toBe(wanted);
            }
            server.fates = [];
            await log.getState().exchange();
            await log.getState().exchange();
            expect(log.getState().waiting).toBe(0);
            expect(server.events).toHaveLength(made);
            expect(foldRun(run, server.events)).toMatchObject({ done: wanted, doubts: [] });
            expect(stateOf(log)).toEqual(foldRun(run, server.events));
          },
        ),
        { seed: 311, numRuns: 120 },
      );
    },
  );
});
