import { closeSync, openSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import os from 'node:os';

interface Holder {
  readonly pid: number;
  readonly host: string;
}

const isHolder = (read: unknown): read is Holder =>
  typeof (read as Holder | null)?.pid === 'number' && typeof (read as Holder).host === 'string';

function holderOf(file: string): Holder | null {
  try {
    const read: unknown = JSON.parse(readFileSync(file, 'utf8'));
    return isHolder(read) ? read : null;
  } catch {
    // written half before a power cut: nobody holds it
    return null;
  }
}

/** Is a process there, whoever it belongs to? */
function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** A store that is open in one server, so that no second one writes into it. */
export interface StoreLock {
  release(): void;
}

/**
 * Takes the lock of a store; one that was left behind by a server that is gone is taken over.
 * @param file of the lock, beside the store
 * @throws a plain sentence when another server has it
 */
export function lockStore(file: string): StoreLock {
  const own: Holder = { pid: process.pid, host: os.hostname() };
  try {
    const fd = openSync(file, 'wx');
    writeSync(fd, JSON.stringify(own));
    closeSync(fd);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    const holder = holderOf(file);
    if (holder && holder.host !== own.host)
      throw new Error(
        `This workshop is open on the machine “${holder.host}”. Stop Vuelta there; if that machine is gone for good, delete ${file}.`,
      );
    if (holder && holder.pid !== own.pid && isAlive(holder.pid))
      throw new Error(
        `This workshop is open in another Vuelta already (process ${holder.pid}). Stop that one, or set VUELTA_DATA to another folder.`,
      );
    writeFileSync(file, JSON.stringify(own));
  }
  return { release: () => rmSync(file, { force: true }) };
}
