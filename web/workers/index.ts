export { useWays } from './useWays.ts';
