import { line } from 'd3-shape';
import { useMemo, useState } from 'react';
import type { GearDrawing, Point } from '../../core/involute/index.ts';
import { gearOutline } from '../../core/toothform/index.ts';
import type { Pair } from '../../core/mesh/index.ts';
import { lengthText, plural, type UnitSystem } from '../../core/units/index.ts';

interface PairViewProps {
  readonly pair: Pair;
  readonly centre: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);
/** Seconds for one tooth to pass. */
const A_TOOTH = 0.45;

function drawingOf({ module, pressureAngle }: Pair, gear: Pair['gears'][number]): GearDrawing {
  const pitchDiameter = module * gear.teeth;
  const tipDiameter = pitchDiameter + 2 * gear.addendum;
  return {
    teeth: gear.teeth,
    tipDiameter,
    pitchDiameter,
    baseDiameter: pitchDiameter * Math.cos(pressureAngle),
    rootDiameter: tipDiameter - 2 * gear.wholeDepth,
    pressureAngle,
    toothThickness: (Math.PI * module) / 2 - gear.thinning,
  };
}

/** A pair in mesh at its real distance, to one scale, turning at its true ratio when asked to. */
export function PairView({ pair, centre, units }: PairViewProps) {
  const [turning, setTurning] = useState(false);
  const drawings = useMemo(() => pair.gears.map((gear) => drawingOf(pair, gear)), [pair]);
  const [one, two] = drawings as [GearDrawing, GearDrawing];
  const outlines = useMemo(
    () => drawings.map((drawing) => `${path(gearOutline(drawing, drawing.teeth > 90 ? 4 : 8)) ?? ''}Z`),
    [drawings],
  );
  const span = one.tipDiameter / 2 + centre + two.tipDiameter / 2;
  const tall = Math.max(one.tipDiameter, two.tipDiameter);
  const scale = Math.min((WIDTH - 16) / span, 300 / tall);
  const height = tall * scale + 50;
  const y = 34 + (tall * scale) / 2;
  const x1 = (WIDTH - span * scale) / 2 + (one.tipDiameter / 2) * scale;
  const x2 = x1 + centre * scale;
  // a tooth of the first on the line of centres, a space of the second to meet it
  const starts = [90, -90 + 180 / two.teeth];
  return (
    <figure className="pair-view">
      <svg
        className="scribe-drawing"
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={`${one.teeth} and ${two.teeth} teeth in mesh at ${lengthText(centre, units)}, to scale`}
      >
        {drawings.map((drawing, i) => (
          <g key={i} transform={`translate(${i === 0 ? x1 : x2} ${y}) scale(${scale}) rotate(${starts[i]})`}>
            <g
              className={turning ? 'is-turning' : ''}
              style={{
                animationDuration: `${A_TOOTH * drawing.teeth}s`,
                animationDirection: i === 0 ? 'normal' : 'reverse',
              }}
            >
              <path d={outlines[i]} className="scribe-lit" />
              <path d={`M0 0V${-drawing.rootDiameter / 2}`} className="scribe-thin" />
            </g>
            <circle r={drawing.pitchDiameter / 2} className="scribe-pitch" />
          </g>
        ))}
        <path d={`M${x1} ${y}H${x2}M${x1} ${y - 6}v12M${x2} ${y - 6}v12`} className="scribe-mark" />
        <text x={(x1 + x2) / 2} y={18} textAnchor="middle" className="scribe-brass">
          {lengthText(centre, units)} between centres
        </text>
      </svg>
      <button
        type="button"
        className="quiet-thing is-small"
        aria-pressed={turning}
        onClick={() => setTurning(!turning)}
      >
        {turning ? 'Stop' : `Turn the pair: ${turnsOf(one.teeth, two.teeth)}`}
      </button>
    </figure>
  );
}

const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));

/** After how many turns of each the same two teeth meet again: the counts without what both divide by. */
function turnsOf(first: number, second: number): string {
  const shared = common(first, second);
  const [one, two] = [second / shared, first / shared];
  return `${plural(one, 'turn')} of the first, ${two} of the second`;
}
