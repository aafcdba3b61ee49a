import { dmsText, exact, radiansOf } from '../../core/units/index.ts';

interface SwingViewProps {
  readonly hand: 'right' | 'left';
  /** Of the helix, degrees. */
  readonly helixDeg: number;
  /** Which way the right end goes, and by how much. */
  readonly rightEnd: 'away' | 'towards';
  readonly swingDeg: number;
  /** Over 45°: the cutter stands across, its arbor along the travel of a straight table. */
  readonly arborAlong: boolean;
  /** mm */
  readonly diameter: number;
  readonly faceWidth: number;
  /** Part of the face that has gone under the cutter, 0 to 1. */
  readonly travelled?: number;
  /** Part of a turn the work makes over the face. */
  readonly turn: number;
}

const TABLE = { length: 356, width: 92, reach: 126 };

/**
 * The mill seen from above: the table swung, the work on it with its teeth as they lie on top, and the cutter
 * standing in their way. Column above, the one who runs it below.
 */
export function SwingView(props: SwingViewProps) {
  const { hand, helixDeg, rightEnd, swingDeg, arborAlong, diameter, faceWidth, travelled = 0, turn } = props;
  // SVG turns clockwise; the right end away from the operator is against the clock
  const turned = rightEnd === 'away' ? -swingDeg : swingDeg;
  const scale = Math.min(84 / diameter, 120 / faceWidth);
  const [half, face] = [(diameter / 2) * scale, faceWidth * scale];
  // the helix on top of the work: a right-hand one comes towards the operator as it goes to the right
  const slope = Math.tan(radiansOf(helixDeg)) * (hand === 'right' ? 1 : -1);
  const shift = 2 * Math.PI * (diameter / 2) * scale * turn * travelled * (hand === 'right' ? -1 : 1);
  const lines = Array.from({ length: 9 }, (_, i) => {
    const y = (i - 4) * (half / 2.2);
    return `M${-face / 2} ${y - (slope * face) / 2}L${face / 2} ${y + (slope * face) / 2}`;
  }).join('');
  // head and tailstock stand clear of a narrow work’s cutter
  const holds = Math.max(face / 2 + 12, 62);
  const along = face / 2 - travelled * face;
  const angle = dmsText(exact(swingDeg.toFixed(6)));
  // a table swung far is drawn shorter, so that it stays on the sheet
  const [sin, cos] = [Math.sin(radiansOf(swingDeg)), Math.cos(radiansOf(swingDeg))];
  const length = Math.min(TABLE.length, (2 * (TABLE.reach - (TABLE.width / 2) * cos)) / Math.max(sin, 1e-6));
  return (
    <svg
      className="scribe-drawing"
      viewBox="-210 -158 420 318"
      role="img"
      aria-label={`Seen from above: table swung ${angle}, right end ${rightEnd === 'away' ? 'away from you' : 'towards you'}; ${hand}-hand helix`}
    >
      <defs>
        <clipPath id="swing-work">
          <rect x={-face / 2} y={-half} width={face} height={2 * half} />
        </clipPath>
      </defs>
      <path d="M-70 -156V-134H70V-156" className="scribe-thin" />
      <text y={-140} textAnchor="middle" className="scribe-small">
        column
      </text>
      <path d="M-205 0H205" className="scribe-pitch" />
      <g transform={`rotate(${turned})`}>
        <g transform={`translate(${along} 0)`}>
          <rect
            x={-length / 2}
            y={-TABLE.width / 2}
            width={length}
            height={TABLE.width}
            rx={3}
            className="scribe-line"
          />
          <path
            d={`M${-length / 2} -14H${length / 2}M${-length / 2} 14H${length / 2}`}
            className="scribe-thin"
          />
          <rect x={-holds - 64} y={-26} width={64} height={52} rx={5} className="scribe-lit" />
          <path d={`M${-holds} 0H${holds + 4}`} className="scribe-line" />
          <path d={`M${holds + 4} -14h26v28h-26z`} className="scribe-line" />
          <rect x={-face / 2} y={-half} width={face} height={2 * half} className="scribe-lit" />
          <g clipPath="url(#swing-work)">
            <path d={lines} transform={`translate(0 ${shift % (half / 2.2)})`} className="scribe-line" />
          </g>
          <text x={-holds - 32} y={4} textAnchor="middle" className="scribe-small">
            head
          </text>
        </g>
      </g>
      {arborAlong ? (
        <>
          <rect x={-5} y={-48} width={10} height={96} className="scribe-cutter" />
          <path d="M-64 0H-5M5 0H64" className="scribe-mark" />
        </>
      ) : (
        <>
          <rect x={-48} y={-5} width={96} height={10} className="scribe-cutter" />
          <path d="M0 -130V-5M0 5V64" className="scribe-mark" />
        </>
      )}
      <SwingArc turned={turned} />
      <text x={0} y={136} textAnchor="middle" className="scribe-brass">
        {`right end ${rightEnd === 'away' ? 'away from you' : 'towards you'}, ${angle}`}
      </text>
      <text y={154} textAnchor="middle" className="scribe-small">
        seen from above; you stand down here
      </text>
    </svg>
  );
}

/** The angle at the right end, from straight to swung. */
function SwingArc({ turned }: { readonly turned: number }) {
  if (Math.abs(turned) < 0.5) return null;
  const r = 192;
  const at = (degrees: number, radius = r) => {
    const angle = radiansOf(degrees);
    return `${(radius * Math.cos(angle)).toFixed(2)} ${(radius * Math.sin(angle)).toFixed(2)}`;
  };
  const sweep = turned > 0 ? 1 : 0;
  const back = turned > 0 ? -5 : 5;
  return (
    <path
      d={`M${at(0)}A${r} ${r} 0 0 ${sweep} ${at(turned)}M${at(turned + back, r - 7)}L${at(turned)}L${at(turned + back, r + 6)}`}
      className="scribe-mark"
    />
  );
}
