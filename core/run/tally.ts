import { Beat, beatOf } from './beat.ts';
import { atOnce, comesAfter, hadSeen } from './causality.ts';
import { placeOf } from './places.ts';
import type { Run, RunEvent } from './schema.ts';

export type Of<Kind extends RunEvent['kind']> = Extract<RunEvent, { kind: Kind }>;
type Placed = { readonly round: number; readonly index: number };

/** How much of a screen's numbers is here. */
interface Screen {
  arrived: number;
  first: number;
  last: number;
  most: number;
}

const NONE: readonly never[] = [];

/** Adds to one of several lists. */
function addTo<Key, Item>(lists: Map<Key, Item[]>, key: Key, item: Item): void {
  const list = lists.get(key);
  if (list) list.push(item);
  else lists.set(key, [item]);
}

function dropFrom<Item>(list: Item[] | undefined, item: Item): void {
  const at = list?.lastIndexOf(item) ?? -1;
  if (at >= 0) list!.splice(at, 1);
}

/**
 * The events of a run, sorted into what its state asks of them, so that one more costs the same however many
 * came before. Grows in the order of the events only: what comes before the last of them begins a new one.
 */
export class RunTally {
  readonly run: Run;
  /** Each id once, in order. */
  readonly ordered: RunEvent[] = [];
  readonly byId = new Map<string, RunEvent>();
  readonly byNumber = new Map<string, RunEvent>();
  readonly takenBack = new Set<string>();
  /** Counts that stand and name a cut of the run. */
  readonly dones: Of<'done'>[] = [];
  /** Counts that were taken back. */
  donesTakenBack = 0;
  readonly trials: Of<'tried'>[] = [];
  readonly checks: Of<'checked'>[] = [];
  readonly closings: Of<'closed'>[] = [];
  readonly endings: Of<'ended'>[] = [];
  readonly measured: Of<'measured'>[] = [];
  readonly notes: Of<'note'>[] = [];
  /** What a motor was sent to. */
  readonly sent: Of<'sent'>[] = [];
  readonly landings: Of<'landing'>[] = [];
  readonly pauses: Of<'pause'>[] = [];
  /** The first resume that names a pause. */
  readonly resumes = new Map<string, Of<'resume'>>();
  readonly screens = new Map<string, Screen>();
  private readonly donesAt = new Map<number, Of<'done'>[]>();
  private readonly ticksAt = new Map<number, Of<'turn'>[]>();
  private readonly heedingAt = new Map<number, RunEvent[]>();
  private readonly heedingClose: RunEvent[] = [];
  private readonly toldAt = new Map<number, Of<'landing'>[]>();
  private readonly donesOf = new Map<string, Of<'done'>[]>();
  /** Counts that another screen’s count was made beside, settled or not, standing or not. */
  private readonly beside = new Set<Of<'done'>>();
  private readonly agreed: ReadonlySet<string>[] = [];
  /** Of those, which are known to be settled: until one more is made beside another. */
  private readonly settled = new Set<Of<'done'>>();
  private beat = new Beat();

  constructor(run: Run) {
    this.run = run;
  }

  /** Does an event come after all that are here? */
  follows(event: RunEvent): boolean {
    const last = this.ordered.at(-1);
    return last === undefined || comesAfter(event, last);
  }

  /** Adds an event that follows; an id that is here already is passed over. */
  add(event: RunEvent): void {
    if (this.byId.has(event.id)) return;
    this.byId.set(event.id, event);
    this.byNumber.set(numberOf(event), event);
    this.ordered.push(event);
    this.countScreens(event);
    if (event.kind === 'take-back') for (const id of event.ids) this.takeBack(id);
    if (!this.takenBack.has(event.id)) this.sort(event);
    else if (event.kind === 'done') this.donesTakenBack += 1;
  }

  doneAt = (place: number): readonly Of<'done'>[] => this.donesAt.get(place) ?? NONE;
  turnsTo = (place: number): readonly Of<'turn'>[] => this.ticksAt.get(place) ?? NONE;
  toldTo = (place: number): readonly Of<'landing'>[] => this.toldAt.get(place) ?? NONE;
  /** What was done towards a cut, in order; of the closing move where no cut is left. */
  heededTo = (place: number | null): readonly RunEvent[] =>
    place === null ? this.heedingClose : (this.heedingAt.get(place) ?? NONE);
  /** Seconds between counts that stand. */
  get paced(): Beat {
    return this.beat;
  }
  /** Screens with counts that stand. */
  counting = (): number => [...this.donesOf.values()].filter((dones) => dones.length > 0).length;

  /** Counts standing from different screens, made at once and not yet agreed on; in order. */
  unsettled(): readonly Of<'done'>[] {
    if (this.beside.size === 0) return NONE;
    const open = [...this.beside].filter((done) => !this.takenBack.has(done.id) && this.isUnsettled(done));
    return open.sort((a, b) => (comesAfter(a, b) ? 1 : -1));
  }

  private countScreens({ device, deviceSeq, lastSeen }: RunEvent): void {
    const own = this.screenOf(device);
    // a screen's own events come in the order of their numbers; one number twice is one event
    if (deviceSeq !== own.last) own.arrived += 1;
    own.first = Math.min(own.first, deviceSeq);
    own.last = deviceSeq;
    own.most = Math.max(own.most, deviceSeq);
    for (const other in lastSeen) {
      const seen = this.screenOf(other);
      seen.most = Math.max(seen.most, lastSeen[other]!);
    }
  }

  private screenOf(device: string): Screen {
    const known = this.screens.get(device);
    if (known) return known;
    const fresh = { arrived: 0, first: Infinity, last: -Infinity, most: 0 };
    this.screens.set(device, fresh);
    return fresh;
  }

  private place(event: Placed): number {
    return placeOf(this.run, event);
  }

  private sort(event: RunEvent): void {
    switch (event.kind) {
      case 'done':
        return this.addDone(event);
      case 'turn':
        return addTo(this.ticksAt, this.place(event), event);
      case 'heeded':
      case 'stroke':
      case 'step':
        if (event.kind === 'heeded' && event.closing) this.heedingClose.push(event);
        else addTo(this.heedingAt, this.place(event), event);
        return;
      case 'landing':
        this.landings.push(event);
        if (event.right) addTo(this.toldAt, this.place(event), event);
        return;
      case 'pause':
        this.pauses.push(event);
        this.beat.add(event);
        return;
      case 'resume':
        this.beat.add(event);
        for (const id of event.ids) if (!this.resumes.has(id)) this.resumes.set(id, event);
        return;
      case 'agreed':
        this.agreed.push(new Set(event.ids));
        return;
      case 'note':
        this.notes.push(event);
        return;
      case 'sent':
        this.sent.push(event);
        return;
      case 'take-back':
        return;
      default:
        this.listOf(event)?.push(event);
    }
  }

  private addDone(event: Of<'done'>): void {
    const place = this.place(event);
    if (place < 0) return;
    this.dones.push(event);
    this.beat.add(event);
    addTo(this.donesAt, place, event);
    for (const [device, dones] of this.donesOf) {
      if (device === event.device) continue;
      // what it had not seen of another screen is the end of that screen's counts
      for (let i = dones.length - 1; i >= 0 && !hadSeen(event, dones[i]!); i -= 1) {
        const known = this.beside.has(dones[i]!);
        this.beside.add(dones[i]!);
        this.beside.add(event);
        this.settled.clear();
        // and whatever lies before one that is known was looked at when that was
        if (known && this.isMarked(event.device, dones[i]!)) break;
      }
    }
    addTo(this.donesOf, event.device, event);
  }

  /** Was a count already found beside one of this screen’s? Then so were those before it that are. */
  private isMarked(device: string, done: Of<'done'>): boolean {
    const last = this.donesOf.get(device)?.at(-1);
    return last !== undefined && atOnce(last, done);
  }

  private isUnsettled(done: Of<'done'>): boolean {
    if (this.settled.has(done)) return false;
    const named = this.agreed.filter((ids) => ids.has(done.id));
    for (const [device, dones] of this.donesOf) {
      if (device === done.device) continue;
      for (let i = firstThatSaw(dones, done) - 1; i >= 0 && !hadSeen(done, dones[i]!); i -= 1)
        if (!named.some((ids) => ids.has(dones[i]!.id))) return true;
    }
    this.settled.add(done);
    return false;
  }

  /** Where events are kept that are told for the run as a whole and can be taken back; none for others. */
  private listOf({ kind }: RunEvent): RunEvent[] | undefined {
    const lists: Partial<Record<RunEvent['kind'], RunEvent[]>> = {
      tried: this.trials,
      checked: this.checks,
      closed: this.closings,
      ended: this.endings,
      measured: this.measured,
    };
    return lists[kind];
  }

  private takeBack(id: string): void {
    if (this.takenBack.has(id)) return;
    this.takenBack.add(id);
    const event = this.byId.get(id);
    if (!event) return;
    if (event.kind === 'done') {
      this.donesTakenBack += 1;
      dropFrom(this.dones, event);
      dropFrom(this.donesAt.get(this.place(event)), event);
      dropFrom(this.donesOf.get(event.device), event);
      this.beat = beatOf(this.ordered.filter((each) => !this.takenBack.has(each.id)));
      return;
    }
    dropFrom(this.listOf(event), event);
    if (!('round' in event)) return;
    const place = this.place(event);
    if (event.kind === 'turn') dropFrom(this.ticksAt.get(place), event);
    else if (event.kind === 'landing') dropFrom(this.toldAt.get(place), event);
    else if (event.kind === 'heeded' || event.kind === 'stroke' || event.kind === 'step') {
      dropFrom(this.heedingAt.get(place), event);
      dropFrom(this.heedingClose, event);
    }
  }
}

/** Where the counts of a screen begin that had seen this one: they are the end of its counts. */
function firstThatSaw(dones: readonly Of<'done'>[], done: Of<'done'>): number {
  let [low, high] = [0, dones.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (hadSeen(dones[middle]!, done)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** A screen’s number, which no two events of a run share. */
export const numberOf = ({ device, deviceSeq }: Pick<RunEvent, 'device' | 'deviceSeq'>): string =>
  `${device} ${deviceSeq}`;
