export { RimPanel as Panel } from './RimPanel.tsx';
export { RimScribe as Scribe } from './RimScribe.tsx';
