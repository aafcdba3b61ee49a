import { beginRun } from '../sampleRuns.ts';
import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withDividing, withSpurPart } from '../job/index.ts';
import { countAim, searchMethods } from '../dividing/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { foldRun, type Run } from '../run/index.ts';
import { jobOfRack } from '../sampleBench.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  causesOf,
  creep,
  findSymptoms,
  SYMPTOMS,
  troubleFacts,
  wrongDifferential,
  wrongHoles,
} from './index.ts';

function runOf(teeth: number, method?: 'differential'): Run {
  const drawn = drawnSpurJob({ id: 'j', name: 'Second wheel', pitch: '1.5', teeth, face: '14', bore: '12' });
  const ground = { head: drawn.equipment.heads[0]!, gearSets: drawn.equipment.gearSets, steppers: [] };
  const found =
    method && searchMethods(ground, countAim(teeth), 1).methods.find((each) => each.method === method);
  const job = found
    ? withDividing(drawn, 'p1', (dividing) => ({ ...dividing, choice: found.ways[0]!.choice }))
    : drawn;
  return need(beginRun(job));
}

const factsOf = (run: Run, done = 0) => {
  const events = run.cuts.slice(0, done).map(({ round, index }, i) => ({
    id: `e${i}`,
    runId: 'r',
    device: 'd',
    deviceSeq: i + 1,
    lastSeen: {},
    clientTime: '2026-11-25T10:00:00Z',
    kind: 'done' as const,
    round,
    index,
  }));
  return troubleFacts(run, foldRun(run, events));
};

/**
 * The head as it moves: turns of the spindle for so many equal moves, the plate geared by g turns for one of
 * the spindle.
 */
const spindle = (moves: number, turns: number, ratio: number, g: number): number =>
  (moves * turns) / (ratio - g);

test('half a tooth after 61 of 62: degrees, and the arc at the bore, by direct geometry', () => {
  const facts = factsOf(runOf(62), 61);
  const found = creep(facts, 0.5);
  expect(found.degrees).toBeCloseTo(360 / 62 / 2, 9);
  // an arc on a circle of 12 mm, stepped off in chords
  const steps = 20000;
  let arc = 0;
  for (let i = 0; i < steps; i += 1) arc += 2 * 6 * Math.sin(((found.degrees / steps) * Math.PI) / 360);
  expect(found.atBore).toBeCloseTo(arc, 6);
  expect(found.eachDeg).toBeCloseTo(found.degrees / 61, 9);
  const [first] = causesOf('end-tooth', { facts, part: 0.5, units: 'mm' });
  expect(first!.cause).toMatch(
    /^The blank crept on its mandrel: 2° 54′ 12″ after 61 of 62, 0\.304 mm at the bore/,
  );
});

test('what is left at the end in whole holes points to a miscount first', () => {
  const facts = factsOf(runOf(62), 61);
  // one hole of 31 is 1/1240 of a turn: 0.05 of a tooth
  const part = 62 / (40 * facts.circle!);
  expect(creep(facts, part).holes).toBeCloseTo(1, 9);
  const keys = (of: number) => causesOf('end-tooth', { facts, part: of, units: 'mm' }).map(({ key }) => key);
  expect(keys(part)[0]).toBe('miscount');
  expect(keys(0.5)[0]).toBe('crept');
});

test('a scratch round that does not close: what one hole comes to at this outside', () => {
  const facts = factsOf(runOf(62), 62);
  const [miscount, ...others] = causesOf('marks', { facts, part: 0, units: 'mm' });
  // 62 by 20 spaces on 31: a hole is 360°/(40 × 31) = 17′ 25″; on Ø 1.5 × 64 = 96 that is 96π/1240 = 0.243
  expect(facts.circle).toBe(31);
  expect(miscount!.test).toMatch(/One space on the 31 circle is 0° 17′ 25″, 0\.243 mm at the outside\.$/);
  expect(others.map(({ key }) => key)).toEqual(['pin-hole', 'circle', 'arms', 'moved']);
  expect(findSymptoms('the last mark does not fall on the first')[0]!.id).toBe('marks');
});

test('a mesh that is tight is told in this pair’s own figures', () => {
  const drawn = drawnSpurJob({ id: 'g', name: 'G', pitch: '2', teeth: 30, face: '20', bore: '12' });
  const paired = withSpurPart(drawn, 'p1', (part) => ({
    ...part,
    gear: {
      ...part.gear,
      mate: {
        ...part.gear.mate,
        teeth: { typed: '20', unit: 'count' as const },
        centre: { typed: '50', unit: 'mm' as const },
      },
    },
  }));
  const facts = factsOf(need(beginRun(paired)));
  // 20°, cutter 4 made for 26: 2·sin(20° + 90°/26)/cos 20° = 0.8489 a millimetre; 0.1 sunk is 0.085
  const slope = (20 + 90 / 26) * (Math.PI / 180);
  expect(facts.mesh!.perDepth).toBeCloseTo((2 * Math.sin(slope)) / Math.cos(Math.PI / 9), 9);
  const [shallow, , nominal, close] = causesOf('tight', { facts, part: 0, units: 'mm' });
  expect(shallow!.mend).toContain('Here 0.100 mm more depth gives 0.085 mm of backlash.');
  // nominal teeth at nominal centres have none; 0.04 of the module is usual: 0.08
  expect(nominal!.cause).toContain(
    'with 20 teeth at 50.000 mm, is planned for 0.000 mm of backlash; 0.080 mm is wanted',
  );
  // spread by about 0.08/(2·tan 20°) = 0.110, a little less as the angle opens
  expect(nominal!.mend).toMatch(/^Spread the shafts to 50\.10\d mm/);
  expect(close!.cause).toBe('The shafts stand closer than 50.000 mm');
  // in inches: 0.127 deeper is five thou, and gives 0.8489·0.127/25.4 = 0.0042
  const [inInches] = causesOf('tight', { facts, part: 0, units: 'in' });
  expect(inInches!.mend).toContain('Here 0.0050 in more depth gives 0.0042 in of backlash.');
  // without a mate nothing is claimed of one
  const alone = causesOf('tight', { facts: factsOf(need(beginRun(drawn))), part: 0, units: 'mm' });
  expect(alone.map(({ cause, mend }) => cause + mend).join()).not.toMatch(/\d mm/);
});

test.each(['0', '20'])(
  'what depth gives of backlash is what the card sinks by for it, at a helix of %s°',
  (helix) => {
    const drawn = drawnSpurJob({ id: 'g', name: 'G', pitch: '2', teeth: 30, face: '20', bore: '12' });
    const paired = withSpurPart(drawn, 'p1', (part) => ({
      ...part,
      gear: {
        ...part.gear,
        helix: { typed: helix, unit: 'deg' as const },
        mate: { ...part.gear.mate, teeth: { typed: '20', unit: 'count' as const } },
      },
    }));
    const [part] = plan(paired, STOCK_EQUIPMENT).parts;
    const { perDepth, deeper, wanted, report } = stationOf(part!, 'gear')!.detail.mesh!;
    expect(deeper).toBeGreaterThan(0.05);
    expect(perDepth * deeper).toBeCloseTo(wanted - report.backlash!, 9);
  },
);

describe('a motor that labours', () => {
  const keys = (facts: ReturnType<typeof factsOf>) =>
    causesOf('motor', { facts, part: 0.5, units: 'mm' }).map(({ key }) => key);
  test('on a job that is indexed by hand it is the one that turns the cutter: feed, depth, belt, cutter, told apart', () => {
    const facts = factsOf(runOf(24));
    expect(keys(facts)).toEqual(['feed', 'deep', 'belt', 'dull']);
    const causes = causesOf('motor', { facts, part: 0.5, units: 'mm' });
    // 2.25 of m 1.5
    expect(causes[1]!.cause).toBe('The cut of 3.38 mm is too deep for this machine in one pass');
    expect(new Set(causes.map(({ test: how }) => how)).size).toBe(4);
    expect(causes.map(({ cause, test: how }) => cause + how).join()).not.toMatch(/step|worm/i);
  });
  test('where a motor divides, its lost steps come first, and the cutter’s motor is not forgotten', () => {
    const facts = { ...factsOf(runOf(24)), stepper: { stepsPerTurn: 18_000 } };
    expect(keys(facts)).toEqual(['steps', 'load', 'feed', 'deep', 'belt', 'dull']);
    // 360°/18 000 is 72″
    expect(causesOf('motor', { facts, part: 0.5, units: 'mm' })[0]!.cause).toMatch(/each is 72″ of the work/);
  });
});

describe('what a wrong setting really divides, by running the head round', () => {
  test('the pin’s own hole counted: as many moves as make a turn', () => {
    const facts = factsOf(runOf(62));
    const wrong = wrongHoles(facts)!;
    const turns = facts.moveTurns! - 1 / facts.circle!;
    expect(spindle(wrong.short, turns, 40, 0)).toBeCloseTo(1, 9);
    expect(spindle(wrong.long, facts.moveTurns! + 1 / facts.circle!, 40, 0)).toBeCloseTo(1, 9);
    expect(wrong.short).toBeGreaterThan(62);
  });
  test.each([53, 127, 59])('%d by differential: locked, and with a wrong idler', (teeth) => {
    const run = runOf(teeth, 'differential');
    const facts = factsOf(run);
    const wrong = wrongDifferential(facts)!;
    const g = 40 - teeth * facts.moveTurns!;
    expect(spindle(teeth, facts.moveTurns!, 40, g)).toBeCloseTo(1, 9);
    expect(spindle(wrong.locked, facts.moveTurns!, 40, 0)).toBeCloseTo(1, 9);
    expect(spindle(wrong.wrongWay, facts.moveTurns!, 40, -g)).toBeCloseTo(1, 9);
    // locked it is a count that indexes simply: that is how the way was found
    expect(Number.isInteger(Math.round(wrong.locked * 1e6) / 1e6)).toBe(true);
    const said = causesOf('count', { facts, part: 0.5, units: 'mm' }).map(({ key }) => key);
    expect(said.slice(0, 2)).toEqual(['locked', 'idlers']);
  });
});

test('every symptom has causes, each with a test and a way out, for every kind of run', () => {
  for (const run of [
    runOf(62),
    runOf(127, 'differential'),
    { ...runOf(24), outside: null, bore: null, safe: null },
  ])
    for (const { id } of SYMPTOMS)
      for (const part of [0, 0.5, 1]) {
        const causes = causesOf(id, { facts: factsOf(run), part, units: 'mm' });
        expect(causes.length).toBeGreaterThan(0);
        for (const { cause, test: separates, mend } of causes)
          expect(
            [cause, separates, mend].every(
              (words) => /^[A-Z].*[^ ]$/.test(words) && !/NaN|undefined|Infinity|null/.test(words),
            ),
          ).toBe(true);
      }
});

test.each([
  ['half a tooth left at the end', 'end-tooth'],
  ['there is a nick on the entry side', 'nick'],
  ['it sings and chatters', 'noise'],
  ['teeth lean over', 'lean'],
])('“%s” finds %s', (described, id) => expect(findSymptoms(described)[0]!.id).toBe(id));
test('nothing that can be matched offers them all', () =>
  expect(findSymptoms('??')).toHaveLength(SYMPTOMS.length));
test('what is matched alone is offered, alike ones in the order of the list, whatever ending a word has', () => {
  const ids = (described: string) => findSymptoms(described).map(({ id }) => id);
  expect(ids('it binds')).toEqual(['tight']);
  expect(ids('binding, stiffly')).toEqual(['tight']);
  expect(ids('vibrates')).toEqual(['noise']);
  expect(ids('thin')).toEqual(['end-tooth', 'drift', 'once-round', 'loose']);
  expect(ids('it rattles')[0]).toBe('loose');
  // two words of one go before one word of another
  expect(ids('thin and eccentric')[0]).toBe('once-round');
});
test('between two rounds none of the second is made yet; in it, those of the first do not count', () => {
  const drawn = drawnSpurJob({ id: 'j', name: 'Two', pitch: '1.5', teeth: 62, face: '14', bore: '12' });
  const job = withSpurPart(drawn, 'p1', (part) => ({
    ...part,
    cut: { ...part.cut, passes: 'rough-finish' as const },
  }));
  const run = need(beginRun(job));
  expect([61, 62, 63, 100, 124].map((done) => factsOf(run, done).done)).toEqual([61, 0, 1, 38, 62]);
});

describe('the figures that tell the causes apart, by hand', () => {
  const facts = factsOf(runOf(62), 61);
  const asked = (symptom: Parameters<typeof causesOf>[0], change: object = {}, part = 0.5) =>
    causesOf(symptom, { facts: { ...facts, ...change }, part, units: 'mm' });

  test('what is left at the end is a miscount where it is one to three whole holes, else the blank crept', () => {
    // 62 by 20 on 31: a space is 20 holes of the circle, so 0.15 of one are 3, 0.16 are 3.2, 0.2 are 4, 0.01
    // are 0.2
    const first = (part: number) => {
      const [one, two] = asked('end-tooth', {}, part);
      return [one!.key, /fits\.$|hardly fits\.$/.exec((one!.key === 'miscount' ? one : two)!.test)?.[0]];
    };
    expect(first(0.15)).toEqual(['miscount', 'fits.']);
    expect(first(0.05)).toEqual(['miscount', 'fits.']);
    expect(first(0.2)).toEqual(['crept', 'fits.']);
    expect(first(0.16)).toEqual(['crept', 'hardly fits.']);
    expect(first(0.01)).toEqual(['crept', 'hardly fits.']);
    expect(asked('end-tooth', {}, 0.15)[0]!.cause).toBe(
      'One move was miscounted: what is left is 3 spaces on the 31 circle, 0.1 turns',
    );
  });
  test('half a tooth before anything is counted: in all, and nothing of each', () => {
    const none = asked('end-tooth', { done: 0 })[0]!;
    expect(none.cause).toMatch(/crept on its mandrel: 2° 54′ 12″ in all/);
    expect(none.test).toContain('bit by bit, or from the one cut');
    // 2° 54′ 12″ over 61 spaces
    expect(asked('end-tooth')[0]!.test).toContain('bit by bit, 0° 02′ 51″ each');
  });
  test('a cutter 0.1 mm beside the middle of Ø 96 leans the teeth by 0.1/48: 7′ 10″', () => {
    expect(asked('lean')[0]!.cause).toBe(
      'The cutter stands beside the middle: for each 0.100 mm the teeth lean 0° 07′ 10″',
    );
    expect(asked('lean', { outside: null })[0]!.cause).toBe('The cutter stands beside the middle');
  });
  test('drifting: a hole short or long of each move, and the plate where gears turn it', () => {
    // 40/(20/31 − 1/31) = 65.26 and 40/(21/31) = 59.05
    expect(asked('drift').map(({ key }) => key)).toEqual(['pin-hole', 'circle', 'arms']);
    expect(asked('drift')[0]!.cause).toContain('65.26 to the turn instead of 62');
    expect(asked('drift')[0]!.test).toContain('Arms over 20 spaces');
    expect(asked('drift')[2]!.cause).toContain('a space more gives 59.05 to the turn');
    expect(asked('drift', { differential: true }).map(({ key }) => key)).toEqual(['circle', 'plate-locked']);
  });
  test('on the spindle’s own ring no crank divides; at the end of a run the last round tells what is done', () => {
    const drawn = drawnSpurJob({ id: 'j', name: 'Ratchet', pitch: '1.5', teeth: 24, face: '14', bore: '12' });
    const job = withDividing(drawn, 'p1', (dividing) => ({
      ...dividing,
      choice: {
        method: 'direct',
        advance: '1/24',
        ringId: 'ring-24',
        ringName: '24 holes',
        holes: 24,
        spaces: 1,
      },
    }));
    const run = need(beginRun(job));
    expect(factsOf(run, 24)).toMatchObject({ ratio: null, circle: null, moveTurns: null, done: 24 });
    expect(factsOf(run, 0)).toMatchObject({ done: 0, divisions: 24, spaceDeg: 15 });
    expect(causesOf('end-tooth', { facts: factsOf(run, 24), part: 0.5, units: 'mm' })[1]!.cause).toBe(
      'One move was miscounted',
    );
  });
});

test('a rack along a table has no cutter number, and a module that its caliper is set to', () => {
  const job = jobOfRack({
    spacing: { count: measure('30', 'count'), pitch: measure('1.5', 'module'), depth: measure('3.3', 'mm') },
  });
  const facts = troubleFacts(need(beginRun(job)), { next: null, last: null, doneCuts: [] });
  expect(facts.teeth).toBeNull();
  const all = SYMPTOMS.flatMap(({ id }) => causesOf(id, { facts, part: 0.25, units: 'mm' }));
  expect(all.map(({ key }) => key)).not.toContain('school');
  // a quarter of π·1.5 is 1.178: 23.6 marks of 0.05
  expect(all.find(({ key }) => key === 'miscount')!.cause).toBe(
    'One reading was mistaken: 1.178 mm is 23.6 marks, 0.24 turns of the screw',
  );
  expect(causesOf('tight', { facts, part: 0, units: 'mm' })[0]!.test).toContain(
    'caliper set to 1.500 mm should read 2.356 mm',
  );
});
