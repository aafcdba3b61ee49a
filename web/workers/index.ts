export type { CutterErrors } from './formWork.ts';
export type { Answered, Broken } from './useAnswer.ts';
export { useFormErrors, useTemplate } from './useForm.ts';
export { useBestWays, useReach, useWays } from './useWays.ts';
export { useBends, useLeads } from './useLead.ts';
export { WorkBroke } from './WorkBroke.tsx';
