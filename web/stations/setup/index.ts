export { SetupPanel as Panel } from './SetupPanel.tsx';
export { SetupScribe as Scribe } from './SetupScribe.tsx';
