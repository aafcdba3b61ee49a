import type { SetupInput } from './schema.ts';

type End = 'left' | 'right';

/** Which way everything pushes, from spindle, cutter and feed. */
export interface Thrust {
  /** Where the teeth of the cutter push the work. */
  readonly toward: End;
  /** Against the feed (conventional), or with it (climb). */
  readonly climb: boolean;
  /** Does the cut push the work towards the head? */
  readonly toHead: boolean;
  /** The end of the work the cutter meets first. */
  readonly entry: End;
  readonly entryAtHead: boolean;
  readonly place: 'above' | 'behind' | 'front';
}

/**
 * Where the cut pushes. A cutter that turns clockwise, seen from in front, moves to the left at its lowest
 * point; one on an upright spindle that turns clockwise, seen from above, moves to the left on the side
 * towards you, so behind the work it pushes left and in front of it right.
 * Source: geometry, tested with the velocity of a turning point
 */
export function thrustOf(
  { headAt, spin, side, feed }: Pick<SetupInput, 'headAt' | 'spin' | 'side' | 'feed'>,
  upright: boolean,
): Thrust {
  const left = (spin === 'clockwise') !== (upright && side === 'front');
  const toward: End = left ? 'left' : 'right';
  return {
    toward,
    climb: toward === feed,
    toHead: toward === headAt,
    // the table carries the work to the cutter: the end that goes ahead meets it first
    entry: feed,
    entryAtHead: feed === headAt,
    place: upright ? side : 'above',
  };
}

/** A thing to do when holding the work, and why. */
export interface Reason {
  readonly key: string;
  readonly say: string;
  readonly why: string;
  /** Does something speak against how it is set up now? */
  readonly against: boolean;
}

interface Held {
  readonly input: SetupInput;
  readonly thrust: Thrust;
  /** Is the cutter sunk in, the table standing still? */
  readonly sinks: boolean;
  readonly teeth: number | null;
  readonly outside: number | null;
  readonly bore: number | null;
  readonly module: number | null;
  readonly blanks: number;
  /** Seat and length of the mandrel, mm. */
  readonly mandrel: {
    readonly kind: 'taper' | 'nut' | 'stub';
    readonly small: number | null;
    readonly length: number | null;
    readonly key: boolean;
  } | null;
}

/**
 * A gear from this module on, or this many times its bore across, wants more than the grip of a mandrel.
 * Common practice.
 */
const KEY_FROM = { module: 2, timesBore: 4 };
const SLENDER = 8;

export const wantsKey = ({ module, outside, bore }: Pick<Held, 'module' | 'outside' | 'bore'>): boolean =>
  (module !== null && module >= KEY_FROM.module) ||
  (outside !== null && bore !== null && outside >= KEY_FROM.timesBore * bore);

const endName = (toHead: boolean): string => (toHead ? 'the head' : 'the tailstock');

/** How to hold the work, each with its reason. Common practice throughout. */
export function reasonsOf(held: Held): readonly Reason[] {
  const { input, thrust, teeth, blanks, mandrel } = held;
  const reasons: Reason[] = [];
  const say = ({
    key,
    words,
    why,
    against = false,
  }: {
    readonly key: string;
    readonly words: string;
    readonly why: string;
    readonly against?: boolean | undefined;
  }) => reasons.push({ key, say: words, why, against });
  const pushed = endName(thrust.toHead);

  say({
    key: 'thrust',
    words: `The cut pushes the work ${thrust.toward}, towards ${pushed}`,
    why: thrust.toHead
      ? 'the head takes the push; the tailstock only steadies it'
      : 'a tailstock gives way: turn cutter and spindle round, cut from the other side, or stand the head at the other end',
    against: !thrust.toHead,
  });
  if (input.holding === 'mandrel')
    say({
      key: 'thick-end',
      words: `Thick end of the mandrel at ${pushed}`,
      why: 'the cut then drives the blank up the taper and tightens it; the other way it works loose',
    });
  if (input.holding === 'stub')
    say({
      key: 'draw',
      words: 'Draw the stub home with its bar',
      why: 'a taper that is only pushed in walks out under an interrupted cut',
    });
  if (input.holding === 'chuck')
    say({
      key: 'jaws',
      words:
        teeth !== null && teeth % 3 === 0
          ? `${teeth} teeth sit in a three-jaw`
          : 'Four jaws, or soft ones, if it has to run true',
      why:
        teeth !== null && teeth % 3 === 0
          ? 'a count that three divides puts every jaw on the same part of a tooth, when the cut gear is held again'
          : 'a three-jaw holds as true as its scroll, and a finished gear of this count is not held evenly by three jaws',
    });
  if (input.holding === 'bar')
    say({
      key: 'bar',
      words: 'Cut the bar long, part it afterwards',
      why: 'nothing can creep on a mandrel; leave parting and facing between the gears',
    });
  if (!held.sinks)
    say({
      key: 'feed',
      words: thrust.climb
        ? 'Climb: the feed goes with the cutter'
        : 'Conventional: the feed goes against the cutter',
      why: thrust.climb
        ? 'a table with slack in its screw is snatched forward: only where the slack is taken out, with the gibs drawn up'
        : 'the slack of the screw is always taken up',
      against: thrust.climb,
    });
  if (input.holding !== 'chuck' && input.holding !== 'bar') {
    const wanted = wantsKey(held);
    const keyed = input.keyed || (mandrel?.key ?? false);
    if (wanted || keyed)
      say({
        key: 'key',
        words: keyed ? 'Keyed or pinned' : 'Key or pin it',
        why: 'deep teeth, or a rim far from its bore, turn a blank on its mandrel: half a tooth is what is left at the end',
        against: wanted && !keyed,
      });
    if (mandrel?.kind === 'nut' || blanks > 1)
      say({
        key: 'nut',
        words: 'Try the nut again after a quarter of the cuts',
        why: 'chatter loosens it; and a spindle run in reverse can unscrew it',
      });
  }
  if (blanks > 1)
    say({
      key: 'stack',
      words: `${blanks} blanks, faced parallel and clean between`,
      why: 'a chip or a burr between two of them tips the stack, and every tooth leans',
    });
  if (
    mandrel &&
    mandrel.small !== null &&
    mandrel.length !== null &&
    mandrel.length > SLENDER * mandrel.small
  )
    say({
      key: 'jack',
      words: 'A jack under the mandrel',
      why: `${Math.round(mandrel.length / mandrel.small)} times as long as it is thick: it bends away from the cutter, and the teeth in the middle come out shallow`,
    });
  if (input.holding === 'mandrel' || input.holding === 'bar')
    say({
      key: 'tailstock',
      words: 'Tailstock to the height of the head',
      why: 'by indicator along a test bar: a tenth too high is a tenth of taper in the depth',
    });
  say({
    key: 'sight',
    words:
      thrust.place === 'front'
        ? 'The cutter is on your side: in sight, and chips come at you'
        : thrust.place === 'behind'
          ? 'The cutter is behind the work: more room, less to see'
          : 'The cutter is above: chips fall clear',
    why: 'chosen for reach or for sight; set up guard and light for it',
  });
  return reasons;
}
