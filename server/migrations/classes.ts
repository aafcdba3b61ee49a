import { Migration } from '@mikro-orm/migrations';

/** Classes, their learners, and what these tried. */
export class Migration20261202Classes extends Migration {
  override up(): void {
    this.addSql(
      `create table class (key text not null primary key, code text not null unique, name text not null,
       kinds text not null, job_id text not null, made_at text not null)`,
    );
    this.addSql(
      `create table learner (token text not null primary key, class_key text not null, number integer not null,
       name text not null, name_folded text not null, figures text not null, wrong_figures integer not null,
       seed integer not null, joined_at text not null, unique (class_key, name_folded), unique (class_key, number))`,
    );
    this.addSql(
      `create table exercise_try (arrival integer not null primary key autoincrement, id text not null, token text not null,
       class_key text not null, kind text not null, seed integer not null, level integer not null,
       is_right integer not null, slip text not null, at text not null, unique (token, id))`,
    );
    this.addSql(`create index try_by_class on exercise_try (class_key, token, kind)`);
  }
}
