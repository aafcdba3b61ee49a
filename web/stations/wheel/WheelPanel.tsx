import { Link } from 'react-router';
import { smallAngleText } from '../../../core/dividing/index.ts';
import { withMill } from '../../../core/job/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import type { GashInput, SchoolAnswer } from '../../../core/wheel/index.ts';
import { ChoiceField, Length, LengthField, MeasureField } from '../../fields/index.ts';
import { LayCutter } from '../LayCutter.tsx';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Hob } from './Hob.tsx';
import '../ways.css';

/** How the wheel is cut: by which school, at what angle, how deep, and what bears then. */
export function WheelPanel(props: StationProps<'wheel'>) {
  const { station, part, units, shop, edit, editPart, issuesAt } = props;
  const { detail } = station;
  const { schools, school, setting, infeed, hobStock, hob, mill, cutterDiameter } = detail;
  const set = (change: Partial<GashInput>) =>
    editPart((now) => ({ ...now, gash: { ...now.gash, ...change } }));
  const at = issuesBelow(issuesAt, 'gash');
  const bind = bindTo(part.gash, set, at);
  return (
    <>
      <section className="methods" aria-label="Schools">
        {schools.map((one) => (
          <School
            key={one.school}
            one={one}
            chosen={one.school === school}
            onChoose={() => set({ school: one.school })}
            units={units}
          />
        ))}
      </section>
      {cutterDiameter === null && schools.length > 0 && (
        <p className="said">
          <Link to={`../cutter`} relative="path">
            Pick the cutter
          </Link>
          : what a plunge leaves, and how deep it goes from the corners, follow from its diameter.
        </p>
      )}
      {setting && (
        <LayCutter
          heading="Lay the cutter along the gash"
          setting={setting}
          how={part.gash}
          set={set}
          rest={`${smallAngleText(setting.off / 360)} ${setting.off > 0 ? 'over' : 'under'}; a gash leans ${(detail.lean ?? 0).toFixed(0)} µm over the face`}
          hand={`${detail.drive?.hand === 'right' ? 'Right' : 'Left'}-hand, as the worm.`}
        />
      )}
      {infeed && (
        <section aria-label="Depth">
          <h3 className="methods-head">Depth readings</h3>
          <dl className="values">
            {infeed.fromCorners !== null && (
              <div>
                <dt>From the corners</dt>
                <dd>
                  <Length mm={infeed.fromCorners - (hobStock ?? 0)} units={units} />
                </dd>
              </div>
            )}
            <div>
              <dt>{infeed.fromCorners === null ? 'From a touch' : 'Below the throat'}</dt>
              <dd>
                <Length mm={infeed.fromThroat - (hobStock ?? 0)} units={units} />
              </dd>
            </div>
            {hobStock !== null && (
              <div>
                <dt>Left for the hob</dt>
                <dd>
                  <Length mm={hobStock} units={units} />
                </dd>
              </div>
            )}
          </dl>
        </section>
      )}
      {school === 'hob' && (
        <>
          <div className="fields">
            <LengthField
              label="Leave for the hob, on the depth"
              {...bind('hobStock')}
              units={units}
              hint="Empty: a tenth of the depth."
            />
            <MeasureField label="Flutes of the hob" {...bind('flutes')} />
          </div>
          {hob && detail.drive && <Hob hob={hob} centre={detail.drive.centre} units={units} />}
        </>
      )}
      <div className="fields">
        <ChoiceField
          label="Mill"
          value={mill?.id ?? null}
          options={shop.mills.map(({ id, name, scaleMinutes }) => ({
            value: id,
            label: `${name}, scale to ${scaleMinutes}′`,
          }))}
          onChange={(id) => edit((now) => withMill({ job: now, partId: part.id, millId: id, shop }))}
        />
      </div>
    </>
  );
}

interface SchoolProps {
  readonly one: SchoolAnswer;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly units: StationProps<'wheel'>['units'];
}

function School({ one, chosen, onChoose, units }: SchoolProps) {
  const bears =
    one.school === 'hob'
      ? 'the whole face'
      : one.contact
        ? lengthText(one.contact.width, units)
        : 'not told yet';
  return (
    <div className={`method ${chosen ? 'is-best' : ''}`}>
      <div className="method-line lead-line">
        <span className="method-words">{one.name}</span>
        <span className="num">bears over {bears}</span>
        <button
          type="button"
          className="use-button"
          aria-pressed={chosen}
          disabled={chosen}
          aria-label={chosen ? undefined : `Use ${one.name.toLowerCase()}`}
          onClick={onChoose}
        >
          {chosen ? 'in use' : 'Use'}
        </button>
      </div>
      <div className="method-why lead-why">
        {one.how}. Fit for {one.fitFor}.
      </div>
    </div>
  );
}
