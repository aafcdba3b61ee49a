import { MOST_PICTURES, type Picture, type PictureBody } from '../../core/wire/index.ts';
import { PictureRow } from '../entities/index.ts';
import { notFound, Refused } from '../problems.ts';
import type { Store } from '../store.ts';

/** How a JPEG and a PNG begin. */
const KINDS = [
  { type: 'image/jpeg', begins: [0xff, 0xd8, 0xff] },
  { type: 'image/png', begins: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
] as const;

/** What kind of picture bytes are; null where they are none that is taken. */
const kindOf = (bytes: Buffer): string | null =>
  KINDS.find(({ begins }) => begins.every((byte, i) => bytes[i] === byte))?.type ?? null;

const listed = ({ id, about, words, width, height, at }: PictureRow): Picture => ({
  id,
  about,
  words,
  width,
  height,
  at,
});

/** A place and all places in it: `job/lens` has `job/lens/p1/gear`. */
const within = (about: string) => ({
  $or: [{ about }, { about: { $gte: `${about}/`, $lt: `${about}0` } }],
});

/** Pictures, each with what it is of. */
export class PictureService {
  private readonly store: Store;
  constructor(store: Store) {
    this.store = store;
  }

  async list(about: string): Promise<{ readonly pictures: Picture[] }> {
    const rows = await this.store.em.fork().find(
      PictureRow,
      { ...within(about), away: 0 },
      {
        orderBy: { at: 'asc', id: 'asc' },
        fields: ['id', 'about', 'words', 'width', 'height', 'at'],
      },
    );
    return { pictures: rows.map((row) => listed(row as PictureRow)) };
  }

  /** @throws Refused 409 for another picture of that id, 422 for what is none or one too many */
  async add(id: string, { about, words, width, height, data }: PictureBody): Promise<Picture> {
    const bytes = Buffer.from(data, 'base64');
    const wrong = { path: 'data', severity: 'wrong' } as const;
    if (kindOf(bytes) === null) throw new Refused(422, [{ ...wrong, code: 'picture-bad' }]);
    return this.store.em.fork().transactional(async (em) => {
      const known = await em.findOne(PictureRow, { id });
      if (known && (known.data !== data || known.about !== about))
        throw new Refused(409, [{ ...wrong, code: 'picture-other', given: id }]);
      if (known) return listed(known);
      const owner = about.split('/').slice(0, 2).join('/');
      const there = await em.count(PictureRow, { ...within(owner), away: 0 });
      if (there >= MOST_PICTURES)
        throw new Refused(422, [{ ...wrong, code: 'pictures-many', given: String(MOST_PICTURES) }]);
      const at = new Date().toISOString();
      const row = em.create(PictureRow, { id, about, words, width, height, data, at, away: 0 });
      return listed(row);
    });
  }

  /** The file itself. @throws Refused 404 */
  async show(id: string): Promise<{ readonly type: string; readonly bytes: Buffer }> {
    const row = await this.store.em.fork().findOne(PictureRow, { id });
    if (!row) throw notFound('picture', id);
    const bytes = Buffer.from(row.data, 'base64');
    return { type: kindOf(bytes) ?? 'application/octet-stream', bytes };
  }

  /** @throws Refused 404 */
  async change(
    id: string,
    { words, away }: { readonly words?: string | undefined; readonly away?: boolean | undefined },
  ): Promise<Picture> {
    return this.store.em.fork().transactional(async (em) => {
      const row = await em.findOne(PictureRow, { id });
      if (!row) throw notFound('picture', id);
      em.assign(row, {
        ...(words === undefined ? {} : { words }),
        ...(away === undefined ? {} : { away: away ? 1 : 0 }),
      });
      return listed(row);
    });
  }
}
