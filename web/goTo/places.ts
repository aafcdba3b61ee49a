import { plainWords, type Job } from '../../core/job/index.ts';
import type { Plan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';

/** Somewhere one can go by typing a few letters. */
export interface GoPlace {
  readonly to: string;
  readonly name: string;
  /** What kind of thing it is, or where it is found. */
  readonly what: string;
}

const PAGES: readonly GoPlace[] = [
  { to: '/', name: 'Bench', what: 'page' },
  { to: '/?away=true', name: 'What was put away', what: 'page' },
  { to: '/log', name: 'Logbook', what: 'page' },
  { to: '/counts', name: 'Counts: what this shop can divide', what: 'page' },
  { to: '/chart', name: 'Check a chart', what: 'page' },
  { to: '/devices', name: 'Devices: motors, readouts, measuring tools', what: 'page' },
  { to: '/exercises', name: 'Exercises', what: 'page' },
  { to: '/exercises/sheet', name: 'Exercises on paper', what: 'page' },
  { to: '/classes', name: 'Classes', what: 'page' },
  { to: '/jobs/new', name: 'New job', what: 'page' },
  { to: '/jobs/new/drawing', name: 'New gear from a drawing', what: 'new job' },
  { to: '/jobs/new/sample', name: 'New gear from one to copy', what: 'new job' },
  { to: '/jobs/new/blank', name: 'New gear from a piece of metal', what: 'new job' },
  { to: '/jobs/new/shafts', name: 'New pair for two shafts', what: 'new job' },
  { to: '/jobs/new/divide', name: 'New dividing: flats, holes, slots, a rack', what: 'new job' },
  { to: '/jobs/new/worm', name: 'New worm drive', what: 'new job' },
];

/** Where each kind of equipment stands in the shop. */
const TABLES = [
  { id: 'heads', of: 'heads', name: 'Heads and tables' },
  { id: 'gears', of: 'gearSets', name: 'Change gears' },
  { id: 'cutters', of: 'cutters', name: 'Form cutters' },
  { id: 'motors', of: 'steppers', name: 'Motors' },
  { id: 'mills', of: 'mills', name: 'Mills' },
  { id: 'lathes', of: 'lathes', name: 'Lathes' },
  { id: 'materials', of: 'materials', name: 'Materials' },
  { id: 'mandrels', of: 'mandrels', name: 'Mandrels' },
] as const satisfies readonly { readonly id: string; readonly of: keyof Equipment; readonly name: string }[];

const shopPlaces = (shop: Equipment): GoPlace[] =>
  TABLES.flatMap(({ id, of, name }) => [
    { to: `/shop/${id}`, name, what: 'shop' },
    ...shop[of].map((thing) => ({ to: `/shop/${id}`, name: thing.name, what: name.toLowerCase() })),
  ]);

/** The stations that the open job has, each with its answer. */
export const stationPlaces = (job: Job, { parts }: Plan): GoPlace[] =>
  parts.flatMap(({ id, name, stations }) =>
    stations.map((station) => ({
      to: `/jobs/${job.id}/${id}/${station.id}`,
      name: station.title,
      what: `${parts.length > 1 && name ? name : job.name}: ${station.answer}`,
    })),
  );

const LEAST_COUNT = 2;
const MOST_COUNT = 1000;

/** A whole number is a count to be looked up. */
function countPlaces(typed: string): GoPlace[] {
  const count = /^\d{1,4}$/.test(typed) ? Number(typed) : 0;
  return count < LEAST_COUNT || count > MOST_COUNT
    ? []
    : [{ to: `/counts?n=${count}`, name: `${count}: how this shop divides it`, what: 'count' }];
}

const MOST = 12;

/**
 * Where the letters typed lead: names that begin with them first, then those with a word that does, then any
 * that has all of them; the stations of the open job before the shop, and pages last.
 * @param stations of the job that was worked on last; none where there is none
 */
export function placesFor(
  typed: string,
  {
    stations,
    shop,
    jobs,
  }: {
    readonly stations: readonly GoPlace[];
    readonly shop: Equipment | null;
    readonly jobs: readonly GoPlace[];
  },
): readonly GoPlace[] {
  const wanted = plainWords(typed.trim());
  const all = [...stations, ...PAGES, ...(shop ? shopPlaces(shop) : [])];
  if (wanted === '') return all.slice(0, MOST);
  const words = wanted.split(/\s+/);
  const rank = ({ name, what }: GoPlace): number => {
    const said = plainWords(name);
    if (said.startsWith(wanted)) return 0;
    if (said.split(/[\s,:]+/).some((word) => word.startsWith(wanted))) return 1;
    return words.every((word) => `${said} ${plainWords(what)}`.includes(word)) ? 2 : 3;
  };
  const ranked = all
    .map((place) => ({ place, at: rank(place) }))
    .filter(({ at }) => at < 3)
    .sort((a, b) => a.at - b.at)
    .map(({ place }) => place);
  return [...countPlaces(wanted), ...ranked.slice(0, MOST - Math.min(jobs.length, MOST / 2)), ...jobs].slice(
    0,
    MOST,
  );
}
