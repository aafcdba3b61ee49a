export { dropDraft, leaveDraft, useDraft, type SaveState } from './draft.ts';
export {
  asideDrafts,
  forgetAside,
  keptDraft,
  keptDrafts,
  type AsideDraft,
  type KeptDraft,
} from './keptDrafts.ts';
export {
  editShop,
  openShopSteps,
  redoShop,
  storeMineOverIt,
  takeStoredShop,
  undoShop,
  useShopSteps,
} from './shop.ts';
