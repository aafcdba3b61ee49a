import { scaleFor, scaleText, type Drawing } from '../drafting/index.ts';
import { stationOf, type PartPlan } from '../plan/index.ts';
import {
  blankPrint,
  centrePrint,
  platePrint,
  rimPrint,
  swingPrint,
  trainPrint,
  wormPrint,
} from '../prints/index.ts';
import type { Run } from '../run/index.ts';
import { lengthText, type UnitSystem } from '../units/index.ts';
import type { SheetBlock } from './blocks.ts';

/** Half a sheet: room for the drawing itself, without its dimensions, mm. */
const ROOM = { wide: 40, tall: 60 } as const;
const HALF = 84;

type DrawingBlock = Extract<SheetBlock, { kind: 'drawing' }>;
const drawn = (title: string, aside: string, drawing: Drawing): DrawingBlock => ({
  kind: 'drawing',
  title,
  aside,
  drawing,
});

/** What the lathe has to make of a part; null while its sizes are not known. */
export interface LatheWork {
  readonly what: string;
  /** Life size, mm: what is drawn, without dimensions. */
  readonly wide: number;
  readonly tall: number;
  readonly draw: (scale: number, units: UnitSystem) => Drawing;
}

/** The blank of a part: plain, a rim or a worm. */
export function latheWorkOf(part: PartPlan): LatheWork | null {
  const blank = stationOf(part, 'blank')?.detail.drawing;
  if (blank && blank.faceWidth !== null) {
    const turned = { outside: blank.tipDiameter, face: blank.faceWidth, bore: blank.bore };
    return {
      what: 'Blank, for the lathe',
      wide: turned.face,
      tall: turned.outside,
      draw: (scale, units) => blankPrint(turned, { scale, units }),
    };
  }
  const rim = stationOf(part, 'wheelBlank')?.detail;
  if (rim?.facts && rim.drive) {
    const work = { rim: rim.facts, centre: rim.drive.centre };
    return {
      what: 'Blank, for the lathe',
      wide: work.rim.faceWidth,
      tall: Math.max(work.rim.outside, work.rim.throat),
      draw: (scale, units) => rimPrint(work, { scale, units }),
    };
  }
  const worm = stationOf(part, 'worm')?.detail;
  const length = worm?.length ?? worm?.lengthTaken?.mm ?? null;
  if (worm?.drive && length !== null && worm.drive.worm.root > 0) {
    const work = { drive: worm.drive, length };
    return {
      what: 'Worm, for the lathe',
      wide: length * 1.25,
      tall: work.drive.worm.outside,
      draw: (scale, units) => wormPrint(work, { scale, units }),
    };
  }
  return null;
}

/** The lathe's drawing at the standard scale that goes into half a sheet. */
export function latheBlock(
  part: PartPlan,
  units: UnitSystem,
  room: typeof ROOM | { wide: number; tall: number } = ROOM,
): readonly DrawingBlock[] {
  const work = latheWorkOf(part);
  if (!work) return [];
  const scale = scaleFor(work, room);
  return [drawn(work.what, `scale ${scaleText(scale)}, ${units}`, work.draw(scale, units))];
}

/** The plate or ring with the start and the first three landings. */
export function plateBlock(part: PartPlan, run: Run | null): readonly DrawingBlock[] {
  const detail = stationOf(part, 'dividing')?.detail;
  const choice = detail?.inForce?.choice;
  if (!choice || !run) return [];
  const landings = run.cuts.slice(0, 4).flatMap(({ landing }) => ('hole' in landing ? [landing.hole] : []));
  if (choice.method === 'direct')
    return [
      drawn(
        'The ring',
        'start, and the first three landings',
        platePrint({ circles: [], circle: choice.holes, spaces: choice.spaces, landings, arms: false }, 46),
      ),
    ];
  if (!('circle' in choice)) return [];
  const spaces = 'spaces' in choice ? choice.spaces : 0;
  const circles = detail.plate?.circles ?? [];
  return [
    drawn(
      detail.plate ? `Plate ${detail.plate.plateName}, from the crank` : 'The plate, from the crank',
      'start, and the first three landings',
      platePrint({ circles, circle: choice.circle, spaces, landings, arms: spaces > 0 }, 52),
    ),
  ];
}

/** Change gears, each with its place: for the plate, for the lead, or on the lathe. */
export function trainBlocks(part: PartPlan): readonly DrawingBlock[] {
  const dividing = stationOf(part, 'dividing')?.detail.inForce?.geared;
  const lead = stationOf(part, 'lead')?.detail;
  const lathe = stationOf(part, 'lathe')?.detail.inForce;
  return [
    ...(dividing
      ? [
          drawn(
            'Gears for the plate',
            'pitch circles to one scale',
            trainPrint(
              { train: dividing.train, idlers: dividing.idlers, ends: ['spindle', 'plate'] },
              HALF * 0.85,
            ),
          ),
        ]
      : []),
    ...(lead?.inForce
      ? [
          drawn(
            'Gears for the lead',
            'pitch circles to one scale',
            trainPrint(
              {
                train: lead.inForce.train,
                idlers: lead.inForce.idlers,
                ends: ['screw', lead.drive === 'worm' ? 'worm shaft' : 'spindle'],
              },
              HALF * 0.85,
            ),
          ),
        ]
      : []),
    ...(lathe?.train
      ? [
          drawn(
            'Gears on the lathe',
            'pitch circles to one scale',
            trainPrint(
              { train: lathe.train, idlers: 0, ends: ['spindle', lathe.setting ? 'box' : 'leadscrew'] },
              HALF * 0.85,
            ),
          ),
        ]
      : []),
  ];
}

/** The swung table, where a table is swung. */
export function swingBlock(part: PartPlan): readonly DrawingBlock[] {
  const lead = stationOf(part, 'lead')?.detail;
  const wheel = stationOf(part, 'wheel')?.detail;
  const table = lead?.table ?? wheel?.setting ?? null;
  if (!table || table.by !== 'table' || (table.way !== 'away' && table.way !== 'towards')) return [];
  const hand = lead?.hand ?? wheel?.drive?.hand ?? 'right';
  return [
    drawn(
      'The table, swung',
      'seen from above',
      swingPrint(
        {
          hand,
          helixDeg: lead?.inForce?.helixDeg ?? table.degrees,
          rightEnd: table.way,
          swingDeg: table.scale,
          arborAlong: table.arborAlong,
        },
        HALF * 0.8,
      ),
    ),
  ];
}

/** The cutter brought from the side of the work to its middle, where that is how it is centred. */
export function centreBlock(part: PartPlan, units: UnitSystem): readonly DrawingBlock[] {
  const detail = stationOf(part, 'setup')?.detail;
  const chosen = detail?.centrings.find(({ by }) => by === detail.centring);
  if (!detail || detail.centring !== 'touch' || chosen?.move == null || detail.mill?.upright) return [];
  const { outside, cutter } = detail;
  if (outside === null || cutter.width === null) return [];
  const said = chosen.dial ?? lengthText(chosen.move, units, 'fine');
  return [
    drawn(
      'To the middle',
      'seen along the work',
      centrePrint({ outside, cutterWidth: cutter.width, move: chosen.move, said }, 30),
    ),
  ];
}
