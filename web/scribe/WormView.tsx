import type { DriveShape } from '../../core/drive/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';

interface WormViewProps {
  readonly drive: DriveShape;
  /** Of the thread, mm. */
  readonly length: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const HEIGHT = 190;

/** The whole worm from the side, its crests as they climb, to one scale. */
export function WormView({ drive, length, units }: WormViewProps) {
  const { worm, hand, starts } = drive;
  const scale = Math.min((WIDTH - 90) / length, (HEIGHT - 70) / worm.outside);
  const [half, r, core] = [(length / 2) * scale, (worm.outside / 2) * scale, (worm.root / 2) * scale];
  const px = worm.axialPitch * scale;
  // seen from the side a crest goes half a lead along while it goes from edge to edge; a right-hand one leans
  // to the left, as its thread comes down in front
  const climb = (worm.lead / 2) * scale * (hand === 'right' ? -1 : 1);
  const count = Math.ceil(length / worm.axialPitch) + starts + 2;
  const crests = Array.from({ length: count }, (_, k) => {
    const x = -half - Math.abs(climb) + k * px;
    return `M${x} ${r}C${x + climb * 0.18} ${r * 0.5} ${x + climb * 0.82} ${-r * 0.5} ${x + climb} ${-r}`;
  }).join('');
  const say = (mm: number) => lengthText(mm, units);
  const cy = 20 + r;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${2 * r + 66}`}
      role="img"
      aria-label={`The worm, Ø ${say(worm.outside)}, thread ${say(length)} long, ${hand}-hand, to scale`}
    >
      <defs>
        <clipPath id="worm-body">
          <rect x={-half} y={cy - r} width={2 * half} height={2 * r} />
        </clipPath>
      </defs>
      <path
        d={`M${-half} ${cy - core}h-34v${2 * core}h34M${half} ${cy - core}h34v${2 * core}h-34`}
        className="scribe-line"
      />
      <rect x={-half} y={cy - r} width={2 * half} height={2 * r} className="scribe-lit" />
      <g clipPath="url(#worm-body)">
        <path d={crests} transform={`translate(0 ${cy})`} className="scribe-line" />
      </g>
      <path d={`M${-half - 44} ${cy}H${half + 44}`} className="scribe-pitch" />
      <path
        d={`M${-half} ${cy + r + 14}H${half}M${-half} ${cy + r + 9}v10M${half} ${cy + r + 9}v10`}
        className="scribe-mark"
      />
      <text y={cy + r + 34} textAnchor="middle" className="scribe-brass">
        {`Ø ${say(worm.outside)}, thread ${say(length)} long, ${hand}-hand`}
      </text>
    </svg>
  );
}
