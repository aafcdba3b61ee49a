import { foldRun, type Run, type RunAct, type RunEvent, type RunState } from '../run/index.ts';
import type { Mill } from './literalMill.ts';
import { AT_STOPS, EACH_STEP, heed, progressOf } from './progress.ts';
import type { Prompt } from './prompt.ts';

/** What a hand has pressed so far, and the state that follows from it. */
export class Hand {
  readonly events: RunEvent[] = [];
  readonly run: Run;
  readonly eachStep: boolean;
  readonly mill: Mill;
  constructor(run: Run, eachStep: boolean, mill: Mill) {
    this.run = run;
    this.eachStep = eachStep;
    this.mill = mill;
  }

  private folded: { readonly count: number; readonly state: RunState } | null = null;

  get state(): RunState {
    const count = this.events.length;
    if (this.folded?.count !== count) this.folded = { count, state: foldRun(this.run, this.events) };
    return this.folded.state;
  }

  get now(): readonly Prompt[] {
    return progressOf(this.run, this.state, this.eachStep ? EACH_STEP : AT_STOPS).now;
  }

  press(...acts: readonly RunAct[]): void {
    for (const act of acts) {
      const seq = this.events.length + 1;
      this.events.push({
        id: `e${seq}`,
        runId: this.run.id,
        device: 'hand',
        deviceSeq: seq,
        lastSeen: {},
        clientTime: '2026-11-27T09:00:00Z',
        ...act,
      });
    }
  }

  /** What a person says at a prompt that is answered and not only pressed. */
  private answer(prompt: Prompt): RunAct {
    const { next, last } = this.state;
    if (prompt.do === 'marks') return { kind: 'tried', fits: true };
    if (prompt.do === 'judge') return { kind: 'closed', fits: true };
    if (prompt.do === 'chord') return { kind: 'checked', round: last!.round, index: last!.index, read: null };
    if (prompt.do === 'tell-hole')
      return { kind: 'landing', round: next!.round, index: next!.index, said: prompt.hole, right: true };
    throw new Error(`${prompt.do} is not answered`);
  }

  /** Does what stands on the screen, and presses. @returns false when nothing is left to do */
  step(): boolean {
    const { now } = this;
    const end = now.at(-1);
    if (!end) return false;
    for (const prompt of now) this.mill.heeds(prompt);
    this.press(heed(this.run, this.state, end) ?? this.answer(end));
    return true;
  }

  /** @param most presses; a run that never ends is a fault */
  goOn(most = 20_000): void {
    for (let i = 0; i < most; i += 1) if (!this.step()) return;
    throw new Error('the prompts never end');
  }
}
