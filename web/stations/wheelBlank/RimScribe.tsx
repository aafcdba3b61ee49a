import { WheelSectionView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** The rim about the worm, cut through. */
export function RimScribe({ station, units }: StationProps<'wheelBlank'>) {
  const { facts, drive } = station.detail;
  if (!facts || !drive)
    return <p className="scribe-empty">The rim is drawn here as soon as the drive is known.</p>;
  return (
    <>
      <div className="scribe-caption">
        <span>The rim about its worm, cut through</span>
        <span>{drive.teeth} teeth</span>
      </div>
      <WheelSectionView drive={drive} rim={facts} units={units} />
    </>
  );
}
