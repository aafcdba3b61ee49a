import { radiansOf } from '../../core/units/index.ts';
import type { MadePlate } from '../../core/dividing/index.ts';

/** How many holes are numbered in the order they are drilled: enough to see which way it goes. */
const NUMBERED = 4;
const SIZE = 420;

/** A plate or ring to be drilled, to scale: hole 0 lit, the first few numbered in the order of drilling. */
export function MadePlateView({ plate }: { readonly plate: MadePlate }) {
  const { pitchCircle, holeSize, holes, startAngleDeg, drilling, use } = plate;
  const scale = (SIZE - 110) / pitchCircle;
  const radius = (pitchCircle / 2) * scale;
  const at = (hole: number, r: number) => {
    const angle = radiansOf(startAngleDeg + (360 * hole) / holes);
    return { cx: r * Math.sin(angle), cy: -r * Math.cos(angle) };
  };
  const half = SIZE / 2;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-half} ${-half} ${SIZE} ${SIZE}`}
      role="img"
      aria-label={`${use === 'ring' ? 'Ring' : 'Plate'} of ${holes} holes on a circle of ${pitchCircle} mm, to scale`}
    >
      <circle r={radius + (holeSize * scale) / 2 + 14} className="scribe-lit" />
      <circle r={radius} className="scribe-pitch" />
      {drilling.map(({ hole }) => (
        <circle
          key={hole}
          {...at(hole, radius)}
          r={Math.max(1, (holeSize / 2) * scale)}
          className={hole === 0 ? 'made-hole is-first' : 'made-hole'}
        />
      ))}
      {drilling.slice(0, NUMBERED).map(({ hole }, i) => {
        const { cx, cy } = at(hole, radius + (holeSize * scale) / 2 + 30);
        return (
          <text key={hole} x={cx} y={cy + 5} textAnchor="middle" className="scribe-small">
            {i + 1}.
          </text>
        );
      })}
      <path d="M-8 0h16M0 -8v16" className="scribe-line" />
    </svg>
  );
}
