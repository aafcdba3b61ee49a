import { Migration } from '@mikro-orm/migrations';

/** Motors, readouts and measuring tools of the shop, each as a document. */
export class Migration20261203Devices extends Migration {
  override up(): void {
    this.addSql(`create table device (id text not null primary key, document text not null)`);
  }
}
