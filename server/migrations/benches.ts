import { Migration } from '@mikro-orm/migrations';

/** How far each learner is with a class’s job on the practice bench. */
export class Migration20261204Benches extends Migration {
  override up(): void {
    this.addSql(
      `create table learner_bench (token text not null primary key, class_key text not null, job_id text not null,
       made integer not null, cuts integer not null, best integer not null, harms text not null,
       hidden text not null, at text not null)`,
    );
    this.addSql(`create index bench_by_class on learner_bench (class_key)`);
  }
}
