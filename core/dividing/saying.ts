import { angleValue, textValue, type Caution, type Value } from '../station/index.ts';
import { exact, plural } from '../units/index.ts';
import { moveText, trainText, type Geared, type Way } from './ways.ts';

/** The figures of a way, in the order they are set on the head. */
export function valuesOf(way: Way, divisions: number, ratio: string): Value[] {
  const { move, geared } = way;
  const { circle } = move;
  const side = circle.twoSided ? `, side ${circle.side + 1}` : '';
  const inTurns = exact(move.turns).add(exact(move.spaces, circle.holes));
  return [
    textValue({ key: 'divisions', label: 'Spaces', symbol: 'N', settles: true }, String(divisions)),
    textValue({ key: 'move', label: 'Move', settles: true }, moveText({ ...move, circle: circle.holes })),
    textValue({ key: 'plate', label: 'Plate', settles: true }, `${circle.plateName}${side}`),
    textValue({ key: 'ratio', label: 'Worm ratio', symbol: 'R', settles: true }, `${ratio} : 1`),
    textValue(
      { key: 'arms', label: 'Arms span' },
      move.spaces === 0 ? 'not needed' : plural(way.armsHoles, 'hole'),
    ),
    ...(geared ? gearValues(geared) : []),
    angleValue({ key: 'spindleAngle', label: 'Spindle turns' }, exact(360, divisions)),
    angleValue(
      { key: 'crankAngle', label: geared ? 'Crank, on the plate' : 'Crank turns' },
      inTurns.mul(360),
    ),
    textValue({ key: 'direction', label: 'Turn' }, 'clockwise, always'),
  ];
}

function gearValues({ near, train, idlers, plateTurns }: Geared): Value[] {
  const { driver, driven, second } = train;
  return [
    textValue({ key: 'near', label: 'Cranked as for', symbol: 'A' }, plural(near, 'space')),
    textValue({ key: 'train', label: 'Gears', settles: true }, trainText(train)),
    textValue({ key: 'onSpindle', label: 'On the spindle' }, `${driver} teeth`),
    ...(second
      ? [
          textValue({ key: 'firstOnStud', label: 'First on the stud' }, `${driven} teeth`),
          textValue({ key: 'secondOnStud', label: 'Second on the stud' }, `${second.driver} teeth`),
        ]
      : []),
    textValue(
      { key: 'onPlateShaft', label: 'On the plate shaft' },
      `${second ? second.driven : driven} teeth`,
    ),
    textValue({ key: 'idlers', label: 'Idlers, usually' }, idlers === 0 ? 'none' : String(idlers)),
    textValue({ key: 'plateTurns', label: 'Plate must turn' }, `${plateTurns} the crank`),
  ];
}

/** What breaks a pin, or makes a wrong gear of a right sum. */
export function cautionsOf({ geared }: Way): Caution[] {
  const directPin: Caution = {
    code: 'direct-pin',
    when: 'Before cranking',
    text: 'direct pin out, worm home. Cranking against the pin breaks it.',
  };
  if (!geared) return [directPin];
  const turn = `plate lock pin out, then turn the crank and watch: the plate must creep ${geared.plateTurns} it, else one idler more or less. A locked plate or a wrong idler cuts another number of teeth.`;
  return [directPin, { code: 'plate-free', when: 'Before the first cut', text: turn }];
}
