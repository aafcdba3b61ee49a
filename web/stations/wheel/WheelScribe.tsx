import { degreesOf } from '../../../core/units/index.ts';
import { ContactView, SwingView, TiltView, WheelSectionView } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** How table or head stands for the gash, the rim with the cutter at depth, and what bears then. */
export function WheelScribe({ station, units }: StationProps<'wheel'>) {
  const { drive, rim, setting, schools, school, cutterDiameter } = station.detail;
  if (!drive || !rim)
    return <p className="scribe-empty">The gash is drawn here as soon as drive and blank are known.</p>;
  const contact = schools.find((one) => one.school === school)?.contact ?? null;
  const helixDeg = degreesOf(drive.worm.leadAngle);
  const bearing = rim.rim === 'throat' ? rim.hollow : rim.faceWidth;
  return (
    <>
      <div className="scribe-caption">
        <span>{setting?.by === 'head' ? 'Head tilted, from the front' : 'Table swung, seen from above'}</span>
        <span>{drive.hand}-hand</span>
      </div>
      {setting &&
        (setting.way === 'right' || setting.way === 'left' ? (
          <TiltView
            hand={drive.hand}
            helixDeg={helixDeg}
            side={setting.side}
            top={setting.way}
            tiltDeg={setting.scale}
            diameter={rim.throat}
            faceWidth={rim.faceWidth}
          />
        ) : (
          <SwingView
            hand={drive.hand}
            helixDeg={helixDeg}
            rightEnd={setting.way}
            swingDeg={setting.scale}
            arborAlong={setting.arborAlong}
            diameter={rim.throat}
            faceWidth={rim.faceWidth}
            travelled={0.5}
            turn={0}
          />
        ))}
      {contact && <ContactView contact={contact} faceWidth={bearing} units={units} />}
      {!contact && school === 'hob' && (
        <p className="scribe-say">
          Hobbed to the centre distance every spot of the flank meets the worm: it bears all over.
        </p>
      )}
      <WheelSectionView
        drive={drive}
        rim={rim}
        cutterDiameter={school === 'traverse' ? null : cutterDiameter}
        units={units}
      />
    </>
  );
}
