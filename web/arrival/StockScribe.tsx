import { line } from 'd3-shape';
import type { Point } from '../../core/involute/index.ts';
import { gearOutline } from '../../core/toothform/index.ts';
import { approx, lengthText, parsePitch, parsePositiveLength } from '../../core/units/index.ts';
import type { StationProps } from '../panel/index.ts';

const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

/** The piece as it is, and the gear that is recommended or taken inside it. */
export function StockScribe({ part, station, units }: StationProps<'gear'>) {
  const { arrival, gear } = part;
  const pitch = parsePitch(gear.pitch);
  const answer = station.detail.arrival.by === 'blank' ? station.detail.arrival.answer : null;
  const stock = arrival.by === 'blank' ? parsePositiveLength(arrival.stock.diameter, '') : null;
  if (arrival.by !== 'blank' || !stock?.ok) return <ThePiece />;
  const D = approx(stock.value);
  const scale = 330 / D;
  const wanted = arrival.taken ?? answer?.counts[answer.recommended ?? 0]?.teeth;
  const shown = answer?.counts.find(({ teeth }) => teeth === wanted) ?? null;
  const m = pitch.ok ? approx(pitch.value.module) : 0;
  const outline =
    shown && m > 0
      ? path(
          gearOutline(
            {
              teeth: shown.teeth,
              tipDiameter: shown.tipDiameter,
              pitchDiameter: m * shown.teeth,
              baseDiameter: m * shown.teeth * Math.cos(0.349),
              rootDiameter: Math.max(0, shown.tipDiameter - 4.5 * m),
              pressureAngle: 0.349,
              toothThickness: (Math.PI * m) / 2,
            },
            shown.teeth > 90 ? 4 : 8,
          ),
        )
      : null;
  return (
    <svg
      className="scribe-drawing"
      viewBox="-210 -196 420 400"
      role="img"
      aria-label="The piece and the gear in it, to scale"
    >
      <circle r={165} className="scribe-mark" />
      <g transform={`scale(${scale})`}>{outline && <path d={`${outline}Z`} className="scribe-lit" />}</g>
      <text y={-178} textAnchor="middle" className="scribe-brass">
        the piece, Ø {lengthText(D, units)}
      </text>
      {shown && (
        <text y={192} textAnchor="middle">
          {shown.teeth} teeth, Ø {lengthText(shown.tipDiameter, units)}
        </text>
      )}
    </svg>
  );
}

/** Where to measure a piece that lies there. */
function ThePiece() {
  return (
    <>
      <svg
        className="scribe-drawing"
        viewBox="0 0 420 230"
        role="img"
        aria-label="A bar end: measure it across its smallest place"
      >
        <path d="M60 60C48 92 74 134 60 168L320 160V68Z" className="scribe-lit" />
        <ellipse cx={320} cy={114} rx={22} ry={46} className="scribe-lit" />
        <path d="M372 68V160M362 68h20M362 160h20" className="scribe-mark" />
        <text x={372} y={186} textAnchor="middle" className="scribe-brass">
          here
        </text>
        <path d="M150 63l8 12 10 -9 9 13" className="scribe-line" />
        <text x={168} y={48} textAnchor="middle" className="scribe-small">
          scale, dents, saw marks come off too
        </text>
      </svg>
      <p className="scribe-say">
        Measure across the smallest place, in two directions: a bar is seldom round. What has to come off
        before it is true and clean goes into its own field.
      </p>
    </>
  );
}
