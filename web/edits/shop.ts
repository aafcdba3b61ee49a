import { equipmentSchema, type Equipment } from '../../core/shop/index.ts';
import type { StoredShop } from '../../core/wire/index.ts';
import {
  api,
  AwayError,
  keys,
  ProblemError,
  queryClient,
  useShopSave,
  type ShopSave,
} from '../state/index.ts';

const SAVE_AFTER_MS = 400;
const RETRY_MS = 3000;
let timer: ReturnType<typeof setTimeout> | undefined;
let storing: Promise<void> = Promise.resolve();

const setSave = (save: ShopSave) => useShopSave.setState(save, true);
const held = () => queryClient.getQueryData<StoredShop>(keys.shop);

function schedule(ms: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void storeShop(), ms);
}

async function storeNow(): Promise<void> {
  const sent = held();
  const { kind } = useShopSave.getState();
  if (!sent || kind === 'stored' || kind === 'conflict') return;
  try {
    const stored = await api.saveShop(sent.revision, sent.equipment);
    const now = held();
    const current = !now || now.equipment === sent.equipment;
    queryClient.setQueryData<StoredShop>(
      keys.shop,
      current ? stored : { revision: stored.revision, equipment: now.equipment },
    );
    if (current) setSave({ kind: 'stored' });
    else schedule(SAVE_AFTER_MS);
  } catch (error) {
    if (error instanceof AwayError) {
      setSave({ kind: 'away' });
      schedule(RETRY_MS);
    } else if (error instanceof ProblemError && error.status === 409) setSave({ kind: 'conflict' });
    else setSave({ kind: 'refused', message: (error as Error).message });
  }
}

/** One save at a time, in order. */
function storeShop(): Promise<void> {
  clearTimeout(timer);
  storing = storing.then(storeNow);
  return storing;
}

/**
 * Changes the shop: shown at once, stored a moment later.
 * @returns null, or why the change cannot be: two things of one name, a set of gears that is still used
 */
export function editShop(change: (equipment: Equipment) => Equipment): string | null {
  const now = held();
  if (!now) return 'The shop is not open yet.';
  const checked = equipmentSchema.safeParse(change(now.equipment));
  if (!checked.success) return checked.error.issues[0]?.message ?? 'That cannot be.';
  void queryClient.cancelQueries({ queryKey: keys.shop });
  queryClient.setQueryData<StoredShop>(keys.shop, { ...now, equipment: checked.data });
  if (useShopSave.getState().kind !== 'conflict') {
    setSave({ kind: 'waiting' });
    schedule(SAVE_AFTER_MS);
  }
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
  await storeShop();
}

window.addEventListener('pagehide', () => void storeShop());
