import { dividedName, wordsOfDivided } from '../cut/index.ts';
import { armsText, backText, landingText, moveText, plateTurnsOf, type Landing } from '../dividing/index.ts';
import { trainText } from '../gearing/index.ts';
import { layOrder } from '../lead/index.ts';
import { groundOfRun, type Run } from '../run/index.ts';
import { handleOf } from '../setup/index.ts';
import { bothUnitsText, capital, lengthText, plural } from '../units/index.ts';
import { backWay, onDial, onTravelDial, travelsOf } from './handles.ts';
import { circleOf } from './moves.ts';
import type { Prompt, PromptOf } from './prompt.ts';

/** Less than a dial shows, mm. */
const READS_AS_0 = 0.005;

/** A reading of a wheel, a table or a count, as it must stand. */
function readingText(run: Run, landing: Landing): string {
  if (landing.on === 'steps') return `${landing.steps} steps`;
  return landingText(landing, groundOfRun(run));
}

function turnText(run: Run, { landing, from, space, round }: PromptOf<'turn'>): string {
  const goes = `${round ? 'On to' : 'To'} ${dividedName(run, space)}`;
  const was = from && 'hole' in from ? `from hole ${from.hole} ` : '';
  switch (landing.on) {
    case 'plate':
      return `${goes}: turn clockwise ${moveText({ ...landing, circle: circleOf(run) })}; ${was}the pin lands in hole ${landing.hole}.`;
    case 'two-circles':
      return `${goes}: back pin home, crank pin out; turn clockwise ${moveText({ ...landing, circle: circleOf(run) })}; ${was}the pin lands in hole ${landing.hole}.`;
    case 'ring': {
      const pin = run.move.method === 'direct' && run.move.onWork ? 'the ring’s pin' : 'the direct pin';
      return `${goes}: draw ${pin}, turn the work on clockwise, ${plural(landing.spaces, 'space')} of ${circleOf(run)}; ${was}it lands in hole ${landing.hole}.`;
    }
    case 'dial':
      if (run.mill) return `${goes}: table on to ${readingText(run, landing)}, from the same side as ever.`;
      return `${goes}: turn on clockwise, to ${readingText(run, landing)}${round ? ': there the work has gone once round' : ''}.`;
    case 'steps':
      return `${goes}: let the motor go on to ${landing.steps} steps, ${landing.by} on from here.`;
  }
}

function plateText(run: Run, { back, circle, from, hole, space }: PromptOf<'turn-plate'>): string {
  const goes = `To ${dividedName(run, space)}`;
  const move = backText({ spaces: back, circle });
  const lands = `from hole ${from} the back pin lands in hole ${hole}`;
  return back < 0
    ? `${goes}, crank pin home, back pin out: crank and plate together ${move} and half a turn more, then come up clockwise; ${lands}.`
    : `${goes}, crank pin home, back pin out: crank and plate together clockwise, ${move}; ${lands}.`;
}

function returnText(run: Run, { by, space }: PromptOf<'return'>): string {
  const goes = `Back to ${dividedName(run, space)}`;
  const up = 'and half a turn more, then come up clockwise';
  switch (by.on) {
    case 'plate':
      return `${goes}: turn back ${moveText(by)} ${up} into that hole: it is hole 0 again.`;
    case 'two-circles': {
      const plate =
        by.back === 0
          ? ''
          : ` Then plate and crank together, by the back pin, ${backText({ spaces: by.back, circle: by.backCircle })}${by.back < 0 ? ` ${up}` : ''}: both are in hole 0 again.`;
      return `${goes}: turn the pin back ${moveText(by)} ${up} into that hole.${plate}`;
    }
    case 'ring':
      return `${goes}: draw the pin, turn the work back ${plural(by.spaces, 'space')} of ${by.circle} into hole 0.`;
    case 'dial':
      return `${goes}: turn back past 0 by half a turn, then come up to 0 from the same side as ever.`;
    case 'steps':
      return `${goes}: let the motor go back past 0 by half a turn of the crank, then on to 0.`;
  }
}

/**
 * How the pin comes into the hole that is 0: on new work, on work that stands as it closed, on work that was
 * found again.
 */
const PIN: Readonly<Record<PromptOf<'register'>['work'], string>> = {
  fresh: 'Turn clockwise, a turn or two, and drop the pin into the nearest hole',
  stands: 'Leave the pin in the hole it is in',
  found: 'Without turning the work, shift the plate until the pin drops into a hole',
};

/** How the worm stands while a ring divides. */
function wormText({ move, helix }: Run): string {
  const stays = move.method === 'direct' && move.onWork && helix?.drive !== 'spindle';
  return stays ? ' The head’s worm stays in.' : ' The head’s worm stays out.';
}

/** Which hole, reading or count is 0 when a run begins. */
function registerText(run: Run, { work }: PromptOf<'register'>): string {
  const { move } = run;
  const pin = PIN[work];
  const arms =
    'spaces' in move && move.method !== 'direct' && move.spaces > 0 ? ` Arms: ${armsText(move.spaces)}.` : '';
  const ring = `a hole of the ${'holes' in move ? move.holes : ''} ring`;
  switch (move.method) {
    case 'simple':
      return `${pin} of ${move.circle}, plate ${move.plateName}: it is now hole 0.${arms}`;
    case 'differential':
      return `${pin} of ${move.circle}, plate ${move.plateName}: it is now hole 0.${arms} Gears ${trainText(move.train)}, ${plural(move.idlers, 'idler')}; plate lock pin out: the plate must creep ${plateTurnsOf(move)} the crank.`;
    case 'compound':
      return `${pin} of ${move.circle}, plate ${move.plateName}; the back pin is in a hole of ${move.back.circle}: each is now its hole 0.${arms}`;
    case 'nearest-hole':
      return `${pin} of ${move.circle}, plate ${move.plateName}: it is now hole 0. The move changes from space to space: read it here every time.`;
    case 'direct':
      if (work === 'stands') return `Leave the pin in the hole it is in: it is now hole 0.${wormText(run)}`;
      if (work === 'found')
        return `Without turning the work, get the pin into ${ring}, the work shifted on its mandrel if need be: it is now hole 0.${wormText(run)}`;
      return move.onWork
        ? `Ring of ${move.holes} between spindle and work, its pin in any hole: it is now hole 0.${wormText(run)}`
        : `Worm out; direct pin into any hole of the ${move.holes} ring: it is now hole 0.`;
    case 'handwheel':
      return work === 'fresh'
        ? 'Come up clockwise, a turn or two, and set table and wheel to read 0 there: every reading is from here.'
        : 'Without turning the work, set table and wheel to read 0 where they stand.';
    case 'stepper':
      return work === 'fresh'
        ? `Direct pin out; let the motor go on a turn, to take up the slack, and set the count of ${move.driveName} to 0 there.`
        : `Without turning the work, set the count of ${move.driveName} to 0.`;
    case 'table': {
      const name = run.mill?.name ?? 'the mill';
      return work === 'fresh'
        ? `Bring the place of the first ${wordsOfDivided(run.divides).one} under the cutter, from the side you go on to, and set the table’s dial of ${name} to 0 there.`
        : `Without moving the table, set its dial on ${name} to 0.`;
    }
  }
}

function zeroText({ move, mill }: Run): string {
  if (move.method === 'stepper')
    return `Set the count of ${move.driveName} to 0 where it stands: the next round is counted from here.`;
  if (move.method === 'table')
    return `Set the dial of ${mill?.name ?? 'the table'} to 0 where it stands: the next round is read from here.`;
  return 'Table and wheel read 0 here; where they do not, set them to 0 as they stand: the next round is read from here.';
}

/** What of the work the cutter touches. */
function touchedText({ touchOn, safe }: Run): string {
  switch (touchOn) {
    case 'outside':
      return 'the outside';
    case 'top':
      return 'the top';
    case 'throat':
      return 'the throat, in the middle of the face';
    case 'corners':
      return 'the corners beside the throat, which it meets first';
    case null:
      return safe?.way === 'sink' ? 'the work where the Wheel station says' : 'the outside';
  }
}

function touchText(run: Run, { paper }: PromptOf<'touch'>): string {
  const { in: bring, screw } = handleOf(run.mount);
  const what = touchedText(run);
  return paper > 0
    ? `Spindle stopped: ${bring} until ${lengthText(paper, run.units, 'fine')} of paper is just held on ${what}; the dial of the ${screw} to 0.`
    : `${capital(bring)} until the turning cutter just marks ${what}; the dial of the ${screw} to 0.`;
}

/** What the table reads where the cutter first touches, as it is to be set. */
export const touchReading = (run: Run, reads: number): string =>
  reads < READS_AS_0 ? '0' : lengthText(reads, run.units);

/** A reading of what travels, in length, and in turns and marks of its own dial where that is known. */
function travelText(run: Run, mm: number): string {
  const dial = onTravelDial(run, mm);
  return `${lengthText(mm, run.units)}${dial === '' ? '' : ` (${dial})`}`;
}

function firstTouchText(run: Run, reads: number): string {
  const set = `Feed on slowly: where the turning cutter first touches, stop and set the ${travelsOf(run)}’s dial to ${reads < READS_AS_0 ? '0' : travelText(run, reads)}`;
  return reads < READS_AS_0 ? `${set}.` : `${set}: 0 is where uncut work would touch at full depth.`;
}

function depthText(run: Run, depth: number | null): string {
  if (depth === null) return 'to depth';
  const dial = onDial(run, depth);
  return `to ${bothUnitsText(depth, run.units)}${dial === '' ? '' : `: ${dial}`}`;
}

function backAlongText(run: Run, { to, slack }: PromptOf<'back'>): string {
  const read = to === 'before-touch';
  const well = slack ? 'well ' : '';
  const way = read
    ? `Run the ${travelsOf(run)} back${backWay(run)}, ${well}past 0 on its dial`
    : `Run back${backWay(run)}${backWay(run) === '' ? '' : ','} until the cutter is ${well}clear of the work`;
  return slack
    ? `${way}; then come on a little the way it cuts, ${read ? 'not as far as 0' : 'still clear'}, so that the slack is taken up.`
    : `${way}.`;
}

function cutText(run: Run, { space, scratch, again, sink, through }: PromptOf<'cut'>): string {
  const tells = !scratch && run.divides !== 'mark' && (space === 1 || space % 10 === 0);
  const mark = tells ? ', and mark it' : '';
  const name = dividedName(run, space);
  const { verb, done } = wordsOfDivided(run.divides);
  if (scratch)
    return run.divides === 'hole'
      ? `Mark the place of ${name}.`
      : `Scratch ${name}, a line over the whole face.`;
  if (again) return `Run through ${name} once more: it is ${done} already, and nothing may come off.`;
  if (sink !== null) return `Sink the cutter ${depthText(run, sink)}, in ${name}${mark}.`;
  if (through === null)
    return run.divides === 'hole' ? `Drill ${name}${mark}.` : `Cut ${name} over the whole face${mark}.`;
  return `${capital(verb)} ${name}: feed on until the ${travelsOf(run)} reads ${travelText(run, through)}${mark}.`;
}

/** A prompt as a whole sentence, right for a hand that does just what it says. */
export function promptText(run: Run, prompt: Prompt): string {
  const handle = handleOf(run.mount);
  const { many, done, fits } = wordsOfDivided(run.divides);
  switch (prompt.do) {
    case 'prepare':
      return prompt.what;
    case 'centre':
      return `${layOrder(prompt.by).centre}${prompt.face ? ', and to the middle of its face' : ''}.`;
    case 'swing':
      return `${layOrder(prompt.by).swing}: the ${prompt.setting}; clamp it.`;
    case 'scribe':
      return `${layOrder('table').scribe}: it must run as a ${prompt.hand}-hand thread. If not, one idler more or less.`;
    case 'find':
      return `Find ${dividedName(run, prompt.space)}, which is ${done}: spindle stopped, ${run.mill ? 'coming from the same side as ever' : 'coming up clockwise'}, the cutter must ${fits}.`;
    case 'stand':
      return `Nothing has been loosened: the work stands at ${dividedName(run, prompt.space)} as it closed: spindle stopped, the cutter must ${fits}.`;
    case 'register':
      return registerText(run, prompt);
    case 'zero':
      return zeroText(run);
    case 'unlock':
      return run.helix
        ? `Unlock the ${prompt.what}, and lock nothing that turns from now on: the table has to turn the work.`
        : `Unlock the ${prompt.what}.`;
    case 'lock':
      return `Lock the ${prompt.what}.`;
    case 'touch':
      return touchText(run, prompt);
    case 'graze':
      return `${capital(handle.in)} until the cutter only marks ${touchedText(run)}.`;
    case 'land':
      return run.mill
        ? `Move the table until metal that is not cut, between two ${many}, stands under the cutter.`
        : `Turn the work until outside that is not cut, between two ${many}, stands under the cutter.`;
    case 'first-touch':
      return firstTouchText(run, prompt.reads);
    case 'depth':
      return prompt.by === null
        ? `${capital(handle.in)} ${depthText(run, prompt.depth)}.`
        : `${capital(handle.in)} ${depthText(run, prompt.depth)}: ${lengthText(prompt.by, run.units, 'fine')} deeper than it was cut.`;
    case 'out':
      return run.safe?.way === 'sink' && !run.helix
        ? `Draw the cutter out: ${handle.out}, back past 0, the touch.`
        : `Stop the feed and draw clear of the cutter: ${handle.out}.`;
    case 'in':
      return prompt.graze
        ? `Go in again: ${handle.in} until the cutter only marks ${touchedText(run)}.`
        : `Go in again: ${handle.in} ${depthText(run, prompt.depth)}.`;
    case 'back':
      return backAlongText(run, prompt);
    case 'on':
      return `Feed on until the ${travelsOf(run)} reads more than ${travelText(run, prompt.past)}: only there is the cutter clear.`;
    case 'turn':
      return turnText(run, prompt);
    case 'turn-plate':
      return plateText(run, prompt);
    case 'return':
      return returnText(run, prompt);
    case 'tell-hole':
      return prompt.backHole === null
        ? 'Look at the plate, not at the screen: which hole is the pin in now?'
        : 'Look at the plate, not at the screen: which hole is each pin in now?';
    case 'arms':
      return `Bring the arms round to the pin: ${armsText(prompt.spaces)}.`;
    case 'chord':
      return 'Half-way: spindle stopped, measure across what is cut while there is metal.';
    case 'marks':
      return `The cutter must fall exactly on the scratch of ${dividedName(run, prompt.space)}. Look with a lens, spindle stopped.`;
    case 'cut':
      return cutText(run, prompt);
    case 'judge':
      return `Spindle stopped, bring the cutter to ${dividedName(run, prompt.space)}: it must ${fits}.`;
    case 'finish':
      return run.mill
        ? 'A row does not close. Measure from the first to the last before it comes off.'
        : 'This is less than a whole turn, so there is no closing move. Measure from the first to the last before it comes off.';
  }
}

/** Why a prompt is as it is, where that is not plain. */
export function promptWhy(run: Run, prompt: Prompt): string | null {
  switch (prompt.do) {
    case 'prepare':
      return prompt.why;
    case 'unlock':
      return run.helix ? 'Locked, a gear or the pin breaks.' : null;
    case 'out':
      return run.helix
        ? 'The gears have slack. Run back where it is and the cutter drags across the flank it has just cut.'
        : null;
    case 'turn':
      if (prompt.landing.on === 'steps')
        return run.helix ? null : 'A motor against a lock loses steps without a sign.';
      if (prompt.landing.on === 'ring') return null;
      return 'Past it? Back off half a turn and come up again.';
    case 'turn-plate':
      return prompt.back < 0 ? 'Every one is come to clockwise, so that the slack lies on one side.' : null;
    case 'first-touch':
      return 'Where it is clear to index, and how far to feed, is counted from here.';
    case 'register':
      return prompt.work === 'stands'
        ? 'The register is what makes the deeper cut fall into the first one.'
        : null;
    default:
      return null;
  }
}
