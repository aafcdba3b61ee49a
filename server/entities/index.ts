export {
  ClassRow,
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
