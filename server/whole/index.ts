export { backupFileSchema } from './backupFile.ts';
export { NOTHING_BACK } from './crossing.ts';
export { restoreBackup } from './restoreBackup.ts';
export { writeBackup } from './writeBackup.ts';
