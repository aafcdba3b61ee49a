import type { Device, DeviceLink } from '../../core/devices/index.ts';
import { newId } from '../state/index.ts';

export const KINDS: Readonly<Record<Device['kind'], { readonly name: string; readonly article: string }>> = {
  motor: { name: 'Motor', article: 'a motor' },
  readout: { name: 'Readout', article: 'a readout' },
  tool: { name: 'Measuring tool', article: 'a measuring tool' },
};

export const linkText = (link: DeviceLink): string =>
  link.via === 'tcp' ? `${link.host}, port ${link.port}` : `${link.path}, ${link.baud} baud`;

function freeName(name: string, devices: readonly Device[]): string {
  const taken = (wanted: string) => devices.some((device) => device.name === wanted);
  let [made, k] = [name, 1];
  while (taken(made)) made = `${name} ${(k += 1)}`;
  return made;
}

/** A device before anything is said of it: as most are, on the port that a stand-in has. */
export function deviceAfresh(kind: Device['kind'], devices: readonly Device[]): Device {
  const base = (name: string, port: number) => ({
    ...{ id: newId(), name: freeName(name, devices), on: true },
    link: { via: 'tcp', host: 'localhost', port } as const,
  });
  switch (kind) {
    case 'motor':
      return {
        ...base('Table motor', 4821),
        ...{ kind, letter: 'A', perTurn: 360, reversed: false, speed: 720, takeUp: 0.5, pulses: 0 },
        hold: 'press',
        // where there is one readout, it is the one
        watchedBy: devices.find((device) => device.kind === 'readout')?.id ?? null,
      };
    case 'readout':
      return {
        ...base('Mill readout', 4822),
        ...{ kind, unit: 'mm', decimal: '.' },
        axes: [
          { letter: 'X', use: 'travel', reversed: false },
          { letter: 'Z', use: 'depth', reversed: false },
        ],
      };
    case 'tool':
      return { ...base('Indicator', 4823), ...{ kind, unit: 'mm', decimal: '.', reversed: false } };
  }
}
