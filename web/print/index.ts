export { PrintPage } from './PrintPage.tsx';
