import './scribe.css';
export { GearDrawing } from './GearDrawing.tsx';
export { PlateView } from './PlateView.tsx';
export { ToothSpace } from './ToothSpace.tsx';
