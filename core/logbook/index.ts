export { compareRuns, logTable, logWords, measuredText, type ComparedLine } from './search.ts';
