import { positionsOf, strayText, type LeadInput } from '../../../core/lead/index.ts';
import { decimalText, dmsText, exact, lengthText } from '../../../core/units/index.ts';
import { Length } from '../../fields/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { BendAngle } from './BendAngle.tsx';
import { LeadGiven } from './LeadGiven.tsx';
import { LeadWays } from './LeadWays.tsx';
import { TableSet } from './TableSet.tsx';
import { TestLine } from './TestLine.tsx';
import '../ways.css';
import './lead.css';

/** The gears between table screw and head, what they do to this gear, and how table or head is set. */
export function LeadPanel(props: StationProps<'lead'>) {
  const { station, units, editPart } = props;
  const { detail } = station;
  const { inForce, proof, drive, faceWidth } = detail;
  const set = (change: Partial<LeadInput>) =>
    editPart((now) => ({ ...now, lead: { ...now.lead, ...change } }));
  return (
    <>
      {inForce && faceWidth !== null && (
        <p className="said">
          Over {lengthText(faceWidth, units)} of face the tooth strays <b>{strayText(inForce.overFace)}</b>;
          up to {decimalText(detail.allowed, 0)}
          {'\u00A0'}µm is allowed.
        </p>
      )}
      {inForce && (
        <dl className="values lead-places" aria-label="Where each gear goes">
          {positionsOf(inForce, drive).map(({ key, where, teeth }) => (
            <div key={key}>
              <dt>{where}</dt>
              <dd>{teeth} teeth</dd>
            </div>
          ))}
          <div>
            <dt>Idlers, usually</dt>
            <dd>{inForce.idlers === 0 ? 'none' : inForce.idlers}</dd>
          </div>
          <div>
            <dt>Lead they cut</dt>
            <dd>
              <Length mm={inForce.lead} units={units} />
            </dd>
          </div>
          <div>
            <dt>Angle it makes</dt>
            <dd>{dmsText(exact(inForce.helixDeg.toFixed(6)))}</dd>
          </div>
        </dl>
      )}
      <LeadWays {...props} set={set} />
      <TableSet {...props} set={set} />
      <TestLine {...props} />
      {proof && (
        <p className="proved">
          {proof.even ? '✓' : '≈'} Run through table, train and crank: {proof.spaces} tooth spaces, each
          turned {proof.advance} of a turn over the face; a turn takes {decimalText(exact(proof.lead), 4)} mm;
          the tooth leaves the drawn helix by {decimalText(proof.worst, proof.worst < 10 ? 2 : 0)} µm at most.
          {!proof.even && ' The tooth spaces themselves are not all true: see Dividing.'}
        </p>
      )}
      <BendAngle {...props} set={set} />
      <LeadGiven {...props} set={set} />
    </>
  );
}
