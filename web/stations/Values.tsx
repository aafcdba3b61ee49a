import type { Value } from '../../core/station/index.ts';
import { decimalText, dmsText, exact, type UnitSystem } from '../../core/units/index.ts';
import { Length, Symbol } from '../fields/index.ts';

function Figure({ value, units }: { readonly value: Value; readonly units: UnitSystem }) {
  switch (value.kind) {
    case 'length':
      return value.inMm ? <>{decimalText(value.mm, 4)} mm</> : <Length mm={value.mm} units={units} />;
    case 'angle':
      return <>{dmsText(exact(value.at))}</>;
    case 'text':
      return <>{value.text}</>;
  }
}

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
        <div key={value.key}>
          <dt>
            {value.label} {value.symbol && <Symbol tex={value.symbol} />}
          </dt>
          <dd>
            <Figure value={value} units={units} />
          </dd>
        </div>
      ))}
    </dl>
  );
}
