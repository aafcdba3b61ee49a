import { expect, test } from '@jest/globals';
import { turningProgram, type TurningSet } from '../core/programs/index.ts';
import { freeze } from '../core/sampleRuns.ts';
import { STOCK_ROTARY } from '../core/shop/index.ts';
import { MotorModel } from './motorModel.ts';

/** Sends a program as a sender does: the next line when the last is answered and the motor stands. */
function sendTo(model: MotorModel, program: string) {
  const stops: number[] = [];
  let now = 0;
  const rest = () => {
    for (let i = 0; model.turning && i < 10_000; i += 1) model.advance((now += 50));
    expect(model.turning).toBe(false);
  };
  for (const line of program.split(/\r?\n/)) {
    if (line === '') continue;
    let said = model.hear(`${line}\n`);
    if (said === '') {
      // it waits: a person cuts here, and lets it go on
      expect(model.hear('?')).toMatch(/^<Hold:0\|/);
      expect(model.hear('G0 A1\n')).toBe('error:9\r\n');
      stops.push(model.truly);
      said = model.hear('~');
    }
    expect([line, said]).toEqual([line, 'ok\r\n']);
    rest();
  }
  return stops;
}

test('the program that turns only, sent to the stand-in: it stops at each place, within a second of arc', () => {
  const run = freeze({ head: STOCK_ROTARY, count: 97, rounds: 2 }, 'stepper');
  const set: TurningSet = { units: 'mm', safe: 5, lineEnd: 'crlf', numbered: false, axis: 'A' };
  const model = new MotorModel();
  const stops = sendTo(model, turningProgram({ run, advance: 360 / 97 }, set));
  expect(stops).toHaveLength(2 * 97);
  for (const [k, at] of stops.entries()) expect(Math.abs(at - (k * 360) / 97)).toBeLessThan(1 / 3600);
  // it closes where two whole turns end
  expect(Math.abs(model.truly - 720)).toBeLessThan(1 / 3600);
});
