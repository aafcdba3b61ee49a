export { dxfOf } from './dxf.ts';
