import { lazy, memo, Suspense } from 'react';
import { useDevices } from '../state/index.ts';

const ReadingsIn = lazy(() =>
  import('../devices/index.ts').then((module) => ({ default: module.ReadingsIn })),
);

/** Where the shop has tools with a data button, their readings come into the card’s fields. */
export const CardReadings = memo(function CardReadings() {
  const has = useDevices().some(({ kind, on }) => kind === 'tool' && on);
  return has ? (
    <Suspense fallback={null}>
      <ReadingsIn />
    </Suspense>
  ) : null;
});
