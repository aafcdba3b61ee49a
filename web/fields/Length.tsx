import { lengthFigure, otherSystem, type Finish, type UnitSystem } from '../../core/units/index.ts';

interface LengthProps {
  readonly mm: number;
  readonly units: UnitSystem;
  readonly finish?: Finish;
}

/** A length in both units: the job's own large, the other small. */
export function Length({ mm, units, finish = 'fine' }: LengthProps) {
  const other = otherSystem(units);
  return (
    <>
      {/* a figure is never parted from its unit */}
      {lengthFigure(mm, units, finish)}
      {'\u00a0'}
      <span className="unit">{units}</span>{' '}
      <span className="other-unit">
        {lengthFigure(mm, other, finish)} {other}
      </span>
    </>
  );
}
