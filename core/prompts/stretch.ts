import { dueCheck, firstMetal, placeOf, type Cut, type Run } from '../run/index.ts';
import {
  asksLanding,
  endOfRound,
  holeTells,
  lockedOn,
  readAfresh,
  skippedOf,
  wayBack,
  type HolesAsked,
} from './moves.ts';
import type { Act, Prompt } from './prompt.ts';

/** An act that everyone is stopped at, or only a learner asked. */
type Step = Act | { readonly act: Act; readonly stop?: true; readonly learner?: true };

const stop = (act: Act): Step => ({ act, stop: true });

/** Gives every act its key: its name, with a number from the second of that name on. */
function keyed(steps: readonly Step[]): readonly Prompt[] {
  const seen = new Map<string, number>();
  return steps.map((step) => {
    const { act, stop: stops = false, learner = false } = 'act' in step ? step : { act: step };
    const count = (seen.get(act.do) ?? 0) + 1;
    seen.set(act.do, count);
    return { ...act, key: count === 1 ? act.do : `${act.do}-${count}`, stop: stops, learner };
  });
}

const depthOf = (run: Run, cut: Cut): number | null => run.rounds[cut.round - 1]?.depthMm ?? null;
const isScratch = (run: Run, round: number): boolean => run.rounds[round - 1]?.name === 'scratch';

/** Along the work and before 0, or just clear where no reading tells it. */
const backAlong = (run: Run, slack = false): Act => ({
  do: 'back',
  to: run.safe?.way === 'along' ? 'before-touch' : 'clear',
  slack,
});

/**
 * From a cut that is just made to where the work may be turned. A helical gear may only be run back drawn
 * clear: its gears have slack.
 */
function toClear(run: Run): Step[] {
  const { helix, safe } = run;
  if (helix) return [stop({ do: 'out' }), stop(backAlong(run, true))];
  if (safe?.way === 'sink') return [{ do: 'out' }];
  if (safe?.way === 'along' && safe.indexAt === 'exit') return [{ do: 'on', past: safe.clearAfter }];
  return [backAlong(run)];
}

/** Indexed beyond the far side, the work has to go back past the cutter without touching it. */
const backFromExit = (run: Run): Step[] =>
  !run.helix && run.safe?.way === 'along' && run.safe.indexAt === 'exit'
    ? [{ do: 'out' }, backAlong(run)]
    : [];

/** From there to the depth: what is drawn clear is brought in again. */
function toDepth(run: Run, depth: number | null, graze = false): Step[] {
  if (run.helix || backFromExit(run).length > 0) return [...backFromExit(run), { do: 'in', depth, graze }];
  return [];
}

const unlock = (run: Run): Step[] => lockedOn(run).map((what): Act => ({ do: 'unlock', what }));
/**
 * Before a run begins nobody knows how the lock was left: with the lead geared it is named once, and never
 * touched again.
 */
const unlockFirst = (run: Run): Step[] => (run.helix ? [{ do: 'unlock', what: 'spindle' }] : unlock(run));
const lock = (run: Run): Step[] => lockedOn(run).map((what): Act => ({ do: 'lock', what }));

function arms({ move }: Run): Step[] {
  const spanned = move.method === 'simple' || move.method === 'differential' || move.method === 'compound';
  return spanned && move.spaces > 0 ? [{ do: 'arms', spaces: move.spaces }] : [];
}

/** The move to a landing: one, or two where crank and plate move by turns. */
function turnTo(
  run: Run,
  last: Cut,
  { landing, space, round }: { landing: Cut['landing']; space: number; round: boolean },
): Act[] {
  const from = last.landing;
  const turn: Act = { do: 'turn', landing, from, space, round };
  if (landing.on !== 'two-circles' || run.move.method !== 'compound') return [turn];
  const plate: Act = {
    do: 'turn-plate',
    back: landing.back,
    circle: run.move.back.circle,
    from: from.on === 'two-circles' ? from.backHole : 0,
    hole: landing.backHole,
    space,
  };
  return [turn, plate];
}

function askForHole(next: Cut): Step[] {
  const { landing, space } = next;
  if (!holeTells(next) || !('hole' in landing)) return [];
  const backHole = landing.on === 'two-circles' ? landing.backHole : null;
  return [{ act: { do: 'tell-hole', hole: landing.hole, backHole, space }, learner: true }];
}

function cutIt(run: Run, cut: Cut, again = false): Act {
  const scratch = isScratch(run, cut.round);
  const { safe } = run;
  return {
    do: 'cut',
    space: cut.space,
    scratch,
    again,
    sink: safe?.way === 'sink' && !scratch ? (depthOf(run, cut) ?? safe.depth) : null,
    through: safe?.way === 'along' && !scratch ? safe.through : null,
  };
}

/** The touch on the outside, and the depth from it; in a scratch round the cutter only marks. */
function firstDepth(run: Run, cut: Cut): Step[] {
  const depth = depthOf(run, cut);
  if (isScratch(run, cut.round)) return [{ do: 'graze' }];
  if (depth === null) return run.helix ? [{ do: 'in', depth, graze: false }] : [];
  const touch: Act = { do: 'touch', paper: run.mount?.paper ?? 0 };
  if (run.safe?.way === 'sink') return [touch];
  if (run.helix) return [touch, { do: 'out' }, backAlong(run, true), { do: 'in', depth, graze: false }];
  return [touch, backAlong(run), { do: 'depth', depth, by: null }];
}

/** The depth of a space that is cut already, on a dial that was zeroed at a touch. */
function depthAgain(run: Run, cut: Cut): Step[] {
  const depth = depthOf(run, cut);
  if (run.helix)
    return [{ do: 'out' }, backAlong(run, true), { do: 'in', depth, graze: isScratch(run, cut.round) }];
  if (run.safe?.way === 'sink') return [{ do: 'out' }];
  if (depth === null) return [backAlong(run)];
  return [backAlong(run), { do: 'depth', depth, by: run.deepens?.by ?? null }];
}

/**
 * Work that was off the machine, or on another head, stands at another height: its outside is touched again
 * before its space is found, and the spindle is loose then.
 */
function touchLand(run: Run, cut: Cut): Step[] {
  if (depthOf(run, cut) === null) return [];
  return [
    { do: 'land' },
    ...lock(run),
    { do: 'touch', paper: run.mount?.paper ?? 0 },
    ...(run.helix || run.safe?.way === 'sink' ? [{ do: 'out' } as const] : []),
    ...(run.safe?.way === 'sink' ? [] : [backAlong(run, run.helix !== null)]),
    ...unlock(run),
  ];
}

/** Everything before the first cut of a run. */
function start(run: Run, cut: Cut): Step[] {
  const { helix } = run;
  const again = run.continues !== null;
  if (run.deepens?.register === 'kept' && !again)
    return [
      stop({ do: 'stand', space: cut.space }),
      { do: 'register', work: 'stands' },
      ...lock(run),
      ...depthAgain(run, cut),
      stop(cutIt(run, cut)),
    ];
  const prepared = run.preparation.map(({ what, why }): Act => ({ do: 'prepare', what, why: why ?? null }));
  const laid = helix ?? run.laid;
  const swung: Act[] = laid
    ? [
        { do: 'centre', by: laid.by, face: run.safe?.way === 'sink' },
        { do: 'swing', by: laid.by, setting: laid.setting },
        ...(helix ? [{ do: 'scribe', hand: helix.hand } as const] : []),
      ]
    : [];
  const found = again || run.deepens !== null;
  const begun: Act = { do: 'register', work: found ? 'found' : 'fresh' };
  // with nothing to change on the head, and no depth to be set, one look serves for hole and cut
  const pauses = prepared.length > 0 || laid !== null || found || depthOf(run, cut) !== null;
  const asIs = (step: Step): Act => ('act' in step ? step.act : step);
  const head: Step[] = [
    // what another run left off at may still stand in the cutter
    ...(found ? toClear(run).map(asIs) : []),
    ...unlockFirst(run),
    ...prepared,
    ...swung,
  ];
  return [
    // found again it is a long list: a look for the head, one for the touch, one for the space
    ...(found ? [...stopAtEnd(head), ...stopAtEnd(touchLand(run, cut))] : head),
    ...(found ? [{ do: 'find', space: cut.space } as const] : []),
    pauses ? stop(begun) : begun,
    ...lock(run),
    ...(found ? depthAgain(run, cut) : firstDepth(run, cut)),
    stop(cutIt(run, cut, again)),
  ];
}

/** Everyone is stopped at the last of these. */
function stopAtEnd(steps: readonly Step[]): Step[] {
  const last = steps.at(-1);
  if (!last) return [];
  return [...steps.slice(0, -1), { ...('act' in last ? last : { act: last }), stop: true }];
}

/** With the lead geared everyone is stopped at the end of the move: the cutter is still clear. */
const moved = (run: Run, steps: readonly Step[]): Step[] => (run.helix ? stopAtEnd(steps) : [...steps]);

/** From a space to the next of the same round. */
function between(run: Run, last: Cut, next: Cut): Step[] {
  return [
    ...toClear(run),
    ...(dueCheck(run, last) ? [{ act: { do: 'chord' }, learner: true } as const] : []),
    ...unlock(run),
    ...moved(run, [
      ...turnTo(run, last, { landing: next.landing, space: next.space, round: false }),
      ...askForHole(next),
      ...arms(run),
    ]),
    ...lock(run),
    ...toDepth(run, depthOf(run, next), isScratch(run, next.round)),
    stop(cutIt(run, next)),
  ];
}

/** On to the first space of the next round: a whole turn on, or back to where a part of a turn began. */
function toFirst(run: Run, last: Cut, next: Cut): Act[] {
  const { space } = next;
  if (run.full) {
    const landing = readAfresh(run) ? endOfRound(run, last.round) : next.landing;
    const turns = turnTo(run, last, { landing, space, round: true });
    return readAfresh(run) ? [...turns, { do: 'zero' }] : turns;
  }
  // its zero was where another run left off: there is no reading to go back to
  if (readAfresh(run) && skippedOf(run, last.round) > 0) return [{ do: 'find', space }, { do: 'zero' }];
  return [{ do: 'return', by: wayBack(run), space }];
}

/** From the last space of a round to the first of the next, at another depth. */
function change(run: Run, last: Cut, next: Cut): Step[] {
  const scratched = isScratch(run, last.round);
  const depth = depthOf(run, next);
  const goes: Step[] = [...toFirst(run, last, next), ...arms(run)];
  const tried: Step[] =
    scratched && run.full ? [...toDepth(run, null, true), stop({ do: 'marks', space: next.space })] : [];
  const comesIn = toDepth(run, depth);
  const sets: Step[] = depth === null || run.safe?.way === 'sink' ? [] : [{ do: 'depth', depth, by: null }];
  return [
    ...toClear(run),
    ...unlock(run),
    ...(tried.length === 0 ? stopAtEnd(goes) : goes),
    ...tried,
    ...lock(run),
    ...(scratched ? firstDepth(run, next) : comesIn.length > 0 ? comesIn : sets),
    stop(cutIt(run, next)),
  ];
}

/** After the last space. */
function close(run: Run, last: Cut): Step[] {
  if (!run.closing) return [...toClear(run), stop({ do: 'finish' })];
  // where the last round began, which in a run that goes on with another is not its own first cut
  const space = run.startSpace;
  return [
    ...toClear(run),
    ...unlock(run),
    ...moved(run, turnTo(run, last, { landing: run.closing, space, round: true })),
    ...backFromExit(run),
    stop({ do: 'judge', space }),
  ];
}

/** Where a run stands: the cut that is next, and the one before it. */
export interface Stand {
  readonly next: Cut | null;
  readonly last: Cut | null;
}

/**
 * Readings of the table mean nothing until it was set at the first touch; till then everything is run clear
 * by eye.
 */
const unread = (run: Run): Run => (run.safe?.way === 'along' ? { ...run, safe: null } : run);

/**
 * The first cut that takes metal: the table is set where the cutter touches, and the rest goes by its
 * readings.
 */
function touching({
  run,
  steps,
  cut,
  reads,
}: {
  readonly run: Run;
  readonly steps: readonly Step[];
  readonly cut: Cut;
  readonly reads: number;
}): Step[] {
  return [...steps.slice(0, -1), { do: 'first-touch', reads }, stop(cutIt(run, cut))];
}

/**
 * All that is to be done from one cut to the next, in the order of the hands; from nothing to the first, from
 * the last to the end.
 * @param holes how often a learner is asked which hole the pin is in
 */
export function stretchOf(run: Run, stand: Stand, holes: HolesAsked = 'sometimes'): readonly Prompt[] {
  const { next } = stand;
  const asksHole = next !== null && asksLanding(next, holes);
  return wholeStretch(run, stand).filter((prompt) => prompt.do !== 'tell-hole' || asksHole);
}

function wholeStretch(run: Run, { next, last }: Stand): readonly Prompt[] {
  const reads = run.safe?.way === 'along' ? run.safe.firstTouch : null;
  if (reads === null) return keyed(stepsOf(run, { next, last }));
  const first = firstMetal(run);
  if (last && placeOf(run, last) >= first) return keyed(stepsOf(run, { next, last }));
  const steps = stepsOf(unread(run), { next, last });
  return keyed(next && placeOf(run, next) === first ? touching({ run, steps, cut: next, reads }) : steps);
}

function stepsOf(run: Run, { next, last }: Stand): Step[] {
  if (!next) return last ? close(run, last) : [];
  if (!last) return start(run, next);
  return next.round === last.round ? between(run, last, next) : change(run, last, next);
}
