import { plateRatioOf } from '../dividing/index.ts';
import type { Run } from '../run/index.ts';
import { exact, type Exact } from '../units/index.ts';
import type { Prompt, PromptOf } from './prompt.ts';
import { promptText } from './sentences.ts';

/** Something that would have cost metal, a pin or a gear; a test that meets one has found a wrong prompt. */
export class Harm extends Error {}

const must = (holds: boolean, harm: string): void => {
  if (!holds) throw new Harm(harm);
};

export interface MadeCut {
  readonly space: number;
  readonly scratch: boolean;
  readonly depth: number | null;
  /** Where the spindle stood, part of a turn; along a line, mm. */
  readonly at: Exact;
}

const ZERO = exact(0);
const part = (turns: Exact): Exact => turns.sub(turns.floor());
/** Less than anybody sees on a dial, mm: what goes "past" a reading goes by so much at least. */
const NEAR = 1e-4;
/** Near enough for a cutter to drop in: a wheel's rounding, never a hole. */
const fallsOn = (a: Exact, b: Exact): boolean => {
  const gap = part(a.sub(b)).valueOf();
  return Math.min(gap, 1 - gap) < 2e-5;
};

/**
 * A mill with a head, and the work on it, as a mechanism: it does only what a hand does to it. For tests: it
 * keeps what the prompts cannot know, and says where one of them would have done harm.
 */
export class Mill {
  /** Turns of the spindle, whole turns too; along a line, mm of the table. */
  position: Exact = ZERO;
  /** Turns of the crank pin over the plate since it was put on, and of the plate by its back pin. */
  private pin: Exact = ZERO;
  private backPin: Exact = ZERO;
  private hole0: Exact = ZERO;
  private back0: Exact = ZERO;
  /** What a wheel, a table or a motor reads 0 at. */
  private zero: Exact = ZERO;
  private steps = 0;
  /** Left so by whoever used it last: a run has to say what is to be unlocked. */
  private locked = true;
  /** Of the cutter's middle along the work, from where it enters the face, the way it is fed, mm. */
  private x = -Infinity;
  /** Where the table's dial reads 0; null while nobody has set it. */
  private table0: number | null = null;
  private radial: 'in' | 'out' = 'in';
  private turnedSinceCut = true;
  private slackTaken = true;
  private cameClockwise = false;
  depth: number | null = null;
  private touched = false;
  readonly cuts: MadeCut[] = [];
  private run: Run;
  private readonly reachAt: ((depth: number) => number) | null;
  /**
   * @param reachAt how far before the face a cutter touches at a depth, mm; without it, as a disk would whose
   * approach the run names
   */
  constructor(run: Run, reachAt: ((depth: number) => number) | null = null) {
    this.run = run;
    this.reachAt = reachAt;
  }

  /** The same work and machine under another run. */
  takeUp(run: Run): void {
    this.run = run;
    if (run.deepens?.register === 'kept' && !run.continues) return;
    // the work was off, or on another head: no dial says any more what it said
    this.touched = false;
    this.table0 = null;
  }

  /** Of a disk sunk so deep: how far before the face its middle stands when it touches. */
  private reach(depth: number): number {
    if (this.reachAt) return this.reachAt(depth);
    const { safe } = this.run;
    const deepest = this.run.rounds.at(-1)?.depthMm ?? null;
    if (safe?.way !== 'along' || deepest === null) return 0;
    const diameter = safe.approach ** 2 / deepest + deepest;
    return Math.sqrt(Math.max(0, depth * (diameter - depth)));
  }

  private get face(): number {
    const { safe } = this.run;
    return safe?.way === 'along' ? safe.clearAfter - 2 * safe.approach : 1;
  }

  /**
   * Does the cutter stand in the blank as it was before it was cut, along the work and as deep as it is now?
   */
  private get inWork(): boolean {
    const reach = this.reach(this.depth ?? 0);
    return this.radial === 'in' && this.x > -reach - NEAR && this.x < this.face + reach + NEAR;
  }

  private readsTable(reading: number): number {
    if (this.table0 === null) throw new Harm('the table’s dial was never set');
    return this.table0 + reading;
  }

  private get ratio(): Exact {
    return exact(this.run.head?.ratio ?? '1');
  }

  private mayTurn(): void {
    must(!this.locked, 'turned against the lock');
    must(!this.inWork, 'turned in the cutter');
  }

  private go(by: Exact, clockwise = by.gte(0)): void {
    this.position = this.position.add(by);
    this.turnedSinceCut = true;
    this.cameClockwise = clockwise;
  }

  /** The crank over the plate, by so many turns; a geared plate creeps the while. */
  private crank(turns: Exact): void {
    this.pin = this.pin.add(turns);
    this.go(turns.div(this.ratio.sub(plateRatioOf(this.run.move))), true);
  }

  private inHole({
    pin,
    zero,
    circle,
    hole,
    which,
  }: {
    readonly pin: Exact;
    readonly zero: Exact;
    readonly circle: number;
    readonly hole: number;
    readonly which: string;
  }): void {
    const at = part(pin.sub(zero)).mul(circle);
    must(at.equals(hole), `${which} is in hole ${at.toFraction()} and not in ${hole}`);
  }

  private turn({ landing, from, round }: PromptOf<'turn'>): void {
    this.mayTurn();
    const { move } = this.run;
    switch (landing.on) {
      case 'plate':
      case 'two-circles': {
        if (!('circle' in move)) throw new Harm('there is no circle');
        if (from && 'hole' in from)
          this.inHole({
            pin: this.pin,
            zero: this.hole0,
            circle: move.circle,
            hole: from.hole,
            which: 'the pin',
          });
        this.crank(exact(landing.turns * move.circle + landing.spaces, move.circle));
        return this.inHole({
          pin: this.pin,
          zero: this.hole0,
          circle: move.circle,
          hole: landing.hole,
          which: 'the pin',
        });
      }
      case 'ring': {
        if (move.method !== 'direct') throw new Harm('there is no ring');
        this.pin = this.pin.add(exact(landing.spaces, move.holes));
        this.go(exact(landing.spaces, move.holes));
        return this.inHole({
          pin: this.pin,
          zero: this.hole0,
          circle: move.holes,
          hole: landing.hole,
          which: 'the pin',
        });
      }
      case 'dial': {
        const target = this.reading(landing);
        const now = this.position.sub(this.zero);
        const full = move.method === 'handwheel' && this.ratio.d === 1n ? exact(1) : null;
        let by = target.sub(now);
        // a table that is read by its rim comes by the same reading once a turn: on, clockwise, to the next
        while (full && (by.lt(0) || (by.equals(0) && round))) by = by.add(full);
        must(by.gte(0), 'the wheel would have to go back');
        return this.go(by);
      }
      case 'steps': {
        if (move.method !== 'stepper') throw new Harm('there is no motor');
        const by = landing.steps - this.steps;
        must(by === landing.by && by > 0, `the motor would go ${by}, and is said to go ${landing.by}`);
        this.steps = landing.steps;
        return this.go(exact(by).div(move.stepsPerTurn));
      }
    }
  }

  /** What a reading of wheel or table stands for, from its zero. */
  private reading({ turns, mark }: { readonly turns: number; readonly mark: string }): Exact {
    const { move } = this.run;
    if (move.method === 'table') return exact(mark).div(move.marks).add(turns).mul(move.lead);
    if (move.method !== 'handwheel') throw new Harm('nothing is read here');
    return exact(mark).div(move.marks).add(turns).div(this.ratio);
  }

  private turnPlate({ back, circle, from, hole }: PromptOf<'turn-plate'>): void {
    this.mayTurn();
    this.inHole({ pin: this.backPin, zero: this.back0, circle, hole: from, which: 'the back pin' });
    const by = exact(back, circle);
    // the pin stands still while the plate is turned under it
    this.backPin = this.backPin.sub(by);
    this.go(by.div(this.ratio), true);
    this.inHole({ pin: this.backPin, zero: this.back0, circle, hole, which: 'the back pin' });
  }

  private goBack({ by, space: _space }: PromptOf<'return'>): void {
    this.mayTurn();
    switch (by.on) {
      case 'plate':
      case 'two-circles': {
        this.crank(exact(by.turns * by.circle + by.spaces, by.circle).neg());
        this.hole0 = this.pin;
        if (by.on === 'two-circles') {
          this.go(exact(by.back, by.backCircle).div(this.ratio), true);
          this.back0 = this.backPin;
        }
        return;
      }
      case 'ring':
        this.pin = this.pin.sub(exact(by.spaces, by.circle));
        this.go(exact(-by.spaces, by.circle), true);
        return this.inHole({ pin: this.pin, zero: this.hole0, circle: by.circle, hole: 0, which: 'the pin' });
      case 'dial':
        return this.go(this.zero.sub(this.position), true);
      case 'steps': {
        if (this.run.move.method !== 'stepper') throw new Harm('there is no motor');
        this.go(exact(-this.steps).div(this.run.move.stepsPerTurn), true);
        this.steps = 0;
      }
    }
  }

  private setZero(): void {
    this.zero = this.position;
    this.steps = 0;
    this.hole0 = this.pin;
    this.back0 = this.backPin;
  }

  /** How deep this place is cut already, mm. */
  private get cutHere(): number {
    const here = this.cuts.filter(({ at }) => fallsOn(at, this.position));
    return Math.max(0, ...here.map(({ depth }) => depth ?? 0));
  }

  private firstTouch({ reads }: PromptOf<'first-touch'>): void {
    must(!this.inWork, 'fed on from within the work');
    const depth = this.depth ?? 0;
    must(depth > this.cutHere, 'there is nothing to touch');
    this.x = -this.reach(this.cutHere === 0 ? depth : depth - this.cutHere);
    this.table0 = this.x - reads;
  }

  private cut({ space, scratch, again, sink, through }: PromptOf<'cut'>): void {
    must(this.locked || this.run.helix !== null, 'cut with the spindle loose');
    must(this.radial === 'in' || sink !== null, 'cut drawn clear of the cutter');
    must(
      this.cameClockwise || this.run.move.method === 'direct',
      `space ${space} is come to from the other side`,
    );
    must(this.run.helix === null || this.slackTaken, 'cut with slack in the gears');
    if (sink !== null) must(this.touched, 'sunk from no touch');
    const depth = scratch ? 0 : (sink ?? this.depth);
    if (again) {
      const before = this.cuts.filter((cut) => cut.space === space && fallsOn(cut.at, this.position));
      must(before.length > 0, `space ${space} is said to be cut, and is not`);
    } else this.cuts.push({ space, scratch, depth, at: this.position });
    this.x = through === null ? this.face : this.readsTable(through);
    must(this.x > this.face - NEAR, `fed only ${this.x} over a face of ${this.face}`);
    this.radial = 'in';
    this.turnedSinceCut = false;
  }

  private firstOf(space: number): MadeCut {
    const made = this.cuts.find((cut) => cut.space === space);
    if (!made) throw new Harm(`space ${space} was never cut`);
    return made;
  }

  /**
   * Beside an upright spindle the cross slide brings the work in and out, under an arbor the knee; the other
   * one has no business here.
   */
  private byItsScrew(prompt: Prompt): void {
    if (!['touch', 'graze', 'depth', 'in', 'out'].includes(prompt.do)) return;
    const said = promptText(this.run, prompt);
    const upright = this.run.mount?.axis === 'vertical';
    must(/knee/.test(said) !== upright, `said with the wrong screw: ${said}`);
    must(/cross slide/i.test(said) === upright, `said with the wrong screw: ${said}`);
  }

  /** Does what a prompt says, and nothing else. */
  heeds(prompt: Prompt): void {
    this.byItsScrew(prompt);
    switch (prompt.do) {
      case 'unlock':
        this.locked = false;
        return;
      case 'lock':
        this.locked = true;
        return;
      case 'turn':
        return this.turn(prompt);
      case 'turn-plate':
        return this.turnPlate(prompt);
      case 'return':
        return this.goBack(prompt);
      case 'register':
        if (prompt.work === 'fresh') {
          this.mayTurn();
          this.cameClockwise = true;
        }
        return this.setZero();
      case 'zero':
        return this.setZero();
      case 'find': {
        this.mayTurn();
        const { at } = this.firstOf(prompt.space);
        this.position = at;
        this.cameClockwise = true;
        this.turnedSinceCut = true;
        // the cutter has dropped into it
        this.x = this.face / 2;
        this.turnedSinceCut = false;
        return;
      }
      case 'stand':
        must(fallsOn(this.position, this.firstOf(prompt.space).at), 'it does not stand there');
        // the cutter has been seen to drop in
        this.x = this.face / 2;
        return;
      case 'land':
        this.mayTurn();
        // half a space on from wherever a space is
        this.go(
          (this.cuts.at(-1)?.at ?? this.position).sub(this.position).add(exact(1, 2 * this.run.divisions)),
        );
        return;
      case 'first-touch':
        return this.firstTouch(prompt);
      case 'touch':
      case 'graze':
        must(
          this.turnedSinceCut || this.cuts.every(({ scratch }) => scratch),
          'touched in a space that is cut',
        );
        this.touched = prompt.do === 'touch' || this.touched;
        this.depth = prompt.do === 'graze' ? 0 : null;
        this.radial = 'in';
        this.x = this.face / 2;
        return;
      case 'depth':
        this.depth = prompt.depth;
        must(!this.inWork, 'the depth set with the cutter on the work');
        must(this.touched, 'a depth from no touch');
        return;
      case 'out':
        this.radial = 'out';
        return;
      case 'in':
        must(prompt.graze || prompt.depth === null || this.touched, 'a depth from no touch');
        this.radial = 'in';
        this.depth = prompt.graze ? 0 : prompt.depth;
        must(prompt.graze || !this.inWork, 'brought in on the work');
        return;
      case 'back':
        must(
          this.radial === 'out' || !this.turnedSinceCut || this.x <= this.face,
          'run back through uncut metal',
        );
        must(this.radial === 'out' || this.run.helix === null, 'dragged back along a helix');
        this.x = prompt.to === 'clear' ? -Infinity : this.readsTable(-2 * NEAR);
        this.slackTaken = prompt.slack;
        return;
      case 'on':
        must(this.x >= this.face - NEAR, 'run on from nowhere');
        this.x = this.readsTable(prompt.past + 2 * NEAR);
        return;
      case 'cut':
        return this.cut(prompt);
      case 'marks':
      case 'judge':
        return must(
          fallsOn(this.position, this.firstOf(prompt.space).at),
          `the cutter does not fall into space ${prompt.space}`,
        );
      default:
        return;
    }
  }
}
