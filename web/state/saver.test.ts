import { describe, expect, test } from '@jest/globals';
import { AwayError, ProblemError } from './api.ts';
import { createSaver, type SaveFault, type Saving } from './saver.ts';

/**
 * A document that is typed into, a server that answers when it is told to, and a clock that is turned by
 * hand.
 */
function desk() {
  let doc = { text: '', revision: 0 };
  let waiting = false;
  const sent: string[] = [];
  const faults: SaveFault[] = [];
  const answers: { readonly take: () => void; readonly refuse: (error: Error) => void }[] = [];
  const clock = {
    at: 0,
    timers: new Map<number, { readonly due: number; readonly run: () => void }>(),
    next: 1,
  };
  const saving: Saving<typeof doc, number> = {
    afterMs: 450,
    pending: () => (waiting ? doc : null),
    send: (document) =>
      new Promise((resolve, reject) => {
        sent.push(document.text);
        answers.push({ take: () => resolve(document.revision + 1), refuse: reject });
      }),
    accept: (document, revision) => {
      const current = document.text === doc.text;
      doc = { ...doc, revision };
      waiting = !current;
      return current ? 'current' : 'newer';
    },
    fail: (_document, fault) => {
      faults.push(fault);
      if (fault.kind !== 'away') waiting = false;
    },
  };
  const saver = createSaver(saving, {
    set: (run, ms) => {
      clock.timers.set(clock.next, { due: clock.at + ms, run });
      return clock.next++;
    },
    clear: (timer) => clock.timers.delete(timer as number),
  });
  const settle = async () => {
    for (let i = 0; i < 8; i += 1) await Promise.resolve();
  };
  return {
    sent,
    faults,
    saver,
    revision: () => doc.revision,
    type: (text: string) => {
      doc = { ...doc, text };
      waiting = true;
      saver.later();
    },
    pass: async (ms: number) => {
      clock.at += ms;
      for (const [id, { due, run }] of [...clock.timers])
        if (due <= clock.at) {
          clock.timers.delete(id);
          run();
        }
      await settle();
    },
    answer: async (error?: Error) => {
      const next = answers.shift();
      if (!next) throw new Error('nothing was sent');
      if (error) next.refuse(error);
      else next.take();
      await settle();
    },
    unanswered: () => answers.length,
  };
}

describe('what is typed is stored', () => {
  test('a moment later, and once for keys that follow at once', async () => {
    const at = desk();
    at.type('1');
    await at.pass(300);
    at.type('1.2');
    await at.pass(300);
    at.type('1.25');
    await at.pass(449);
    expect(at.sent).toEqual([]);
    await at.pass(1);
    expect(at.sent).toEqual(['1.25']);
    await at.answer();
    await at.pass(10_000);
    expect([at.sent.length, at.revision()]).toEqual([1, 1]);
  });
  test('one at a time: what was typed meanwhile goes after the answer, from the revision it brought', async () => {
    const at = desk();
    at.type('a');
    await at.pass(450);
    at.type('b');
    await at.pass(5000);
    expect(at.unanswered()).toBe(1);
    await at.answer();
    // the second was waiting in line, and goes at once
    expect(at.sent).toEqual(['a', 'b']);
    await at.answer();
    expect(at.revision()).toBe(2);
  });
  test('at once when the page is left, and nothing where nothing waits', async () => {
    const at = desk();
    void at.saver.now();
    await at.pass(0);
    expect(at.sent).toEqual([]);
    at.type('x');
    const done = at.saver.now();
    await at.pass(0);
    expect(at.sent).toEqual(['x']);
    await at.answer();
    await done;
    await at.pass(10_000);
    expect(at.sent).toEqual(['x']);
  });
  test('while the server is away it is tried again every three seconds, with what stands then', async () => {
    const at = desk();
    at.type('x');
    await at.pass(450);
    await at.answer(new AwayError());
    expect(at.faults).toEqual([{ kind: 'away' }]);
    await at.pass(2999);
    expect(at.sent).toHaveLength(1);
    await at.pass(1);
    await at.answer(new AwayError());
    await at.pass(3000);
    await at.answer();
    expect([at.sent, at.revision(), at.faults.length]).toEqual([['x', 'x', 'x'], 1, 2]);
    await at.pass(10_000);
    expect(at.sent).toHaveLength(3);
  });
  test('another screen was first, or it was refused: said, and not tried again by itself', async () => {
    const at = desk();
    at.type('x');
    await at.pass(450);
    await at.answer(new ProblemError(409, { kept: 'k1' }));
    at.type('y');
    await at.pass(450);
    await at.answer(new Error('The name is too long.'));
    await at.pass(10_000);
    expect(at.faults).toEqual([
      { kind: 'conflict', kept: 'k1' },
      { kind: 'failed', message: 'The name is too long.' },
    ]);
    expect(at.sent).toEqual(['x', 'y']);
  });
  test('what is given up is not stored', async () => {
    const at = desk();
    at.type('x');
    at.saver.stop();
    await at.pass(10_000);
    expect(at.sent).toEqual([]);
  });
});
