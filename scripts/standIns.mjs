import { standIns } from './serve.mjs';
standIns();
