import { wordsOfDivided } from '../../core/cut/index.ts';
import { roundOf, type Run, type RunState } from '../../core/run/index.ts';

const WIDTH = 1224;

/** Every cut of the round in hand as a cell: cut, next, to come. The first and every tenth stand taller. */
export function ProgressStrip({ run, state }: { readonly run: Run; readonly state: RunState }) {
  const round = (state.next ?? state.last)?.round ?? 1;
  const { from, cuts } = roundOf(run, round);
  const words = wordsOfDivided(run.divides);
  const cell = WIDTH / cuts.length;
  const gap = cell > 6 ? 2.4 : cell > 3 ? 1 : 0.3;
  const doneHere = state.doneCuts.slice(from, from + cuts.length).filter(Boolean).length;
  return (
    <svg
      className="mill-strip"
      viewBox={`0 0 ${WIDTH} 24`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${doneHere} of ${cuts.length} ${words.many} ${words.done}${run.rounds.length > 1 ? ` in round ${round}` : ''}`}
    >
      {cuts.map((cut, i) => {
        const marked = cut.space === 1 || cut.space % 10 === 0;
        const done = state.doneCuts[from + i];
        const isNext = cut === state.next;
        return (
          <rect
            key={cut.index}
            x={i * cell + gap / 2}
            y={marked ? 0 : 7}
            width={Math.max(0.5, cell - gap)}
            height={marked ? 24 : 17}
            className={isNext ? 'is-next' : done ? 'is-done' : ''}
          />
        );
      })}
    </svg>
  );
}
