import { line } from 'd3-shape';
import { useMemo } from 'react';
import type { GearDrawing, Point } from '../../core/involute/index.ts';
import { gearOutline } from '../../core/toothform/index.ts';
import { spanOver } from '../../core/inspect/index.ts';
import { parseCount, type Measure, radiansOf } from '../../core/units/index.ts';
import type { StationProps } from '../panel/index.ts';

const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);
const ANGLE = radiansOf(20);
/** More teeth than this are drawn as fewer: what is measured is the same. */
const MOST_DRAWN = 44;

const countOf = ({
  typed,
  otherwise,
  least,
  most,
}: {
  readonly typed: Measure;
  readonly otherwise: number;
  readonly least: number;
  readonly most: number;
}): number => {
  const read = parseCount({ given: typed, what: '', least, most });
  return read.ok ? read.value : otherwise;
};

/** What to measure on the sample, and between which points. */
export function SampleScribe({ part }: StationProps<'gear'>) {
  const sample = part.arrival.by === 'sample' ? part.arrival.sample : null;
  const counted = sample ? countOf({ typed: sample.teeth, otherwise: 24, least: 4, most: 1000 }) : 24;
  const odd = sample?.tipBy !== 'over' || counted % 2 === 1;
  const teeth = counted <= MOST_DRAWN ? Math.max(9, counted) : odd ? 43 : 44;
  const k = sample
    ? Math.min(
        countOf({ typed: sample.spanTeeth, otherwise: Math.round(teeth / 9 + 0.5), least: 1, most: 400 }),
        Math.floor(teeth / 3),
      )
    : 3;
  const outline = useMemo(() => {
    const drawing: GearDrawing = {
      teeth,
      tipDiameter: teeth + 2,
      pitchDiameter: teeth,
      baseDiameter: teeth * Math.cos(ANGLE),
      rootDiameter: teeth - 2.5,
      pressureAngle: ANGLE,
      toothThickness: Math.PI / 2,
    };
    return `${path(gearOutline(drawing, 7)) ?? ''}Z`;
  }, [teeth]);
  const tip = teeth / 2 + 1;
  const root = teeth / 2 - 1.25;
  const bore = teeth * 0.14;
  const scale = 145 / tip;
  const by = sample?.tipBy ?? 'over';
  const across = tip * Math.cos(Math.PI / teeth);
  // the jaws stand at the ends of the span, square to the line that touches the base circle
  const half = spanOver(k, { teeth, module: 1, pressureAngle: ANGLE }) / 2;
  const base = (teeth / 2) * Math.cos(ANGLE);
  const spanTurn = k % 2 === 1 ? 0 : 180 / teeth;
  return (
    <>
      <div className="scribe-caption">
        <span>What to measure</span>
        <span>{teeth === counted ? `${teeth} teeth` : 'drawn with fewer teeth'}</span>
      </div>
      <svg
        className="scribe-drawing"
        viewBox="-210 -205 420 400"
        role="img"
        aria-label="What to measure on the sample: A the outside, B a span over teeth, C the depth"
      >
        <g transform={`scale(${scale})`}>
          <path d={outline} className="scribe-lit" />
          <circle r={bore} className="scribe-bore" />
          <g transform={`rotate(${spanTurn})`}>
            <path
              d={`M${-half} ${-tip - 1.4}V${-base + 0.7}M${half} ${-tip - 1.4}V${-base + 0.7}`}
              className="scribe-mark"
            />
            <path d={`M${-half} ${-base}H${half}`} className="scribe-thin" />
          </g>
        </g>
        <text y={-182} textAnchor="middle" className="scribe-brass">
          B · span over {k} {k === 1 ? 'tooth' : 'teeth'}
        </text>
        {by === 'over' && (
          <>
            <path
              d={`M${-tip * scale} 6V${tip * scale + 22}M${tip * scale} 6V${tip * scale + 22}M${-tip * scale} ${tip * scale + 16}H${tip * scale}`}
              className="scribe-mark"
            />
            <text y={tip * scale + 38} textAnchor="middle" className="scribe-brass">
              A · outside, over two tips
            </text>
          </>
        )}
        {by === 'across' && (
          <>
            <path
              d={`M-70 ${-tip * scale}H70M-70 ${across * scale}H70M-60 ${-tip * scale}V${across * scale}`}
              className="scribe-mark"
            />
            <text y={tip * scale + 38} textAnchor="middle" className="scribe-brass">
              A · across: one tip against two
            </text>
          </>
        )}
        {by === 'bore' && (
          <>
            <path
              d={`M0 ${bore * scale}V${tip * scale}M-6 ${bore * scale}h12M-6 ${tip * scale}h12M${-bore * scale} 0h${2 * bore * scale}`}
              className="scribe-mark"
            />
            <text y={tip * scale + 38} textAnchor="middle" className="scribe-brass">
              A · the bore, and from its edge to a tip
            </text>
          </>
        )}
        <g transform={`rotate(${(360 / teeth) * Math.round(teeth / 4)})`}>
          <path d={`M${0} ${-tip * scale}V${-root * scale}`} className="scribe-mark" />
        </g>
        <text x={tip * scale + 8} y={4} className="scribe-brass">
          C
        </text>
      </svg>
      <p className="scribe-say">
        {by === 'over' && counted % 2 === 1
          ? 'An odd count has no two tips opposite each other: use bore and edge to tip, or say it was read across.'
          : by === 'across'
            ? 'Good enough to find the pitch, not to certify a blank.'
            : 'C is the whole depth, tip to root. A span needs only flanks: worn tips do not hurt it.'}
      </p>
    </>
  );
}
