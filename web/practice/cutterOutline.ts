import type { CutterForm } from '../../core/practice/index.ts';

const POINTS = 33;

/** A cutter as it stands in a space, its tip at 0 and it upward. @param high mm @param scale of the sheet */
export function cutterOutline(form: CutterForm, high: number, scale: number): string {
  const heights = Array.from({ length: POINTS }, (_, i) => (i / (POINTS - 1)) * high);
  const side = (way: 1 | -1) =>
    heights.map((height) => `${way * form.halfWidth(height) * scale} ${-height * scale}`);
  return `M${side(1).join('L')}L${side(-1).reverse().join('L')}Z`;
}
