import { dmsText, exact, radiansOf } from '../../core/units/index.ts';

interface TiltViewProps {
  readonly hand: 'right' | 'left';
  /** Of the helix, degrees. */
  readonly helixDeg: number;
  /** On which side of the work the cutter stands, seen by the one who runs the mill. */
  readonly side: 'near' | 'far';
  /** Which way the head's top goes, and by how much. */
  readonly top: 'right' | 'left';
  readonly tiltDeg: number;
  /** mm */
  readonly diameter: number;
  readonly faceWidth: number;
}

/**
 * The mill from the front: the work with its teeth as they lie on the side that is cut, and the cutter on its
 * stub arbor with the head tilted. What stands beyond the work is drawn broken.
 */
export function TiltView({ hand, helixDeg, side, top, tiltDeg, diameter, faceWidth }: TiltViewProps) {
  const scale = Math.min(120 / diameter, 200 / faceWidth);
  const [half, face] = [(diameter / 2) * scale, faceWidth * scale];
  // on the near side a right-hand tooth falls to the right; beyond the work, seen through it, it rises
  const falls = (hand === 'right') === (side === 'near') ? 1 : -1;
  const slope = Math.tan(radiansOf(helixDeg)) * falls;
  const lines = [-4, -3, -2, -1, 0, 1, 2, 3, 4]
    .map((i) => {
      const y = i * (half / 2.6);
      return `M${-face / 2} ${y - (slope * face) / 2}L${face / 2} ${y + (slope * face) / 2}`;
    })
    .join('');
  const turned = top === 'right' ? tiltDeg : -tiltDeg;
  const far = side === 'far' ? 'is-far' : '';
  return (
    <svg
      className="scribe-drawing"
      viewBox="-210 -158 420 318"
      role="img"
      aria-label={`Seen from the front: head tilted ${dmsText(exact(tiltDeg.toFixed(6)))}, its top to the ${top}; ${hand}-hand teeth`}
    >
      <defs>
        <clipPath id="tilt-work">
          <rect x={-face / 2} y={-half} width={face} height={2 * half} />
        </clipPath>
      </defs>
      <path d="M0 -156V120" className="scribe-pitch" />
      <path d={`M-200 0H${-face / 2}M${face / 2} 0H200`} className="scribe-line" />
      <rect x={-face / 2} y={-half} width={face} height={2 * half} className="scribe-lit" />
      <g clipPath="url(#tilt-work)">
        <path d={lines} className={side === 'far' ? 'scribe-thin' : 'scribe-line'} />
      </g>
      <g transform={`rotate(${turned})`}>
        <rect x={-58} y={-5} width={116} height={10} className={`scribe-cutter ${far}`} />
        <path d="M0 -5V-120M-16 -120h32" className="scribe-mark" />
      </g>
      <text x={0} y={136} textAnchor="middle" className="scribe-brass">
        head’s top to the {top}, {dmsText(exact(tiltDeg.toFixed(6)))}
      </text>
      <text y={154} textAnchor="middle" className="scribe-small">
        seen from the front; the cutter {side === 'near' ? 'on your side of the work' : 'beyond the work'}
      </text>
    </svg>
  );
}
