import { describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { get, request as requestSecurely } from 'node:https';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import type { AnswerOf, pairingCalls, Problem } from '../../core/wire/index.ts';
import { readConfig } from '../config.ts';
import { startServer, type Running } from '../start.ts';
import { Trial } from '../trial.ts';
import { DeviceList } from './devices.ts';
import { addressesOf, hostCheck, Pairing, readCertificate } from './index.ts';

/** Listens by plain HTTP. */
const plain = (host: string) => ({ host, certificate: null });
const letsIn = (check: ReturnType<typeof hostCheck>, host: string): boolean => {
  let passed = false;
  check({ headers: { host } } as never, {} as never, (refused) => (passed = refused === undefined));
  return passed;
};
const json = { 'content-type': 'application/json' };

/** What is told and changed on the server's own machine, asked there and from a device that is let in. */
async function onlyHere(local: string, remote: string, cookie: string): Promise<void> {
  const asked = async (base: string, method: string, path: string) => {
    const body = method === 'GET' ? null : '{}';
    const response = await fetch(`${base}${path}`, { method, body, headers: { ...json, cookie } });
    return [response.status, (await response.json()) as Told] as const;
  };
  type Told = Partial<AnswerOf<typeof pairingCalls.readPairing> & Problem>;
  const [, told] = await asked(remote, 'GET', '/pairing');
  expect(told).toEqual({ paired: true, code: null, pass: null, reachedAt: [], devices: [] });
  const [, here] = await asked(local, 'GET', '/pairing');
  expect(here.devices).toMatchObject([{ name: 'Mill tablet' }]);
  const id = here.devices![0]!.id;
  for (const [method, path] of [
    ['POST', '/pairing/renew'],
    ['DELETE', `/pairing/devices/${id}`],
    ['DELETE', '/pairing/devices'],
  ] as const) {
    const [status, { detail }] = await asked(remote, method, path);
    expect([status, detail]).toEqual([403, expect.stringMatching(/machine that Vuelta runs on/)]);
  }
  const [, renewed] = await asked(local, 'POST', '/pairing/renew');
  expect([renewed.code, renewed.pass]).not.toEqual([here.code, here.pass]);
  expect(renewed.devices).toHaveLength(1);
  expect((await asked(local, 'DELETE', '/pairing/devices/none'))[0]).toBe(404);
}

describe('who is let in', () => {
  test('a code lets a device in once and for all; a few wrong ones and it must wait', () => {
    const trial = new Trial('pairing');
    let now = 0;
    const pairing = new Pairing(trial.folder, () => now);
    expect(pairing.code).toMatch(/^\d{6}$/);
    expect(pairing.pair(`${pairing.code.slice(0, 3)} ${pairing.code.slice(3)}`, 'Bench', 'bench')).toMatch(
      /^[0-9a-f]{64}$/,
    );
    const wrong = pairing.code === '000000' ? '000001' : '000000';
    for (let i = 0; i < 5; i += 1)
      expect(() => pairing.pair(wrong, 'Tablet', 'tablet')).toThrow(/not the code/);
    expect(() => pairing.pair(pairing.code, 'Tablet', 'tablet')).toThrow(/Wait a minute/);
    // the owner, who comes from elsewhere, is not locked out by it
    expect(pairing.pair(pairing.code, 'Tablet', 'bench')).toMatch(/^[0-9a-f]{64}$/);
    now += 60_001;
    expect(pairing.pair(pairing.code, 'Tablet', 'tablet')).toMatch(/^[0-9a-f]{64}$/);
    expect(existsSync(path.join(trial.folder, 'paired.json'))).toBe(true);
    // what is kept lets nobody in by itself
    expect(readFileSync(path.join(trial.folder, 'paired.json'), 'utf8')).not.toContain(pairing.code);
    return trial.close();
  });

  test('a strange name is turned away, the machine’s own are not', async () => {
    const trial = new Trial('host');
    await trial.start();
    const askedAs = (host: string) =>
      new Promise<number>((resolve, reject) => {
        const { port } = new URL(trial.address);
        request({ host: '127.0.0.1', port, path: '/api/health', headers: { host } }, ({ statusCode }) =>
          resolve(statusCode ?? 0),
        )
          .on('error', reject)
          .end();
      });
    expect([
      await askedAs('localhost:80'),
      await askedAs('127.0.0.1'),
      await askedAs('workshop.example'),
    ]).toEqual([200, 200, 403]);
    await trial.close();
  });

  test('the machine’s name comes with what a router puts behind it, and is looked up anew on another network', () => {
    const name = os.hostname().toLowerCase();
    const open = hostCheck(plain('0.0.0.0'));
    for (const host of [
      name,
      `${name}.local:4810`,
      `${name}.lan`,
      `${name}.lan.`,
      '127.0.0.1:1',
      '[::1]:4810',
      '[::1]',
    ])
      expect([host, letsIn(open, host)]).toEqual([host, true]);
    for (const host of [`${name}.example`, `${name}.lan.example`, 'example', '', '[::2]:80'])
      expect([host, letsIn(open, host)]).toEqual([host, false]);
    // a server that only this machine can reach is asked for by no other name
    expect(letsIn(hostCheck(plain('127.0.0.1')), `${name}.lan`)).toBe(false);
    let addresses = ['192.0.2.7'];
    const moved = hostCheck(plain('0.0.0.0'), () => new Set(addresses));
    expect(letsIn(moved, '198.51.100.4:4810')).toBe(false);
    addresses = ['198.51.100.4'];
    expect(letsIn(moved, '198.51.100.4:4810')).toBe(true);
    expect(letsIn(moved, '192.0.2.7')).toBe(false);
  });

  test('where other devices reach it is told with its real addresses', () => {
    expect(addressesOf({ ...plain('192.0.2.7'), port: 4810 })).toEqual(['http://192.0.2.7:4810']);
    expect(addressesOf({ ...plain('2001:db8::7'), port: 4810 })).toEqual(['http://[2001:db8::7]:4810']);
    for (const address of addressesOf({ ...plain('0.0.0.0'), port: 4810 }))
      expect(address).not.toMatch(/127\.0\.0\.1|fe80|0\.0\.0\.0/);
  });

  test('a list of devices that was cut short lets nobody in, and the next is written whole', () => {
    const trial = new Trial('paired');
    const file = path.join(trial.folder, 'paired.json');
    for (const cut of ['', '["ab', '{}', 'null']) {
      writeFileSync(file, cut);
      expect(() => new Pairing(trial.folder)).not.toThrow();
    }
    const pairing = new Pairing(trial.folder);
    pairing.pair(pairing.code, 'Tablet', 'tablet');
    expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ devices: [{ name: 'Tablet' }] });
    return trial.close();
  });

  test('beyond this machine: the page is served, the workshop is not, until the code is given', async () => {
    const trial = new Trial('lan');
    const outside = Object.values((await import('node:os')).networkInterfaces())
      .flat()
      .find((one) => one && one.family === 'IPv4' && !one.internal)?.address;
    const running: Running = await startServer(
      { ...trial.config, host: '0.0.0.0' },
      pino({ level: 'silent' }),
    );
    const { port } = new URL(running.address);
    const local = `http://127.0.0.1:${port}/api`;
    expect(await (await fetch(`${local}/pairing`)).json()).toMatchObject({
      code: running.pairingCode,
      paired: true,
      reachedAt: running.reachedAt,
      devices: [],
    });
    expect((await fetch(`${local}/jobs`)).status).toBe(200);
    if (outside) {
      const remote = `http://${outside}:${port}/api`;
      const post = (code: string) =>
        fetch(`${remote}/pair`, {
          method: 'POST',
          body: JSON.stringify({ code, name: 'Mill tablet' }),
          headers: { 'content-type': 'application/json' },
        });
      expect(await (await fetch(`${remote}/pairing`)).json()).toEqual({
        paired: false,
        code: null,
        pass: null,
        reachedAt: [],
        devices: [],
      });
      const refused = await fetch(`${remote}/jobs`);
      expect([refused.status, ((await refused.json()) as Problem).detail]).toEqual([
        401,
        expect.stringMatching(/^This device is not let in yet/),
      ]);
      expect((await post('nonsense')).status).toBe(403);
      const cookie = (await post(running.pairingCode!)).headers.get('set-cookie')!;
      expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
      expect((await fetch(`${remote}/jobs`, { headers: { cookie: cookie.split(';')[0]! } })).status).toBe(
        200,
      );
      await onlyHere(local, remote, cookie.split(';')[0]!);
      await running.stop();
      // a restart does not lock the tablet out
      const again = await startServer({ ...trial.config, host: '0.0.0.0' }, pino({ level: 'silent' }));
      const next = `http://${outside}:${new URL(again.address).port}/api/jobs`;
      expect((await fetch(next, { headers: { cookie: cookie.split(';')[0]! } })).status).toBe(200);
      await again.stop();
    } else await running.stop();
    await trial.close();
  });

  test('squares carry what no one types: good for one device, and a new code ends both', () => {
    const trial = new Trial('squares');
    const pairing = new Pairing(trial.folder);
    const { pass, code } = pairing;
    // 128 bits, six to a letter
    expect(pass).toMatch(/^[\w-]{22}$/);
    expect(pairing.pair(pass, 'Tablet', 'a')).toMatch(/^[0-9a-f]{64}$/);
    expect(() => pairing.pair(pass, 'Another', 'b')).toThrow(/not the code/);
    expect(pairing.pass).not.toBe(pass);
    expect(pairing.code).toBe(code);
    pairing.renew();
    if (pairing.code !== code) expect(() => pairing.pair(code, 'Late', 'c')).toThrow(/not the code/);
    return trial.close();
  });

  test('a device is listed by its name, put out at once, and all are forgotten; the list outlives a restart', () => {
    const trial = new Trial('devices');
    const file = path.join(trial.folder, 'paired.json');
    const list = new DeviceList(file, () => new Date('2026-12-01T08:00:00Z'));
    const [mill, bench] = [list.add('Mill tablet'), list.add('')];
    expect(list.list()).toMatchObject([
      { name: 'Mill tablet', since: '2026-12-01T08:00:00.000Z', seen: '2026-12-01T08:00:00.000Z' },
      { name: 'Device 2' },
    ]);
    const { id } = list.list()[0]!;
    expect([list.putOut(id), list.putOut(id)]).toEqual([true, false]);
    const again = new DeviceList(file);
    expect([again.knows(mill).known, again.knows(bench).known]).toEqual([false, true]);
    again.forgetAll();
    expect([again.knows(bench).known, new DeviceList(file).knows(bench).known]).toEqual([false, false]);
    // what rests lets nobody in
    expect(readFileSync(file, 'utf8')).not.toContain(bench);
    return trial.close();
  });

  test('those let in before devices had names are in still', () => {
    const trial = new Trial('older');
    const file = path.join(trial.folder, 'paired.json');
    const token = 'a1'.repeat(32);
    writeFileSync(file, JSON.stringify([createHash('sha256').update(token).digest('hex')]));
    const list = new DeviceList(file);
    expect(list.list()).toMatchObject([{ name: 'Device 1', seen: '' }]);
    expect(list.knows(token)).toEqual({ known: true, renewed: true });
    expect(list.knows(token)).toEqual({ known: true, renewed: false });
    expect(new DeviceList(file).list()[0]!.seen).not.toBe('');
    return trial.close();
  });

  test('ninety working days unseen end it, however the clock goes', () => {
    const trial = new Trial('days');
    let at = Date.parse('2026-12-01T08:00:00Z');
    const list = new DeviceList(path.join(trial.folder, 'paired.json'), () => new Date(at));
    const [mill, drawer] = [list.add('Mill'), list.add('In a drawer')];
    // a clock set twenty years ahead and back again is two days
    at = Date.parse('2046-01-01T08:00:00Z');
    expect(list.knows(mill)).toEqual({ known: true, renewed: true });
    at = Date.parse('2026-12-02T08:00:00Z');
    expect(list.knows(mill).known).toBe(true);
    for (let day = 0; day < 88; day += 1) {
      at += 86_400_000;
      expect(list.knows(mill).known).toBe(true);
    }
    // the ninetieth day after it was last here
    expect(list.list().map(({ name }) => name)).toContain('In a drawer');
    at += 86_400_000;
    expect([list.knows(mill).known, list.knows(drawer).known]).toEqual([true, false]);
    expect(list.list()).toHaveLength(1);
    return trial.close();
  });
});

describe('by the owner’s certificate', () => {
  const samples = path.join(path.dirname(fileURLToPath(import.meta.url)), 'samples');
  const [cert, key] = ['cert.pem', 'key.pem'].map((name) => path.join(samples, name)) as [string, string];
  const quiet = pino({ level: 'silent' });

  test('the page and its answers come by HTTPS', async () => {
    const trial = new Trial('https');
    const running = await startServer({ ...trial.config, certificate: { cert, key } }, quiet);
    expect(running.address).toMatch(/^https:\/\/127\.0\.0\.1:\d+$/);
    const answered = await new Promise<string>((resolve, reject) => {
      const ca = readFileSync(cert);
      get(`${running.address}/api/pairing`, { ca }, (response) => {
        response.setEncoding('utf8').on('data', resolve);
      }).on('error', reject);
    });
    expect(JSON.parse(answered)).toMatchObject({ paired: true });
    await running.stop();
    await trial.close();
  });

  test('a name it vouches for is the owner’s, and told before any address; others stay strange', () => {
    const certificate = readCertificate({ cert, key })!;
    const at = { host: '0.0.0.0', certificate };
    expect(addressesOf({ ...at, port: 4810 })[0]).toBe('https://workshop.example:4810');
    for (const address of addressesOf({ ...at, port: 4810 })) expect(address).toMatch(/^https:\/\//);
    expect(addressesOf({ ...at, host: 'workshop.example', port: 4810 })).toEqual([
      'https://workshop.example:4810',
    ]);
    for (const host of ['workshop.example:4810', 'mill.tools.example', 'localhost'])
      expect([host, letsIn(hostCheck(at), host)]).toEqual([host, true]);
    for (const host of ['tools.example', 'example', 'workshop.example.com'])
      expect([host, letsIn(hostCheck(at), host)]).toEqual([host, false]);
    expect(letsIn(hostCheck(plain('0.0.0.0')), 'workshop.example')).toBe(false);
  });

  test('a device let in by HTTPS sends what lets it in by HTTPS alone', async () => {
    const trial = new Trial('https-pair');
    const running = await startServer(
      { ...trial.config, host: '0.0.0.0', certificate: { cert, key } },
      quiet,
    );
    const { port } = new URL(running.address);
    const cookie = await new Promise<string>((resolve, reject) => {
      const body = JSON.stringify({ code: running.pairingCode, name: 'Tablet' });
      const asked = { method: 'POST', ca: readFileSync(cert), headers: json };
      requestSecurely(`https://127.0.0.1:${port}/api/pair`, asked, ({ headers }) =>
        resolve(String(headers['set-cookie'])),
      )
        .on('error', reject)
        .end(body);
    });
    expect(cookie).toMatch(
      /^vuelta_paired=[0-9a-f]{64}; HttpOnly; SameSite=Strict; Path=\/; Max-Age=\d+; Secure$/,
    );
    await running.stop();
    await trial.close();
  });

  test('one that is not there, or not that of the key, is told before anything is opened', async () => {
    const trial = new Trial('https-bad');
    const other = path.join(trial.folder, 'other.pem');
    writeFileSync(other, 'no key at all');
    for (const certificate of [
      { cert: path.join(samples, 'none.pem'), key },
      { cert, key: other },
    ])
      await expect(startServer({ ...trial.config, certificate }, quiet)).rejects.toThrow(
        /^The certificate .* cannot be used: .* belong together\.$/,
      );
    // and the lock is not left behind
    await trial.start();
    await trial.close();
    const config = (env: NodeJS.ProcessEnv) => readConfig(env, [], trial.folder);
    expect(() => config({ VUELTA_CERT: 'c.pem' })).toThrow('VUELTA_KEY is missing');
    expect(() => config({ VUELTA_KEY: 'k.pem' })).toThrow('VUELTA_CERT is missing');
  });
});
