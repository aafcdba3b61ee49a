import { useState } from 'react';
import { smallAngleText } from '../../../core/dividing/index.ts';
import { bendQuestion, stationOf } from '../../../core/plan/index.ts';
import { mateOf, takeBentAngle, type BentTo } from '../../../core/job/index.ts';
import { strayText, type Bent, type BentPair, type LeadInput } from '../../../core/lead/index.ts';
import {
  dmsText,
  exact,
  lengthText,
  otherSystem,
  pitchOf,
  type UnitSystem,
} from '../../../core/units/index.ts';
import { echoAngle, Gears, Length, LengthField, MeasureField } from '../../fields/index.ts';
import { useBends, WorkBroke } from '../../workers/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { ListTable } from '../../frame/index.ts';

interface BendAngleProps extends StationProps<'lead'> {
  readonly set: (change: Partial<LeadInput>) => void;
}

const angle = (degrees: number): string => dmsText(exact(degrees.toFixed(6)));
const byMinutes = (degrees: number): string =>
  `${degrees < 0 ? '−' : '+'}${smallAngleText(Math.abs(degrees) / 360)}`;

/** Angles near the one drawn whose lead the gears cut exactly; one for both gears, where there is a mate. */
export function BendAngle(props: BendAngleProps) {
  const { station, part, planned, job, shop, units, set, edit, issuesAt } = props;
  const [open, setOpen] = useState(false);
  const [stopped, setStopped] = useState<string | null>(null);
  const { detail } = station;
  const normalPitch = stationOf(planned, 'gear')?.detail.normalPitch ?? null;
  const { give } = part.lead;
  const setGive = (change: Partial<LeadInput['give']>) => set({ give: { ...give, ...change } });
  const question = open ? bendQuestion({ job, part, detail, shop }) : null;
  const asked = question && JSON.stringify(question);
  const { found, broken } = useBends(stopped === asked ? null : question);
  const partner = mateOf(job, part.id);
  const take = (to: BentTo) =>
    normalPitch &&
    edit((now) =>
      takeBentAngle({
        job: now,
        partId: part.id,
        bentTo: to,
        normalPitch: pitchOf(normalPitch.system, exact(normalPitch.figure)),
      }),
    );
  const at = issuesBelow(issuesAt, 'lead.give');
  const bind = bindTo(give, setGive, at);
  return (
    <details className="more" open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>Bend the angle to what the gears cut exactly</summary>
      <div className="fields">
        <MeasureField
          label="The angle may move by ±"
          {...bind('angle')}
          echo={give.angle.typed === '' ? 'Empty: 1°.' : echoAngle(give.angle)}
          suffix="°"
        />
        {detail.bends?.mateTeeth != null && (
          <LengthField
            label="The centre distance by"
            {...bind('centre')}
            units={units}
            hint="Empty: as far as the angle takes it."
          />
        )}
        <LengthField
          label="The outside diameter by"
          {...bind('diameter')}
          units={units}
          hint="Empty: as far as the angle takes it."
        />
      </div>
      <WorkBroke what="The search for angles" broken={broken} />
      {question && found === null && broken === null && stopped !== asked && (
        <p className="said" role="status">
          Looking through the trains…{' '}
          <button type="button" className="use-button" onClick={() => setStopped(asked)}>
            Stop looking
          </button>
        </p>
      )}
      {stopped !== null && stopped === asked && (
        <p className="said">
          Stopped.{' '}
          <button type="button" className="use-button" onClick={() => setStopped(null)}>
            Look again
          </button>
        </p>
      )}
      {found?.pair && (
        <PairTable
          rows={found.pair}
          mate={detail.bends!.mateTeeth!}
          units={units}
          hasPart={partner !== null}
          onTake={(row) => take({ ...row })}
        />
      )}
      {found && (
        <SingleTable
          rows={found.single}
          units={units}
          paired={found.pair !== null}
          onTake={(row) => take(row)}
        />
      )}
    </details>
  );
}

function Take({
  row,
  onTake,
  both = false,
}: {
  readonly row: Bent;
  readonly onTake: () => void;
  readonly both?: boolean;
}) {
  return (
    <button
      type="button"
      className="use-button"
      aria-label={`Take ${angle(row.helixDeg)}${both ? ' for both' : ''}`}
      onClick={onTake}
    >
      Take
    </button>
  );
}

const SHOWN = 8;

function SingleTable({
  rows,
  units,
  paired,
  onTake,
}: {
  readonly rows: readonly Bent[];
  readonly units: UnitSystem;
  readonly paired: boolean;
  readonly onTake: (row: Bent) => void;
}) {
  if (rows.length === 0)
    return (
      <p className="said">
        No train cuts an angle within these limits exactly. Let the angle move further, or use other gears.
      </p>
    );
  return (
    <ListTable file="angles" className="bend-table">
      <caption>{paired ? 'For this gear alone' : 'Angles the gears cut exactly'}, the nearest first</caption>
      <thead>
        <tr>
          <th scope="col">Angle</th>
          <th scope="col">moved</th>
          <th scope="col">gears</th>
          <th scope="col" className="num">
            blank Ø
          </th>
          {rows[0]!.centre !== null && (
            <th scope="col" className="num">
              centres
            </th>
          )}
          <th scope="col">
            <span className="visually-hidden">take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, SHOWN).map((row) => (
          <tr key={row.leadText}>
            <td className="nowrap">{angle(row.helixDeg)}</td>
            <td className="soft nowrap">{byMinutes(row.moved)}</td>
            <td>
              <Gears train={row.train} />
            </td>
            <td className="num">
              <Length mm={row.tipDiameter} units={units} />
            </td>
            {row.centre !== null && (
              <td className="num">
                <Length mm={row.centre} units={units} />
              </td>
            )}
            <td>
              <Take row={row} onTake={() => onTake(row)} />
            </td>
          </tr>
        ))}
      </tbody>
    </ListTable>
  );
}

interface PairTableProps {
  readonly rows: readonly BentPair[];
  readonly mate: number;
  readonly units: UnitSystem;
  /** Is the mate a part of this job, so that it is changed with this gear? */
  readonly hasPart: boolean;
  readonly onTake: (row: BentPair) => void;
}

function PairTable({ rows, mate, units, hasPart, onTake }: PairTableProps) {
  if (rows.length === 0) return <p className="said">No one angle within these limits serves both gears.</p>;
  const exact = rows.filter((row) => row.exact).length;
  return (
    <>
      <ListTable file="angles-of-the-pair" className="bend-table">
        <caption>
          One angle for this gear and its mate of {mate} teeth
          {exact === 0 ? ': none is cut exactly in both, these come nearest, the error shared' : ''}
        </caption>
        <thead>
          <tr>
            <th scope="col">Angle</th>
            <th scope="col">gears</th>
            <th scope="col">they stray</th>
            <th scope="col" className="num">
              centres
            </th>
            <th scope="col">
              <span className="visually-hidden">take</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, SHOWN).map((row) => (
            <tr key={row.leadText}>
              <td className="nowrap">
                {angle(row.helixDeg)}
                <small className="soft">{byMinutes(row.moved)}</small>
              </td>
              <td>
                <span className="soft">this</span> <Gears train={row.train} />
                <br />
                <span className="soft">mate</span> <Gears train={row.mateTrain} />
              </td>
              <td className="soft">
                {row.exact ? 'exact' : `${strayText(row.overFace)}, mate ${strayText(row.mateOverFace)}`}
              </td>
              <td className="num nowrap">
                {lengthText(row.centre!, units, 'fine')}
                <small className="soft">{lengthText(row.centre!, otherSystem(units), 'fine')}</small>
              </td>
              <td>
                <Take row={row} both onTake={() => onTake(row)} />
              </td>
            </tr>
          ))}
        </tbody>
      </ListTable>
      <p className="soft">
        {hasPart
          ? 'Taking one changes both gears of this job, each with its train.'
          : 'Taking one changes this gear. Lay a card for the mate at the gear station, and it is changed too.'}
      </p>
    </>
  );
}
