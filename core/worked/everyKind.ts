import { emptyArrival, type Arrival } from '../arrival/index.ts';
import {
  drawnDriveJob,
  drawnHelicalJob,
  drawnSpurJob,
  newDivideJob,
  newSpurJob,
  withMill,
  withPart,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import type { SpurPart } from '../kinds/index.ts';
import type { SampleInput } from '../sample/index.ts';
import { plainLathe, plainMandrel, type Equipment } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { BENCH, count, mm } from './bench.ts';
import { plan, type PartPlan } from '../plan/index.ts';

/* Work of every kind, with as much said of it as can be, for the tests that look at whatever a card tells. */

const deg = (typed: string) => measure(typed, 'deg');

const shop: Equipment = {
  ...BENCH,
  mandrels: [{ ...plainMandrel('m', 'Mandrel', 'taper'), small: mm('9.98'), large: mm('10.04') }],
  gearSets: [
    ...BENCH.gearSets,
    {
      id: 'lathe-gears',
      name: 'Lathe gears',
      bore: '',
      pitch: '',
      gears: [20, 30, 35, 40, 45, 50, 55, 60, 65, 66, 70, 80].map((teeth) => ({ teeth, count: 1 })),
    },
  ],
  lathes: [
    {
      ...plainLathe('lathe', 'Lathe', measure('1/8', 'in')),
      box: { by: 'tpi' as const, settings: '7 8 9 10' },
      gearSetId: 'lathe-gears',
    },
  ],
};

const setUp = {
  cutterDiameter: mm('60'),
  cutterWidth: mm('5'),
  cutterTeeth: count('12'),
  materialId: 'material-brass',
  returnSeconds: count('15'),
  indexSeconds: count('30'),
  round: { typed: '0 0.02 0.05 0.03', unit: 'mm' as const },
  alongLength: mm('100'),
  alongTop: mm('0.04'),
  alongSide: mm('0.03'),
  keyWidth: mm('4'),
  keyCutter: mm('3'),
  keyDepth: mm('1.8'),
};
const spur = (change: (part: SpurPart) => Partial<SpurPart>, helix = ''): Job => {
  const drawn = { id: 'w', name: 'Lines', pitch: '1.5', teeth: 30, face: '18', bore: '12' };
  const job = helix === '' ? drawnSpurJob(drawn) : drawnHelicalJob(drawn, helix);
  return withSpurPart(withMill({ job, partId: 'p1', millId: 'lying', shop }), 'p1', (part) => ({
    ...part,
    setup: { ...part.setup, ...setUp },
    ...change(part),
  }));
};

const EVERY_KIND: readonly Job[] = [
  spur(() => ({})),
  spur((part) => ({
    cut: { ...part.cut, passes: 'rough-finish' },
    blank: { ...part.blank, measured: mm('47.8') },
    gear: { ...part.gear, thinning: mm('0.08') },
    inspect: { ...part.inspect, span: mm('16.2'), chordal: mm('2.4'), pins: mm('48.7') },
  })),
  spur((part) => ({
    gear: {
      ...part.gear,
      mate: { ...part.gear.mate, teeth: count('45'), centre: mm('56.5'), backlash: mm('0.1') },
    },
    dividing: { ...part.dividing, stride: count('7') },
  })),
  spur((part) => ({ inspect: { ...part.inspect, span: mm('16.2') } })),
  spur((part) => ({ inspect: { ...part.inspect, chordal: mm('2.4') } })),
  drawnSpurJob({ id: 'i', name: 'Inch', pitch: '14', teeth: 25, face: '1/2', bore: '1/2', units: 'in' }),
  drawnSpurJob({ id: 'd', name: 'Prime', pitch: '1', teeth: 127, face: '6', bore: '6' }),
  spur((part) => ({ inspect: { ...part.inspect, span: mm('16.3'), pins: mm('51.6') } }), '20'),
  spur(
    (part) => ({
      gear: {
        ...part.gear,
        hand: 'left',
        mate: {
          ...part.gear.mate,
          teeth: count('24'),
          shafts: 'crossed',
          helix: deg('40'),
          shaftAngle: deg('75'),
        },
      },
    }),
    '35',
  ),
  spur(
    (part) => ({
      gear: {
        ...part.gear,
        hand: 'right',
        mate: {
          ...part.gear.mate,
          teeth: count('24'),
          shafts: 'crossed',
          helix: deg('40'),
          shaftAngle: deg('75'),
        },
      },
    }),
    '35',
  ),
  withMill({ job: drawnDriveJob({ id: 'dr', name: 'Drive', shop }), partId: 'p1', millId: 'lying', shop }),
  withPart(drawnDriveJob({ id: 'dt', name: 'Drive as turned', shop }), 'p1', (part) =>
    part.kind === 'wheel'
      ? { ...part, rim: { ...part.rim, measured: mm('83.9'), corners: mm('86.5') } }
      : part,
  ),
  withPart(
    withMill({
      job: drawnDriveJob({ id: 'd3', name: 'Drive of three', shop }, { starts: count('3'), hand: 'left' }),
      partId: 'p1',
      millId: 'lying',
      shop,
    }),
    'p1',
    (part) => (part.kind === 'wheel' ? { ...part, setup: { ...part.setup, ...setUp } } : part),
  ),
  ...[
    { what: 'flats' as const, count: count('7'), diameter: mm('30'), acrossFlats: mm('27') },
    { by: 'angle' as const, count: count('5'), angle: deg('17 1/2'), diameter: mm('60'), depth: mm('4') },
    { by: 'pitch' as const, count: count('12'), pitch: measure('2', 'module') },
  ].map((spacing) =>
    withPart(newDivideJob({ id: 'n', name: 'Divided', units: 'mm', shop }), 'p1', (part) =>
      part.kind === 'divide'
        ? { ...part, spacing: { ...part.spacing, ...spacing }, setup: { ...part.setup, ...setUp } }
        : part,
    ),
  ),
];

/** What was at hand before there was a gear, and nothing taken for it yet. */
const arrived = (given: Arrival, pitch = ''): Job =>
  withSpurPart(newSpurJob({ id: 'a', name: 'Arrived', units: 'mm', shop }, given.by), 'p1', (part) => ({
    ...part,
    arrival: given,
    gear: { ...part.gear, pitch: measure(pitch, 'module') },
  }));
const sampled = (read: Partial<SampleInput>): Job => {
  const empty = emptyArrival('sample', 'mm');
  if (empty.by !== 'sample') throw new Error('a sample');
  return arrived({ ...empty, sample: { ...empty.sample, teeth: count('30'), ...read } });
};
const ARRIVED: readonly Job[] = [
  sampled({
    ...{ tip: mm('47.95'), helix: 'none', mateTeeth: count('45'), mateCentre: mm('56.3') },
    ...{ spanTeeth: count('4'), span: mm('16.13'), spanNext: mm('20.56') },
  }),
  sampled({ tipBy: 'bore', bore: mm('12'), edgeToTip: mm('17.96'), helix: 'none' }),
  sampled({ tip: mm('47.35'), depth: mm('2.72'), gaugeFits: measure('1.5', 'module'), helix: 'none' }),
  sampled({ tip: mm('50.89'), helix: 'seen', helixAngle: deg('20'), hand: 'left', wear: 'crisp' }),
  sampled({
    tip: mm('50.7'),
    helix: 'seen',
    hand: 'right',
    wear: 'worn',
    gaugeFits: measure('1.5', 'module'),
  }),
  sampled({
    teeth: count(''),
    survivors: { pitches: count('5'), arc: deg('60'), chord: mm('') },
    tip: mm('47.95'),
    helix: 'none',
  }),
  sampled({
    teeth: count(''),
    // 47.95 sin(5·180°/30) across five pitches of thirty
    survivors: { pitches: count('5'), arc: deg(''), chord: mm('23.975') },
    tip: mm('47.95'),
    helix: 'none',
  }),
  arrived({ by: 'blank', stock: { diameter: mm('70'), cleanUp: mm('0.5') }, taken: null }, '1.25'),
  ...(['60', '60.2', '59.9'] as const).map((centre): Job => {
    const empty = emptyArrival('shafts', 'mm');
    if (empty.by !== 'shafts') throw new Error('two shafts');
    return arrived({ ...empty, shafts: { ...empty.shafts, centre: mm(centre), ratio: count('3') } });
  }),
];

/** Their parts as planned, with the shop as it is. */
export const partsOfEveryKind = (): readonly PartPlan[] =>
  [...EVERY_KIND, ...ARRIVED].flatMap(
    (job) => plan({ ...job, equipment: { ...job.equipment, gearSets: [], lathes: [] } }, shop).parts,
  );
