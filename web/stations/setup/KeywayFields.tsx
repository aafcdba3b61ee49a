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
          <li>
            {keyway.of === 'bore'
              ? 'In the bore: a slotting tool, set to the middle of the bore and square to it.'
              : 'Cutter to the middle of the shaft, as for the teeth.'}
          </li>
          {keyway.passes === 1 ? (
            <li>One cut: the tool is as wide as the key.</li>
          ) : (
            <li>
              Two cuts, <b>{keyway.offsetDial}</b> ({mm(keyway.offset)}) to either side of the middle.
            </li>
          )}
          {keyway.travel !== null && (
            <li>
              {keyway.of === 'bore'
                ? 'From where both corners of the tool touch the bore, in the middle, go'
                : keyway.of === 'shaft'
                  ? 'From the touch on the top of the shaft go'
                  : 'From where the sides of the key will leave the round go'}{' '}
              <b>{keyway.depthDial}</b> ({mm(keyway.travel!)})
              {keyway.more > 0.0005 && `: the depth and ${mm(keyway.more)} of the round`}
              {keyway.more < -0.0005 && `: the depth less ${mm(-keyway.more)} of the round`}.
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
