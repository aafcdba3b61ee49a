import { decimalText, exact, lengthText, type UnitSystem } from '../units/index.ts';
import type { ThreadingInput } from './schema.ts';

/** A way from one start of the thread to the next. */
export interface StartWay {
  readonly by: ThreadingInput['startsBy'];
  readonly name: string;
  readonly possible: boolean;
  /** What to do, or why it cannot be done. */
  readonly say: string;
  /** Most that a start stands out of its place along the axis, µm; null where the way says nothing of it. */
  readonly off: number | null;
}

/** Of the top slide; null where not known. */
export interface Slide {
  /** mm for a turn of its screw. */
  readonly lead: number;
  readonly marks: number;
}

/** Turns and marks of a dial, from zero. @param mm travelled */
export function dialReading(
  mm: number,
  { lead, marks }: Slide,
): { readonly turns: number; readonly mark: number; readonly off: number } {
  const whole = Math.round((mm / lead) * marks);
  return { turns: Math.floor(whole / marks), mark: whole % marks, off: ((whole / marks) * lead - mm) * 1000 };
}

const dialText = (mm: number, slide: Slide): string => {
  const { turns, mark } = dialReading(mm, slide);
  return `${turns} turn${turns === 1 ? '' : 's'} + ${mark}`;
};

/**
 * The ways of reaching the next start on a lathe.
 * @param axialPitch mm @param driver teeth of the gear on the spindle; null without change gears @param slide
 * null where not known Source: common practice; by geometry, starts stand 1/z1 of a turn and one axial pitch
 * apart
 */
export function startWays({
  starts,
  axialPitch,
  driver,
  slide,
  system,
}: {
  readonly starts: number;
  readonly axialPitch: number;
  readonly driver: number | null;
  readonly slide: Slide | null;
  readonly system: UnitSystem;
}): readonly StartWay[] {
  if (starts === 1) return [];
  const pitch = lengthText(axialPitch, system, 'fine');
  const gear: StartWay =
    driver === null
      ? {
          by: 'gear',
          name: 'By the gear on the spindle',
          possible: false,
          say: 'Needs change gears: none are geared for this thread.',
          off: null,
        }
      : driver % starts === 0
        ? {
            by: 'gear',
            name: 'By the gear on the spindle',
            possible: true,
            say: `Chalk every ${driver / starts}th tooth of the ${driver} on the spindle, and the gap that the first stands in. Half-nuts shut, slip the mesh, turn the spindle on by ${driver / starts} teeth, mesh again in the same gap.`,
            off: 0,
          }
        : {
            by: 'gear',
            name: 'By the gear on the spindle',
            possible: false,
            say: `Its ${driver} teeth do not divide by ${starts}. Gears with a driver that does are marked in the list.`,
            off: null,
          };
  const places = Array.from({ length: starts - 1 }, (_, k) => (k + 1) * axialPitch);
  const slideWay: StartWay =
    slide === null
      ? {
          by: 'slide',
          name: 'By the top slide',
          possible: true,
          say: `Top slide dead along the axis: on by ${pitch} for each start. Its screw is not listed in the shop, so no dial reading is told.`,
          off: null,
        }
      : {
          by: 'slide',
          name: 'By the top slide',
          possible: true,
          say: `Top slide dead along the axis, its dial at 0 for start 1. ${places.map((mm, k) => `Start ${k + 2}: ${dialText(mm, slide)} of ${slide.marks}`).join('; ')}. Slack taken up one way.`,
          off: Math.max(...places.map((mm) => Math.abs(dialReading(mm, slide).off))),
        };
  const angle = exact(360, starts);
  const driverWay: StartWay = {
    by: 'driver',
    name: 'By a slotted driver plate',
    possible: true,
    say: `Work between centres, the driver plate with ${starts} slots ${decimalText(angle, 4)}° apart: the dog goes to the next slot.`,
    off: null,
  };
  return [gear, slideWay, driverWay];
}
