import type { Pair } from '../../core/mesh/index.ts';
import { approx, lengthText, parsePositiveLength, radiansOf } from '../../core/units/index.ts';
import { PairView } from '../scribe/index.ts';
import type { StationProps } from '../panel/index.ts';

/** The two shafts, and the pair that is first or taken between them. */
export function ShaftsScribe({ part, station, units }: StationProps<'gear'>) {
  const { arrival } = part;
  const found = station.detail.arrival.by === 'shafts' ? station.detail.arrival : null;
  const centre = arrival.by === 'shafts' ? parsePositiveLength(arrival.shafts.centre, '') : null;
  const taken = arrival.by === 'shafts' ? arrival.taken : null;
  const shown =
    found?.pairs.find(
      ({ teeth, figure }) => taken?.teeth.join() === teeth.join() && taken.pitch.typed === figure,
    ) ?? found?.pairs[0];
  if (!centre?.ok) return <TwoShafts />;
  const mm = approx(centre.value);
  if (!shown) return <TwoShafts words={lengthText(mm, units)} />;
  const gear = (teeth: number) => ({
    teeth,
    addendum: shown.module,
    wholeDepth: 2.25 * shown.module,
    thinning: 0,
  });
  const pair: Pair = {
    module: shown.module,
    pressureAngle: radiansOf(20),
    gears: [gear(shown.teeth[0]), gear(shown.teeth[1])],
  };
  return (
    <>
      <div className="scribe-caption">
        <span>
          {shown.pitch}, {shown.teeth.join(' and ')} teeth
        </span>
        <span>{taken ? 'taken' : 'the first of the list'}</span>
      </div>
      <PairView pair={pair} centre={mm} units={units} />
    </>
  );
}

/** How to measure the distance of two shafts. */
function TwoShafts({ words = 'a' }: { readonly words?: string }) {
  return (
    <>
      <svg
        className="scribe-drawing"
        viewBox="0 0 420 230"
        role="img"
        aria-label="Two shafts and the distance of their centres"
      >
        <circle cx={110} cy={110} r={34} className="scribe-lit" />
        <circle cx={310} cy={110} r={34} className="scribe-lit" />
        <path d="M110 110V30M310 110V30M110 38H310" className="scribe-mark" />
        <text x={210} y={28} textAnchor="middle" className="scribe-brass">
          {words}
        </text>
        <path
          d="M76 110V190M344 110V190M76 182H344M144 110V166M276 110V166M144 160H276"
          className="scribe-line"
        />
        <text x={210} y={154} textAnchor="middle" className="scribe-small">
          inside
        </text>
        <text x={210} y={202} textAnchor="middle" className="scribe-small">
          outside
        </text>
      </svg>
      <p className="scribe-say">
        Measure over both shafts and between them: the centre distance is half of outside and inside together.
      </p>
    </>
  );
}
