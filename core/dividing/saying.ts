import { trainText } from '../gearing/index.ts';
import type { Head } from '../shop/index.ts';
import {
  angleValue,
  figureValue,
  lengthValue,
  textValue,
  type Caution,
  type Value,
} from '../station/index.ts';
import { approx, decimalText, exact, exactText, plural } from '../units/index.ts';
import { countOf, type Aim } from './aim.ts';
import type { ChoiceOf } from './schema.ts';
import { circleOfChoice } from './ways.ts';
import { armsText, backText, errorText, moveText, smallAngleText } from './words.ts';
import type { Geared, LeadGearing, Way } from './way.ts';

/** The figures of a way, in the order they are set on the head. */
export function valuesOf({
  way,
  aim,
  head,
  lead = null,
}: {
  readonly way: Way;
  readonly aim: Aim;
  readonly head: Head;
  readonly lead?: LeadGearing | null | undefined;
}): Value[] {
  return [
    ...asked(aim),
    textValue({ key: 'move', label: 'Move', settles: true }, moveOf(way)),
    ...setting(way, head, lead),
    ...(way.proof.everySpaceTrue ? [] : errors(way, aim)),
    ...(way.choice.method === 'stepper'
      ? []
      : [textValue({ key: 'direction', label: 'Turn' }, directionOf(way))]),
  ];
}

/** Every space is come to from the same side: what goes back goes too far, and comes up again. */
function directionOf({ choice }: Way): string {
  const goesBack = choice.method === 'compound' && choice.back.spaces < 0;
  return goesBack
    ? 'the pin clockwise; the plate back, half a turn too far, then up clockwise'
    : 'clockwise, always';
}

function asked(aim: Aim): Value[] {
  const { spaces, step, stride } = aim;
  const count = countOf(aim);
  return [
    textValue({ key: 'divisions', label: 'Divisions', symbol: 'N', settles: true }, String(spaces)),
    ...(count === spaces
      ? []
      : [angleValue({ key: 'step', label: 'Angle between', settles: true, within: 0 }, step.mul(360))]),
    angleValue({ key: 'spindleAngle', label: 'Spindle turns' }, step.mul(stride).mul(360)),
    ...(stride === 1
      ? []
      : [textValue({ key: 'stride', label: 'Block order', settles: true }, `every ${stride}th place`)]),
  ];
}

/** As it was always settled: the crank's own move for a way on a plate. */
function moveOf({ choice, words }: Way): string {
  return choice.method === 'simple' || choice.method === 'differential' ? moveText(choice) : words;
}

function setting(way: Way, head: Head, lead: LeadGearing | null): Value[] {
  const { choice } = way;
  const ratio = textValue(
    { key: 'ratio', label: 'Worm ratio', symbol: 'R', settles: true },
    `${head.ratio} : 1`,
  );
  switch (choice.method) {
    case 'direct':
      return [
        textValue({ key: 'ring', label: 'Ring', settles: true }, choice.ringName),
        textValue(
          { key: 'worm', label: 'Worm' },
          choice.onWork && lead?.drive !== 'spindle' ? 'stays in' : 'out',
        ),
      ];
    case 'handwheel':
      return [ratio, ...wheelValues(choice, head)];
    case 'stepper':
      return [
        ratio,
        textValue({ key: 'drive', label: 'Drive', settles: true }, choice.driveName),
        textValue(
          { key: 'steps', label: 'Steps for one turn of the work', settles: true },
          decimalText(exact(choice.stepsPerTurn), 4),
        ),
        angleValue({ key: 'oneStep', label: 'One step is' }, exact(360).div(choice.stepsPerTurn)),
      ];
    case 'table':
      return [];
    default:
      return [...plateValues(way, head), ratio, ...(way.geared ? gearValues(way.geared) : [])];
  }
}

function wheelValues({ marks, vernier, reads }: ChoiceOf<'handwheel'>, head: Head): Value[] {
  const turn = exact(360).div(head.ratio);
  const least = turn.div(marks * vernier);
  return [
    angleValue({ key: 'wheelTurn', label: 'One turn of the wheel' }, turn),
    textValue(
      { key: 'wheelMarks', label: 'Marks on it' },
      reads === 'angle' ? `${marks}, of ${smallAngleText(approx(turn.div(marks)) / 360)}` : String(marks),
    ),
    textValue({ key: 'least', label: 'Reads to', settles: true }, smallAngleText(approx(least) / 360)),
  ];
}

function plateValues(way: Way, head: Head): Value[] {
  const { choice, armsHoles, geared } = way;
  if (!('plateId' in choice)) return [];
  const circle = circleOfChoice(head, choice);
  const side = circle?.twoSided ? `, side ${choice.side + 1}` : '';
  const values = [textValue({ key: 'plate', label: 'Plate', settles: true }, `${choice.plateName}${side}`)];
  if (choice.method === 'nearest-hole') return values;
  values.push(
    textValue(
      { key: 'arms', label: 'Arms span' },
      armsHoles === null ? 'not needed' : armsText(armsHoles - 1),
    ),
  );
  if (choice.method === 'compound') {
    values.push(
      textValue({ key: 'pinMove', label: 'First, the pin' }, moveText(choice)),
      textValue({ key: 'backMove', label: 'Then plate and crank', settles: true }, backText(choice.back)),
    );
  }
  const inTurns = exact(choice.turns).add(exact(choice.spaces, choice.circle));
  const label = geared ? 'Crank, on the plate' : 'Crank turns';
  values.push(angleValue({ key: 'crankAngle', label }, inTurns.mul(360)));
  return values;
}

function gearValues({ near, train, idlers, plateTurns }: Geared): Value[] {
  const { driver, driven, second } = train;
  return [
    textValue({ key: 'near', label: 'Cranked as for', symbol: 'A' }, plural(near, 'part')),
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

/** What a way that does not come out exactly costs. */
function errors({ proof }: Way, { diameter, full }: Aim): Value[] {
  const { worst, worstSingle, end } = proof;
  return [
    figureValue({
      naming: { key: 'worst', label: 'Worst place', settles: true },
      text: errorText(worst.turns, diameter),
      figure: {
        is: worst.turns * 1_296_000,
        within: 5,
        unit: '″',
      },
    }),
    textValue({ key: 'single', label: 'Worst single move' }, errorText(worstSingle, diameter)),
    ...(full && Math.abs(end) > 1e-12
      ? [textValue({ key: 'end', label: 'Last move misses the first by' }, errorText(end, diameter))]
      : []),
  ];
}

/** What the table is moved by, in the order it is set. */
export function tableValues(way: Way, spaces: number): Value[] {
  const choice = way.choice as ChoiceOf<'table'>;
  const pitch = exact(choice.advance);
  return [
    textValue({ key: 'divisions', label: 'Divisions', symbol: 'N', settles: true }, String(spaces)),
    lengthValue(
      { key: 'pitch', label: 'From one to the next', symbol: 'p', settles: true, within: 0 },
      pitch,
    ),
    lengthValue({ key: 'length', label: 'First to last' }, pitch.mul(spaces - 1)),
    lengthValue(
      { key: 'lead', label: 'One turn of the screw', settles: true, within: 0 },
      exact(choice.lead),
    ),
    lengthValue({ key: 'mark', label: 'One mark of its dial' }, exact(choice.lead).div(choice.marks)),
    lengthValue({ key: 'worst', label: 'Worst place' }, Math.abs(way.proof.worst.turns)),
  ];
}

/** What breaks a pin, or makes a wrong gear of a right sum. */
export function cautionsOf(
  { geared, choice, proof }: Way,
  aim: Aim,
  lead: LeadGearing | null = null,
): Caution[] {
  const cautions: Caution[] = [];
  if (lead)
    cautions.push({
      code: 'lead-free',
      when: 'While the lead is geared',
      text: `plate lock pin and spindle lock stay out: the table has to turn the work. Locked, a gear or the pin breaks. Move only ${choice.method === 'direct' ? 'the work in its ring' : 'the crank pin over the plate'}, the table standing still.`,
    });
  if (choice.method === 'direct' && choice.onWork)
    cautions.push({
      code: 'ring-pin',
      when: 'At every move',
      text: `the ring’s pin home before the cut; the head itself does not move, its worm stays ${lead?.drive === 'spindle' ? 'out' : 'in'}.`,
    });
  else if (choice.method === 'direct')
    cautions.push({
      code: 'worm-out',
      when: 'Before pinning',
      text: 'worm out first, never both engaged: the pin breaks. Lock the spindle before every cut.',
    });
  else if (choice.method !== 'table' && !lead)
    cautions.push({
      code: 'direct-pin',
      when: 'Before cranking',
      text: 'direct pin out, worm home. Cranking against the pin breaks it.',
    });
  if (geared)
    cautions.push({
      code: 'plate-free',
      when: 'Before the first cut',
      text: `plate lock pin out, and try that the plate creeps ${geared.plateTurns} the crank. A locked plate or a wrong idler cuts another number of teeth.`,
    });
  if (choice.method === 'compound')
    cautions.push({
      code: 'two-pins',
      when: 'At every move',
      text: `pin first, then the back pin, never both out at once: the plate runs loose and the count is lost.${choice.back.spaces < 0 ? ' The plate goes back: half a turn too far, then up clockwise, or every space stands on the other side of the slack.' : ''}`,
    });
  if (choice.method === 'stepper') cautions.push(...stepperCautions(choice));
  if (choice.method === 'table')
    cautions.push({
      code: 'one-way',
      when: 'At every move',
      text: 'come to each reading from the same side. Backing onto it adds the slack of the screw to one tooth.',
    });
  if (!proof.everySpaceTrue && aim.full && Math.abs(proof.end) > 0)
    cautions.push({
      code: 'does-not-close',
      when: 'Not exact',
      text: `the last move ends ${smallAngleText(proof.end)} from the first place. Judge by the worst place whether this gear can bear it.`,
    });
  return cautions;
}

function stepperCautions(choice: ChoiceOf<'stepper'>): Caution[] {
  const whole = exact(choice.stepsPerTurn).d === 1n;
  const uneven = whole
    ? ''
    : ` One turn of the work is ${exactText(exact(choice.stepsPerTurn))} steps, not a whole number: go by the schedule, never by one step repeated.`;
  return [
    {
      code: 'missed-steps',
      when: 'Silent slips',
      text: `a motor that stalls or is coupled straight to the shaft misses steps without a sign. Make the closing check before cutting deep.${uneven}`,
    },
  ];
}
