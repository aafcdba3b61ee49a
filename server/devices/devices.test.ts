import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import type { Device, MotorDevice } from '../../core/devices/index.ts';
import { need } from '../../core/findings/index.ts';
import { withDividing, withSpurPart } from '../../core/job/index.ts';
import { drawnSpurJob } from '../../core/job/index.ts';
import { beginRun, choose, shop } from '../../core/sampleRuns.ts';
import { STOCK_ROTARY } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';
import { withHead } from '../../core/job/index.ts';
import type { Run } from '../../core/run/index.ts';
import { MotorModel } from '../../stand-ins/motorModel.ts';
import { DeviceRow } from '../entities/index.ts';
import { Refused } from '../problems.ts';
import { scratchFolder } from '../scratch.ts';
import { openStore, type Store } from '../store.ts';
import { DeviceService, type Hearer, type OpenWire } from './index.ts';

/** 97 teeth of module 0.5 by motor on the rotary table, with a cutter of 60 mm. */
function runByMotor(): Run {
  const drawn = withSpurPart(
    drawnSpurJob({ id: 'g', name: 'G', pitch: '0.5', teeth: 97, face: '6', bore: '5' }),
    'p1',
    (part) => ({ ...part, setup: { ...part.setup, cutterDiameter: measure('60', 'mm') } }),
  );
  const choice = choose({ head: STOCK_ROTARY, count: 97 }, 'stepper');
  const job = withDividing(
    withHead({ job: drawn, partId: 'p1', head: STOCK_ROTARY, shop }),
    'p1',
    (given) => ({
      ...given,
      choice,
    }),
  );
  return need(beginRun(job, { runId: 'r97' }, shop));
}

const run = runByMotor();
const link = (port: number) => ({ via: 'tcp', host: 'localhost', port }) as const;
const motor: MotorDevice = {
  ...{ id: 'motor', name: 'Table motor', kind: 'motor', on: true, link: link(1), letter: 'A', perTurn: 360 },
  ...{ reversed: false, speed: 36_000, takeUp: 0.5, pulses: 90, hold: 'press', watchedBy: 'readout' },
};
const readout: Device = {
  ...{
    id: 'readout',
    name: 'Mill readout',
    kind: 'readout',
    on: true,
    link: link(2),
    unit: 'mm',
    decimal: '.',
  },
  axes: [
    { letter: 'X', use: 'travel', reversed: false },
    { letter: 'Z', use: 'depth', reversed: false },
  ],
};
const caliper: Device = {
  ...{ id: 'caliper', name: 'Caliper', kind: 'tool', on: true, link: link(3), unit: 'mm', decimal: '.' },
  reversed: false,
};

/** Lines in this memory: who is at the other end of each port. */
class Cables {
  private readonly ends = new Map<number, Hearer>();
  readonly model = new MotorModel();
  /** Is the motor’s cable in? */
  joined = true;
  readonly open: OpenWire = (to, hearer) => {
    const port = to.via === 'tcp' ? to.port : 0;
    if (port === 1 && !this.joined) {
      setTimeout(() => hearer.lost('no cable'), 1);
      return { write: () => {}, close: () => {} };
    }
    this.ends.set(port, hearer);
    setTimeout(() => hearer.opened(), 1);
    return {
      write: (text) => {
        if (port !== 1 || !this.joined) return;
        this.model.advance(performance.now());
        const said = this.model.hear(text);
        if (said) setTimeout(() => hearer.heard(said), 0);
      },
      close: () => this.ends.delete(port),
    };
  };
  say(port: number, text: string): void {
    this.ends.get(port)?.heard(text);
  }
  pull(): void {
    this.joined = false;
    this.drop(1);
  }
  /** A line breaks, and comes again by itself. */
  drop(port: number): void {
    this.ends.get(port)?.lost('pulled');
  }
}

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
async function until(what: () => boolean, ms = 8000): Promise<void> {
  for (const end = Date.now() + ms; !what(); await wait(5))
    if (Date.now() > end) throw new Error('never came');
}

const folder = mkdtempSync(path.join(scratchFolder(), 'vuelta-devices-'));
let store: Store;
beforeAll(async () => {
  store = await openStore(path.join(folder, 'devices.db'));
});
afterAll(async () => {
  await store.close(true);
  rmSync(folder, { recursive: true, force: true });
});

/** A clock that stands still while the machine does: a test is not to be failed by a busy one. */
function unhurried() {
  let [time, last] = [1000, performance.now()];
  const timer = setInterval(() => {
    const now = performance.now();
    time += Math.min(15, now - last);
    last = now;
  }, 10);
  return { now: () => time, stop: () => clearInterval(timer) };
}

/** A shop with its devices on lines of its own. */
async function bench(devices: readonly Device[] = [motor, readout, caliper]) {
  const cables = new Cables();
  const clock = unhurried();
  const service = new DeviceService({
    ...{ store, open: cables.open, now: clock.now },
    runs: { read: () => Promise.resolve({ run } as never) },
  });
  for (const device of devices) await service.save(device.id, device);
  const of = (id: string) => service.live.find((live) => live.id === id)!;
  await until(() => devices.every(({ id }) => of(id).line === 'here'));
  const say = (x: number, z: number) => cables.say(2, `X ${x.toFixed(3)} mm Z ${z.toFixed(3)} mm\n`);
  const saying = setInterval(() => say(place.x, place.z), 50);
  const place = { x: -20, z: 2 };
  say(place.x, place.z);
  const at = (index: number, closing = false) =>
    ({ of: 'run', runId: run.id, round: 1, index, closing }) as const;
  const screen = 'tablet';
  const turn = (index: number, change: Partial<Parameters<DeviceService['turn']>[1]> = {}) =>
    service.turn('motor', { move: randomUUID(), screen, free: true, to: at(index), ...change });
  /** Turns and holds until it rests. */
  const turned = async (index: number, closing = false) => {
    const move = randomUUID();
    await turn(index, { move, to: at(index, closing) });
    await until(() => {
      service.hold('motor', move);
      return !of('motor').motor!.turning;
    });
    return of('motor').motor!;
  };
  const end = () => {
    clearInterval(saying);
    clock.stop();
    service.close();
  };
  return { service, cables, of, at, turn, turned, place, screen, end };
}

/** Ready to turn: it stands at the first place, the readout has its zeros. */
async function ready() {
  const all = await bench();
  await until(() => all.cables.model !== null && all.of('motor').lastLine !== '');
  await all.service.stands('motor', { screen: all.screen, at: all.at(1) });
  all.place.x = 0;
  await until(() => all.of('readout').readout![0]!.shows === 0);
  all.service.zero('readout', { use: 'travel', reads: 0, runId: run.id });
  all.service.zero('readout', { use: 'depth', reads: 2, runId: run.id });
  all.place.x = -20;
  await until(() => all.of('readout').readout![0]!.reads === -20);
  return all;
}

const why = async (asked: Promise<unknown>): Promise<string> => {
  const fault = await asked.then(
    () => new Error('was not refused'),
    (error: unknown) => error,
  );
  if (!(fault instanceof Refused)) throw fault;
  return `${fault.status} ${fault.issues[0]!.code}: ${fault.message}`;
};

describe('the table turns itself', () => {
  test('to every place of 97 by the schedule, and comes to rest there; nothing is counted by it', async () => {
    const all = await ready();
    for (const index of [2, 3, 50, 97]) {
      const stands = await all.turned(index);
      const steps = Math.round(((index - 1) * 144_000) / 97);
      expect(all.cables.model.truly).toBeCloseTo((steps * 360) / 144_000, 3);
      expect(stands.ended.at(-1)).toMatchObject({ how: 'there', rest: expect.closeTo(steps / 400, 3) });
    }
    const closed = await all.turned(97, true);
    expect(closed.count).toBeCloseTo(360, 3);
    all.end();
  });

  test('is refused while the readout says that the cutter is in the work, and stopped when it comes there', async () => {
    const all = await ready();
    all.place.x = 5;
    await until(() => all.of('readout').readout![0]!.reads === 5);
    expect(await why(all.turn(2))).toBe(
      '409 motor-not-now: Table motor is not turned now: the readout says that the cutter is in the work.',
    );
    expect(all.cables.model.moves).toBe(0);
    all.place.x = -20;
    await until(() => all.of('readout').readout![0]!.reads === -20);
    // long enough to come into the work while it turns
    all.cables.model.knobs = { ...all.cables.model.knobs, speed: 0.02 };
    const move = randomUUID();
    await all.turn(50, { move });
    all.place.x = 5;
    await until(() => {
      all.service.hold('motor', move);
      return !all.of('motor').motor!.turning;
    });
    const [ended] = all.of('motor').motor!.ended.slice(-1);
    expect(ended).toMatchObject({ how: 'stopped', why: 'in-work' });
    expect(all.cables.model.turning).toBe(false);
    expect(ended!.rest).toBeCloseTo(all.cables.model.truly, 3);
    all.end();
  });

  test('a readout that falls silent is no yes', async () => {
    const all = await ready();
    all.cables.say = () => {};
    let said = '';
    // no button is held: what is sent before it is noticed stops by itself
    for (let i = 0; i < 400 && !said.includes('the readout is silent'); i += 1) {
      await wait(20);
      said = await why(all.turn(2)).catch(() => '');
    }
    expect(said).toContain('the readout is silent');
    all.end();
  });

  test('the second job after the first: neither the motor’s 0 nor the readout’s zeros are its own', async () => {
    const all = await ready();
    await all.turned(2);
    // a trial, or another blank: its 0 is another one
    await all.service.stands('motor', { screen: all.screen, at: { of: 'zero', runId: 'another' } });
    expect(await why(all.turn(2))).toContain('409 device-doubt');
    expect(all.of('motor').run).toBe('another');
    await all.service.stands('motor', { screen: all.screen, at: all.at(2) });
    all.service.zero('readout', { use: 'depth', reads: 0, runId: 'another' });
    expect(all.of('readout').run).toBe('another');
    expect(await why(all.turn(3))).toContain('no zero at the touch');
    expect(all.cables.model.moves).toBe(1);
    all.end();
  });

  test('a trial turns from a 0 of its own, and not from that of a run', async () => {
    const all = await ready();
    const trial = {
      move: randomUUID(),
      screen: all.screen,
      free: true,
      to: { of: 'trial', degrees: 9 },
    } as const;
    expect(await why(all.service.turn('motor', trial))).toContain('409 device-doubt');
    await all.service.stands('motor', { screen: all.screen, at: { of: 'zero', runId: null } });
    expect((await all.service.turn('motor', trial)).answer).toBe('sent');
    all.end();
  });

  test('let go, it stops within half a second, and goes on to the same place', async () => {
    const all = await ready();
    all.cables.model.knobs = { ...all.cables.model.knobs, speed: 0.02 };
    const move = randomUUID();
    await all.turn(50, { move });
    expect(all.service.hold('motor', move)).toEqual({ held: true });
    await until(() => !all.of('motor').motor!.turning);
    expect(all.cables.model.truly).toBeGreaterThan(0);
    expect(all.of('motor').motor!.ended.at(-1)).toMatchObject({ how: 'stopped', why: 'page-lost' });
    expect(all.cables.model.truly).toBeLessThan(20);
    all.cables.model.knobs = { ...all.cables.model.knobs, speed: 1 };
    const stands = await all.turned(50);
    expect(stands.ended.at(-1)!.how).toBe('there');
    all.end();
  });

  test('a move that was late on its way, and that nobody holds, turns nothing', async () => {
    const all = await ready();
    await all.turn(50);
    await until(() => !all.of('motor').motor!.turning);
    expect(all.cables.model.moves).toBe(0);
    expect(all.of('motor').motor!.ended.at(-1)).toMatchObject({ how: 'stopped', why: 'page-lost', rest: 0 });
    all.end();
  });

  test('the same press sent twice turns once; another screen sees, and has to say where it stands first', async () => {
    const all = await ready();
    const move = randomUUID();
    const [first, second] = [await all.turn(2, { move }), await all.turn(2, { move })];
    expect([first.answer, second.answer]).toEqual(['sent', 'known']);
    expect(first.steps).toBe(1485);
    await until(() => {
      all.service.hold('motor', move);
      return !all.of('motor').motor!.turning;
    });
    expect(all.cables.model.moves).toBe(1);
    expect(await why(all.turn(3, { screen: 'phone' }))).toContain('409 device-held');
    await all.service.stands('motor', { screen: 'phone', at: all.at(2) });
    expect((await all.turn(3, { screen: 'phone' })).answer).toBe('sent');
    all.end();
  });

  test('cable pulled while it turns: a doubt, until a person says where it stands', async () => {
    const all = await ready();
    all.cables.model.knobs = { ...all.cables.model.knobs, speed: 0.02 };
    const move = randomUUID();
    await all.turn(50, { move });
    all.service.hold('motor', move);
    all.cables.pull();
    expect(all.of('motor')).toMatchObject({ line: 'away', motor: { doubt: { why: 'line-lost' } } });
    expect(await why(all.turn(50))).toContain('409 device-away');
    all.cables.joined = true;
    await until(() => all.of('motor').line === 'here' && all.of('motor').lastLine !== '');
    expect(await why(all.turn(50))).toMatch(/device-doubt/);
    all.end();
  });

  test('refused with a sentence: no place, not a motor, too coarse, no such thing', async () => {
    const all = await ready();
    expect(await why(all.turn(99))).toMatch(/^404/);
    expect(
      await why(all.service.turn('caliper', { move: 'm', screen: 's', free: true, to: all.at(2) })),
    ).toBe('422 device-not: Caliper is no motor.');
    await all.service.save('motor', { ...motor, perTurn: 1 });
    await until(() => all.of('motor').line === 'here');
    expect(await why(all.turn(2))).toContain('422 device-coarse');
    expect(await why(all.service.remove('nothing'))).toMatch(/^404/);
    all.end();
  });
});

describe('readout and tools', () => {
  test('a readout that was away has lost its zeros', async () => {
    const all = await ready();
    await all.service.save('readout', { ...readout, name: 'Readout' });
    await until(() => all.of('readout').readout![0]!.shows === -20);
    expect(all.of('readout').readout![0]!.reads).toBeNull();
    expect(await why(all.turn(2))).toContain('no zero at the touch');
    all.end();
  });

  test('a zero is taken at any reading, in the sense of the axis; it goes with the line', async () => {
    const [x, z] = (readout as Extract<Device, { kind: 'readout' }>).axes;
    const all = await bench([{ ...readout, axes: [{ ...x!, reversed: true }, z!] } as Device]);
    const travel = () => all.of('readout').readout![0]!;
    await until(() => travel().shows === 20);
    // it counts down the way it is fed: at −20 it has gone 20 that way
    all.service.zero('readout', { use: 'travel', reads: 3.5, runId: run.id });
    expect(travel().reads).toBeCloseTo(3.5, 9);
    all.place.x = -30;
    await until(() => travel().shows === 30);
    expect(travel().reads).toBeCloseTo(13.5, 9);
    all.cables.drop(2);
    expect(travel()).toMatchObject({ shows: null, reads: null });
    await until(() => all.of('readout').line === 'here' && travel().shows === 30);
    expect(travel().reads).toBeNull();
    all.end();
  });

  test('half a line before it broke is no part of the next', async () => {
    const all = await bench([caliper]);
    all.cables.say(3, '1');
    all.cables.drop(3);
    await until(() => all.of('caliper').line === 'here');
    all.cables.say(3, '2.5 mm\n');
    expect(all.of('caliper').tool!.reads).toBe(2.5);
    all.end();
  });

  test('a reading goes to the screen on which a field was touched last, once for each press', async () => {
    const all = await bench();
    all.service.takeReadings('tablet');
    all.cables.say(3, '12.34 mm\r\n');
    expect(all.of('caliper').tool).toEqual({ presses: 1, reads: 12.34, screen: 'tablet' });
    all.service.takeReadings('phone');
    // a reading of before is no other screen’s
    expect(all.of('caliper').tool!.screen).toBe('tablet');
    all.cables.say(3, 'LOW BATTERY\r\n-.5 in\r\n');
    expect(all.of('caliper').tool).toEqual({ presses: 2, reads: -12.7, screen: 'phone' });
    all.end();
  });

  test('what came with a backup is taken up; a line that stands is left alone, with its zeros', async () => {
    const all = await ready();
    const em = store.em.fork();
    const late = { ...caliper, id: 'late', name: 'Another', on: false };
    await em.upsert(DeviceRow, { id: 'late', document: JSON.stringify(late) });
    await all.service.begin();
    expect(all.service.list().devices.map(({ id }) => id)).toContain('late');
    // opened anew it would have lost its place and zeros
    expect(all.of('motor').motor).toMatchObject({ count: 0, doubt: null });
    expect(all.of('readout').readout![0]!.reads).not.toBeNull();
    await all.service.remove('late');
    all.end();
  });

  test('rests in the store, and is looked for again at the next start', async () => {
    const all = await bench();
    all.end();
    const cables = new Cables();
    const again = new DeviceService({
      ...{ store, open: cables.open },
      runs: { read: () => Promise.reject(new Error('not asked')) },
    });
    await again.begin();
    expect(again.list().devices.map(({ id }) => id)).toEqual(['caliper', 'readout', 'motor']);
    again.close();
  });
});
