export { LathePanel as Panel } from './LathePanel.tsx';
export { LatheScribe as Scribe } from './LatheScribe.tsx';
