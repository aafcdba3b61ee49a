import {
  readCuttingSpeed,
  readFeeds,
  readSpeeds,
  type FormCutter,
  type Material,
  type Mill,
} from '../shop/index.ts';
import type { Placed } from '../station/index.ts';
import { approx, knownLength, type UnitSystem } from '../units/index.ts';
import type { SetupDetail, SetupShop, SetupWork } from './detail.ts';
import { dialOf, moveText, type Dial } from './dial.ts';
import { thrustOf } from './holding.ts';
import { readSetup, type SetupRead } from './read.ts';
import type { SetupInput } from './schema.ts';
import { cuttingData, type CuttingData } from './speed.ts';

/** What a set-up is planned from. */
export interface SetupAsked extends Placed {
  readonly input: SetupInput;
  readonly work: SetupWork;
  readonly shop: SetupShop;
  readonly picked: FormCutter | null;
}

const figures = (read: ReturnType<typeof readSpeeds>): number[] =>
  read.ok ? read.value.map((one) => approx(one)) : [];

/** What cuts: the shop's own cutter where one is picked, else as typed here. */
function cutterIn(read: SetupRead, picked: FormCutter | null): SetupDetail['cutter'] {
  return {
    diameter: read.cutterDiameter ?? (picked && knownLength(picked.diameter)),
    width: read.cutterWidth ?? (picked && knownLength(picked.width)),
    teeth: read.cutterTeeth ?? picked?.teeth ?? null,
    picked: picked !== null,
  };
}

function dataOf({
  read,
  cutter,
  material,
  mill,
}: {
  readonly read: SetupRead;
  readonly cutter: SetupDetail['cutter'];
  readonly material: Material | null;
  readonly mill: Mill | null;
}): CuttingData | null {
  const speed = material ? readCuttingSpeed(material.speed) : null;
  if (!cutter.diameter || !speed?.ok) return null;
  return cuttingData({
    diameter: cutter.diameter,
    teeth: cutter.teeth,
    speed: approx(speed.value),
    chipLoad: material && knownLength(material.chipLoad),
    speeds: mill ? figures(readSpeeds(mill.speeds)) : [],
    feeds: mill ? figures(readFeeds(mill.feeds)) : [],
    rpmSet: read.speedSet,
    feedSet: read.feedSet,
  });
}

/** The screw that moves the work past the cutter. */
export const travelDialOf = (mill: Mill | null, across: boolean): Dial | null =>
  mill && dialOf(across ? mill.cross : mill);

/**
 * How a move is said on the screws it is made with: centring and depth change places with an upright spindle.
 */
export interface Dials {
  readonly centre: (mm: number) => string;
  readonly depth: (mm: number) => string;
  readonly table: (mm: number) => string;
}

function dialsOf(
  mill: Mill | null,
  { upright, across }: { readonly upright: boolean; readonly across: boolean },
  system: UnitSystem,
): Dials {
  const readout = mill?.readout ?? false;
  const [cross, knee]: (Dial | null)[] = mill ? [dialOf(mill.cross), dialOf(mill.knee)] : [null, null];
  const [centre, depth] = upright ? [knee, cross] : [cross, knee];
  return {
    centre: (mm) => moveText({ mm, dial: centre ?? null, readout, system }),
    depth: (mm) => moveText({ mm, dial: depth ?? null, readout, system }),
    table: (mm) => moveText({ mm, dial: travelDialOf(mill, across), readout, system }),
  };
}

/** What is known of machine, cutter and work before anything is worked out from it. */
export function standingOf({ input, work, shop, picked, units }: SetupAsked) {
  const { read, issues } = readSetup(input);
  const { mill, head } = shop;
  const material = shop.materials.find(({ id }) => id === input.materialId) ?? null;
  // work that is divided along the table lies under the cutter, whichever way the spindle stands
  const across = work.travels === 'cross slide';
  const upright = mill?.axis === 'vertical' && !across;
  const cutter = cutterIn(read, picked);
  const blanks = read.blanks ?? 1;
  const depths = work.rounds.flatMap(({ name, depthMm }) =>
    depthMm === null ? [] : [{ name, mm: depthMm }],
  );
  return {
    read,
    issues,
    mill,
    head,
    material,
    mandrel: shop.mandrels.find(({ id }) => id === input.mandrelId) ?? null,
    upright,
    cutter,
    blanks,
    face: faceOf(input, read, work.face ?? read.face),
    outside: work.outside ?? read.outside,
    depths,
    depth: depths.at(-1)?.mm ?? null,
    paper: read.paper ?? 0,
    dials: dialsOf(mill, { upright, across }, units),
    thrust: thrustOf(input, upright),
    data: dataOf({ read, cutter, material, mill }),
  };
}
export type Standing = ReturnType<typeof standingOf>;

/** All blanks of a stack, with what is parted off between those of a bar. mm */
function faceOf({ holding }: SetupInput, { blanks, kerf }: SetupRead, one: number | null): number | null {
  const count = blanks ?? 1;
  return one === null ? null : count * one + (count - 1) * (holding === 'bar' ? (kerf ?? 0) : 0);
}
