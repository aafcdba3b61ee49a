import { v4 } from 'uuid';

/** An id that needs no secure page: a tablet in the shop may come over plain HTTP. */
export const newId = (): string => v4();
