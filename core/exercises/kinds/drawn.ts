import { exact, lengthText, type UnitSystem } from '../../units/index.ts';
import type { Working } from '../../station/index.ts';
import type { Chance } from '../chance.ts';
import { answerOf, byField, type JudgedField } from '../figure.ts';
import { SCHOOL_RATIO, type GivenGear } from '../school.ts';
import type { Level, Posed } from '../types.ts';

/** Turns of the school’s crank for one of the work. */
export const R = exact(SCHOOL_RATIO);
export const headGiven = {
  label: 'Head',
  text: `${SCHOOL_RATIO} turns of the crank for one of the work`,
};

/** Pitches that learners meet: the plain ones, those of a shop, the odd ones. */
const MODULES: Readonly<Record<Level, readonly string[]>> = {
  1: ['1', '2', '3'],
  2: ['1', '1.5', '2', '2.5', '3'],
  3: ['0.8', '1.25', '1.75', '2.25', '2.5'],
};
const DPS: Readonly<Record<Level, readonly string[]>> = {
  1: ['10', '8', '20'],
  2: ['8', '10', '12', '16'],
  3: ['11', '14', '18', '24'],
};
const COUNTS: Readonly<Record<Level, readonly [number, number]>> = { 1: [18, 48], 2: [16, 72], 3: [13, 120] };

/** A gear of a level: millimetres at first, inches as often later. */
export function drawGear(chance: Chance, level: Level): GivenGear {
  const units: UnitSystem = level > 1 && chance.whole(0, 1) === 1 ? 'in' : 'mm';
  const pitch = chance.one(units === 'mm' ? MODULES[level] : DPS[level]);
  return { units, pitch, teeth: chance.whole(...COUNTS[level]) };
}

export const pitchGiven = ({ units, pitch }: GivenGear) => ({
  label: 'Pitch',
  text: units === 'mm' ? `module ${pitch}` : `${pitch} DP`,
});
export const teethGiven = ({ teeth }: GivenGear) => ({ label: 'Teeth', text: String(teeth) });
export const lengthGiven = (label: string, mm: number, units: UnitSystem, fine = false) => ({
  label,
  text: lengthText(mm, units, fine ? 'fine' : 'shop'),
});

/** The same figure in the other system of pitch: module taken for DP, and the other way about. */
export const withOtherPitch = ({ units, ...gear }: GivenGear): GivenGear => ({
  ...gear,
  units: units === 'mm' ? 'in' : 'mm',
});
export const otherPitchSays = ({ units }: GivenGear): string =>
  units === 'mm'
    ? 'Module taken for diametral pitch: a module is millimetres of diameter for a tooth.'
    : 'DP taken for module: a diametral pitch is teeth to the inch, so one divides by it.';

/** Millimetres as they are written into a document of these units. */
export const typedLength = (mm: number, units: UnitSystem): string =>
  units === 'mm' ? String(Number(mm.toFixed(3))) : String(Number((mm / 25.4).toFixed(4)));

/** An exercise whose fields are judged one by one. */
export function posed(
  given: Omit<Posed, 'answer' | 'judge' | 'fields'> & { fields: readonly JudgedField[] },
): Posed {
  const { fields } = given;
  return { ...given, answer: answerOf(fields), judge: byField(fields) };
}

/** A line of plain arithmetic, for what no station has to work out. TeX */
export const line = (label: string, formula: string, put: string, result: string): Working => ({
  key: label,
  label,
  formula,
  put,
  result,
  source: 'by adding up',
});
