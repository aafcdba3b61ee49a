import type { Shopping } from '../../core/cutter/index.ts';
import { shopToToday, equipmentSchema, STOCK_EQUIPMENT, type Equipment } from '../../core/shop/index.ts';
import type { StoredShop } from '../../core/wire/index.ts';
import { ShopRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import { Refused, unreadable, whyUnread } from '../problems.ts';
import type { Desk, HeadStands } from '../heavy/index.ts';
import type { Store } from '../store.ts';

function sameShop(document: string, equipment: Equipment): boolean {
  const read = equipmentSchema.safeParse(shopToToday(JSON.parse(document)));
  return read.success && canonical(read.data) === canonical(equipment);
}

/** The shop's equipment. A shop that has listed none yet has the stock sets. */
export class ShopService {
  private readonly store: Store;
  private readonly file: string;
  private readonly desk: Desk;
  /** @param file the store is in */
  constructor(store: Store, file: string, desk: Desk) {
    this.store = store;
    this.file = file;
    this.desk = desk;
  }

  /** What the bench wants of cutters. @param tolerance flank error put up with beyond the ranges, µm */
  async toBuy(tolerance: number, gone: AbortSignal): Promise<Shopping> {
    const { equipment } = await this.read();
    return this.desk.ask(
      'toBuy',
      { store: this.file, owned: equipment.cutters, tolerance },
      gone ? { gone } : {},
    );
  }

  async read(): Promise<StoredShop> {
    const row = await this.store.em.fork().findOne(ShopRow, { id: 1 });
    if (!row) return { revision: 0, equipment: STOCK_EQUIPMENT };
    try {
      return {
        revision: row.revision,
        equipment: equipmentSchema.parse(shopToToday(JSON.parse(row.document))),
      };
    } catch (error) {
      throw new Refused(422, [unreadable('The shop', whyUnread(error))]);
    }
  }

  /**
   * @param revision the one that was changed @throws Refused 409 when the shop was changed in the meantime
   */
  async save(revision: number, equipment: Equipment): Promise<StoredShop> {
    return this.store.em.fork().transactional(async (em) => {
      const row = await em.findOne(ShopRow, { id: 1 });
      const stored = row?.revision ?? 0;
      // an answer that was lost on its way: what is sent again is what is stored
      if (row && stored !== revision && sameShop(row.document, equipment))
        return { revision: stored, equipment };
      if (stored !== revision) {
        throw new Refused(409, [
          {
            code: 'stale-revision',
            path: 'revision',
            severity: 'wrong',
            given: String(revision),
            allowed: String(stored),
          },
        ]);
      }
      const document = JSON.stringify(equipment);
      if (row) em.assign(row, { document, revision: revision + 1 });
      else em.create(ShopRow, { id: 1, document, revision: 1 });
      return { revision: revision + 1, equipment };
    });
  }

  /**
   * A run has begun: the head stands, from now on, as it was made ready for it. The next card plans from
   * there. A head that the shop no longer has is passed over.
   */
  async headStands(stands: HeadStands): Promise<void> {
    if (!stands) return;
    const { headId, ...standing } = stands;
    const { revision, equipment } = await this.read();
    const heads = equipment.heads.map((head) => (head.id === headId ? { ...head, ...standing } : head));
    if (JSON.stringify(heads) === JSON.stringify(equipment.heads)) return;
    await this.save(revision, { ...equipment, heads });
  }
}
