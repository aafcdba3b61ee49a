import { promptName, type NowSay as Now, type Progress, type Prompt } from '../../core/prompts/index.ts';
import type { Run } from '../../core/run/index.ts';

/** A figure with its words behind it, large enough for two metres. */
function Figure({ figure, words, brass }: Now['figures'][number]) {
  const long = figure.length > 6;
  return (
    <p className={`mill-figure ${brass ? 'is-brass' : ''} ${long ? 'is-long' : ''}`}>
      {figure}
      <span> {words}</span>
    </p>
  );
}

interface NowSayProps {
  readonly now: Now;
  /** Whole turns of the move at hand, and those made. */
  readonly turns: number;
  readonly made: number;
  readonly newRound: boolean;
  readonly onTurn: () => void;
  /** Half-way: the check across is due; null where it is not. */
  readonly onChord: (() => void) | null;
}

/** What is to be done now, and only that: the thing itself large, and what the same press counts below it. */
export function NowSay({ now, turns, made, newRound, onTurn, onChord }: NowSayProps) {
  const { lead, figures, lines, why, main } = now;
  // with a figure before them two lines read well; a list of many is smaller, and numbered in the order of
  // the hands
  const list = lines.length > 2;
  return (
    <>
      {lead && <p className={`mill-lead${newRound ? ' is-new-round' : ''}`}>{lead}</p>}
      {figures.map((figure) => (
        <Figure key={figure.words} {...figure} />
      ))}
      {list ? (
        <ol className="mill-todo">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      ) : (
        lines.map((line) => (
          <p key={line} className="mill-from">
            <Line text={line} />
          </p>
        ))
      )}
      {/* what is offered comes before what is only said beside */}
      {why && !list && !onChord && <p className="mill-why">{why}</p>}
      {((main.do === 'turn' && turns > 0) || onChord) && (
        <div className="mill-ticks">
          {main.do === 'turn' && turns > 0 && (
            <TurnTicks turns={turns} made={made} shown={!onChord} onTurn={onTurn} />
          )}
          {onChord && (
            <button type="button" className="mill-tick" onClick={onChord}>
              Half-way: check across
            </button>
          )}
        </div>
      )}
    </>
  );
}

/** A press that counts a whole move is called so, and not by the arms at its end. */
function moveIn(prompts: readonly Prompt[], asked: readonly Prompt[], prompt: Prompt): Prompt {
  const isMove = ({ do: act }: Prompt) => act === 'turn' || act === 'return';
  if (prompt.do !== 'arms' || asked.some(isMove)) return prompt;
  return prompts.find(isMove) ?? prompt;
}

/**
 * Every prompt towards the cut, the one in hand lit, for those who have each one asked, and where a gear goes
 * through its return stroke.
 */
export function PromptStrip({
  run,
  progress,
  asked,
}: {
  readonly run: Run;
  readonly progress: Progress;
  readonly asked: readonly Prompt[];
}) {
  const { prompts, made } = progress;
  const now = progress.now.at(-1);
  return (
    <ol className="mill-stroke is-cycle" aria-label="Steps before the cut">
      {asked.map((prompt) => {
        const isNow = prompt === now;
        const isMade = prompts.indexOf(prompt) < made;
        return (
          <li
            key={prompt.key}
            className={isNow ? 'is-now' : isMade ? 'is-made' : ''}
            aria-current={isNow ? 'step' : undefined}
          >
            {isMade ? '✓ ' : ''}
            {promptName(run, moveIn(prompts, asked, prompt))}
          </li>
        );
      })}
    </ol>
  );
}

/** Whole turns ticked off one by one, for those who are interrupted in the middle of a move. */
function TurnTicks({
  turns,
  made,
  shown,
  onTurn,
}: Pick<NowSayProps, 'turns' | 'made' | 'onTurn'> & {
  /** Each turn with its own mark; the button counts them too. */
  readonly shown: boolean;
}) {
  const left = made >= turns;
  return (
    <>
      {shown && turns <= 10 && (
        <span className="mill-tick-row" role="img" aria-label={`${made} of ${turns} turns made`}>
          {Array.from({ length: turns }, (_, i) => (
            <span key={i} className={i < made ? 'is-made' : ''}>
              {i < made ? '✓' : i + 1}
            </span>
          ))}
        </span>
      )}
      <button type="button" className="mill-tick" onClick={onTurn} disabled={left}>
        {left ? (turns === 1 ? 'The turn is made' : 'All turns made') : `Turn ${made + 1} of ${turns} made`}{' '}
        <small className="key-hint">T</small>
      </button>
    </>
  );
}

/** The hole to land in stands out of its sentence. */
function Line({ text }: { readonly text: string }) {
  const [before, hole, after] = text.split(/(?<=lands in hole )(\d+)/);
  return hole === undefined ? (
    text
  ) : (
    <>
      {before}
      <b>{hole}</b>
      {after}
    </>
  );
}
