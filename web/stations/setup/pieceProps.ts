import type { SetupInput } from '../../../core/setup/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** What every piece of the set-up panel is given. */
export interface SetupPieceProps extends StationProps<'setup'> {
  readonly set: (change: Partial<SetupInput>) => void;
  /** Issues at a field of the set-up. */
  readonly at: (field: keyof SetupInput) => ReturnType<StationProps<'setup'>['issuesAt']>;
}
