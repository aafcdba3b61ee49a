export { antdTheme } from './antd.ts';
export { layTokens, type Shift } from './tokens.ts';
