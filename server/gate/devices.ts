import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { z } from 'zod';

/** So many days on which the shop was at work without it, and a device is known no more. */
const DAYS_UNSEEN = 90;
const MOST_DEVICES = 500;

const deviceSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Of the token that lets it in; the token itself rests with the device alone. */
  hash: z.string(),
  since: z.string(),
  seen: z.string(),
  /** The last working day of the shop on which it was seen, counted from the first. */
  day: z.int(),
});
type Device = z.infer<typeof deviceSchema>;

const fileSchema = z.object({
  version: z.literal(2),
  /** Working days of the shop so far, and the date of the last: no clock set wrong puts anyone out. */
  days: z.int(),
  lastDate: z.string(),
  devices: z.array(deviceSchema),
});
type DeviceFile = z.infer<typeof fileSchema>;

const NONE: DeviceFile = { version: 2, days: 0, lastDate: '', devices: [] };
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** What lets devices in; a file that was cut short lets nobody in, and they are let in anew. */
function readDevices(file: string): DeviceFile {
  if (!existsSync(file)) return NONE;
  try {
    const read: unknown = JSON.parse(readFileSync(file, 'utf8'));
    // before devices had names, the file was a list of what lets them in
    if (Array.isArray(read)) {
      const hashes = read.filter((one) => typeof one === 'string');
      return {
        ...NONE,
        devices: hashes.map((hash, i) => ({
          id: randomUUID(),
          name: `Device ${i + 1}`,
          hash,
          since: '',
          seen: '',
          day: 0,
        })),
      };
    }
    return fileSchema.parse(read);
  } catch {
    return NONE;
  }
}

/** A device as the owner sees it. */
export type ListedDevice = Omit<Device, 'hash' | 'day'>;

/** The devices that were let in, kept beside the store. */
export class DeviceList {
  private readonly file: string;
  private readonly clock: () => Date;
  private kept: DeviceFile;

  constructor(file: string, clock: () => Date = () => new Date()) {
    this.file = file;
    this.clock = clock;
    this.kept = readDevices(file);
  }

  /**
   * @param name none where nobody gave one
   * @returns the token that lets it in from now on; the device seen least lately makes room
   */
  add(name: string): string {
    const token = randomBytes(32).toString('hex');
    const now = this.clock().toISOString();
    this.countDay();
    const device = {
      id: randomUUID(),
      name: name || `Device ${this.kept.devices.length + 1}`,
      hash: hashOf(token),
      since: now,
      seen: now,
      day: this.kept.days,
    };
    const others = [...this.kept.devices].sort((a, b) => b.day - a.day).slice(0, MOST_DEVICES - 1);
    this.keep({ ...this.kept, devices: [...others, device] });
    return token;
  }

  /** Is this one of them? Once a working day it is noted that it was here, and `renewed` says so. */
  knows(token: string): { readonly known: boolean; readonly renewed: boolean } {
    const hash = hashOf(token);
    const isIn = () => this.kept.devices.find((device) => device.hash === hash);
    if (!isIn()) return { known: false, renewed: false };
    this.countDay();
    const device = isIn();
    if (!device) return { known: false, renewed: false };
    if (device.day === this.kept.days) return { known: true, renewed: false };
    const seen = { ...device, seen: this.clock().toISOString(), day: this.kept.days };
    const next = {
      ...this.kept,
      devices: this.kept.devices.map((one) => (one === device ? seen : one)),
    };
    try {
      this.keep(next);
    } catch {
      // a disk that takes nothing more shuts nobody out
      this.kept = next;
    }
    return { known: true, renewed: true };
  }

  /** The latest seen first. */
  list(): readonly ListedDevice[] {
    return [...this.kept.devices]
      .sort((a, b) => b.seen.localeCompare(a.seen))
      .map(({ id, name, since, seen }) => ({ id, name, since, seen }));
  }

  /** @returns was there such a device? */
  putOut(id: string): boolean {
    const devices = this.kept.devices.filter((device) => device.id !== id);
    if (devices.length === this.kept.devices.length) return false;
    this.keep({ ...this.kept, devices });
    return true;
  }

  forgetAll(): void {
    this.keep({ ...this.kept, devices: [] });
  }

  /** Another date than the last is another working day, whichever way the clock went. */
  private countDay(): void {
    const date = this.clock().toISOString().slice(0, 10);
    if (date === this.kept.lastDate) return;
    const days = this.kept.days + 1;
    const devices = this.kept.devices.filter(({ day }) => days - day <= DAYS_UNSEEN);
    this.kept = { ...this.kept, days, lastDate: date, devices };
  }

  /** On the disk first: a device that was put out stays out, also after a restart. */
  private keep(next: DeviceFile): void {
    const half = `${this.file}.half`;
    writeFileSync(half, JSON.stringify(next), { mode: 0o600 });
    renameSync(half, this.file);
    this.kept = next;
  }
}
