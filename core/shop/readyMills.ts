import { measure } from '../units/index.ts';
import type { Mill, Screw } from './machineSchema.ts';
import { BARE_MACHINE, STRAIGHT_TABLE } from './stock.ts';

/*
 * Machines as they are met in most shops, to be added and then trimmed to the one that stands there: screws,
 * dials, steps and room of the usual order. Common practice, no source; nobody's catalogue.
 */

const inchScrew = (lead: string, marks: number, travel: string): Screw => ({
  lead: measure(lead, 'in'),
  marks,
  travel: measure(travel, 'in'),
});
const metricScrew = (lead: string, marks: number, travel: string): Screw => ({
  lead: measure(lead, 'mm'),
  marks,
  travel: measure(travel, 'mm'),
});

/** Steps of a gearbox, each about a quarter above the last. */
const BOX_STEPS = '45 56 71 90 112 140 180 224 280 355 450 560 710 900 1120 1400';
/** Steps of belt and back gear. */
const BELT_STEPS = '80 135 210 325 660 1115 1750 2720';

const upright: Pick<Mill, 'axis' | 'headTilts'> = { axis: 'vertical', headTilts: true };
const lying: Pick<Mill, 'axis' | 'headTilts'> = { axis: 'horizontal', headTilts: false };
const straight: Pick<Mill, 'swing'> = { swing: measure('0', 'deg') };
const swinging: Pick<Mill, 'swing'> = { swing: measure('45', 'deg') };

export const READY_MILLS: readonly Mill[] = [
  {
    ...STRAIGHT_TABLE,
    ...BARE_MACHINE,
    ...upright,
    ...straight,
    id: 'mill-knee-upright-mm',
    name: 'Knee mill, upright, metric',
    lead: measure('5', 'mm'),
    marks: 250,
    travel: measure('750', 'mm'),
    tableLength: measure('1100', 'mm'),
    tableWidth: measure('230', 'mm'),
    cross: metricScrew('5', 250, '300'),
    knee: metricScrew('2.5', 125, '400'),
    room: measure('450', 'mm'),
    speeds: BELT_STEPS,
  },
  {
    ...STRAIGHT_TABLE,
    ...BARE_MACHINE,
    ...upright,
    ...straight,
    id: 'mill-knee-upright-in',
    name: 'Knee mill, upright, inch',
    lead: measure('.2', 'in'),
    marks: 200,
    travel: measure('30', 'in'),
    tableLength: measure('42', 'in'),
    tableWidth: measure('9', 'in'),
    cross: inchScrew('.2', 200, '12'),
    knee: inchScrew('.1', 100, '16'),
    room: measure('18', 'in'),
    speeds: BELT_STEPS,
    feeds: { by: 'in', settings: '' },
  },
  {
    ...STRAIGHT_TABLE,
    ...BARE_MACHINE,
    ...lying,
    ...swinging,
    id: 'mill-knee-lying-mm',
    name: 'Knee mill, arbor across, table swings, metric',
    lead: measure('6', 'mm'),
    marks: 120,
    travel: measure('700', 'mm'),
    tableLength: measure('1200', 'mm'),
    tableWidth: measure('260', 'mm'),
    cross: metricScrew('6', 120, '220'),
    knee: metricScrew('2', 40, '380'),
    room: measure('400', 'mm'),
    collar: measure('45', 'mm'),
    speeds: BOX_STEPS,
    feeds: { by: 'mm', settings: '12 16 20 25 32 40 50 63 80 100 125 160' },
  },
  {
    ...STRAIGHT_TABLE,
    ...BARE_MACHINE,
    ...lying,
    ...swinging,
    id: 'mill-knee-lying-in',
    name: 'Knee mill, arbor across, table swings, inch',
    lead: measure('1/4', 'in'),
    marks: 250,
    travel: measure('28', 'in'),
    tableLength: measure('48', 'in'),
    tableWidth: measure('10', 'in'),
    cross: inchScrew('1/4', 250, '9'),
    knee: inchScrew('.1', 100, '15'),
    room: measure('16', 'in'),
    collar: measure('1 3/4', 'in'),
    speeds: BOX_STEPS,
    feeds: { by: 'in', settings: '.5 .63 .8 1 1.25 1.6 2 2.5 3.2 4 5 6.3' },
  },
];
