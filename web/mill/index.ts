export { MillPage } from './MillPage.tsx';
export { Trouble } from './Trouble.tsx';
