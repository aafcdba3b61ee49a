import { Migration } from '@mikro-orm/migrations';

/** Pictures of jobs, runs and things of the shop, each at the place it was put with. */
export class Migration20261130Pictures extends Migration {
  override up(): void {
    this.addSql(
      `create table picture (id text not null primary key, about text not null, words text not null,
       width integer not null, height integer not null, data text not null, at text not null,
       away integer not null default 0)`,
    );
    this.addSql(`create index picture_by_place on picture (about, at)`);
  }
}
