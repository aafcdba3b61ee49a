import type { BendQuestion, LeadQuestion } from '../../core/lead/index.ts';
import { useAnswer } from './useAnswer.ts';

/** The longer search for trains of a lead. @param question null asks nothing, and stops what is under way */
export const useLeads = (question: LeadQuestion | null) => useAnswer('searchLeads', question && [question]);

/** Angles that the gears cut. @param question null asks nothing, and stops what is under way */
export const useBends = (question: BendQuestion | null) => useAnswer('searchBends', question && [question]);
