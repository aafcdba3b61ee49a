import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { FILE_NAMES } from '../../core/files/index.ts';
import { drawnDriveJob, newSpurJob, withSpurPart, type Job } from '../../core/job/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';
import type { Problem } from '../../core/wire/index.ts';
import { jobNamed, Trial } from '../trial.ts';
import { readPdf } from '../readPdf/index.ts';

/** A PNG of one point, by its published layout. */
const POINT =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';

describe('files of a job', () => {
  const trial = new Trial('papers');
  beforeAll(async () => {
    await trial.start();
    await trial.keep(jobNamed('a'));
  });
  afterAll(() => trial.close());
  const get = (path: string) => fetch(`${trial.address}/api${path}`);
  const bytesOf = async (answer: Response) => new Uint8Array(await answer.arrayBuffer());
  const post = (name: string, body: unknown) =>
    fetch(`${trial.address}/api/files/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });

  test('the route sheet: its words are the plan’s, its faces are in it, it is shown in the browser', async () => {
    const answer = await get('/jobs/a/files/sheet.pdf');
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(answer.headers.get('content-disposition')).toMatch(/^inline; filename="[\w-]+-sheet\.pdf"$/);
    const pages = await readPdf(await bytesOf(answer));
    const text = pages.map((page) => page.text).join('\n');
    // jobNamed: 62 teeth of m 1.5 on three plates; what is read on the card is read here
    const { job } = (await trial.ask<{ job: Job }>('GET', '/jobs/a')).body;
    const planned = (
      await trial.ask<{ parts: { stations: { id: string; answer: string }[] }[] }>('POST', '/plan', { job })
    ).body;
    const answerOf = (id: string) => planned.parts[0]!.stations.find((station) => station.id === id)!.answer;
    const flat = text.replace(/\s+/g, ' ');
    expect(flat).toContain(job.name);
    expect(flat).toContain(answerOf('gear'));
    expect(flat).toContain(answerOf('dividing'));
    expect(flat).toContain(`sheet 1 of ${pages.length}`);
    expect(flat).toContain('Ø');
    expect([pages[0]!.wide, pages[0]!.tall].map(Math.round)).toEqual([210, 297]);
    const letter = await readPdf(
      await bytesOf(await get('/jobs/a/files/sheet.pdf?paper=letter&working=yes&spaces=yes')),
    );
    expect([letter[0]!.wide, letter[0]!.tall].map((mm) => Math.round(mm * 10) / 10)).toEqual([215.9, 279.4]);
    expect(letter.map((page) => page.text).join('')).toMatch(/Table of every place[\s\S]*Working: Gear/);
  });

  test('a plate is printed to size: the check line is 100 mm, holes stand where the table has them', async () => {
    const [page] = await readPdf(await bytesOf(await get('/jobs/a/files/plate.pdf')));
    const lengths = page!.lines.map(([x1, y1, x2, y2]) => Math.hypot(x2 - x1, y2 - y1));
    expect(lengths.some((length) => Math.abs(length - 100) < 0.001)).toBe(true);
    expect(page!.text.replace(/\s+/g, ' ')).toContain(
      '100 mm: measure this line before the print is trusted',
    );
    // the cross hairs of each hole: their middles, told from the middle of the first and the table’s first
    const table = await (await get('/jobs/a/files/holes.csv')).text();
    const holes = table
      .trim()
      .split('\r\n')
      .slice(1)
      .map((row) => row.split(',').map(Number))
      .map(([, , x, y]) => ({ x: x!, y: y! }));
    // each hole has one of its own length; nothing else on the sheet lies along as often
    const along = page!.lines.filter(([, y1, , y2]) => Math.abs(y1 - y2) < 1e-6);
    const lengthOf = ([x1, , x2]: (typeof along)[number]) => Math.round((x2 - x1) * 100);
    const often = along.map(lengthOf).sort((a, b) => a - b)[Math.floor(along.length / 2)];
    const hairs = along.filter((each) => lengthOf(each) === often);
    const middles = hairs.map(([x1, y1, x2]) => ({ x: (x1 + x2) / 2, y: y1 }));
    const [zero] = middles;
    expect(middles).toHaveLength(holes.length);
    for (const [i, { x, y }] of holes.entries()) {
      const [dx, dy] = [x - holes[0]!.x, y - holes[0]!.y];
      expect(Math.hypot(middles[i]!.x - zero!.x - dx, middles[i]!.y - zero!.y - dy)).toBeLessThan(0.002);
    }
  });

  test.each(FILE_NAMES.filter((name) => !/^(mesh|rack|worm|wheel|cutting)/.test(name)))(
    '%s is made of a spur gear',
    async (name) => {
      const answer = await get(`/jobs/a/files/${name}?by=moves&axis=C`);
      expect([name, answer.status]).toEqual([name, 200]);
      const text = new TextDecoder('latin1').decode(await bytesOf(answer));
      const begins = {
        pdf: /^%PDF-/,
        svg: /^<svg /,
        dxf: /^0\r?\nSECTION/,
        csv: /^\u00ef\u00bb\u00bf/,
        nc: /^%\n\(/,
      };
      expect(text).toMatch(begins[name.split('.')[1] as keyof typeof begins]);
    },
  );

  test('the lathe’s drawing is life size in a drawing program', async () => {
    const file = new DxfParser().parseSync(await (await get('/jobs/a/files/lathe.dxf')).text())!;
    const outline = file.entities.find(({ layer }) => layer === 'OUTLINE') as unknown as {
      vertices: { x: number; y: number }[];
    };
    const ys = outline.vertices.map(({ y }) => y);
    const told = file.entities.flatMap((each) => ('text' in each ? [String(each.text)] : []));
    const outside = Math.max(...told.map((text) => Number(text.replace(/^Ø /, ''))).filter(Number.isFinite));
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(outside, 2);
  });

  test('what a job is not ready for, and what is no file, are told in a sentence', async () => {
    const worm = await trial.ask<Problem>('GET', '/jobs/a/files/worm.svg');
    expect([worm.status, worm.body.detail]).toEqual([
      422,
      'worm.svg cannot be made of this yet: it is no worm, or the drive is not known.',
    ]);
    // how far past the work, how fast and at what feed: nothing of it is guessed
    const cutting = await trial.ask<Problem>('GET', '/jobs/a/files/cutting.nc');
    expect([cutting.status, cutting.body.detail]).toEqual([
      422,
      'cutting.nc cannot be made of this yet: it is not cut round along its face, or Set-up does not say yet how far, how fast and at what feed.',
    ]);
    expect((await trial.ask('GET', '/jobs/a/files/gear.step')).status).toBe(404);
    expect((await trial.ask('GET', '/jobs/none/files/sheet.pdf')).status).toBe(404);
    const part = await trial.ask<Problem>('GET', '/jobs/a/files/gear.svg?part=p9');
    expect(part.status).toBe(422);
    for (const bad of [
      'safe=0',
      'safe=-1',
      'deep=lots',
      'paper=A0',
      'axis=X',
      'feed=1e99',
      'begin=%25',
      'end=M30%29',
    ])
      expect([bad, (await trial.ask('GET', `/jobs/a/files/holes.nc?${bad}`)).status]).toEqual([bad, 422]);
  });

  test('by POST of a job that is stored nowhere, each part of a drive its own', async () => {
    const job = drawnDriveJob({ id: 'd', name: 'Drive', shop: STOCK_EQUIPMENT });
    for (const [name, partId] of [
      ['worm.dxf', 'p2'],
      ['lathe.pdf', 'p2'],
      ['wheel.svg', 'p1'],
      ['sheet.pdf', undefined],
    ] as const) {
      const answer = await post(name, { job, partId });
      expect([name, answer.status, answer.ok ? '' : await answer.text()]).toEqual([name, 200, '']);
    }
    const pages = await readPdf(await bytesOf(await post('sheet.pdf', { job, set: { paper: 'letter' } })));
    const text = pages
      .map((page) => page.text)
      .join(' ')
      .replace(/\s+/g, ' ');
    expect(text).toContain('not stored');
    expect(Math.round(pages[0]!.wide)).toBe(216);
    expect((await post('sheet.pdf', { job: { format: 'x', version: 1 } })).status).toBe(422);
  });

  test('400 teeth in two rounds, a name of signs that no face has, a picture: all on the sheet', async () => {
    const bare = newSpurJob({
      id: 'many',
      name: 'Zahnrad Żółć 時計 “quoted” <b>',
      units: 'mm',
      shop: STOCK_EQUIPMENT,
    });
    const job = withSpurPart(bare, 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, pitch: measure('0.5', 'module'), teeth: measure('400', 'count') },
      blank: { ...part.blank, faceWidth: measure('4', 'mm'), bore: measure('10', 'mm') },
      cut: { ...part.cut, passes: 'rough-finish', finishStock: measure('0.2', 'mm') },
    }));
    await trial.keep(job);
    const put = await trial.ask('PUT', '/pictures/pic', {
      about: 'job/many/p1/gear',
      words: 'the worn one',
      width: 1,
      height: 1,
      data: POINT,
    });
    expect(put.status).toBe(200);
    // thirteen more, which are not a sheet any longer
    for (let i = 0; i < 13; i += 1)
      await trial.ask('PUT', `/pictures/more-${i}`, {
        ...{ about: 'job/many', words: '', width: 1, height: 1, data: POINT },
      });
    const pages = await readPdf(await bytesOf(await get('/jobs/many/files/sheet.pdf')));
    const text = pages
      .map((page) => page.text)
      .join(' ')
      .replace(/\s+/g, ' ');
    expect(text).toContain('Zahnrad Żółć □□ “quoted” <b>');
    expect(text).toContain('□ stands for a sign that the letters of this sheet lack.');
    expect(text).toContain('the worn one');
    expect(pages.reduce((sum, page) => sum + page.pictures, 0)).toBe(12);
    expect(text).toContain('2 more pictures on the card');
    // every box of both rounds
    const boxed = text.slice(
      text.indexOf('Tooth spaces, rough pass'),
      text.indexOf('Small: the tooth space'),
    );
    for (const number of [1, 199, 400])
      expect(boxed.split(' ').filter((each) => each === String(number)).length).toBeGreaterThanOrEqual(2);
  });

  test('a name without an end is parted, and pushes nothing off the sheet', async () => {
    const job = { ...jobNamed('endless'), name: 'W'.repeat(120), person: 'm'.repeat(80) };
    for (const paper of ['A4', 'letter']) {
      const pages = await readPdf(await bytesOf(await post('sheet.pdf', { job, set: { paper } })));
      expect(pages[0]!.text.match(/W/g)!.length).toBeGreaterThanOrEqual(120);
      for (const { right, wide } of pages) expect(right).toBeLessThan(wide);
    }
  });

  test('a cell that begins like a formula is harmless, a negative figure stays one', async () => {
    const table = await (await get('/jobs/a/files/holes.csv')).text();
    expect(table).toMatch(/\r\n\d+,\d+,-\d+\.\d{3},/);
    expect(table).not.toMatch(/'-/);
  });
});
