export { newId } from './newId.ts';
export { Notice } from './Notice.tsx';
export { Shell } from './Shell.tsx';
export { useKeys, type KeyMap } from './useKeys.ts';
