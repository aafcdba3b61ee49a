import { bindTo } from '../../panel/index.ts';
import { decimalText } from '../../../core/units/index.ts';
import { LengthField } from '../../fields/index.ts';
import { microns } from './microns.ts';
import type { SetupPieceProps } from './pieceProps.ts';

/** The indicator run along the work, on top and on the side. */
export function Along({ station, part, units, set, at }: SetupPieceProps) {
  const { along } = station.detail;
  const { setup } = part;
  const bind = bindTo(setup, set, at);
  return (
    <>
      <div className="fields">
        <LengthField
          label="Run along over"
          {...bind('alongLength')}
          units={units}
          hint="The farther the better."
        />
        <LengthField
          label="On top it moved by"
          {...bind('alongTop')}
          units={units}
          hint="Rising away from the head is more than zero."
        />
        <LengthField label="On the side it moved by" {...bind('alongSide')} units={units} />
      </div>
      {along && (
        <p className="said" aria-live="polite">
          Over the face of {decimalText(along.face, 2)} mm:{' '}
          {along.taper !== null &&
            `the depth tapers by ${microns(along.taper)}${along.taper === 0 ? '' : along.taper > 0 ? ', deepest away from the head' : ', deepest at the head'}`}
          {along.taper !== null && along.lean !== null && '; '}
          {along.lean !== null && `the teeth lean by ${microns(along.lean)}`}.{' '}
          {Math.max(Math.abs(along.taper ?? 0), Math.abs(along.lean ?? 0)) > 0.02
            ? 'Tap head or tailstock over and run along again.'
            : 'Leave it.'}
        </p>
      )}
    </>
  );
}
