export { LeadPanel as Panel } from './LeadPanel.tsx';
export { LeadScribe as Scribe } from './LeadScribe.tsx';
