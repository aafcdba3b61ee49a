import { expose } from 'comlink';
import { work, type Work } from './work.ts';

/** Called by name, so that one line carries every question. */
const desk = {
  ask: (name: keyof Work, asked: readonly unknown[]): unknown =>
    (work[name] as (...data: readonly unknown[]) => unknown)(...asked),
};
export type Desk = typeof desk;
expose(desk);
