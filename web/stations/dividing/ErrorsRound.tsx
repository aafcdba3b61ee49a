import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import {
  aimFrom,
  errorsOfChoice,
  errorsOfHole,
  errorsOfRunout,
  judgeErrors,
  smallAngleText,
  type AimData,
  type Way,
} from '../../../core/dividing/index.ts';
import {
  approx,
  decimalText,
  exact,
  measure,
  parseCount,
  parsePositiveLength,
  type UnitSystem,
} from '../../../core/units/index.ts';
import { LengthField, MeasureField } from '../../fields/index.ts';
import { ErrorPlot } from './ErrorPlot.tsx';

interface ErrorsRoundProps {
  readonly way: Way;
  readonly aim: AimData;
  readonly ratio: string;
  readonly units: UnitSystem;
}

type Cause = 'way' | 'runout' | 'hole';

/** The error from space to space, of the way itself or of a fault that is tried out. */
export function ErrorsRound({ way, aim, ratio, units }: ErrorsRoundProps) {
  const isExact = way.proof.everySpaceTrue;
  const [cause, setCause] = useState<Cause>(isExact ? 'runout' : 'way');
  const [runout, setRunout] = useState(measure(units === 'mm' ? '0.05' : '.002', units));
  const [hole, setHole] = useState(measure('1', 'count'));
  const [off, setOff] = useState(measure(units === 'mm' ? '0.05' : '.002', units));
  const [radius, setRadius] = useState(measure(units === 'mm' ? '65' : '2.5', units));
  const hasHoles = 'circle' in way.choice || way.choice.method === 'direct';
  const holes =
    'circle' in way.choice ? way.choice.circle : way.choice.method === 'direct' ? way.choice.holes : 1;

  const read = {
    runout: parsePositiveLength(runout, 'The reading'),
    hole: parseCount({ given: hole, what: 'The hole', least: 0, most: holes - 1 }),
    off: parsePositiveLength(off, 'The error'),
    radius: parsePositiveLength(radius, 'The radius'),
  };
  const diameter = aim.diameter;
  const errors = useMemo(() => {
    const [R, target] = [exact(ratio), aimFrom(aim)];
    if (cause === 'way') return errorsOfChoice(R, way.choice, target);
    if (cause === 'runout')
      return read.runout.ok && diameter !== null
        ? errorsOfRunout(approx(read.runout.value), diameter, aim.spaces)
        : null;
    return read.hole.ok && read.off.ok && read.radius.ok
      ? errorsOfHole({
          ratio: R,
          choice: way.choice,
          aim: target,
          holeError: {
            hole: read.hole.value,
            off: approx(read.off.value),
            radius: approx(read.radius.value),
          },
        })
      : null;
    // the readings follow from what is typed
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [cause, ratio, aim, way, runout, hole, off, radius, diameter]);
  const judged = errors && judgeErrors(errors);
  const causes = [
    ...(isExact ? [] : [{ value: 'way' as const, label: 'this way' }]),
    { value: 'runout' as const, label: 'work that runs out' },
    ...(hasHoles ? [{ value: 'hole' as const, label: 'a hole that is off' }] : []),
  ];
  return (
    <details className="more" open={!isExact}>
      <summary>Error round the work{isExact ? ': try out a fault' : ''}</summary>
      <Segmented
        aria-label="Cause of the error"
        value={causes.some(({ value }) => value === cause) ? cause : causes[0]!.value}
        onChange={setCause}
        options={causes}
      />
      {cause === 'runout' && diameter !== null && (
        <LengthField
          label="Full reading of the indicator"
          value={runout}
          onChange={setRunout}
          issues={read.runout.ok ? [] : read.runout.issues}
          units={units}
        />
      )}
      {cause === 'runout' && diameter === null && (
        <p className="said">Give the diameter they stand on, to see what runout does.</p>
      )}
      {cause === 'hole' && (
        <div className="fields">
          <MeasureField
            label={`Hole, 0 to ${holes - 1}`}
            value={hole}
            onChange={setHole}
            issues={read.hole.ok ? [] : read.hole.issues}
          />
          <LengthField
            label="Off along its circle"
            value={off}
            onChange={setOff}
            issues={read.off.ok ? [] : read.off.issues}
            units={units}
          />
          <LengthField
            label="Radius of that circle"
            value={radius}
            onChange={setRadius}
            issues={read.radius.ok ? [] : read.radius.issues}
            units={units}
          />
        </div>
      )}
      {errors && judged && (
        <>
          <ErrorPlot errors={errors} diameter={diameter} />
          <p className="said">
            Peak to peak {smallAngleText(judged.total)}
            {diameter !== null &&
              `, ${decimalText(judged.total * Math.PI * diameter * 1000, 1)} µm at the pitch circle`}
            ; from one to the next {smallAngleText(judged.single)} at most.
          </p>
        </>
      )}
    </details>
  );
}
