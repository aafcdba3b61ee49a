import { degreesTex, mmResult, type Working } from '../station/index.ts';
import { approx, decimalText, radiansOf, degreesOf } from '../units/index.ts';
import type { SpurSizes } from './spurSizes.ts';

/** What the two planes make of a helix, as plain data. mm and degrees. */
export interface HelicalDetail {
  readonly helixDeg: number;
  readonly hand: 'right' | 'left';
  readonly lead: number;
  readonly transverseModule: number;
  readonly pitchDiameter: number;
  readonly tipDiameter: number;
  /** At the tips, where a print is rubbed off. */
  readonly tipHelixDeg: number;
}
/** Figures written into TeX: lengths always in mm there. */

/** @returns null for straight teeth */
export function helicalOf(sizes: SpurSizes): HelicalDetail | null {
  if (sizes.helixDeg.equals(0)) return null;
  const angle = radiansOf(approx(sizes.helixDeg));
  const [pitchDiameter, tipDiameter] = [approx(sizes.pitchDiameter), approx(sizes.tipDiameter)];
  return {
    helixDeg: approx(sizes.helixDeg),
    hand: sizes.hand,
    lead: (Math.PI * pitchDiameter) / Math.tan(angle),
    transverseModule: approx(sizes.module) / Math.cos(angle),
    pitchDiameter,
    tipDiameter,
    tipHelixDeg: degreesOf(Math.atan((Math.tan(angle) * tipDiameter) / pitchDiameter)),
  };
}

export function helicalWorking(sizes: SpurSizes): Working[] {
  const found = helicalOf(sizes);
  if (!found) return [];
  const b = degreesTex(sizes.helixDeg, 4);
  const [m, d] = [decimalText(approx(sizes.module), 4), decimalText(found.pitchDiameter, 4)];
  const source = 'ISO 21771';
  return [
    {
      key: 'transverseModule',
      label: 'Transverse module',
      formula: 'm_t = \\frac{m_n}{\\cos\\beta}',
      put: `\\frac{${m}}{\\cos ${b}}`,
      ...mmResult(found.transverseModule),
      source,
    },
    {
      key: 'lead',
      label: 'Lead of the helix',
      formula: 'L = \\frac{\\pi d}{\\tan\\beta}',
      put: `\\frac{\\pi \\times ${d}}{\\tan ${b}}`,
      ...mmResult(found.lead),
      source,
    },
    {
      key: 'tipHelix',
      label: 'Angle seen on the tips',
      formula: '\\tan\\beta_a = \\tan\\beta\\,\\frac{d_a}{d}',
      put: `\\tan ${b} \\times \\frac{${decimalText(found.tipDiameter, 4)}}{${d}}`,
      result: `\\beta_a = ${decimalText(found.tipHelixDeg, 3)}^\\circ`,
      joined: 'looked-up',
      source,
    },
  ];
}
