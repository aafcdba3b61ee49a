/** Boxes that take a measure. */
export const MEASURE_BOX = '.field input[type="text"], .field input:not([type]), .mill-chord-fields input';

/** On to the next box that takes a measure, what stands in it chosen; the last keeps the focus. */
export function goOn(from: HTMLInputElement): void {
  const boxes = [...document.querySelectorAll<HTMLInputElement>(MEASURE_BOX)].filter(
    ({ offsetParent, disabled }) => offsetParent !== null && !disabled,
  );
  const next = boxes[boxes.indexOf(from) + 1];
  if (boxes.includes(from) && next) {
    next.focus();
    next.select();
  }
}
