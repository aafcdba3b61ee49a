import { Button, Segmented } from 'antd';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { smallAngleText, type MadeInput, type MadePlate } from '../../../core/dividing/index.ts';
import {
  headWithMade,
  madeFor,
  ringPartFor,
  withDividing,
  withHead,
  withRingPart,
} from '../../../core/job/index.ts';
import { holesDrilled } from '../../../core/run/index.ts';
import type { Head } from '../../../core/shop/index.ts';
import { decimalText } from '../../../core/units/index.ts';
import { echoAngle, LengthField, MeasureField } from '../../fields/index.ts';
import { Fold, Notice } from '../../frame/index.ts';
import { MadePlateView } from '../../scribe/index.ts';
import { editShop, useDraft } from '../../edits/index.ts';
import { useDevices, useRunsOf } from '../../state/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { saveHoles } from './holeTable.ts';

interface MakePlateProps extends StationProps<'dividing'> {
  readonly head: Head;
  readonly plate: MadePlate | null;
  /** Is it the way out of a count that does not index? Then it lies open. */
  readonly open: boolean;
  /** Was it asked for from farther up? */
  readonly comeIntoSight: boolean;
}

/**
 * A plate or ring of this very count, to be drilled on a machine with a readout or on this head, and then
 * used.
 */
export function MakePlate({
  head,
  plate,
  open,
  comeIntoSight,
  station,
  part,
  job,
  units,
  shop,
  edit,
  editPart,
  issuesAt,
}: MakePlateProps) {
  const navigate = useNavigate();
  const [failed, setFailed] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const revision = useDraft((draft) => draft.revision);
  const runs = useRunsOf(job.id, revision > 0);
  const { made } = part.dividing;
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (comeIntoSight) here.current?.scrollIntoView({ block: 'start' });
  }, [comeIntoSight]);
  const set = (change: Partial<MadeInput>) =>
    editPart((now) => ({ ...now, dividing: { ...now.dividing, made: { ...made, ...change } } }));
  // with the lead geared the head’s own pin is no use: the ring goes between spindle and work
  const onWork = station.detail.lead !== null;
  const at = issuesBelow(issuesAt, 'dividing.made');
  const chain = () => {
    if (!plate) return;
    const { job: chained, ringId } = withRingPart(job, part.id, plate.holes);
    edit(() => chained);
    void navigate(`/jobs/${job.id}/${ringId}/spacing`);
  };
  /**
   * How far the job's own part for it has come, where it is not drilled to the end; null where nothing speaks
   * against it.
   */
  const stillToDrill = (holes: number): string | null => {
    const drilling = ringPartFor(job, part.id, holes);
    if (!drilling) return null;
    if (runs.isPending && revision > 0) return 'What is drilled of it is still being asked. Is it made?';
    const drilled = holesDrilled((runs.data ?? []).filter(({ run }) => run.partId === drilling.id));
    if (drilled >= holes) return null;
    return `${drilled === 0 ? 'None' : drilled} of its ${holes} holes ${drilled === 1 ? 'is' : 'are'} drilled, by the count at the mill. Is it made all the same?`;
  };
  const isMade = () => {
    if (!plate) return;
    const doubt = stillToDrill(plate.holes);
    if (doubt !== null && doubt !== asked) {
      setAsked(doubt);
      return;
    }
    setAsked(null);
    const thing = madeFor(made.use, plate.holes, onWork);
    const richer = headWithMade(head, thing);
    const live = shop.heads.find(({ id }) => id === head.id);
    if (live) {
      const why = editShop((now) => ({
        ...now,
        heads: now.heads.map((other) => (other.id === head.id ? headWithMade(other, thing) : other)),
      }));
      setFailed(why);
      if (why) return;
    }
    const heads = shop.heads.map((other) => (other.id === head.id ? headWithMade(other, thing) : other));
    edit((now) =>
      withDividing(
        withHead({ job: now, partId: part.id, head: richer, shop: { ...shop, heads } }),
        part.id,
        (dividing) => ({
          ...dividing,
          choice: null,
        }),
      ),
    );
  };
  const bind = bindTo(made, set, at);
  const byReadout = useDevices().some(({ kind, on }) => kind === 'readout' && on);
  return (
    <Fold className="more" open={open} summary="Make a plate or ring for this count">
      <div ref={here} />
      <Segmented
        aria-label="What it is for"
        value={made.use}
        onChange={(use) => set({ use: use as MadeInput['use'] })}
        options={[
          { value: 'ring', label: onWork ? 'Ring between spindle and work' : 'Ring on the spindle' },
          { value: 'plate', label: 'Plate behind the crank' },
        ]}
      />
      <div className="fields">
        <LengthField label="Circle of holes, diameter" {...bind('pitchCircle')} units={units} />
        <LengthField label="Hole" {...bind('holeSize')} units={units} />
        <MeasureField
          label="First hole, clockwise from the top"
          {...bind('startAngle')}
          echo={echoAngle(made.startAngle)}
          suffix="°"
        />
        <LengthField label="A hole may be off by" {...bind('holeError')} units={units} />
      </div>
      {plate && (
        <>
          <p className="said">
            {plate.holes} holes, {decimalText(plate.land, 2)} mm of metal between two. A hole{' '}
            {decimalText(plate.holeError, 3)} mm off shows as {smallAngleText(plate.errorDirect)} when the
            spindle is pinned in it, and as {smallAngleText(plate.errorBehindWorm)} behind the worm. A plate
            drilled once and used to drill the next shrinks its errors by {head.ratio} each time.
          </p>
          <div className="made-drawing on-dye">
            <MadePlateView plate={plate} />
          </div>
          <HoleTable plate={plate} />
          {byReadout && (
            <Suspense fallback={null}>
              <HoleByHole holes={plate.drilling} units={units} />
            </Suspense>
          )}
          <div className="notice-actions">
            <Button onClick={() => saveHoles(plate)}>Save the hole table</Button>
            <Button onClick={() => void navigate(`/jobs/${job.id}/print`)}>
              Print to size, DXF, program
            </Button>
            <Button onClick={chain}>Drill it on this head first</Button>
            <Button onClick={isMade}>It is made: put it on the head</Button>
          </div>
          {asked !== null && (
            <Notice tone="query" actions={<Button onClick={isMade}>It is made, put it on</Button>}>
              {asked}
            </Notice>
          )}
        </>
      )}
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </Fold>
  );
}

const HoleByHole = lazy(() =>
  import('../../devices/index.ts').then((module) => ({ default: module.HoleByHole })),
);

/**
 * Where to drill, in the order of drilling: across the plate, so that heat and a creeping zero are spread.
 */
function HoleTable({ plate }: { readonly plate: MadePlate }) {
  return (
    <div className="hole-table" tabIndex={0} role="region" aria-label="Holes">
      <table className="list">
        <caption>In the order of drilling; mm from the middle, to the right and away from you</caption>
        <thead>
          <tr>
            <th scope="col" className="num">
              hole
            </th>
            <th scope="col" className="num">
              X
            </th>
            <th scope="col" className="num">
              Y
            </th>
          </tr>
        </thead>
        <tbody>
          {plate.drilling.map(({ hole, x, y }) => (
            <tr key={hole}>
              <td className="num">{hole}</td>
              <td className="num">{x.toFixed(3)}</td>
              <td className="num">{y.toFixed(3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
