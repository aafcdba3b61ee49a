export { Fold } from './Fold.tsx';
export { Guard } from './Guard.tsx';
export { Notice } from './Notice.tsx';
export { saveFile as saveText, saveTable } from './saveTable.ts';
export { Shell } from './Shell.tsx';
export { dayText, minutesText } from './when.ts';
export { useTitle } from './useTitle.ts';
export { useKeys, type KeyMap } from './useKeys.ts';
