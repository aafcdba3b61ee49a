export { bindTo, issuesBelow, type FieldIssues } from './fields.ts';
export { useOfferedWay } from './offeredWay.ts';
export type { StationProps } from './stationProps.ts';
