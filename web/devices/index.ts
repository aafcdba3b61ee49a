export { DevicesPage } from './DevicesPage.tsx';
export { ReadingsIn } from './ReadingsIn.tsx';
export { MillMotor, MillReadout } from './MillDevices.tsx';
