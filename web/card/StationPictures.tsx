import { memo } from 'react';
import { Fold } from '../frame/index.ts';
import { Pictures, usePicturesAt } from '../pictures/index.ts';

/** The pictures of one station: open where there are any, else folded away. */
export const StationPictures = memo(function StationPictures({
  about,
  of,
}: {
  readonly about: string;
  readonly of: string;
}) {
  const { length } = usePicturesAt(about);
  return (
    <Fold
      className="more"
      summary={length > 0 ? `Pictures: ${length}` : 'Put a picture with it'}
      open={length > 0}
    >
      <Pictures about={about} of={of} />
    </Fold>
  );
});
