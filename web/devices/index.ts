export { CentreByReadout } from './CentreByReadout.tsx';
export { HoleByHole } from './HoleByHole.tsx';
export { HoldButton } from './HoldButton.tsx';
export { SCREEN, useListening, useLive } from './live.ts';
export { MillMotor, MillReadout } from './MillDevices.tsx';
export { useTurn } from './useTurn.ts';
