import { lazy, Suspense } from 'react';
import { bindTo } from '../../panel/index.ts';
import { layOrder } from '../../../core/lead/index.ts';
import { stationOf } from '../../../core/plan/index.ts';
import { handleOf } from '../../../core/setup/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import { ChoiceField, Length, LengthField } from '../../fields/index.ts';
import { useDevices } from '../../state/index.ts';
import type { SetupPieceProps } from './pieceProps.ts';

const CentreByReadout = lazy(() =>
  import('../../devices/index.ts').then((module) => ({ default: module.CentreByReadout })),
);

/**
 * The cutter to the middle of the work by the school chosen, then the touch on the outside and the depths
 * from it.
 */
export function CentreIt({ station, part, planned, units, set, at }: SetupPieceProps) {
  const lead = stationOf(planned, 'lead')?.detail;
  const { centrings, centring, depths, mill } = station.detail;
  const { setup } = part;
  const chosen = centrings.find(({ by }) => by === centring)!;
  const handle = handleOf(station.detail.mount);
  const paper = setup.paper.typed.trim() !== '';
  const byReadout = useDevices().some(({ kind, on }) => kind === 'readout' && on);
  const isFromTouch = centring === 'touch' || centring === 'far';
  const bind = bindTo(setup, set, at);
  return (
    <>
      <div className="fields">
        <ChoiceField
          label="By"
          value={centring}
          options={centrings.map(({ by, name }) => ({ value: by, label: name }))}
          onChange={(by) => set({ centring: by })}
        />
        <LengthField
          label="Paper or feeler between"
          {...bind('paper')}
          units={units}
          hint={`Empty: none. A cigarette paper is about ${lengthText(0.03, units, 'fine')}.`}
        />
      </div>
      <ol className="setup-steps">
        {station.detail.helixDeg !== 0 && (
          <li>{layOrder(lead?.table?.by ?? 'table').centre}; only then is it swung.</li>
        )}
        {[chosen.first, chosen.then].map((words) => (
          <li key={words}>
            {words}{' '}
            {chosen.move !== null && words.endsWith(':') && (
              <span className="setup-move">
                {chosen.dial ?? lengthText(chosen.move, units, 'fine')}
                {chosen.dial !== null && !mill?.readout && (
                  <small> = {lengthText(chosen.move, units, 'fine')}</small>
                )}
              </span>
            )}
            {/* these two begin with a touch, and go on from it */}
            {byReadout && chosen.move !== null && words === chosen.then && isFromTouch && (
              <Suspense fallback={null}>
                <CentreByReadout move={chosen.move} units={units} />
              </Suspense>
            )}
          </li>
        ))}
        <li>Test it: a light nick, the work turned half round, and the cutter must drop into it again.</li>
      </ol>
      {chosen.move === null && chosen.formula !== '' && (
        <p className="soft">Give the cutter’s width, and the outside of the work, for the move.</p>
      )}
      {depths.length > 0 && (
        <>
          <h3>Touch the outside, then go in</h3>
          <p className="said">
            {paper
              ? `Spindle stopped, ${handle.in} until the paper is just held`
              : `Spindle turning, ${handle.in} until the cutter just scratches`}
            ; set the dial of the {handle.screw} to 0. Come to every reading the same way, so that the slack
            is out.
          </p>
          <dl className="values">
            {depths.map(({ name, mm, dial }) => (
              <div key={name}>
                <dt>Dial, {name}</dt>
                <dd>
                  {dial}{' '}
                  <span className="other-unit">{!mill?.readout && <Length mm={mm} units={units} />}</span>
                </dd>
              </div>
            ))}
          </dl>
        </>
      )}
    </>
  );
}
