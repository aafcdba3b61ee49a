import { stationOf, type AnyStationPlan, type PartPlan } from '../plan/index.ts';
import { CLEAR_BY, feedText, rpmText, timeText } from '../setup/index.ts';
import { decimalText, lengthText, plural, type UnitSystem } from '../units/index.ts';
import { row, rowsBlock, type SheetBlock, type SheetRow } from './blocks.ts';
import { lengthRow, valueRows } from './figures.ts';
import type { PartAsked } from './asked.ts';

/** The block of data that a works drawing of a gear has, and how it is measured. */
export function dataRows({ part, units }: PartAsked): readonly SheetRow[] {
  const gear = stationOf(part, 'gear');
  const mesh = gear?.detail.mesh;
  const mate: SheetRow[] = mesh
    ? [
        row('Runs with', plural(mesh.mateTeeth, 'tooth', 'teeth')),
        lengthRow('Shafts apart', mesh.report.centre, units),
        ...(mesh.report.backlash === null ? [] : [lengthRow('Backlash there', mesh.report.backlash, units)]),
      ]
    : [];
  const blank = stationOf(part, 'blank') ?? stationOf(part, 'wheelBlank');
  const wanted = (station: AnyStationPlan | null) =>
    valueRows(
      station && { ...station, values: station.values.filter(({ key }) => !NOT_ON_DRAWINGS.has(key)) },
      units,
    );
  return [...wanted(part.stations[0] ?? null), ...wanted(blank), ...measuredRows(part, units), ...mate];
}

/** Follows from the rest, or stands on the lathe’s drawing. */
const NOT_ON_DRAWINGS: ReadonlySet<string> = new Set([
  'addendum',
  'clearance',
  'circularPitch',
  'baseDiameter',
  'faceWidth',
  'bore',
  'wall',
]);

/** How its teeth are measured, as a drawing says it: over so many teeth, over pins of such a size. */
function measuredRows(part: PartPlan, units: UnitSystem): readonly SheetRow[] {
  const checks = stationOf(part, 'inspect')?.detail.checks ?? [];
  return checks
    .filter(({ id, out }) => out === null && (id === 'span' || id === 'pins'))
    .map(({ name, set, should }) => lengthRow(`${name}: ${set}`, should, units));
}

/** Stations that have no place of their own on a sheet, each with its figures. */
const ROWS_OF = ['lead', 'lathe', 'worm', 'wheel'] as const;

export const ownRows = (part: PartPlan, units: UnitSystem): readonly SheetBlock[] =>
  ROWS_OF.flatMap((id) => {
    const station = stationOf(part, id) as AnyStationPlan | null;
    return station ? rowsBlock(station.title, valueRows(station, units)) : [];
  });

/** Turns and marks beside a length; where no dial is known, or a readout tells it, the other unit stands. */
function onDial(mm: number, dial: string, units: UnitSystem): { readonly other?: string } {
  const isLength = [lengthText(mm, units, 'fine'), lengthText(mm, units, 'shop')].includes(dial);
  return dial === '' || isLength ? {} : { other: dial };
}

/** Speeds, feeds, the middle, depths, where it is clear: in length, and in turns and marks of this mill. */
export function setupRows({ part, units }: PartAsked): readonly SheetRow[] {
  const detail = stationOf(part, 'setup')?.detail;
  if (!detail) return [];
  const { data, centrings, centring, depths, stroke, tableDial, firstTouch, sink, indexAt, minutes } = detail;
  const chosen = centrings.find(({ by }) => by === centring);
  const clear = { finish: 'shop', strong: true } as const;
  const along: SheetRow[] =
    stroke && tableDial
      ? [
          ...(firstTouch !== null && firstTouch >= 0.005
            ? [
                lengthRow('First touch: set the dial to', firstTouch, units, {
                  finish: 'shop',
                  ...onDial(firstTouch, tableDial.firstTouch, units),
                }),
              ]
            : []),
          row(
            indexAt === 'entry' ? 'Index before the touch, past' : 'First touch at full depth',
            lengthText(0, units),
            {
              strong: indexAt === 'entry',
              other: indexAt === 'entry' ? `and ${lengthText(CLEAR_BY, units)} more` : '',
            },
          ),
          lengthRow('Through: the whole face at depth', stroke.through, units, {
            finish: 'shop',
            ...onDial(stroke.through, tableDial.through, units),
          }),
          lengthRow(
            indexAt === 'exit'
              ? `Index after, and ${lengthText(CLEAR_BY, units)} more`
              : 'Clear on the far side',
            stroke.clearAfter,
            units,
            indexAt === 'exit'
              ? { ...clear, ...onDial(stroke.clearAfter, tableDial.clearAfter, units) }
              : { finish: 'shop', ...onDial(stroke.clearAfter, tableDial.clearAfter, units) },
          ),
        ]
      : [];
  return [
    ...(data
      ? [row('Spindle', rpmText(data.rpm), { other: `${decimalText(data.rpmWanted, 0)} wanted` })]
      : []),
    ...(data?.feed ? [row('Feed', feedText(data.feed, units))] : []),
    ...(chosen?.move != null
      ? [
          lengthRow(`To the middle: ${chosen.name.toLowerCase()}`, chosen.move, units, {
            ...onDial(chosen.move, chosen.dial ?? '', units),
          }),
        ]
      : []),
    ...depths.map(({ name, mm, dial }) =>
      lengthRow(`Depth from the touch, ${name}`, mm, units, onDial(mm, dial, units)),
    ),
    ...along,
    ...(sink
      ? [
          lengthRow('Sunk in place to', sink.depth, units, onDial(sink.depth, sink.dial, units)),
          row('Index only drawn out past', lengthText(0, units), {
            strong: true,
            other: `and ${lengthText(CLEAR_BY, units)} more`,
          }),
        ]
      : []),
    ...(minutes === null ? [] : [row('For the whole of it', `about ${timeText(minutes)}`)]),
  ];
}

/** The dial that turns and marks are of. */
export function dialAside({ part }: PartAsked): string {
  const mount = stationOf(part, 'setup')?.detail.mount;
  if (!mount?.dial || mount.readout) return '';
  return `depth dial: ${decimalText(mount.dial.lead, 4)} mm a turn, ${mount.dial.marks} marks`;
}
