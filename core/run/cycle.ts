import type { Cut, Run } from './schema.ts';

/** The steps before a cut, for those who want each one asked. */
export type CycleStep = 'clear' | 'unlock' | 'move' | 'arms' | 'lock';

export const CYCLE_WORDS: Readonly<Record<CycleStep | 'cut', { readonly name: string; readonly say: string }>> = {
  clear: { name: 'clear', say: 'Run back until the cutter is clear of the work' },
  unlock: { name: 'unlock', say: 'Unlock the spindle' },
  move: { name: 'move', say: 'Make the move, whole turns counted aloud' },
  arms: { name: 'arms', say: 'Bring the arms round to the pin' },
  lock: { name: 'lock', say: 'Lock the spindle' },
  cut: { name: 'cut', say: 'Cut this space' },
}; // prettier-ignore

const withoutArms: readonly CycleStep[] = ['clear', 'unlock', 'move', 'lock'];

/**
 * What comes between two cuts on this run, in order: arms only where there are some, no lock where a motor holds. A helical gear has
 * its own stages, and locks nothing.
 */
export function cycleOf({ move, helix }: Pick<Run, 'move' | 'helix'>): readonly CycleStep[] {
  if (helix) return [];
  switch (move.method) {
    case 'simple':
    case 'differential':
    case 'compound':
      return move.spaces > 0 ? ['clear', 'unlock', 'move', 'arms', 'lock'] : withoutArms;
    case 'nearest-hole':
      return ['clear', 'unlock', 'move', 'arms', 'lock'];
    case 'direct':
    case 'handwheel':
    case 'table':
      return withoutArms;
    case 'stepper':
      return ['clear', 'move'];
  }
}

const ASKED_EVERY = 6;

/** Is this a move after which a learner is asked where the pin stands? Now and then, and where a hole tells it. */
export const asksLanding = ({ landing, index }: Cut): boolean =>
  (landing.on === 'plate' || landing.on === 'two-circles') && landing.spaces > 0 && index % ASKED_EVERY === 2;
