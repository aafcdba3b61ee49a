import { useMemo } from 'react';
import { readScale } from '../../../core/toothform/index.ts';
import { dmsText, exact, lengthText, measure } from '../../../core/units/index.ts';
import { wormTemplate, type WormInput } from '../../../core/worm/index.ts';
import { EitherField, Length, LengthField, MeasureField } from '../../fields/index.ts';
import { Fold, ListTable } from '../../frame/index.ts';
import { TemplateSheet } from '../../template/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

const TOOLS = [
  { value: 'axis', label: 'level' },
  { value: 'thread', label: 'turned' },
] as const;

/** The thread of the worm, and the tool that cuts it. */
export function WormPanel({ station, part, units, job, editPart, issuesAt }: StationProps<'worm'>) {
  const { drive, infeed, onScale, lengthTaken, schools } = station.detail;
  const { worm } = part;
  const set = (change: Partial<WormInput>) =>
    editPart((now) => ({ ...now, worm: { ...now.worm, ...change } }));
  const at = issuesBelow(issuesAt, 'worm');
  const scale = readScale(worm.scale.typed);
  const template = useMemo(
    () => drive && scale !== null && wormTemplate({ facts: drive, set: worm.tool, scale, title: job.name }),
    [drive, scale, worm.tool, job.name],
  );
  const bind = bindTo(worm, set, at);
  return (
    <>
      <div className="fields">
        <LengthField
          label="Length of the thread"
          {...bind('length')}
          units={units}
          hint={
            lengthTaken === null
              ? ''
              : `Empty: ${lengthText(lengthTaken.mm, units)}, ${lengthTaken.reached ? 'as far as the wheel reaches' : 'as usual'}.`
          }
        />
        <EitherField
          label="The tool is set"
          options={TOOLS}
          {...bind('tool')}
          echo={
            worm.tool === 'axis'
              ? 'Along the axis: straight flanks through it.'
              : 'To the lead angle: narrower by its cosine.'
          }
        />
      </div>
      <Values
        values={station.values}
        units={units}
        only={[
          'outside',
          'pitchDiameter',
          'root',
          'depth',
          'lead',
          'hand',
          'leadAngle',
          'included',
          'flat',
          'crest',
          'clear',
        ]}
      />
      {schools.length > 0 && (
        <Fold className="schools" summary="What each school gives for this pitch">
          <ListTable file="thread-schools">
            <thead>
              <tr>
                <th scope="col">School</th>
                <th scope="col" className="num">
                  Depth
                </th>
                <th scope="col" className="num">
                  Tool flat
                </th>
                <th scope="col" className="num">
                  Crest
                </th>
              </tr>
            </thead>
            <tbody>
              {schools.map(({ id, name, depth, flat, crest, source }) => (
                <tr key={id} className={drive?.proportions.id === id ? 'is-best' : ''}>
                  <td>
                    {name}
                    <small className="soft"> {source}</small>
                  </td>
                  <td className="num">
                    <Length mm={depth} units={units} />
                  </td>
                  <td className="num">
                    <Length mm={flat} units={units} />
                  </td>
                  <td className="num">
                    <Length mm={crest} units={units} />
                  </td>
                </tr>
              ))}
            </tbody>
          </ListTable>
        </Fold>
      )}
      {infeed && (
        <p className="said">
          In by{' '}
          <b>
            <Length mm={infeed.radial} units={units} />
          </b>{' '}
          on the cross slide; or with the top slide set over by half the tool’s angle,{' '}
          <Length mm={infeed.alongFlank} units={units} /> along the flank.
        </p>
      )}
      {onScale && (
        <p className="said">
          For the wheel, {onScale.mill} is set to <b>{dmsText(exact(onScale.degrees.toFixed(6)))}</b>, its
          nearest mark:{' '}
          {Math.abs(onScale.off) * 60 < 0.5
            ? 'the lead angle itself.'
            : `${dmsText(exact(Math.abs(onScale.off).toFixed(6)))} ${onScale.off > 0 ? 'over' : 'under'}, which leans a gash by ${onScale.lean.toFixed(0)} µm in 10 mm of face.`}
        </p>
      )}
      <Fold className="schools" open summary="The tool, drawn to hold a ground one against">
        <div className="make-cutter">
          <MeasureField
            label="Times life size"
            value={worm.scale}
            onChange={(next) => set({ scale: measure(next.typed, 'count') })}
            issues={at('scale')}
          />
          {template && (
            <TemplateSheet template={template} units={units} file="worm-tool">
              <p className="said">
                Clear the sides as told above: the thread climbs, so the side that goes ahead needs more than
                the other. Eye protection at the grinder, rest close to the wheel; your machine’s manual and
                shop rules come first.
              </p>
            </TemplateSheet>
          )}
        </div>
      </Fold>
    </>
  );
}
