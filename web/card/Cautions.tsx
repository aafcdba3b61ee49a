import { memo, useEffect, useState } from 'react';
import { breaksMachine, wordsOf, type Caution } from '../../core/station/index.ts';
import { usePreferences } from '../state/index.ts';

/** As long as it takes to read them. */
const READING_MS = 4000;

/**
 * The cautions of a station: in full until they were read once, then on one line that opens. They are in full
 * again when their words change, and what breaks the machine is never folded.
 */
export const Cautions = memo(function Cautions({ cautions }: { readonly cautions: readonly Caution[] }) {
  // what is being read does not fold under the eyes: it counts from the next time the station is opened
  const [before] = useState(() => new Set(usePreferences.getState().cautionsRead));
  const readCautions = usePreferences((preferences) => preferences.readCautions);
  const [opened, setOpened] = useState(false);
  const words = cautions.map(wordsOf).join('\n');
  useEffect(() => {
    const timer = setTimeout(() => readCautions(words.split('\n')), READING_MS);
    return () => clearTimeout(timer);
  }, [words, readCautions]);
  if (cautions.length === 0) return null;
  const folds = (caution: Caution) => before.has(wordsOf(caution)) && !breaksMachine(caution);
  const folded = cautions.filter(folds);
  const open = opened ? cautions : cautions.filter((caution) => !folds(caution));
  return (
    <div className="caution">
      {open.map(({ code, when, text }) => (
        <p key={code}>
          <strong>{when}:</strong> {text}
        </p>
      ))}
      {folded.length > 0 && (
        <button
          type="button"
          className="caution-fold"
          aria-expanded={opened}
          onClick={() => setOpened(!opened)}
        >
          {opened
            ? folded.length === 1
              ? 'Fold it again'
              : 'Fold them again'
            : folded.map(({ code, when }) => <strong key={code}>{when}</strong>)}
          {!opened && <span className="soft">{folded.length === 1 ? 'caution' : 'cautions'}, read</span>}
        </button>
      )}
    </div>
  );
});
