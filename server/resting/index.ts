export { eventRow, readEvent, readEvents } from './events.ts';
export { listedFields, listOlder, restingOf, standingOfRow, wordsBetween } from './listing.ts';
