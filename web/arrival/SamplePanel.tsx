import { Segmented } from 'antd';
import { useState } from 'react';
import type { TakenSample } from '../../core/arrival/index.ts';
import { takeSample, withHand } from '../../core/job/index.ts';
import {
  sayAngle,
  sayContradiction,
  sayDeciding,
  sayFit,
  sayGear,
  sayVerdict,
  type Identification,
  type Identified,
  type SampleInput,
} from '../../core/sample/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import { ChoiceField, echoAngle, echoPitch, HandAsk, LengthField, MeasureField } from '../fields/index.ts';
import { Notice } from '../frame/index.ts';
import { bindTo, issuesBelow, type StationProps, type FieldIssues } from '../panel/index.ts';
import { useFace } from './face.ts';

const TIP_BY = [
  { value: 'over', label: 'Over two tips' },
  { value: 'bore', label: 'Bore + edge to tip' },
  { value: 'across', label: 'Odd, across' },
] as const;
const HELIX = [
  { value: 'not-looked', label: 'not looked' },
  { value: 'none', label: 'straight teeth' },
  { value: 'seen', label: 'a helix' },
] as const;
const WEAR = [
  { value: 'crisp', label: 'tips as cut' },
  { value: 'usual', label: 'worn a little' },
  { value: 'worn', label: 'worn or chipped hard' },
] as const;
const toolsIn = (units: UnitSystem) =>
  [
    { value: 'caliper', label: `caliper, ±${lengthText(0.03, units, 'fine')}` },
    { value: 'micrometer', label: `micrometer, ±${lengthText(0.01, units, 'fine')}` },
    { value: 'rule', label: `rule, ±${lengthText(0.4, units, 'fine')}` },
    { value: 'typed', label: 'another, with its ±' },
  ] as const;
const PITCH_UNITS = [
  { value: 'module', label: 'm' },
  { value: 'dp', label: 'DP' },
] as const;

/** A gear to copy or repair: its readings in the order one takes them, and what gear that is. */
export function SamplePanel(props: StationProps<'gear'>) {
  const { station, part, units, job, edit, editPart, issuesAt } = props;
  const { turn } = useFace(job.id, part);
  const { arrival } = part;
  if (arrival.by !== 'sample' || station.detail.arrival.by !== 'sample') return null;
  const { sample } = arrival;
  const { found } = station.detail.arrival;
  const set = (change: Partial<SampleInput>) =>
    editPart((now) =>
      now.arrival.by === 'sample'
        ? { ...now, arrival: { ...now.arrival, sample: { ...now.arrival.sample, ...change } } }
        : now,
    );
  const at = issuesBelow(issuesAt, 'arrival.sample');
  const take = (one: Identification) => {
    edit((now) => takeSample(now, part.id, one));
    turn('gear');
  };
  const bind = bindTo(sample, set, at);
  return (
    <>
      <div className="fields">
        <MeasureField
          label="Teeth counted"
          {...bind('teeth')}
          echo={sample.teeth.typed === '' ? 'Empty if it is broken: see survivors below.' : ''}
          autoFocus={sample.teeth.typed === ''}
          placeholder="40"
        />
        <LengthField label="Outside diameter" {...bind('tip')} units={units} />
        <div className="field is-wide">
          <Segmented
            aria-label="How the outside was read"
            block
            options={[...TIP_BY]}
            value={sample.tipBy}
            onChange={(tipBy) => set({ tipBy })}
          />
        </div>
        <LengthField label="Bore" {...bind('bore')} units={units} />
        <LengthField
          label="Bore edge to tip"
          {...bind('edgeToTip')}
          units={units}
          hint="For an odd count, or to check the outside."
        />
      </div>
      <Findings found={found} units={units} taken={arrival.taken} onTake={take} />
      {(sample.helix === 'seen' || (arrival.taken?.helixDeg ?? 0) > 0) && (
        <div className="fields">
          <HandAsk
            value={sample.hand === 'not-looked' ? null : sample.hand}
            onChange={(hand) => editPart((now) => withHand(now, hand))}
            issues={at('hand')}
          />
        </div>
      )}
      <MoreReadings sample={sample} set={set} at={at} units={units} />
    </>
  );
}

interface FindingsProps {
  readonly found: Identified;
  readonly units: UnitSystem;
  readonly taken: TakenSample | null;
  readonly onTake: (one: Identification) => void;
}

/** Candidates that are in sight at once, and in all. */
const FIRST = 2;
const SHOWN = 6;

/**
 * A helix makes any outside fit some pitch: beside a straight gear one such reading is enough to think of it.
 */
function worthShowing(best: readonly Identification[]): readonly Identification[] {
  if (best[0]?.helixDeg !== 0) return best.slice(0, SHOWN);
  const helical = best.filter(({ helixDeg }) => helixDeg > 0).slice(1);
  return best.filter((one) => !helical.includes(one)).slice(0, SHOWN);
}

/** What gear that is: the likeliest first, with how each reading sits on it. */
function Findings({ found, units, taken, onTake }: FindingsProps) {
  const { verdict, best, contradictions, deciding } = found;
  const [all, setAll] = useState(false);
  if (verdict === 'nothing-read') return <p className="said">{sayVerdict(found, units)}</p>;
  const isTaken = (one: Identification) =>
    taken !== null &&
    one.figure === taken.pitch.typed &&
    one.system === taken.pitch.unit &&
    one.teeth === taken.teeth &&
    one.angleDeg === taken.angleDeg &&
    one.stub === taken.stub &&
    one.helixDeg === taken.helixDeg;
  const worth = worthShowing(best);
  // those as likely as the first are always in sight
  const first = worth.filter((one, i) => i < FIRST || (one.tied && verdict === 'tie') || isTaken(one));
  return (
    <section className="findings" aria-label="What gear it is" aria-live="polite">
      <Notice
        tone={verdict === 'clear' ? 'good' : verdict === 'tie' ? 'note' : 'query'}
        word={verdict === 'contradiction' ? 'Contradiction:' : ''}
      >
        {sayVerdict(found, units)}
        {deciding && verdict === 'tie' && <span className="moved">{sayDeciding(deciding, best, units)}</span>}
        {contradictions.map((one) => (
          <span key={one.reading} className="moved">
            {sayContradiction(one, units)}
          </span>
        ))}
      </Notice>
      <ol className="found-list">
        {(all ? worth : first).map((one, i) => (
          <li
            key={`${one.pitch} ${one.teeth} ${one.angleDeg} ${one.stub} ${one.helixDeg}`}
            className={one.tied && verdict === 'tie' ? 'is-tied' : ''}
          >
            <span className="found-gear">
              {sayGear(one)} <small>{sayAngle(one)}</small>
            </span>
            <button
              type="button"
              className={`use-button ${i === 0 && taken === null && (verdict === 'clear' || verdict === 'tie') ? 'is-next' : ''}`}
              onClick={() => onTake(one)}
              disabled={isTaken(one)}
            >
              {isTaken(one) ? 'taken' : 'Take it'}
            </button>
            <small className="found-fits">
              {one.fits.map((fit) => sayFit(fit, units)).join('; ') || 'nothing read that tells its size'}
            </small>
          </li>
        ))}
      </ol>
      {worth.length > first.length && (
        <button type="button" className="plain-link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `${worth.length - first.length} others sit worse: show them`}
        </button>
      )}
    </section>
  );
}

interface MoreProps {
  readonly sample: SampleInput;
  readonly set: (change: Partial<SampleInput>) => void;
  readonly at: FieldIssues<SampleInput>;
  readonly units: UnitSystem;
}

/** What else may be read; each makes the answer surer. */
function MoreReadings({ sample, set, at, units }: MoreProps) {
  const setSurvivors = (change: Partial<SampleInput['survivors']>) =>
    set({ survivors: { ...sample.survivors, ...change } });
  const bindSurvivors = bindTo(sample.survivors, setSurvivors, (field) => at(`survivors.${field}`));
  const bind = bindTo(sample, set, at);
  return (
    <>
      <h3 className="more-head">More readings, each optional</h3>
      <div className="fields">
        <MeasureField label="Teeth between the jaws" {...bind('spanTeeth')} placeholder="5" />
        <LengthField
          label="Span over them"
          {...bind('span')}
          units={units}
          hint="Tells the pressure angle."
        />
        <LengthField label="Span over one tooth more" {...bind('spanNext')} units={units} />
        <LengthField
          label="Whole depth"
          {...bind('depth')}
          units={units}
          hint="Tells stub from full depth."
        />
        <LengthField label="Root diameter" {...bind('root')} units={units} />
        <LengthField
          label="Room where it goes, Ø"
          {...bind('room')}
          units={units}
          hint="Before metal is bought: will a cover close?"
        />
        <MeasureField label="Teeth of a known mate" {...bind('mateTeeth')} />
        <LengthField label="Centre distance to it" {...bind('mateCentre')} units={units} />
        <ChoiceField label="Helix" options={HELIX} {...bind('helix')} />
        {sample.helix !== 'none' && (
          <>
            <MeasureField
              label="Its angle, rubbed off the tips on paper"
              {...bind('helixAngle')}
              echo={echoAngle(sample.helixAngle)}
              suffix="°"
            />
            <LengthField
              label="Or its lead: travel for one turn"
              {...bind('lead')}
              units={units}
              hint="12 mm for 10° of turn: type 12*36."
            />
          </>
        )}
        <ChoiceField label="Damage" options={WEAR} {...bind('wear')} />
        <ChoiceField label="Measured with" options={toolsIn(units)} {...bind('tool')} />
        {sample.tool === 'typed' && <LengthField label="Its ±" {...bind('toolError')} units={units} />}
        {(
          [
            ['gaugeFits', 'Pitch-gauge leaf that fits'],
            ['gaugeCoarse', 'Leaf that is too coarse'],
            ['gaugeFine', 'Leaf that is too fine'],
          ] as const
        ).map(([field, label]) => (
          <MeasureField
            key={field}
            label={label}
            value={sample[field]}
            onChange={(value) => set({ [field]: value })}
            units={PITCH_UNITS}
            issues={at(field)}
            echo={echoPitch(sample[field])}
          />
        ))}
        <MeasureField label="Broken: pitches between two survivors" {...bindSurvivors('pitches')} />
        <MeasureField
          label="Arc they span"
          {...bindSurvivors('arc')}
          echo={echoAngle(sample.survivors.arc) || 'On the head, from one tip to the other.'}
          suffix="°"
        />
        <LengthField
          label="Or straight across them"
          {...bindSurvivors('chord')}
          units={units}
          hint="From middle to middle of two tips."
        />
      </div>
    </>
  );
}
