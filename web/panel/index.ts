export type { StationProps } from './stationProps.ts';
