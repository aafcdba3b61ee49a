import { memo } from 'react';
import { at, KNOB, RIM } from './headPlaces.ts';

/** Closer together than this its marks are not drawn each, on the sheet. */
const CLOSE = 4;
/** Rounds between two numbers, by what reads well. */
const NUMBERED = [1, 2, 5, 10, 15, 20, 30, 45, 50, 60, 90, 100, 200, 500];

/** A rim with marks that goes by a fixed line: a handwheel, or a table of degrees. */
export function Graduated({
  marks,
  turned,
  knob,
}: {
  readonly marks: number;
  /** Turns clockwise since it read 0. */
  readonly turned: number;
  readonly knob: boolean;
}) {
  return (
    <>
      <g transform={`rotate(${turned * 360})`}>
        <circle r={RIM} className="practice-plate" />
        <Marks marks={marks} />
        {knob && (
          <>
            <path d={`M0 0L0 ${KNOB - 60}`} className="practice-crank" />
            <circle cy={KNOB - 60} r="24" className="practice-knob" />
          </>
        )}
        <circle r="32" className="practice-hub" />
      </g>
      <path d={`M0 ${-RIM - 2}l-11 -24h22z`} className="practice-index" />
    </>
  );
}

/** The marks, against the clock: turned clockwise the readings at the line grow. */
const Marks = memo(function Marks({ marks }: { readonly marks: number }) {
  const room = (2 * Math.PI * RIM) / marks;
  const every = NUMBERED.find((each) => each * room >= CLOSE) ?? 1000;
  const numbered = NUMBERED.find((each) => each * room >= 46 && each % every === 0) ?? every * 10;
  return Array.from({ length: Math.ceil(marks / every) }, (_, i) => {
    const mark = i * every;
    const isLong = mark % numbered === 0;
    const [x, y] = at(RIM, -mark / marks);
    const [ix, iy] = at(RIM - (isLong ? 22 : 12), -mark / marks);
    const [tx, ty] = at(RIM - 38, -mark / marks);
    return (
      <g key={mark}>
        <path d={`M${x} ${y}L${ix} ${iy}`} className="practice-mark" />
        {isLong && (
          <text
            transform={`translate(${tx} ${ty}) rotate(${(-mark / marks) * 360})`}
            className="practice-mark-number"
            textAnchor="middle"
          >
            {mark}
          </text>
        )}
      </g>
    );
  });
});
