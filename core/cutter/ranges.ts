/**
 * The eight-cutter sets and the half numbers, as data. A cutter is made for the lowest count of its range.
 * The same number means different cutters in the two schools: they run opposite ways.
 * Source of the inch numbers and halves: Machinery’s Handbook, involute gear cutters.
 * Metric numbers: common practice. `null` as `to` means up to a rack.
 */
export interface CutterRange {
  readonly inch: string;
  readonly metric: string;
  readonly from: number;
  readonly to: number | null;
}

export const CUTTER_RANGES: readonly CutterRange[] = [
  { inch: '8', metric: '1', from: 12, to: 13 },
  { inch: '7', metric: '2', from: 14, to: 16 },
  { inch: '6', metric: '3', from: 17, to: 20 },
  { inch: '5', metric: '4', from: 21, to: 25 },
  { inch: '4', metric: '5', from: 26, to: 34 },
  { inch: '3', metric: '6', from: 35, to: 54 },
  { inch: '2', metric: '7', from: 55, to: 134 },
  { inch: '1', metric: '8', from: 135, to: null },
];

/** Half numbers of the fifteen-cutter inch set. */
export const HALF_CUTTERS: readonly { readonly inch: string; readonly from: number; readonly to: number }[] =
  [
    { inch: '7½', from: 13, to: 13 },
    { inch: '6½', from: 15, to: 16 },
    { inch: '5½', from: 19, to: 20 },
    { inch: '4½', from: 23, to: 25 },
    { inch: '3½', from: 30, to: 34 },
    { inch: '2½', from: 42, to: 54 },
    { inch: '1½', from: 80, to: 134 },
  ];
