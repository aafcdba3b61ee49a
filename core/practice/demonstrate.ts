import { AT_STOPS, EACH_STEP, heed, progressOf, type Prompt } from '../prompts/index.ts';
import { goOnWith, stateOf, tallyOf, type RunAct, type RunState } from '../run/index.ts';
import type { Action } from './actions.ts';
import type { PracticeBench } from './bench.ts';
import { actionsFor } from './hand.ts';
import { act } from './act.ts';
import { freshMachine, type Machine, type Told } from './machine.ts';

/** One thing that is done, the prompt it obeys, and what came of it. */
export interface Shown {
  readonly prompt: Prompt;
  readonly action: Action;
  readonly machine: Machine;
  readonly told: readonly Told[];
}

/** What a person answers at a prompt that asks. */
function answerTo(prompt: Prompt, { next, last }: RunState): RunAct {
  switch (prompt.do) {
    case 'marks':
      return { kind: 'tried', fits: true };
    case 'chord':
      return { kind: 'checked', round: last!.round, index: last!.index, read: null };
    case 'tell-hole': {
      const { round, index } = next!;
      return { kind: 'landing', round, index, said: prompt.hole, right: true };
    }
    default:
      return { kind: 'closed', fits: true };
  }
}

/**
 * The whole run as a hand performs it that obeys every prompt to the letter, action by action. It stops where
 * nothing is left to do.
 * @param eachStep every step asked, or only where a press is needed
 * @param order of the prompts that are due together; for tests that do them wrongly
 */
export function* demonstrate(
  bench: PracticeBench,
  {
    machine: start = freshMachine(bench),
    eachStep = true,
    order = (prompts) => prompts,
  }: {
    readonly machine?: Machine;
    readonly eachStep?: boolean;
    readonly order?: (prompts: readonly Prompt[]) => readonly Prompt[];
  } = {},
): Generator<Shown> {
  const { run } = bench;
  let tally = tallyOf(run, []);
  let said = 0;
  let machine = start;
  for (;;) {
    const state = stateOf(tally);
    const { now } = progressOf(run, state, eachStep ? EACH_STEP : AT_STOPS);
    const end = now.at(-1);
    if (!end) return;
    for (const prompt of order(now))
      for (const action of actionsFor(bench, machine, prompt)) {
        const done = act(bench, machine, action);
        machine = done.machine;
        yield { prompt, action, machine, told: done.told };
      }
    const answer = heed(run, state, end) ?? answerTo(end, state);
    said += 1;
    const event = {
      ...{ id: `e${said}`, runId: run.id, device: 'hand', deviceSeq: said, lastSeen: {} },
      clientTime: '2026-01-01T00:00:00Z',
      ...answer,
    };
    tally = goOnWith(tally, [event]);
  }
}
