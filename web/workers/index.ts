export type { CutterErrors } from './formWork.ts';
export { useFormErrors, useTemplate } from './useForm.ts';
export { useBestWays, useReach, useWays } from './useWays.ts';
export { useBends, useLeads } from './useLead.ts';
