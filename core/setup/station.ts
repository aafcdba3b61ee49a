import { placedUnder, type Issue } from '../findings/index.ts';
import { eccentricOf, goodFor, runoutSays } from '../inspect/index.ts';
import type { StationWork } from '../station/index.ts';
import { knownLength } from '../units/index.ts';
import { centringsOf } from './centring.ts';
import type { SafeReadings, SetupDetail, SetupFacts, SetupWork } from './detail.ts';
import { reasonsOf } from './holding.ts';
import { judgeSetup } from './judge.ts';
import type { Mill } from '../shop/index.ts';
import { keywayOf, type KeyedRound } from './keyway.ts';
import { mandrelFits } from './mandrel.ts';
import { firstTouchReads, mountOf } from './mount.ts';
import type { SetupRead } from './read.ts';
import { fitsOf } from './room.ts';
import { answerOf, cautionsOf, valuesOf, workingOf } from './saying.ts';
import { standingOf, travelDialOf, type Dials, type SetupAsked, type Standing } from './standing.ts';
import { CLEAR_BY, strokeOf, type Cutting, type Stroke } from './stroke.ts';
import { minutesFor, USUAL_INDEX_SECONDS, USUAL_RETURN_SECONDS } from './time.ts';

function alongOf({ alongLength, alongTop, alongSide }: SetupRead, face: number | null): SetupDetail['along'] {
  if (alongLength === null || face === null || (alongTop === null && alongSide === null)) return null;
  const over = (moved: number | null) => moved && (moved * face) / alongLength;
  return { face, taper: over(alongTop), lean: over(alongSide) };
}

/** A gear is keyed in its bore; a round that is divided, on its outside. */
function keyedRound({ bore, module }: SetupWork, outside: number | null): KeyedRound | null {
  if (bore !== null) return { of: 'bore', diameter: bore };
  return module === null && outside !== null ? { of: 'shaft', diameter: outside } : null;
}

function keywayIn(read: SetupRead, round: KeyedRound | null, dials: Dials): SetupDetail['keyway'] {
  const { keyWidth, keyCutter, keyDepth } = read;
  if (keyWidth === null || keyCutter === null || keyCutter > keyWidth || keyWidth > 2 * keyCutter)
    return null;
  const keyway = keywayOf({ width: keyWidth, cutter: keyCutter, depth: keyDepth, round });
  return {
    ...keyway,
    width: keyWidth,
    offsetDial: dials.centre(keyway.offset),
    depthDial: keyway.travel === null ? null : dials.depth(keyway.travel),
  };
}

function safeOf({ stroke, sink, indexAt }: SetupDetail): SafeReadings | null {
  if (!stroke) return sink && { way: 'sink', depth: sink.depth };
  const { approach, through, clearAfter } = stroke;
  return { way: 'along', approach, through, clearAfter, indexAt };
}

const NAMES: Readonly<Record<string, string>> = {
  one: 'to depth',
  rough: 'rough',
  finish: 'finish',
  scratch: 'scratch',
};

function cuttingOf({ travels, helixDeg }: SetupWork, { depth, face, cutter }: Standing): Cutting | null {
  if (depth === null || face === null || cutter.diameter === null || !travels) return null;
  return {
    depth,
    face,
    cutterDiameter: cutter.diameter,
    cutterWidth: cutter.width ?? 0,
    helixDeg,
  };
}

const besideOf = (read: SetupRead, mill: Mill | null): SetupDetail['beside'] => ({
  jaw: { gap: read.jawGap, across: read.jawDiameter },
  tail: { gap: read.tailGap, across: read.tailDiameter },
  collar: mill && knownLength(mill.collar),
});

function roomOf(
  { input: { indexAt }, units: system }: SetupAsked,
  { read, mill, head, outside, thrust, upright }: Standing,
  pass: { readonly cutting: Cutting; readonly stroke: Stroke } | null,
): SetupDetail['fits'] {
  if (!pass || outside === null) return [];
  return fitsOf({
    ...pass,
    system,
    thrust,
    indexAt,
    outside,
    upright,
    offset: read.offset,
    tableTravel: mill && knownLength(mill.travel),
    crossTravel: mill && knownLength(mill.cross.travel),
    kneeTravel: mill && knownLength(mill.knee.travel),
    roomUnder: mill && knownLength(mill.room),
    centreHeight: head && knownLength(head.centreHeight),
    ...besideOf(read, mill),
  });
}

function runningOf({ travels }: SetupWork, { data, mill }: Standing): SetupFacts['running'] {
  const dial = travels && travelDialOf(mill, travels === 'cross slide');
  return {
    rpm: data?.rpm ?? null,
    feed: data?.feed ?? null,
    dial: dial && { lead: dial.lead, marks: dial.marks },
  };
}

/** Minutes for one cut, its way back and the indexing; null while travel or feed is not known. */
function minutesPerCut({ data, read }: Standing, travel: number | null): number | null {
  if (travel === null || !data?.feed) return null;
  return minutesFor({
    cuts: 1,
    travel,
    feed: data.feed,
    returnSeconds: read.returnSeconds ?? USUAL_RETURN_SECONDS,
    indexSeconds: read.indexSeconds ?? USUAL_INDEX_SECONDS,
  });
}

function heldBy({ input, work }: SetupAsked, standing: Standing): SetupDetail['reasons'] {
  const { thrust, outside, blanks, mandrel } = standing;
  return reasonsOf({
    input,
    thrust,
    sinks: !work.travels,
    teeth: work.teeth,
    outside,
    bore: work.bore,
    module: work.module,
    blanks,
    mandrel: mandrel && {
      kind: mandrel.kind,
      small: knownLength(mandrel.small),
      length: knownLength(mandrel.length),
      key: mandrel.key,
    },
  });
}

function roundOf({ sizes }: SetupWork, { round }: SetupRead): SetupDetail['round'] {
  if (round.length === 0) return null;
  const eccentric = eccentricOf(round);
  return {
    ...eccentric,
    effects: sizes && runoutSays(2 * eccentric.off, sizes),
    goodFor: goodFor(eccentric.runout),
  };
}

/** Everything that panel and drawing show, and the minutes of one cut. */
function detailOf(asked: SetupAsked, standing: Standing): { detail: SetupDetail; perCut: number | null } {
  const { input, work, shop, units: system } = asked;
  const { read, mill, head, material, upright, cutter, outside, face, depths, depth, paper } = standing;
  const { dials, thrust, data } = standing;
  const cutting = cuttingOf(work, standing);
  const stroke = cutting && strokeOf(cutting);
  const sink = !work.travels && depth !== null ? { depth, dial: dials.depth(depth) } : null;
  const perCut = minutesPerCut(
    standing,
    stroke ? stroke.travel[input.indexAt] : sink && sink.depth + CLEAR_BY,
  );
  const cuts = (work.teeth ?? 0) * work.rounds.length;
  const firstTouch =
    stroke && depths[0]
      ? firstTouchReads({ cutter, helixDeg: work.helixDeg }, stroke.approach, {
          depth: depths[0].mm,
          cutTo: 0,
        })
      : null;
  const detail: SetupDetail = {
    mill: mill && { id: mill.id, name: mill.name, upright, readout: mill.readout },
    material: material && { id: material.id, name: material.name, starting: material.starting },
    cutter,
    data,
    thrust,
    headAt: input.headAt,
    spin: input.spin,
    feed: input.feed,
    reasons: heldBy(asked, standing),
    mandrels: shop.mandrels.map((mandrel) => mandrelFits({ mandrel, bore: work.bore, face, system })),
    mount: mountOf({ thrust, feed: input.feed }, mill, { paper, upright }),
    along: alongOf(read, face),
    round: roundOf(work, read),
    centrings: centringsOf({
      outside,
      width: cutter.width,
      paper,
      centreHeight: head && knownLength(head.centreHeight),
      upright,
    }).map((each) => ({
      ...each,
      dial: each.move === null || each.by === 'height' ? null : dials.centre(each.move),
    })),
    centring: input.centring,
    depths: depths.map(({ name, mm }) => ({
      name: NAMES[name] ?? name,
      mm: mm + paper,
      dial: dials.depth(mm + paper),
    })),
    outside,
    face,
    depth,
    helixDeg: work.helixDeg,
    indexAt: input.indexAt,
    stroke,
    travels: work.travels ?? 'table',
    firstTouch,
    sink,
    tableDial: stroke && {
      firstTouch: dials.table(firstTouch ?? 0),
      approach: dials.table(stroke.approach),
      through: dials.table(stroke.through),
      clearAfter: dials.table(stroke.clearAfter),
    },
    beside: besideOf(read, mill),
    fits: roomOf(asked, standing, cutting && stroke && { cutting, stroke }),
    minutes: perCut !== null && cuts > 0 ? cuts * perCut : null,
    keyway: keywayIn(read, keyedRound(work, outside), dials),
  };
  return { detail, perCut };
}

/**
 * The set-up station: how the work is held, brought under the cutter and run past it, and whether all of it
 * fits. It holds nothing up: a gear may be cut without a word of it.
 * Issues: those of readSetup and judgeSetup
 * Source: docs/sources.md#setup
 */
export function planSetup(asked: SetupAsked): StationWork<SetupFacts, SetupDetail> {
  const { input, work, path, units: system } = asked;
  const standing = standingOf(asked);
  const { read, mandrel, material } = standing;
  const { detail, perCut } = detailOf(asked, standing);
  const issues: Issue[] = placedUnder(path, [
    ...standing.issues,
    ...judgeSetup({ input, read, detail, with: { mandrel, bore: work.bore, system } }),
  ]);
  const known = detail.stroke !== null || detail.sink !== null || detail.data !== null;
  const wrong = issues.some(({ severity }) => severity === 'wrong');
  return {
    id: 'setup',
    facts:
      known && !wrong
        ? { safe: safeOf(detail), minutesPerCut: perCut, running: runningOf(work, standing) }
        : null,
    answer: answerOf(detail, system),
    values: valuesOf(detail, system),
    working: workingOf(detail, { work, read, material }),
    cautions: cautionsOf(detail, system),
    issues,
    detail,
  };
}
