import {
  boxOf,
  dimensionAcross,
  dimensionUp,
  line,
  point,
  rectangle,
  together,
  word,
  type Drawing,
} from '../drafting/index.ts';
import type { DriveShape } from '../drive/index.ts';
import { lengthText, type UnitSystem } from '../units/index.ts';
import type { RimFacts } from '../wheel/index.ts';

/** What a blank may be under its size, mm: never over. Common practice; the depth is set from it. */
export const UNDER = 0.05;

/** How it is drawn: mm on paper for one of life, and the units it is told in. */
export interface PrintSet {
  readonly scale: number;
  readonly units: UnitSystem;
}

/** `+0 −0.05` */
const underText = (units: UnitSystem): string =>
  `+0 −${lengthText(UNDER, units, 'shop').replace(/ (mm|in)$/, '')}`;

const plain = (mm: number, units: UnitSystem): string => lengthText(mm, units).replace(/ (mm|in)$/, '');

interface Turned {
  /** mm */
  readonly outside: number;
  readonly face: number;
  readonly bore: number | null;
}

/**
 * A plain blank as the lathe needs it, from the side: outside with its tolerance, face and bore.
 *
 *        |<- face ->|
 *        +----------+  ^
 *        |- - - - - |  | Ø
 *      --|-- - -- - |--
 */
export function blankPrint({ outside, face, bore }: Turned, { scale, units }: PrintSet): Drawing {
  const [half, wide] = [(outside / 2) * scale, face * scale];
  const b = bore !== null && bore > 0 ? (bore / 2) * scale : null;
  return together(
    rectangle('outline', point(0, -half), point(wide, half)),
    line('centre', point(-5, 0), point(wide + 5, 0)),
    ...(b === null
      ? []
      : [
          line('hidden', point(0, b), point(wide, b)),
          line('hidden', point(0, -b), point(wide, -b)),
          dimensionUp({
            from: -b,
            to: b,
            at: wide + 9,
            outlineAt: wide,
            text: `Ø ${plain(bore!, units)}`,
            under: 'bore',
          }),
        ]),
    dimensionUp({
      from: -half,
      to: half,
      at: -9,
      outlineAt: 0,
      text: `Ø ${plain(outside, units)}`,
      under: underText(units),
    }),
    dimensionAcross({ from: 0, to: wide, at: half + 6, outlineAt: half, text: plain(face, units) }),
  );
}

/** A worm as the lathe needs it: outside, thread length, and what the thread is cut by. */
export function wormPrint(
  { drive, length }: { readonly drive: DriveShape; readonly length: number },
  { scale, units }: PrintSet,
): Drawing {
  const { worm, wormDiameter, hand, starts } = drive;
  const [half, wide, root] = [(worm.outside / 2) * scale, length * scale, Math.max(0, worm.root / 2) * scale];
  const pitch = (wormDiameter / 2) * scale;
  const end = Math.max(6, wide * 0.12);
  const body = together(
    rectangle('outline', point(0, -half), point(wide, half)),
    line('thin', point(0, root), point(wide, root)),
    line('thin', point(0, -root), point(wide, -root)),
    line('centre', point(0, pitch), point(wide, pitch)),
    line('centre', point(0, -pitch), point(wide, -pitch)),
    line('outline', point(0, root), point(-end, root), point(-end, -root), point(0, -root)),
    line('outline', point(wide, root), point(wide + end, root), point(wide + end, -root), point(wide, -root)),
    line('centre', point(-end - 4, 0), point(wide + end + 4, 0)),
  );
  const sized = together(
    body,
    dimensionUp({
      from: -half,
      to: half,
      at: -end - 8,
      outlineAt: 0,
      text: `Ø ${plain(worm.outside, units)}`,
      under: underText(units),
    }),
    dimensionUp({
      from: -root,
      to: root,
      at: wide + end + 8,
      outlineAt: wide + end,
      text: `Ø ${plain(2 * (root / scale), units)}`,
      under: 'root',
    }),
    dimensionAcross({
      from: 0,
      to: wide,
      at: half + 6,
      outlineAt: half,
      text: `thread ${plain(length, units)}`,
    }),
  );
  const { bottom } = boxOf(sized);
  const say = (mm: number) => lengthText(mm, units, 'fine');
  const said = [
    `${starts === 1 ? 'one start' : `${starts} starts`}, ${hand} hand, lead ${say(worm.lead)}`,
    `axial pitch ${say(worm.axialPitch)}, ${say(worm.depth)} deep`,
    `tool flat ${say(worm.toolFlat)}, pitch Ø ${say(wormDiameter)}`,
  ];
  return together(sized, ...said.map((text, i) => word(text, point(wide / 2, bottom - 5 - 4.5 * i))));
}

/** The rim of a wheel in section about its worm: throat, corners, chamfer, face, bore below. */
export function rimPrint(
  { rim, centre }: { readonly rim: RimFacts; readonly centre: number },
  { scale, units }: PrintSet,
): Drawing {
  const face = (rim.faceWidth / 2) * scale;
  const throat = (rim.throat / 2) * scale;
  const corner = (rim.outside / 2) * scale;
  const hollow = (rim.hollow / 2) * scale;
  const side = rim.sideDiameter === null ? corner : (rim.sideDiameter / 2) * scale;
  const bore = (rim.bore / 2) * scale;
  const isThroated = rim.rim === 'throat';
  // from one corner of the hollow to the other, below the worm
  const sag = corner - throat;
  const bulge = hollow > 0 ? sag / hollow : 0;
  const top = isThroated
    ? [point(-face, side), { ...point(-hollow, corner), bulge }, point(hollow, corner), point(face, side)]
    : [point(-face, throat), point(face, throat)];
  const mirrored = top.map((each) => ({
    ...each,
    y: -each.y,
    ...('bulge' in each ? { bulge: -each.bulge } : {}),
  }));
  return together(
    line(
      'outline',
      point(-face, -(isThroated ? side : throat)),
      ...top,
      point(face, -(isThroated ? side : throat)),
    ),
    line('outline', ...mirrored),
    ...(bore > 0
      ? [
          line('hidden', point(-face, bore), point(face, bore)),
          line('hidden', point(-face, -bore), point(face, -bore)),
          dimensionUp({
            from: -bore,
            to: bore,
            at: face + 8,
            outlineAt: face,
            text: `Ø ${plain(rim.bore, units)}`,
            under: 'bore',
          }),
        ]
      : []),
    line('centre', point(-face - 5, 0), point(face + 5, 0)),
    dimensionUp({
      from: -throat,
      to: throat,
      at: -face - 8,
      outlineAt: -face,
      text: `Ø ${plain(rim.throat, units)}`,
      under: `${isThroated ? 'throat ' : ''}${underText(units)}`,
    }),
    dimensionAcross({
      from: -face,
      to: face,
      at: Math.max(corner, throat) + 6,
      outlineAt: isThroated ? side : throat,
      text: plain(rim.faceWidth, units),
    }),
    ...(isThroated
      ? [
          `corners Ø ${plain(rim.outside, units)}`,
          `hollow of radius ${plain(rim.throatRadius, units)}`,
          `its middle ${plain(centre, units)} from the axis`,
        ].map((text, k) => word(text, point(0, -Math.max(corner, throat) - 6 - 4.5 * k)))
      : []),
  );
}
