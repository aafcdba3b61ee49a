import { circle, closed, line, together, type Drawing, type LineKind } from '../drafting/index.ts';
import type { Template } from '../toothform/index.ts';

/** What the lines of a template are on a drawing. */
const LINES: Readonly<Record<Template['lines'][number]['name'], LineKind>> = {
  'pitch line': 'centre',
  outside: 'thin',
  centre: 'centre',
  check: 'check',
  relief: 'thin',
};

/** A tool’s template as a drawing; mm on paper. */
export const templatePrint = ({ outline, lines, circles, words }: Template): Drawing => ({
  ...together(
    closed('form', outline),
    ...lines.map(({ name, from, to }) => line(LINES[name], from, to)),
    ...circles.map(({ at, radius }) => circle('form', at, radius)),
  ),
  words: words.map((each) => ({ ...each, anchor: 'start' })),
});
