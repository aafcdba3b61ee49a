export { WheelPanel as Panel } from './WheelPanel.tsx';
export { WheelScribe as Scribe } from './WheelScribe.tsx';
