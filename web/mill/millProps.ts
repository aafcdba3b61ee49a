import type { Run, RunAct, RunEvent, RunState } from '../../core/run/index.ts';
import type { RunLogState } from '../runLog/index.ts';

/**
 * What the mill screen and its pieces are given: the run, the state of its count, and the way to add to it.
 */
export interface MillProps {
  readonly run: Run;
  readonly state: RunState;
  readonly events: readonly RunEvent[];
  readonly act: (...acts: readonly RunAct[]) => void;
  readonly link: Pick<RunLogState, 'link' | 'waiting' | 'keeps' | 'refused' | 'trouble'>;
}
