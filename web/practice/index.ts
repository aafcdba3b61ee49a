export { PracticePage } from './PracticePage.tsx';
