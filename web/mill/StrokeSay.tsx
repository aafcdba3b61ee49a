import { CLEARED, INDEXED, type Cut, type Run } from '../../core/run/index.ts';
import { depthSay } from './MoveSay.tsx';
import { StrokeSteps } from './StrokeSteps.tsx';

interface StrokeSayProps {
  readonly run: Run;
  readonly stage: number;
  readonly next: Cut;
  readonly last: Cut;
}

/** A helical gear between two cuts, but for the move of the crank: draw clear, run back, go in. */
export function StrokeSay({ run, stage, next, last }: StrokeSayProps) {
  const depth = depthSay(run, next);
  return (
    <>
      <StrokeSteps stage={stage} />
      {stage < CLEARED && (
        <>
          <p className="mill-lead">Space {last.space} is cut. Stop the feed; draw the work</p>
          <p className="mill-figure is-brass">
            clear<span> of the cutter: lower the knee</span>
          </p>
          <p className="mill-from">
            The gears have slack. Run back in the space and the cutter drags across the flank it has just cut.
          </p>
        </>
      )}
      {stage === CLEARED && (
        <>
          <p className="mill-lead">The cutter is clear. Run the table</p>
          <p className="mill-figure is-brass">
            back<span> past the start of the face</span>
          </p>
          <p className="mill-from">
            The work turns back with it. Then come on a little the way it cuts, so that the slack is taken up.
          </p>
        </>
      )}
      {stage >= INDEXED && (
        <>
          <p className="mill-lead">
            {next.round !== last.round ? `Round ${next.round}. ` : ''}Indexed to space {next.space}. Pin home; go
          </p>
          <p className="mill-figure is-brass">
            in<span>{depth ? ` to ${depth}` : ' to depth'}</span>
          </p>
          <p className="mill-from">
            Up to the mark on the knee, spindle and plate free: the table turns the work. Feed over the whole face.
          </p>
        </>
      )}
    </>
  );
} // prettier-ignore
