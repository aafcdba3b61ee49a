export {
  BenchRow,
  ClassRow,
  DeviceRow,
  entities,
  JobRow,
  KeptVersionRow,
  LearnerRow,
  PictureRow,
  RunEventRow,
  RunRow,
  ShopRow,
  TryRow,
} from './rows.ts';
