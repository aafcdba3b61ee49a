import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import { MARKING_FILM, type Contact } from '../../core/wheel/index.ts';

interface ContactViewProps {
  readonly contact: Contact;
  readonly faceWidth: number;
  readonly units: UnitSystem;
}

const WIDTH = 420;
const HEIGHT = 220;

/**
 * A flank of the wheel, face across and height up, as marking blue would show it: filled where it bears,
 * crossed where it touches before the middle does, open where it stands clear.
 */
export function ContactView({ contact, faceWidth, units }: ContactViewProps) {
  const { spots } = contact;
  const places = [...new Set(spots.map(({ across }) => across))].sort((a, b) => a - b);
  const tallest = Math.max(...spots.map(({ height }) => height));
  const step = places.length > 1 ? places[1]! - places[0]! : faceWidth;
  const scale = Math.min((WIDTH - 40) / (faceWidth + step), (HEIGHT - 74) / tallest);
  const cells = places.flatMap((place) => {
    const column = spots.filter(({ across }) => across === place);
    return column.map((spot, i) => {
      const low = column[i + 1]?.height ?? spot.height - (column[0]!.height - (column[1]?.height ?? 0));
      return {
        spot,
        x: (place - step / 2) * scale,
        y: (tallest - spot.height) * scale,
        tall: Math.max(0.5, (spot.height - Math.max(0, low)) * scale),
      };
    });
  });
  const wide = step * scale;
  const bears = cells.filter(({ spot: { gap } }) => gap !== null && Math.abs(gap) <= MARKING_FILM);
  const digs = cells.filter(({ spot: { gap } }) => gap !== null && gap < -MARKING_FILM);
  const bottom = 26 + tallest * scale;
  const rect = ({ x, y, tall }: (typeof cells)[number]) => `M${x} ${y}h${wide}v${tall}h${-wide}Z`;
  const cross = ({ x, y, tall }: (typeof cells)[number]) =>
    `M${x} ${y}l${wide} ${tall}M${x + wide} ${y}l${-wide} ${tall}`;
  return (
    <svg
      className="scribe-drawing"
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${bottom + 46}`}
      role="img"
      aria-label={`Flank of the wheel: it bears over ${lengthText(contact.width, units)} of ${lengthText(faceWidth, units)}`}
    >
      <text y={15} textAnchor="middle" className="scribe-small">
        a flank of the wheel, as marking blue would show it
      </text>
      <g transform="translate(0 26)">
        <path d={cells.map(rect).join('')} className="scribe-thin" />
        <path d={bears.map(rect).join('')} className="contact-bears" />
        <path d={digs.map(cross).join('')} className="contact-digs" />
        <path d={`M0 0V${tallest * scale}`} className="scribe-pitch" />
      </g>
      <text y={bottom + 18} textAnchor="middle" className="scribe-brass">
        {`bears over ${lengthText(contact.width, units)} of ${lengthText(faceWidth, units)}`}
      </text>
      <text y={bottom + 38} textAnchor="middle" className="scribe-small">
        {digs.length > 0
          ? `crossed: touches up to ${contact.digs.toFixed(0)} µm before the middle`
          : 'nowhere does it touch before the middle'}
      </text>
    </svg>
  );
}
