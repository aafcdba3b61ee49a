import { describe, expect, test } from '@jest/globals';
import { Asker, type Helper, type Question } from './asker.ts';

const question = (work: string): Question => ({ work, asked: [] });

/** A helper in memory: it answers when it is told to. */
class FakeHelper implements Helper {
  readonly asked: string[] = [];
  dismissed = false;
  die: (fault: Error) => void = () => {};
  answer: (answer: unknown) => void = () => {};
  refuse: (fault: unknown) => void = () => {};
  ask = ({ work }: Question) => {
    this.asked.push(work);
    return new Promise<unknown>((resolve, reject) => {
      this.answer = resolve;
      this.refuse = reject;
    });
  };
  onFault = (listener: (fault: Error) => void) => void (this.die = listener);
  dismiss = () => void (this.dismissed = true);
}

function shopOfHelpers() {
  const hired: FakeHelper[] = [];
  const asker = new Asker(() => {
    const helper = new FakeHelper();
    hired.push(helper);
    return helper;
  });
  return { hired, asker };
}

describe('questions to a helper off the drawing thread', () => {
  test('one helper is kept, and given one question at a time', async () => {
    const { hired, asker } = shopOfHelpers();
    const first = asker.ask(question('ways'));
    const second = asker.ask(question('leads'));
    expect(hired.map(({ asked }) => asked)).toEqual([['ways']]);
    hired[0]!.answer(7);
    expect(await first.answer).toBe(7);
    expect(hired[0]!.asked).toEqual(['ways', 'leads']);
    hired[0]!.answer(8);
    expect(await second.answer).toBe(8);
    expect([hired.length, hired[0]!.dismissed]).toEqual([1, false]);
  });

  test('where none can be had, the question breaks off, and the next one tries again', async () => {
    const helper = new FakeHelper();
    let refused = true;
    const asker = new Asker(() => {
      if (refused) throw new Error('no workers here');
      return helper;
    });
    await expect(asker.ask(question('ways')).answer).rejects.toThrow('no workers here');
    refused = false;
    const again = asker.ask(question('ways'));
    helper.answer(7);
    expect(await again.answer).toBe(7);
  });

  test('one dropped while it waits is never asked; one dropped in the middle takes its helper with it', async () => {
    const { hired, asker } = shopOfHelpers();
    const long = asker.ask(question('long'));
    const idle = asker.ask(question('idle'));
    const next = asker.ask(question('next'));
    idle.drop();
    long.drop();
    expect(hired[0]!.dismissed).toBe(true);
    expect(hired[1]!.asked).toEqual(['next']);
    // what the old one still says is heard by nobody
    hired[0]!.answer('late');
    hired[1]!.answer('right');
    expect(await next.answer).toBe('right');
    expect(hired.flatMap(({ asked }) => asked)).not.toContain('idle');
  });

  test('a helper that dies ends its question with the fault; the next gets a new helper', async () => {
    const { hired, asker } = shopOfHelpers();
    const lost = asker.ask(question('lost'));
    const next = asker.ask(question('next'));
    hired[0]!.die(new Error('out of memory'));
    await expect(lost.answer).rejects.toThrow('out of memory');
    expect(hired[1]!.asked).toEqual(['next']);
    hired[1]!.answer(1);
    expect(await next.answer).toBe(1);
  });

  test('one that refuses a question goes on with the next', async () => {
    const { hired, asker } = shopOfHelpers();
    const bad = asker.ask(question('bad'));
    hired[0]!.refuse('no such gears');
    await expect(bad.answer).rejects.toThrow('no such gears');
    const next = asker.ask(question('next'));
    expect(hired[0]!.asked).toEqual(['bad', 'next']);
    hired[0]!.answer(2);
    expect(await next.answer).toBe(2);
    expect(hired.length).toBe(1);
  });

  test('a helper that dies with nothing asked is replaced at the next question', async () => {
    const { hired, asker } = shopOfHelpers();
    const first = asker.ask(question('first'));
    hired[0]!.answer(1);
    await first.answer;
    hired[0]!.die(new Error('gone'));
    asker.ask(question('second'));
    expect(hired.map(({ asked }) => asked)).toEqual([['first'], ['second']]);
  });
});
