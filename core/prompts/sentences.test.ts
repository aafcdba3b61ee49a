import { describe, expect, test } from '@jest/globals';
import {
  drawnDriveJob,
  drawnHelicalJob,
  drawnSpurJob,
  newDivideJob,
  withPart,
  withSpurPart,
} from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { type Run } from '../run/index.ts';
import { begin, freeze, three, wheelCard } from '../sampleRuns.ts';
import { STOCK_EQUIPMENT, STOCK_ROTARY } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { cutBefore, promptText, stretchOf } from './index.ts';

const mill = { ...STOCK_EQUIPMENT.mills[0]!, axis: 'vertical' as const };
const upright = { ...STOCK_EQUIPMENT, mills: [mill] };
/** Everything the mill says from the first prompt to the last. */
const allSaid = (run: Run): string => {
  const cuts = [...run.cuts, null];
  return cuts
    .flatMap((next) =>
      stretchOf(run, { next, last: cutBefore(run, next) }).map((prompt) => promptText(run, prompt)),
    )
    .join('\n');
};
const between = (run: Run) =>
  stretchOf(run, { next: run.cuts[1]!, last: run.cuts[0]! }).map((prompt) => promptText(run, prompt));

describe('what the mill says, word for word', () => {
  test('between two spaces, in the order of the hands, with the dial and both units', () => {
    expect(between(begin(wheelCard()))).toEqual([
      'Run the table back, to the left, past 0 on its dial.',
      'Unlock the spindle.',
      'To tooth space 2: turn clockwise 2 turns + 18 spaces on 21; from hole 0 the pin lands in hole 18.',
      'Look at the plate, not at the screen: which hole is the pin in now?',
      'Bring the arms round to the pin: 18 spaces, 19 holes with the pin’s own.',
      'Lock the spindle.',
      'Cut tooth space 2: feed on until the table reads 25.80 mm (5 turns + 16.1 marks).',
    ]);
  });

  test('a rough cut touches later than the finish: the table is set to what makes 0 right for both', () => {
    const two = wheelCard((part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }));
    const run = begin(two);
    const to = (place: number) =>
      stretchOf(run, { next: run.cuts[place]!, last: run.cuts[place - 1] ?? null }).map((prompt) =>
        promptText(run, prompt),
      );
    // Ø 60: 4.0 of 4.5 mm deep; √(4.5 · 55.5) = 15.80, √(4 · 56) = 14.97; a mark of the table is 0.05 mm
    expect(to(0).slice(-6)).toEqual([
      'Lock the spindle.',
      'Raise the knee until the turning cutter just marks the outside; the dial of the knee to 0.',
      'Run back, to the left, until the cutter is clear of the work.',
      'Raise the knee to 4.000 mm (0.1575 in).',
      'Feed on slowly: where the turning cutter first touches, stop and set the table’s dial to 0.84 mm (16.7 marks): 0 is where uncut work would touch at full depth.',
      'Cut tooth space 1: feed on until the table reads 25.80 mm (5 turns + 16.1 marks), and mark it.',
    ]);
    expect(to(1)[0]).toBe('Run the table back, to the left, past 0 on its dial.');
    expect(to(14).at(-1)).toBe(
      'Cut tooth space 1: feed on until the table reads 25.80 mm (5 turns + 16.1 marks), and mark it.',
    );
    expect(allSaid(run).match(/first touches/g)).toHaveLength(1);
    expect(allSaid(begin(wheelCard()))).toContain('stop and set the table’s dial to 0.\nCut tooth space 1');
  });

  test('in inches the same: 0.84 mm is .033 in, and half an inch of face', () => {
    const inches = {
      ...wheelCard((part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } })),
      units: 'in' as const,
    };
    expect(allSaid(begin(inches))).toContain(
      'set the table’s dial to 0.033 in (16.7 marks): 0 is where uncut work',
    );
  });

  test('a scratch first: nothing is read on the table before metal is cut, and it is set then', () => {
    const run = begin(wheelCard((part) => ({ ...part, cut: { ...part.cut, scratch: true } })));
    const told = allSaid(run).split('\n');
    const set = told.findIndex((line) => line.includes('first touches'));
    expect(told.slice(set - 4, set)).toEqual([
      expect.stringMatching(/^Lock the spindle/),
      expect.stringMatching(/^Raise the knee until the turning cutter just marks/),
      'Run back, to the left, until the cutter is clear of the work.',
      'Raise the knee to 4.500 mm (0.1772 in).',
    ]);
    expect(told.slice(0, set).join('\n')).not.toMatch(/its dial\.|the table reads/);
  });

  test('work that goes on under another plan is touched again, on uncut outside, before its space is found', () => {
    const old = begin(wheelCard());
    const run = begin(wheelCard(), STOCK_EQUIPMENT, { runId: 'r2', continues: { run: old, done: 5 } });
    const lines = (place: number) =>
      stretchOf(run, { next: run.cuts[place]!, last: run.cuts[place - 1] ?? null }).map((prompt) =>
        promptText(run, prompt),
      );
    const first = lines(0);
    const land = first.findIndex((line) => line.startsWith('Turn the work until outside that is not cut'));
    expect(first.slice(land + 1, land + 6)).toEqual([
      'Lock the spindle.',
      'Raise the knee until the turning cutter just marks the outside; the dial of the knee to 0.',
      'Run back, to the left, until the cutter is clear of the work.',
      'Unlock the spindle.',
      expect.stringMatching(/^Find tooth space 5, which is cut/),
    ]);
    // the cut it left off at takes nothing off: the table is set in the next one
    expect(first.join(' ')).not.toMatch(/first touches/);
    expect(lines(1).slice(-2)).toEqual([
      'Feed on slowly: where the turning cutter first touches, stop and set the table’s dial to 0.',
      'Cut tooth space 6: feed on until the table reads 25.80 mm (5 turns + 16.1 marks).',
    ]);
  });

  test('the touch and the depth: paper is gone through too, on the screw of this mill', () => {
    const papered = wheelCard((part) => ({
      ...part,
      setup: { ...part.setup, paper: measure('0.05', 'mm') },
    }));
    const said = allSaid(begin(papered));
    expect(said).toContain(
      'Spindle stopped: raise the knee until 0.050 mm of paper is just held on the outside; the dial of the knee to 0.',
    );
    // 4.5 + 0.05 = 4.55 mm on a knee of 2 mm and 40 marks: 2 turns are 4 mm, 0.55 mm are 11 marks of 0.05
    const knee = { lead: measure('2', 'mm'), marks: 40, travel: measure('', 'mm') };
    const known = { ...STOCK_EQUIPMENT, mills: [{ ...STOCK_EQUIPMENT.mills[0]!, knee, readout: false }] };
    expect(allSaid(begin(papered, known))).toContain(
      'Raise the knee to 4.500 mm (0.1772 in): 2 turns + 11 marks from the touch, on the dial.',
    );
  });

  test.each([
    ['behind', 'Cross slide away from you', 'cross slide towards you'],
    ['front', 'Cross slide towards you', 'cross slide away from you'],
  ] as const)(
    'beside an upright spindle with the cutter %s: the cross slide sets the depth, and no knee is named',
    (side, goesIn, goesOut) => {
      const stands = (part: SpurPart): SpurPart => ({ ...part, setup: { ...part.setup, side } });
      const straight = allSaid(begin(wheelCard(stands), upright));
      expect(straight).toContain(
        `${goesIn} until the turning cutter just marks the outside; the dial of the cross slide to 0.`,
      );
      expect(straight).toContain(`${goesIn} to 4.500 mm`);
      expect(straight).not.toMatch(/knee/);
      const leaning = withSpurPart(
        drawnHelicalJob({ id: 'j', name: 'Fan', pitch: '1.5', teeth: 24, face: '16', bore: '10' }, '20'),
        'p1',
        stands,
      );
      const said = allSaid(begin(leaning, upright));
      expect(said).toContain(`draw clear of the cutter: ${goesOut}.`);
      expect(said).not.toMatch(/knee/);
    },
  );

  test('a helical gear: centred with the table straight, then swung, then scribed, then touched', () => {
    const run = begin(
      drawnHelicalJob({ id: 'j', name: 'Fan', pitch: '1.5', teeth: 24, face: '16', bore: '10' }, '20'),
    );
    const order = stretchOf(run, { next: run.cuts[0]!, last: null }).map(({ do: what }) => what);
    const at = (what: string) => order.indexOf(what as never);
    expect([at('centre'), at('swing'), at('scribe'), at('touch')]).toEqual(
      [...[at('centre'), at('swing'), at('scribe'), at('touch')]].sort((a, b) => a - b),
    );
    expect(at('centre')).toBeGreaterThanOrEqual(0);
    expect(allSaid(run)).toMatch(
      /The table straight, the cutter over its swivel: bring the cutter to the middle of the work now\.\nNow swing the table: the table swung 20°/,
    );
  });

  test('a rack: the table divides and is locked, so nothing but the cross slide carries it past the cutter', () => {
    const rack = withPart(
      newDivideJob({ id: 'j', name: 'Carriage', units: 'mm', shop: STOCK_EQUIPMENT }),
      'p1',
      (part) =>
        part.kind === 'divide'
          ? {
              ...part,
              spacing: {
                ...part.spacing,
                by: 'pitch',
                what: 'teeth',
                count: measure('10', 'count'),
                pitch: measure('1.5', 'module'),
                depth: measure('3.4', 'mm'),
              },
              setup: { ...part.setup, face: measure('12', 'mm'), cutterDiameter: measure('60', 'mm') },
            }
          : part,
    );
    for (const equipment of [STOCK_EQUIPMENT, upright]) {
      const run = begin(rack, equipment);
      const said = allSaid(run);
      // gone on with, it is found along the table: nothing is turned
      const again = allSaid(begin(rack, equipment, { runId: 'r2', continues: { run, done: 4 } }));
      expect(again).toContain(
        'Move the table until metal that is not cut, between two tooth spaces, stands under the cutter.\nLock the table.',
      );
      expect(again).toContain(
        'Find tooth space 4, which is cut: spindle stopped, coming from the same side as ever,',
      );
      expect(again).not.toMatch(/clockwise|spindle\.|Run the table/);
      expect(said).toContain(
        'just marks the top; the dial of the knee to 0.\nRun back until the cutter is clear',
      );
      expect(said).toContain('stop and set the cross slide’s dial to 0.');
      // √(3.4 · 56.6) = 13.87, and the bar’s 12 mm
      expect(between(run)).toEqual([
        'Run the cross slide back, past 0 on its dial.',
        'Unlock the table.',
        expect.stringMatching(/^To tooth space 2: table on to 0 turns, mark /),
        'Lock the table.',
        'Cut tooth space 2: feed on until the cross slide reads 25.87 mm.',
      ]);
      // the table is named where it divides, is locked or unlocked, and nowhere else
      for (const line of said.split('\n').filter((each) => /table/.test(each)))
        expect(line).toMatch(
          /^(Unlock|Lock) the table\.$|table on to|^Bring the place|^Back to tooth space 1/,
        );
    }
  });

  test('a gashed wheel: centred over its face too, swung, and touched where it touches first', () => {
    const drive = withPart(drawnDriveJob({ id: 'j', name: 'Carriage' }), 'p1', (part) =>
      part.kind === 'wheel'
        ? { ...part, setup: { ...part.setup, cutterDiameter: measure('60', 'mm') } }
        : part,
    );
    const gashed = (school: 'plunge' | 'traverse', rim: 'throat' | 'plain' = 'throat') =>
      allSaid(
        begin(
          withPart(drive, 'p1', (part) =>
            part.kind === 'wheel'
              ? { ...part, gash: { ...part.gash, school }, rim: { ...part.rim, rim } }
              : part,
          ),
        ),
      );
    // m 2, single start on 24: γ = atan(2/24) = 4° 46′, 5° on a scale of 15′ (4° 45′ on the stock mill)
    expect(gashed('plunge')).toMatch(
      /bring the cutter to the middle of the work now, and to the middle of its face\.\nNow swing the table: the table swung \d°[^;]*, right end away from you; clamp it\./,
    );
    expect(gashed('plunge')).toContain('marks the corners beside the throat, which it meets first; the dial');
    expect(gashed('plunge')).toContain('Sink the cutter to 5.315 mm');
    // run across it goes from the corners, at 86.679, to the root, at 80 - 2 · 2.4 = 75.2: 5.740
    expect(gashed('traverse')).toContain('marks the corners beside the throat');
    expect(gashed('traverse')).toContain('Raise the knee to 5.740 mm');
    expect(gashed('traverse', 'plain')).toContain('just marks the outside; the dial of the knee to 0.');
    expect(gashed('traverse', 'plain')).toContain('Raise the knee to 4.400 mm');
  });

  test('compound: the pin, then the plate that goes back too far and comes up again', () => {
    const run = freeze(
      { head: three, count: 69 },
      'compound',
      (choice) => choice.method === 'compound' && choice.circle === 23 && choice.back.circle === 33,
    );
    expect(between(run).slice(2, 5)).toEqual([
      'To work hole 2: back pin home, crank pin out; turn clockwise 21 spaces on 23; from hole 0 the pin lands in hole 21.',
      'To work hole 2, crank pin home, back pin out: crank and plate together 11 spaces back on 33 and half a turn more, then come up clockwise; from hole 0 the back pin lands in hole 11.',
      'Look at the plate, not at the screen: which hole is each pin in now?',
    ]);
  });

  test('a wheel after the last space: on to 0, and not a whole turn from where it stands', () => {
    const run = freeze({ head: STOCK_ROTARY, count: 53, rounds: 2 }, 'handwheel');
    const change = stretchOf(run, { next: run.cuts[53]!, last: run.cuts[52]! });
    expect(change.map((prompt) => promptText(run, prompt))).toContain(
      'On to work hole 1: turn on clockwise, to table 0°, wheel 0°: there the work has gone once round.',
    );
  });

  test('a motor: unlocked before it goes; after the last space on to the full circle, then counted from 0', () => {
    const run = freeze({ head: STOCK_ROTARY, count: 53, rounds: 2 }, 'stepper');
    expect(between(run).slice(1, 3)).toEqual([
      'Unlock the spindle.',
      'To work hole 2: let the motor go on to 2717 steps, 2717 on from here.',
    ]);
    const change = stretchOf(run, { next: run.cuts[53]!, last: run.cuts[52]! }).map((prompt) =>
      promptText(run, prompt),
    );
    // 52 spaces are 141 283 steps of 144 000
    expect(change.slice(1, 4)).toEqual([
      'Unlock the spindle.',
      'On to work hole 1: let the motor go on to 144000 steps, 2717 on from here.',
      'Set the count of Motor to 0 where it stands: the next round is counted from here.',
    ]);
  });

  test('sunk deeper: the depth in full, the pin left where it is', () => {
    const inches = withSpurPart(
      drawnSpurJob({ id: 'j', name: 'W', pitch: '16', teeth: 20, face: '.5', bore: '.25', units: 'in' }),
      'p1',
      (part) => part,
    );
    const old = begin(inches);
    const run = begin(inches, STOCK_EQUIPMENT, {
      runId: 'r2',
      deepens: { run: old, by: 0.0218 * 25.4, register: 'kept' },
    });
    const said = allSaid(run);
    expect(said).toContain(
      'Leave the pin in the hole it is in of 49, plate C: it is now hole 0.'.replace(
        '49, plate C',
        `${'circle' in run.move ? run.move.circle : ''}, plate ${'plateName' in run.move ? run.move.plateName : ''}`,
      ),
    );
    expect(said).not.toMatch(/any hole|nearest hole/);
    // 2.157/16 = 0.1348 in, and 0.0218 more
    expect(said).toContain('to 0.1566 in');
    expect(run.card.find(({ title }) => title === 'Cut')!.answer).toBe(
      'once more round, 0.1566 in deep, 0.0218 in more than before',
    );
    const safe = (one: Run) => (one.safe?.way === 'along' ? one.safe.approach : null);
    expect(safe(run)).toBe(safe(old));
  });

  test('a sunk cutter clears later: the safe reading is that of the deeper cut', () => {
    const old = begin(wheelCard());
    const run = begin(wheelCard(), STOCK_EQUIPMENT, {
      runId: 'r2',
      deepens: { run: old, by: 0.3, register: 'kept' },
    });
    // √(h(D − h)) at 4.8 deep with a cutter of 60
    expect(run.safe).toMatchObject({ approach: expect.closeTo(Math.sqrt(4.8 * 55.2), 9) });
  });
});
