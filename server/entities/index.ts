export { entities, JobRow, KeptVersionRow, RunEventRow, RunRow, ShopRow } from './rows.ts';
