import { circlesOf, findSimpleIndexings, type Circle } from '../core/dividing/index.ts';
import { drawnDriveJob, drawnSpurJob, jobSchema, type Job } from '../core/job/index.ts';
import { plan } from '../core/plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../core/shop/index.ts';
import { exact } from '../core/units/index.ts';
import { benchIdentify } from './identify.ts';
import { benchLogbook } from './logbook.ts';
import { benchLead } from './lead.ts';
import { benchMethods } from './methods.ts';
import { compare, report } from './measure.ts';

const jobOf = (teeth: number): Job =>
  drawnSpurJob({ id: 'bench', name: 'Bench', pitch: '1.25', teeth, face: '12', bore: '0' });
const ms = (time: number) => `${(time * 1000).toFixed(1)} µs`;
let kept = true;
const told = (...args: Parameters<typeof report>) => {
  kept = report(...args) && kept;
};

// the plan of a 60-tooth spur job, proof included, beside one parse of the same document
const job = jobOf(60);
const raw: unknown = JSON.parse(JSON.stringify(job));
const planned = compare(
  'plan',
  () => plan(job, STOCK_EQUIPMENT),
  () => jobSchema.parse(raw),
);
told(
  'plan() of a 60-tooth spur job beside one parse of its document',
  planned.work / planned.yardstick,
  { atMost: 150 },
  `${ms(planned.work)} : ${ms(planned.yardstick)}`,
);

// a worm drive: two cards, lathe gears and the contact of two schools, beside one parse of its document
const drive = drawnDriveJob({ id: 'bench-drive', name: 'Bench drive' });
const rawDrive: unknown = JSON.parse(JSON.stringify(drive));
const plannedDrive = compare(
  'drive',
  () => plan(drive, STOCK_EQUIPMENT),
  () => jobSchema.parse(rawDrive),
);
console.log(
  `       plan() of a worm drive, both cards: ${ms(plannedDrive.work)}, ${(plannedDrive.work / plannedDrive.yardstick).toFixed(0)} parses of its document`,
);

// how the plan's cost grows with the tooth count
const [few, many] = [jobOf(20), jobOf(400)];
const growth = compare(
  'growth',
  () => plan(many, STOCK_EQUIPMENT),
  () => plan(few, STOCK_EQUIPMENT),
);
told(
  'plan() of 400 teeth beside 20 teeth (20 times as many)',
  growth.work / growth.yardstick,
  { atMost: 20 },
  `${ms(growth.work)} : ${ms(growth.yardstick)}`,
);
const settledWays = [40, 80, 120, 200, 400].map((teeth) => {
  const { work } = compare(
    'size',
    () => plan(jobOf(teeth), STOCK_EQUIPMENT),
    () => null,
    7,
  );
  return `${teeth}: ${ms(work)}`;
});
console.log(`       by tooth count  ${settledWays.join(', ')}`);

// every simple indexing for all counts 2 to 1000 on both stock sets, beside plain enumeration
const RATIO = 40;
const sets = STOCK_HEADS.map((head) => circlesOf(head.plates));
const ratio = exact(RATIO);
const key = (n: number, turns: number, spaces: number, holes: number) => `${n}:${turns}+${spaces}/${holes}`;
function searched(circles: readonly Circle[]): string[] {
  const found: string[] = [];
  for (let n = 2; n <= 1000; n += 1) {
    for (const { turns, spaces, circle } of findSimpleIndexings(ratio, n, circles))
      found.push(key(n, turns, spaces, circle.holes));
  }
  return found;
}
function enumerated(circles: readonly Circle[]): string[] {
  const found: string[] = [];
  for (let n = 2; n <= 1000; n += 1) {
    for (const { holes } of circles) {
      for (let turns = 0; turns <= RATIO; turns += 1) {
        for (let spaces = 0; spaces < holes; spaces += 1) {
          if ((turns * holes + spaces) * n === RATIO * holes) found.push(key(n, turns, spaces, holes));
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
const search = compare(
  'search',
  () => sets.map(enumerated),
  () => sets.map(searched),
  5,
);
told(
  'plain enumeration of simple indexing, 2–1000, both stock sets, beside the search',
  search.work / search.yardstick,
  { atLeast: 20 },
  `${ms(search.work)} : ${ms(search.yardstick)}`,
);

kept = benchIdentify() && kept;
kept = benchMethods() && kept;
kept = benchLead() && kept;
kept = (await benchLogbook()) && kept;

process.exitCode = kept ? 0 : 1;
