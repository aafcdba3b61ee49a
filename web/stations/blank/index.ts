export { BlankPanel as Panel } from './BlankPanel.tsx';
export { BlankScribe as Scribe } from './BlankScribe.tsx';
