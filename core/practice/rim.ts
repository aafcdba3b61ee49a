import { wheelDrawing } from '../drive/index.ts';
import type { GearDrawing } from '../involute/index.ts';
import { stationOf, type PartPlan } from '../plan/index.ts';
import { radiansOf } from '../units/index.ts';
import { formCutter, type CutterForm } from './form.ts';
import { exactGear } from './exactGear.ts';
import type { AlongFace } from './taking.ts';

/**
 * The rim of a worm wheel, at three places of its face: the corners of its hollow and the throat between
 * them. Lengths mm, radii from the wheel’s axis.
 *
 *      \__     __/   corners
 *         \___/      throat
 *
 */
export interface Rim {
  /** The wheel cut through its middle plane. */
  readonly gear: GearDrawing;
  /** Where the three places are, from where the face begins. */
  readonly at: AlongFace;
  readonly radii: AlongFace;
  /** Where the cutter’s tip stands as it first touches. */
  readonly touch: number;
  /** So the cutter is laid against the wheel’s axis, by the nearest mark of the machine’s scale, radians. */
  readonly laidAt: number;
  /** So far aside lies the gash there, clockwise as one looks from where the face begins. */
  readonly lean: AlongFace;
  /** How far it should lean from the first of these places to the last. */
  readonly leanWanted: number;
  /** Of the gash below the throat. */
  readonly deep: number;
  /** What is left for a hob. */
  readonly stock: number;
}

/** A plain rim has no corners: it is looked at where its face begins and ends. */
const across = (hollow: number, face: number): number => (hollow > 0 ? hollow : face);

/** The same with the cutter laid at another angle, to the hand of its worm. @param angle radians */
export function layRimAt(rim: Rim, angle: number): Rim {
  const { at, leanWanted } = rim;
  const by = (Math.sign(leanWanted) * (at[2] - at[0]) * Math.tan(angle)) / 2;
  return { ...rim, laidAt: angle, lean: [-by, 0, by] };
}

/** The rim as the card plans it; null where the part is no wheel, or not settled yet. */
export function rimOf(part: PartPlan): Rim | null {
  const blank = stationOf(part, 'wheelBlank')?.detail;
  const wheel = stationOf(part, 'wheel')?.detail;
  const [rim, drive, infeed] = [blank?.facts, blank?.drive, wheel?.infeed];
  if (!rim || !drive || !infeed) return null;
  const gear = wheelDrawing(drive);
  const wide = across(rim.hollow, rim.faceWidth);
  const middle = rim.faceWidth / 2;
  const throat = gear.tipDiameter / 2 + rim.deeper;
  const corner = rim.rim === 'throat' ? rim.corners / 2 : throat;
  const { leadAngle } = drive.worm;
  const stock = wheel?.hobStock ?? 0;
  const planned: Rim = {
    gear,
    at: [middle - wide / 2, middle, middle + wide / 2],
    radii: [corner, throat, corner],
    touch: gear.rootDiameter / 2 + (infeed.fromCorners ?? infeed.fromThroat),
    laidAt: leadAngle,
    lean: [0, 0, 0],
    leanWanted: (drive.hand === 'right' ? 1 : -1) * wide * Math.tan(leadAngle),
    deep: infeed.fromThroat - stock,
    stock,
  };
  return layRimAt(planned, wheel?.setting ? radiansOf(wheel.setting.scale) : leadAngle);
}

/**
 * The cutter as it lies in a section square to the wheel’s axis: laid at the lead angle it is as much wider
 * and shorter there. To first order.
 */
export function rimForm(
  { gear, laidAt }: Pick<Rim, 'gear' | 'laidAt'>,
  { cutterTeeth, diameter }: { readonly cutterTeeth: number; readonly diameter: number },
): CutterForm {
  const cos = Math.cos(laidAt);
  const pitchDiameter = gear.pitchDiameter * cos;
  const onNormal = (diameter: number): number => diameter - gear.pitchDiameter + pitchDiameter;
  const normal = {
    ...gear,
    pitchDiameter,
    tipDiameter: onNormal(gear.tipDiameter),
    rootDiameter: onNormal(gear.rootDiameter),
    baseDiameter: gear.baseDiameter * cos,
    toothThickness: gear.toothThickness * cos,
  };
  const form = formCutter(exactGear(normal, cutterTeeth), diameter);
  return { ...form, along: cos, halfWidth: (height) => form.halfWidth(height) / cos };
}
