import { circlesOf, findSimpleIndexings, type Circle } from '../core/dividing/index.ts';
import { drawnDriveJob, drawnSpurJob, jobSchema, withPart, type Job } from '../core/job/index.ts';
import { plan } from '../core/plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../core/shop/index.ts';
import { exact } from '../core/units/index.ts';
import { benchIdentify } from './identify.ts';
import { benchLogbook } from './logbook.ts';
import { benchGrowth } from './growth.ts';
import { benchLead } from './lead.ts';
import { benchDevices } from './devices.ts';
import { benchPractice } from './practice.ts';
import { benchMethods } from './methods.ts';
import { compare, report } from './measure.ts';

const jobOf = (teeth: number): Job =>
  drawnSpurJob({ id: 'bench', name: 'Bench', pitch: '1.25', teeth, face: '12', bore: '0' });
/** The same job as it comes in from outside: none of its parts was planned before. */
const fresh = (job: Job): Job => ({ ...job, parts: job.parts.map((part) => ({ ...part })) });
const ms = (time: number) => `${(time * 1000).toFixed(1)} µs`;
let kept = true;
const told = (...args: Parameters<typeof report>) => {
  kept = report(...args) && kept;
};

// the plan of a 60-tooth spur job, proof included, beside one parse of the same document
const job = jobOf(60);
const raw: unknown = JSON.parse(JSON.stringify(job));
const planned = compare({
  name: 'plan',
  work: () => plan(fresh(job), STOCK_EQUIPMENT),
  yardstick: () => jobSchema.parse(raw),
});
told(
  'plan() of a 60-tooth spur job beside one parse of its document',
  planned.work / planned.yardstick,
  { atMost: 150 },
  `${ms(planned.work)} : ${ms(planned.yardstick)}`,
);

// a worm drive: two cards, lathe gears and the contact of two schools, beside one parse of its document
const drive = drawnDriveJob({ id: 'bench-drive', name: 'Bench drive' });
const rawDrive: unknown = JSON.parse(JSON.stringify(drive));
const plannedDrive = compare({
  name: 'drive',
  work: () => plan(fresh(drive), STOCK_EQUIPMENT),
  yardstick: () => jobSchema.parse(rawDrive),
});
console.log(
  `       plan() of a worm drive, both cards: ${ms(plannedDrive.work)}, ${(plannedDrive.work / plannedDrive.yardstick).toFixed(0)} parses of its document`,
);

// how the plan's cost grows with the tooth count
const [few, many] = [jobOf(20), jobOf(400)];
const growth = compare({
  name: 'growth',
  work: () => plan(fresh(many), STOCK_EQUIPMENT),
  yardstick: () => plan(fresh(few), STOCK_EQUIPMENT),
});
told(
  'plan() of 400 teeth beside 20 teeth (20 times as many)',
  growth.work / growth.yardstick,
  { atMost: 20 },
  `${ms(growth.work)} : ${ms(growth.yardstick)}`,
);

// a key on a job of twenty parts, beside one on a job of one
const twenty: Job = {
  ...job,
  parts: Array.from({ length: 20 }, (_, i) => ({ ...job.parts[0]!, id: `p${i + 1}` })),
};
/** A key typed in the name of one part, and what it costs to plan the job. */
function typing(start: Job, partId: string): () => unknown {
  let now = start;
  let keys = 0;
  return () => {
    keys += 1;
    now = withPart(now, partId, (part) => ({ ...part, name: `Gear ${keys}` }));
    return plan(now, STOCK_EQUIPMENT);
  };
}
const typed = compare({ name: 'typing', work: typing(twenty, 'p7'), yardstick: typing(job, 'p1') });
told(
  'a key on a job of 20 parts beside one on a job of 1, one part edited',
  typed.work / typed.yardstick,
  { atMost: 1.5 },
  `${ms(typed.work)} : ${ms(typed.yardstick)}`,
);
const settledWays = [40, 80, 120, 200, 400].map((teeth) => {
  const { work } = compare({
    name: 'size',
    work: () => plan(jobOf(teeth), STOCK_EQUIPMENT),
    yardstick: () => null,
    rounds: 7,
  });
  return `${teeth}: ${ms(work)}`;
});
console.log(`       by tooth count  ${settledWays.join(', ')}`);

// every simple indexing for all counts 2 to 1000 on both stock sets, beside plain enumeration
const RATIO = 40;
const sets = STOCK_HEADS.map((head) => circlesOf(head.plates));
const ratio = exact(RATIO);
const key = ({
  n,
  turns,
  spaces,
  holes,
}: {
  readonly n: number;
  readonly turns: number;
  readonly spaces: number;
  readonly holes: number;
}) => `${n}:${turns}+${spaces}/${holes}`;
function searched(circles: readonly Circle[]): string[] {
  const found: string[] = [];
  for (let n = 2; n <= 1000; n += 1) {
    for (const { turns, spaces, circle } of findSimpleIndexings(ratio, n, circles))
      found.push(key({ n, turns, spaces, holes: circle.holes }));
  }
  return found;
}
function enumerated(circles: readonly Circle[]): string[] {
  const found: string[] = [];
  for (let n = 2; n <= 1000; n += 1) {
    for (const { holes } of circles) {
      for (let turns = 0; turns <= RATIO; turns += 1) {
        for (let spaces = 0; spaces < holes; spaces += 1) {
          if ((turns * holes + spaces) * n === RATIO * holes) found.push(key({ n, turns, spaces, holes }));
        }
      }
    }
  }
  return found;
}
const same = JSON.stringify(sets.map(searched)) === JSON.stringify(sets.map(enumerated));
console.log(
  `${same ? 'kept ' : 'MISSED'}  the search and plain enumeration give the same ${sets.map(searched).flat().length} ways`,
);
kept &&= same;
const search = compare({
  name: 'search',
  work: () => sets.map(enumerated),
  yardstick: () => sets.map(searched),
  rounds: 5,
});
told(
  'plain enumeration of simple indexing, 2–1000, both stock sets, beside the search',
  search.work / search.yardstick,
  { atLeast: 20 },
  `${ms(search.work)} : ${ms(search.yardstick)}`,
);

kept = benchIdentify() && kept;
kept = benchMethods() && kept;
kept = benchLead() && kept;
kept = benchPractice() && kept;
benchGrowth();
kept = (await benchLogbook()) && kept;
kept = (await benchDevices()) && kept;

process.exitCode = kept ? 0 : 1;
