import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { MOST_PICTURES, type Picture, type Problem, type Restored } from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

/** A PNG of one point, by its published layout: signature, header, one zipped byte row, end. */
const POINT =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';
const picture = (about: string, words = '') => ({ about, words, width: 1, height: 1, data: POINT });
type Listed = { readonly pictures: readonly Picture[] };

describe('pictures', () => {
  const trial = new Trial('pictures');
  beforeAll(async () => {
    await trial.start();
    await trial.keep(jobNamed('a'));
  });
  afterAll(() => trial.close());
  const words = async (about: string) =>
    (await trial.ask<Listed>('GET', `/pictures?about=${encodeURIComponent(about)}`)).body.pictures.map(
      (each) => each.words,
    );

  test('each stands with what it is of, and a job has those of its stations too, not those of its namesake', async () => {
    const put = (id: string, about: string, said: string) =>
      trial.ask<Picture>('PUT', `/pictures/${id}`, picture(about, said));
    expect((await put('p1', 'job/a', 'the drawing')).status).toBe(200);
    await put('p2', 'job/a/p1/gear', 'the worn one');
    await put('p3', 'job/a-second', 'another job');
    await put('p4', 'shop/head-1', 'the head');
    expect(await words('job/a')).toEqual(['the drawing', 'the worn one']);
    expect(await words('job/a/p1/gear')).toEqual(['the worn one']);
    expect(await words('shop/head-1')).toEqual(['the head']);
    // sent twice, as after an answer that was lost, it is one
    expect((await put('p1', 'job/a', 'the drawing')).status).toBe(200);
    expect(await words('job/a')).toHaveLength(2);
    const other = await trial.ask<Problem>('PUT', '/pictures/p1', picture('shop/head-1'));
    expect([other.status, other.body.detail]).toEqual([409, 'Another picture has the id p1.']);
  });

  test('the file itself is what was sent, of its own kind', async () => {
    const file = await fetch(`${trial.address}/api/pictures/p1`);
    expect([file.status, file.headers.get('content-type')]).toEqual([200, 'image/png']);
    expect(Buffer.from(await file.arrayBuffer()).toString('base64')).toBe(POINT);
    expect((await fetch(`${trial.address}/api/pictures/none`)).status).toBe(404);
  });

  test('what is no picture, a place that is none, one too many: refused in a sentence', async () => {
    const svg = Buffer.from('<svg onload="alert(1)"/>').toString('base64');
    const none = await trial.ask<Problem>('PUT', '/pictures/x', { ...picture('job/a'), data: svg });
    expect([none.status, none.body.detail]).toEqual([
      422,
      'That is no picture of a kind that is kept here: JPEG or PNG.',
    ]);
    expect((await trial.ask('PUT', '/pictures/x', picture('job/../shop'))).status).toBe(422);
    expect((await trial.ask('PUT', '/pictures/x', picture("job/a' or 1=1"))).status).toBe(422);
    const large = await trial.ask('PUT', '/pictures/x', {
      ...picture('job/a'),
      data: 'A'.repeat(3_000_000),
    });
    expect(large.status).toBe(413);
    for (let i = 0; i < MOST_PICTURES; i += 1)
      await trial.ask('PUT', `/pictures/many-${i}`, picture(`run/r/1-${i + 1}`));
    const more = await trial.ask<Problem>('PUT', '/pictures/many', picture('run/r'));
    expect([more.status, more.body.detail]).toEqual([
      422,
      'There are 60 pictures here already. Take one away first.',
    ]);
  });

  test('taken away it is listed no more, and comes back; words can be changed', async () => {
    await trial.ask('PATCH', '/pictures/p2', { away: true });
    expect(await words('job/a')).toEqual(['the drawing']);
    await trial.ask('PATCH', '/pictures/p2', { away: false, words: 'worn on one side' });
    expect(await words('job/a')).toEqual(['the drawing', 'worn on one side']);
    expect((await trial.ask('PATCH', '/pictures/none', { away: true })).status).toBe(404);
  });

  test('a backup takes them along, and another workshop has them from it', async () => {
    const backup = await (await fetch(`${trial.address}/api/backup`)).text();
    const other = new Trial('pictures-other');
    await other.start();
    try {
      expect((await other.ask<Restored>('POST', '/restore', backup)).status).toBe(200);
      const { body } = await other.ask<Listed>('GET', '/pictures?about=job%2Fa');
      expect(body.pictures.map((each) => each.words)).toEqual(['the drawing', 'worn on one side']);
      const file = await fetch(`${other.address}/api/pictures/p2`);
      expect(Buffer.from(await file.arrayBuffer()).toString('base64')).toBe(POINT);
      // a backup of before there were pictures is read as ever
      const { pictures: _, sha256: _hash, ...before } = JSON.parse(backup) as Record<string, unknown>;
      expect((await other.ask('POST', '/restore', JSON.stringify({ ...before, version: 1 }))).status).toBe(
        200,
      );
    } finally {
      await other.close();
    }
  });
});
