import { NO_LINE, takeLines, type Device, type OpenLine } from '../../core/devices/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import type { OpenWire, Wire } from './wires.ts';

/** What a station stands on. */
export interface StationGround {
  readonly open: OpenWire;
  /** ms of a clock that only goes on. */
  readonly now: () => number;
  /** Called whenever something of it has changed. */
  readonly changed: () => void;
}

/** How soon a line that was lost is looked for again, ms: at first, and at most. */
const FIRST_AGAIN = 400;
const LONGEST_AGAIN = 5000;
/** Told of a line, signs. */
const TOLD = 120;
/** A device that says nothing for so long is silent, ms. */
const SILENT_AFTER = 3000;

/** A device and its line: opened, kept open, looked for again when it is lost. */
export abstract class Station<Kind extends Device = Device> {
  readonly device: Kind;
  protected readonly ground: StationGround;
  private wire: Wire | null = null;
  private here = false;
  private why = '';
  private open: OpenLine = NO_LINE;
  private lastLine = '';
  private heardAt = -Infinity;
  private again = FIRST_AGAIN;
  private timer: NodeJS.Timeout | undefined;
  private ended = false;

  constructor(device: Kind, ground: StationGround) {
    this.device = device;
    this.ground = ground;
  }

  begin(): void {
    if (this.device.on) this.join();
  }

  private join(): void {
    if (this.ended) return;
    this.wire = this.ground.open(this.device.link, {
      opened: () => {
        this.here = true;
        this.why = '';
        this.again = FIRST_AGAIN;
        this.heardAt = this.ground.now();
        this.joined();
        this.ground.changed();
      },
      heard: (text) => this.receive(text),
      lost: (why) => this.drop(why),
    });
  }

  private receive(text: string): void {
    const { open, lines } = takeLines(this.open, text);
    this.open = open;
    for (const line of lines) {
      this.lastLine = line.slice(0, TOLD);
      this.heardAt = this.ground.now();
      this.hears(line);
    }
    if (lines.length > 0) this.ground.changed();
  }

  private drop(why: string): void {
    if (this.ended) return;
    this.here = false;
    this.why = why.slice(0, TOLD);
    this.open = NO_LINE;
    this.wire = null;
    this.lost();
    this.ground.changed();
    this.timer = setTimeout(() => this.join(), this.again);
    this.timer.unref();
    this.again = Math.min(LONGEST_AGAIN, this.again * 2);
  }

  protected write(text: string): void {
    if (this.here) this.wire?.write(text);
  }

  close(): void {
    this.ended = true;
    clearTimeout(this.timer);
    this.wire?.close();
    this.wire = null;
    this.here = false;
  }

  get isHere(): boolean {
    return this.here;
  }

  protected get heardAgo(): number {
    return this.ground.now() - this.heardAt;
  }

  get live(): LiveDevice {
    const silent = this.isTalker && this.heardAgo > SILENT_AFTER;
    return {
      id: this.device.id,
      line: !this.device.on ? 'off' : !this.here ? 'away' : silent ? 'silent' : 'here',
      ...{ why: this.why, lastLine: this.lastLine, run: null, motor: null, readout: null, tool: null },
      ...this.shown,
    };
  }

  /** Does it talk by itself, so that silence means something? */
  protected abstract readonly isTalker: boolean;
  /** What is shown of this kind of device. */
  protected abstract get shown(): Partial<LiveDevice>;
  protected abstract hears(line: string): void;
  protected joined(): void {}
  protected lost(): void {}
}
