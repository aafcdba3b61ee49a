export { AskerGone, OwnDesk, type Desk } from './desk.ts';
export { ThreadDesk } from './pool.ts';
export type { Checked, HeadStands } from './questions.ts';
