import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { sayIssue } from '../messages/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import {
  NO_EQUIPMENT,
  STOCK_EQUIPMENT,
  STOCK_GEARS,
  STOCK_HEADS,
  STOCK_MILL,
  type Head,
} from '../shop/index.ts';
import {
  drawnSpurJob,
  duplicateJob,
  indexedParts,
  JOB_VERSION,
  jobFileText,
  newSpurJob,
  readJob,
  readJobFile,
  withHead,
  type Job,
} from './index.ts';
import type { SpurPart } from '../kinds/index.ts';
import { migrateJob, type RawJob } from './migrate.ts';

const job = drawnSpurJob({
  id: 'j1',
  name: 'Lens drive, second wheel',
  pitch: '1.25',
  teeth: 58,
  face: '12',
  bore: '10',
});
const codes = (text: string) => {
  const read = readJobFile(text);
  return read.ok ? 'ok' : read.issues.map(({ code, path }) => (path ? `${code} at ${path}` : code)).join();
};

describe('job files', () => {
  test('a job survives being written and read, what was typed unchanged', () => {
    const typed = {
      ...job,
      parts: [
        {
          ...job.parts[0]!,
          blank: {
            faceWidth: { typed: ' 1/2 + 1/4 in', unit: 'mm' },
            bore: { typed: '.3940', unit: 'in' },
            measured: { typed: '', unit: 'mm' },
          },
        },
      ],
    } as Job;
    const back = readJobFile(jobFileText(typed));
    expect(back).toEqual({ ok: true, value: typed });
  });

  test.each([1, 2, 3, 4, 5, 6, 7, 8])(
    'the kept sample of version %d still reads, and is brought up to today',
    (version) => {
      const sample = readFileSync(new URL(`./samples/v${version}.json`, import.meta.url), 'utf8');
      const read = readJobFile(`\uFEFF${sample}`);
      expect(read).toMatchObject({
        ok: true,
        value: { version: JOB_VERSION, name: 'Lens drive, second wheel' },
      });
      // what was typed and settled is as it was
      const { parts } = JSON.parse(sample) as Job;
      const [was, is] = [parts[0] as SpurPart, (read.ok ? read.value.parts[0] : null) as SpurPart];
      const { dividing: before, ...rest } = was;
      const { dividing: after, ...same } = is;
      expect(same).toMatchObject(rest);
      expect(after.headId).toBe(before.headId);
      if (version < 3 && before.choice) {
        const { divisions, ...move } = before.choice as unknown as { divisions: number };
        expect(after.choice).toEqual({ ...move, advance: `1/${divisions}`, exact: true });
      } else expect(after.choice).toEqual(before.choice);
      expect(
        stationOf(plan(read.ok ? read.value : job, STOCK_EQUIPMENT).parts[0]!, 'dividing')!.state,
      ).not.toBe('doubt');
    },
  );

  test.each([1, 2, 3, 4, 5, 6, 7])(
    'version %d comes to version 8 by the steps as they were written, word for word',
    (version) => {
      const kept = (name: string): RawJob =>
        JSON.parse(readFileSync(new URL(`./samples/${name}.json`, import.meta.url), 'utf8')) as RawJob;
      expect(migrateJob(kept(`v${version}`), 8)).toEqual(kept(`in-v8/v${version}`));
    },
  );

  test('a job of version 8 is nobody’s and has no tags', () => {
    const kept = readFileSync(new URL('./samples/v8.json', import.meta.url), 'utf8');
    const before = JSON.parse(kept) as RawJob;
    expect(migrateJob(before, 9)).toEqual({ ...before, version: 9, person: '', tags: [] });
  });

  test('tags are words on one line, each once, and no more than twenty', () => {
    const reads = (tags: readonly string[]) => readJob({ ...job, tags }).ok;
    expect(reads(['orrery', 'brass', 'O’Neill’s'])).toBe(true);
    expect(reads(Array.from({ length: 20 }, (_, i) => `tag ${i}`))).toBe(true);
    expect(reads(Array.from({ length: 5000 }, (_, i) => `tag ${i}`))).toBe(false);
    for (const bad of [['twice', 'twice'], [''], ['two\nlines'], ['x'.repeat(41)]])
      expect(reads(bad)).toBe(false);
  });

  test('not JSON, cut short anywhere, another file, a later version', () => {
    const text = jobFileText(job);
    expect(codes('pitch: 1.25')).toBe('not-json');
    expect(codes('')).toBe('not-json');
    for (const part of [0.05, 0.3, 0.5, 0.77, 0.99])
      expect(codes(text.slice(0, Math.floor(text.length * part)))).toBe('cut-short');
    expect(codes('{"format":"vuelta-job",}')).toBe('not-json');
    expect(codes('{"hello":1}')).toBe('not-a-job');
    expect(codes('[1,2]')).toBe('not-a-job');
    expect(codes('null')).toBe('not-a-job');
    const later = readJobFile(text.replace(`"version": ${JOB_VERSION}`, '"version": 99'));
    expect(later.ok ? '' : sayIssue(later.issues[0]!)).toBe(
      `This job file is of version 99; this Vuelta reads up to ${JOB_VERSION}. Update Vuelta, then import it again.`,
    );
    expect(codes(text.replace(`"version": ${JOB_VERSION}`, '"version": 0.5'))).toBe('shape at version');
  });

  test('shape problems name the part by its id, and all are told', () => {
    const wrong = JSON.parse(jobFileText(job)) as {
      name: string;
      parts: { gear: { pitch: { unit: string } }; kind: string }[];
    };
    wrong.parts[0]!.gear.pitch.unit = 'furlong';
    wrong.name = '';
    expect(codes(JSON.stringify(wrong))).toBe('shape at name,shape at parts.p1.gear.pitch.unit');
  });

  test('two parts of one id, a relation to nothing, a plate twice, a circle of 0, 2.5 or 100 000 holes', () => {
    const part = job.parts[0]!;
    const head = job.equipment.heads[0]!;
    const plates = (circles: number[]) => ({
      ...job,
      equipment: {
        ...job.equipment,
        heads: [{ ...head, plates: [{ id: 'x', name: 'X', sides: [{ circles }], made: false }] }],
      },
    });
    const bad = (raw: unknown) => !readJob(raw).ok;
    expect(bad({ ...job, parts: [part, part] })).toBe(true);
    expect(bad({ ...job, relations: [{ id: 'r', kind: 'pair', parts: ['p1', 'p9'] }] })).toBe(true);
    expect(
      bad({
        ...job,
        equipment: { ...job.equipment, heads: [{ ...head, plates: [head.plates[0], head.plates[0]] }] },
      }),
    ).toBe(true);
    expect([0, 2.5, 100000].map((holes) => bad(plates([holes])))).toEqual([true, true, true]);
    expect(bad(plates([29]))).toBe(false);
  });
});

describe('making and changing jobs', () => {
  test('a new job has everything still to be given, and a copy of its head', () => {
    const fresh = newSpurJob({ id: 'j2', name: 'New', units: 'in', shop: STOCK_EQUIPMENT });
    expect(readJob(fresh).ok).toBe(true);
    expect((fresh.parts[0] as SpurPart).gear.pitch).toEqual({ typed: '', unit: 'dp' });
    expect(fresh.equipment).toEqual({
      ...NO_EQUIPMENT,
      heads: [STOCK_HEADS[0]],
      gearSets: [STOCK_GEARS],
      mills: [STOCK_MILL],
    });
  });
  test('another head replaces the copy and puts the way chosen aside', () => {
    const moved = withHead({ job, partId: 'p1', head: STOCK_HEADS[1] as Head, shop: STOCK_EQUIPMENT });
    expect(moved.equipment.heads.map(({ id }) => id)).toEqual(['head-two-sided']);
    expect(indexedParts(moved)[0]!.dividing).toMatchObject({ headId: 'head-two-sided', choice: null });
    expect(job.equipment.heads[0]!.id).toBe('head-three-plates');
  });
  test('a duplicate is the same job by another name', () => {
    expect(duplicateJob(job, 'j3', 'Again')).toEqual({ ...job, id: 'j3', name: 'Again' });
  });
});
