import { Checkbox, Segmented } from 'antd';
import { isRim } from '../../../core/kinds/index.ts';
import { LengthField, MeasureField } from '../../fields/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

/** The rounds, and where a run starts. */
export function CutPanel({ station, part, units, editPart, issuesAt }: StationProps<'cut'>) {
  const { cut } = part;
  const set = (change: Partial<typeof cut>) =>
    editPart((now) => ({ ...now, cut: { ...now.cut, ...change } }));
  const at = issuesBelow(issuesAt, 'cut');
  const bind = bindTo(cut, set, at);
  return (
    <>
      <div className="fields">
        <div className="field is-wide">
          <span id="passes-label">Passes</span>
          <div className="field-line">
            <Segmented
              aria-labelledby="passes-label"
              value={cut.passes}
              onChange={(passes) => set({ passes: passes as typeof cut.passes })}
              options={[
                { value: 'one', label: 'One, full depth' },
                { value: 'rough-finish', label: 'Rough, then finish' },
              ]}
            />
          </div>
          <div className="field-said">
            <div className="field-echo">Rough and finish each go once round the blank.</div>
          </div>
        </div>
        {cut.passes === 'rough-finish' && (
          <LengthField label="Left for the finish pass" {...bind('finishStock')} units={units} />
        )}
        <MeasureField
          label="Start at number"
          {...bind('startSpace')}
          echo="1 for a fresh blank. The pin’s hole at the start is hole 0."
        />
      </div>
      <Checkbox checked={cut.scratch} onChange={({ target }) => set({ scratch: target.checked })}>
        A scratch all the way round first: the last mark must fall on the first
      </Checkbox>
      <Values values={station.values} units={units} />
      <p className="said">
        {isRim(part)
          ? 'Depths are from the touch that the Wheel station tells.'
          : 'Depths are below the blank’s outside.'}{' '}
        {!cut.scratch && 'A scratch round costs minutes and shows a wrong count before metal is gone.'}
      </p>
    </>
  );
}
