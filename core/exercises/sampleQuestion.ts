import type { Exercise } from './exercises.ts';

/* A question as a learner has it, for the tests: its texts alone. */

export class Question {
  constructor(readonly exercise: Exercise) {}
  text(label: string): string {
    const found = this.exercise.given.find((one) => one.label === label);
    if (!found) throw new Error(`${this.exercise.title} tells no ${label}`);
    return found.text;
  }
  number(label: string): number {
    return Number(/-?\d+(\.\d+)?/.exec(this.text(label))![0]);
  }
  /** mm of what is told in either unit. */
  mm(label: string): number {
    return this.number(label) * (/\bin\b/.test(this.text(label)) ? 25.4 : 1);
  }
  get module(): number {
    return /DP/.test(this.text('Pitch')) ? 25.4 / this.number('Pitch') : this.number('Pitch');
  }
  get z(): number {
    return this.number('Teeth');
  }
  asked(pattern: RegExp): number {
    return Number(pattern.exec(this.exercise.asks)![1]);
  }
}
