import { Input, Slider } from 'antd';
import { useId, useState } from 'react';
import {
  causesOf,
  findSymptoms,
  SYMPTOMS,
  symptomText,
  troubleFacts,
  type SymptomId,
} from '../../core/trouble/index.ts';
import { MillDialog } from './MillDialog.tsx';
import type { MillProps } from './millProps.ts';

interface TroubleProps extends Pick<MillProps, 'run' | 'state'> {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onEnd: (() => void) | null;
  /** What was seen already; null where the person has to say. */
  readonly seen: SymptomId | null;
  /** Where teeth are measured; null for work that has none. */
  readonly onMeasure: (() => void) | null;
}

/**
 * Something looks wrong: what is seen, what may be behind it, and the test that tells, in this run’s figures.
 */
export function Trouble({ open, run, state, seen, onClose, onEnd, onMeasure }: TroubleProps) {
  const id = useId();
  const [described, setDescribed] = useState('');
  const [chosen, setChosen] = useState<SymptomId | null>(seen);
  const [part, setPart] = useState(50);
  const symptom = SYMPTOMS.find((each) => each.id === chosen) ?? null;
  const ask = { facts: troubleFacts(run, state), part: part / 100, units: run.units };
  const isTooth = ask.facts.work !== 'divided' && !ask.facts.table;
  const ofWhat = isTooth ? 'a tooth and its space' : 'the step from one to the next';
  const causes = symptom ? causesOf(symptom.id, ask) : [];
  return (
    <MillDialog
      open={open}
      title="Something looks wrong"
      onClose={onClose}
      width={720}
      afterClose={() => setChosen(seen)}
    >
      {symptom ? (
        <>
          <button type="button" className="plain-link" onClick={() => setChosen(null)}>
            ← Something else
          </button>
          <p className="trouble-lead">{symptomText(symptom, ask.facts)}</p>
          {symptom.id === 'end-tooth' && (
            <div className="trouble-part">
              <label htmlFor={`${id}-part`}>
                What is there, or lacking, is about {part} hundredths of {ofWhat}
              </label>
              <Slider
                id={`${id}-part`}
                min={1}
                max={100}
                value={part}
                onChange={setPart}
                aria-label="How much of a tooth"
              />
            </div>
          )}
          <ol className="trouble-list">
            {causes.map(({ key, cause, test, mend }) => (
              <li key={key}>
                <b>{cause}.</b>
                <span>
                  <em>Test:</em> {test}
                </span>
                <span>
                  <em>Then:</em> {mend}
                </span>
              </li>
            ))}
          </ol>
          {symptom.id === 'tight' && ask.facts.work === 'gear' && onMeasure && (
            <button type="button" className="use-button is-next" onClick={onMeasure}>
              Measure it: how much to sink
            </button>
          )}
          <p className="soft">
            The likeliest first. Stop the spindle before you look or touch; leave the blank on the head until
            it is found.
          </p>
        </>
      ) : (
        <>
          <label htmlFor={id}>What do you see, hear or measure?</label>
          <Input
            id={id}
            size="large"
            value={described}
            onChange={({ target }) => setDescribed(target.value)}
            placeholder="half a tooth left at the end"
            autoComplete="off"
          />
          <div className="trouble-symptoms">
            {findSymptoms(described)
              // what cannot come of this work is not offered
              .filter(({ id: each }) => causesOf(each, ask).length > 0)
              .map((each) => (
                <button key={each.id} type="button" className="use-button" onClick={() => setChosen(each.id)}>
                  {symptomText(each, ask.facts)}
                </button>
              ))}
          </div>
        </>
      )}
      {onEnd && (
        <button type="button" className="plain-link" onClick={onEnd}>
          It cannot be saved: end, scrap or start again…
        </button>
      )}
    </MillDialog>
  );
}
