import { Migration } from '@mikro-orm/migrations';

/** The logbook: what it says of a run rests beside it, made anew at each append. Empty: not made yet. */
export class Migration20261125Logbook extends Migration {
  override up(): void {
    this.addSql(`alter table run add column digest text not null default ''`);
  }
}
