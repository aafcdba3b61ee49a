import { statfs } from 'node:fs/promises';
import type { Health } from '../../core/wire/index.ts';
import type { Config } from '../config.ts';
import type { Store } from '../store.ts';

/** How the server itself does. */
export class HealthService {
  private readonly store: Store;
  private readonly config: Pick<Config, 'dataFolder' | 'version'>;
  constructor(store: Store, config: Pick<Config, 'dataFolder' | 'version'>) {
    this.store = store;
    this.config = config;
  }

  async look(): Promise<Health> {
    const { bavail, bsize } = await statfs(this.config.dataFolder);
    const isRead = await this.store.isConnected();
    return {
      ok: isRead,
      version: this.config.version,
      store: isRead ? 'read' : 'not read',
      freeBytes: bavail * bsize,
    };
  }
}
