import { expose } from 'comlink';
import { searchWays } from '../../core/dividing/index.ts';

const work = { searchWays };
export type WaysWork = typeof work;
expose(work);
