import type { BendAnswer, BendQuestion, LeadQuestion, LeadWay } from '../../core/lead/index.ts';
import { useAnswer } from './useAnswer.ts';

/** The longer search for trains of a lead. @returns null while searching, or while there is nothing to search for */
export function useLeads(question: LeadQuestion | null): readonly LeadWay[] | null {
  return useAnswer(question && JSON.stringify(question), (remote, asked) =>
    remote.searchLeads(JSON.parse(asked) as LeadQuestion),
  );
}

/** Angles that the gears cut. @param question null stops a search that is under way @returns null while searching */
export function useBends(question: BendQuestion | null): BendAnswer | null {
  return useAnswer(question && JSON.stringify(question), (remote, asked) =>
    remote.searchBends(JSON.parse(asked) as BendQuestion),
  );
}
