import type { DriveShape } from '../drive/index.ts';
import { mmResult, lengthValue, textValue, type Value, type Working } from '../station/index.ts';
import { decimalText, degreesOf } from '../units/index.ts';
import type { RimReadings, RimShape } from './rim.ts';

export function rimValues(
  shape: RimShape,
  { bore, measured, corners }: RimReadings,
  { wheelDiameter, worm, addendum }: DriveShape,
): Value[] {
  const throated = shape.rim === 'throat';
  return [
    lengthValue(
      { key: 'outside', label: throated ? 'Corners Ø' : 'Outside Ø', settles: true },
      shape.outside,
    ),
    ...(throated
      ? [
          lengthValue({ key: 'throat', label: 'Throat Ø', symbol: 'd_{a2}', settles: true }, shape.throat),
          lengthValue({ key: 'throatRadius', label: 'Throat radius', settles: true }, shape.throatRadius),
        ]
      : []),
    lengthValue({ key: 'faceWidth', label: 'Face width', symbol: 'b', settles: true }, shape.faceWidth),
    ...(throated ? [lengthValue({ key: 'hollow', label: 'Hollow' }, shape.hollow)] : []),
    ...(shape.sideDiameter === null
      ? []
      : [lengthValue({ key: 'side', label: 'Faces Ø', settles: true }, shape.sideDiameter)]),
    ...(throated && shape.sideDiameter === null
      ? [textValue({ key: 'chamfer', label: 'Chamfer' }, 'none: the face is as wide as the hollow')]
      : []),
    ...(bore === null ? [] : [lengthValue({ key: 'bore', label: 'Bore', settles: true }, bore)]),
    lengthValue({ key: 'pitchDiameter', label: 'Pitch diameter', symbol: 'd_2' }, wheelDiameter),
    lengthValue(
      { key: 'root', label: 'Root', symbol: 'd_{f2}' },
      wheelDiameter - 2 * (worm.depth - addendum),
    ),
    ...(measured === null
      ? []
      : [lengthValue({ key: 'measured', label: 'Throat as turned', settles: true }, measured)]),
    ...(corners === null || !throated
      ? []
      : [lengthValue({ key: 'cornersTurned', label: 'Corners as turned', settles: true }, corners)]),
  ];
}

export function rimWorking(
  shape: RimShape,
  { wheelDiameter, addendum, wormDiameter, centre }: DriveShape,
): Working[] {
  const f = (value: number) => decimalText(value, 4);
  const source = 'Machinery’s Handbook, worm wheels; by geometry';
  const half = degreesOf(Math.asin(Math.min(1, shape.hollow / 2 / shape.throatRadius)));
  const lines: Working[] = [
    {
      key: 'throat',
      label: 'Throat diameter',
      formula: 'd_{a2} = d_2 + 2h_a',
      put: `${f(wheelDiameter)} + 2 \\times ${f(addendum)}`,
      ...mmResult(shape.throat),
      source,
    },
  ];
  if (shape.rim === 'plain') return lines;
  return [
    ...lines,
    {
      key: 'throatRadius',
      label: 'Throat radius',
      formula: 'r_t = \\frac{d_1}{2} - h_a',
      put: `\\frac{${f(wormDiameter)}}{2} - ${f(addendum)}`,
      ...mmResult(shape.throatRadius),
      source,
    },
    {
      key: 'outside',
      label: 'Outside, at the corners',
      formula: '2\\left(a - r_t\\cos\\tfrac{\\nu}{2}\\right)',
      put: `2\\left(${f(centre)} - ${f(shape.throatRadius)}\\cos ${decimalText(half, 3)}^\\circ\\right)`,
      ...mmResult(shape.outside),
      source,
    },
  ];
}
