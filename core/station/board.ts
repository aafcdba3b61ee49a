import type { Working } from './station.ts';

/** A line of working as it is written on a board, in TeX. */
export function boardTex({ formula, put, result, joined = '=' }: Working): string {
  const [before, after] = joined === 'looked-up' ? ['=', '\\Rightarrow'] : [joined, joined];
  return [formula, before, put, after, result].join(' ');
}
