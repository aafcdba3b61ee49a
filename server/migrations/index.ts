import { Migration20261204Benches } from './benches.ts';
import { Migration20261202Classes } from './classes.ts';
import { Migration20261203Devices } from './devices.ts';
import { Migration20261124First } from './first.ts';
import { Migration20261130Listing } from './listing.ts';
import { Migration20261201LogIndex } from './logIndex.ts';
import { Migration20261125Logbook } from './logbook.ts';
import { Migration20261130Pictures } from './pictures.ts';

/** In order; run at start. A migration that has landed is never edited. */
export const migrationsList = [
  { name: '20261124-first', class: Migration20261124First },
  { name: '20261125-logbook', class: Migration20261125Logbook },
  { name: '20261130-listing', class: Migration20261130Listing },
  { name: '20261130-pictures', class: Migration20261130Pictures },
  { name: '20261201-log-index', class: Migration20261201LogIndex },
  { name: '20261202-classes', class: Migration20261202Classes },
  { name: '20261203-devices', class: Migration20261203Devices },
  { name: '20261204-benches', class: Migration20261204Benches },
];
