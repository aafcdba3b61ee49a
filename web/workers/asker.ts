/** What works questions out, one at a time, off the thread that draws. */
export interface Helper {
  /** @returns the answer; it never comes when the helper has died */
  readonly ask: (question: Question) => Promise<unknown>;
  /** Hears of a helper that died, or could not be loaded. */
  readonly onFault: (listener: (fault: Error) => void) => void;
  readonly dismiss: () => void;
}

export interface Question {
  /** Which work, by its name. */
  readonly work: string;
  /** Plain data. */
  readonly asked: readonly unknown[];
}

export interface Asking {
  readonly answer: Promise<unknown>;
  /** No longer wanted: it is dropped, also while it is being worked out. */
  readonly drop: () => void;
}

interface Waiting {
  readonly question: Question;
  readonly settle: (answer: unknown) => void;
  readonly refuse: (fault: Error) => void;
}

/**
 * Keeps one helper for as long as it lives and gives it one question at a time. One that is dropped while it
 * is worked out, and one that dies, take the helper with them; the next question gets a new one.
 */
export class Asker {
  private helper: Helper | null = null;
  private current: Waiting | null = null;
  private readonly queue: Waiting[] = [];
  private readonly hire: () => Helper;

  constructor(hire: () => Helper) {
    this.hire = hire;
  }

  ask(question: Question): Asking {
    let waiting: Waiting;
    const answer = new Promise<unknown>((settle, refuse) => {
      waiting = { question, settle, refuse };
    });
    this.queue.push(waiting!);
    this.goOn();
    return { answer, drop: () => this.drop(waiting) };
  }

  private drop(waiting: Waiting): void {
    const place = this.queue.indexOf(waiting);
    if (place >= 0) this.queue.splice(place, 1);
    if (this.current !== waiting) return;
    this.dismiss();
    this.goOn();
  }

  private dismiss(): void {
    this.helper?.dismiss();
    this.helper = null;
    this.current = null;
  }

  private goOn(): void {
    if (this.current !== null) return;
    const next = this.queue.shift();
    if (!next) return;
    this.current = next;
    this.put(next.question).then(
      (answer) => this.end(next, () => next.settle(answer)),
      (fault: unknown) => this.end(next, () => next.refuse(asError(fault))),
    );
  }

  /** A helper that cannot even be hired is a fault like any other of its. */
  private async put(question: Question): Promise<unknown> {
    const helper = (this.helper ??= this.engage());
    return await helper.ask(question);
  }

  private engage(): Helper {
    const helper = this.hire();
    helper.onFault((fault) => {
      if (this.helper !== helper) return;
      const asked = this.current;
      this.dismiss();
      asked?.refuse(fault);
      this.goOn();
    });
    return helper;
  }

  /** What comes after its question was dropped is heard by nobody. */
  private end(waiting: Waiting, tell: () => void): void {
    if (this.current !== waiting) return;
    this.current = null;
    tell();
    this.goOn();
  }
}

const asError = (fault: unknown): Error => (fault instanceof Error ? fault : new Error(String(fault)));
