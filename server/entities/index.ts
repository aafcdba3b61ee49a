export { entities, JobRow, KeptVersionRow, PictureRow, RunEventRow, RunRow, ShopRow } from './rows.ts';
