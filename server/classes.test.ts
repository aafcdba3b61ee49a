import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { poseExercise, type Draw } from '../core/exercises/index.ts';
import type { ClassBoard, ClassListed, LearnerStands, Problem } from '../core/wire/index.ts';
import { Trial } from './trial.ts';

const DRAW: Draw = { kind: 'arms', seed: 5, level: 1 };
const holes = Number(poseExercise(DRAW).fields[0]!.answer);
const RIGHT = { holes: String(holes) };
/** The pin’s own hole left out. */
const SLIPPED = { holes: String(holes - 1) };

describe('classes', () => {
  const trial = new Trial('classes');
  beforeAll(() => trial.start());
  afterAll(() => trial.close());

  const make = async (name: string, kinds: readonly string[] = []) =>
    (await trial.ask<ClassListed>('POST', '/classes', { name, kinds })).body;
  const join = (code: string, name: string, figures = '') =>
    trial.ask<LearnerStands>('POST', '/learners', { code, name, figures });
  const joined = async (code: string, name: string) => (await join(code, name)).body;
  const tries = (token: string, id: string, answers: object, draw: Draw = DRAW) =>
    trial.ask<{ right: boolean }>('POST', `/learners/${token}/tries`, { id, draw, answers });
  const board = async (key: string) => (await trial.ask<ClassBoard>('GET', `/classes/${key}`)).body;
  const refused = async (asked: Promise<{ status: number; body: unknown }>) => {
    const { status, body } = await asked;
    return [status, (body as Problem).detail];
  };

  test('learners join by the code, try, and the teacher sees who tried what with which slip', async () => {
    const made = await make('Evening class', ['arms', 'outside']);
    expect(made.code).toMatch(/^[B-Z]{5}$/);
    const ana = await joined(made.code.toLowerCase(), 'Ana');
    const ben = await joined(made.code, 'Ben');
    expect(ana.class).toEqual({ name: 'Evening class', kinds: ['arms', 'outside'], jobId: null });
    expect(ana.seed).not.toBe(ben.seed);
    expect((await tries(ana.token, 't1', SLIPPED)).body).toEqual({ right: false });
    expect((await tries(ana.token, 't2', RIGHT)).body).toEqual({ right: true });
    expect((await tries(ben.token, 't1', SLIPPED)).body).toEqual({ right: false });
    // sent twice, as after an answer that was lost, it is one; and marked as it was
    expect((await tries(ana.token, 't1', RIGHT)).body).toEqual({ right: false });
    const { class: seen, learners, slips } = await board(made.key);
    expect(seen).toMatchObject({ name: 'Evening class', learners: 2 });
    const slip = 'Those are the spaces';
    expect(learners.map(({ number, name, kinds }) => ({ number, name, kinds }))).toEqual([
      { number: 1, name: 'Ana', kinds: [{ kind: 'arms', tried: 2, right: 1, last: true, level: 1, slip }] },
      { number: 2, name: 'Ben', kinds: [{ kind: 'arms', tried: 1, right: 0, last: false, level: 1, slip }] },
    ]);
    expect(slips).toEqual([{ kind: 'arms', slip, learners: 2, times: 2 }]);
    // neither token nor figures of anyone stand on the teacher’s page
    expect(JSON.stringify(await board(made.key))).not.toContain(ana.token);
    const stands = await trial.ask<LearnerStands>('GET', `/learners/${ana.token}`);
    expect(stands.body.tried).toEqual([
      { draw: DRAW, right: false },
      { draw: DRAW, right: true },
    ]);
  });

  test('with a job to rehearse the teacher sees how far each is at the bench, with what harm', async () => {
    const { body: made } = await trial.ask<ClassListed>('POST', '/classes', {
      name: 'Bench class',
      kinds: [],
      jobId: 'wheel',
    });
    const [ana, ben, eva] = await Promise.all(['Ana', 'Ben', 'Eva'].map((name) => joined(made.code, name)));
    const tell = (learner: LearnerStands, told: object) =>
      trial.ask<{ kept: boolean }>('PUT', `/learners/${learner.token}/bench`, {
        ...{ jobId: 'wheel', of: 26 },
        ...told,
      });
    // a fault sought and found, then a new blank: what was best and what was found stay
    await tell(ana!, { made: 14, harms: { gouged: 2 }, hidden: { seed: 7, found: false } });
    await tell(ana!, { made: 26, harms: { gouged: 2 }, hidden: { seed: 7, found: true } });
    await tell(ana!, { made: 3, hidden: { seed: 9, found: false } });
    // told late, after it was found, it stays found
    await tell(ana!, { made: 3, hidden: { seed: 7, found: false } });
    expect((await tell(ben!, { made: 5, harms: { gouged: 1, 'pin-broken': 1 } })).body).toEqual({
      kept: true,
    });
    // of another job nothing is kept
    expect((await tell(eva!, { jobId: 'own', made: 9 })).body).toEqual({ kept: false });
    const { learners, harms } = await board(made.key);
    const at = expect.any(String);
    expect(learners.map(({ bench }) => bench)).toEqual([
      { made: 3, of: 26, best: 26, harms: [], sought: 2, found: 1, at },
      {
        ...{ made: 5, of: 26, best: 5, sought: 0, found: 0, at },
        harms: [
          { what: 'gouged', times: 1 },
          { what: 'pin-broken', times: 1 },
        ],
      },
      null,
    ]);
    expect(harms).toEqual([
      { what: 'gouged', learners: 1 },
      { what: 'pin-broken', learners: 1 },
    ]);
    expect((await tell(ana!, { made: -1 })).status).toBe(422);
    expect((await tell(ana!, { made: 2, harms: { laughed: 1 } })).status).toBe(422);
    expect((await trial.ask('PUT', '/learners/none/bench', { jobId: 'wheel', made: 1, of: 2 })).status).toBe(
      404,
    );
    // given another job, what was done with the last is not told as if it were of this
    await trial.ask('PUT', `/classes/${made.key}`, { name: 'Bench class', kinds: [], jobId: 'rack' });
    expect((await board(made.key)).learners.map(({ bench }) => bench)).toEqual([null, null, null]);
    // a learner who leaves takes it along
    await trial.ask('PUT', `/classes/${made.key}`, { name: 'Bench class', kinds: [], jobId: 'wheel' });
    await trial.ask('DELETE', `/learners/${ben!.token}`, {});
    expect((await board(made.key)).harms).toEqual([]);
  });

  test('a name is one learner’s: a second tablet comes in by the four figures, and guessing ends', async () => {
    const { code } = await make('Names');
    const first = await joined(code, 'Ana  María');
    expect(await refused(join(code, 'ana maría'))).toEqual([
      409,
      'Somebody in this class is called Ana  María already. If it is you, type the four figures you were given; else take another name.',
    ]);
    const back = await join(code, 'ANA MARÍA', first.figures);
    expect([back.status, back.body.token]).toEqual([201, first.token]);
    const wrong = first.figures === '0000' ? '0001' : '0000';
    for (let i = 0; i < 10; i += 1) expect((await join(code, 'Ana María', wrong)).status).toBe(409);
    // not even by the right ones any more
    expect((await refused(join(code, 'Ana María', first.figures)))[0]).toBe(429);
  });

  test('what is refused, in a sentence: no such class, names of no letters and of 5000, rubbish', async () => {
    const { code, key } = await make('Rubbish');
    expect(await refused(join('ZZZZZ9', 'Ana'))).toEqual([
      404,
      'No class has the code ZZZZZ9. It stands on the teacher’s page: five letters.',
    ]);
    expect((await join(code, '   ')).status).toBe(422);
    expect((await join(code, 'x'.repeat(5000))).status).toBe(422);
    expect((await trial.ask('POST', '/classes', { name: 'C', kinds: ['knitting'] })).status).toBe(422);
    const { token } = await joined(code, 'Ana');
    expect((await tries(token, 'a', { holes: '9^9^9' })).body).toEqual({ right: false });
    expect((await tries(token, 'b', { holes: 'x'.repeat(5000) })).status).toBe(422);
    expect((await tries(token, 'c', RIGHT, { ...DRAW, kind: 'knitting' as never })).status).toBe(422);
    expect((await tries(token, 'd', RIGHT, { ...DRAW, seed: -1 })).status).toBe(422);
    // a learner’s token opens no class, a class’s key no learner
    expect((await trial.ask('GET', `/classes/${token}`)).status).toBe(404);
    expect((await trial.ask('GET', `/learners/${key}`)).status).toBe(404);
    expect((await trial.ask('GET', `/classes/${code}`)).status).toBe(404);
  });

  test('other exercises for the class, and deleting: a learner, oneself, a class, with all of theirs alone', async () => {
    const other = await make('Other');
    const kept = await joined(other.code, 'Kept');
    await tries(kept.token, 'k', RIGHT);
    const { key, code } = await make('Ends');
    const [ana, ben, cleo] = [
      await joined(code, 'Ana'),
      await joined(code, 'Ben'),
      await joined(code, 'Cleo'),
    ];
    for (const { token } of [ana, ben, cleo]) await tries(token, 'x', RIGHT);
    const changed = await trial.ask<ClassListed>('PUT', `/classes/${key}`, {
      name: 'Ended',
      kinds: ['pins'],
      jobId: 'lens',
    });
    expect(changed.body).toMatchObject({ name: 'Ended', kinds: ['pins'], jobId: 'lens', learners: 3 });
    expect((await trial.ask<LearnerStands>('GET', `/learners/${ben.token}`)).body.class).toMatchObject({
      name: 'Ended',
      jobId: 'lens',
    });
    const without = await trial.ask<ClassBoard>('DELETE', `/classes/${key}/learners/1`);
    expect(without.body.learners.map(({ name }) => name)).toEqual(['Ben', 'Cleo']);
    expect((await trial.ask('GET', `/learners/${ana.token}`)).status).toBe(404);
    expect((await tries(ana.token, 'y', RIGHT)).status).toBe(404);
    await trial.ask('DELETE', `/learners/${ben.token}`);
    // a number that was given is not given again
    const dora = await joined(code, 'Dora');
    expect((await board(key)).learners.map(({ number, name }) => [number, name])).toEqual([
      [3, 'Cleo'],
      [4, 'Dora'],
    ]);
    await trial.ask('DELETE', `/classes/${key}`);
    for (const { token } of [cleo, dora])
      expect((await trial.ask('GET', `/learners/${token}`)).status).toBe(404);
    expect((await trial.ask('GET', `/classes/${key}`)).status).toBe(404);
    expect((await board(other.key)).learners[0]!.kinds).toHaveLength(1);
  });

  test('thirty tablets at once: every try is kept once, for whom it is', async () => {
    const { key, code } = await make('Thirty');
    const learners = await Promise.all(Array.from({ length: 30 }, (_, i) => joined(code, `Learner ${i}`)));
    expect(new Set(learners.map(({ token }) => token)).size).toBe(30);
    await Promise.all(
      learners.flatMap(({ token }, i) =>
        Array.from({ length: 6 }, (_, k) => tries(token, `t${k % 5}`, k < i % 5 ? RIGHT : SLIPPED)),
      ),
    );
    const seen = await board(key);
    expect(seen.learners.map(({ number }) => number)).toEqual(Array.from({ length: 30 }, (_, i) => i + 1));
    for (const { kinds } of seen.learners) expect(kinds[0]!.tried).toBe(5);
    expect(seen.slips[0]!.learners).toBeGreaterThan(20);
  });

  test('all classes are listed on this machine', async () => {
    const { body } = await trial.ask<{ classes: ClassListed[] }>('GET', '/classes');
    expect(body.classes.map(({ name }) => name)).toEqual(expect.arrayContaining(['Thirty', 'Other']));
  });
});
