export { WorkingLines } from './WorkingLines.tsx';
