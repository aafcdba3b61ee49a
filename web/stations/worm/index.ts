export { WormPanel as Panel } from './WormPanel.tsx';
export { WormScribe as Scribe } from './WormScribe.tsx';
