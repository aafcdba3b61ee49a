export { ChartPage } from './ChartPage.tsx';
