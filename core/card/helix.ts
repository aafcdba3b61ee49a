import { runChoice, type Aim, type DividingFacts, type LeadGearing } from '../dividing/index.ts';
import type { SpurSizes } from '../gear/index.ts';
import { trainText } from '../gearing/index.ts';
import { positionsOf, proveHelix, type LeadDetail, type LeadFacts, type LeadWork } from '../lead/index.ts';
import { approx, dmsText, exact, type Exact } from '../units/index.ts';
import type { HelixCutting } from './types.ts';

const placesOf = (train: LeadFacts['train'], drive: LeadFacts['drive']): string =>
  positionsOf({ train }, drive)
    .map(({ where, teeth }) => `${teeth} ${where[0]!.toLowerCase()}${where.slice(1)}`)
    .join(', ');

/**
 * How the lead binds the dividing: its gears stand on the head. @param drive as asked for, also while no
 * train is known
 */
export const gearingOf = (facts: LeadFacts | null, drive: LeadFacts['drive']): LeadGearing => ({
  drive,
  gears: facts ? placesOf(facts.train, drive) : '',
  train: facts ? `lead ${trainText(facts.train)}` : '',
  idlers: facts?.idlers ?? 0,
});

/** The spaces by the motion of the head, each run over the face by the motion of table and train. */
export function withProof(
  lead: LeadWork,
  dividing: DividingFacts | null,
  { sizes, face, aim }: { readonly sizes: SpurSizes | null; readonly face: Exact | null; readonly aim: Aim },
): LeadWork {
  const { facts } = lead;
  if (!facts || !dividing || !sizes || !face) return lead;
  const { denominator, states } = runChoice(
    exact(dividing.head?.ratio ?? '1'),
    dividing.way.choice,
    aim.spaces - 1,
  );
  const proof = proveHelix(
    facts,
    states.map(({ spindle }) => exact(spindle, denominator)),
    { face, drawn: lead.detail.wanted!, pitchDiameter: approx(sizes.pitchDiameter) },
  );
  return { ...lead, detail: { ...lead.detail, proof } };
}

const WAY = {
  away: 'right end away from you',
  towards: 'right end towards you',
  right: 'its top to the right',
  left: 'its top to the left',
} as const;

/** How table or head stands, in words. */
export function settingWords(table: NonNullable<LeadDetail['table']>): string {
  const angle = dmsText(exact(table.scale.toFixed(6)));
  const what = table.by === 'head' ? 'head tilted' : 'table swung';
  return `${what} ${angle}, ${WAY[table.way]}${table.arborAlong ? ', arbor along the table' : ''}`;
}

/** What a run keeps of the lead. */
export const helixCutting = (facts: LeadFacts, { table }: LeadDetail): HelixCutting => ({
  hand: facts.hand,
  drive: facts.drive,
  gears: placesOf(facts.train, facts.drive),
  idlers: facts.idlers,
  lead: approx(facts.lead),
  by: table?.by ?? 'table',
  setting: table ? settingWords(table) : '',
});
