import { lengthText, type UnitSystem } from '../../../core/units/index.ts';
import type { HobData } from '../../../core/wheel/index.ts';
import { Length } from '../../fields/index.ts';

/** The hob to make: the worm itself, a little taller, fluted and relieved. */
export function Hob({
  hob,
  centre,
  units,
}: {
  readonly hob: HobData;
  readonly centre: number;
  readonly units: UnitSystem;
}) {
  const rows: readonly (readonly [string, number])[] = [
    ['Outside', hob.outside],
    ['Pitch diameter, as the worm', hob.pitchDiameter],
    ['Depth of its thread', hob.depth],
    ['Depth of a flute, at least', hob.fluteDepth],
    ['Relief, flute to flute', hob.relief],
    ['Length, at least', hob.length],
    ...(hob.straight ? [] : ([['Lead of the flutes', hob.fluteLead]] as const)),
    ['Hobbed to, between shafts', centre],
  ];
  return (
    <section aria-label="The hob">
      <h3 className="methods-head">The hob</h3>
      <dl className="values">
        {rows.map(([label, mm]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>
              <Length mm={mm} units={units} />
            </dd>
          </div>
        ))}
        <div>
          <dt>Flutes</dt>
          <dd>
            {hob.straight
              ? `${hob.flutes}, straight`
              : `${hob.flutes}, ${hob.fluteHand}-hand, square to the thread`}
          </dd>
        </div>
      </dl>
      <p className="said">
        Threaded on the worm’s own gears and tool, {lengthText((hob.outside - hob.pitchDiameter) / 2, units)}{' '}
        above the pitch line, so that the roots clear the worm’s tips. Relieve 10° behind each flute, harden
        and stone the faces: heat treating has hazards of its own, follow the steel maker’s sheet and your
        shop’s rules.
      </p>
    </section>
  );
}
