import { bindTo } from '../../panel/index.ts';
import { Checkbox } from 'antd';
import { plural } from '../../../core/units/index.ts';
import { Fold } from '../../frame/index.ts';
import { ChoiceField, EitherField, LengthField, MeasureField } from '../../fields/index.ts';
import type { SetupPieceProps } from './pieceProps.ts';

const HOLDINGS = [
  { value: 'mandrel', label: 'On a mandrel, between centres' },
  { value: 'stub', label: 'On a stub in the head' },
  { value: 'chuck', label: 'In a chuck' },
  { value: 'bar', label: 'One long bar, parted afterwards' },
] as const;
const ENDS = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;
const SPINS = [
  { value: 'clockwise', label: '↻ clockwise' },
  { value: 'counter', label: '↺ counter' },
] as const;
const SIDES = [
  { value: 'behind', label: 'behind the work' },
  { value: 'front', label: 'in front of it' },
] as const;

/** What holds the work, which way everything turns and moves, and what follows from it. */
export function Holding({ station, part, units, set, at }: SetupPieceProps) {
  const { mill, mandrels, reasons } = station.detail;
  const { setup } = part;
  const onMandrel = setup.holding === 'mandrel' || setup.holding === 'stub';
  const chosen = mandrels.find(({ id }) => id === setup.mandrelId);
  const bind = bindTo(setup, set, at);
  const stands = reasons.filter(({ against }) => !against);
  return (
    <>
      <div className="fields">
        <ChoiceField label="The work is held" {...bind('holding')} options={HOLDINGS} />
        <EitherField label="The head stands at the" {...bind('headAt')} options={ENDS} />
        <EitherField
          label="The cutter turns"
          {...bind('spin')}
          options={SPINS}
          echo={mill?.upright ? 'seen from above' : 'seen from in front'}
        />
        {!station.detail.sink && (
          <EitherField label="The table moves, cutting, to the" {...bind('feed')} options={ENDS} />
        )}
        {mill?.upright && <EitherField label="The cutter stands" {...bind('side')} options={SIDES} />}
        {onMandrel && mandrels.length > 0 && (
          <ChoiceField
            label="Mandrel"
            {...bind('mandrelId')}
            options={mandrels.map(({ id, name, fits }) => ({
              value: id,
              label: `${fits === true ? '✓ ' : fits === false ? '✕ ' : ''}${name}`,
            }))}
            echo={chosen?.fits === false ? '' : chosen?.line}
          />
        )}
        <MeasureField label="Blanks at once" {...bind('blanks')} />
        {setup.holding === 'bar' && (
          <LengthField label="Parting and facing between two" {...bind('kerf')} units={units} />
        )}
      </div>
      {onMandrel && (
        <Checkbox checked={setup.keyed} onChange={({ target }) => set({ keyed: target.checked })}>
          Keyed or pinned to its mandrel
        </Checkbox>
      )}
      <Reasons reasons={reasons.filter(({ against }) => against)} />
      <Fold className="more" summary={`What follows from it: ${plural(stands.length, 'reason')}`}>
        <Reasons reasons={stands} />
      </Fold>
    </>
  );
}

function Reasons({ reasons }: Pick<SetupPieceProps['station']['detail'], 'reasons'>) {
  return (
    <ul className="setup-reasons">
      {reasons.map(({ key, say, why, against }) => (
        <li key={key} className={against ? 'is-against' : ''}>
          <b>
            {against ? '? ' : ''}
            {say}
          </b>
          <span>{why}.</span>
        </li>
      ))}
    </ul>
  );
}
