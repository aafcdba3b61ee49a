import { lengthText } from '../../../core/units/index.ts';
import { ChoiceField, Length, LengthField } from '../../fields/index.ts';
import type { SetupPieceProps } from './pieceProps.ts';

/** The cutter to the middle of the work by the school chosen, then the touch on the outside and the depths from it. */
export function CentreIt({ station, part, units, set, at }: SetupPieceProps) {
  const { centrings, centring, depths, mill } = station.detail;
  const { setup } = part;
  const chosen = centrings.find(({ by }) => by === centring)!;
  const paper = setup.paper.typed.trim() !== '';
  return (
    <>
      <div className="fields">
        <ChoiceField label="By" value={centring} options={centrings.map(({ by, name }) => ({ value: by, label: name }))} onChange={(by) => set({ centring: by })} />
        <LengthField label="Paper or feeler between" value={setup.paper} onChange={(value) => set({ paper: value })} issues={at('paper')} units={units} hint="Empty: none. A cigarette paper is about 0.03 mm." />
      </div>
      <ol className="setup-steps">
        <li>{chosen.first}</li>
        {chosen.move !== null && (
          <li>
            <span className="setup-move">
              {chosen.dial ?? lengthText(chosen.move, units, 'fine')}
              {chosen.dial !== null && !mill?.readout && <small> = {lengthText(chosen.move, units, 'fine')}</small>}
            </span>
          </li>
        )}
        <li>{chosen.then}</li>
        <li>Test it: a light nick, the work turned half round, and the cutter must drop into it again.</li>
      </ol>
      {chosen.move === null && chosen.formula !== '' && <p className="soft">Give the cutter’s width, and the outside of the work, for the move.</p>}
      {depths.length > 0 && (
        <>
          <h3>Touch the outside, then go in</h3>
          <p className="said">
            {paper ? 'Spindle stopped, bring the work up until the paper is just held' : 'Spindle turning, bring the work up until it just scratches'}; set the dial to 0. Come up always from below, so that the slack is out.
          </p>
          <dl className="values">
            {depths.map(({ name, mm, dial }) => (
              <div key={name}>
                <dt>Dial, {name}</dt>
                <dd>
                  {dial} <span className="other-unit">{!mill?.readout && <Length mm={mm} units={units} />}</span>
                </dd>
              </div>
            ))}
          </dl>
        </>
      )}
    </>
  );
} // prettier-ignore
