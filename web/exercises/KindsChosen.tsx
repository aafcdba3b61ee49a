import { Checkbox } from 'antd';
import {
  EXERCISE_IDS,
  titleOf,
  topicOf,
  TOPICS,
  type ExerciseId,
  type Topic,
} from '../../core/exercises/index.ts';

interface KindsChosenProps {
  readonly chosen: readonly ExerciseId[];
  readonly onChange: (chosen: readonly ExerciseId[]) => void;
}

/** Kinds of exercises, ticked one by one or by their topic. */
export function KindsChosen({ chosen, onChange }: KindsChosenProps) {
  const swap = (ids: readonly ExerciseId[], on: boolean) =>
    onChange(EXERCISE_IDS.filter((id) => (ids.includes(id) ? on : chosen.includes(id))));
  return (
    <div className="kinds-chosen">
      {(Object.keys(TOPICS) as Topic[]).map((topic) => {
        const own = EXERCISE_IDS.filter((id) => topicOf(id) === topic);
        const ticked = own.filter((id) => chosen.includes(id)).length;
        return (
          <fieldset key={topic}>
            <legend>
              <Checkbox
                checked={ticked === own.length}
                indeterminate={ticked > 0 && ticked < own.length}
                onChange={({ target }) => swap(own, target.checked)}
              >
                <b>{TOPICS[topic]}</b>
              </Checkbox>
            </legend>
            {own.map((id) => (
              <Checkbox
                key={id}
                checked={chosen.includes(id)}
                onChange={({ target }) => swap([id], target.checked)}
              >
                {titleOf(id)}
              </Checkbox>
            ))}
          </fieldset>
        );
      })}
    </div>
  );
}
