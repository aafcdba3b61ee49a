import { describe, expect, test } from '@jest/globals';
import { addressOf, calls, type Call } from './index.ts';

describe('what can be asked of the server', () => {
  test('a path takes its parts and a query its values, each written so that nothing in them bends the address', () => {
    expect(addressOf(calls.readJob, { params: { id: 'a/../b?c' } })).toBe('/api/jobs/a%2F..%2Fb%3Fc');
    expect(addressOf(calls.listJobs, { query: { archived: 'true' } })).toBe('/api/jobs?archived=true');
    expect(addressOf(calls.readEvents, { params: { id: 'r1' }, query: { after: 12 } })).toBe(
      '/api/runs/r1/events?after=12',
    );
    expect(addressOf(calls.backup, {})).toBe('/api/backup');
  });
  test('no two are asked at the same place in the same way', () => {
    const places = Object.values<Call>(calls).map(
      ({ method, path }) => `${method} ${path.replace(/\{\w+\}/g, '{}')}`,
    );
    expect(new Set(places).size).toBe(places.length);
  });
  test('what asks nothing of the path or the body is asked with nothing', () => {
    // @ts-expect-error a job is asked for by its id
    addressOf(calls.readJob, {});
    // @ts-expect-error a run is not asked for by a name
    addressOf(calls.readRun, { params: { name: 'r1' } });
    expect(addressOf(calls.readShop, {})).toBe('/api/shop');
  });
});
