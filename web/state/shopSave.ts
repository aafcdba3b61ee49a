import { create } from 'zustand';

export type ShopSave =
  | { readonly kind: 'stored' | 'waiting' | 'away' }
  /** Another screen changed the shop first. */
  | { readonly kind: 'conflict' }
  | { readonly kind: 'refused'; readonly message: string };

/** Is what was changed in the shop stored yet? */
export const useShopSave = create<ShopSave>()(() => ({ kind: 'stored' }));
