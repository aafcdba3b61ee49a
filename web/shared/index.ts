export { echoAngle, echoLength, echoPitch } from './echo.ts';
export { Length } from './Length.tsx';
export { MeasureField } from './MeasureField.tsx';
export { newId } from './newId.ts';
export { Notice } from './Notice.tsx';
export { Shell } from './Shell.tsx';
export { Symbol } from './Symbol.tsx';
export { useKeys, type KeyMap } from './useKeys.ts';
