import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { entities } from './entities/index.ts';
import { migrationsList } from './migrations/index.ts';

export type Store = MikroORM;

/** Set on each connection: nothing acknowledged may be lost by a kill or a power cut. */
const PRAGMAS = ['journal_mode=WAL', 'synchronous=FULL', 'foreign_keys=ON', 'busy_timeout=5000'];

/**
 * Opens the store, making file and folder where needed, and brings its tables up to date. @param file path of
 * the SQLite file
 */
export async function openStore(file: string): Promise<Store> {
  mkdirSync(path.dirname(file), { recursive: true });
  const store = await connectStore(file);
  await store.getMigrator().up();
  return store;
}

/** One more way to a store whose tables are up to date: another thread has its own. */
export const connectStore = (file: string): Promise<Store> =>
  MikroORM.init({
    dbName: file,
    entities,
    extensions: [Migrator],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
    migrations: { migrationsList, snapshot: false, silent: true },
    pool: {
      afterCreate: (
        connection: { exec(sql: string): unknown },
        done: (error: unknown, connection: unknown) => void,
      ) => {
        try {
          for (const pragma of PRAGMAS) connection.exec(`pragma ${pragma}`);
          done(null, connection);
        } catch (error) {
          done(error, connection);
        }
      },
    },
  });

/**
 * Brings everything that stands in the write-ahead file into the store's own file and empties it, so that the
 * one file, copied, holds the whole workshop.
 */
export async function gatherStore(store: Store): Promise<void> {
  await store.em.getConnection().execute('pragma wal_checkpoint(TRUNCATE)');
}
