export { dropDraft, leaveDraft, useDraft, type SaveState } from './draft.ts';
export {
  asideDrafts,
  forgetAside,
  keptDraft,
  keptDrafts,
  type AsideDraft,
  type KeptDraft,
} from './keptDrafts.ts';
export { editShop, storeMineOverIt, takeStoredShop } from './shop.ts';
