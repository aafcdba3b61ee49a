import { describe, expect, test } from '@jest/globals';
import { drawnHelicalJob } from '../job/index.ts';
import { foldRun, summarise } from '../run/index.ts';
import { begin, wheelCard } from '../sampleRuns.ts';
import { Hand } from './literalHand.ts';
import { Mill } from './literalMill.ts';
import {
  AT_STOPS,
  EACH_STEP,
  nowLine,
  progressOf,
  promptSheet,
  sayNow,
  standingOf,
  type HolesAsked,
} from './index.ts';

describe('one screen, one thing to do', () => {
  test('who has each step asked sees that step alone, never a move that is made', () => {
    const run = begin(wheelCard());
    const hand = new Hand(run, true, new Mill(run));
    while (hand.state.done < 2) hand.step();
    const seen: string[] = [];
    while (hand.state.done < 3) {
      const progress = progressOf(run, hand.state, EACH_STEP);
      const now = sayNow(run, hand.state, progress)!;
      expect(progress.now).toHaveLength(1);
      if (now.main.do !== 'turn')
        expect(now.figures.map(({ words }) => words).join()).not.toMatch(/turn|spaces on \d/);
      seen.push(now.done);
      hand.step();
    }
    expect(seen).toEqual([
      'It is clear',
      'Unlocked',
      'The move is made',
      'The arms are round',
      'Locked',
      'Tooth space 3 cut',
    ]);
  });

  test('a learner is asked the hole every time, now and then or never', () => {
    // 14 teeth, 2 turns and 18 spaces on 21: a hole tells at every space
    const run = begin(wheelCard());
    const asked = (holes: HolesAsked) =>
      run.cuts
        .slice(1)
        .filter((next) =>
          progressOf(run, { ...foldRun(run, []), next }, { eachStep: true, holes }).prompts.some(
            (prompt) => prompt.do === 'tell-hole',
          ),
        )
        .map(({ space }) => space);
    expect(asked('never')).toEqual([]);
    expect(asked('sometimes')).toEqual([2, 8, 14]);
    expect(asked('always')).toHaveLength(run.divisions - 1);
  });

  test('after a scratch round nobody is asked to move: the work stands at tooth space 1, and the depth is next', () => {
    const run = begin(wheelCard((part) => ({ ...part, cut: { ...part.cut, scratch: true } })));
    for (const eachStep of [false, true]) {
      const hand = new Hand(run, eachStep, new Mill(run));
      while (!hand.state.tried) hand.step();
      const left = progressOf(run, hand.state, eachStep ? EACH_STEP : AT_STOPS);
      expect(left.prompts.slice(left.made).map((prompt) => prompt.do)).toEqual([
        'lock',
        'touch',
        'back',
        'depth',
        'first-touch',
        'cut',
      ]);
    }
  });

  test('what rests of a run is told on the bench as at the mill, also by summaries of before prompts had names', () => {
    const run = begin(
      drawnHelicalJob({ id: 'j', name: 'Fan', pitch: '1.5', teeth: 24, face: '16', bore: '10' }, '20'),
    );
    const state = foldRun(run, []);
    const old = { ...state, done: 1, next: run.cuts[1]!, inDoubt: false, strokeMade: 2 };
    const { heeded: _h, ...summary } = old;
    const standing = standingOf(run, summary);
    expect(standing.heeded).toEqual(['out', 'back']);
    expect(sayNow(run, standing, progressOf(run, standing, AT_STOPS))!.main.do).toBe('turn');
  });
});

test('on paper and in a list: the same prompts, a stretch at a time', () => {
  const twice = wheelCard((part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }));
  const run = begin(twice);
  const sheet = promptSheet(run);
  expect(sheet.map(({ title }) => title)).toEqual([
    'To tooth space 1',
    'From tooth space 1 to tooth space 2, and so on',
    'To the finish pass',
    'After the last tooth space',
  ]);
  // 14 teeth on 40 : 1 are 2 turns and 18 spaces on 21; fourteen moves of 18 end in hole 0 again
  expect(sheet[1]!.lines).toContain(
    'To tooth space 2: turn clockwise 2 turns + 18 spaces on 21; from hole 0 the pin lands in hole 18.',
  );
  expect(sheet[2]!.lines[2]).toBe(
    'On to tooth space 1: turn clockwise 2 turns + 18 spaces on 21; from hole 3 the pin lands in hole 0.',
  );
  expect(sheet[3]!.lines.at(-1)).toMatch(/bring the cutter to tooth space 1/);
  // learners' questions have no place on paper
  expect(sheet.flatMap(({ lines }) => lines).join(' ')).not.toMatch(/which hole/);
  const summary = summarise(foldRun(run, []));
  expect(nowLine(run, summary)?.lines.length).toBeLessThanOrEqual(2);
  expect(nowLine(run, { ...summary, ended: { how: 'given-up', reason: '' } })).toBeNull();
});
