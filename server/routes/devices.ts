import type { Response } from 'express';
import { calls } from '../../core/wire/index.ts';
import type { DeviceService } from '../devices/index.ts';
import { answer, type Route } from './route.ts';

/** Between two tellings, ms: within two frames of a screen. */
const TELLS_EVERY = 25;
/** At least this often, ms. */
const TELLS_AT_LEAST = 1000;

/**
 * Tells how every device stands as long as somebody listens: at each change, no faster than a screen shows
 * it. Who reads too slowly misses what was in between, and nothing waits for it.
 */
function tellLive(devices: DeviceService, response: Response): void {
  response.set({
    'content-type': 'text/event-stream; charset=utf-8',
    'cache-control': 'no-store, no-transform',
    'x-accel-buffering': 'no',
  });
  response.flushHeaders();
  let timer: NodeJS.Timeout | undefined;
  let [told, toldAt, full] = ['', 0, false];
  const tell = () => {
    timer = undefined;
    const text = JSON.stringify({ devices: devices.live });
    const now = performance.now();
    // the same again is told now and then, so that silence means that the line is lost
    if (full || (text === told && now - toldAt < TELLS_AT_LEAST)) return;
    [told, toldAt] = [text, now];
    full = !response.write(`data: ${text}\n\n`);
  };
  // at once after a pause, and no oftener than a screen shows it
  const soon = () => (timer ??= setTimeout(tell, Math.max(0, TELLS_EVERY - (performance.now() - toldAt))));
  response.on('drain', () => {
    full = false;
    soon();
  });
  const again = setInterval(soon, TELLS_AT_LEAST);
  const ended = devices.watch(soon);
  response.on('close', () => {
    ended();
    clearInterval(again);
    clearTimeout(timer);
  });
  tell();
}

export const deviceRoutes = (devices: DeviceService): Route[] => [
  answer(calls.listDevices, () => devices.list()),
  answer(calls.listPorts, () => devices.ports()),
  answer(calls.watchDevices, (_, response) => tellLive(devices, response)),
  answer(calls.saveDevice, ({ params, body }) => devices.save(params.id, body)),
  answer(calls.removeDevice, ({ params }) => devices.remove(params.id)),
  answer(calls.turnMotor, ({ params, body }) => devices.turn(params.id, body)),
  answer(calls.holdMotor, ({ params, body }) => devices.hold(params.id, body.move)),
  answer(calls.stopMotor, ({ params }) => devices.stop(params.id)),
  answer(calls.motorStands, ({ params, body }) => devices.stands(params.id, body)),
  answer(calls.zeroReadout, ({ params, body }) => devices.zero(params.id, body)),
  answer(calls.takeReadings, ({ body }) => devices.takeReadings(body.screen)),
];
