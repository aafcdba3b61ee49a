export { Tex } from './Tex.tsx';
