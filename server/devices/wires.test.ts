import { afterEach, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { pathToFileURL } from 'node:url';
import path from 'node:path';
import type { DeviceLink, ToolDevice } from '../../core/devices/index.ts';
import { StandIns } from '../../stand-ins/standIns.ts';
import { openWire } from './index.ts';
import { ToolStation } from './readers.ts';

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
async function until(what: () => boolean, ms = 10_000): Promise<void> {
  for (const end = Date.now() + ms; !what(); await wait(5))
    if (Date.now() > end) throw new Error('never came');
}

/** A caliper on a line. */
function caliperOn(link: DeviceLink): ToolStation {
  const device: ToolDevice = {
    ...{ id: 'c', name: 'Caliper', kind: 'tool', on: true, link, unit: 'mm', decimal: '.', reversed: false },
  };
  const ground = { open: openWire, now: () => performance.now(), changed: () => {} };
  const station = new ToolStation(device, ground, () => 'tablet');
  station.begin();
  return station;
}

const ends: (() => void | Promise<void>)[] = [];
afterEach(async () => {
  for (const end of ends.splice(0).reverse()) await end();
});

/** A thing of a shop that says what it likes. */
async function thing(): Promise<{ link: DeviceLink; joined: Socket[]; server: Server }> {
  const joined: Socket[] = [];
  const server = createServer((socket) => {
    joined.push(socket);
    socket.on('error', () => {});
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  ends.push(() => {
    for (const socket of joined) socket.destroy();
    server.close();
  });
  const { port } = server.address() as AddressInfo;
  return { link: { via: 'tcp', host: '127.0.0.1', port }, joined, server };
}

describe('over TCP', () => {
  test('its lines are read; pulled and put in again it is found by itself', async () => {
    const { link, joined } = await thing();
    const station = caliperOn(link);
    ends.push(() => station.close());
    await until(() => station.live.line === 'here' && joined.length === 1);
    joined[0]!.write('12.3');
    await wait(30);
    joined[0]!.write('4 mm\r\n');
    await until(() => station.live.tool!.presses === 1);
    expect(station.live.tool).toEqual({ presses: 1, reads: 12.34, screen: 'tablet' });
    joined[0]!.destroy();
    await until(() => station.live.line === 'away');
    await until(() => station.live.line === 'here' && joined.length === 2);
    joined[1]!.write('5 mm\n');
    await until(() => station.live.tool!.presses === 2);
  });

  test('ten megabytes without an end, binary and wrong units: nothing of it is kept, and the next line is read', async () => {
    const { link, joined } = await thing();
    const station = caliperOn(link);
    ends.push(() => station.close());
    await until(() => joined.length === 1);
    const before = process.memoryUsage().heapUsed;
    const junk = Buffer.alloc(65_536, 'A');
    for (let sent = 0; sent < 10 * 1024 * 1024; sent += junk.length)
      if (!joined[0]!.write(junk)) await new Promise((resolve) => joined[0]!.once('drain', resolve));
    joined[0]!.write(Buffer.from([0, 255, 10, 7, 1, 2, 13]));
    joined[0]!.write('3 furlongs\n<script>1</script>\n1e9 mm\n99999999 mm\n7.25 mm\n');
    await until(() => station.live.tool!.presses === 1);
    expect(station.live.tool!.reads).toBe(7.25);
    expect(station.live.lastLine.length).toBeLessThanOrEqual(120);
    // ten megabytes of one line would stand out
    expect(process.memoryUsage().heapUsed - before).toBeLessThan(60 * 1024 * 1024);
  });

  test('nobody there: it is away, with why, and says so without a fault', async () => {
    const { link, server } = await thing();
    await new Promise((resolve) => server.close(resolve));
    const station = caliperOn(link);
    ends.push(() => station.close());
    await until(() => station.live.why !== '');
    expect(station.live).toMatchObject({ line: 'away', why: expect.stringContaining('ECONNREFUSED') });
  });

  test('the stand-ins speak these lines', async () => {
    const standIns = new StandIns(pathToFileURL(`${path.resolve('stand-ins/pages')}/`));
    const probe = createServer();
    await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
    const { port } = probe.address() as AddressInfo;
    await new Promise((resolve) => probe.close(resolve));
    await standIns.listen(port);
    ends.push(() => standIns.close());
    const station = caliperOn({ via: 'tcp', host: '127.0.0.1', port: port + 3 });
    ends.push(() => station.close());
    await until(() => station.live.line === 'here');
    await wait(50);
    const page = await fetch(`http://127.0.0.1:${port}/tool`);
    expect(await page.text()).toContain('Data button');
    const knobs = (what: object) =>
      fetch(`http://127.0.0.1:${port}/knobs`, { method: 'POST', body: JSON.stringify(what) });
    await knobs({ reads: 0.042, press: true });
    await until(() => station.live.tool!.presses === 1);
    expect(station.live.tool!.reads).toBe(0.042);
    expect((await knobs({ motor: { speed: 'fast' } })).status).toBe(422);
    expect((await knobs({ tool: { battery: 'empty' }, press: true })).status).toBe(200);
    await wait(60);
    expect(station.live.tool!.presses).toBe(1);
  });
});

const hasSocat = spawnSync('socat', ['-V']).status === 0;
// a pair of pseudo-terminals stands for a cable; where no program makes one there is nothing to try
(hasSocat ? describe : describe.skip)('over a serial line', () => {
  test('its lines are read as over any other', async () => {
    const cable: ChildProcess = spawn('socat', ['-d', '-d', 'pty,raw,echo=0', 'pty,raw,echo=0']);
    ends.push(() => void cable.kill());
    let said = '';
    cable.stderr!.on('data', (data) => (said += String(data)));
    const ptys = () => [...said.matchAll(/PTY is (\S+)/g)].map(([, name]) => name!);
    await until(() => ptys().length === 2);
    const [ours, theirs] = ptys();
    const station = caliperOn({ via: 'serial', path: ours!, baud: 9600 });
    ends.push(() => station.close());
    await until(() => station.live.line === 'here');
    spawnSync('sh', ['-c', `printf '1.25 in\\r\\n' > ${theirs}`]);
    await until(() => station.live.tool!.presses === 1);
    expect(station.live.tool!.reads).toBeCloseTo(31.75, 9);
    cable.kill();
    await until(() => station.live.line === 'away');
  });
});
