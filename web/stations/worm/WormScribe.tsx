import { ThreadView, WormView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** The thread cut through the axis, its tool in a space. */
export function WormScribe({ station, units }: StationProps<'worm'>) {
  const { drive, length } = station.detail;
  if (!drive) return <p className="scribe-empty">The thread is drawn here as soon as the drive is known.</p>;
  const { starts, hand } = drive;
  return (
    <>
      <div className="scribe-caption">
        <span>The thread and its tool</span>
        <span>
          {starts === 1 ? 'single' : `${starts} starts`}, {hand}-hand
        </span>
      </div>
      <ThreadView drive={drive} units={units} />
      {length !== null && <WormView drive={drive} length={length} units={units} />}
    </>
  );
}
