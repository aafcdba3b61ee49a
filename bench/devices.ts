import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import type { Device } from '../core/devices/index.ts';
import { startServer } from '../server/start.ts';
import { report } from './measure.ts';

const TWO_FRAMES_MS = 2000 / 60;
const EVERY_MS = 50;
const LINES = 200;

/** A thing on a line of its own that says what it is told to. */
async function thing() {
  const joined: Socket[] = [];
  const server = createServer((socket) => void joined.push(socket.setNoDelay(true)));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    port: (server.address() as AddressInfo).port,
    say: (text: string) => joined.forEach((socket) => socket.write(text)),
    close: () => {
      for (const socket of joined) socket.destroy();
      server.close();
    },
  };
}

const readoutOn = (id: string, port: number): Device => ({
  ...{ id, name: id, kind: 'readout', on: true, unit: 'mm', decimal: '.' },
  link: { via: 'tcp', host: '127.0.0.1', port },
  axes: [{ letter: 'X', use: 'travel', reversed: false }],
});

/**
 * How long a line takes from a device to a page that listens, with three devices at 20 lines a second, beside
 * two frames of a screen; and what others wait meanwhile. @returns was the limit kept?
 */
export async function benchDevices(): Promise<boolean> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vuelta-bench-'));
  const server = await startServer(
    {
      ...{ host: '127.0.0.1', port: 0, dataFolder: folder, workshop: 'own', webFolder: folder, version: '' },
      ...{ copies: { keep: 0, hours: 24 }, certificate: null, takeCopy: false },
    },
    pino({ level: 'silent' }),
  );
  const things = await Promise.all([thing(), thing(), thing()]);
  for (const [i, { port }] of things.entries())
    await fetch(`${server.address}/api/devices/r${i}`, {
      ...{ method: 'PUT', headers: { 'content-type': 'application/json' } },
      body: JSON.stringify(readoutOn(`r${i}`, port)),
    });
  await new Promise((resolve) => setTimeout(resolve, 300));
  const sent = new Map<string, number>();
  const took: number[] = [];
  const stop = new AbortController();
  const live = await fetch(`${server.address}/api/devices-live`, { signal: stop.signal });
  const heard = (async () => {
    const decoder = new TextDecoder();
    for await (const chunk of live.body!) {
      const text = decoder.decode(chunk as Uint8Array, { stream: true });
      for (const [, line] of text.matchAll(/"lastLine":"([^"]+)"/g)) {
        const at = sent.get(line!);
        if (at === undefined) continue;
        took.push(performance.now() - at);
        sent.delete(line!);
      }
    }
  })().catch(() => null);
  const waits: number[] = [];
  for (let k = 0; k < LINES; k += 1) {
    for (const [i, { say }] of things.entries()) {
      const line = `X ${(k + i / 10).toFixed(3)} mm`;
      sent.set(line, performance.now());
      say(`${line}\r\n`);
    }
    const asked = performance.now();
    await fetch(`${server.address}/api/devices`).then((answer) => answer.text());
    waits.push(performance.now() - asked);
    await new Promise((resolve) =>
      setTimeout(resolve, EVERY_MS - Math.min(EVERY_MS, performance.now() - asked)),
    );
  }
  stop.abort();
  await heard;
  for (const { close } of things) close();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  const at = (times: readonly number[], share: number): number =>
    [...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)]!;
  const told = (took.length / (LINES * things.length)) * 100;
  return report(
    'a line from a device at a page, three at 20 a second, 95 of 100, beside two frames',
    at(took, 0.95) / TWO_FRAMES_MS,
    { atMost: 1 },
    `half within ${at(took, 0.5).toFixed(1)} ms, 95 of 100 within ${at(took, 0.95).toFixed(1)} ms; ${told.toFixed(0)} of 100 told; another question waits ${at(waits, 0.5).toFixed(1)} ms, 99 of 100 ${at(waits, 0.99).toFixed(1)} ms`,
  );
}
