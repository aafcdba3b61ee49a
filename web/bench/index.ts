export { DoorsPage } from './DoorsPage.tsx';
export { BenchPage } from './BenchPage.tsx';
