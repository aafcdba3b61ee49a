import { cutterSet } from '../../core/cutter/index.ts';
import {
  plainCutter,
  plainLathe,
  plainMandrel,
  STOCK_EQUIPMENT,
  STOCK_MILL,
  STOCK_ROTARY,
  type Equipment,
  type FormCutter,
} from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';

/**
 * What lies in the cutter drawer: a set of one pitch, and odd ones, one of them with only its number on it.
 */
function demoCutters(): readonly FormCutter[] {
  const pitch = (typed: string, unit: 'module' | 'dp') => measure(typed, unit);
  return [
    ...cutterSet({ pitch: pitch('1.5', 'module'), school: 'metric', size: 8, angleDeg: '20' }).map(
      (cutter) => ({
        ...cutter,
        diameter: measure('60', 'mm'),
        bore: measure('22', 'mm'),
        width: measure('6', 'mm'),
        teeth: 12,
        material: 'HSS',
      }),
    ),
    {
      ...plainCutter('fog-12-3', '12 P No. 3, fog drive', pitch('12', 'dp')),
      number: '3',
      school: 'inch',
      range: { from: 35, to: 54 },
      stamped: measure('.180', 'in'),
      diameter: measure('2 1/4', 'in'),
      bore: measure('7/8', 'in'),
      teeth: 12,
      material: 'HSS',
    },
    {
      ...plainCutter('fog-12-old', '12 P No. 3, from the old drawer', pitch('12', 'dp')),
      number: '3',
      stamped: measure('.1875', 'in'),
    },
    {
      ...plainCutter('winding-2-6', 'm 2 No. 6', pitch('2', 'module')),
      number: '6',
      school: 'metric',
      diameter: measure('60', 'mm'),
    },
  ];
}

/** What the museum's workshop has: the stock sets, a rotary table with a motor to it. */
export const demoShop: Equipment = {
  ...STOCK_EQUIPMENT,
  cutters: demoCutters(),
  mills: [
    {
      ...STOCK_MILL,
      swing: measure('45', 'deg'),
      scaleMinutes: 15,
      tableLength: measure('900', 'mm'),
      tableWidth: measure('220', 'mm'),
      toColumn: measure('300', 'mm'),
      travel: measure('560', 'mm'),
      cross: { lead: measure('5', 'mm'), marks: 100, travel: measure('180', 'mm') },
      knee: { lead: measure('2', 'mm'), marks: 100, travel: measure('330', 'mm') },
      room: measure('360', 'mm'),
      collar: measure('32', 'mm'),
      speeds: '45 63 90 125 180 250 355 500 710 1000',
      feeds: { by: 'mm', settings: '12 18 25 36 50 71 100 140' },
    },
  ],
  gearSets: [
    ...STOCK_EQUIPMENT.gearSets,
    {
      id: 'lathe-gears',
      name: 'Gears of the lathe',
      bore: '',
      pitch: 'm 1.5',
      gears: [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 66, 70, 80, 100, 127].map((teeth) => ({
        teeth,
        count: 1,
      })),
    },
  ],
  lathes: [
    {
      ...plainLathe('lathe-shed', 'Lathe by the window', measure('1/8', 'in')),
      box: { by: 'tpi', settings: '4 4½ 5 5½ 6 7 8 9 10 11 11½ 12 14 16 18 20 22 24 28' },
      gearSetId: 'lathe-gears',
      slideLead: measure('0.1', 'in'),
    },
  ],
  mandrels: [
    {
      ...plainMandrel('mandrel-10', 'Mandrel 10, slow taper', 'taper'),
      small: measure('9.98', 'mm'),
      large: measure('10.04', 'mm'),
      length: measure('140', 'mm'),
    },
    {
      ...plainMandrel('mandrel-12', 'Mandrel 12, with nut', 'nut'),
      small: measure('11.99', 'mm'),
      length: measure('160', 'mm'),
      key: true,
    },
    {
      ...plainMandrel('stub-16', 'Stub 16, in the head', 'stub'),
      small: measure('15.99', 'mm'),
      length: measure('45', 'mm'),
    },
  ],
  lessons: [
    {
      id: 'lesson-key',
      text: 'Key it: the bare mandrel slipped at tooth space 51.',
      about: { kind: 'mandrel', id: 'mandrel-12' },
      station: 'setup',
      from: 'Lens drive, second wheel, proof piece, 11 Nov 2026',
    },
  ],
  heads: [
    ...STOCK_EQUIPMENT.heads.map((head) => ({ ...head, centreHeight: measure('125', 'mm') })),
    STOCK_ROTARY,
  ],
  steppers: [
    {
      id: 'drive-rotary',
      name: 'Motor on the rotary table',
      headId: STOCK_ROTARY.id,
      on: 'crank',
      stepsPerTurn: 200,
      microsteps: 8,
      belt: '3',
    },
  ],
};
