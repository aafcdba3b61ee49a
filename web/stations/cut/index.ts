export { CutPanel as Panel } from './CutPanel.tsx';
export { CutScribe as Scribe } from './CutScribe.tsx';
