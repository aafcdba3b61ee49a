export { InspectPanel as Panel } from './InspectPanel.tsx';
export { InspectScribe as Scribe } from './InspectScribe.tsx';
