export { dropDraft, leaveDraft, useDraft, type SaveState } from './draft.ts';
export { editShop, storeMineOverIt, takeStoredShop } from './shop.ts';
