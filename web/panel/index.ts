export { bindTo, issuesBelow, type FieldIssues } from './fields.ts';
export type { StationProps } from './stationProps.ts';
