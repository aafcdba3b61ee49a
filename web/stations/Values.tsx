import { memo } from 'react';
import type { Value } from '../../core/station/index.ts';
import { decimalText, dmsText, exact, type UnitSystem } from '../../core/units/index.ts';
import { Length, Symbol } from '../fields/index.ts';

interface FigureProps {
  readonly value: Value;
  readonly units: UnitSystem;
}

function Figure({ value, units }: FigureProps) {
  switch (value.kind) {
    case 'length':
      return value.inMm ? <>{decimalText(value.mm, 4)} mm</> : <Length mm={value.mm} units={units} />;
    case 'angle':
      return <span className="on-one-line">{dmsText(exact(value.at))}</span>;
    case 'text':
      return <>{value.text}</>;
  }
}

const Row = memo(function Row({ value, units }: FigureProps) {
  return (
    <div>
      <dt>
        {value.label} {value.symbol && <Symbol tex={value.symbol} />}
      </dt>
      <dd>
        <Figure value={value} units={units} />
      </dd>
    </div>
  );
});

/**
 * The figures of a station, both units in sight. @param only keys to show, in this order; all when left out
 */
export function Values({
  values,
  units,
  only,
}: {
  readonly values: readonly Value[];
  readonly units: UnitSystem;
  readonly only?: readonly string[];
}) {
  const shown = only ? only.flatMap((key) => values.filter((value) => value.key === key)) : values;
  return (
    <dl className="values">
      {shown.map((value) => (
        <Row key={value.key} value={value} units={units} />
      ))}
    </dl>
  );
}
