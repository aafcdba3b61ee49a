import { ARRIVING } from './arriving.ts';
import { CUTTERS } from './cutters.ts';
import { DIVIDING } from './dividing.ts';
import { GEARED } from './gears.ts';
import { HELIX } from './helix.ts';
import { MEASURING } from './measuring.ts';
import { SETUPS } from './setups.ts';
import { SIZES } from './sizes.ts';
import { WORMS } from './worms.ts';

/** Every kind of exercise, in the order of the card. */
export const KINDS = {
  ...ARRIVING,
  ...SIZES,
  ...CUTTERS,
  ...DIVIDING,
  ...GEARED,
  ...HELIX,
  ...WORMS,
  ...SETUPS,
  ...MEASURING,
};
