export { equipmentSchema, headSchema, plateSchema, type Equipment, type Head, type Plate } from './schema.ts';
export { STOCK_EQUIPMENT, STOCK_HEADS, THREE_PLATES, TWO_SIDED_PLATE } from './stock.ts';
