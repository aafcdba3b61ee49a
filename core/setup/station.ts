import { at, type Issue } from '../findings/index.ts';
import { eccentricOf, goodFor, runoutSays } from '../inspect/index.ts';
import {
  readCuttingSpeed,
  readFeeds,
  readSpeeds,
  type FormCutter,
  type Material,
  type Mill,
} from '../shop/index.ts';
import { type Placed, type StationWork } from '../station/index.ts';
import { approx, knownLength, type UnitSystem } from '../units/index.ts';
import { centringsOf } from './centring.ts';
import type { SafeReadings, SetupDetail, SetupFacts, SetupShop, SetupWork } from './detail.ts';
import { dialOf, moveText, type Dial } from './dial.ts';
import { reasonsOf, thrustOf } from './holding.ts';
import { judgeSetup } from './judge.ts';
import { keywayOf } from './keyway.ts';
import { mandrelFits } from './mandrel.ts';
import { firstTouchReads, mountOf } from './mount.ts';
import { readSetup, type SetupRead } from './read.ts';
import { fitsOf } from './room.ts';
import { answerOf, cautionsOf, valuesOf, workingOf } from './saying.ts';
import type { SetupInput } from './schema.ts';
import { cuttingData, type CuttingData } from './speed.ts';
import { CLEAR_BY, strokeOf } from './stroke.ts';
import { minutesFor, USUAL_INDEX_SECONDS, USUAL_RETURN_SECONDS } from './time.ts';

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

function alongOf({ alongLength, alongTop, alongSide }: SetupRead, face: number | null): SetupDetail['along'] {
  if (alongLength === null || face === null || (alongTop === null && alongSide === null)) return null;
  const over = (moved: number | null) => moved && (moved * face) / alongLength;
  return { face, taper: over(alongTop), lean: over(alongSide) };
}

function keywayIn(read: SetupRead, bore: number | null, dials: Dials): SetupDetail['keyway'] {
  const { keyWidth, keyCutter, keyDepth } = read;
  if (keyWidth === null || keyCutter === null || keyCutter > keyWidth || keyWidth > 2 * keyCutter)
    return null;
  const keyway = keywayOf({ width: keyWidth, cutter: keyCutter, depth: keyDepth, diameter: bore });
  return {
    ...keyway,
    width: keyWidth,
    offsetDial: dials.centre(keyway.offset),
    depthDial: keyDepth === null ? null : dials.depth(keyDepth + (keyway.rise ?? 0)),
  };
}

/**
 * How a move is said on the screws it is made with: centring and depth change places with an upright spindle.
 */
interface Dials {
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
    table: (mm) =>
      moveText({ mm, dial: mill && (across ? dialOf(mill.cross) : dialOf(mill)), readout, system }),
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

/** What a set-up is planned from. */
export interface SetupAsked extends Placed {
  readonly input: SetupInput;
  readonly work: SetupWork;
  readonly shop: SetupShop;
  readonly picked: FormCutter | null;
}

/**
 * The set-up station: how the work is held, brought under the cutter and run past it, and whether all of it
 * fits. It holds nothing up: a gear may be cut without a word of it.
 * Issues: those of readSetup and judgeSetup
 * Source: docs/sources.md#setup
 */
export function planSetup({
  input,
  work,
  shop,
  picked,
  path,
  units: system,
}: SetupAsked): StationWork<SetupFacts, SetupDetail> {
  const { read, issues: found } = readSetup(input);
  const { mill, head } = shop;
  const material = shop.materials.find(({ id }) => id === input.materialId) ?? null;
  const mandrel = shop.mandrels.find(({ id }) => id === input.mandrelId) ?? null;
  // work that is divided along the table lies under the cutter, whichever way the spindle stands
  const across = work.travels === 'cross slide';
  const upright = mill?.axis === 'vertical' && !across;
  const cutter = cutterIn(read, picked);
  const outside = work.outside ?? read.outside;
  const one = work.face ?? read.face;
  const blanks = read.blanks ?? 1;
  const face =
    one === null ? null : blanks * one + (blanks - 1) * (input.holding === 'bar' ? (read.kerf ?? 0) : 0);
  const depths = work.rounds.flatMap(({ name, depthMm }) =>
    depthMm === null ? [] : [{ name, mm: depthMm }],
  );
  const depth = depths.at(-1)?.mm ?? null;
  const dials = dialsOf(mill, { upright, across }, system);
  const paper = read.paper ?? 0;
  const thrust = thrustOf(input, upright);
  const data = dataOf({ read, cutter, material, mill });
  const cutting =
    depth !== null && face !== null && cutter.diameter !== null && work.travels
      ? {
          depth,
          face,
          cutterDiameter: cutter.diameter,
          cutterWidth: cutter.width ?? 0,
          helixDeg: work.helixDeg,
        }
      : null;
  const stroke = cutting && strokeOf(cutting);
  const fits =
    cutting && stroke && outside !== null
      ? fitsOf({
          cutting,
          stroke,
          thrust,
          indexAt: input.indexAt,
          outside,
          upright,
          offset: read.offset,
          tableTravel: mill && knownLength(mill.travel),
          crossTravel: mill && knownLength(mill.cross.travel),
          kneeTravel: mill && knownLength(mill.knee.travel),
          roomUnder: mill && knownLength(mill.room),
          centreHeight: head && knownLength(head.centreHeight),
          collar: mill && knownLength(mill.collar),
          jaw: { gap: read.jawGap, across: read.jawDiameter },
          tail: { gap: read.tailGap, across: read.tailDiameter },
        })
      : [];
  const cuts = (work.teeth ?? 0) * work.rounds.length;
  const sink = !work.travels && depth !== null ? { depth, dial: dials.depth(depth) } : null;
  const travel = stroke ? stroke.travel[input.indexAt] : sink && sink.depth + CLEAR_BY;
  const perCut =
    travel !== null && data?.feed
      ? minutesFor({
          cuts: 1,
          travel,
          feed: data.feed,
          returnSeconds: read.returnSeconds ?? USUAL_RETURN_SECONDS,
          indexSeconds: read.indexSeconds ?? USUAL_INDEX_SECONDS,
        })
      : null;
  const eccentric = read.round.length > 0 ? eccentricOf(read.round) : null;
  const mandrels = shop.mandrels.map((each) => mandrelFits({ mandrel: each, bore: work.bore, face, system }));
  const detail: SetupDetail = {
    mill: mill && { id: mill.id, name: mill.name, upright, readout: mill.readout },
    material: material && { id: material.id, name: material.name, starting: material.starting },
    cutter,
    data,
    thrust,
    headAt: input.headAt,
    spin: input.spin,
    feed: input.feed,
    reasons: reasonsOf({
      input,
      thrust,
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
    }),
    mandrels,
    mount: mountOf({ thrust, feed: input.feed }, mill, { paper, upright }),
    along: alongOf(read, face),
    round: eccentric && {
      ...eccentric,
      effects: work.sizes && runoutSays(2 * eccentric.off, work.sizes),
      goodFor: goodFor(eccentric.runout),
    },
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
    firstTouch:
      stroke && depths[0]
        ? firstTouchReads({ cutter, helixDeg: work.helixDeg }, stroke.approach, {
            depth: depths[0].mm,
            cutTo: 0,
          })
        : null,
    sink,
    tableDial: stroke && {
      approach: dials.table(stroke.approach),
      through: dials.table(stroke.through),
      clearAfter: dials.table(stroke.clearAfter),
    },
    fits,
    minutes: perCut !== null && cuts > 0 ? cuts * perCut : null,
    keyway: keywayIn(read, work.bore, dials),
  };
  const issues: Issue[] = at(path, [
    ...found,
    ...judgeSetup({ input, read, detail, with: { mandrel, bore: work.bore, system } }),
  ]);
  const known = stroke !== null || sink !== null || data !== null;
  const wrong = issues.some(({ severity }) => severity === 'wrong');
  return {
    id: 'setup',
    facts: known && !wrong ? { safe: safeOf(detail), minutesPerCut: perCut } : null,
    answer: answerOf(detail, system),
    values: valuesOf(detail, system),
    working: workingOf(detail, { work, read, material }),
    cautions: cautionsOf(detail, system),
    issues,
    detail,
  };
}
