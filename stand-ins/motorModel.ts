/*
 * A motion controller with a motor on one axis, as a model: what it is told and how it turns, without a clock
 * or a line of its own.
 */

/** What may be wrong with it. */
export interface MotorKnobs {
  /** Steps that it loses in its next move. */
  readonly missSteps: number;
  /** It hums and stands; its count goes on. */
  readonly stalls: boolean;
  /** Of its speed. */
  readonly speed: number;
  readonly reversed: boolean;
  /** It turns so much more than it is told, as a part of one. */
  readonly scale: number;
  /** It answers so much later, ms. */
  readonly late: number;
  readonly silent: boolean;
  /** Rubbish between its lines. */
  readonly garbage: boolean;
}
export const GOOD_MOTOR: MotorKnobs = {
  missSteps: 0,
  stalls: false,
  speed: 1,
  reversed: false,
  scale: 0,
  late: 0,
  silent: false,
  garbage: false,
};

export interface MotorSettings {
  /** Its count for one turn of the work. */
  readonly perTurn: number;
  readonly stepsPerTurn: number;
  /** Of its index, in a turn of the work. */
  readonly pulses: number;
}
/** Degrees of a table of 90 to 1, 200 steps of 8; a pulse for each turn of the worm. */
export const SAMPLE_MOTOR: MotorSettings = { perTurn: 360, stepsPerTurn: 144_000, pulses: 90 };

/** Of its count in a minute, where a line says no speed. */
const RAPID = 1440;

export class MotorModel {
  knobs: MotorKnobs = GOOD_MOTOR;
  private readonly settings: MotorSettings;
  /** What it believes, of its count. */
  count = 0;
  /** Where the work truly stands, of the same. */
  truly = 0;
  private target: number | null = null;
  private speed = 0;
  private held = false;
  /** By a program’s own stop, until a person lets it go on. */
  private stopped = false;
  private pulse: number | null = null;
  private begun = '';
  private now = 0;
  /** Moves that it took from its line, whole. */
  moves = 0;
  private toLose = 0;

  constructor(settings: MotorSettings = SAMPLE_MOTOR) {
    this.settings = settings;
  }

  get turning(): boolean {
    return this.target !== null && !this.held;
  }

  /** Switched off and on: its count is lost, the work stands where it stands. @returns what it says */
  restart(): string {
    this.count = 0;
    this.target = null;
    this.held = false;
    this.begun = '';
    return 'ready\r\n';
  }

  /** Time goes on. @param now ms */
  advance(now: number): void {
    const seconds = Math.max(0, now - this.now) / 1000;
    this.now = now;
    if (this.target === null || this.held) return;
    const left = this.target - this.count;
    const most = ((this.speed * this.knobs.speed) / 60) * seconds;
    const by = Math.sign(left) * Math.min(Math.abs(left), most);
    this.count += by;
    this.turnWork(by);
    if (Math.abs(this.target - this.count) < 1e-9) {
      this.count = this.target;
      this.target = null;
    }
  }

  private turnWork(by: number): void {
    const { perTurn, stepsPerTurn, pulses } = this.settings;
    const lost = Math.min(Math.abs(by), (this.toLose * perTurn) / stepsPerTurn);
    this.toLose -= (lost * stepsPerTurn) / perTurn;
    const before = this.truly;
    const real = this.knobs.stalls ? 0 : (by - Math.sign(by) * lost) * (1 + this.knobs.scale);
    this.truly += this.knobs.reversed ? -real : real;
    if (pulses === 0) return;
    const period = perTurn / pulses;
    const passed = Math.floor(this.truly / period);
    // the index fires as it is gone over, on the way up; the count is reckoned back to there
    if (passed !== Math.floor(before / period) && this.truly > before)
      this.pulse = this.count - (this.truly - passed * period);
  }

  /** @returns what it answers, at once or late */
  hear(text: string): string {
    let said = '';
    for (const sign of text)
      switch (sign) {
        case '?':
          said += this.status();
          break;
        case '!':
          this.held = this.target !== null;
          break;
        case '~':
          this.held = false;
          if (this.stopped) said += 'ok\r\n';
          this.stopped = false;
          break;
        case '\u0018':
          this.target = null;
          this.held = false;
          this.stopped = false;
          this.begun = '';
          said += 'ready\r\n';
          break;
        case '\n':
        case '\r':
          said += this.take(this.begun.trim());
          this.begun = '';
          break;
        default:
          this.begun = (this.begun + sign).slice(-120);
      }
    if (this.knobs.silent) return '';
    return this.knobs.garbage && said !== '' ? `\u0000#%\u0007\r\n${said}@@~~\r\n` : said;
  }

  private take(line: string): string {
    if (line === '') return '';
    const words = line.replace(/\([^()]*\)/g, '').trim();
    if (this.target !== null || this.stopped) return 'error:9\r\n';
    // what stands in a program beside its moves
    if (['', '%', 'G90', 'M30'].includes(words)) return 'ok\r\n';
    if (words === 'M0') {
      // answered once a person lets it go on
      this.stopped = true;
      return '';
    }
    const move = /^(?:G90\s*)?(?:G0\s*A(-?\d+(?:\.\d+)?)|G1\s*A(-?\d+(?:\.\d+)?)\s*F(\d+(?:\.\d+)?))$/.exec(
      words,
    );
    if (!move) return 'error:20\r\n';
    this.moves += 1;
    this.toLose = this.knobs.missSteps;
    if (this.toLose > 0) this.knobs = { ...this.knobs, missSteps: 0 };
    this.target = Number(move[1] ?? move[2]);
    this.speed = move[3] === undefined ? RAPID : Number(move[3]);
    if (this.target === this.count) this.target = null;
    return 'ok\r\n';
  }

  private status(): string {
    const doing = this.stopped || this.held ? 'Hold:0' : this.target === null ? 'Idle' : 'Run';
    const pulse = this.pulse === null ? '' : `|Ix:${this.pulse.toFixed(4)}`;
    return `<${doing}|MPos:0.0000,0.0000,0.0000,${this.count.toFixed(4)}${pulse}>\r\n`;
  }
}
