/**
 * What a spreadsheet would take for a formula: a cell that begins like one and is no plain number. Whoever
 * writes a table puts an apostrophe before it.
 */
export const FORMULA = /^(?![-+]?\d+(\.\d+)?$)[=+\-@\t\r].*$/s;
