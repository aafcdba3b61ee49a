import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import type { Restored } from '../../core/wire/index.ts';
import { AskerGone, type Desk } from '../heavy/index.ts';
import { Refused } from '../problems.ts';
import { NOTHING_BACK } from '../whole/index.ts';

/** The whole workshop as one file, and back: worked out beside the server’s own thread. */
export class BackupService {
  private readonly store: string;
  private readonly desk: Desk;
  private restoring: { readonly stop: AbortController; readonly soFar: Restored } | null = null;
  /** @param store the file it rests in */
  constructor(store: string, desk: Desk) {
    this.store = store;
    this.desk = desk;
    // what a kill left half done
    rmSync(this.passing, { recursive: true, force: true });
  }

  /** A file for what passes through; whoever asks for it takes it away. */
  passingFile(): string {
    mkdirSync(this.passing, { recursive: true, mode: 0o700 });
    return path.join(this.passing, randomUUID());
  }

  /** @returns a file with the whole workshop; whoever asks for it takes it away */
  async write(gone: AbortSignal): Promise<string> {
    const file = this.passingFile();
    try {
      await this.desk.ask(
        'backup',
        { store: this.store, file, at: new Date().toISOString() },
        { stop: gone },
      );
      if (gone.aborted) throw new AskerGone();
      return file;
    } catch (error) {
      rmSync(file, { force: true });
      throw error;
    }
  }

  /**
   * One at a time. Who asked may go away: it goes on, until it is done or {@link stop}ped.
   * @throws Refused 422 for a file that cannot be put back; nothing is changed then. 409 while another is
   */
  async restore(file: string): Promise<Restored> {
    if (this.restoring) throw new Refused(409, [{ code: 'restore-under-way', path: '', severity: 'wrong' }]);
    const stop = new AbortController();
    this.restoring = { stop, soFar: NOTHING_BACK };
    try {
      return await this.desk.ask(
        'restore',
        { store: this.store, file },
        { stop: stop.signal, hears: (soFar) => (this.restoring = { stop, soFar }) },
      );
    } finally {
      this.restoring = null;
    }
  }

  /** How far the restore is that is under way; null where none is. */
  get under(): Restored | null {
    return this.restoring && this.restoring.soFar;
  }

  /** Ends it between two steps. */
  stop(): void {
    this.restoring?.stop.abort();
  }

  private get passing(): string {
    return path.join(path.dirname(this.store), 'passing');
  }
}
