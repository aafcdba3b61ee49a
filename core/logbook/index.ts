export {
  compareRuns,
  logTable,
  measuredText,
  outcomeOf,
  OUTCOMES,
  searchLog,
  type ComparedLine,
  type LogFilter,
  type Outcome,
} from './search.ts';
