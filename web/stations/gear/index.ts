export { GearPanel as Panel } from './GearPanel.tsx';
export { GearScribe as Scribe } from './GearScribe.tsx';
