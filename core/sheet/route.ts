import { wordsOfDivided } from '../cut/index.ts';
import {
  choiceText,
  indexingTable,
  landingGround,
  landingText,
  smallAngleText,
  aimFrom,
} from '../dividing/index.ts';
import type { Job } from '../job/index.ts';
import { sayIssue } from '../messages/index.ts';
import { stationOf, whatItIs, type AnyStationPlan, type PartPlan, type Plan } from '../plan/index.ts';
import { promptSheet, roundName } from '../prompts/index.ts';
import { dueCheck, freezeRun, type Run } from '../run/index.ts';
import { CLEAR_BY, feedText, rpmText, timeText } from '../setup/index.ts';
import type { Equipment } from '../shop/index.ts';
import {
  capital,
  decimalText,
  degreesText,
  exact,
  lengthText,
  otherSystem,
  plural,
  type UnitSystem,
} from '../units/index.ts';
import {
  listBlock,
  row,
  rowsBlock,
  type PartSheet,
  type Sheet,
  type SheetBlock,
  type SheetRow,
} from './blocks.ts';
import { centreBlock, latheBlock, plateBlock, swingBlock, trainBlocks } from './drawings.ts';
import { boxesOf, lengthRow, nameOf, standsSaid, valueRows } from './figures.ts';
import { twoColumns } from './columns.ts';
import { plainTex } from './plainTex.ts';

/** What is wanted on paper besides what always is. */
export interface SheetSet {
  /** Every line of working. */
  readonly working: boolean;
  /** A table of every space. */
  readonly spaces: boolean;
}

export interface SheetAsked {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  /** Of the job as stored; 0 where it is stored nowhere. */
  readonly revision: number;
  /** When it was stored, as it is said; empty where it is stored nowhere. */
  readonly stored: string;
  /** What a camera opens; null where the shop's address is not known. */
  readonly address: string | null;
  readonly set: SheetSet;
  /** One part alone; left out: all of them. */
  readonly partId?: string | undefined;
}

interface PartAsked extends SheetAsked {
  readonly part: PartPlan;
  readonly run: Run | null;
  readonly units: UnitSystem;
}

/** The run that would be frozen now; null while something it needs is missing. */
function runOf({ job, planned, shop, revision }: SheetAsked, part: PartPlan): Run | null {
  if (!part.cutting) return null;
  const start = { runId: 'on-paper', jobRevision: Math.max(1, revision), partId: part.id };
  const run = freezeRun({ job, planned, shop, start });
  return run.ok ? run.value : null;
}

/** What it is made with, by the owner's names. */
function machinesOf({ part }: PartAsked): string {
  const dividing = stationOf(part, 'dividing')?.detail;
  const setup = stationOf(part, 'setup')?.detail;
  const cutter = stationOf(part, 'cutter')?.detail;
  const lathe = stationOf(part, 'lathe')?.detail.lathe;
  const mandrel = setup?.mandrels.find(({ fits }) => fits === true);
  // along a line the table divides, and no head stands on it
  const divides = dividing?.inForce?.choice.method === 'table' ? null : dividing?.head;
  const head = divides && `${divides.name}, ${decimalText(exact(divides.ratio))} : 1`;
  const sizes = setup?.cutter;
  const cutterSize =
    sizes && sizes.diameter !== null && sizes.width !== null
      ? `, Ø ${decimalText(sizes.diameter, 2)} × ${decimalText(sizes.width, 2)} mm`
      : '';
  return [
    head,
    dividing?.plate && `plate ${dividing.plate.plateName}`,
    setup?.mill?.name ?? dividing?.mill?.name,
    cutter?.inForce
      ? `cutter ${cutter.inForce.name}${cutterSize}`
      : cutter?.chosen && `cutter ${stationOf(part, 'cutter')!.answer}${cutterSize}`,
    mandrel?.name,
    lathe?.name,
  ]
    .filter(Boolean)
    .join(' · ');
}

function headRows({ part, job, revision, stored }: PartAsked): readonly SheetRow[] {
  const material = stationOf(part, 'setup')?.detail.material?.name ?? '';
  return [
    row('Material', material),
    row('Heat or batch', ''),
    row('For', job.person),
    row('Cut by', ''),
    row('Date', ''),
    row('Card', revision > 0 ? `revision ${revision}${stored ? `, ${stored}` : ''}` : 'not stored'),
  ];
}

/** What still has to be said before it can be cut, station by station. */
function openBlocks({ part }: PartAsked): readonly SheetBlock[] {
  return part.stations.flatMap((station): SheetBlock[] => {
    const stops = station.issues.filter(
      ({ severity }) => severity === 'needed' || severity === 'wrong' || severity === 'blocked',
    );
    const said = [...new Set(stops.map(sayIssue))];
    if (station.state === 'doubt')
      return [{ kind: 'said', tone: 'open', lead: `${station.title} is in doubt:`, text: station.answer }];
    if (station.complete || station.id === 'inspect' || said.length === 0) return [];
    return [{ kind: 'said', tone: 'open', lead: `Open: ${station.title}.`, text: said.join(' ') }];
  });
}

/** The block of data that a works drawing of a gear has, and how it is measured. */
function dataRows({ part, units }: PartAsked): readonly SheetRow[] {
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

const CHECK_PLACES = { mm: 3, in: 4 } as const;

/** Stations that have no place of their own on a sheet, each with its figures. */
const ROWS_OF = ['lead', 'lathe', 'worm', 'wheel'] as const;

const ownRows = (part: PartPlan, units: UnitSystem): readonly SheetBlock[] =>
  ROWS_OF.flatMap((id) => {
    const station = stationOf(part, id) as AnyStationPlan | null;
    return station ? rowsBlock(station.title, valueRows(station, units)) : [];
  });

/** How it is measured: what to set, what it should read, and a line for what it reads. */
function inspectBlocks({ part, units }: PartAsked): readonly SheetBlock[] {
  const checks = stationOf(part, 'inspect')?.detail.checks.filter(({ out }) => out === null) ?? [];
  if (checks.length === 0) return [];
  const figure = (mm: number, system: UnitSystem) => lengthText(mm, system, 'fine');
  return [
    {
      kind: 'table',
      title: 'Inspection',
      aside: '',
      heading: ['by', 'set', 'should read', `${otherSystem(units)}`, 'within', 'reads'],
      rows: checks.map(({ name, set, should, within }) => [
        name,
        set,
        figure(should, units),
        figure(should, otherSystem(units)),
        within === null ? '' : `± ${(units === 'mm' ? within : within / 25.4).toFixed(CHECK_PLACES[units])}`,
        '',
      ]),
    },
  ];
}

/** Speeds, feeds, the middle, depths, where it is clear: in length, and in turns and marks of this mill. */
function setupRows({ part, units }: PartAsked): readonly SheetRow[] {
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
                  other: tableDial.firstTouch,
                }),
              ]
            : []),
          row(
            indexAt === 'entry' ? 'Index before the touch, past' : 'First touch at full depth',
            lengthText(0, units),
            {
              strong: indexAt === 'entry',
              other: `and ${lengthText(CLEAR_BY, units)} more`,
            },
          ),
          lengthRow('Through: the whole face at depth', stroke.through, units, {
            finish: 'shop',
            other: tableDial.through,
          }),
          lengthRow(
            indexAt === 'exit' ? 'Index after' : 'Clear on the far side',
            stroke.clearAfter,
            units,
            indexAt === 'exit'
              ? { ...clear, other: tableDial.clearAfter }
              : { finish: 'shop', other: tableDial.clearAfter },
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
            other: chosen.dial ?? '',
          }),
        ]
      : []),
    ...depths.map(({ name, mm, dial }) => lengthRow(`Depth dial, ${name}`, mm, units, { other: dial })),
    ...along,
    ...(sink
      ? [
          lengthRow('Sunk in place to', sink.depth, units, { other: sink.dial }),
          row('Index only drawn out past', lengthText(0, units), {
            strong: true,
            other: `and ${lengthText(CLEAR_BY, units)} more`,
          }),
        ]
      : []),
    ...(minutes === null ? [] : [row('For the whole of it', `about ${timeText(minutes)}`)]),
  ];
}

/** How the work is held and which way it is pushed. */
function holdingLines({ part }: PartAsked): readonly string[] {
  const detail = stationOf(part, 'setup')?.detail;
  return (detail?.reasons ?? []).map(
    ({ say, why, against }) => `${against ? 'Question: ' : ''}${say}: ${why}.`,
  );
}

/** How it is divided, with what the proof says. */
function dividingBlocks({ part, run, job }: PartAsked): readonly SheetBlock[] {
  const detail = stationOf(part, 'dividing')?.detail;
  const way = detail?.inForce;
  if (!detail || !way) return [];
  const { armsHoles, proof, geared, choice } = way;
  const lines = [
    ...(armsHoles === null
      ? []
      : [`Arms: ${plural(armsHoles - 1, 'space')}, ${armsHoles} holes with the pin’s own.`]),
    ...(geared
      ? [
          `Gears for the plate: ${choiceText(choice).replace(/^.*gears /, '')}; ${geared.idlers === 0 ? 'no idler' : plural(geared.idlers, 'idler')}, usually. Turn the crank: the plate must turn ${geared.plateTurns} it.`,
        ]
      : []),
    proof.everySpaceTrue && proof.closes
      ? 'Proved by the motion of the head: every place exact, and it closes.'
      : `Not exact: the worst place is off by ${detail.line ? lengthText(Math.abs(proof.worst.turns), job.units, 'fine') : smallAngleText(proof.worst.turns)}.`,
  ];
  return [
    ...plateBlock(part, run),
    ...listBlock('Dividing', lines, {
      large: way.words.replace(/, gears.*$/, ''),
      numbered: false,
      aside: (choice.method === 'table' ? detail.mill : detail.head)?.name ?? '',
    }),
  ];
}

/** How deep a round goes, and that on the dial. */
function depthSaid({ part, run, units }: PartAsked, index: number, depthMm: number): string {
  const before = run!.rounds.slice(0, index).filter((each) => each.depthMm !== null).length;
  const dial = stationOf(part, 'setup')?.detail.depths[before]?.dial ?? '';
  return `${lengthText(depthMm, units, 'fine')} deep${dial === '' ? '' : `; dial from the touch: ${dial}`}`;
}

/** Boxes for each round, and what is looked at on the way. */
function boxBlocks(asked: PartAsked): readonly SheetBlock[] {
  const { run, units } = asked;
  if (!run) return [];
  const check = run.cuts.map((cut) => dueCheck(run, cut)).find((each) => each !== null);
  const checks: SheetBlock[] = check
    ? [
        {
          kind: 'said',
          tone: 'plain',
          lead: `Half-way, after ${nameOf(run, check.to)}:`,
          text: `from an edge of ${nameOf(run, check.from)} to the same edge of ${check.middle}, and from there to ${check.to}: ${lengthText(check.chord, units, 'fine')} each (${lengthText(check.chord, otherSystem(units), 'fine')}); one too many or too few changes it by ${lengthText(check.perSpace, units, 'fine')}. Read: ____________ ____________`,
        },
      ]
    : [];
  const boxes = run.rounds.map(({ depthMm }, i): SheetBlock => ({
    kind: 'boxes',
    title: `${capital(wordsOfDivided(run.divides).many)}, ${roundName(run, i + 1)}`,
    aside: depthMm === null ? '' : depthSaid(asked, i, depthMm),
    boxes: boxesOf(run, i + 1),
  }));
  return [
    ...boxes,
    { kind: 'said', tone: 'plain', lead: '', text: `${capital(standsSaid(run))}.` },
    ...checks,
  ];
}

/** What is done when the last is cut. Common practice. */
function finishing({ part, job }: PartAsked): readonly string[] {
  const stacked = stationOf(part, 'setup')?.detail;
  const own = job.parts.find(({ id }) => id === part.id);
  const blanks = stacked && own && 'setup' in own ? own.setup.blanks.typed.trim() : '1';
  return [
    'Count what was cut, once round, before it leaves the head.',
    ...(blanks !== '' && blanks !== '1' ? ['Part or take the blanks from each other; mark each.'] : []),
    'Deburr, and break the edges: both faces, every tooth.',
    'Try it in its place before the set-up is taken down.',
  ];
}

function workingBlocks({ part }: PartAsked): readonly SheetBlock[] {
  return part.stations.flatMap((station): SheetBlock[] =>
    station.working.length === 0
      ? []
      : [
          {
            kind: 'table',
            title: `Working: ${station.title}`,
            aside: 'lengths in mm',
            heading: ['', 'formula', 'figures put in', 'result', 'after'],
            rows: station.working.map(({ label, formula, put, result, source }) => [
              label,
              plainTex(formula),
              plainTex(put),
              plainTex(result),
              source,
            ]),
          },
        ],
  );
}

/** The table of every space, in the order of cutting. */
function spacesBlocks({ part, run }: PartAsked): readonly SheetBlock[] {
  const detail = stationOf(part, 'dividing')?.detail;
  if (!run || !detail?.inForce || !detail.aim) return [];
  const ratio = exact(detail.head?.ratio ?? '1');
  const { choice } = detail.inForce;
  const rows = indexingTable({ ratio, choice, aim: aimFrom(detail.aim), start: run.startSpace });
  const ground = landingGround(choice, ratio);
  const name = wordsOfDivided(run.divides).one;
  return [
    {
      kind: 'table',
      title: 'Table of every place',
      aside: choiceText(choice),
      heading: ['order', name, 'move to it', 'stands at', 'turns of the crank', 'place', 'off by'],
      rows: rows.map((each) => [
        String(each.index),
        String(each.space),
        each.index === 1 ? 'the start' : landingText(each.landing, ground),
        'hole' in each.landing ? `hole ${each.landing.hole}` : '',
        each.crankTurns === null ? '' : decimalText(exact(each.crankTurns), 4),
        degreesText(exact(each.place)),
        smallAngleText(each.off),
      ]),
    },
  ];
}

/** The holes of a plate that is to be made, in the order of drilling. */
function holeBlocks({ part, job }: PartAsked): readonly SheetBlock[] {
  const own = job.parts.find(({ id }) => id === part.id);
  const made = stationOf(part, 'dividing')?.detail.made;
  // only where the plate was spoken of: every part has one laid ready
  if (!made || !own || !('dividing' in own) || stationOf(part, 'dividing')!.detail.inForce !== null)
    return [];
  return [
    {
      kind: 'table',
      title: `${made.use === 'ring' ? 'Ring' : 'Plate'} of ${made.holes} to drill`,
      aside: 'mm from the middle, to the right and away from you; in the order of drilling',
      heading: ['order', 'hole', 'X', 'Y'],
      rows: made.drilling.map(({ hole, x, y }, i) => [
        String(i + 1),
        String(hole),
        x.toFixed(3),
        y.toFixed(3),
      ]),
    },
  ];
}

function sheetOf(asked: PartAsked): PartSheet {
  const { part, job, units, run, set } = asked;
  const cautions = [
    ...new Map(
      part.stations.flatMap(({ cautions: each }) => each.map((caution) => [caution.code, caution] as const)),
    ).values(),
  ];
  const lessons = part.stations.flatMap((station) => station.lessons.map(({ text }) => text));
  const stretches = run ? promptSheet(run) : [];
  const halves = twoColumns([
    latheBlock(part, units),
    rowsBlock(stationOf(part, 'gear') ? 'The gear' : 'What it is', dataRows(asked)),
    dividingBlocks(asked),
    rowsBlock('Setting up', setupRows(asked), dialAside(asked)),
    trainBlocks(part),
    ...ownRows(part, units).map((block) => [block]),
    swingBlock(part),
    centreBlock(part, units),
  ]);
  return {
    partId: part.id,
    title: part.name ? `${job.name}: ${part.name}` : job.name,
    what: whatItIs(part),
    machines: machinesOf(asked),
    head: headRows(asked),
    blocks: [
      ...openBlocks(asked),
      halves,
      ...boxBlocks(asked),
      ...cautions.map(({ when, text }): SheetBlock => ({
        kind: 'said',
        tone: 'caution',
        lead: `${when}:`,
        text,
      })),
      ...lessons.map((text): SheetBlock => ({ kind: 'said', tone: 'plain', lead: 'Learnt before:', text })),
      ...stretches.map(({ title, lines }) => listBlock(title, lines)).flat(),
      ...listBlock('Held so, because', holdingLines(asked), { numbered: false }),
      ...inspectBlocks(asked),
      ...listBlock('Afterwards', run ? finishing(asked) : [], { numbered: false }),
      { kind: 'blanks', labels: ['Measured', 'Cut by', 'Date'] },
      ...holeBlocks(asked),
      ...(set.spaces ? spacesBlocks(asked) : []),
      ...(set.working ? workingBlocks(asked) : []),
      ...(asked.planned.parts[0]?.id === part.id
        ? [{ kind: 'pictures', about: `job/${job.id}`, alone: true } as const]
        : []),
      { kind: 'pictures', about: `job/${job.id}/${part.id}`, alone: false },
    ],
  };
}

/** The dial that turns and marks are of. */
function dialAside({ part }: PartAsked): string {
  const mount = stationOf(part, 'setup')?.detail.mount;
  if (!mount?.dial || mount.readout) return '';
  return `depth dial: ${decimalText(mount.dial.lead, 4)} mm a turn, ${mount.dial.marks} marks`;
}

/**
 * A job on paper: a sheet for each part, as hands need it. Pure: figures, prompts and drawings are the plan's
 * and the run's own.
 */
export function routeSheet(asked: SheetAsked): Sheet {
  const { job, planned, partId, address, revision, stored } = asked;
  const parts = planned.parts.filter(({ id }) => partId === undefined || id === partId);
  return {
    name: job.name,
    address,
    foot:
      revision > 0 ? `card as stored${stored ? ` on ${stored}` : ''}, revision ${revision}` : 'not stored',
    parts: parts.map((part) => sheetOf({ ...asked, part, units: job.units, run: runOf(asked, part) })),
  };
}
