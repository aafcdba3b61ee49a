import { create } from 'zustand';
import { equipmentSchema, type Equipment } from '../../core/shop/index.ts';
import type { StoredShop } from '../../core/wire/index.ts';
import { api, createSaver, keys, queryClient, useShopSave, type ShopSave } from '../state/index.ts';

import { History, sameDocument, tabStore } from './history.ts';

const setSave = (save: ShopSave) => useShopSave.setState(save, true);
const held = () => queryClient.getQueryData<StoredShop>(keys.shop);

const saver = createSaver<StoredShop, StoredShop>({
  afterMs: 400,
  pending: () => {
    const { kind } = useShopSave.getState();
    return kind === 'stored' || kind === 'conflict' ? null : (held() ?? null);
  },
  send: ({ revision, equipment }) => api.saveShop(revision, equipment),
  accept: (sent, stored) => {
    const now = held();
    const current = !now || now.equipment === sent.equipment;
    queryClient.setQueryData<StoredShop>(
      keys.shop,
      current ? stored : { revision: stored.revision, equipment: now.equipment },
    );
    if (current) setSave({ kind: 'stored' });
    return current ? 'current' : 'newer';
  },
  fail: (_sent, fault) =>
    setSave(fault.kind === 'failed' ? { kind: 'refused', message: fault.message } : fault),
});

/** What was done to the shop on this page, and what it was when that was told last. */
const history = new History<Equipment>(() => Date.now());
let known: Equipment | null = null;

/** Can the last change of the shop be undone here? */
export const useShopSteps = create<{ readonly canUndo: boolean; readonly canRedo: boolean }>()(() => ({
  canUndo: false,
  canRedo: false,
}));

/** The shop as it stands now. What another screen changed meanwhile cannot be undone from here. */
export function openShopSteps(now: Equipment): void {
  if (known === null || !sameDocument(known, now)) history.open(tabStore('shop'), now, sameDocument);
  known = now;
  useShopSteps.setState({ canUndo: history.canUndo, canRedo: history.canRedo });
}

/** Shows it at once, and stores it a moment later. */
function show(equipment: Equipment): void {
  const now = held();
  if (!now) return;
  void queryClient.cancelQueries({ queryKey: keys.shop });
  queryClient.setQueryData<StoredShop>(keys.shop, { ...now, equipment });
  known = equipment;
  openShopSteps(equipment);
  if (useShopSave.getState().kind === 'conflict') return;
  setSave({ kind: 'waiting' });
  saver.later();
}

function step(which: 'undo' | 'redo'): void {
  const now = held();
  if (!now) return;
  openShopSteps(now.equipment);
  const other = history[which](now.equipment);
  if (other) show(other);
}
export const undoShop = (): void => step('undo');
export const redoShop = (): void => step('redo');

/**
 * Changes the shop: shown at once, stored a moment later.
 * @returns null, or why the change cannot be: two things of one name, a set of gears that is still used
 */
export function editShop(change: (equipment: Equipment) => Equipment): string | null {
  const now = held();
  if (!now) return 'The shop is not open yet.';
  const checked = equipmentSchema.safeParse(change(now.equipment));
  if (!checked.success) return checked.error.issues[0]?.message ?? 'That cannot be.';
  openShopSteps(now.equipment);
  history.record(now.equipment, checked.data);
  show(checked.data);
  return null;
}

/** Leaves what was changed here for what another screen stored. */
export async function takeStoredShop(): Promise<void> {
  setSave({ kind: 'stored' });
  await queryClient.invalidateQueries({ queryKey: keys.shop });
}

/** Stores what was changed here over what another screen stored. */
export async function storeMineOverIt(): Promise<void> {
  const mine = held();
  if (!mine) return;
  const { revision } = await api.readShop();
  queryClient.setQueryData<StoredShop>(keys.shop, { revision, equipment: mine.equipment });
  setSave({ kind: 'waiting' });
  await saver.now();
}

window.addEventListener('pagehide', () => {
  const now = held();
  if (now) history.keep(now.equipment);
  void saver.now();
});
