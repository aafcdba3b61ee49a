import type { SpurSizes } from '../gear/index.ts';
import { involute } from '../involute/index.ts';
import { mmResult, type Working } from '../station/index.ts';
import { approx, decimalText, degreesOf, radiansOf } from '../units/index.ts';
import type { Expected } from './expect.ts';
import { pinCircle } from './pins.ts';
import { transversePressureAngle } from './span.ts';
import type { Check, InspectDetail, InspectGround } from './detail.ts';

interface Worked {
  readonly sizes: SpurSizes;
  readonly ground: InspectGround;
  readonly expected: readonly Expected[];
  readonly checks: readonly Check[];
  readonly verdict: InspectDetail['verdict'];
}

const f = (value: number, places = 4) => decimalText(value, places);
const deg = (radians: number) => `${f(degreesOf(radians), 4)}^\\circ`;

/** Where each figure to be read comes from, and what a reading then asks for. */
export function workingOf(worked: Worked): Working[] {
  return [...shouldRead(worked), ...thickBy(worked), ...deeperBy(worked)];
}

function shouldRead({ sizes, expected }: Worked): Working[] {
  const { teeth, pressureAngle, toothThickness } = sizes;
  const [module, thinning, helix] = [
    approx(sizes.module),
    approx(sizes.thinning),
    radiansOf(approx(sizes.helixDeg)),
  ];
  const turning = transversePressureAngle(pressureAngle, helix);
  const inv = involute(turning);
  const shaped = (module * teeth) / Math.cos(helix) ** 3;
  const a = deg(pressureAngle);
  const at = helix === 0 ? '\\alpha' : '\\alpha_t';
  const of = (id: Expected['id']) => expected.find((one) => one.id === id)!;
  const [chordal, span, pins] = [of('chordal'), of('span'), of('pins')];
  const thinned = thinning === 0 ? ['', ''] : [' - j\\cos\\alpha', ` - ${f(thinning)}\\cos ${a}`];
  const lines: Working[] = [
    {
      key: 'chordal',
      label: 'Tooth, by gear caliper',
      formula: `s_c = d${helix === 0 ? '' : '_v'}\\sin\\frac{s}{d${helix === 0 ? '' : '_v'}}`,
      put: `${f(shaped)}\\sin ${deg(toothThickness / shaped)}`,
      ...mmResult(chordal.should),
      source: 'chord of the tooth; Machinery’s Handbook, gear-tooth caliper',
    },
  ];
  if (!span.out)
    lines.push({
      key: 'span',
      label: `Span over ${span.with} teeth`,
      formula: `W_k = m\\cos\\alpha\\,[\\pi(k - \\tfrac12) + z\\,\\mathrm{inv}\\,${at}]${thinned[0]}`,
      put: `${f(module)}\\cos ${a}\\,[\\pi \\times ${f(span.with! - 0.5, 1)} + ${teeth} \\times ${f(inv, 6)}]${thinned[1]}`,
      ...mmResult(span.should),
      source: 'ISO 21771',
    });
  if (!pins.out) {
    const pin = pins.with!;
    const base = (teeth * module * Math.cos(turning)) / Math.cos(helix);
    const gear = { teeth, module, pressureAngle, helixAngle: helix };
    const angle = Math.acos(base / pinCircle(pin, gear, thinning));
    const odd =
      teeth % 2 === 0 ? ['', ''] : ['\\cos\\frac{90^\\circ}{z}', `\\cos\\frac{90^\\circ}{${teeth}}`];
    const left =
      thinning === 0 ? ['', ''] : [' - \\frac{j}{z\\,m}', ` - \\frac{${f(thinning)}}{${f(teeth * module)}}`];
    lines.push(
      {
        key: 'pin-angle',
        label: 'Where the pins touch',
        formula: `\\mathrm{inv}\\,\\varphi = \\mathrm{inv}\\,${at} + \\frac{d_p}{z\\,m\\cos\\alpha} - \\frac{\\pi}{2z}${left[0]}`,
        put: `${f(inv, 6)} + \\frac{${f(pin)}}{${f(teeth * module)}\\cos ${a}} - \\frac{\\pi}{${2 * teeth}}${left[1]}`,
        result: `${f(involute(angle), 6)}, \\quad \\varphi = ${deg(angle)}`,
        source: 'Machinery’s Handbook, measurement over wires',
      },
      {
        key: 'pins',
        label: 'Over pins',
        formula: `M = \\frac{d_b}{\\cos\\varphi}${odd[0]} + d_p`,
        put: `\\frac{${f(base)}}{\\cos ${deg(angle)}}${odd[1]} + ${f(pin)}`,
        ...mmResult(pins.should),
        source: 'Machinery’s Handbook, measurement over wires',
      },
    );
  }
  return lines;
}

/** The reading that is believed, and the tooth it means. */
function thickBy({ sizes, ground, checks, verdict }: Worked): Working[] {
  if (!verdict?.agreed) return [];
  const { reading, should } = checks.find(({ id }) => id === verdict.by)!;
  const a = deg(sizes.pressureAngle);
  const slope = slopeOf(sizes, ground);
  const by: Readonly<Record<Check['id'], readonly [string, string] | null>> = {
    outside: null,
    depth: [
      '\\Delta s = \\frac{2(h - h_r)\\sin(\\alpha + 90^\\circ/z_c)}{\\cos\\alpha}',
      `\\frac{2(${f(should)} - ${f(reading!)})\\sin(${slope})}{\\cos ${a}}`,
    ],
    chordal: ['\\Delta s = d\\arcsin\\frac{s_r}{d} - s', `\\text{the tooth whose chord is } ${f(reading!)}`],
    span: [
      '\\Delta s = \\frac{W_r - W_k}{\\cos\\alpha}',
      `\\frac{${f(reading!)} - ${f(should)}}{\\cos ${a}}`,
    ],
    pins: ['M(s + \\Delta s) = M_r', `\\text{the tooth over which pins read } ${f(reading!)}`],
  };
  const [formula, put] = by[verdict.by] ?? [];
  if (!formula || !put) return [];
  return [
    {
      key: 'thick',
      label: 'Too thick by, from the reading',
      formula,
      put,
      ...mmResult(verdict.thick),
      source: 'the same rule, read the other way',
    },
  ];
}

function deeperBy({ sizes, ground, verdict }: Worked): Working[] {
  if (!verdict?.agreed || verdict.thick <= 0) return [];
  return [
    {
      key: 'sink',
      label: 'Deeper, for a tooth too thick',
      formula: '\\Delta h = \\frac{\\Delta s\\,\\cos\\alpha}{2\\sin(\\alpha + 90^\\circ/z_c)}',
      put: `\\frac{${f(verdict.thick)} \\times \\cos ${deg(sizes.pressureAngle)}}{2\\sin(${slopeOf(sizes, ground)})}`,
      ...mmResult(verdict.sink),
      source: 'a form cutter keeps its shape and moves radially; by drawing it',
    },
  ];
}

/** How each flank of a form cutter slopes to the middle of its space. */
const slopeOf = ({ pressureAngle }: SpurSizes, { cutterTeeth }: InspectGround): string =>
  Number.isFinite(cutterTeeth)
    ? `${deg(pressureAngle)} + 90^\\circ/${f(cutterTeeth, 1)}`
    : deg(pressureAngle);
