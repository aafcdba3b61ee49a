export { GoTo } from './GoTo.tsx';
