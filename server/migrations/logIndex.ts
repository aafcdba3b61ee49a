import { Migration } from '@mikro-orm/migrations';

/**
 * What the bench and the logbook say of a run rests beside it: what is to be done now, how it ended, what it
 * is found by. `listed` 0: not written yet, or as an older version wrote it.
 */
export class Migration20261201LogIndex extends Migration {
  override up(): void {
    for (const column of ['now', 'words', 'outcome', 'piece'])
      this.addSql(`alter table run add column ${column} text not null default ''`);
    this.addSql(`alter table run add column listed integer not null default 0`);
    this.addSql(`create index run_by_start on run (started_at desc, id)`);
    this.addSql(`create index run_by_count on run (outcome, updated_at desc, id)`);
    this.addSql(`create index job_by_run on job (run_id)`);
    this.addSql(`create index run_by_outcome on run (outcome, started_at desc, id)`);
    this.addSql(`create index run_by_piece on run (piece, started_at desc, id)`);
    this.addSql(`create index run_not_listed on run (listed)`);
    this.addSql(`create index job_by_tags on job (archived, tags)`);
    this.addSql(`create index job_by_materials on job (archived, materials)`);
  }
}
