import { stationOf, whatItIs } from '../plan/index.ts';
import { promptSheet } from '../prompts/index.ts';
import { listBlock, rowsBlock, type PartSheet, type Sheet, type SheetBlock } from './blocks.ts';
import { centreBlock, latheBlock, swingBlock, trainBlocks } from './drawings.ts';
import { twoColumns } from './columns.ts';
import { runWouldBe } from '../run/index.ts';
import type { SheetAsked, PartAsked } from './asked.ts';
import { machinesOf, headRows, openBlocks } from './heading.ts';
import { dataRows, ownRows, setupRows, dialAside } from './sizes.ts';
import { holdingLines, dividingBlocks, boxBlocks, finishing } from './cutting.ts';
import { inspectBlocks, workingBlocks, spacesBlocks, holeBlocks } from './tables.ts';

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
    parts: parts.map((part) => sheetOf({ ...asked, part, units: job.units, run: runWouldBe(asked, part) })),
  };
}
