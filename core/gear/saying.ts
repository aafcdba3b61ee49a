import { mmResult, angleValue, lengthValue, textValue, type Value, type Working } from '../station/index.ts';
import { approx, decimalText, exact, degreesOf } from '../units/index.ts';
import { helicalOf } from './helical.ts';
import { type SpurSizes } from './spurSizes.ts';

/** Figures written into TeX: lengths always in mm there, the unit the formulas are worked in. */

export function workingOf(sizes: SpurSizes): Working[] {
  const m = approx(sizes.module);
  const ha = approx(sizes.depth.addendum);
  const h = approx(sizes.depth.wholeDepth);
  const d = approx(sizes.pitchDiameter);
  const iso = 'ISO 21771';
  const lines: Working[] = [];
  if (sizes.pitch.system === 'dp') {
    const P = decimalText(sizes.pitch.figure);
    lines.push({
      key: 'module',
      label: 'Module',
      formula: 'm = \\frac{25.4}{P}',
      put: `\\frac{25.4}{${P}}`,
      ...mmResult(m),
      source: 'the inch is 25.4 mm exactly',
    });
  }
  lines.push(
    pitchDiameterWorking(sizes, m, d),
    {
      key: 'addendum',
      label: 'Addendum',
      formula: sizes.depth.rule ? `h_a = ${sizes.depth.rule.addendum}\\,m` : 'h_a',
      put: sizes.depth.rule ? `${sizes.depth.rule.addendum} \\times ${decimalText(m)}` : '\\text{as typed}',
      ...mmResult(ha),
      source: sizes.depth.rule?.source ?? sizes.depth.readFrom ?? '',
    },
    depthWorking(sizes, m, h),
    ...sinkWorking(sizes),
    {
      key: 'clearance',
      label: 'Clearance',
      formula: 'c = h - 2h_a',
      put: `${decimalText(h, 4)} - 2 \\times ${decimalText(ha, 4)}`,
      ...mmResult(approx(sizes.clearance)),
      source: iso,
    },
    {
      key: 'circularPitch',
      label: 'Circular pitch',
      formula: 'p = \\pi\\,m',
      put: `\\pi \\times ${decimalText(m)}`,
      ...mmResult(sizes.circularPitch),
      source: iso,
    },
    {
      key: 'toothThickness',
      label: 'Tooth thickness',
      formula: sizes.thinning.equals(0) ? 's = \\frac{p}{2}' : 's = \\frac{p}{2} - \\Delta s',
      put: `\\frac{${decimalText(sizes.circularPitch, 4)}}{2}${sizes.thinning.equals(0) ? '' : ` - ${decimalText(sizes.thinning, 4)}`}`,
      ...mmResult(sizes.toothThickness),
      source: iso,
    },
    {
      key: 'baseDiameter',
      label: 'Base diameter',
      formula: 'd_b = d\\cos\\alpha',
      put: `${decimalText(d)} \\times \\cos ${decimalText(degreesOf(sizes.transverse.pressureAngle), 4)}^\\circ`,
      ...mmResult(sizes.baseDiameter),
      source: iso,
    },
  );
  return lines;
}

function pitchDiameterWorking(sizes: SpurSizes, m: number, d: number): Working {
  const base = { key: 'pitchDiameter', label: 'Pitch diameter', ...mmResult(d), source: 'ISO 21771' };
  if (sizes.helixDeg.equals(0))
    return { ...base, formula: 'd = z\\,m', put: `${sizes.teeth} \\times ${decimalText(m)}` };
  const angle = `\\cos ${decimalText(sizes.helixDeg, 4)}^\\circ`;
  return {
    ...base,
    formula: 'd = \\frac{z\\,m_n}{\\cos\\beta}',
    put: `\\frac{${sizes.teeth} \\times ${decimalText(m)}}{${angle}}`,
  };
}

function sinkWorking({ thinning, sink, cutDepth, depth }: SpurSizes): Working[] {
  if (thinning.equals(0)) return [];
  return [
    {
      key: 'sink',
      label: 'Deeper, to thin the tooth',
      formula: '\\Delta h = \\frac{\\Delta s\\,\\cos\\alpha}{2\\sin(\\alpha + 90^\\circ/z_c)}',
      put: `\\Delta s = ${decimalText(thinning, 4)}`,
      ...mmResult(approx(sink)),
      source: 'a form cutter keeps its shape and moves radially; by drawing it',
    },
    {
      key: 'cutDepth',
      label: 'Depth to cut',
      formula: 'h + \\Delta h',
      put: `${decimalText(depth.wholeDepth, 4)} + ${decimalText(sink, 4)}`,
      ...mmResult(approx(cutDepth)),
      source: 'by adding up',
    },
  ];
}

function depthWorking(sizes: SpurSizes, m: number, h: number): Working {
  const { depth } = sizes;
  const base = { key: 'wholeDepth', label: 'Whole depth', ...mmResult(h) };
  if (depth.from === 'stamped') {
    return {
      ...base,
      formula: 'h',
      put: '\\text{as stamped on the cutter}',
      source: 'the cutter’s own mark wins over every rule',
    };
  }
  if (depth.from === 'typed' || !depth.rule) {
    return { ...base, formula: 'h', put: '\\text{as typed}', source: depth.readFrom ?? '' };
  }
  const plus = depth.rule.plusInch ? ` + ${depth.rule.plusInch} \\times 25.4` : '';
  return {
    ...base,
    formula: depth.rule.depthFormula,
    put: `${depth.rule.wholeDepth} \\times ${decimalText(m)}${plus}`,
    source: depth.rule.source,
  };
}

export function valuesOf(sizes: SpurSizes): Value[] {
  return [
    textValue({ key: 'teeth', label: 'Teeth', symbol: 'z', settles: true }, String(sizes.teeth)),
    lengthValue(
      {
        key: 'module',
        label: sizes.helixDeg.equals(0) ? 'Module' : 'Normal module',
        symbol: sizes.helixDeg.equals(0) ? 'm' : 'm_n',
        settles: true,
        within: 0,
        inMm: true,
      },
      sizes.module,
    ),
    angleValue(
      { key: 'pressureAngle', label: 'Pressure angle', symbol: '\\alpha', settles: true, within: 0 },
      sizes.pressureAngleDeg,
    ),
    lengthValue({ key: 'pitchDiameter', label: 'Pitch diameter', symbol: 'd' }, sizes.pitchDiameter),
    lengthValue(
      { key: 'wholeDepth', label: 'Whole depth', symbol: 'h', settles: true },
      sizes.depth.wholeDepth,
    ),
    ...(sizes.thinning.equals(0)
      ? []
      : [
          lengthValue(
            { key: 'cutDepth', label: 'Depth to cut, for thinner teeth', settles: true },
            sizes.cutDepth,
          ),
        ]),
    ...(sizes.helixDeg.equals(0)
      ? []
      : [
          angleValue(
            { key: 'helix', label: `Helix, ${sizes.hand}-hand`, symbol: '\\beta', settles: true },
            sizes.helixDeg,
          ),
          textValue({ key: 'hand', label: 'Hand', settles: true }, sizes.hand),
          angleValue(
            { key: 'transverseAngle', label: 'Pressure angle, transverse', symbol: '\\alpha_t' },
            exact(degreesOf(sizes.transverse.pressureAngle).toFixed(7)),
          ),
          lengthValue(
            { key: 'transverseModule', label: 'Transverse module', symbol: 'm_t', inMm: true },
            helicalOf(sizes)!.transverseModule,
          ),
          lengthValue({ key: 'lead', label: 'Lead', symbol: 'L' }, helicalOf(sizes)!.lead),
        ]),
    lengthValue({ key: 'addendum', label: 'Addendum', symbol: 'h_a', settles: true }, sizes.depth.addendum),
    lengthValue({ key: 'clearance', label: 'Clearance', symbol: 'c' }, sizes.clearance),
    lengthValue({ key: 'toothThickness', label: 'Tooth thickness', symbol: 's' }, sizes.toothThickness),
    lengthValue({ key: 'circularPitch', label: 'Circular pitch', symbol: 'p' }, sizes.circularPitch),
    lengthValue({ key: 'baseDiameter', label: 'Base diameter', symbol: 'd_b' }, sizes.baseDiameter),
  ];
}
