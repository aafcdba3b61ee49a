import { Migration20261124First } from './first.ts';

/** In order; run at start. A migration that has landed is never edited. */
export const migrationsList = [{ name: '20261124-first', class: Migration20261124First }];
