export { CutterPanel as Panel } from './CutterPanel.tsx';
export { CutterScribe as Scribe } from './CutterScribe.tsx';
