import { choiceFromV2, landingFromV2 } from '../dividing/index.ts';
import { headFromV1, headFromV2, headFromV6, millFromV4, millFromV6 } from '../shop/index.ts';
import { runSchema, type Run } from './schema.ts';

type RawRun = Readonly<Record<string, unknown>> & { readonly version?: unknown };

/** Heads could not be geared yet. */
const fromV1 = (run: RawRun): RawRun => ({ ...run, version: 2, head: headFromV1(run['head']) });

/** Every move was the same move of the crank on one circle, once round; a cut kept the hole it lands in. */
function fromV2(run: RawRun): RawRun {
  const move = run['move'] as { readonly spaces: number; readonly circle: number };
  const cuts = run['cuts'] as readonly { readonly hole: number }[];
  const last = cuts.at(-1)?.hole ?? 0;
  return {
    ...run,
    version: 3,
    full: true,
    head: headFromV2(run['head']),
    mill: null,
    move: choiceFromV2(move),
    cuts: cuts.map(({ hole, ...cut }) => ({ ...cut, landing: landingFromV2(move, hole) })),
    closing: landingFromV2(move, (last + move.spaces) % move.circle),
  };
}

/** Teeth were straight, and tables did not swing. */
const fromV3 = (run: RawRun): RawRun => ({
  ...run,
  version: 4,
  mill: run['mill'] === null ? null : millFromV4(run['mill']),
  helix: null,
});

/** Set-ups, proofs and runs that go on with others were not known; nothing of the card was kept. */
const fromV4 = (run: RawRun): RawRun => ({
  ...run,
  version: 5,
  head: run['head'] === null ? null : headFromV6(run['head']),
  mill: run['mill'] === null ? null : millFromV6(run['mill']),
  piece: { kind: 'work', name: '' },
  continues: null,
  safe: null,
  minutesPerCut: null,
  outside: null,
  bore: null,
  card: [],
});

/**
 * A table travelled along the work wherever it was known when it is clear; no gear was sunk by a run of its
 * own.
 */
const fromV5 = (run: RawRun): RawRun => ({
  ...run,
  version: 6,
  deepens: null,
  safe: run['safe'] === null ? null : { way: 'along', ...(run['safe'] as object) },
});

/** Only the words told whether table or head was set. */
function helixFromV6(helix: unknown): unknown {
  if (typeof helix !== 'object' || helix === null) return null;
  const { setting } = helix as { readonly setting?: unknown };
  return { ...helix, by: typeof setting === 'string' && setting.startsWith('head') ? 'head' : 'table' };
}

/**
 * Nothing was kept of how the cutter stands, nor of what changes on the head; a gear to be sunk was always
 * found again.
 */
const fromV6 = (run: RawRun): RawRun => ({
  ...run,
  version: 7,
  mount: null,
  helix: helixFromV6(run['helix']),
  preparation: [],
  deepens: run['deepens'] === null ? null : { ...(run['deepens'] as object), register: 'found' },
});

/**
 * Nobody was asked to set the table at the first touch; where to touch, and how a wheel is laid, stood on its
 * stations only.
 */
const fromV7 = (run: RawRun): RawRun => ({
  ...run,
  version: 8,
  laid: null,
  touchOn: null,
  safe:
    (run['safe'] as { readonly way?: unknown } | null)?.way === 'along'
      ? { ...(run['safe'] as object), firstTouch: null }
      : run['safe'],
});

/** Only the title of the first station told a gear, whose teeth can be measured, from other work. */
const fromV8 = (run: RawRun): RawRun => ({
  ...run,
  version: 9,
  measured: (run['card'] as readonly { readonly title?: unknown }[]).some(({ title }) => title === 'Gear'),
});

const SPACED: Readonly<Record<string, string>> = {
  hole: 'hole',
  slot: 'slot',
  flat: 'flat',
  spline: 'spline',
  mark: 'mark',
  tooth: 'tooth-space',
  teeth: 'tooth-space',
};

/** What was cut at each place stood only in the words of the card: `7 flats round`, `58 teeth, m 1.25`. */
function fromV9(run: RawRun): RawRun {
  const [, word = ''] = /^\d+ ([a-z]+?)s?\b/.exec(String(run['gear'])) ?? [];
  const gear = run['measured'] === true || run['helix'] !== null || run['laid'] !== null;
  return { ...run, version: 10, divides: SPACED[word] ?? (gear ? 'tooth-space' : 'place') };
}

/**
 * A run as it rests, of whatever version, brought up to today's and checked. A run's cuts and moves never
 * change.
 * @throws when what rests is no run: a fault, not an issue
 */
export function readRun(raw: unknown): Run {
  let run = raw as RawRun;
  if (run.version === 1) run = fromV1(run);
  if (run.version === 2) run = fromV2(run);
  if (run.version === 3) run = fromV3(run);
  if (run.version === 4) run = fromV4(run);
  if (run.version === 5) run = fromV5(run);
  if (run.version === 6) run = fromV6(run);
  if (run.version === 7) run = fromV7(run);
  if (run.version === 8) run = fromV8(run);
  if (run.version === 9) run = fromV9(run);
  return runSchema.parse(run);
}
