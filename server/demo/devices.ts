import type { Device } from '../../core/devices/index.ts';

/** Where the stand-ins have their lines, which start with the demo. */
const line = (port: number) => ({ via: 'tcp', host: '127.0.0.1', port }) as const;

/** What the museum’s workshop has on its lines: stand-ins for a motor, a readout and an indicator. */
export const demoDevices: readonly Device[] = [
  {
    ...{ id: 'demo-motor', name: 'Rotary table motor', kind: 'motor', on: true, link: line(4821) },
    ...{ letter: 'A', perTurn: 360, reversed: false, speed: 720, takeUp: 0.5, pulses: 90 },
    ...{ hold: 'press', watchedBy: 'demo-readout' },
  },
  {
    ...{ id: 'demo-readout', name: 'Mill readout', kind: 'readout', on: true, link: line(4822) },
    ...{ unit: 'mm', decimal: '.' },
    axes: [
      { letter: 'X', use: 'travel', reversed: false },
      { letter: 'Z', use: 'depth', reversed: false },
      { letter: 'Y', use: 'cross', reversed: false },
    ],
  },
  {
    ...{ id: 'demo-indicator', name: 'Indicator', kind: 'tool', on: true, link: line(4823) },
    ...{ unit: 'mm', decimal: '.', reversed: false },
  },
];
