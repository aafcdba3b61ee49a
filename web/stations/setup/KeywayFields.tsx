import { bindTo } from '../../panel/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import { LengthField } from '../../fields/index.ts';
import type { SetupPieceProps } from './pieceProps.ts';

/** A keyway with a narrower cutter, before the teeth or after. */
export function KeywayFields({ station, part, units, set, at }: SetupPieceProps) {
  const { keyway } = station.detail;
  const { setup } = part;
  const mm = (value: number) => lengthText(value, units, 'fine');
  const bind = bindTo(setup, set, at);
  return (
    <>
      <div className="fields">
        <LengthField label="Width of the key" {...bind('keyWidth')} units={units} />
        <LengthField
          label="Width of its cutter"
          {...bind('keyCutter')}
          units={units}
          hint="From half the key to the whole."
        />
        <LengthField label="Depth at the side of the key" {...bind('keyDepth')} units={units} />
      </div>
      {keyway && (
        <ol className="setup-steps">
          <li>Cutter to the middle, as for the teeth.</li>
          {keyway.passes === 1 ? (
            <li>One cut: the cutter is as wide as the key.</li>
          ) : (
            <li>
              Two cuts, <b>{keyway.offsetDial}</b> ({mm(keyway.offset)}) to either side of the middle.
            </li>
          )}
          {keyway.depth !== null && (
            <li>
              From the touch in the middle go <b>{keyway.depthDial}</b> (
              {mm(keyway.depth + (keyway.rise ?? 0))})
              {keyway.rise !== null && keyway.rise > 0 && `: the depth and ${mm(keyway.rise)} of the round`}.
            </li>
          )}
          <li>Gauge it with a slip of {mm(keyway.width)}: it goes in by hand, without a shake.</li>
          <li>
            Before the teeth or after; both are done. After, put it under a tooth where the wall is thickest.
          </li>
        </ol>
      )}
    </>
  );
}
