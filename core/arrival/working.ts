import type { Identified } from '../sample/index.ts';
import { readSample, type SampleInput } from '../sample/index.ts';
import { mmResult, mmTex, type Working } from '../station/index.ts';
import { involute } from '../involute/index.ts';
import { approx, decimalText, parseAngleDeg, parsePositiveLength, radiansOf } from '../units/index.ts';
import type { StockAnswer } from './blankOnHand.ts';
import type { PairForShafts } from './shafts.ts';

/** Figures written into TeX: lengths always in mm there, the unit the formulas are worked in. */
const figure = (value: number, places = 4) => decimalText(value, places);
const ISO = 'ISO 21771';
const inv = (degrees: number) => involute(radiansOf(degrees));

/**
 * The count of a broken gear. @param tip mm over the tips, that a chord is laid across; null where only an
 * arc was read
 */
function survivorsLine(
  { pitches, arc, chord }: SampleInput['survivors'],
  teeth: number,
  tip: number | null,
): Working {
  const degrees = parseAngleDeg(arc);
  const across = parsePositiveLength(chord, '');
  const [formula, put] =
    degrees.ok || !across.ok || tip === null
      ? [
          '\\frac{360^\\circ k}{\\theta}',
          `\\frac{360^\\circ \\times ${pitches.typed}}{${degrees.ok ? decimalText(degrees.value, 4) : '?'}^\\circ}`,
        ]
      : [
          '\\frac{180^\\circ k}{\\arcsin\\frac{s}{d_a}}',
          `\\frac{180^\\circ \\times ${pitches.typed}}{\\arcsin\\frac{${figure(approx(across.value))}}{${figure(tip)}}}`,
        ];
  return {
    key: 'survivors',
    label: 'Count from the survivors',
    formula: `z = ${formula}`,
    put,
    result: figure(teeth, 2),
    source: degrees.ok ? 'the arc of k pitches' : 'the chord of k pitches, tip to tip',
  };
}

/** From readings to the likeliest gear, as one would write it on a board. */
export function sampleWorking(input: SampleInput, { best: [best] }: Identified): Working[] {
  const { readings } = readSample(input, 'mm');
  const lines: Working[] = [];
  const { tip, survivors, span, basePitch, mateCentre, wear } = readings;
  if (survivors) lines.push(survivorsLine(input.survivors, survivors.teeth, tip?.mm ?? null));
  const read = parsePositiveLength(input.bore, '');
  const bore = read.ok ? approx(read.value) : 0;
  if (tip && input.tipBy === 'bore')
    lines.push({
      key: 'tip',
      label: 'Outside from the bore',
      formula: 'd_a = \\text{bore} + 2e',
      put: `${figure(bore)} + 2 \\times ${figure((tip.mm - bore) / 2)}`,
      ...mmResult(tip.mm),
      source: 'common practice for odd counts',
    });
  if (!best) return lines;
  const { teeth, module, stub } = best;
  const two = stub ? '1.6' : '2';
  if (tip && best.helixDeg === 0)
    lines.push({
      key: 'moduleFromTip',
      label: 'Module by outside and count',
      formula: `m = \\frac{d_a}{z + ${two}}`,
      put: `\\frac{${figure(tip.mm)}}{${teeth} + ${two}}`,
      result: `${mmTex(tip.mm / (teeth + Number(two)))}\\ (${figure(25.4 / (tip.mm / (teeth + Number(two))), 2)}\\ \\mathrm{DP})`,
      source: ISO,
    });
  if (tip && best.helixDeg !== 0)
    // with what the search adds back to tips that read low
    lines.push({
      key: 'helix',
      label: 'Helix by outside, wear and count',
      formula: `\\cos\\beta = \\frac{z\\,m_n}{d_a + \\tfrac{u}{4} - ${two}m_n}`,
      put: `\\frac{${teeth} \\times ${figure(module)}}{${figure(tip.mm)} + \\frac{${figure(wear)}}{4} - ${two} \\times ${figure(module)}}`,
      result: `\\beta \\approx ${figure(best.helixDeg, 2)}^\\circ`,
      joined: 'looked-up',
      source: ISO,
    });
  lines.push({
    key: 'nominalTip',
    label: `Outside of ${best.pitch}`,
    formula:
      best.helixDeg === 0 ? `d_a = m(z + ${two})` : `d_a = \\frac{z\\,m_n}{\\cos\\beta} + ${two}\\,m_n`,
    put:
      best.helixDeg === 0
        ? `${figure(module)}(${teeth} + ${two})`
        : `\\frac{${teeth} \\times ${figure(module)}}{\\cos ${figure(best.helixDeg, 2)}^\\circ} + ${two} \\times ${figure(module)}`,
    ...mmResult(best.tipDiameter),
    source: ISO,
  });
  if (basePitch !== null)
    lines.push({
      key: 'basePitch',
      label: 'Base pitch by two spans',
      formula: 'm\\cos\\alpha = \\frac{W_{k+1} - W_k}{\\pi}',
      put: `\\frac{${figure(basePitch)}}{\\pi}`,
      ...mmResult(basePitch / Math.PI),
      source: ISO,
    });
  const spanFit = best.fits.find(({ reading }) => reading === 'span');
  if (span && spanFit)
    lines.push({
      key: 'span',
      label: `Span over ${span.k} of ${best.pitch}`,
      formula: 'W_k = m\\cos\\alpha\\,[\\pi(k - \\tfrac12) + z\\,\\mathrm{inv}\\,\\alpha]',
      put: `${figure(module)}\\cos ${best.angleDeg ?? 20}^\\circ[\\pi(${span.k} - \\tfrac12) + ${teeth} \\times ${figure(inv(best.angleDeg ?? 20), 6)}]`,
      ...mmResult(spanFit.nominal),
      source: ISO,
    });
  if (mateCentre)
    lines.push({
      key: 'mate',
      label: 'Centres with the mate',
      formula: 'a = \\frac{m(z_1 + z_2)}{2}',
      put: `\\frac{${figure(module)}(${teeth} + ${mateCentre.teeth})}{2}`,
      ...mmResult((module * (teeth + mateCentre.teeth)) / 2),
      source: ISO,
    });
  return lines;
}

/** The largest count a piece has room for. @param stock, cleanUp, module, addendum mm */
export function stockWorking(
  given: {
    readonly stock: number;
    readonly cleanUp: number;
    readonly module: number;
    readonly addendum: number;
  },
  { largest, counts, recommended }: StockAnswer,
): Working[] {
  const { stock, cleanUp, module, addendum } = given;
  const lines: Working[] = [
    {
      key: 'largest',
      label: 'Largest count it has room for',
      formula: 'z = \\left\\lfloor\\frac{D - u - 2h_a}{m}\\right\\rfloor',
      put: `\\left\\lfloor\\frac{${figure(stock)} - ${figure(cleanUp)} - 2 \\times ${figure(addendum)}}{${figure(module)}}\\right\\rfloor`,
      result: String(largest),
      source: 'd_a = m z + 2 h_a turned round',
    },
  ];
  const best = recommended === null ? null : counts[recommended];
  if (best)
    lines.push({
      key: 'finish',
      label: 'To turn it to',
      formula: 'd_a = m\\,z + 2h_a',
      put: `${figure(module)} \\times ${best.teeth} + 2 \\times ${figure(addendum)}`,
      ...mmResult(best.tipDiameter),
      source: ISO,
    });
  return lines;
}

/** The first pair on two shafts. @param centre mm @param pressureAngle radians */
export function shaftsWorking(
  centre: number,
  pressureAngle: number,
  [first]: readonly PairForShafts[],
): Working[] {
  if (!first) return [];
  const [one, two] = first.teeth;
  const lines: Working[] = [
    {
      key: 'sum',
      label: `Teeth of both, by ${first.pitch}`,
      formula: 'z_1 + z_2 = \\frac{2a}{m}',
      put: `\\frac{2 \\times ${figure(centre)}}{${figure(first.module)}}`,
      result: `${figure((2 * centre) / first.module, 3)}\\ \\text{, taken as } ${one + two}`,
      source: ISO,
    },
    {
      key: 'nominal',
      label: 'Centres of that pair',
      formula: 'a_0 = \\frac{m(z_1 + z_2)}{2}',
      put: `\\frac{${figure(first.module)}(${one} + ${two})}{2}`,
      ...mmResult(first.nominalCentre),
      source: ISO,
    },
  ];
  if (first.backlash !== null)
    lines.push({
      key: 'backlash',
      label: 'Backlash where the shafts are',
      formula: 'j = 2a(\\mathrm{inv}\\,\\alpha_w - \\mathrm{inv}\\,\\alpha)',
      put: `2 \\times ${figure(centre)}(${figure(involute(Math.acos((first.nominalCentre * Math.cos(pressureAngle)) / centre)), 6)} - ${figure(involute(pressureAngle), 6)})`,
      ...mmResult(first.backlash),
      source: ISO,
    });
  return lines;
}
