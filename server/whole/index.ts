export { backupFileSchema } from './backupFile.ts';
export { restoreBackup } from './restoreBackup.ts';
export { writeBackup } from './writeBackup.ts';
