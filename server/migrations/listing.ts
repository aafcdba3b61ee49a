import { Migration } from '@mikro-orm/migrations';

/**
 * What jobs are found by rests beside them: kinds, materials, whose they are, tags, words, the newest run and
 * how it stands. `listed` 0: not written yet.
 */
export class Migration20261130Listing extends Migration {
  override up(): void {
    for (const column of ['kinds', 'materials', 'person', 'tags', 'words', 'run_id'])
      this.addSql(`alter table job add column ${column} text not null default ''`);
    this.addSql(`alter table job add column standing text not null default 'not-cut'`);
    this.addSql(`alter table job add column listed integer not null default 0`);
    this.addSql(`create index job_by_change on job (archived, updated_at desc, id)`);
    this.addSql(`create index job_by_making on job (archived, created_at desc, id)`);
    this.addSql(`create index job_by_name on job (archived, name collate nocase, id)`);
    this.addSql(`create index job_by_standing on job (archived, standing)`);
    this.addSql(`create index job_by_person on job (archived, person)`);
    this.addSql(`create index job_not_listed on job (listed) where listed = 0`);
  }
}
