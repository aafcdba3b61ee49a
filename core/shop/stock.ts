import { TWELVE_GEARS } from '../gearing/index.ts';
import type { Equipment, GearSet, Head, Plate } from './schema.ts';

/**
 * Plate sets to start from, as data.
 * Source of both sets of circles: Machinery’s Handbook, indexing with three plates and with one two-sided plate.
 */
const oneSided = (id: string, name: string, circles: readonly number[]): Plate => ({
  id,
  name,
  sides: [{ circles }],
});

export const THREE_PLATES: readonly Plate[] = [
  oneSided('plate-a', 'A', [15, 16, 17, 18, 19, 20]),
  oneSided('plate-b', 'B', [21, 23, 27, 29, 31, 33]),
  oneSided('plate-c', 'C', [37, 39, 41, 43, 47, 49]),
];

export const TWO_SIDED_PLATE: readonly Plate[] = [
  {
    id: 'plate-d',
    name: 'D',
    sides: [
      { circles: [24, 25, 28, 30, 34, 37, 38, 39, 41, 42, 43] },
      { circles: [46, 47, 49, 51, 53, 54, 57, 58, 59, 62, 66] },
    ],
  },
];

export const STOCK_GEARS: GearSet = { id: 'gears-twelve', name: 'Twelve change gears', gears: TWELVE_GEARS };

export const STOCK_HEADS: readonly Head[] = [
  {
    id: 'head-three-plates',
    name: 'Head with three plates',
    ratio: '40',
    plates: THREE_PLATES,
    mounted: { plateId: 'plate-b', side: 0 },
    plateLock: true,
    differential: { gearSetId: 'gears-twelve' },
  },
  {
    id: 'head-two-sided',
    name: 'Head with a two-sided plate',
    ratio: '40',
    plates: TWO_SIDED_PLATE,
    mounted: { plateId: 'plate-d', side: 0 },
    plateLock: true,
    differential: null,
  },
];

/** What a shop starts with until its owner lists their own. */
export const STOCK_EQUIPMENT: Equipment = { heads: STOCK_HEADS, gearSets: [STOCK_GEARS] };
