import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import path from 'node:path';
import { refuse } from '../problems.ts';
import { DeviceList } from './devices.ts';

const TRIES = 5;
const WAIT_MS = 60_000;
const MOST_ADDRESSES = 1000;

const isSame = (given: string, own: string): boolean => {
  const [a, b] = [given, own].map((text) => createHash('sha256').update(text).digest());
  return timingSafeEqual(a!, b!);
};

const newCode = (): string => String(randomInt(0, 1_000_000)).padStart(6, '0');
/** Too long to be tried out, so it is for cameras and not for fingers. */
const newPass = (): string => randomBytes(16).toString('base64url');

/**
 * Devices beyond this machine are let in once, with a code that is shown on the machine itself. What lets
 * them in rests with the store, so that a restart does not lock the tablet out in the middle of a gear.
 */
export class Pairing {
  readonly devices: DeviceList;
  private own = { code: newCode(), pass: newPass() };
  /** Wrong tries by the address they come from: nobody locks anyone else out. */
  private readonly tries = new Map<string, { failed: number; lockedUntil: number }>();
  private readonly now: () => number;

  /** @param now a clock that is never set, ms */
  constructor(dataFolder: string, now: () => number = () => performance.now()) {
    this.devices = new DeviceList(path.join(dataFolder, 'paired.json'));
    this.now = now;
  }

  /** Six figures, to be typed. */
  get code(): string {
    return this.own.code;
  }

  /** What a picture of squares carries; good for one device. */
  get pass(): string {
    return this.own.pass;
  }

  /** Whoever has seen the old ones is let in no more; who is in stays in. */
  renew(): void {
    this.own = { code: newCode(), pass: newPass() };
  }

  /**
   * @param given the code, or what the picture carries @param from the address it comes from
   * @returns the token that lets this device in from now on @throws Refused 403 for a wrong code, 429 after
   * several
   */
  pair(given: string, name: string, from: string): string {
    const tries = this.tries.get(from) ?? { failed: 0, lockedUntil: -Infinity };
    if (this.now() < tries.lockedUntil) throw refuse(429, 'pairing-wait', '');
    const typed = given.replace(/\s/g, '');
    const byPass = isSame(typed, this.own.pass);
    if (!byPass && !isSame(typed, this.own.code)) {
      const failed = tries.failed + 1;
      this.remember(
        from,
        failed >= TRIES ? { failed: 0, lockedUntil: this.now() + WAIT_MS } : { ...tries, failed },
      );
      throw refuse(403, 'pairing-wrong', given);
    }
    this.tries.delete(from);
    if (byPass) this.own = { ...this.own, pass: newPass() };
    return this.devices.add(name);
  }

  private remember(from: string, tries: { failed: number; lockedUntil: number }): void {
    this.tries.delete(from);
    this.tries.set(from, tries);
    const [oldest] = this.tries.keys();
    if (this.tries.size > MOST_ADDRESSES && oldest !== undefined) this.tries.delete(oldest);
  }
}
