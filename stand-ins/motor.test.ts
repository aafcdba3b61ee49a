import { describe, expect, test } from '@jest/globals';
import {
  beat,
  comeHere,
  countNow,
  freshMotor,
  hear,
  loseLine,
  NO_LINE,
  order,
  readMotorLine,
  sayStands,
  stopMotor,
  takeLines,
  tick,
  type MotorDevice,
  type MotorState,
  type NotNow,
  type Stepped,
} from '../core/devices/index.ts';
import { MotorModel, SAMPLE_MOTOR } from './motorModel.ts';

/** A chance that is the same each time. Source: a linear congruence; common practice. */
function chances(seed: number): () => number {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
}

export const motorDevice = (change: Partial<MotorDevice> = {}): MotorDevice => ({
  ...{ id: 'm', name: 'Table motor', kind: 'motor', on: true, letter: 'A', perTurn: 360, reversed: false },
  ...{ speed: 3600, takeUp: 0.5, pulses: 90, hold: 'press', watchedBy: null },
  link: { via: 'tcp', host: 'localhost', port: 4821 },
  ...change,
});
const STEP = 360 / 144_000;

/** A motor and who drives it, in a time of their own. */
class Bench {
  now = 1000;
  state: MotorState = freshMotor;
  readonly device: MotorDevice;
  readonly model: MotorModel;
  private open = NO_LINE;
  /** Is the cable in? */
  joined = false;
  notNow: NotNow | null = null;
  constructor(change: Partial<MotorDevice> = {}) {
    this.device = motorDevice(change);
    this.model = new MotorModel(SAMPLE_MOTOR);
    this.join();
  }
  join(): void {
    this.joined = true;
    this.state = comeHere(this.state);
  }
  cut(): void {
    this.joined = false;
    this.open = NO_LINE;
    this.state = loseLine(this.state);
  }
  /** What is written goes to the model, what it answers comes back. */
  take({ state, writes }: Stepped): void {
    this.state = state;
    for (const text of writes) {
      if (!this.joined) return;
      this.model.advance(this.now);
      const { open, lines } = takeLines(this.open, this.model.hear(text));
      this.open = open;
      for (const line of lines) {
        const read = readMotorLine('A', line);
        if (read) this.take(hear(this.device, this.state, read, this.now));
      }
    }
  }
  send(id: string, to: number) {
    const { said, ...stepped } = order(this.device, this.state, { id, to, step: STEP, now: this.now });
    this.take(stepped);
    return said;
  }
  /** Time goes on, with the button held by whoever sent this. */
  wait(ms: number, held: string | null = null): void {
    for (const end = this.now + ms; this.now < end; this.now += 25) {
      if (held) this.take(beat(this.device, this.state, held, this.now));
      this.model.advance(this.now);
      this.take(tick(this.state, this.notNow, this.now));
    }
  }
  /** Until it rests, the button held. */
  rest(id: string): void {
    for (let i = 0; i < 400 && this.state.move; i += 1) this.wait(25, id);
  }
  stand(count: number): void {
    this.wait(200);
    this.state = sayStands(this.state, count);
  }
}

describe('a motor is sent to places', () => {
  test('each once, however often it is asked, and it says where it came to rest', () => {
    const bench = new Bench();
    bench.stand(0);
    expect(bench.send('a', 6.79)).toEqual({ answer: 'sent' });
    expect(bench.send('a', 6.79)).toEqual({ answer: 'known', outcome: null });
    bench.rest('a');
    expect(bench.model.truly).toBeCloseTo(6.79, 9);
    expect(bench.send('a', 6.79)).toEqual({
      answer: 'known',
      outcome: { id: 'a', how: 'there', rest: 6.79, why: null },
    });
    expect(bench.model.moves).toBe(1);
  });

  test('back it goes past by the take-up and comes up from the same side', () => {
    const bench = new Bench();
    bench.stand(0);
    bench.send('a', 20);
    bench.rest('a');
    let least = Infinity;
    bench.send('b', 10);
    for (let i = 0; i < 200 && bench.state.move; i += 1) {
      bench.wait(25, 'b');
      least = Math.min(least, bench.model.truly);
    }
    expect([bench.model.truly, least]).toEqual([expect.closeTo(10, 9), expect.closeTo(9.5, 1)]);
  });

  test('before anybody has said where it stands, and after each doubt, it is not turned', () => {
    const bench = new Bench();
    bench.wait(300);
    expect(bench.send('a', 5)).toEqual({ answer: 'refused', why: 'doubt' });
    bench.stand(0);
    bench.cut();
    expect(bench.send('b', 5)).toEqual({ answer: 'refused', why: 'away' });
    bench.join();
    bench.wait(300);
    expect(bench.state.doubt).toEqual({ why: 'line-lost' });
    expect(bench.send('c', 5)).toEqual({ answer: 'refused', why: 'doubt' });
    expect(bench.model.moves).toBe(0);
    bench.stand(0);
    expect(bench.send('d', 5)).toEqual({ answer: 'sent' });
  });

  test.each<[string, (bench: Bench) => void, string]>([
    ['the button is let go', (bench) => bench.take(stopMotor(bench.state, 'let-go', bench.now)), 'let-go'],
    ['a key is pressed', (bench) => bench.take(stopMotor(bench.state, 'person', bench.now)), 'person'],
    ['the page is gone', (bench) => bench.wait(700), 'page-lost'],
    ['the readout says that the cutter is in the work', (bench) => (bench.notNow = 'in-work'), 'in-work'],
  ])('stopped where %s, it says where it truly is, and goes on to the same place', (_, stop, why) => {
    const bench = new Bench({ speed: 360 });
    bench.stand(0);
    bench.send('a', 30);
    bench.wait(1500, 'a');
    stop(bench);
    bench.wait(600, why === 'page-lost' ? null : 'a');
    const [ended] = bench.state.ended;
    expect(ended).toMatchObject({ id: 'a', how: 'stopped', why });
    expect(ended!.rest).toBeCloseTo(bench.model.truly, 3);
    expect(bench.model.turning).toBe(false);
    expect(bench.model.truly).toBeLessThan(20);
    expect(bench.state.doubt).toBeNull();
    bench.notNow = null;
    expect(bench.send('b', 30)).toEqual({ answer: 'sent' });
    bench.rest('b');
    expect(bench.model.truly).toBeCloseTo(30, 9);
  });

  test('three steps missed of 144 000: told at the next rest past a pulse of its index, with how many', () => {
    const bench = new Bench();
    bench.stand(0);
    const rests: string[] = [];
    for (let k = 1; k < 97; k += 1) {
      if (k === 40) bench.model.knobs = { ...bench.model.knobs, missSteps: 3 };
      const said = bench.send(`k${k}`, (Math.round((k * 144_000) / 97) * 360) / 144_000);
      if (said.answer !== 'sent') break;
      bench.rest(`k${k}`);
      rests.push(bench.state.ended.at(-1)!.how);
    }
    // a pulse for every 4°, and a place for every 3.7°
    expect(rests.length).toBeGreaterThanOrEqual(40);
    expect(rests.length).toBeLessThanOrEqual(42);
    const { doubt } = bench.state;
    if (doubt?.why !== 'steps-missed') throw new Error('nothing was noticed');
    expect(doubt.by / STEP).toBeCloseTo(3, 1);
  });

  test('moved by hand while it stands, begun anew, alarmed, mute or of another mind: each is a doubt', () => {
    const by = (spoil: (bench: Bench) => void, sent: boolean): unknown => {
      const bench = new Bench({ speed: 360 });
      bench.stand(0);
      if (sent) {
        bench.send('a', 30);
        bench.wait(500, 'a');
      }
      spoil(bench);
      for (let i = 0; i < 160; i += 1) bench.wait(25, 'a');
      return bench.state.doubt?.why;
    };
    const say = (line: string) => (bench: Bench) =>
      bench.take(hear(bench.device, bench.state, readMotorLine('A', line)!, bench.now));
    expect(by((bench) => (bench.model.count += 1), false)).toBe('elsewhere');
    expect(by((bench) => void bench.model.restart(), false)).toBe(undefined);
    expect(by(say('ready'), false)).toBe('began-anew');
    expect(by(say('ALARM:1'), true)).toBe('alarm');
    expect(by(say('error:9'), true)).toBe('refused');
    expect(by((bench) => (bench.model.knobs = { ...bench.model.knobs, silent: true }), true)).toBe(
      'no-answer',
    );
    // a motor that was switched off and on shows another count
    expect(
      by((bench) => {
        bench.model.count = 7;
        bench.wait(200);
      }, false),
    ).toBe('elsewhere');
  });

  test('rubbish between its lines changes nothing', () => {
    const bench = new Bench();
    bench.model.knobs = { ...bench.model.knobs, garbage: true };
    bench.stand(0);
    bench.send('a', 12.5);
    bench.rest('a');
    expect([bench.model.truly, bench.state.doubt]).toEqual([expect.closeTo(12.5, 9), null]);
  });
});

test('500 moves with the line cut at any instant: never twice, never lost, never on by itself', () => {
  const chance = chances(47);
  const bench = new Bench({ speed: 7200, pulses: 0 });
  bench.stand(0);
  let [place, cuts, turned] = [0, 0, 0];
  for (let move = 1; move <= 500; move += 1) {
    place = (move * 360) / 97;
    for (let tries = 1; ; tries += 1) {
      if (tries > 40) throw new Error(`move ${move} is never made`);
      const id = `m${move}-${tries}`;
      const before = bench.model.moves;
      const said = bench.send(id, place);
      if (said.answer === 'refused') {
        // a person looks at the degree ring, and says where it stands
        if (bench.joined) bench.stand(bench.model.truly);
        else bench.join();
        continue;
      }
      const cutAfter = chance() < 0.3 ? chance() * 160 : Infinity;
      for (let ms = 0; ms < 2000 && bench.state.move; ms += 25) {
        if (ms >= cutAfter && bench.joined) {
          cuts += 1;
          bench.cut();
        }
        bench.wait(25, id);
        // asked again and again meanwhile, as a page does whose answer was lost
        if (bench.joined) bench.send(id, place);
      }
      turned += bench.model.moves - before;
      expect(bench.model.moves - before).toBeLessThanOrEqual(1);
      const how = bench.state.ended.at(-1)!;
      expect(how.id).toBe(id);
      // a motor whose cable is pulled goes on to where it was sent, and no farther
      for (let ms = 0; ms < 600; ms += 25) {
        bench.now += 25;
        bench.model.advance(bench.now);
      }
      expect(bench.model.truly).toBeLessThanOrEqual(place + 1e-4);
      if (how.how === 'there') {
        expect(bench.model.truly).toBeCloseTo(place, 3);
        expect(countNow(bench.state)).toBeCloseTo(place, 3);
        break;
      }
    }
  }
  expect(cuts).toBeGreaterThan(50);
  expect(turned).toBe(bench.model.moves);
});
