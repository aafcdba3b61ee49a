import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { toothHalfAngle } from '../involute/index.ts';
import { drawnHelicalJob, drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import { thinningFromDeeper } from '../mesh/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measuredText } from '../logbook/index.ts';
import { runEventSchema } from '../run/index.ts';
import { measure } from '../units/index.ts';
import { overPins, recordOf, runoutSays, spanOver, type InspectInput } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const GEAR = { id: 'g', name: 'Gear', pitch: '2', teeth: 30, face: '20', bore: '12' };
const withReadings = (job: Job, readings: Partial<Record<keyof InspectInput, string>>): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    inspect: {
      ...part.inspect,
      ...Object.fromEntries(Object.entries(readings).map(([key, typed]) => [key, measure(typed, 'mm')])),
    },
  }));
const inspected = (readings: Partial<Record<keyof InspectInput, string>> = {}, job = drawnSpurJob(GEAR)) =>
  stationOf(plan(withReadings(job, readings), STOCK_EQUIPMENT).parts[0]!, 'inspect')!;
const checkOf = (id: string, ...args: Parameters<typeof inspected>) =>
  inspected(...args).detail.checks.find((check) => check.id === id)!;
const says = (...args: Parameters<typeof inspected>) =>
  inspected(...args).issues.map(
    (issue) => `${issue.severity} ${issue.path.replace('parts.p1.inspect.', '')}: ${sayIssue(issue)}`,
  );

describe('what it should read', () => {
  test('before anything is measured: every tool’s figure, the station open and in nobody’s way', () => {
    const station = inspected();
    expect(station).toMatchObject({ number: 8, state: 'open', complete: false });
    expect(station.answer).toMatch(/^span 21\.505 over 4 teeth$/);
    expect(plan(drawnSpurJob(GEAR), STOCK_EQUIPMENT).parts[0]!.cutting).not.toBeNull();
    expect(checkOf('outside').should).toBe(64);
    expect(checkOf('depth').should).toBeCloseTo(4.5, 9);
    // the chord of half a pitch on the pitch circle
    expect(checkOf('chordal').should).toBeCloseTo(60 * Math.sin(Math.PI / 60), 9);
  });

  test('over pins on a helix: a ball pressed between two involute helicoids, found by its distance to the flank', () => {
    const [mn, z, beta, alpha, ball] = [2, 30, rad(20), rad(20), 3.456];
    const turning = Math.atan(Math.tan(alpha) / Math.cos(beta));
    const rb = ((z * mn) / Math.cos(beta) / 2) * Math.cos(turning);
    const lead = (Math.PI * z * mn) / Math.sin(beta);
    const half = Math.PI / 2 / z + Math.tan(turning) - turning;
    // a point of one flank: involute at roll u, turned and shifted along the screw by v
    const flank = (u: number, v: number) => {
      const r = rb * Math.hypot(1, u);
      const angle = Math.PI / z - half + (u - Math.atan(u)) + v;
      return [r * Math.sin(angle), r * Math.cos(angle), (lead * v) / (2 * Math.PI)] as const;
    };
    const near = (radius: number) => {
      let best = Infinity;
      let [u0, v0, du, dv] = [0.45, 0, 0.4, 0.06];
      for (let pass = 0; pass < 7; pass += 1) {
        let at: readonly [number, number] = [u0, v0];
        for (let i = -20; i <= 20; i += 1)
          for (let k = -20; k <= 20; k += 1) {
            const [u, v] = [Math.max(0, u0 + (du * i) / 20), v0 + (dv * k) / 20];
            const [x, y, w] = flank(u, v);
            const distance = Math.hypot(x, y - radius, w);
            if (distance < best) [best, at] = [distance, [u, v]];
          }
        [[u0, v0], du, dv] = [at, du / 5, dv / 5];
      }
      return best;
    };
    // the middle of the space stands upright; out until the ball touches
    let [low, high] = [rb, rb + 12];
    for (let i = 0; i < 40; i += 1) {
      const middle = (low + high) / 2;
      if (near(middle) < ball / 2) low = middle;
      else high = middle;
    }
    const over = overPins(ball, { teeth: z, module: mn, pressureAngle: alpha, helixAngle: beta });
    expect(over).toBeCloseTo(2 * low + ball, 3);
  });

  test('a span that the face is too narrow for, and a pin that sinks, are said and asked for no reading', () => {
    const steep = drawnHelicalJob({ ...GEAR, face: '5' }, '30');
    expect(checkOf('span', {}, steep).out).toMatch(/face is too narrow/);
    expect(checkOf('span', {}, drawnHelicalJob({ ...GEAR, face: '25' }, '30')).out).toBeNull();
    expect(checkOf('pins', { pin: '0.4' }).out).toMatch(/sinks to the bottom/);
  });
});

describe('a span where teeth lean', () => {
  // worked by hand, m 2, 20 teeth at 45°: αt 27.236°, βb 41.642°, k = 20/π·(0.51474/0.55849 - 0.03938) + ½ =
  // 6.1; base Ø 50.296
  const at45 = (face: string) => drawnHelicalJob({ ...GEAR, teeth: 20, face, bore: '12' }, '45');
  test.each([
    // W6 = 1.87939·(5.5 π + 0.78756) = 33.953, and needs 33.953·sin βb = 22.56 mm of face
    ['23', 'span 33.953 over 6 teeth'],
    // over 5 it is 28.050, needs 18.64
    ['22', 'span 28.049 over 5 teeth'],
    ['15', 'span 22.145 over 4 teeth'],
  ])('a face of %s mm: %s', (face, answer) => {
    expect(inspected({}, at45(face)).answer).toBe(answer);
  });
  test('over 3 it would fit a face of 11 mm, and touch at Ø 51.74, below where the flanks begin: told by balls', () => {
    const station = inspected({}, at45('11'));
    expect(checkOf('span', {}, at45('11')).out).toMatch(/face is too narrow/);
    expect(station.answer).toMatch(/^over pins or balls \d+\.\d{3}$/);
    expect(station.values.map(({ key }) => key)).not.toContain('span');
  });

  test('whatever leans how far: what is told is touched on the flanks and on the face (seed 45)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 9, max: 120 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 3, max: 60 }),
        (teeth, degrees, face) => {
          const job = drawnHelicalJob({ ...GEAR, teeth, face: String(face), bore: '4' }, String(degrees));
          const { out, set, should } = checkOf('span', {}, job);
          if (out) return;
          const [beta, mt] = [rad(degrees), 2 / Math.cos(rad(degrees))];
          const turning = Math.atan(Math.tan(rad(20)) / Math.cos(beta));
          const leans = Math.asin(Math.sin(beta) * Math.cos(rad(20)));
          const touch = Math.hypot((teeth * mt * Math.cos(turning)) / 2, (should / 2) * Math.cos(leans));
          const pitch = (teeth * mt) / 2;
          expect(Number(/\d+/.exec(set)![0])).toBeGreaterThanOrEqual(2);
          expect(touch).toBeLessThan(pitch + 2);
          expect(touch).toBeGreaterThan(pitch - 2 - 1e-9);
          expect(should * Math.sin(leans)).toBeLessThanOrEqual(face + 1e-9);
        },
      ),
      { seed: 45, numRuns: 120 },
    );
  });

  test('an odd count that leans is told over balls, and nothing is called pins', () => {
    const odd = drawnHelicalJob({ ...GEAR, teeth: 31 }, '20');
    expect(checkOf('pins', {}, odd)).toMatchObject({
      name: 'Over balls, not pins',
      set: expect.stringMatching(/^balls of Ø 3\.456 mm/),
    });
    expect(inspected({}, odd).values.find(({ key }) => key === 'pins')!.label).toBe('Over balls, not pins');
    expect(checkOf('pins', {}, drawnHelicalJob(GEAR, '20')).name).toBe('Over pins or balls');
    expect(checkOf('pins').name).toBe('Over pins');
  });
});

describe('pins in small spaces', () => {
  test.each([12, 13, 14, 17])('%d teeth are measured over the usual pin, thick or thin', (teeth) => {
    for (const pressureAngle of ['20', '14.5']) {
      const job = withSpurPart(drawnSpurJob({ ...GEAR, teeth, bore: '6' }), 'p1', (part) => ({
        ...part,
        gear: { ...part.gear, pressureAngle: measure(pressureAngle, 'deg') },
      }));
      const gear = { teeth, module: 2, pressureAngle: rad(Number(pressureAngle)) };
      expect(checkOf('pins', {}, job)).toMatchObject({
        out: null,
        should: expect.closeTo(overPins(3.456, gear), 9),
      });
      for (const thick of [0.08, -0.02])
        expect(checkOf('pins', { pins: overPins(3.456, gear, -thick).toFixed(9) }, job).thick).toBeCloseTo(
          thick,
          6,
        );
    }
  });
  test('a pin that lies below the tips is told; a reading below anything a tooth could give tells nothing', () => {
    // 30 teeth, m 2: a pin of 3 mm stands on a circle of 60.13 mm and reaches 63.1 of 64 mm
    expect(checkOf('pins', { pin: '3' }).out).toMatch(/lies below the tips/);
    const pinion = drawnSpurJob({ ...GEAR, teeth: 12, bore: '6' });
    expect(checkOf('pins', { pins: '25' }, pinion).thick).toBeNull();
  });
});

describe('what the readings say', () => {
  test('whichever tool is used, a tooth too thick by so much is found to be that (seed 5)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        fc.constantFrom('0', '15', '28'),
        (thick, helix) => {
          const job = helix === '0' ? drawnSpurJob(GEAR) : drawnHelicalJob({ ...GEAR, face: '40' }, helix);
          const gear = { teeth: 30, module: 2, pressureAngle: rad(20), helixAngle: rad(Number(helix)) };
          const k = checkOf('span', {}, job).set.match(/\d+/)![0];
          expect(
            checkOf('span', { span: spanOver(Number(k), gear, -thick).toFixed(9) }, job).thick,
          ).toBeCloseTo(thick, 6);
          expect(checkOf('pins', { pins: overPins(3.456, gear, -thick).toFixed(9) }, job).thick).toBeCloseTo(
            thick,
            6,
          );
          // the depth by the cutter's rule, backwards
          const shallow = thick / thinningFromDeeper(1, rad(20), 26);
          if (helix === '0')
            expect(checkOf('depth', { depth: (4.5 - shallow).toFixed(9) }, job).thick).toBeCloseTo(thick, 6);
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });

  test('thick teeth on the head: sink so much more; the outside as turned moves depth and caliper', () => {
    const thick = inspected({ span: '21.60' });
    expect(thick.answer).toMatch(/^0\.101 thick: sink 0\.1\d\d more$/);
    expect(thick.state).toBe('doubt');
    const sink = thick.detail.verdict!.sink;
    expect(thinningFromDeeper(sink, rad(20), 26)).toBeCloseTo(thick.detail.verdict!.thick, 9);
    expect(says({ span: '21.60' })[0]).toMatch(
      /^query span: The teeth are 0\.101 mm too thick\. While the gear is still on the head, sink the cutter 0\.1\d\d mm more/,
    );
    expect(says({ span: '21.40' })[0]).toMatch(/too thin\. Nothing puts metal back/);
    expect(inspected({ span: '21.51' }).answer).toBe('good');
    const under = withSpurPart(drawnSpurJob(GEAR), 'p1', (part) => ({
      ...part,
      blank: { ...part.blank, measured: measure('63.9', 'mm') },
    }));
    expect(checkOf('depth', {}, under).should).toBeCloseTo(4.45, 9);
    expect(checkOf('outside', {}, under).should).toBeCloseTo(63.9, 9);
  });

  test('bad input: another unit, readings at odds, nonsense', () => {
    expect(says({ span: '0.8467' })[0]).toMatch(
      /^query span: 0\.8467 is far from the 21\.505 mm it should be\. Was it read in the other unit/,
    );
    // two readings at odds: nothing is to be sunk on the strength of one
    expect(says({ span: '21.50', pins: '65.9' })).toEqual([
      expect.stringMatching(
        /^query span: This reading says the teeth are .* too thin; over pins says .* too thick\. Measure both again/,
      ),
    ]);
    expect(inspected({ span: '21.50', pins: '65.9' }).answer).toBe('readings at odds: measure again');
    expect(says({ span: 'x' })[0]).toMatch(/^wrong span/);
    expect(says({ runout: '-1' })[0]).toMatch(/^wrong runout/);
  });

  test('runout: by a gear that sits off its axis, its teeth measured on a circle about the axis', () => {
    for (const [teeth, angle] of [
      [30, 20],
      [12, 20],
      [60, 14.5],
    ] as const) {
      const [t, alpha, r] = [0.1, rad(angle), teeth];
      const sizes = { pressureAngle: alpha, teeth } as never;
      // module 2: near and far side of the circle cross the teeth that much lower and higher
      const thick = (radius: number) =>
        2 *
        radius *
        toothHalfAngle({
          radius,
          baseRadius: r * Math.cos(alpha),
          pitchRadius: r,
          pressureAngle: alpha,
          toothThickness: Math.PI,
        });
      const found = runoutSays(t, sizes);
      const measured = Math.abs(thick(r - t / 2) - thick(r + t / 2));
      expect(Math.abs(found.thickness / measured - 1)).toBeLessThan(0.02);
      expect(found).toMatchObject({ eccentric: 0.05, depth: 0.05 });
    }
  });
});

describe('what the logbook keeps of it', () => {
  test('nothing while nothing was read', () => {
    expect(recordOf(inspected().detail, 'mm')).toBeNull();
  });
  test('each reading with what it should have been, and the verdict with its unit', () => {
    // 21.505 over 4 teeth; a span is thick by its excess over cos α
    expect(recordOf(inspected({ span: '21.60', runout: '0.03' }).detail, 'mm')).toEqual({
      readings: [
        { name: 'Span over teeth', read: 21.6, should: expect.closeTo(21.5049, 3) },
        { name: 'Runout', read: 0.03, should: null },
      ],
      verdict: expect.stringMatching(/^0\.101 mm thick: sink 0\.\d{3} mm more$/),
    });
    expect(recordOf(inspected({ span: '21.50' }).detail, 'in')!.verdict).toBe('good');
  });
  test('the tool that wrote a reading by its button goes with it, into the log and its words', () => {
    const job = withSpurPart(drawnSpurJob(GEAR), 'p1', (part) => ({
      ...part,
      inspect: {
        ...part.inspect,
        span: { typed: '21.50 mm', unit: 'mm' as const, by: 'Caliper' },
        outside: { typed: '64', unit: 'mm' as const },
        runout: { typed: '0.03 mm', unit: 'mm' as const, by: 'Indicator' },
      },
    }));
    const record = recordOf(inspected({}, job).detail, 'mm')!;
    expect(record.readings.map(({ name, by }) => [name, by])).toEqual([
      ['Outside', undefined],
      ['Span over teeth', 'Caliper'],
      ['Runout', 'Indicator'],
    ]);
    const event = {
      ...{ id: 'e', runId: 'r', device: 'd', deviceSeq: 1, lastSeen: {}, clientTime: '2026-12-02T10:00:00Z' },
      ...{ kind: 'measured', ...record },
    };
    expect(runEventSchema.parse(event)).toEqual(event);
    expect(measuredText(record, 'mm')).toContain('Span over teeth 21.500 mm by Caliper, should be 21.505 mm');
    expect(measuredText(record, 'mm')).toMatch(/^Outside 64\.000 mm, should be/);
  });
  test('readings all round go in by their middle and their swing', () => {
    const job = withSpurPart(drawnSpurJob(GEAR), 'p1', (part) => ({
      ...part,
      inspect: {
        ...part.inspect,
        round: { what: 'span' as const, readings: { typed: '21.50 21.54 21.52 21.48', unit: 'mm' as const } },
      },
    }));
    expect(recordOf(inspected({}, job).detail, 'mm')!.readings).toEqual([
      {
        name: 'Span over teeth, mean all round',
        read: expect.closeTo(21.51, 9),
        should: expect.closeTo(21.5049, 3),
      },
      { name: 'Span over teeth, least to most', read: expect.closeTo(0.06, 9), should: null },
    ]);
  });
});

describe('where the figures come from', () => {
  const worked = (...args: Parameters<typeof inspected>) =>
    new Map(
      inspected(...args).working.map(({ key, result }) => [
        key,
        Number.parseFloat(result.replace(/^[^\d]*/, '')),
      ]),
    );
  test('every figure to be read has its working, and it ends in that figure', () => {
    for (const job of [
      drawnSpurJob(GEAR),
      drawnSpurJob({ ...GEAR, teeth: 31 }),
      drawnHelicalJob({ ...GEAR, face: '25' }, '20'),
    ]) {
      const lines = worked({}, job);
      for (const id of ['chordal', 'span', 'pins'])
        expect(lines.get(id)).toBeCloseTo(checkOf(id, {}, job).should, 4);
    }
  });
  test('the angle where pins touch puts them where they are', () => {
    // 30 teeth, m 2: db = 60 cos 20°
    const { result } = inspected().working.find(({ key }) => key === 'pin-angle')!;
    const angle = rad(Number(/varphi = ([\d.]+)/.exec(result)![1]));
    expect((60 * Math.cos(rad(20))) / Math.cos(angle) + 3.456).toBeCloseTo(checkOf('pins').should, 3);
  });
  test.each([
    ['depth', '4.45'],
    ['chordal', '3.20'],
    ['span', '21.60'],
    ['pins', '64.9'],
  ] as const)('what %s says of the tooth, and how much deeper that is', (id, typed) => {
    const { verdict } = inspected({ [id]: typed }).detail;
    const lines = worked({ [id]: typed });
    expect(lines.get('thick')).toBeCloseTo(Math.abs(verdict!.thick), 3);
    if (verdict!.thick > 0) expect(lines.get('sink')).toBeCloseTo(verdict!.sink, 3);
  });
  test('what cannot be measured has none, and readings at odds ask for nothing', () => {
    expect(worked({ pin: '0.4' }).has('pins')).toBe(false);
    expect(worked({ span: '21.50', pins: '65.9' }).has('sink')).toBe(false);
  });
});
