import { foldRun, lastSeenOf, type Run, type RunAct, type RunEvent } from './run/index.ts';

/** A screen at the mill, for tests: makes events in sequence, knowing of others only what it was shown. */
export class Screen {
  private seq = 0;
  readonly seen: RunEvent[] = [];
  readonly name: string;
  readonly run: Run;
  constructor(name: string, run: Run) {
    this.name = name;
    this.run = run;
  }
  /** Each a minute after the one before. */
  act(act: RunAct): RunEvent {
    this.seq += 1;
    const { [this.name]: _, ...lastSeen } = lastSeenOf(this.seen);
    const event = {
      id: `${this.name}-${this.seq}`,
      runId: this.run.id,
      device: this.name,
      deviceSeq: this.seq,
      lastSeen,
      clientTime: `2026-11-12T09:${String(this.seq % 60).padStart(2, '0')}:00Z`,
      ...act,
    } as RunEvent;
    this.seen.push(event);
    return event;
  }
  shown(events: readonly RunEvent[]): void {
    for (const event of events) if (!this.seen.some(({ id }) => id === event.id)) this.seen.push(event);
  }
  get state() {
    return foldRun(this.run, this.seen);
  }
  count(): RunEvent {
    const { round, index } = this.state.next!;
    return this.act({ kind: 'done', round, index });
  }
}
