import { decimalText, lengthText, plural, type UnitSystem } from '../units/index.ts';
import type { HeadBench, PracticeBench, TableBench } from './bench.ts';
import { holeAt, holeUnderPin, pinFromZero, type HeldBy, type Machine, type Told } from './machine.ts';

const HELD: Readonly<Record<HeldBy, string>> = {
  pin: 'The pin is in the plate: draw it before you crank.',
  lock: 'The spindle is locked: the crank will not go further.',
  gears: 'Gears are on and the plate lock is in: it holds the spindle. Draw the plate lock.',
  'table-lock':
    'The spindle is locked, and by the gears it holds the table. At a real mill something gives: free the spindle before you feed.',
  'table-gears':
    'The plate lock is in, and by the gears it holds the table. At a real mill the lock pin shears: draw it first.',
  'no-hole': 'There is no hole under the pin. Bring it over one.',
  'worm-in': 'The worm is in: the spindle is turned by the crank, or drop the worm out.',
  'direct-pin': 'The direct pin is in: draw it before you turn the spindle.',
  'no-ring': 'No ring is on the spindle for this job.',
  'no-circle': 'This plate has no such circle.',
  'no-plate': 'There is no such plate here.',
  'pin-in-plate': 'The pin is in the plate: draw it before the plate comes off.',
  'no-bracket': 'No gears are wanted here: nothing joins them to the plate.',
  'no-pin': 'There is no plate here, and so no pin.',
  'no-motor': 'No motor turns this head.',
  'table-locked': 'The table is locked: free it before you move on.',
  'no-table': 'The table does not divide here: the head does.',
  'no-head': 'There is no head here: the table divides.',
  'motor-holds': 'The motor is coupled, and holds the worm: send it to a count.',
  'pin-broken':
    'The direct pin is broken. At a real head that is a day lost: drop the worm before the pin goes in.',
};

const degreesText = (degrees: number): string => `${decimalText(degrees, degrees < 1 ? 2 : 1)}°`;

/** What came of an action, in the trade’s words; empty where a hand sees it by itself. */
export function sayTold(told: Told, units: UnitSystem): string {
  const mm = (length: number) => lengthText(length, units);
  switch (told.what) {
    case 'did':
      return '';
    case 'held':
      return HELD[told.by];
    case 'cut':
      return `Cut, ${mm(told.depth)} deep.`;
    case 'marked':
      return 'It only marks the work.';
    case 'pin-in':
      return `Pin in hole ${told.hole}.`;
    case 'gouged':
      return `Turned ${degreesText(told.degrees)} while the cutter was in the work: gouged, ${mm(told.depth)} deep. ${told.sunk ? 'Draw it out' : 'Run back past the first touch'} before you index.`;
    case 'dragged':
      return `Moved ${mm(told.by)} while the cutter was in the work: gouged, ${mm(told.depth)} deep. Feed back past the first touch before you move on.`;
    case 'pin-broken':
      return 'Cranked with the direct pin in and the worm home: the pin broke. Never both engaged.';
    case 'shifted':
      return `Cut with the spindle unlocked: the work gave ${degreesText(told.degrees)}. Lock it before every cut.`;
    case 'slid':
      return `Cut with the table unlocked: it was pushed ${mm(told.by)} through the slack of its screw. Lock it before every cut.`;
    case 'plunged':
      return `Sunk ${mm(told.depth)} into the work from above. Run clear first, then set the depth.`;
    case 'laboured':
      return `The motor hums and something holds: ${plural(told.steps, 'step')} ${told.steps === 1 ? 'is' : 'are'} lost, and its count does not know. Free the spindle before you send it, and run back to its mark before you go on.`;
    case 'stalled':
      return 'The work is against a cutter that does not turn: nothing moves. At a real mill teeth of the cutter break. Start the spindle clear of the work.';
  }
}

/** On the spindle’s own ring. */
function sayRing(ring: number, { spindle, directPin }: Machine): string {
  if (directPin === 'broken') return 'The direct pin is broken';
  const hole = holeAt(spindle, ring);
  if (hole === null) return 'Direct pin out, between two holes';
  return directPin === 'in' ? `Direct pin in hole ${hole}` : `Direct pin out, over hole ${hole}`;
}

/** On the wheel’s rim: `Wheel at 12.5 of 72, 3 turns on`. */
function sayWheel({ marks }: NonNullable<HeadBench['wheel']>, machine: Machine): string {
  const over = pinFromZero(machine);
  const turns = Math.floor(over.valueOf());
  const mark = over.sub(turns).mul(marks).valueOf();
  const round = turns === 0 ? '' : `, ${plural(Math.abs(turns), 'turn')} ${turns < 0 ? 'back' : 'on'}`;
  return `Wheel at ${decimalText(mark, 3)} of ${marks}${round}`;
}

/** The table’s dial from where it was set to 0: `2 turns + 51`, and that as a length by the dial. */
function sayDial({ screw, run }: TableBench, { along }: Machine): string {
  const at = (along?.dial ?? 0) - (along?.zero ?? 0);
  const marks = Math.round((at / screw.lead) * screw.marks * 1000) / 1000;
  const turns = Math.floor(marks / screw.marks);
  const on = `${decimalText(marks - turns * screw.marks, 2)} of ${screw.marks}`;
  const length = lengthText(at, run.units, 'fine');
  // before its 0 the dial reads what is left to it
  if (turns < 0) return `${on}, ${plural(-turns, 'turn')} back, ${length}`;
  return `${turns > 0 ? `${plural(turns, 'turn')} + ` : ''}${on}, ${length}`;
}

/** How the pin stands, for eyes and for ears: `Pin out, over hole 19, 2 turns on`. */
export function sayPin(bench: PracticeBench, machine: Machine): string {
  if (bench.on === 'table') return `Table at ${sayDial(bench, machine)}`;
  const { ring, wheel, motor } = bench;
  if (ring !== null) return sayRing(ring, machine);
  if (motor) return `Motor’s count at ${machine.steps} steps`;
  if (wheel) return sayWheel(wheel, machine);
  const hole = holeUnderPin(machine);
  const over = pinFromZero(machine);
  const turns = Math.floor(over.valueOf());
  const round = turns === 0 ? '' : `, ${plural(Math.abs(turns), 'turn')} ${turns < 0 ? 'back' : 'on'}`;
  if (hole === null) return `Pin out, between two holes${round}`;
  return machine.pin === 'in' ? `Pin in hole ${hole}` : `Pin out, over hole ${hole}${round}`;
}
