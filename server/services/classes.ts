import { randomBytes, randomInt } from 'node:crypto';
import {
  markExercise,
  poseExercise,
  slipName,
  type Answers,
  type Draw,
  type ExerciseId,
  type Level,
} from '../../core/exercises/index.ts';
import {
  MOST_CLASSES,
  MOST_LEARNERS,
  MOST_TRIES,
  type BodyOf,
  type Calls,
  type ClassBoard,
  type ClassListed,
  type LearnerStands,
} from '../../core/wire/index.ts';
import { ClassRow, LearnerRow, TryRow } from '../entities/index.ts';
import { notFound, refuse } from '../problems.ts';
import { benchesOf, commonestHarms, keepBench } from './benches.ts';
import { classOf, forget, forgetAll, learnerOf, now } from './classRows.ts';
import type { Store } from '../store.ts';

/** Letters that are told apart when read from a board: no I, O, L, no vowels that would make words. */
const LETTERS = 'BCDFGHJKMNPQRTVWXYZ';
const CODE_LENGTH = 5;
/** Wrong figures for a name before it is closed. */
const MOST_WRONG = 10;
const MOST_SLIPS = 12;

type Given = BodyOf<Calls['makeClass']>;

const secret = (): string => randomBytes(16).toString('hex');
const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');
const fourFigures = (): string => String(randomInt(10_000)).padStart(4, '0');
const fold = (name: string): string => name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ');
const kindsOf = ({ kinds }: ClassRow): ExerciseId[] => JSON.parse(kinds) as ExerciseId[];

const givenTo = (row: ClassRow) => ({ name: row.name, kinds: kindsOf(row), jobId: row.jobId || null });
const listed = (row: ClassRow, learners: number): ClassListed => ({
  key: row.key,
  code: row.code,
  ...givenTo(row),
  learners,
  madeAt: row.madeAt,
});

/** What a learner did of a kind, as the store sums it up. */
interface Tally {
  readonly token: string;
  readonly kind: ExerciseId;
  readonly tried: number;
  readonly rights: number;
  readonly last: number;
  readonly level: number;
  readonly at: string;
}

/** Sums of each learner and kind, with the last try of it. */
const TALLIES = `select t.token, t.kind, s.tried, s.rights, t.is_right as last, t.level, t.at
  from exercise_try t join (select max(arrival) as newest, count(*) as tried, sum(is_right) as rights
  from exercise_try where class_key = ? group by token, kind) s on t.arrival = s.newest`;
const SLIPS = `select kind, slip, count(distinct token) as learners, count(*) as times from exercise_try
  where class_key = ? and slip <> '' group by kind, slip order by learners desc, times desc, kind, slip limit ${MOST_SLIPS}`;
const OWN_SLIPS = `select token, kind, slip, count(*) as times from exercise_try
  where class_key = ? and slip <> '' group by token, kind, slip order by times desc, slip`;

/** Classes of learners: who is in them, what they were given, what they tried. */
export class ClassService {
  private readonly store: Store;
  constructor(store: Store) {
    this.store = store;
  }

  /** @throws Refused 422 for one class too many */
  async make(given: Given): Promise<ClassListed> {
    return this.store.em.fork().transactional(async (em) => {
      if ((await em.count(ClassRow)) >= MOST_CLASSES) throw refuse(422, 'classes-many', String(MOST_CLASSES));
      let code = newCode();
      while (await em.findOne(ClassRow, { code })) code = newCode();
      const row = em.create(ClassRow, { key: secret(), code, ...columnsOf(given), madeAt: now() });
      return listed(row, 0);
    });
  }

  async list(): Promise<{ readonly classes: ClassListed[] }> {
    const em = this.store.em.fork();
    const rows = await em.find(ClassRow, {}, { orderBy: { madeAt: 'desc', key: 'asc' } });
    const counts: { class_key: string; many: number }[] = await em
      .getConnection()
      .execute('select class_key, count(*) as many from learner group by class_key');
    const of = new Map(counts.map(({ class_key: key, many }) => [key, many]));
    return { classes: rows.map((row) => listed(row, of.get(row.key) ?? 0)) };
  }

  /** @throws Refused 404 */
  async board(key: string): Promise<ClassBoard> {
    const em = this.store.em.fork();
    const row = await classOf(em, key);
    const learners = await em.find(LearnerRow, { classKey: key }, { orderBy: { number: 'asc' } });
    const ask = <Row>(sql: string): Promise<Row[]> => em.getConnection().execute(sql, [key]);
    const tallies = await ask<Tally>(TALLIES);
    const slips = await ask<ClassBoard['slips'][number]>(SLIPS);
    const own = await ask<{ token: string; kind: string; slip: string }>(OWN_SLIPS);
    const benches = await benchesOf(em, row);
    const slipOf = new Map<string, string>();
    // the most frequent comes first
    for (const { token, kind, slip } of own) {
      const at = `${token} ${kind}`;
      if (!slipOf.has(at)) slipOf.set(at, slip);
    }
    const byToken = new Map<string, Tally[]>();
    for (const tally of tallies) byToken.set(tally.token, [...(byToken.get(tally.token) ?? []), tally]);
    return {
      class: listed(row, learners.length),
      learners: learners.map(({ token, number, name, joinedAt }) => {
        const kinds = byToken.get(token) ?? [];
        return {
          number,
          name,
          joinedAt,
          lastAt: kinds.reduce<string | null>(
            (last, { at }) => (last === null || at > last ? at : last),
            null,
          ),
          kinds: kinds.map(({ kind, tried, rights, last, level }) => ({
            kind,
            tried,
            right: rights,
            last: last === 1,
            level,
            slip: slipOf.get(`${token} ${kind}`) ?? null,
          })),
          bench: benches.get(token) ?? null,
        };
      }),
      harms: commonestHarms([...benches.values()]),
      slips,
    };
  }

  /** @throws Refused 404 */
  async change(key: string, given: Given): Promise<ClassListed> {
    return this.store.em.fork().transactional(async (em) => {
      const row = await classOf(em, key);
      em.assign(row, columnsOf(given));
      return listed(row, await em.count(LearnerRow, { classKey: key }));
    });
  }

  /** A class with everyone in it. @throws Refused 404 */
  async delete(key: string): Promise<{ readonly deleted: boolean }> {
    return this.store.em.fork().transactional(async (em) => {
      await classOf(em, key);
      await forgetAll(em, key);
      return { deleted: true };
    });
  }

  /** @throws Refused 404 */
  async remove(key: string, number: string): Promise<ClassBoard> {
    await this.store.em.fork().transactional(async (em) => {
      await classOf(em, key);
      const learner = await em.findOne(LearnerRow, { classKey: key, number: Number(number) });
      if (!learner) throw notFound('learner', number);
      await forget(em, learner.token);
    });
    return this.board(key);
  }

  /**
   * Joins, or comes back by the four figures.
   * @throws Refused 404 for no such class, 409 for a name that is taken, 422 for a full class, 429 after too
   * many wrong figures
   */
  async join({ code, name, figures }: BodyOf<Calls['joinClass']>): Promise<LearnerStands> {
    const em = this.store.em.fork();
    const row = await em.findOne(ClassRow, { code: code.toUpperCase() });
    if (!row) throw refuse(404, 'class-unknown', code);
    const nameFolded = fold(name);
    const known = await em.findOne(LearnerRow, { classKey: row.key, nameFolded });
    if (known) return this.comeBack(known, figures);
    const token = await em.transactional(async (inside) => {
      if ((await inside.count(LearnerRow, { classKey: row.key })) >= MOST_LEARNERS)
        throw refuse(422, 'class-full', String(MOST_LEARNERS));
      const [last] = await inside.find(
        LearnerRow,
        { classKey: row.key },
        { orderBy: { number: 'desc' }, limit: 1 },
      );
      const learner = inside.create(LearnerRow, {
        token: secret(),
        classKey: row.key,
        number: (last?.number ?? 0) + 1,
        name,
        nameFolded,
        figures: fourFigures(),
        wrongFigures: 0,
        seed: randomInt(2 ** 32),
        joinedAt: now(),
      });
      return learner.token;
    });
    return this.stands(token);
  }

  /** The same name once more: it is who has the figures. */
  private async comeBack(known: LearnerRow, figures: string): Promise<LearnerStands> {
    const { token, name } = known;
    if (figures === '') throw refuse(409, 'learner-name-taken', name);
    if (known.wrongFigures >= MOST_WRONG) throw refuse(429, 'learner-locked', name);
    const right = figures === known.figures;
    await this.store.em
      .fork()
      .nativeUpdate(LearnerRow, { token }, { wrongFigures: right ? 0 : known.wrongFigures + 1 });
    if (!right) throw refuse(409, 'learner-number-wrong', name);
    return this.stands(token);
  }

  /** @throws Refused 404 */
  async stands(token: string): Promise<LearnerStands> {
    const em = this.store.em.fork();
    const { name, figures, seed, classKey } = await learnerOf(em, token);
    const row = await classOf(em, classKey);
    const tries = await em.find(TryRow, { token }, { orderBy: { arrival: 'asc' } });
    return {
      token,
      name,
      figures,
      seed,
      class: givenTo(row),
      tried: tries.map((one) => ({
        draw: { kind: one.kind as ExerciseId, seed: one.seed, level: one.level as Level },
        right: one.isRight === 1,
      })),
    };
  }

  /** Marks what was answered and keeps it, once. @throws Refused 404, 422 for one too many */
  async addTry(
    token: string,
    { id, draw, answers }: { readonly id: string; readonly draw: Draw; readonly answers: Answers },
  ): Promise<{ readonly right: boolean }> {
    const { right, slips } = markExercise(poseExercise(draw), answers);
    return this.store.em.fork().transactional(async (em) => {
      const { classKey } = await learnerOf(em, token);
      const known = await em.findOne(TryRow, { token, id });
      if (known) return { right: known.isRight === 1 };
      if ((await em.count(TryRow, { token })) >= MOST_TRIES)
        throw refuse(422, 'tries-many', String(MOST_TRIES));
      const slip = slips[0] ? slipName(slips[0]).slice(0, 200) : '';
      em.create(TryRow, { id, token, classKey, ...draw, isRight: right ? 1 : 0, slip, at: now() });
      return { right };
    });
  }

  /** How far a learner is with the class’s job; of another job nothing is kept. @throws Refused 404 */
  async tellBench(token: string, told: BodyOf<Calls['tellBench']>): Promise<{ readonly kept: boolean }> {
    return this.store.em.fork().transactional(async (em) => {
      const { classKey } = await learnerOf(em, token);
      const { jobId } = await classOf(em, classKey);
      if (jobId !== told.jobId) return { kept: false };
      await keepBench(em, { token, classKey }, told);
      return { kept: true };
    });
  }

  /** @throws Refused 404 */
  async leave(token: string): Promise<{ readonly deleted: boolean }> {
    return this.store.em.fork().transactional(async (em) => {
      await learnerOf(em, token);
      await forget(em, token);
      return { deleted: true };
    });
  }
}

const columnsOf = ({ name, kinds, jobId }: Given) => ({
  name,
  kinds: JSON.stringify(kinds),
  jobId: jobId ?? '',
});
