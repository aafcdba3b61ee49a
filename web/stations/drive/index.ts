export { DrivePanel as Panel } from './DrivePanel.tsx';
export { DriveScribe as Scribe } from './DriveScribe.tsx';
