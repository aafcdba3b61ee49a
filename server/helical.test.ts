import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { newDivideJob, drawnSpurJob, withMatePart, withSpurPart, type Job } from '../core/job/index.ts';
import type { BendAnswer, LeadWay } from '../core/lead/index.ts';
import { stationOf, type Plan } from '../core/plan/index.ts';
import { foldRun, type Run, type RunEvent } from '../core/run/index.ts';
import { equipmentToToday, STOCK_EQUIPMENT, type Equipment } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import type { Problem, StoredJob } from '../core/wire/index.ts';
import { Trial } from './trial.ts';

const trial = new Trial('helical');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

interface Leads {
  readonly trains: readonly LeadWay[];
  readonly bent: BendAnswer;
}

const drawn = withSpurPart(
  drawnSpurJob({ id: 'blower', name: 'Blower drive', pitch: '1.5', teeth: 30, face: '18', bore: '12' }),
  'p1',
  (part) => ({
    ...part,
    gear: {
      ...part.gear,
      helix: measure('20', 'deg'),
      mate: { ...part.gear.mate, teeth: measure('45', 'count') },
    },
  }),
);
const pair = withMatePart({ job: drawn, partId: 'p1', crossed: null }).job;

describe('helical gears over HTTP', () => {
  test('the plan has a lead for either gear of a pair; the longer search answers with trains and bent angles', async () => {
    const planned = await ask<Plan>('POST', '/plan', { job: pair });
    expect(planned.body.parts.map((part) => stationOf(part, 'lead')!.answer)).toEqual([
      '48 : 44, 32 : 72, swing 20°',
      expect.stringMatching(/, swing 20°$/),
    ]);
    const leads = await ask<Leads>('POST', '/leads', { job: pair, partId: 'p2' });
    expect(leads.body.trains).toHaveLength(50);
    expect(leads.body.trains[0]!.lead / 620).toBeCloseTo(1, 2);
    expect(leads.body.bent.pair!.length).toBeGreaterThan(3);
  });

  test('a part without a lead has none; one that is not there, or no gear, is refused', async () => {
    const straight = drawnSpurJob({
      id: 's',
      name: 'Straight',
      pitch: '1.5',
      teeth: 30,
      face: '18',
      bore: '12',
    });
    expect((await ask<Leads>('POST', '/leads', { job: straight })).body).toEqual({
      trains: [],
      bent: { single: [], pair: null },
      finished: true,
    });
    expect((await ask<Problem>('POST', '/leads', { job: pair, partId: 'p9' })).status).toBe(404);
    const flats = newDivideJob({ id: 'd', name: 'Flats', units: 'mm', shop: STOCK_EQUIPMENT });
    expect((await ask<Problem>('POST', '/leads', { job: flats })).status).toBe(404);
  });

  test('pitches at odds are refused when stored, at their field; the plan still answers', async () => {
    const odds: Job = withSpurPart(drawn, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, otherPitch: measure('2', 'module') },
    }));
    const refused = await ask<Problem>('PUT', '/jobs/blower', { revision: 0, job: odds });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toMatch(/gear.otherPitch/);
    expect((await ask<Plan>('POST', '/plan', { job: odds })).body.parts[0]!.cutting).not.toBeNull();
  });

  test('a run goes through its return stroke, and a restart loses none of it', async () => {
    const { revision } = (await ask<StoredJob>('PUT', '/jobs/blower', { revision: 0, job: pair })).body;
    const { run } = (
      await ask<{ run: Run }>('POST', '/jobs/blower/runs', { id: 'run-blower', partId: 'p1', revision })
    ).body;
    expect(run.helix).toMatchObject({ hand: 'right', idlers: 0 });
    const acts = [
      { kind: 'done', round: 1, index: 1 },
      { kind: 'stroke', round: 1, index: 2, stage: 1 },
      { kind: 'stroke', round: 1, index: 2, stage: 2 },
    ];
    const events = acts.map((act, i) => ({
      ...act,
      id: `e${i}`,
      runId: 'run-blower',
      device: 'bench',
      deviceSeq: i + 1,
      lastSeen: {},
      clientTime: '2026-11-25T09:00:00Z',
    }));
    expect((await ask('POST', '/runs/run-blower/events', { events })).status).toBe(200);
    expect(
      (
        await ask<Problem>('POST', '/runs/run-blower/events', {
          events: [{ ...events[1], id: 'bad', stage: 7 }],
        })
      ).status,
    ).toBe(422);
    await trial.stop();
    await trial.start();
    const kept = (await ask<{ events: RunEvent[] }>('GET', '/runs/run-blower/events?after=0')).body.events;
    expect(foldRun(run, kept)).toMatchObject({ done: 1, heeded: ['out', 'back'] });
  });

  test('a shop that rested before tables swung is read as one of which that is not known', () => {
    const {
      swing: _s,
      scaleMinutes: _m,
      tableLength: _l,
      tableWidth: _w,
      toColumn: _c,
      headTilts: _h,
      ...old
    } = STOCK_EQUIPMENT.mills[0]!;
    const today = equipmentToToday({ ...STOCK_EQUIPMENT, mills: [old] }) as Equipment;
    expect(today).toEqual(STOCK_EQUIPMENT);
  });
});
