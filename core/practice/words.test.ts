import { expect, test } from '@jest/globals';
import { act, freshMachine, isHarm, sayPin, sayTold, type Action, type Told } from './index.ts';
import { benchFor } from '../sampleBench.ts';

const on = (bench: ReturnType<typeof benchFor>, actions: readonly Action[]) =>
  actions.reduce((machine, action) => act(bench, machine, action).machine, freshMachine(bench));

test('how the pin stands, on the plate and on the ring', () => {
  const plain = benchFor({ teeth: 26, module: 1.5 });
  const { circle } = plain.run.move as { circle: number };
  const out: Action = { do: 'pin', to: 'out' };
  const said = (...actions: readonly Action[]) => sayPin(plain, on(plain, actions));
  expect(said()).toBe('Pin in hole 0');
  expect(said(out, { do: 'crank', turns: `${2 * circle + 5}/${circle}` })).toBe(
    'Pin out, over hole 5, 2 turns on',
  );
  expect(said(out, { do: 'crank', turns: `1/${2 * circle}` })).toBe('Pin out, between two holes');
  expect(said(out, { do: 'crank', turns: `-1/${circle}` })).toBe(
    `Pin out, over hole ${circle - 1}, 1 turn back`,
  );
  const direct = benchFor({ teeth: 12, module: 2, method: 'direct' });
  const ring = (...actions: readonly Action[]) => sayPin(direct, on(direct, actions));
  expect(ring()).toBe('Direct pin in hole 0');
  expect(ring({ do: 'direct-pin', to: 'out' }, { do: 'spindle', turns: '1/12' })).toBe(
    'Direct pin out, over hole 2',
  );
  expect(ring({ do: 'worm', to: 'in' }, out, { do: 'crank', turns: '1' })).toBe('The direct pin is broken');
});

test('whatever would spoil the part says what to do at a real machine; what a hand sees by itself says nothing', () => {
  const harms: readonly Told[] = [
    { what: 'gouged', degrees: 0.6, depth: 0.21 },
    { what: 'pin-broken' },
    { what: 'shifted', degrees: 0.375 },
    { what: 'plunged', depth: 1 },
    { what: 'stalled' },
  ];
  expect(harms.every(isHarm)).toBe(true);
  expect(harms.map((told) => sayTold(told, 'mm'))).toEqual([
    'Turned 0.6° while the cutter was in the work: gouged, 0.21 mm deep. Run back past the first touch before you index.',
    'Cranked with the direct pin in and the worm home: the pin broke. Never both engaged.',
    'Cut with the spindle unlocked: the work gave 0.38°. Lock it before every cut.',
    'Sunk 1.00 mm into the work from above. Run clear first, then set the depth.',
    'The work is against a cutter that does not turn: nothing moves. At a real mill teeth of the cutter break. Start the spindle clear of the work.',
  ]);
  expect(sayTold({ what: 'gouged', degrees: 6, depth: 0.508 }, 'in')).toContain('0.020 in deep');
  expect(sayTold({ what: 'did' }, 'mm')).toBe('');
});
