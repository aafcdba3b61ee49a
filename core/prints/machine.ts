import {
  arrow,
  circle,
  closed,
  line,
  point,
  rectangle,
  together,
  turned,
  word,
  type Drawing,
} from '../drafting/index.ts';
import { layShafts, type TrainLaid } from '../gearing/index.ts';
import { dmsText, exact, radiansOf } from '../units/index.ts';

/**
 * A gear train by its pitch circles, shaft by shaft in the order they mesh, each with its place and teeth;
 * laid out straight, its gears to one scale, so many mm wide. Idlers are broken: any gear left over serves.
 */
export function trainPrint(laid: TrainLaid, wide: number): Drawing {
  const shafts = layShafts(laid);
  const left = Math.min(...shafts.map(({ gears, centre }) => centre - Math.max(...gears) / 2));
  const right = Math.max(...shafts.map(({ gears, centre }) => centre + Math.max(...gears) / 2));
  const scale = Math.min(wide / (right - left), 0.4);
  const tallest = Math.max(...shafts.flatMap(({ gears }) => gears)) * scale;
  return together(
    ...shafts.flatMap(({ name, gears, idler, centre }, i) => {
      const at = point((centre - left) * scale, 0);
      const said = idler ? 'idler' : `${name} ${gears.join(' + ')}`;
      return [
        ...gears.map((teeth) => circle(idler ? 'hidden' : 'form', at, (teeth / 2) * scale)),
        circle('form', at, 0.7, 'black'),
        word(said, point(at.x, -tallest / 2 - 5 - (i % 2) * 4)),
      ];
    }),
  );
}

export interface SwingShown {
  readonly hand: 'right' | 'left';
  readonly helixDeg: number;
  readonly rightEnd: 'away' | 'towards';
  readonly swingDeg: number;
  /** Over 45°: the arbor lies along the travel of a straight table. */
  readonly arborAlong: boolean;
}

/**
 * The swung table from above, column at the top, so many mm wide: work with its teeth as they lie on top,
 * cutter across, and which way the right end goes.
 */
export function swingPrint(
  { hand, helixDeg, rightEnd, swingDeg, arborAlong }: SwingShown,
  wide: number,
): Drawing {
  const away = rightEnd === 'away';
  const turn = radiansOf(swingDeg) * (away ? 1 : -1);
  const half = wide * 0.42;
  const [deep, work] = [wide * 0.11, wide * 0.09];
  // seen from above a right-hand tooth comes towards the operator as it goes to the right
  const lean = Math.tan(radiansOf(Math.min(60, helixDeg))) * (hand === 'right' ? -1 : 1);
  // a tooth that leaves the work at its edge ends there, and keeps its direction
  const tooth = (k: number) => {
    const y = k * work * 0.45;
    const until = (way: 1 | -1) => {
      const rise = lean * way;
      const room = rise === 0 ? Infinity : ((rise > 0 ? work : -work) - y) / rise;
      return way * Math.min(work * 0.9, room);
    };
    const [from, to] = [until(-1), until(1)];
    return line('thin', point(from, y + lean * from), point(to, y + lean * to));
  };
  const table = together(
    rectangle('outline', point(-half, -deep), point(half, deep)),
    rectangle('form', point(-work, -work), point(work, work)),
    ...[-2, -1, 0, 1, 2].map(tooth),
    rectangle('thin', point(-half * 0.72, -work * 0.7), point(-work * 1.7, work * 0.7)),
    line('thin', point(-work * 1.7, 0), point(work * 2.2, 0)),
  );
  const cutter = arborAlong
    ? rectangle('outline', point(-1, -deep * 1.3), point(1, deep * 1.3), 'grey')
    : rectangle('outline', point(-deep * 1.3, -1), point(deep * 1.3, 1), 'grey');
  const end = point(half * 0.96 * Math.cos(turn), half * 0.96 * Math.sin(turn));
  const way = point(-Math.sin(turn) * Math.sign(turn || 1), Math.cos(turn) * Math.sign(turn || 1));
  return together(
    line('centre', point(-half, 0), point(half, 0)),
    turned(table, turn),
    cutter,
    arrow(point(end.x + way.x * 3, end.y + way.y * 3), way),
    word('column', point(0, half * 0.62)),
    word(
      `right end ${away ? 'away from you' : 'towards you'}, ${dmsText(exact(swingDeg.toFixed(6)))}`,
      point(0, -half * 0.68),
      { bold: true },
    ),
    word('seen from above; you stand down here', point(0, -half * 0.68 - 4.5)),
  );
}

/** What touches the work, and from which side it is brought to its middle. */
export interface CentreShown {
  /** mm; the work is drawn as a circle of this */
  readonly outside: number;
  readonly cutterWidth: number;
  /** From the touch to the middle, mm. */
  readonly move: number;
  readonly said: string;
}

/** The cutter at its touch and in the middle, seen along the work; so many mm wide. */
export function centrePrint({ outside, cutterWidth, move, said }: CentreShown, wide: number): Drawing {
  const scale = Math.min(wide / (outside + 2 * cutterWidth + 8), 1);
  const radius = (outside / 2) * scale;
  const [w, off] = [Math.max(1.2, (cutterWidth / 2) * scale), move * scale];
  const up = radius * 0.9;
  const cutterAt = (x: number, y: number) => [
    point(x - w, y),
    point(x + w, y),
    point(x + w, y + up),
    point(x - w, y + up),
  ];
  return together(
    circle('outline', point(0, 0), radius),
    line('centre', point(-radius - 4, 0), point(radius + 4, 0)),
    line('centre', point(0, -radius - 4), point(0, radius + up + 6)),
    closed('hidden', cutterAt(-off, 0)),
    closed('outline', cutterAt(0, radius), 'grey'),
    line('dimension', point(-off, radius + up + 4), point(0, radius + up + 4)),
    arrow(point(0, radius + up + 4), point(1, 0)),
    word(said, point(-off / 2, radius + up + 6)),
  );
}
