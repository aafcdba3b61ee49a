import { Migration } from '@mikro-orm/migrations';

/** The first tables: jobs, versions kept from stale saves, runs with their events, the shop. */
export class Migration20261124First extends Migration {
  override up(): void {
    this.addSql(`create table job (
      id text primary key, name text not null, line text not null, document text not null, revision integer not null,
      archived integer not null default 0, created_at text not null, updated_at text not null)`);
    this.addSql(`create table kept_version (
      id text primary key, job_id text not null references job (id), document text not null,
      base_revision integer not null, at text not null)`);
    this.addSql(`create table run (
      id text primary key, job_id text not null references job (id), part_id text not null, document text not null,
      summary text not null, started_at text not null, updated_at text not null)`);
    this.addSql(`create table run_event (
      arrival integer primary key autoincrement, id text not null unique, run_id text not null references run (id),
      device text not null, device_seq integer not null, document text not null,
      unique (run_id, device, device_seq))`);
    this.addSql(
      `create table shop (id integer primary key, document text not null, revision integer not null)`,
    );
    this.addSql(`create index run_by_job on run (job_id)`);
    this.addSql(`create index event_by_run on run_event (run_id, arrival)`);
    this.addSql(`create index kept_by_job on kept_version (job_id)`);
  }
}
