export { seedDemo } from './seed.ts';
