import { boxOf } from '../drafting/index.ts';
import type { SheetBlock } from './blocks.ts';

/** mm on paper, about: a title with its line, a row, a line of words, and how many letters that has. */
const TITLE = 9;
const ROW = 4.9;
const LINE = 4.2;
const LETTERS = 52;

/** How tall a block stands in half a sheet, about; mm. */
function tallOf(block: SheetBlock): number {
  switch (block.kind) {
    case 'drawing': {
      const { top, bottom } = boxOf(block.drawing);
      return TITLE + top - bottom;
    }
    case 'rows':
      return TITLE + ROW * block.rows.length;
    case 'list': {
      const lines = block.lines.reduce((sum, line) => sum + Math.ceil(line.length / LETTERS), 0);
      return TITLE + (block.large === '' ? 0 : 8) + LINE * lines;
    }
    default:
      return TITLE;
  }
}

/**
 * Groups of blocks in two columns of about one height: each goes, in order, where there is more room; what
 * is of one group stays together.
 */
export function twoColumns(groups: readonly (readonly SheetBlock[])[]): SheetBlock {
  const left: SheetBlock[] = [];
  const right: SheetBlock[] = [];
  let [leftTall, rightTall] = [0, 0];
  for (const group of groups) {
    const tall = group.reduce((sum, block) => sum + tallOf(block), 0);
    if (leftTall <= rightTall) {
      left.push(...group);
      leftTall += tall;
    } else {
      right.push(...group);
      rightTall += tall;
    }
  }
  return { kind: 'beside', left, right };
}
