import { drawnSpurJob, withPart, type Job } from '../../core/job/index.ts';
import { searchWays, type DividingDetail } from '../../core/dividing/index.ts';
import { plan, settleOpen } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';

/**
 * The demo workshop: the (invented) Faro Ventisca lighthouse museum rebuilds the clockwork that turns its lens,
 * the cam drive of its fog signal, and an orrery for the stair hall. Names and figures are our own.
 */
export interface DemoJob {
  readonly job: Job;
  /** How far a run of it has come; null for none. */
  readonly run: {
    readonly cuts: number;
    readonly turns?: number;
    readonly notes?: readonly string[];
    readonly paused?: true;
    readonly closed?: true;
  } | null;
}

function settled(job: Job): Job {
  return settleOpen(job, plan(job, STOCK_EQUIPMENT).parts[0]!);
}

const roughFinish = (job: Job, finishStock: string): Job =>
  withPart(job, 'p1', (part) => ({
    ...part,
    cut: { ...part.cut, passes: 'rough-finish', finishStock: measure(finishStock, job.units) },
  }));

const teethNow = (job: Job, typed: string): Job =>
  withPart(job, 'p1', (part) => ({ ...part, gear: { ...part.gear, teeth: measure(typed, 'count') } }));

/** The best differential way on the head of the job, picked as a person would. */
function geared(job: Job): Job {
  const head = job.equipment.heads[0]!;
  const { divisions } = plan(job, STOCK_EQUIPMENT).parts[0]!.stations.find(({ id }) => id === 'dividing')!
    .detail as DividingDetail;
  const [best] = searchWays(head, job.equipment.gearSets, divisions!, 1).ways;
  return withPart(job, 'p1', (part) => ({ ...part, dividing: { ...part.dividing, choice: best!.choice } }));
}

const inInches = (job: Job, stamped: string): Job =>
  withPart(job, 'p1', (part) => ({
    ...part,
    gear: {
      ...part.gear,
      pressureAngle: measure('14 1/2', 'deg'),
      depth: { ...part.gear.depth, stamped: measure(stamped, 'in') },
    },
  }));

export function demoJobs(): readonly DemoJob[] {
  return [
    {
      job: settled(
        geared(
          drawnSpurJob({
            id: 'demo-tide-wheel',
            name: 'Stair-hall orrery, tide wheel',
            pitch: '0.5',
            teeth: 127,
            face: '3',
            bore: '5',
          }),
        ),
      ),
      run: null,
    },
    {
      job: settled(
        drawnSpurJob({
          id: 'demo-stair-moon',
          name: 'Stair-hall orrery, moon wheel',
          pitch: '0.8',
          teeth: 66,
          face: '4',
          bore: '6',
        }),
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
        inInches(
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
        roughFinish(
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
      ),
      run: { cuts: 40, notes: ['Blank keyed to the mandrel.'] },
    },
  ];
}
