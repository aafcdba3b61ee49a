import { line } from 'd3-shape';
import { memo } from 'react';
import type { GearDrawing as Form, Point } from '../../core/involute/index.ts';
import { gearOutline } from '../../core/toothform/index.ts';
import type { BlankDetail } from '../../core/blank/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

type Drawing = NonNullable<BlankDetail['drawing']>;
const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

const WIDTH = 420;
const ROOM = 330;
const SIDE_GAP = 22;

/** Fewer points a flank for many teeth: each is drawn smaller. */
const stepsFor = (teeth: number): number => (teeth > 200 ? 3 : teeth > 80 ? 5 : 9);

/** The teeth; worked out and drawn anew only when something of them is another, not for a face or a bore. */
const Teeth = memo(function Teeth(form: Form) {
  return <path d={`${path(gearOutline(form, stepsFor(form.teeth))) ?? ''}Z`} className="scribe-lit" />;
});

/** The blank from the front and from the side, to one scale, with its teeth. */
export function GearDrawing({ drawing, units }: { readonly drawing: Drawing; readonly units: UnitSystem }) {
  const { bore, faceWidth, ...form } = drawing;
  const { tipDiameter, pitchDiameter, rootDiameter, teeth } = form;
  const face = faceWidth ?? 0;
  const scale = Math.min(ROOM / tipDiameter, (WIDTH - 24 - (face ? SIDE_GAP : 0)) / (tipDiameter + face));
  const radius = (tipDiameter / 2) * scale;
  const wide = 2 * radius + (face ? SIDE_GAP + face * scale : 0);
  const left = (WIDTH - wide) / 2;
  const cx = left + radius;
  const cy = 34 + radius;
  const sideX = cx + radius + SIDE_GAP;
  const label = `Blank of ${lengthText(tipDiameter, units)} diameter with ${teeth} teeth, drawn to scale`;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`0 0 ${WIDTH} ${cy + radius + 26}`}
      role="img"
      aria-label={label}
    >
      <g transform={`translate(${cx} ${cy}) scale(${scale})`} vectorEffect="non-scaling-stroke">
        <Teeth {...form} />
        <circle r={pitchDiameter / 2} className="scribe-pitch" />
        {rootDiameter > 0 && <circle r={rootDiameter / 2} className="scribe-thin" />}
        {bore !== null && bore > 0 && <circle r={bore / 2} className="scribe-bore" />}
      </g>
      <path d={`M${cx - 8} ${cy}h16M${cx} ${cy - 8}v16`} className="scribe-thin" />
      <path d={`M${cx - radius} ${cy - radius - 6}v-6h${2 * radius}v6`} className="scribe-line" />
      <text x={cx} y={cy - radius - 17} textAnchor="middle">
        Ø {lengthText(tipDiameter, units)}
      </text>
      {bore !== null && bore > 0 && (
        <text x={cx} y={cy + (bore / 2) * scale + 18} textAnchor="middle" className="scribe-small">
          bore {lengthText(bore, units)}
        </text>
      )}
      {face > 0 && (
        <g>
          <rect x={sideX} y={cy - radius} width={face * scale} height={2 * radius} className="scribe-lit" />
          <path
            d={`M${sideX} ${cy - radius + (radius - (rootDiameter / 2) * scale)}h${face * scale}M${sideX} ${cy + (rootDiameter / 2) * scale}h${face * scale}`}
            className="scribe-thin"
          />
          <text x={sideX + (face * scale) / 2} y={cy + radius + 18} textAnchor="middle">
            {lengthText(face, units)}
          </text>
        </g>
      )}
    </svg>
  );
}
