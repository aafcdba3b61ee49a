import { useState } from 'react';
import { faultOf, faultsFor, type FaultKey, type PracticeBench } from '../../core/practice/index.ts';
import { foldRun } from '../../core/run/index.ts';
import { causesOf, troubleFacts } from '../../core/trouble/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';

interface NameFaultProps {
  /** As the card has it: what can be chosen does not tell what was hidden. */
  readonly bench: PracticeBench;
  readonly hidden: FaultKey;
  readonly units: UnitSystem;
  readonly onFound: () => void;
}

/** What is wrong? Named, it is told which test separates it from its neighbours, in this job’s figures. */
export function NameFault({ bench, hidden, units, onFound }: NameFaultProps) {
  const [named, setNamed] = useState<FaultKey | null>(null);
  const right = named === hidden;
  const cause = named && causeOf(bench, named, units);
  return (
    <section className="practice-fault" aria-label="Find the fault">
      <p>Something is not as it was set. Cut, look, measure; then name it.</p>
      {named && cause && (
        <div role="status" className={right ? 'is-right' : 'is-wrong'}>
          <p>
            <b>{right ? 'Yes.' : 'It is not that.'}</b> {right ? `${cause.cause}.` : ''}
          </p>
          <p>
            <em>Test:</em> {cause.test}
          </p>
          {right && (
            <p>
              <em>Then:</em> {cause.mend}
            </p>
          )}
        </div>
      )}
      {!right && (
        <div className="practice-fault-list">
          {faultsFor(bench).map(({ key, say }) => (
            <button
              key={key}
              type="button"
              className="use-button"
              aria-pressed={key === named}
              onClick={() => {
                setNamed(key);
                if (key === hidden) onFound();
              }}
            >
              {say}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}

/** The cause as “Something looks wrong” has it for this run. */
function causeOf(bench: PracticeBench, key: FaultKey, units: UnitSystem) {
  const facts = troubleFacts(bench.run, foldRun(bench.run, []));
  const fault = faultOf(bench, key);
  return fault && causesOf(fault.symptom, { facts, part: 0.5, units }).find((cause) => cause.key === key);
}
