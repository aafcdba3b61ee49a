import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pino } from 'pino';
import type { Problem } from '../core/wire/index.ts';
import { readConfig } from './config.ts';
import { scratchFolder } from './scratch.ts';
import { startServer } from './start.ts';
import { Trial } from './trial.ts';

const trial = new Trial('server');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

describe('settings', () => {
  test('PORT, HOST and VUELTA_DATA, and their defaults', () => {
    expect(readConfig({}, [], '/shop')).toMatchObject({
      host: '127.0.0.1',
      port: 4810,
      dataFolder: '/shop/data',
      workshop: 'own',
    });
    expect(
      readConfig({ PORT: '0', HOST: '0.0.0.0', VUELTA_DATA: '/elsewhere' }, ['--demo'], '/shop'),
    ).toMatchObject({ host: '0.0.0.0', port: 0, dataFolder: '/elsewhere', workshop: 'demo' });
    expect(() => readConfig({ PORT: 'eighty' }, [], '/shop')).toThrow(
      'PORT must be a whole number from 0 to 65535; “eighty” is not.',
    );
  });
  test('a taken port is said plainly', async () => {
    const port = Number(new URL(trial.address).port);
    const other = mkdtempSync(path.join(scratchFolder(), 'vuelta-port-'));
    await expect(
      startServer({ ...trial.config, port, dataFolder: other }, pino({ level: 'silent' })),
    ).rejects.toThrow(`Port ${port} is taken by another program. Set PORT to a free one.`);
    rmSync(other, { recursive: true, force: true });
  });
});

describe('manners', () => {
  test('an unknown address, security headers, the API’s own description', async () => {
    expect((await ask<Problem>('GET', '/nowhere')).status).toBe(404);
    expect((await ask<Problem>('GET', '/jobs/nobody')).body.detail).toBe(
      'There is no job with the id nobody.',
    );
    const response = await fetch(`${trial.address}/api/health`);
    expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(response.headers.get('x-powered-by')).toBeNull();
    const { body } = await ask<{
      openapi: string;
      paths: Record<
        string,
        Record<string, { requestBody?: { content: Record<string, { schema: object }> } }>
      >;
      components: { schemas: { Job: { properties: object } } };
    }>('GET', '/openapi.json');
    expect(body.openapi).toBe('3.1.0');
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(['/api/plan', '/api/jobs/{id}', '/api/runs/{id}/events', '/api/shop']),
    );
    const planBody = body.paths['/api/plan']!['post']!.requestBody!.content['application/json']!.schema;
    expect(planBody).toMatchObject({ properties: { job: { $ref: '#/components/schemas/Job' } } });
    expect(Object.keys(body.components.schemas.Job.properties)).toEqual(
      expect.arrayContaining(['parts', 'relations', 'equipment']),
    );
  });
  test('the description tells the shape of every answer, pairing too, and each name it refers to is there', async () => {
    const { body } = await ask<{
      paths: Record<
        string,
        Record<string, { responses: Record<string, { content: Record<string, Schema> }> }>
      >;
      components: { schemas: Record<string, object> };
    }>('GET', '/openapi.json');
    interface Schema {
      readonly schema: object;
    }
    const answers = Object.entries(body.paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, { responses }]) => {
        const good = responses['200'] ?? responses['201'];
        return [`${method} ${path}`, good!.content['application/json']!.schema] as const;
      }),
    );
    expect(answers.map(([name]) => name)).toEqual(
      expect.arrayContaining(['post /api/plan', 'get /api/log/{id}', 'post /api/pair', 'get /api/pairing']),
    );
    expect(answers.filter(([, schema]) => Object.keys(schema).length === 0)).toEqual([]);
    const { 'get /api/jobs/{id}': job, 'get /api/jobs/{id}/export': file } = Object.fromEntries(answers);
    expect(job).toMatchObject({ properties: { job: { $ref: '#/components/schemas/Job' } } });
    expect(file).toMatchObject({ description: 'A file of its own format' });
    const named = [...JSON.stringify(body).matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)].map(
      ([, name]) => name!,
    );
    expect(new Set(named)).toEqual(new Set(['Problem', 'Job', 'Equipment', 'Run', 'RunEvent']));
    for (const name of named) expect(Object.keys(body.components.schemas)).toContain(name);
  });
  test('the page is asked for before it is built: said, not a fault', async () => {
    const response = await fetch(`${trial.address}/jobs/x`);
    expect([response.status, await response.text()]).toEqual([
      503,
      'The page is not built yet: run npm run build.',
    ]);
    expect((await fetch(`${trial.address}/assets/none.js`)).status).toBe(404);
  });
});
