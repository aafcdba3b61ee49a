import type { FileSet, FileName } from '../../core/files/index.ts';
import type { Job } from '../../core/job/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { Desk } from '../heavy/index.ts';
import { plural } from '../../core/units/index.ts';
import type { SheetPicture } from '../papers/index.ts';
import type { JobService } from './jobs.ts';
import type { PictureService } from './pictures.ts';
import type { ShopService } from './shop.ts';

/** More pictures than these make no sheet of a job, but an album. */
const MOST_PICTURES = 12;

interface Asked {
  readonly name: FileName;
  readonly set: FileSet;
  readonly partId: string | undefined;
  /** Of this server, as others reach it; null where they do not. */
  readonly address: string | null;
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** Sheets, drawings, tables and programs of jobs. */
export class PaperService {
  private readonly jobs: JobService;
  private readonly shop: ShopService;
  private readonly pictures: PictureService;
  private readonly desk: Desk;
  constructor(on: {
    readonly jobs: JobService;
    readonly shop: ShopService;
    readonly pictures: PictureService;
    readonly desk: Desk;
  }) {
    this.jobs = on.jobs;
    this.shop = on.shop;
    this.pictures = on.pictures;
    this.desk = on.desk;
  }

  /**
   * A file of a stored job, by the shop as it is now.
   * @throws Refused 404 for the job, 422 for what it is not ready for
   */
  async ofStored(
    id: string,
    asked: Asked,
    gone: AbortSignal,
  ): Promise<{ readonly job: string; readonly bytes: Uint8Array }> {
    const { job, revision, updatedAt } = await this.jobs.read(id);
    const { equipment } = await this.shop.read();
    const address = asked.address === null ? null : `${asked.address}/jobs/${encodeURIComponent(id)}`;
    const pictures = asked.name === 'sheet.pdf' ? await this.picturesOf(id) : [];
    const stored = DAY.format(new Date(updatedAt));
    const ground = { job, equipment, revision, stored, pictures };
    const bytes = await this.desk.ask('paper', { ...asked, ...ground, address }, { gone });
    return { job: job.name, bytes };
  }

  /** A file of a job that is stored nowhere. @throws Refused 422 for what it is not ready for */
  of(
    on: { readonly job: Job; readonly equipment: Equipment },
    asked: Asked,
    gone: AbortSignal,
  ): Promise<Uint8Array> {
    return this.desk.ask('paper', { ...asked, ...on, revision: 0, stored: '', pictures: [] }, { gone });
  }

  private async picturesOf(id: string): Promise<SheetPicture[]> {
    const { pictures } = await this.pictures.list(`job/${id}`);
    const shown = await Promise.all(
      pictures.slice(0, MOST_PICTURES).map(async ({ id: picture, about, words }) => {
        const { type, bytes } = await this.pictures.show(picture);
        return { about, words, image: `data:${type};base64,${bytes.toString('base64')}` };
      }),
    );
    const left = pictures.length - shown.length;
    const more = { about: `job/${id}`, words: `${plural(left, 'more picture')} on the card`, image: null };
    return left > 0 ? [...shown, more] : shown;
  }
}
