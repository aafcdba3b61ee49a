export { ChartPage } from './ChartPage.tsx';
export { IndexingPage } from './IndexingPage.tsx';
