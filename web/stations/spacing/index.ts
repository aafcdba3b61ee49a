export { SpacingPanel as Panel } from './SpacingPanel.tsx';
export { SpacingScribe as Scribe } from './SpacingScribe.tsx';
