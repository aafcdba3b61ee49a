import { moveText as dialText, type Travels } from '../setup/index.ts';
import type { Run } from '../run/index.ts';
import { lengthText } from '../units/index.ts';

/** What carries the work past the cutter: the table, but where the table divides, the cross slide. */
export const travelsOf = ({ mill }: Pick<Run, 'mill'>): Travels => (mill ? 'cross slide' : 'table');

/** Which way the table goes to run back, where the set-up tells it: `, to the left`. */
export function backWay({ mount, mill }: Pick<Run, 'mount' | 'mill'>): string {
  if (!mount?.axis || mill) return '';
  return mount.feed === 'right' ? ', to the left' : ', to the right';
}

/**
 * A depth as it stands on the dial that was zeroed at the touch: paper under the cutter is to be gone through
 * too. Empty where there is no dial.
 */
export function onDial({ mount, units }: Pick<Run, 'mount' | 'units'>, depth: number): string {
  if (!mount) return '';
  if (mount.readout || !mount.dial)
    return mount.paper > 0 ? `${lengthText(depth + mount.paper, units, 'fine')} from the touch` : '';
  const { lead, marks } = mount.dial;
  return `${dialText({ mm: depth + mount.paper, dial: { lead, marks, travel: null }, readout: false, system: units })} from the touch, on the dial`;
}
