import {
  landingGround,
  landingText,
  landsText,
  type Landing,
  type LandingGround,
} from '../dividing/index.ts';
import { exact } from '../units/index.ts';
import type { Run } from './schema.ts';

/** Circles and wheel that a run's moves are read on. */
export const groundOfRun = ({ move, head }: Pick<Run, 'move' | 'head'>): LandingGround =>
  landingGround(move, exact(head?.ratio ?? '1'));

/** How a cut of a run is come to, and where the move must end. */
export function sayLanding(
  run: Pick<Run, 'move' | 'head'>,
  landing: Landing,
): { readonly how: string; readonly lands: string } {
  const ground = groundOfRun(run);
  return { how: landingText(landing, ground), lands: landsText(landing, ground) };
}
