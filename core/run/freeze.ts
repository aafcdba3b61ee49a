import { exact, lengthText } from '../units/index.ts';
import {
  aimFrom,
  landingOf,
  lineAim,
  runChoice,
  spaceAt,
  type Aim,
  type DividingDetail,
} from '../dividing/index.ts';
import { fail, ok, type Result } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { beforeCutting, stationOf, whatItIs, type Cutting, type PartPlan, type Plan } from '../plan/index.ts';
import { firstTouchReads, safeAtDepth, type Deepening } from '../setup/index.ts';
import { firstMetal } from './places.ts';
import type { Equipment } from '../shop/index.ts';
import { RUN_FORMAT, RUN_VERSION, type Cut, type Piece, type Run } from './schema.ts';

interface Start {
  readonly runId: string;
  readonly jobRevision: number;
  readonly partId: string;
  /** The work itself, unless said otherwise. */
  readonly piece?: Piece;
  /** A run that was begun under another plan, and how many of its cuts are made. */
  readonly continues?: { readonly run: Run; readonly done: number } | null;
  /** A run whose gear measured thick: once round again, mm deeper than it was cut. */
  readonly deepens?: {
    readonly run: Run;
    readonly by: number;
    readonly register: 'kept' | 'found';
  } | null;
}

type FrozenMotion = Pick<Run, 'cuts' | 'closing'>;

/** What is divided, as the station planned it. */
function aimOf({ aim, line, inForce }: DividingDetail): Aim | null {
  if (aim) return aimFrom(aim);
  return line && inForce ? lineAim(line.spaces, exact(inForce.choice.advance)) : null;
}

/**
 * Every cut in order, from the motion of the head. On plates the count of holes runs on from round to round;
 * readings and a part of a turn begin afresh.
 */
function frozenMotion(
  { aim, choice, ratio }: { readonly aim: Aim; readonly choice: Run['move']; readonly ratio: string },
  {
    startSpace,
    rounds,
    skip,
  }: { readonly startSpace: number; readonly rounds: number; readonly skip: number },
): FrozenMotion {
  const { spaces, full } = aim;
  const read = choice.method === 'handwheel' || choice.method === 'table' || choice.method === 'stepper';
  const runsOn = full && !read;
  const R = exact(ratio);
  const motion = runChoice(R, choice, runsOn ? spaces * rounds : spaces);
  const cuts: Cut[] = [];
  for (let round = 1; round <= rounds; round += 1) {
    for (let index = 1; index <= spaces; index += 1) {
      const nth = (round - 1) * spaces + index - 1;
      if (nth < skip) continue;
      // what goes on with another run begins afresh at the last space that was cut, wherever that is
      const begun = runsOn ? skip : Math.max(0, skip - (round - 1) * spaces);
      const at = (runsOn ? nth : index - 1) - begun;
      cuts.push({
        round,
        index,
        space: spaceAt(aim, index, startSpace),
        landing: landingOf({ ratio: R, choice, motion, at }),
      });
    }
  }
  const last = runsOn
    ? spaces * rounds - skip
    : spaces - Math.max(0, Math.min(spaces, skip - (rounds - 1) * spaces));
  return { cuts, closing: full ? landingOf({ ratio: R, choice, motion, at: last }) : null };
}

/** Said by the first prompts of every run, with the hole or reading that is zero. */
const SAID_AT_THE_START: ReadonlySet<string> = new Set(['warm-up', 'zero', 'ring', 'arms']);

/** What is left to do on the head before the first prompts of a run. */
export const leftToPrepare = (preparation: DividingDetail['preparation']): DividingDetail['preparation'] =>
  preparation.filter(({ key }) => !SAID_AT_THE_START.has(key));

/** The rounds of a run; null when a gear is to be sunk deeper that was cut without a depth. */
function roundsOf({ rounds }: Cutting, { deepens, continues }: Start): Run['rounds'] | null {
  // whoever sinks a gear goes on sinking it as deep, whatever the card now says
  if (continues?.run.deepens) return continues.run.rounds;
  if (!deepens) return rounds;
  const cutTo = deepens.run.rounds.at(-1)!.depthMm;
  return cutTo === null ? null : [{ name: 'deeper', depthMm: cutTo + deepens.by }];
}

/** Where the table is clear with the cutter sunk deeper than the card says. */
function safeDeeper(part: PartPlan, rounds: Run['rounds']): Cutting['safe'] {
  const detail = stationOf(part, 'setup')?.detail;
  const depth = rounds.at(-1)?.depthMm ?? null;
  return detail && depth !== null ? safeAtDepth(detail, depth) : null;
}

/** How deep the first cut of a run goes that takes metal, and how deep its space was cut before. */
function firstCutOf(run: Pick<Run, 'cuts' | 'rounds' | 'continues' | 'deepens'>): Deepening | null {
  const first = run.cuts[firstMetal(run)];
  const depth = first && run.rounds[first.round - 1]!.depthMm;
  if (!first || depth === null || depth === undefined) return null;
  const cutTo = run.deepens ? depth - run.deepens.by : (run.rounds[first.round - 2]?.depthMm ?? 0);
  return cutTo < depth ? { depth, cutTo } : null;
}

/** The readings of a run, with what the table is set to where they are counted from. */
function safeOf(part: PartPlan, safe: Cutting['safe'], first: Deepening | null): Run['safe'] {
  if (safe?.way !== 'along') return safe;
  const detail = stationOf(part, 'setup')?.detail;
  return { ...safe, firstTouch: detail && first ? firstTouchReads(detail, safe.approach, first) : null };
}

function deeperText(rounds: Run['rounds'], by: number, units: Job['units']): string {
  const figure = (mm: number) => lengthText(mm, units, 'fine');
  return `once more round, ${figure(rounds.at(-1)!.depthMm!)} deep, ${figure(by)} more than before`;
}

function lacking(part: PartPlan): string {
  const titles = beforeCutting(part)
    .filter((station) => !station.complete)
    .map((station) => station.title);
  return titles.join(', ') || 'the card';
}

/**
 * Freezes a part's plan into a run: equipment, moves and every cut in order. Holes are counted from the hole
 * in which the pin stands for the first space cut, and come from the motion model.
 * @param shop today's equipment, for a job that has no copy of its own
 * Issues: not-found, not-ready-to-cut, continue-other, continue-none, continue-order, deepen-other
 */
export function freezeRun({
  job,
  planned,
  shop,
  start,
}: {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  readonly start: Start;
}): Result<Run> {
  const part = planned.parts.find(({ id }) => id === start.partId);
  const wrong = { path: '', severity: 'wrong' } as const;
  if (!part) {
    return fail({
      ...wrong,
      code: 'not-found',
      path: 'partId',
      given: start.partId,
      detail: { what: 'part' },
    });
  }
  const detail = stationOf(part, 'dividing')?.detail;
  const choice = detail?.inForce?.choice;
  const aim = detail && aimOf(detail);
  const find = <T extends { readonly id: string }>(things: readonly T[], id: string | undefined) =>
    things.find((thing) => thing.id === id) ?? null;
  const head = aim && detail.aim ? find([...job.equipment.heads, ...shop.heads], detail.head?.id) : null;
  const mill = aim && detail.line ? find([...job.equipment.mills, ...shop.mills], detail.mill?.id) : null;
  if (!part.cutting || !choice || !aim || (!head && !mill))
    return fail({ ...wrong, code: 'not-ready-to-cut', allowed: `look at ${lacking(part)} first` });

  const {
    divisions,
    divides,
    full,
    helix,
    laid,
    touchOn,
    mount,
    minutesPerCut,
    running,
    outside,
    bore,
    mesh,
  } = part.cutting;
  const from = start.continues ?? null;
  const thick = start.deepens ?? null;
  /** Cut as another part, or in other spaces: what was begun there cannot be gone on with here. */
  const isOther = (run: Run) =>
    run.jobId !== job.id || run.partId !== part.id || run.divisions !== divisions || run.full !== full;
  const rounds = thick && isOther(thick.run) ? null : roundsOf(part.cutting, start);
  if (!rounds) {
    const detail = { was: thick!.run.divisions };
    return fail({ ...wrong, code: 'deepen-other', path: 'deepens', given: String(divisions), detail });
  }
  if (from && (isOther(from.run) || from.run.rounds.length !== rounds.length))
    return fail({
      ...wrong,
      code: 'continue-other',
      path: 'continues',
      given: String(divisions),
      detail: { was: from.run.divisions, rounds: from.run.rounds.length },
    });
  if (from && (from.done < 1 || from.done >= from.run.cuts.length))
    return fail({ ...wrong, code: 'continue-none', path: 'continues' });
  const lastCut = from?.run.cuts[from.done - 1] ?? null;
  const startSpace = from ? from.run.startSpace : part.cutting.startSpace;
  // spaces that were cut in another order would be cut twice, or never
  const otherOrder = from?.run.cuts
    .slice(0, from.done)
    .some(({ index, space }) => spaceAt(aim, index, startSpace) !== space);
  if (otherOrder) return fail({ ...wrong, code: 'continue-order', path: 'continues' });
  const skip = lastCut ? (lastCut.round - 1) * divisions + lastCut.index - 1 : 0;
  const deepens: Run['deepens'] = thick
    ? { runId: thick.run.id, by: thick.by, register: thick.register }
    : from?.run.deepens
      ? { ...from.run.deepens, register: 'found' }
      : null;
  const continues: Run['continues'] = from && { runId: from.run.id, done: from.done };
  const motion = frozenMotion(
    { aim, choice, ratio: head?.ratio ?? '1' },
    { startSpace, rounds: rounds.length, skip },
  );
  return ok({
    format: RUN_FORMAT,
    version: RUN_VERSION,
    id: start.runId,
    jobId: job.id,
    partId: part.id,
    jobRevision: start.jobRevision,
    jobName: job.name,
    gear: whatItIs(part),
    units: job.units,
    divisions,
    divides,
    full,
    startSpace,
    head,
    mill,
    move: choice,
    rounds,
    helix,
    laid,
    touchOn,
    piece: start.piece ?? thick?.run.piece ?? { kind: 'work', name: '' },
    continues,
    deepens,
    mount,
    // whoever sinks a gear that still stands as it closed changes nothing on the head
    preparation: thick?.register === 'kept' ? [] : leftToPrepare(detail.preparation),
    safe: safeOf(
      part,
      deepens ? safeDeeper(part, rounds) : part.cutting.safe,
      firstCutOf({ cuts: motion.cuts, rounds, continues, deepens }),
    ),
    minutesPerCut,
    running,
    outside,
    bore,
    ...(mesh ? { mesh } : {}),
    measured: part.stations.some(({ id }) => id === 'inspect'),
    card: part.stations
      .filter(({ id }) => id !== 'inspect')
      .map(({ id, number, title, answer }) => ({
        number,
        title,
        answer: (deepens && id === 'cut' ? deeperText(rounds, deepens.by, job.units) : answer).slice(0, 300),
      })),
    ...motion,
  });
}
