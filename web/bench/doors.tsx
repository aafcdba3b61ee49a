import type { ReactNode } from 'react';

export interface Door {
  /** As the address has it. */
  readonly kind: 'drawing' | 'sample' | 'blank' | 'shafts' | 'worm' | 'divide';
  readonly title: string;
  /** What one has in hand, and what comes of it. */
  readonly words: string;
  readonly drawing: ReactNode;
}

const teeth = ({
  cx,
  cy,
  r,
  n,
  missing = 0,
}: {
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
  readonly n: number;
  readonly missing?: number | undefined;
}): string =>
  Array.from({ length: n - missing }, (_, k) => {
    const a = (2 * Math.PI * (k + 0.5)) / n;
    const at = (angle: number, radius: number) =>
      `${(cx + radius * Math.cos(angle)).toFixed(1)} ${(cy + radius * Math.sin(angle)).toFixed(1)}`;
    return `${k === 0 ? 'M' : 'L'}${at(a - 1.6 / n, r)}L${at(a - 0.8 / n, r * 1.16)}L${at(a + 0.8 / n, r * 1.16)}L${at(a + 1.6 / n, r)}`;
  }).join('') + (missing ? `L${cx + r * 0.5} ${cy - r * 0.2}L${cx + r * 0.92} ${cy + 2}` : 'Z');

/** How a job arrives. One line for each door. */
export const DOORS: readonly Door[] = [
  {
    kind: 'drawing',
    title: 'A drawing',
    words: 'Pitch and teeth are given.',
    drawing: (
      <>
        <path d="M28 12H122V98H28Z" className="door-line" />
        <path d={teeth({ cx: 70, cy: 50, r: 24, n: 16 })} className="door-lit" />
        <path d="M84 90H122M84 82H122M96 82V98" className="door-thin" />
        <path d="M42 84H98M42 80v8M98 80v8" className="door-mark" />
      </>
    ),
  },
  {
    kind: 'sample',
    title: 'A gear to copy',
    words: 'Worn, whole or broken: measure it, and the likely gears are ranked.',
    drawing: (
      <>
        <path d={teeth({ cx: 75, cy: 56, r: 34, n: 18, missing: 3 })} className="door-lit" />
        <circle cx="75" cy="56" r="8" className="door-bore" />
        <path d="M36 12V100M114 12V100M36 16H114" className="door-mark" />
      </>
    ),
  },
  {
    kind: 'blank',
    title: 'A piece of metal',
    words: 'A bar end or a disc: the gears it has room for, from the largest down.',
    drawing: (
      <>
        <path d="M30 34V78M30 34H112M30 78H112" className="door-line" />
        <ellipse cx="112" cy="56" rx="12" ry="22" className="door-lit" />
        <path d="M30 34C24 44 36 68 30 78" className="door-line" />
        <path d="M134 34V78M129 34h10M129 78h10" className="door-mark" />
      </>
    ),
  },
  {
    kind: 'shafts',
    title: 'Two shafts',
    words: 'They are where they are: the pairs that land on their distance.',
    drawing: (
      <>
        <circle cx="45" cy="64" r="14" className="door-lit" />
        <circle cx="108" cy="64" r="22" className="door-lit" />
        <path d="M45 64V24M108 64V24M45 30H108" className="door-mark" />
      </>
    ),
  },
  {
    kind: 'divide',
    title: 'Just divide',
    words: 'Flats, holes, slots, splines, marks, an angle, or a rack.',
    drawing: (
      <>
        <circle cx="75" cy="56" r="38" className="door-thin" />
        <path
          d="M75 22L104.6 36.2 111.900 68.2 91.4 93.800 58.6 93.800 38.1 68.2 45.4 36.2Z"
          className="door-lit"
        />
        <path d="M75 22V56" className="door-mark" />
      </>
    ),
  },
  {
    kind: 'worm',
    title: 'A worm drive',
    words: 'Worm and wheel: from their pitch, their distance, or the worn ones.',
    drawing: (
      <>
        <circle cx="75" cy="72" r="26" className="door-lit" />
        <path d="M28 22H122M28 40H122" className="door-thin" />
        <path
          d="M36 40L42 22M50 40L56 22M64 40L70 22M78 40L84 22M92 40L98 22M106 40L112 22"
          className="door-line"
        />
        <path d="M75 31V72M69 31H81M69 72H81" className="door-mark" />
      </>
    ),
  },
];
