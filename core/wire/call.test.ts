import { describe, expect, test } from '@jest/globals';
import { addressOf, calls, PLACES, type Asked, type Call, type Calls } from './index.ts';

describe('what can be asked of the server', () => {
  test('a path takes its parts and a query its values, each written so that nothing in them bends the address', () => {
    expect(addressOf(PLACES.readJob, { params: { id: 'a/../b?c' } })).toBe('/api/jobs/a%2F..%2Fb%3Fc');
    expect(addressOf(PLACES.listJobs, { query: { archived: 'true' } })).toBe('/api/jobs?archived=true');
    expect(addressOf(PLACES.readEvents, { params: { id: 'r1' }, query: { after: 12 } })).toBe(
      '/api/runs/r1/events?after=12',
    );
    expect(addressOf(PLACES.listLog, { query: { words: '', outcome: undefined } })).toBe('/api/log?words=');
    expect(addressOf(PLACES.backup, {})).toBe('/api/backup');
  });
  test('no two are asked at the same place in the same way', () => {
    const places = Object.values<Call>(calls).map(
      ({ method, path }) => `${method} ${path.replace(/\{\w+\}/g, '{}')}`,
    );
    expect(new Set(places).size).toBe(places.length);
  });
  test('what a call takes is known to whoever asks it', () => {
    // @ts-expect-error a job is asked for by its id
    const none: Asked<Calls['readJob']> = {};
    // @ts-expect-error a run is not asked for by a name
    const named: Asked<Calls['readRun']> = { params: { name: 'r1' } };
    const save: Asked<Calls['duplicateJob']> = { params: { id: 'a' }, body: { id: 'b', name: 'Copy' } };
    expect([none, named, save]).toHaveLength(3);
  });
  test('each is asked where it is answered', () => {
    expect(Object.keys(PLACES).sort()).toEqual(Object.keys(calls).sort());
    for (const [name, place] of Object.entries(PLACES))
      expect(calls[name as keyof typeof calls]).toMatchObject(place);
  });
});
