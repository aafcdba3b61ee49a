export { ReadingsIn } from './ReadingsIn.tsx';
