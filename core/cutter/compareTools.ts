/** A way to have a tool for the spaces of a gear. */
export type ToolKind = 'form' | 'half' | 'fly' | 'buttons' | 'hob';

/** Teeth each is reckoned with where it is not there to be counted. Common practice. */
const SHOP_MADE_TEETH = 8;

/** How long the cuts of a job take, by set-up with the cutter that is in force. */
export interface CuttingTime {
  /** Minutes for all cuts, their ways back and the indexing. */
  readonly minutes: number;
  readonly cuts: number;
  /** mm for each cut */
  readonly travel: number;
  /** mm a minute, with so many teeth of the cutter. */
  readonly feed: number;
  readonly teeth: number;
}

/** One tool beside the others, for this gear on this machine. */
export interface ToolCompared {
  readonly kind: ToolKind;
  readonly name: string;
  /** On a flank, µm; null where it lies with the hand that makes it. */
  readonly error: number | null;
  /** What is said of the flank where there is no figure. */
  readonly errorSays: string;
  /** At the feed for each tooth that set-up has; null where that is not known, or it does not cut so. */
  readonly minutes: number | null;
  /** Teeth it is reckoned with; null for what does not cut so. */
  readonly teeth: number | null;
  readonly load: string;
  /** What has to be made first, in the order of the hands; nothing for what is bought. */
  readonly steps: readonly string[];
  readonly suits: string;
}

/**
 * Minutes for the same cuts by a cutter of the same diameter with other teeth, at the same speed and feed for
 * each tooth: only the feeding grows longer, not the indexing.
 * @param teeth ≥ 1
 */
export function minutesWithTeeth(
  { minutes, cuts, travel, feed, teeth: own }: CuttingTime,
  teeth: number,
): number {
  const feeding = (cuts * travel) / feed;
  return minutes - feeding + (feeding * own) / teeth;
}

const LIGHT =
  'a light mill in brass or aluminium; a lathe with the cutter in its spindle and the work on a slide.';

/**
 * The tools a gear can be cut with, side by side. Load, steps and what each suits: common practice.
 * @param errors what a cutter of the set, and of its halves, leaves on a flank, µm; null where not known
 * @param residual of two buttons, µm; null where the flank is too straight for them or it is not worked out
 * @param time null while set-up does not know it
 */
export function compareTools({
  set,
  half,
  residual,
  time,
}: {
  readonly set: { readonly name: string; readonly worst: number } | null;
  readonly half: { readonly name: string; readonly worst: number } | null;
  readonly residual: number | null;
  readonly time: CuttingTime | null;
}): readonly ToolCompared[] {
  const takes = (teeth: number | null) => (time && teeth !== null ? minutesWithTeeth(time, teeth) : null);
  const own = time?.teeth ?? null;
  const bought = (kind: 'form' | 'half', { name, worst }: { name: string; worst: number }): ToolCompared => ({
    kind,
    name: `${name}, bought`,
    error: worst,
    errorSays: '',
    minutes: takes(own),
    teeth: own,
    load: 'Even and quiet: some tooth is always in the cut.',
    steps: [],
    suits: 'any mill that holds its arbor stiffly; iron and steel above all.',
  });
  return [
    ...(set ? [bought('form', set)] : []),
    ...(half ? [bought('half', half)] : []),
    {
      kind: 'fly',
      name: 'Fly cutter, ground to this count',
      error: null,
      errorSays: 'as true as it is ground',
      minutes: takes(1),
      teeth: 1,
      load: 'One blow a turn: slow and jarring.',
      steps: ['print the template', 'grind the form and its relief', 'hold it against the template'],
      suits: LIGHT,
    },
    {
      kind: 'buttons',
      name: 'Form cutter turned with two buttons',
      error: residual,
      errorSays: residual === null ? 'this flank is too straight for buttons' : '',
      minutes: residual === null ? null : takes(SHOP_MADE_TEETH),
      teeth: residual === null ? null : SHOP_MADE_TEETH,
      load: 'Even, as a bought one; it cuts only as well as it is relieved.',
      steps: [
        'turn two buttons',
        'turn the blank with them',
        'gash it',
        'relieve every tooth',
        'harden and grind faces',
      ],
      suits: 'several gears of one count, and a hearth or oven to harden in.',
    },
    {
      kind: 'hob',
      name: 'Hob, made in the shop',
      error: null,
      errorSays: 'as true as its pitch; one hob for every count',
      minutes: null,
      teeth: null,
      load: 'Heavy: several teeth at once. The gear is gashed first.',
      steps: [
        'cut its thread, π m in pitch',
        'gash it',
        'relieve it',
        'harden it',
        'gash the gear by indexing',
      ],
      suits: 'a stiff machine, and many counts of one pitch. Not a light mill.',
    },
  ];
}
