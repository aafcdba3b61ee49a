import { markText, rimText, type Landing } from '../../core/dividing/index.ts';
import type { Run } from '../../core/run/index.ts';
import { decimalText, exact } from '../../core/units/index.ts';

/** A figure with its words behind it, large enough for two metres. */
function Figure({
  figure,
  words,
  brass = false,
}: {
  readonly figure: string | number;
  readonly words: string;
  readonly brass?: boolean;
}) {
  const long = String(figure).length > 6;
  return (
    <p className={`mill-figure ${brass ? 'is-brass' : ''} ${long ? 'is-long' : ''}`}>
      {figure}
      <span> {words}</span>
    </p>
  );
}

const spacesWord = (n: number): string => (Math.abs(n) === 1 ? 'space' : 'spaces');

function Turns({ turns, last }: { readonly turns: number; readonly last: boolean }) {
  if (turns === 0) return null;
  return <Figure figure={turns} words={turns === 1 ? 'whole turn' : 'whole turns'} brass={last} />;
}

/** A move in figures: whole turns, then spaces; or what has to be read. */
export function MoveFigures({ run, landing }: { readonly run: Run; readonly landing: Landing }) {
  const { move, head } = run;
  const circle = 'circle' in move ? move.circle : move.method === 'direct' ? move.holes : 0;
  switch (landing.on) {
    case 'plate':
      return (
        <>
          <Turns turns={landing.turns} last={landing.spaces === 0} />
          {landing.spaces > 0 && (
            <Figure figure={landing.spaces} words={`${spacesWord(landing.spaces)} on ${circle}`} brass />
          )}
        </>
      );
    case 'ring':
      return (
        <Figure figure={landing.spaces} words={`${spacesWord(landing.spaces)} on the ${circle} ring`} brass />
      );
    case 'two-circles': {
      const backCircle = move.method === 'compound' ? move.back.circle : 0;
      const way = landing.back < 0 ? 'back' : 'more';
      return (
        <>
          <Turns turns={landing.turns} last={false} />
          <Figure figure={landing.spaces} words={`${spacesWord(landing.spaces)} on ${circle}, the pin`} />
          <Figure
            figure={Math.abs(landing.back)}
            words={`${spacesWord(landing.back)} ${way} on ${backCircle}, the plate with it`}
            brass
          />
        </>
      );
    }
    case 'dial': {
      if (move.method !== 'handwheel') {
        return (
          <>
            <Figure figure={landing.turns} words={landing.turns === 1 ? 'whole turn' : 'whole turns'} />
            <Figure figure={landing.mark} words="on the dial" brass />
          </>
        );
      }
      const ratio = exact(head?.ratio ?? '1');
      const mark = markText(landing.mark, move, ratio);
      return move.reads === 'angle' ? (
        <>
          <Figure figure={rimText(landing.turns, ratio)} words="on the table" />
          <Figure figure={mark} words="on the wheel" brass />
        </>
      ) : (
        <>
          <Figure figure={landing.turns} words="whole turns" />
          <Figure figure={decimalText(exact(landing.mark), 3)} words="on the wheel" brass />
        </>
      );
    }
    case 'steps':
      return (
        <>
          <Figure figure={landing.steps} words="steps" brass />
          <p className="mill-from">counted from the start; {landing.by} on from here.</p>
        </>
      );
  }
}
