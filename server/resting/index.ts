export { eventRow, readEvent, readEvents } from './events.ts';
export { listedFields, listOlder, restingOf, RUN_LISTED, standingOfRow, wordsBetween } from './listing.ts';
