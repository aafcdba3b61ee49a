import { accessSync, constants } from 'node:fs';
import os from 'node:os';

/**
 * Where tests and journeys keep their stores and profiles: in memory where the system has such a place, since
 * a disk may stall.
 */
export function scratchFolder(): string {
  try {
    accessSync('/dev/shm', constants.W_OK);
    return '/dev/shm';
  } catch {
    return os.tmpdir();
  }
}
