import { type SetupInput } from '../../setup/index.ts';
import { type PartPlan } from '../../plan/index.ts';
import { measure } from '../../units/index.ts';
import { planSpur, SCHOOL, type GivenGear } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Level } from '../types.ts';
import { drawGear } from './drawn.ts';

const MATERIALS = SCHOOL.materials;
export const [MILL] = SCHOOL.mills;
const mm = (typed: number | string) => measure(String(typed), 'mm');

interface Drawing {
  readonly part: PartPlan;
  readonly gear: GivenGear;
  readonly cutter: { readonly diameter: number; readonly width: number; readonly teeth: number };
  readonly material: (typeof MATERIALS)[number];
  readonly paper: number;
}

/** A gear set up on the school’s mill; in millimetres, as its dials are. */
export function drawSetup(chance: Chance, level: Level, change: Partial<SetupInput> = {}): Drawing {
  const drawn = { ...drawGear(chance, 1), pitch: chance.one(['1', '1.5', '2', '2.5', '3']) };
  const cutter = {
    diameter: chance.one(level === 1 ? [50, 60, 80] : [50, 55, 63, 70, 80]),
    width: chance.one([6, 8, 10]),
    teeth: chance.one([10, 12, 14]),
  };
  const material = chance.one(MATERIALS);
  const paper = level === 1 ? 0 : chance.one([0.05, 0.08, 0.1]);
  const gear: GivenGear = {
    ...drawn,
    change: (part) => ({
      ...part,
      setup: {
        ...part.setup,
        cutterDiameter: mm(cutter.diameter),
        cutterWidth: mm(cutter.width),
        cutterTeeth: measure(String(cutter.teeth), 'count'),
        materialId: material.id,
        paper: paper === 0 ? mm('') : mm(paper),
        ...change,
      },
    }),
  };
  return { part: planSpur(gear), gear, cutter, material, paper };
}
