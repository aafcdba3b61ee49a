import { toothHalfAngle, type GearDrawing } from '../involute/index.ts';
import { baseHelix, type MeasuredGear } from '../inspect/index.ts';
import { diskErrors } from '../toothform/index.ts';
import { formOf, type CutterForm } from './form.ts';

/** A helical gear in its normal plane, as its drawing in the plane of rotation and its lead give it. */
export function normalOf(gear: GearDrawing, lead: number): MeasuredGear & { readonly helixAngle: number } {
  const helixAngle = Math.atan((Math.PI * gear.pitchDiameter) / lead);
  return {
    teeth: gear.teeth,
    module: (gear.pitchDiameter / gear.teeth) * Math.cos(helixAngle),
    pressureAngle: Math.atan(Math.tan(gear.pressureAngle) * Math.cos(helixAngle)),
    helixAngle,
  };
}

/**
 * What a disk laid along a helix leaves in a section square to the axis, at full depth: the space of the gear
 * in the plane of rotation, with what the disk’s envelope takes more or less.
 * @param gear in the plane of rotation, mm and radians @param lead mm @param cutterTeeth the count the cutter
 * is exact for @param diameter of the cutter outside, mm
 * Source: diskErrors; an error across the flank is an angle by the base cylinder
 */
export function helicalForm({
  gear,
  lead,
  cutterTeeth,
  diameter,
}: {
  readonly gear: GearDrawing;
  readonly lead: number;
  readonly cutterTeeth: number;
  readonly diameter: number;
}): CutterForm {
  const normal = normalOf(gear, lead);
  const { teeth, module, pressureAngle, helixAngle } = normal;
  const [tip, pitch, root, base] = [
    gear.tipDiameter,
    gear.pitchDiameter,
    gear.rootDiameter,
    gear.baseDiameter,
  ].map((across) => across / 2) as [number, number, number, number];
  const nominal = (Math.PI * gear.pitchDiameter) / teeth / 2;
  const form = {
    teeth,
    module,
    pressureAngle,
    addendum: tip - pitch,
    wholeDepth: tip - root,
    thinning: (nominal - gear.toothThickness) * Math.cos(helixAngle),
  };
  const cutterDiameter = diameter - 2 * (form.wholeDepth - form.addendum);
  const across = base * Math.cos(baseHelix(normal)) * 1000;
  const flank = diskErrors({ form, helixAngle, cutterDiameter }, cutterTeeth).flank.map(
    ({ above, error }) => {
      const radius = root + above;
      const tooth = toothHalfAngle({
        radius: Math.max(radius, base),
        baseRadius: base,
        pitchRadius: pitch,
        pressureAngle: gear.pressureAngle,
        toothThickness: gear.toothThickness,
      });
      return { radius, angle: Math.PI / teeth - tooth + error / across };
    },
  );
  // below where the flank begins it goes on along a radius, to the floor
  const points = [{ radius: root, angle: flank[0]!.angle }, ...flank]
    .map(({ radius, angle }) => ({
      height: radius * Math.cos(angle) - root,
      width: radius * Math.sin(angle),
    }))
    .filter(({ height }, i, all) => i === 0 || height > all[i - 1]!.height);
  return formOf(points, { diameter, along: Math.cos(helixAngle) });
}
