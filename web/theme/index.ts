export { antdTheme, type Shift } from './antd.ts';
