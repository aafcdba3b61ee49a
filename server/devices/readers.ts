import {
  readReadoutLine,
  readToolLine,
  type AxisUse,
  type Reads,
  type ReadoutDevice,
  type ToolDevice,
} from '../../core/devices/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { Station } from './station.ts';

/** A readout: where its axes stand, from the zeros that were taken. */
export class ReadoutStation extends Station<ReadoutDevice> {
  protected readonly isTalker = true;
  private shows: Readonly<Record<string, number>> = {};
  private readAt = -Infinity;
  private zeros: Partial<Record<AxisUse, number>> = {};
  /** The run that they were taken for. */
  private run: string | null = null;

  protected hears(line: string): void {
    const read = readReadoutLine(this.device, line);
    if (!read) return;
    this.shows = { ...this.shows, ...read };
    this.readAt = this.ground.now();
  }

  /** A readout that was away may have been switched off, or moved: its zeros say nothing any more. */
  protected override lost(): void {
    this.zeros = {};
    this.shows = {};
    this.readAt = -Infinity;
  }

  /** Where an axis stands, in its sense, mm; null before it said so. */
  private standsAt(use: AxisUse): number | null {
    const axis = this.device.axes.find((each) => each.use === use);
    const shown = axis && this.shows[axis.letter];
    return shown === undefined ? null : axis!.reversed ? -shown : shown;
  }

  /** @returns false where it has not said yet where it stands */
  takeZero(use: AxisUse, reads: number, run: string | null): boolean {
    const stands = this.standsAt(use);
    if (stands === null) return false;
    // those of another run’s work say nothing of this one’s
    this.zeros = { ...(run === this.run ? this.zeros : {}), [use]: stands - reads };
    this.run = run;
    this.ground.changed();
    return true;
  }

  /** mm from the zero that was taken; null without one. */
  private reads(use: AxisUse): number | null {
    const [stands, zero] = [this.standsAt(use), this.zeros[use]];
    return stands === null || zero === undefined ? null : stands - zero;
  }

  /** For the work of a run; without figures where the zeros are another’s. */
  readingFor(run: string): Reads & { readonly age: number } {
    const own = run === this.run;
    return {
      travel: own ? this.reads('travel') : null,
      depth: own ? this.reads('depth') : null,
      age: this.ground.now() - this.readAt,
    };
  }

  protected get shown(): Partial<LiveDevice> {
    return {
      run: this.run,
      readout: this.device.axes.map(({ use, letter }) => ({
        ...{ use, letter, shows: this.standsAt(use), reads: this.reads(use) },
      })),
    };
  }
}

/** A measuring tool: what it read when its button was pressed last. */
export class ToolStation extends Station<ToolDevice> {
  protected readonly isTalker = false;
  private presses = 0;
  private last: number | null = null;
  private readonly screenNow: () => string | null;
  /** The screen that a reading was meant for. */
  private screen: string | null = null;

  /** @param screenNow on which a field was touched last */
  constructor(device: ToolDevice, ground: Station['ground'], screenNow: () => string | null) {
    super(device, ground);
    this.screenNow = screenNow;
  }

  protected hears(line: string): void {
    const read = readToolLine(this.device, line);
    if (read === null) return;
    this.presses += 1;
    this.last = read;
    this.screen = this.screenNow();
  }

  protected get shown(): Partial<LiveDevice> {
    return { tool: { presses: this.presses, reads: this.last, screen: this.screen } };
  }
}
