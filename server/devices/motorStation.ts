import {
  beat,
  comeHere,
  countNow,
  freshMotor,
  hear,
  loseLine,
  order,
  readMotorLine,
  sayStands,
  stopMotor,
  tick,
  type Ground,
  type MotorDevice,
  type MotorState,
  type OrderAnswer,
  type Stepped,
  type StopWhy,
  whyNotTurn,
} from '../../core/devices/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { Station, type StationGround } from './station.ts';

const TICK_MS = 25;
/** Of the moves that ended, so many are told. */
const TOLD = 3;

/** What is looked at while it turns, beside the button. */
export type Watch = () => Pick<Ground, 'readout' | 'safe'>;

/** A motor: turns the work to a place while it is held, and says where it stands. */
export class MotorStation extends Station<MotorDevice> {
  protected readonly isTalker = true;
  private state: MotorState = freshMotor;
  private screen: string | null = null;
  /** The run that its 0 is of. */
  private run: string | null = null;
  private watch: Watch = () => ({ readout: null, safe: null });
  private ticking: NodeJS.Timeout | undefined;

  constructor(device: MotorDevice, ground: StationGround) {
    super(device, ground);
  }

  private take({ state, writes }: Stepped): void {
    const told = this.told;
    this.state = state;
    for (const text of writes) this.write(text);
    if (this.told !== told) this.ground.changed();
  }
  /** What others see of it, to tell whether it changed. */
  private get told(): string {
    const { move, doubt, zero, ended, status } = this.state;
    return `${move?.id} ${doubt?.why} ${zero} ${ended.length} ${ended.at(-1)?.id} ${status?.doing}`;
  }

  protected override joined(): void {
    this.state = comeHere(this.state);
    clearInterval(this.ticking);
    this.ticking = setInterval(() => this.look(), TICK_MS);
    this.ticking.unref();
  }
  protected override lost(): void {
    clearInterval(this.ticking);
    this.take({ state: loseLine(this.state), writes: [] });
  }

  private look(): void {
    const { move } = this.state;
    const now = this.ground.now();
    const notNow = move && whyNotTurn({ ...this.watch(), saidFree: true, heldAgo: now - move.heldAt });
    // silence of the page is told as that, and not as a button that was let go
    this.take(tick(this.state, notNow === 'let-go' ? null : notNow, now));
  }

  protected hears(line: string): void {
    const read = readMotorLine(this.device.letter, line);
    if (read) this.take(hear(this.device, this.state, read, this.ground.now()));
  }

  /** @param to from the round’s 0, of its own count @param watch looked at again and again while it turns */
  turn(asked: {
    readonly id: string;
    readonly to: number;
    readonly step: number;
    readonly screen: string;
    readonly watch: Watch;
  }): OrderAnswer {
    const { id, to, step, screen, watch } = asked;
    const { said, ...stepped } = order(this.device, this.state, { id, to, step, now: this.ground.now() });
    if (said.answer === 'sent') {
      this.screen = screen;
      this.watch = watch;
    }
    this.take(stepped);
    return said;
  }

  /** @returns is that move still under way? */
  hold(id: string): boolean {
    const now = this.ground.now();
    const why =
      this.state.move?.id === id ? whyNotTurn({ ...this.watch(), saidFree: true, heldAgo: 0 }) : null;
    this.take(why ? stopMotor(this.state, why, now) : beat(this.device, this.state, id, now));
    return this.state.move?.id === id;
  }

  stop(why: StopWhy): void {
    this.take(stopMotor(this.state, why, this.ground.now()));
  }

  /** @returns false where it has not said what it counts, or turns */
  stands(count: number, { screen, run }: { readonly screen: string; readonly run: string | null }): boolean {
    const said = sayStands(this.state, count);
    if (said === this.state) return false;
    this.screen = screen;
    this.run = run;
    this.take({ state: said, writes: [] });
    this.ground.changed();
    return true;
  }

  /** The screen that holds it: the one that turned it last, or said where it stands. */
  get heldBy(): string | null {
    return this.screen;
  }
  get zeroOf(): string | null {
    return this.run;
  }

  override close(): void {
    if (this.state.move) this.stop('person');
    clearInterval(this.ticking);
    super.close();
  }

  protected get shown(): Partial<LiveDevice> {
    const { move, doubt, ended, status } = this.state;
    // one that was stopped stands once it says so
    const turning = move !== null || (status !== null && ['going', 'held'].includes(status.doing));
    return {
      run: this.run,
      motor: {
        count: countNow(this.state),
        turning,
        move: move?.id ?? null,
        screen: this.screen,
        doubt,
        ended: ended.slice(-TOLD),
      },
    };
  }
}
