export { PairDevice } from './PairDevice.tsx';
