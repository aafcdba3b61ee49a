import { lazy, memo, Suspense, useEffect, useState } from 'react';
import { useDevices } from '../state/index.ts';

const ReadingsIn = lazy(() =>
  import('../readings/index.ts').then((module) => ({ default: module.ReadingsIn })),
);

/** Where the shop has tools with a data button, their readings come into the card’s fields. */
export const CardReadings = memo(function CardReadings() {
  const has = useDevices().some(({ kind, on }) => kind === 'tool' && on);
  // nobody presses a button for no field
  const [touched, setTouched] = useState(false);
  useEffect(() => {
    if (!has || touched) return;
    const touch = () => setTouched(true);
    document.addEventListener('focusin', touch, { once: true });
    return () => document.removeEventListener('focusin', touch);
  }, [has, touched]);
  return has && touched ? (
    <Suspense fallback={null}>
      <ReadingsIn />
    </Suspense>
  ) : null;
});
