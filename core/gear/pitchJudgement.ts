import { toldLength, type Issue } from '../findings/index.ts';
import {
  approx,
  decimalText,
  exact,
  lengthText,
  pitchOf,
  pitchText,
  type Pitch,
  type UnitSystem,
} from '../units/index.ts';
import { DIAMETRAL_PITCHES, MODULES_FINE, MODULES_SERIES_1, MODULES_SERIES_2 } from './standardPitches.ts';

const MODULES = [...MODULES_FINE, ...MODULES_SERIES_1, ...MODULES_SERIES_2];
const standardOf = (system: Pitch['system']): readonly Pitch[] =>
  (system === 'module' ? MODULES : DIAMETRAL_PITCHES).map((figure) => pitchOf(system, exact(figure)));
const STANDARD: Readonly<Record<Pitch['system'], readonly Pitch[]>> = {
  module: standardOf('module'),
  dp: standardOf('dp'),
};

/**
 * Every standard pitch of a system, with its series: I and II of ISO 54, fine modules below 1, or a diametral
 * pitch.
 */
export function standardPitches(
  system: Pitch['system'],
): readonly { readonly pitch: Pitch; readonly series: 'I' | 'II' | 'fine' | 'dp' }[] {
  const second: readonly string[] = MODULES_SERIES_2;
  const fine: readonly string[] = MODULES_FINE;
  return STANDARD[system].map((pitch) => {
    const figure = decimalText(pitch.figure);
    const series = fine.includes(figure) ? 'fine' : second.includes(figure) ? 'II' : 'I';
    return { pitch, series: system === 'dp' ? 'dp' : series };
  });
}

export function isStandard(pitch: Pitch): boolean {
  return STANDARD[pitch.system].some((standard) => standard.figure.equals(pitch.figure));
}

/** The standard pitch of either system nearest in size. */
export function nearestStandard(pitch: Pitch, system: Pitch['system']): Pitch {
  const size = Math.log(approx(pitch.module));
  const off = (standard: Pitch) => Math.abs(Math.log(approx(standard.module)) - size);
  return STANDARD[system].reduce((best, standard) => (off(standard) < off(best) ? standard : best));
}

/**
 * Blank larger than this is not turned on the machines this is for without second thoughts, mm. Common
 * practice.
 */
const LARGE_BLANK = 420;
/**
 * A face narrower than this many modules, beside a blank over 150 mm, is no gear a person draws. Common
 * practice.
 */
const THIN_FACE = 1.6;

/**
 * Is the pitch plausible for a gear of this many teeth, face and bore, or was the unit slipped (14 DP typed
 * as module 14)?
 * @param faceWidth mm, or null when not given yet @param bore mm, or null
 * @returns a query at path '' when the other reading of the same figure fits better, else nothing
 */
export function questionPitch({
  pitch,
  teeth,
  faceWidth,
  bore,
  system,
}: {
  readonly pitch: Pitch;
  readonly teeth: number;
  readonly faceWidth: number | null;
  readonly bore: number | null;
  readonly system: UnitSystem;
}): Issue[] {
  const other = pitchOf(pitch.system === 'module' ? 'dp' : 'module', pitch.figure);
  const blank = (p: Pitch) => approx(p.module) * (teeth + 2);
  const oddities = (p: Pitch): string[] => {
    const m = approx(p.module);
    const found: string[] = [];
    if (blank(p) > LARGE_BLANK) found.push(`a blank of Ø ${lengthText(blank(p), system)}`);
    if (faceWidth !== null && faceWidth < THIN_FACE * m && blank(p) > 150) {
      found.push(`a face only ${decimalText(faceWidth / m, 2)} modules wide`);
    }
    if (bore !== null && bore >= m * (teeth - 2.5)) found.push('a bore that takes the teeth away');
    if (m < 0.08) found.push(`a tooth only ${lengthText(2.25 * m, system, 'fine')} deep`);
    return found;
  };
  const here = oddities(pitch);
  if (here.length === 0 || oddities(other).length >= here.length) return [];
  return [
    {
      code: 'pitch-slip',
      path: '',
      severity: 'query',
      given: pitchText(pitch),
      detail: {
        why: here.join(' and '),
        other: pitchText(other),
        otherBlank: toldLength(blank(other), system),
      },
    },
  ];
}

/**
 * Pitches of the other system within 2 % that are easily taken for this one, and pitches that are not
 * standard at all.
 */
export function comparePitch(pitch: Pitch, teeth: number, system: UnitSystem): Issue[] {
  const given = pitchText(pitch);
  if (!isStandard(pitch)) {
    const nearest = [nearestStandard(pitch, 'module'), nearestStandard(pitch, 'dp')]
      .map(pitchText)
      .join(' and ');
    return [{ code: 'pitch-not-standard', path: '', severity: 'query', given, detail: { nearest } }];
  }
  const other = nearestStandard(pitch, pitch.system === 'module' ? 'dp' : 'module');
  const apart = approx(other.module.div(pitch.module)) - 1;
  if (Math.abs(apart) > 0.02) return [];
  const drift = toldLength(Math.abs(apart) * Math.PI * approx(pitch.module) * teeth, system);
  return [
    {
      code: 'pitch-look-alike',
      path: '',
      severity: 'note',
      given,
      detail: { other: pitchText(other), teeth, drift },
    },
  ];
}
