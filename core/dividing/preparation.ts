import { trainText } from '../gearing/index.ts';
import type { Head, Standing } from '../shop/index.ts';
import { plural } from '../units/index.ts';
import { circleOfChoice, plateChange } from './ways.ts';
import type { DividingChoice } from './schema.ts';
import type { Geared, LeadGearing, Way } from './way.ts';
import { armsText } from './words.ts';

/** One thing to do on the head before the first cut: only what differs from how it stands. */
export interface Preparation {
  readonly key: string;
  readonly what: string;
  readonly why?: string;
}

/** How a head stands once it has been set up for a way. */
export function standingFor(
  { choice, geared, armsHoles }: Way,
  head: Head,
  lead: LeadGearing | null = null,
): Pick<Head, 'mounted' | 'standing'> {
  const now = head.standing;
  // gears that turned the plate or the work for another job come off
  const gears = lead ? lead.train : geared ? trainText(geared.train) : '';
  if (lead?.drive === 'spindle') return { mounted: head.mounted, standing: { ...now, worm: 'out', gears } };
  if (choice.method === 'direct' && choice.onWork)
    return { mounted: head.mounted, standing: { ...now, worm: 'in', gears } };
  if (choice.method === 'direct')
    return { mounted: head.mounted, standing: { ...now, worm: 'out', ringId: choice.ringId, gears } };
  const onPlate = 'plateId' in choice;
  // with two circles the back pin holds the plate, and its lock is drawn
  const free = lead !== null || geared !== null || choice.method === 'compound';
  const standing: Standing = {
    ...now,
    worm: 'in',
    lock: lead || onPlate ? (free ? 'out' : 'in') : now.lock,
    circle: onPlate ? choice.circle : now.circle,
    arms: onPlate ? armsHoles : now.arms,
    gears,
  };
  return {
    mounted: onPlate ? { plateId: choice.plateId, side: choice.side } : head.mounted,
    standing,
  };
}

const HOME: Preparation = {
  key: 'worm',
  what: 'Direct pin out, worm home: rock the crank to feel it.',
  why: 'cranking against the pin breaks it',
};

/**
 * Gears of another job: while they are on, the plate creeps with the spindle, or the table turns the work.
 */
function gearsOff({ geared }: Way, { standing: { gears } }: Head, lead: LeadGearing | null): Preparation[] {
  const wanted = lead ? lead.train : geared ? trainText(geared.train) : '';
  if (!gears || gears === wanted) return [];
  return [
    { key: 'gears-off', what: 'Take the gears off.', why: 'they would turn plate or work with the spindle' },
  ];
}

function pinSteps({ choice }: Way, { standing, rings }: Head, lead: LeadGearing | null): Preparation[] {
  if (choice.method === 'direct' && choice.onWork)
    return [
      ...(standing.worm === 'in' || lead?.drive === 'spindle' ? [] : [HOME]),
      {
        key: 'ring',
        what: `Ring ${choice.ringName} between spindle and work; its pin in any hole, which is now hole 0.`,
        why: wormWhy(lead),
      },
    ];
  if (choice.method === 'direct') {
    const steps: Preparation[] = [];
    if (standing.worm !== 'out')
      steps.push({ key: 'worm', what: 'Drop the worm out.', why: 'with both engaged the pin breaks' });
    if (standing.ringId !== choice.ringId || rings.length > 1)
      steps.push({ key: 'ring', what: `Direct pin into the ${choice.holes} ring; call that hole 0.` });
    return steps;
  }
  if (choice.method === 'stepper')
    return [
      {
        key: 'worm',
        what: 'Direct pin out, spindle unlocked.',
        why: 'a motor against a pin or a lock loses steps, or breaks it',
      },
      { key: 'drive', what: `${choice.driveName} coupled; crank and plate pin clear of it.` },
    ];
  return standing.worm === 'in' ? [] : [HOME];
}

/** Why the worm of a head stands as it does while a ring on the work divides. */
function wormWhy(lead: LeadGearing | null): string {
  if (lead?.drive === 'spindle') return 'the worm is out: the gears turn the spindle itself';
  return lead ? 'the worm stays in and goes on driving the lead' : 'the worm stays in and holds the spindle';
}

/**
 * The gears between table and head, for a helical gear; they are the lead station’s own, and only said here.
 */
function leadSteps(
  { drive, gears, train, idlers }: LeadGearing,
  { standing, plateLock }: Head,
): Preparation[] {
  const steps: Preparation[] = [];
  if (gears !== '' && standing.gears !== train)
    steps.push({
      key: 'gears',
      what: `Gears for the lead: ${gears}, ${idlers === 0 ? 'no idler' : plural(idlers, 'idler')}; a little play in each mesh.`,
      why: 'see the lead station',
    });
  if (drive === 'spindle') {
    if (standing.worm !== 'out')
      steps.push({ key: 'worm', what: 'Drop the worm out.', why: 'the gears turn the spindle itself' });
  } else if (standing.lock !== 'out' && plateLock)
    steps.push({
      key: 'lock',
      what: 'Plate lock pin out.',
      why: 'the plate turns with the table; locked, gears or pin break',
    });
  return steps;
}

function plateSteps(way: Way, head: Head, lead: LeadGearing | null): Preparation[] {
  const { choice, armsHoles, geared } = way;
  const circle = circleOfChoice(head, choice);
  if (!circle) return [];
  const { standing } = head;
  const steps: Preparation[] = [];
  const change = plateChange(head, circle);
  const side = circle.twoSided ? `, side ${circle.side + 1} out` : '';
  const anew = change !== null || standing.circle !== circle.holes;
  if (change)
    steps.push({
      key: 'plate',
      what: change.startsWith('turn')
        ? `Turn the plate over: side ${circle.side + 1} out.`
        : `Put on plate ${circle.plateName}${side}; its screws tight.`,
    });
  if (anew)
    steps.push({ key: 'radius', what: `Crank set to the ${circle.holes} circle: the pin drops in freely.` });
  if (armsHoles !== null && (anew || standing.arms !== armsHoles))
    steps.push({ key: 'arms', what: `Arms to ${armsText(armsHoles - 1)}; clamp them.` });
  if (choice.method === 'compound')
    steps.push({
      key: 'back-pin',
      what: `Back pin set to the ${choice.back.circle} circle, into any hole: its hole 0.`,
    });
  if (geared && standing.gears !== trainText(geared.train)) steps.push(gearsOn(geared));
  if (!lead) steps.push(...lockStep(way, head));
  if (geared) steps.push(trial(geared));
  return steps;
}

/** The plate's own lock: drawn once something else holds or turns the plate. */
function lockStep({ choice, geared }: Way, { standing, plateLock }: Head): Preparation[] {
  const lock = geared || choice.method === 'compound' ? 'out' : 'in';
  if (!plateLock || standing.lock === lock) return [];
  const why = geared
    ? 'a locked plate cuts another number of teeth'
    : choice.method === 'compound'
      ? 'now the back pin holds the plate, and lets it move with the crank'
      : 'a free plate drifts under the pin';
  const back = geared ? ', and any back pin' : '';
  return [{ key: 'lock', what: `Plate lock pin ${lock}${back}.`, why }];
}

function gearsOn({ train, idlers }: Geared): Preparation {
  const { driver, driven, second } = train;
  const stud = second ? `, ${driven} first and ${second.driver} second on the stud` : '';
  const idle = idlers === 0 ? 'no idler' : plural(idlers, 'idler');
  return {
    key: 'gears',
    what: `Gears: ${driver} on the spindle${stud}, ${second ? second.driven : driven} on the plate shaft, ${idle}; a little play in each mesh.`,
  };
}

const trial = ({ plateTurns }: Geared): Preparation => ({
  key: 'trial',
  what: `Trial: turn the crank and watch. The plate must creep ${plateTurns} it; if not, one idler more or less.`,
  why: 'heads differ in how many wheels they hide',
});

/** The turns that take up the slack; a motor's own, for its crank is clear. */
function warmUp(choice: DividingChoice): Preparation {
  const turns =
    choice.method === 'stepper'
      ? `Let ${choice.driveName} go two turns on`
      : 'Two turns of the crank clockwise';
  const end = 'plateId' in choice ? ', the pin into hole 0' : '';
  return { key: 'warm-up', what: `${turns}${end}.`, why: 'takes up the slack' };
}

/**
 * What to do on the head for a way, in the order of the hands: only what changes from how it stands now, and
 * the turns that take up the slack. Common practice.
 * @param head null where no head is used @param lead for a helical gear
 */
export function preparationOf(way: Way, head: Head | null, lead: LeadGearing | null = null): Preparation[] {
  const { method } = way.choice;
  const steps = head
    ? [
        ...gearsOff(way, head, lead),
        ...(lead?.drive === 'spindle' && method !== 'direct' ? [] : pinSteps(way, head, lead)),
        ...plateSteps(way, head, lead),
        ...(lead ? leadSteps(lead, head) : []),
      ]
    : [];
  if (method !== 'direct' && method !== 'table') steps.push(warmUp(way.choice));
  if (method === 'handwheel')
    steps.push({ key: 'zero', what: 'Set table and wheel to 0 where they stand then.' });
  if (method === 'table')
    steps.push({
      key: 'zero',
      what: 'At the first place set the dial to 0, coming from the side you will cut towards.',
    });
  if (method === 'stepper') steps.push({ key: 'zero', what: 'Set the step count to 0 at the first place.' });
  return steps;
}
