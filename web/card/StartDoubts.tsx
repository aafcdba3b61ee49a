import { Checkbox } from 'antd';
import { breaksThings, type Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import type { AnyStationPlan } from '../../core/plan/index.ts';
import { Notice } from '../frame/index.ts';

/** What is asked of a station, each thing by itself and with its figure. */
const queriesOf = (station: AnyStationPlan): readonly Issue[] =>
  station.issues.filter(({ severity }) => severity === 'query');

const keyOf = (issue: Issue): string => `${issue.code} ${issue.path}`;

/**
 * What breaks a tool, a machine or a hand wants a tick of its own; all else that is in doubt has one
 * together.
 */
export function ticksFor(doubtful: readonly AnyStationPlan[]): readonly string[] {
  const breaking = doubtful.flatMap(queriesOf).filter(breaksThings).map(keyOf);
  const rest = doubtful.some(
    (station) => station.moved.length > 0 || queriesOf(station).some((issue) => !breaksThings(issue)),
  );
  return [...breaking, ...(rest ? ['rest'] : [])];
}

interface StartDoubtsProps {
  readonly doubtful: readonly AnyStationPlan[];
  readonly ticked: readonly string[];
  readonly onTick: (key: string, on: boolean) => void;
}

/** Everything that is in doubt before cutting: which station, what moved, what is asked. */
export function StartDoubts({ doubtful, ticked, onTick }: StartDoubtsProps) {
  const breaking = doubtful.flatMap((station) =>
    queriesOf(station)
      .filter(breaksThings)
      .map((issue) => ({ station, issue })),
  );
  const rest = doubtful
    .map((station) => ({ station, asked: queriesOf(station).filter((issue) => !breaksThings(issue)) }))
    .filter(({ station, asked }) => asked.length > 0 || station.moved.length > 0);
  const tick = (key: string, words: string) => (
    <Checkbox checked={ticked.includes(key)} onChange={({ target }) => onTick(key, target.checked)}>
      {words}
    </Checkbox>
  );
  return (
    <>
      {breaking.map(({ station, issue }) => (
        <Notice key={keyOf(issue)} tone="wrong" word={`${station.title}:`}>
          {sayIssue(issue)}
          <span className="moved">
            {tick(
              keyOf(issue),
              `I have looked at it on the machine: ${issue.code === 'setup-no-room' ? issue.detail.what.toLowerCase() : 'it'} clears.`,
            )}
          </span>
        </Notice>
      ))}
      {rest.length > 0 && (
        <Notice tone="query" word="In doubt:">
          {rest.map(({ station, asked }) => (
            <span key={station.id} className="moved">
              <b>{station.title}.</b>{' '}
              {station.moved.map(({ label, from, to }) => `${label} ${from} → ${to}.`).join(' ')}{' '}
              {asked.map(sayIssue).join(' ')}
            </span>
          ))}
          <span className="moved">{tick('rest', 'I have looked at it; cut it as it is now.')}</span>
        </Notice>
      )}
    </>
  );
}
