import { bracketRefuses, clearsStud, gearsIn, tableOfGears } from '../gearing/index.ts';
import type { GearSet, Head } from '../shop/index.ts';
import { approx, exact, exactText, degreesOf } from '../units/index.ts';
import { findLeadTrains, usualLeadIdlers, type LeadAsked, type LeadTrain } from './leadTrains.ts';
import type { LeadWay } from './types.ts';

export function wayOfTrain(found: LeadTrain, head: Head, hand: 'right' | 'left'): LeadWay {
  const { train, lead } = found;
  const idlers = usualLeadIdlers(train, hand);
  return {
    train,
    gears: gearsIn(train),
    idlers,
    lead: approx(lead),
    leadText: exactText(lead),
    helixDeg: degreesOf(found.helixAngle),
    overFace: found.overFace,
    clears: clearsStud(train),
    refused: bracketRefuses(head.differential, train, idlers),
  };
}

/**
 * The longer search: the best of every train of two, four and, where asked for, six gears. Run it off the
 * thread that draws.
 */
export function searchLeads(
  { gears, machine, asked, compound, six, head, hand }: LeadQuestion,
  most = 50,
): readonly LeadWay[] {
  const found = findLeadTrains({
    table: tableOfGears(gears),
    machine: exact(machine),
    asked,
    leadSearch: { compound, six, most },
  });
  return found.map((train) => wayOfTrain(train, head, hand));
}

/** What a longer search is asked, as plain data. */
export interface LeadQuestion {
  readonly gears: GearSet['gears'];
  /** Exact text, mm. */
  readonly machine: string;
  readonly asked: LeadAsked;
  readonly compound: boolean;
  readonly six: boolean;
  readonly head: Head;
  readonly hand: 'right' | 'left';
}
