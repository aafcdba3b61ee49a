import { wordsOfDivided } from '../cut/index.ts';
import { choiceText, smallAngleText } from '../dividing/index.ts';
import { stationOf } from '../plan/index.ts';
import { roundName } from '../prompts/index.ts';
import { dueCheck } from '../run/index.ts';
import { capital, lengthText, otherSystem, plural } from '../units/index.ts';
import { listBlock, type SheetBlock } from './blocks.ts';
import { plateBlock } from './drawings.ts';
import { boxesOf, nameOf, standsSaid } from './figures.ts';
import type { PartAsked } from './asked.ts';

/** How the work is held and which way it is pushed. */
export function holdingLines({ part }: PartAsked): readonly string[] {
  const detail = stationOf(part, 'setup')?.detail;
  return (detail?.reasons ?? []).map(
    ({ say, why, against }) => `${against ? 'Question: ' : ''}${say}: ${why}.`,
  );
}

/** How it is divided, with what the proof says. */
export function dividingBlocks({ part, run, job }: PartAsked): readonly SheetBlock[] {
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
      ? `Proved by its motion: every place exact${detail.aim?.full ? ', and it closes' : ''}.`
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
  return `${lengthText(depthMm, units, 'fine')} deep${dial === '' ? '' : `; from the touch: ${dial}`}`;
}

/** Boxes for each round, and what is looked at on the way. */
export function boxBlocks(asked: PartAsked): readonly SheetBlock[] {
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
export function finishing({ part, job }: PartAsked): readonly string[] {
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
