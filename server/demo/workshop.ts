import { drawnSpurJob, newSpurJob, withCutter, withSpurPart, type Job } from '../../core/job/index.ts';
import { measure } from '../../core/units/index.ts';
import { blowerPair, helical } from './helical.ts';
import {
  sampled,
  measured,
  setUp,
  settled,
  roughFinish,
  teethNow,
  picked,
  divided,
  inInches,
} from './making.ts';
import { demoShop } from './shop.ts';
import { carriageDrive, wornWinch } from './worm.ts';

/**
 * The demo workshop: the (invented) Faro Ventisca lighthouse museum rebuilds the clockwork that turns its
 * lens, the cam drive of its fog signal, and an orrery for the stair hall. Names and figures are our own.
 */
export interface DemoJob {
  readonly job: Job;
  /** How far a run of it has come; null for none. */
  readonly run: {
    readonly cuts: number;
    readonly turns?: number;
    /** Stages of the return stroke gone through towards the next space, on a helical gear. */
    readonly strokes?: number;
    readonly notes?: readonly string[];
    readonly paused?: true;
    readonly closed?: true;
    /** What it was interrupted by. */
    readonly interrupted?: string;
  } | null;
  /** A run in scrap before it. */
  readonly proof?: DemoJob['run'];
}

/** Jobs that belong together are found by a tag. */
const tagged = ({ job, ...rest }: DemoJob): DemoJob => ({
  ...rest,
  job: job.name.includes('orrery') ? { ...job, tags: ['orrery'] } : job,
});

export function demoJobs(): readonly DemoJob[] {
  return workshopJobs().map(tagged);
}

function workshopJobs(): readonly DemoJob[] {
  return [
    { job: blowerPair(), run: null },
    { job: carriageDrive(), run: null },
    { job: wornWinch(), run: null },
    {
      job: helical(
        { id: 'demo-governor', name: 'Lens drive, governor cross drive', teeth: 16, face: '12' },
        (gear) => ({
          ...gear,
          helix: measure('45', 'deg'),
          mate: {
            ...gear.mate,
            teeth: measure('24', 'count'),
            shafts: 'crossed',
            shaftAngle: measure('90', 'deg'),
          },
        }),
      ),
      run: null,
    },
    {
      job: settled(
        helical({ id: 'demo-fan-gear', name: 'Fog signal, fan gear', teeth: 24, face: '16' }, (gear) => ({
          ...gear,
          helix: measure('15°', 'deg'),
          hand: 'left',
        })),
      ),
      run: { cuts: 9, strokes: 1 },
    },
    {
      job: sampled(
        { id: 'demo-pump-gear', name: 'Lamp-oil pump, broken gear' },
        {
          teeth: measure('31', 'count'),
          tipBy: 'bore',
          bore: measure('12', 'mm'),
          edgeToTip: measure('18.72', 'mm'),
          spanTeeth: measure('4', 'count'),
          span: measure('16.02', 'mm'),
          helix: 'none',
          mateTeeth: measure('45', 'count'),
          mateCentre: measure('57.1', 'mm'),
        },
        false,
      ),
      run: null,
    },
    {
      job: withSpurPart(
        withSpurPart(
          newSpurJob(
            { id: 'demo-bar-end', name: 'Winding clutch, from a bar end', units: 'mm', shop: demoShop },
            'blank',
          ),
          'p1',
          (part) => ({ ...part, gear: { ...part.gear, pitch: measure('1.25', 'module') } }),
        ),
        'p1',
        (part) =>
          part.arrival.by === 'blank'
            ? {
                ...part,
                arrival: { ...part.arrival, stock: { ...part.arrival.stock, diameter: measure('70', 'mm') } },
              }
            : part,
      ),
      run: null,
    },
    {
      job: withSpurPart(
        newSpurJob(
          { id: 'demo-two-shafts', name: 'Fog signal, jack-shaft pair', units: 'mm', shop: demoShop },
          'shafts',
        ),
        'p1',
        (part) =>
          part.arrival.by === 'shafts'
            ? {
                ...part,
                arrival: {
                  ...part.arrival,
                  shafts: {
                    ...part.arrival.shafts,
                    centre: measure('60.4', 'mm'),
                    ratio: measure('3:1', 'count'),
                  },
                },
              }
            : part,
      ),
      run: null,
    },
    {
      job: divided({ id: 'demo-square', name: 'Lens carriage, seven-flat nut' }, (spacing) => ({
        ...spacing,
        what: 'flats',
        count: measure('7', 'count'),
        diameter: measure('30', 'mm'),
        acrossFlats: measure('27', 'mm'),
      })),
      run: null,
    },
    {
      job: settled(
        picked(
          drawnSpurJob({
            id: 'demo-tide-wheel',
            name: 'Stair-hall orrery, tide wheel',
            pitch: '0.5',
            teeth: 127,
            face: '3',
            bore: '5',
          }),
          'differential',
          127,
        ),
      ),
      run: null,
    },
    {
      job: settled(
        picked(
          drawnSpurJob({
            id: 'demo-star-wheel',
            name: 'Stair-hall orrery, star wheel',
            pitch: '0.3',
            teeth: 383,
            face: '3',
            bore: '6',
          }),
          'approximate',
          383,
        ),
      ),
      run: null,
    },
    {
      job: settled(
        divided(
          { id: 'demo-lens-rack', name: 'Lens carriage, rack' },
          (spacing) => ({
            ...spacing,
            by: 'pitch',
            what: 'teeth',
            count: measure('48', 'count'),
            pitch: measure('1.5', 'module'),
            depth: measure('3.38', 'mm'),
          }),
          { face: measure('16', 'mm'), cutterDiameter: measure('55', 'mm') },
        ),
      ),
      run: { cuts: 11 },
    },
    {
      job: divided({ id: 'demo-cam-marks', name: 'Fog signal, timing marks' }, (spacing) => ({
        ...spacing,
        by: 'angle',
        what: 'marks',
        count: measure('7', 'count'),
        angle: measure('17° 30′', 'deg'),
        diameter: measure('120', 'mm'),
        depth: measure('0.3', 'mm'),
      })),
      run: null,
    },
    {
      job: measured(
        settled(
          drawnSpurJob({
            id: 'demo-stair-moon',
            name: 'Stair-hall orrery, moon wheel',
            pitch: '0.8',
            teeth: 66,
            face: '4',
            bore: '6',
          }),
        ),
      ),
      run: { cuts: 66, closed: true },
    },
    {
      job: drawnSpurJob({
        id: 'demo-orrery-year',
        name: 'Stair-hall orrery, year wheel',
        pitch: '0.8',
        teeth: 73,
        face: '4',
        bore: '6',
      }),
      run: null,
    },
    {
      job: settled(
        withCutter({
          job: inInches(
            drawnSpurJob({
              id: 'demo-fog-cam',
              name: 'Fog signal, cam-shaft gear',
              pitch: '12',
              teeth: 44,
              face: '5/8',
              bore: '3/4',
              units: 'in',
            }),
            '.180',
          ),
          partId: 'p1',
          cutterId: 'fog-12-3',
          shop: demoShop,
        }),
      ),
      run: { cuts: 17, turns: 0, notes: ['Second coat of dye: the marks had gone.'], paused: true },
    },
    {
      job: teethNow(
        settled(
          drawnSpurJob({
            id: 'demo-winding',
            name: 'Lens drive, winding gear',
            pitch: '2',
            teeth: 45,
            face: '16',
            bore: '14',
          }),
        ),
        '46',
      ),
      run: null,
    },
    {
      job: settled(
        setUp(
          withCutter({
            job: roughFinish(
              drawnSpurJob({
                id: 'demo-lens-second',
                name: 'Lens drive, second wheel',
                pitch: '1.5',
                teeth: 62,
                face: '14',
                bore: '12',
              }),
              '0.4',
            ),
            partId: 'p1',
            cutterId: demoShop.cutters.find(
              ({ pitch, range }) => pitch.typed === '1.5' && range?.from === 55,
            )!.id,
            shop: demoShop,
          }),
          {
            materialId: 'material-bronze',
            mandrelId: 'mandrel-12',
            keyed: true,
            offset: measure('-120', 'mm'),
            jawGap: measure('30', 'mm'),
            jawDiameter: measure('40', 'mm'),
            tailGap: measure('45', 'mm'),
            tailDiameter: measure('20', 'mm'),
            paper: measure('0.03', 'mm'),
            round: { typed: '0 .01 .03 .04 .03 .02 0 -.01', unit: 'mm' },
          },
        ),
      ),
      proof: {
        cuts: 124,
        notes: ['Bare mandrel slipped at tooth space 51 of the rough round; drawn up and gone on.'],
        closed: true,
      },
      run: { cuts: 40, notes: ['Blank keyed to the mandrel.'], interrupted: 'Telephone' },
    },
  ];
}
