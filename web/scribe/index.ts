import './scribe.css';
export { GearDrawing } from './GearDrawing.tsx';
export { PlateView, type PlateMove } from './PlateView.tsx';
export { ToothSpace } from './ToothSpace.tsx';
export { TrainView } from './TrainView.tsx';
