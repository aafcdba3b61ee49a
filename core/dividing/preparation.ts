import { trainText } from '../gearing/index.ts';
import type { Head, Standing } from '../shop/index.ts';
import { plural } from '../units/index.ts';
import { circleOfChoice, plateChange } from './ways.ts';
import type { LeadGearing, Way } from './way.ts';

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
  if (lead?.drive === 'spindle')
    return { mounted: head.mounted, standing: { ...now, worm: 'out', gears: lead.train } };
  if (choice.method === 'direct' && choice.onWork)
    return { mounted: head.mounted, standing: { ...now, worm: 'in', gears: lead?.train ?? now.gears } };
  if (choice.method === 'direct')
    return { mounted: head.mounted, standing: { ...now, worm: 'out', ringId: choice.ringId } };
  const onPlate = 'plateId' in choice;
  const standing: Standing = {
    ...now,
    worm: 'in',
    ringId: now.ringId,
    lock: lead ? 'out' : onPlate ? (geared ? 'out' : 'in') : now.lock,
    circle: onPlate ? choice.circle : now.circle,
    arms: onPlate ? armsHoles : now.arms,
    gears: lead ? lead.train : onPlate ? (geared ? trainText(geared.train) : '') : now.gears,
  };
  return {
    mounted: onPlate ? { plateId: choice.plateId, side: choice.side } : head.mounted,
    standing,
  };
}

function wormSteps({ choice }: Way, { standing, rings }: Head): Preparation[] {
  if (choice.method === 'direct' && choice.onWork)
    return [
      {
        key: 'ring',
        what: `Ring ${choice.ringName} between spindle and work; its pin in any hole, which is now hole 0.`,
        why: 'the worm stays in and goes on driving the lead',
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
  if (choice.method === 'stepper') {
    return [
      { key: 'drive', what: `${choice.driveName} coupled; crank and plate pin clear of it.` },
      { key: 'worm', what: 'Direct pin out.', why: 'a motor against a pin loses steps, or breaks it' },
    ];
  }
  if (standing.worm === 'in') return [];
  return [
    {
      key: 'worm',
      what: 'Direct pin out, worm home: rock the crank to feel it.',
      why: 'cranking against the pin breaks it',
    },
  ];
}

/** The gears between table and head, for a helical gear; they are the lead station’s own, and only said here. */
function leadSteps({ drive, gears, train, idlers }: LeadGearing, { standing, plateLock }: Head): Preparation[] {
  const steps: Preparation[] = [];
  if (gears !== '' && standing.gears !== train)
    steps.push({ key: 'gears', what: `Gears for the lead: ${gears}, ${idlers === 0 ? 'no idler' : plural(idlers, 'idler')}; a little play in each mesh.`, why: 'see the lead station' });
  if (drive === 'spindle') {
    if (standing.worm !== 'out')
      steps.push({ key: 'worm', what: 'Drop the worm out.', why: 'the gears turn the spindle itself' });
  } else if (standing.lock !== 'out' && plateLock)
    steps.push({ key: 'lock', what: 'Plate lock pin out.', why: 'the plate turns with the table; locked, gears or pin break' });
  return steps;
} // prettier-ignore

function plateSteps(way: Way, head: Head, lead: LeadGearing | null): Preparation[] {
  const { choice, armsHoles, geared } = way;
  const circle = circleOfChoice(head, choice);
  if (!circle) return [];
  const { standing } = head;
  const steps: Preparation[] = [];
  const change = plateChange(head, circle);
  const side = circle.twoSided ? `, side ${circle.side + 1} out` : '';
  if (change)
    steps.push({
      key: 'plate',
      what: change.startsWith('turn') ? `Turn the plate over: side ${circle.side + 1} out.` : `Put on plate ${circle.plateName}${side}; its screws tight.`,
    }); // prettier-ignore
  const { gears } = standing;
  if (!geared && !lead && gears)
    steps.push({ key: 'gears', what: 'Take the gears off.', why: 'the plate would creep with the spindle' });
  if (geared && gears !== trainText(geared.train)) steps.push(...gearSteps(way));
  const lock = geared ? 'out' : 'in';
  if (!lead && standing.lock !== lock && head.plateLock)
    steps.push({
      key: 'lock',
      what: `Plate lock pin ${lock}.`,
      why: geared ? 'a locked plate cuts another number of teeth' : 'a free plate drifts under the pin',
    });
  if (choice.method === 'compound')
    steps.push({
      key: 'back-pin',
      what: `Back pin set to the ${choice.back.circle} circle, in any hole: its hole 0.`,
    });
  if (change || standing.circle !== circle.holes)
    steps.push({ key: 'radius', what: `Crank set to the ${circle.holes} circle: the pin drops in freely.` });
  if (armsHoles !== null && (change || standing.arms !== armsHoles || standing.circle !== circle.holes))
    steps.push({
      key: 'arms',
      what: `Arms to span ${plural(armsHoles, 'hole')}, both ends counted; clamp them.`,
    });
  return steps;
}

function gearSteps({ geared }: Way): Preparation[] {
  const { train, idlers, plateTurns } = geared!;
  const { driver, driven, second } = train;
  const stud = second ? `, ${driven} first and ${second.driver} second on the stud` : '';
  const idle = idlers === 0 ? 'no idler' : plural(idlers, 'idler');
  return [
    {
      key: 'gears',
      what: `Gears: ${driver} on the spindle${stud}, ${second ? second.driven : driven} on the plate shaft, ${idle}; a little play in each mesh.`,
    },
    {
      key: 'trial',
      what: `Trial: turn the crank and watch. The plate must creep ${plateTurns} it; if not, one idler more or less.`,
      why: 'heads differ in how many wheels they hide',
    },
  ];
}

/**
 * What to do on the head for a way, in order: only what changes from how it stands now, and the turns that take up the
 * slack. Common practice.
 * @param head null where no head is used @param lead for a helical gear
 */
export function preparationOf(way: Way, head: Head | null, lead: LeadGearing | null = null): Preparation[] {
  const { method } = way.choice;
  const steps = head
    ? [
        ...(lead?.drive === 'spindle' ? [] : wormSteps(way, head)),
        ...(lead ? leadSteps(lead, head) : []),
        ...plateSteps(way, head, lead),
      ]
    : [];
  if (method === 'handwheel')
    steps.push({ key: 'zero', what: 'Set table and wheel to 0 with the slack taken up.' });
  if (method === 'table')
    steps.push({
      key: 'zero',
      what: 'At the first space set the dial to 0, coming from the side you will cut towards.',
    });
  if (method === 'stepper') steps.push({ key: 'zero', what: 'Set the step count to 0 at the first space.' });
  if (method !== 'direct' && method !== 'table')
    steps.push({
      key: 'warm-up',
      what: `Two turns of the crank clockwise, ${'plateId' in way.choice ? 'the pin into hole 0' : 'ending at 0'}.`,
      why: 'takes up the slack',
    });
  return steps;
}
