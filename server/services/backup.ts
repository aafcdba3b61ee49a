import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import type { Restored } from '../../core/wire/index.ts';
import type { Desk } from '../heavy/index.ts';

/** The whole workshop as one file, and back: worked out beside the server’s own thread. */
export class BackupService {
  private readonly store: string;
  private readonly desk: Desk;
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
  async write(): Promise<string> {
    const file = this.passingFile();
    await this.desk.ask('backup', { store: this.store, file, at: new Date().toISOString() });
    return file;
  }

  /** @throws Refused 422 for a file that cannot be put back; nothing is changed then */
  restore(file: string): Promise<Restored> {
    return this.desk.ask('restore', { store: this.store, file });
  }

  private get passing(): string {
    return path.join(path.dirname(this.store), 'passing');
  }
}
