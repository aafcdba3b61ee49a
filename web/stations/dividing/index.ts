export { DividingPanel as Panel } from './DividingPanel.tsx';
export { DividingScribe as Scribe } from './DividingScribe.tsx';
