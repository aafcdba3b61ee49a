export { equipmentFromV1, headFromV1 } from './migrate.ts';
export {
  equipmentSchema,
  gearSetSchema,
  headSchema,
  plateSchema,
  type Equipment,
  type GearSet,
  type Head,
  type Plate,
} from './schema.ts';
export { STOCK_EQUIPMENT, STOCK_GEARS, STOCK_HEADS, THREE_PLATES, TWO_SIDED_PLATE } from './stock.ts';
