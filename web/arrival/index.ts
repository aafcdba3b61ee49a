export { useFace } from './face.ts';
export { SamplePanel } from './SamplePanel.tsx';
export { SampleScribe } from './SampleScribe.tsx';
export { ShaftsPanel } from './ShaftsPanel.tsx';
export { ShaftsScribe } from './ShaftsScribe.tsx';
export { StockPanel } from './StockPanel.tsx';
export { StockScribe } from './StockScribe.tsx';
