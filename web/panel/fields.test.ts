import { describe, expect, test } from '@jest/globals';
import type { Issue } from '../../core/findings/index.ts';
import { measure } from '../../core/units/index.ts';
import { bindTo, issuesBelow } from './index.ts';

const note = (path: string): Issue => ({
  code: 'undercut',
  path,
  severity: 'note',
  detail: { angle: 20, limit: 17.1 },
});

describe('fields bound to the document', () => {
  test('each has its value, writes only itself, and asks for the issues at its own place', () => {
    const changes: object[] = [];
    const asked: string[] = [];
    const at = issuesBelow((place: 'gear.teeth' | 'gear.pitch') => {
      asked.push(place);
      return [note(place)];
    }, 'gear');
    const values = { teeth: measure('58', 'count'), pitch: measure('1.25', 'module') };
    const bind = bindTo(values, (change) => changes.push(change), at);
    const teeth = bind('teeth');
    expect(teeth.value).toEqual({ typed: '58', unit: 'count' });
    expect(teeth.issues).toEqual([note('gear.teeth')]);
    expect(asked).toEqual(['gear.teeth']);
    bind('pitch').onChange(measure('2', 'module'));
    expect(changes).toEqual([{ pitch: { typed: '2', unit: 'module' } }]);
  });
});
