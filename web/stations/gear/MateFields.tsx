import { useNavigate } from 'react-router';
import { cutterFor } from '../../../core/cutter/index.ts';
import type { CrossedDetail, GearInput, MeshDetail } from '../../../core/gear/index.ts';
import { mateOf, withMatePart, withSpurPart, type Job } from '../../../core/job/index.ts';
import {
  approx,
  decimalText,
  dmsText,
  exact,
  lengthFigure,
  lengthText,
  measure,
  parseLength,
  pitchOf,
  type Measure,
  type UnitSystem,
  degreesOf,
} from '../../../core/units/index.ts';
import { EitherField, echoAngle, Length, LengthField, MeasureField } from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';
import { bindTo, type StationProps, type FieldIssues } from '../../panel/index.ts';

interface MateFieldsProps extends StationProps<'gear'> {
  readonly gear: GearInput;
  readonly set: (change: Partial<GearInput>) => void;
  readonly at: FieldIssues<GearInput>;
}

const SHAFTS = [
  { value: 'parallel', label: 'side by side' },
  { value: 'crossed', label: 'crossed' },
] as const;

/** The gear it runs with, and how the two run together. */
export function MateFields(props: MateFieldsProps) {
  const { station, part, job, edit, gear, set, at, units } = props;
  const navigate = useNavigate();
  const { mate } = gear;
  const { mesh, crossed, helical } = station.detail;
  const helix = helical !== null || mate.shafts === 'crossed';
  const teeth = mesh?.mateTeeth ?? crossed?.mateTeeth;
  const partner = mateOf(job, part.id);
  const isSame =
    mesh !== null && helical === null && gear.mate.teeth.typed.trim() === gear.teeth.typed.trim();
  const withBlanks = (now: Job, blanks: string) =>
    withSpurPart(now, part.id, (own) => ({
      ...own,
      setup: { ...own.setup, blanks: measure(blanks, 'count') },
    }));
  const cutTogether = () => edit((now) => withBlanks(now, '2'));
  const makeMate = () => {
    const { normalPitch } = station.detail;
    const pitch = normalPitch && pitchOf(normalPitch.system, exact(normalPitch.figure));
    const made = withMatePart({
      job: mesh?.together ? withBlanks(job, '1') : job,
      partId: part.id,
      crossed:
        crossed && helical
          ? { helixDeg: crossed.mateHelixDeg, hand: crossed.mateHand, ownHelixDeg: helical.helixDeg }
          : crossed && { helixDeg: crossed.mateHelixDeg, hand: crossed.mateHand, ownHelixDeg: 0 },
      normalPitch: pitch,
    });
    if (!made.mateId) return;
    edit(() => made.job);
    void navigate(`/jobs/${job.id}/${made.mateId}/gear`);
  };
  const setMate = (change: Partial<GearInput['mate']>) => set({ mate: { ...mate, ...change } });
  const bind = bindTo(mate, setMate, (field) => at(`mate.${field}`));
  return (
    <Fold
      className="schools"
      open={mate.teeth.typed !== ''}
      summary={`Runs with another gear${teeth ? ` of ${teeth} teeth` : ''}`}
    >
      {helix && <EitherField label="The shafts" {...bind('shafts')} options={SHAFTS} />}
      <div className="fields">
        <MeasureField label="Teeth of the mate" {...bind('teeth')} />
        <LengthField
          label="Real centre distance"
          {...bind('centre')}
          units={units}
          hint="Empty: where the pitch circles touch."
        />
        <LengthField
          label="Backlash wanted"
          {...bind('backlash')}
          units={units}
          hint="Empty: 0.04 of the module."
        />
        {mate.shafts === 'crossed' && <CrossedFields mate={mate} setMate={setMate} at={at} />}
      </div>
      {mesh && <MeshReport mesh={mesh} units={units} />}
      {crossed && <CrossedReport crossed={crossed} units={units} />}
      {mesh && mesh.thinner > 1e-6 && (
        <p>
          <button
            type="button"
            className="use-button is-wide"
            onClick={() => set({ thinning: thinnedBy(gear.thinning, mesh.thinner, units) })}
          >
            {mesh.together ? 'Cut both thinner by' : 'Cut this gear thinner by'}{' '}
            {lengthText(mesh.thinner, units, 'fine')}
            {mesh.together && ' each'}
          </button>
        </p>
      )}
      {mesh?.together && (
        <p className="said">
          Both gears are cut together on this card, {part.setup.blanks.typed} blanks in one stack: what is
          taken off goes off both.
        </p>
      )}
      {isSame && !mesh?.together && !partner && (
        <p>
          <button type="button" className="use-button is-wide" onClick={cutTogether}>
            Both are alike: cut them together, 2 blanks in one stack
          </button>
        </p>
      )}
      {partner && (
        <p className="soft">
          The card of {partner.name || 'its mate'} follows what is changed here, as long as both are alike in
          it.
        </p>
      )}
      {teeth !== undefined && !partner && (
        <p>
          <button type="button" className="use-button is-wide" onClick={makeMate}>
            {mesh?.together
              ? 'Part them: a card for the mate, each cut alone'
              : 'Lay a card for the mate in this job'}
          </button>
        </p>
      )}
    </Fold>
  );
}

interface CrossedFieldsProps {
  readonly mate: GearInput['mate'];
  readonly setMate: (change: Partial<GearInput['mate']>) => void;
  readonly at: FieldIssues<GearInput>;
}

/** On crossed shafts: how they cross, or how the mate leans. */
function CrossedFields({ mate, setMate, at }: CrossedFieldsProps) {
  const bind = bindTo(mate, setMate, (field) => at(`mate.${field}`));
  return (
    <>
      <MeasureField
        label="Angle of the shafts"
        {...bind('shaftAngle')}
        echo={mate.shaftAngle.typed === '' ? 'The mate’s angle follows from it.' : echoAngle(mate.shaftAngle)}
        suffix="°"
      />
      <MeasureField
        label="Or the mate’s own helix angle"
        {...bind('helix')}
        echo={echoAngle(mate.helix)}
        swap={{
          shown: `° ${mate.hand}`,
          label: `Hand of the mate: ${mate.hand}, press for ${mate.hand === 'right' ? 'left' : 'right'}`,
          onPress: () => setMate({ hand: mate.hand === 'right' ? 'left' : 'right' }),
        }}
      />
    </>
  );
}

/** A crossed pair, line by line, with what the mate needs. */
function CrossedReport({ crossed, units }: { readonly crossed: CrossedDetail; readonly units: UnitSystem }) {
  const cutter = cutterFor(crossed.mateVirtual);
  const angle = (deg: number) => dmsText(exact(deg.toFixed(6)));
  const times = decimalText(crossed.ratio, 4);
  return (
    <dl className="values" aria-label="The crossed pair">
      <Row label="Angle of the shafts">{angle(crossed.shaftDeg)}</Row>
      <Row label="Mate’s helix">
        {angle(crossed.mateHelixDeg)} {crossed.mateHand}
      </Row>
      <Row label="Centre distance">
        <Length mm={crossed.centre} units={units} />
      </Row>
      <Row label="Ratio, by teeth">{times} : 1</Row>
      <Row label="Mate’s pitch diameter">
        <Length mm={crossed.pitchDiameters[1]} units={units} />
      </Row>
      <Row label="Mate’s blank">
        <Length mm={crossed.mateTipDiameter} units={units} />
      </Row>
      <Row label="Mate’s lead">
        {crossed.mateLead === null ? 'straight teeth' : <Length mm={crossed.mateLead} units={units} />}
      </Row>
      <Row label="Mate is cut as">
        {decimalText(crossed.mateVirtual, 1)} teeth
        {cutter ? `, No. ${cutter.range.inch} inch, No. ${cutter.range.metric} metric` : ''}
      </Row>
      <Row label="Teeth slide at">{decimalText(crossed.sliding, 2)} of the pitch-line speed</Row>
    </dl>
  );
}

/** What is taken off already and this besides, in the units of the job, rounded up: less would bind again. */
function thinnedBy(already: Measure, more: number, units: UnitSystem): Measure {
  const read = parseLength(already);
  const grain = units === 'mm' ? 0.001 : 0.00254;
  const mm = (read.ok ? approx(read.value) : 0) + more;
  return measure(lengthFigure(Math.ceil(mm / grain - 1e-6) * grain, units, 'fine'), units);
}

const degrees = (angle: number): string => dmsText(exact(degreesOf(angle).toFixed(4)));

/** The pair at its real distance, line by line. */
function MeshReport({ mesh, units }: { readonly mesh: MeshDetail; readonly units: UnitSystem }) {
  const { report, wanted, deeper, centreForWanted, undercut, together } = mesh;
  if (report.operatingAngle === null) return null;
  const [into, back] = report.tipInterference!;
  return (
    <dl className="values" aria-label="The pair in mesh">
      <Row label="Pitch circles touch at">
        <Length mm={report.nominalCentre} units={units} />
      </Row>
      <Row label="Operating angle">{degrees(report.operatingAngle)}</Row>
      <Row label="Contact ratio">{decimalText(report.contactRatio!, 2)}</Row>
      <Row label="Backlash at this distance">
        <Length mm={report.backlash!} units={units} />
      </Row>
      <Row label={`Distance for ${decimalText(wanted, 3)} mm of backlash`}>
        <Length mm={centreForWanted} units={units} />
      </Row>
      <Row label={together ? 'Or deeper into both' : 'Or deeper into this gear'}>
        <Length mm={deeper} units={units} />
      </Row>
      <Row label="Tip clearance, this and the mate’s">
        <Length mm={Math.min(...report.tipClearance)} units={units} />
      </Row>
      <Row label="Interference">{into > 0 || back > 0 ? 'tips dig in at a root' : 'none'}</Row>
      <Row label="Undercut">
        {undercut[0] ? (undercut[1] ? 'both gears' : 'this gear') : undercut[1] ? 'the mate' : 'neither'}
      </Row>
    </dl>
  );
}

function Row({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div>
      <dt>{label}</dt>
      <dd>{children}</dd>
    </div>
  );
}
