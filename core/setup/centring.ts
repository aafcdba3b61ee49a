import type { SetupInput } from './schema.ts';

/** How a cutter is brought to the middle of the work, with the move that does it where there is one. */
export interface Centring {
  readonly by: SetupInput['centring'];
  readonly name: string;
  /** mm; null where it is done without a measured move, or a figure is lacking. */
  readonly move: number | null;
  /** What to do first, and after; the one that has to be read with the move ends in a colon. */
  readonly first: string;
  readonly then: string;
  readonly formula: string;
}

interface Sizes {
  /** Outside of the work, width of the cutter, paper between; mm; null where not known. */
  readonly outside: number | null;
  readonly width: number | null;
  readonly paper: number;
  /** From the table to the head's middle, mm. */
  readonly centreHeight: number | null;
  readonly upright: boolean;
}

/**
 * The schools of centring, all five. The near face touches the work's side (over paper t): D/2 + w/2 + t more
 * brings the middle of the cutter to the middle of the work. The far face level with the work's outside: D/2
 * − w/2. Source: geometry; common practice
 */
export function centringsOf({ outside, width, paper, centreHeight, upright }: Sizes): readonly Centring[] {
  const known = outside !== null && width !== null;
  const half = known ? (outside + width) / 2 : null;
  const less = known ? (outside - width) / 2 : null;
  // an upright cutter lies flat: the work comes up under it, and the knee brings its middle to the cutter's
  const [screw, side] = upright ? ['knee', 'top'] : ['cross screw', 'side'];
  const on = upright ? 'raise the knee' : `go on the same way by the ${screw}`;
  const by = known ? ', by:' : '.';
  const held = paper > 0 ? 'the paper is just held' : 'it just touches';
  return [
    {
      by: 'touch',
      name: 'Touch with the near face',
      move: half === null ? null : half + paper,
      first: upright
        ? `Spindle stopped, the cutter over the top of the work. Raise the knee until ${paper > 0 ? 'the paper is just held under' : 'the work just touches'} the lower face of the cutter.`
        : `Spindle stopped. Bring the near face of the cutter to the side of the work until ${held}.`,
      then: `Draw clear along the table; then ${on}${by}`,
      formula: 'D/2 + w/2 + t',
    },
    {
      by: 'far',
      name: 'Far face level, by a parallel',
      move: less,
      first: upright
        ? 'Lay a parallel across the top of the work and raise the knee until the upper face of the cutter is level with it.'
        : 'Lay a parallel across the side of the work and bring the far face of the cutter up to it.',
      then: `Take the parallel away, draw clear along the table; then ${on}${by}`,
      formula: 'D/2 - w/2',
    },
    {
      by: 'height',
      name: upright ? 'By height gauge' : 'By square and slip',
      move: upright ? (centreHeight === null || width === null ? null : centreHeight + width / 2) : half,
      first: upright
        ? 'Set the height gauge, from the table, to:'
        : 'Stand a square on the table against the side of the work. From its blade to the far face of the cutter is to be:',
      then: upright
        ? 'Bring the upper face of the cutter to it by the knee.'
        : 'Bring the cutter to it by the cross screw.',
      formula: upright ? 'H + w/2' : 'D/2 + w/2',
    },
    {
      by: 'point',
      name: 'To a centre point',
      move: null,
      first: 'Put a true centre in the head. Bring a tooth of the cutter to its point.',
      then: 'Look from two sides with a lens; lock the screw; take the centre out.',
      formula: '',
    },
    {
      by: 'nick',
      name: 'By a nick turned round',
      move: null,
      first: `Cut a light nick. Turn the work half a turn, cut another beside it and measure both from the ${side} of the work.`,
      then: `Move the ${screw} by half of what they differ.`,
      formula: '',
    },
  ];
}
