import { radiansOf } from '../units/index.ts';
import { spanOver } from '../inspect/index.ts';
import type { Family } from './families.ts';
import type { ReadingName, Readings } from './readings.ts';

/** A gear that the sample may be. Lengths mm, angles radians. */
export interface Hypothesis {
  readonly family: Family;
  readonly module: number;
  readonly teeth: number;
  /** 0 for a spur gear. */
  readonly helixAngle: number;
}

/** What a reading would be on a gear: from what wear, backlash and the depth schools leave, to nominal. mm */
export interface Band {
  readonly low: number;
  readonly high: number;
}

export const addendumOf = ({ stub }: Family): number => (stub ? 0.8 : 1);
/**
 * Least and most whole depth in use, modules: 2.15–2.27 full, 1.75–1.85 stub. Source: the schools of
 * toothSystems.ts
 */
const DEPTHS = { full: [2.15, 2.27], stub: [1.75, 1.85] } as const;
const INCH_2_THOU = 0.0508;

export function tipDiameter({ family, module, teeth, helixAngle }: Hypothesis): number {
  return (teeth * module) / Math.cos(helixAngle) + 2 * addendumOf(family) * module;
}

/** What worn tips have lost, never more than a fifth of the module would leave standing. */
const lostAtTip = (readings: Readings, module: number): number =>
  Math.min(readings.wear, 0.2 * module + 0.05);

export function tipBand(hypothesis: Hypothesis, readings: Readings): Band {
  const da = tipDiameter(hypothesis);
  const lost = lostAtTip(readings, hypothesis.module);
  if (!readings.tip?.acrossOdd || hypothesis.teeth % 2 === 0) return { low: da - lost, high: da };
  // narrow jaws on pointed tips read da·cos(90°/z); flat jaws over lands less, down to its square
  const cos = Math.cos(Math.PI / (2 * hypothesis.teeth));
  return { low: da * cos * cos - lost, high: da * cos };
}

function depthBand({ family, module }: Hypothesis, readings: Readings): Band {
  const [least, most] = family.stub ? DEPTHS.stub : DEPTHS.full;
  const lost = lostAtTip(readings, module) / 2;
  return { low: least * module - lost, high: most * module + INCH_2_THOU };
}

function rootBand(hypothesis: Hypothesis): Band {
  const [least, most] = hypothesis.family.stub ? DEPTHS.stub : DEPTHS.full;
  const da = tipDiameter(hypothesis);
  // a tooth thinned for backlash was sunk deeper
  return {
    low: da - 2 * (most * hypothesis.module + INCH_2_THOU) - 0.1 * hypothesis.module,
    high: da - 2 * least * hypothesis.module,
  };
}

/** A tooth thinned for backlash, and worn: what a span may read less, mm. Common practice. */
const spanLoss = (module: number): number => 0.04 * module + 0.04;

/** A span on this gear; the angle must be told by the family. @param k teeth between the jaws */
export function spanBand({ family, module, teeth, helixAngle }: Hypothesis, k: number): Band {
  const pressureAngle = radiansOf(family.angleDeg ?? 20);
  const high = spanOver(k, { teeth, module, pressureAngle, helixAngle });
  return { low: high - spanLoss(module), high };
}

export function basePitchBand({ family, module }: Hypothesis): Band {
  const pitch = Math.PI * module * Math.cos(radiansOf(family.angleDeg ?? 20));
  return { low: pitch, high: pitch };
}

function mateBand({ module, teeth, helixAngle }: Hypothesis, mate: number): Band {
  const low = (module * (teeth + mate)) / (2 * Math.cos(helixAngle));
  return { low, high: low + 0.03 * module + 0.05 };
}

/** Within a band the nearer to nominal the likelier, and hardly so; outside, as the tool’s ± says. */
const INSIDE = 0.3;

/** How ill a reading sits in its band, 0 best. `nominal` tells which end of the band is the drawing’s. */
export function misfit({
  given,
  band: { low, high },
  give,
  nominal = 'high',
}: {
  readonly given: number;
  readonly band: Band;
  readonly give: number;
  readonly nominal?: 'low' | 'high' | undefined;
}): number {
  if (given > high) return ((given - high) / give) ** 2 + (nominal === 'low' ? INSIDE : 0);
  if (given < low) return ((low - given) / give) ** 2 + (nominal === 'high' ? INSIDE : 0);
  const part = high === low ? 0 : (nominal === 'high' ? high - given : given - low) / (high - low);
  return INSIDE * part * part;
}

/**
 * How far a pitch gauge’s leaf may be from the pitch and still seem to fit, as a part of it. Common practice.
 */
const LEAF = 0.015;
/** A helix angle rubbed off on paper, radians. Common practice. */
const RUBBED = radiansOf(2);

/** A lead had by turning a gear against a pointer, as a part of itself. Common practice. */
const TURNED = 0.015;

/** The angle that a print of the tips shows. */
function tipAngle(hypothesis: Hypothesis): number {
  const { module, teeth, helixAngle } = hypothesis;
  return Math.atan(
    (Math.tan(helixAngle) * tipDiameter(hypothesis) * Math.cos(helixAngle)) / (teeth * module),
  );
}

/** How far a lead is from that of a hypothesis, as a part of it; straight teeth have none. */
function leadOff({ module, teeth, helixAngle }: Hypothesis, lead: number): number {
  return helixAngle === 0 ? 1 : Math.log((lead * Math.sin(helixAngle)) / (Math.PI * teeth * module));
}

/** What one reading costs under a hypothesis; 0 when it was not taken. */
export function readingMisfit(name: ReadingName, hypothesis: Hypothesis, readings: Readings): number {
  const { give } = readings;
  switch (name) {
    case 'teeth':
      return 0;
    case 'survivors': {
      const { survivors } = readings;
      return survivors ? ((hypothesis.teeth - survivors.teeth) / survivors.give) ** 2 : 0;
    }
    case 'tip':
      return readings.tip ? misfit({ given: readings.tip.mm, band: tipBand(hypothesis, readings), give }) : 0;
    case 'depth':
      // the feeler of a depth reading sits less well than jaws on an outside
      return readings.depth === null
        ? 0
        : misfit({ given: readings.depth, band: depthBand(hypothesis, readings), give: 2 * give });
    case 'root':
      return readings.root === null
        ? 0
        : misfit({ given: readings.root, band: rootBand(hypothesis), give: 2 * give });
    case 'span':
      return readings.span
        ? misfit({ given: readings.span.mm, band: spanBand(hypothesis, readings.span.k), give })
        : 0;
    case 'basePitch':
      return readings.basePitch === null
        ? 0
        : misfit({ given: readings.basePitch, band: basePitchBand(hypothesis), give: 1.2 * give });
    case 'mateCentre':
      return readings.mateCentre
        ? misfit({
            given: readings.mateCentre.mm,
            band: mateBand(hypothesis, readings.mateCentre.teeth),
            give: 2 * give,
            nominal: 'low',
          })
        : 0;
    case 'gauge': {
      if (!readings.gauge) return 0;
      const { fits, not } = readings.gauge;
      const off = (leaf: number) => Math.log(hypothesis.module / leaf) / LEAF;
      const ill = fits === null ? 0 : off(fits) ** 2;
      return ill + not.reduce((sum, leaf) => sum + Math.max(0, 3 - Math.abs(off(leaf))) ** 2, 0);
    }
    case 'helixAngle':
      return readings.helixAngle === null ? 0 : ((tipAngle(hypothesis) - readings.helixAngle) / RUBBED) ** 2;
    case 'lead':
      return readings.lead === null ? 0 : (leadOff(hypothesis, readings.lead) / TURNED) ** 2;
  }
}

/** The band a reading should lie in, where it is a length. */
export function bandOf(
  name: ReadingName,
  hypothesis: Hypothesis,
  readings: Readings,
): { given: number; band: Band } | null {
  switch (name) {
    case 'tip':
      return readings.tip && { given: readings.tip.mm, band: tipBand(hypothesis, readings) };
    case 'depth':
      return readings.depth === null
        ? null
        : { given: readings.depth, band: depthBand(hypothesis, readings) };
    case 'root':
      return readings.root === null ? null : { given: readings.root, band: rootBand(hypothesis) };
    case 'span':
      return readings.span && { given: readings.span.mm, band: spanBand(hypothesis, readings.span.k) };
    case 'basePitch':
      return readings.basePitch === null
        ? null
        : { given: readings.basePitch, band: basePitchBand(hypothesis) };
    case 'mateCentre':
      return (
        readings.mateCentre && {
          given: readings.mateCentre.mm,
          band: mateBand(hypothesis, readings.mateCentre.teeth),
        }
      );
    default:
      return null;
  }
}

/** Bands of what has not been measured yet, to say what would decide: whole depth and root diameter. */
export const wouldRead = { depth: depthBand, root: rootBand } as const;
