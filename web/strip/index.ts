export { CountsPage } from './CountsPage.tsx';
export { NearCounts } from './NearCounts.tsx';
export { CountStrip } from './CountStrip.tsx';
