export { MillPage } from './MillPage.tsx';
