import { feedText, moveText as dialText, rpmText, type Travels } from '../setup/index.ts';
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
 * A reading of what travels, in turns and marks of its own dial: `5 turns + 56.5 marks`. Empty where it is
 * read on a readout, or its dial is not known.
 */
export function onTravelDial(
  { running, mount, units }: Pick<Run, 'running' | 'mount' | 'units'>,
  mm: number,
): string {
  if (!running?.dial || mount?.readout) return '';
  return dialText({ mm, dial: { ...running.dial, travel: null }, readout: false, system: units });
}

/** A depth in turns and marks of the screw that sets it: `1 turn + 48.8 marks`. Empty where none is known. */
export function onDepthDial({ mount, units }: Pick<Run, 'mount' | 'units'>, mm: number): string {
  if (!mount?.dial || mount.readout) return '';
  return dialText({ mm, dial: { ...mount.dial, travel: null }, readout: false, system: units });
}

/**
 * What the machine is run at, and the depth of a round on its dial: `125 rpm`, `50 mm/min`, `rough: 1 turn +
 * 48.8 marks from the touch, on the dial`. What is not known is left out.
 * @param round from 1
 */
export function runsAt(run: Run, round: number): readonly string[] {
  const { running } = run;
  const depth = run.rounds[round - 1]?.depthMm ?? null;
  const dial = depth === null ? '' : onDial(run, depth);
  return [
    ...(running?.rpm ? [rpmText(running.rpm)] : []),
    ...(running?.feed ? [feedText(running.feed, run.units)] : []),
    ...(dial === '' ? [] : [`depth ${dial}`]),
  ];
}

/**
 * A depth as it stands on the dial that was zeroed at the touch: paper under the cutter is to be gone through
 * too. Empty where there is no dial.
 */
export function onDial({ mount, units }: Pick<Run, 'mount' | 'units'>, depth: number): string {
  if (!mount) return '';
  if (mount.readout || !mount.dial)
    return mount.paper > 0 ? `${lengthText(depth + mount.paper, units, 'fine')} from the touch` : '';
  return `${onDepthDial({ mount, units }, depth + mount.paper)} from the touch, on the dial`;
}
