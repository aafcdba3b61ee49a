import { toldLength, issueOf, type FiguresOf, type Issue, type IssueCode } from '../findings/index.ts';
import type { Mandrel } from '../shop/index.ts';
import { lengthText, type UnitSystem } from '../units/index.ts';
import type { SetupRead } from './read.ts';
import type { Fit } from './room.ts';
import type { SetupInput } from './schema.ts';
import type { SetupDetail } from './detail.ts';

/** A runout beyond this is another unit, or a blank that was never turned. mm */
const RUNOUT_FAR = 1.5;
/** So much over a length is no error of alignment: it is another unit, or the work is not clamped. */
const ALONG_FAR = 1 / 50;
/** Larger than anything on a mill that gears are cut on: another unit. mm */
const LARGEST = {
  cutterDiameter: 400,
  cutterWidth: 150,
  face: 2000,
  outside: 2000,
  paper: 1,
  jawGap: 2000,
  tailGap: 2000,
} as const;

/** The field a thing that does not fit is told at. */
const FIELD_OF: Readonly<Record<Fit['key'], keyof SetupInput | 'millId' | 'choice'>> = {
  table: 'offset',
  cross: 'choice',
  height: 'cutterDiameter',
  raise: 'cutterDiameter',
  collar: 'cutterDiameter',
  'head-end': 'jawGap',
  'tail-end': 'tailGap',
};

interface With {
  readonly mandrel: Mandrel | null;
  readonly bore: number | null;
  readonly system: UnitSystem;
}

/**
 * What a machinist would ask about a set-up before clamping anything. Paths are fields of the set-up.
 * Issues: setup-size-far, setup-no-room, setup-cutter-small, mandrel-fit, setup-left-shop, runout-far,
 * along-far, along-alone, keyway-cutter, speed-none
 */
export function judgeSetup({
  input,
  read,
  detail,
  with: { mandrel, system },
}: {
  readonly input: SetupInput;
  readonly read: SetupRead;
  readonly detail: SetupDetail;
  readonly with: With;
}): Issue[] {
  const issues: Issue[] = [];
  const mm = (value: number) => lengthText(value, system);
  const length = (value: number) => toldLength(value, system);
  type Field = keyof SetupInput | 'millId' | 'choice';
  const tell = <Code extends IssueCode>(
    code: Code,
    where: { readonly severity: Issue['severity']; readonly path: Field; readonly given: string },
    ...figures: FiguresOf<Code>
  ) => issues.push(issueOf(code, where, ...figures));
  const ask = <Code extends IssueCode>(code: Code, path: Field, given: string, ...figures: FiguresOf<Code>) =>
    tell(code, { severity: 'query', path, given }, ...figures);

  for (const { key, name, needs, has, fits, remedies } of detail.fits)
    if (fits === false)
      ask('setup-no-room', FIELD_OF[key], mm(needs), {
        what: name,
        has: mm(has!),
        remedy: remedies.join(' '),
      });
  for (const [field, most] of Object.entries(LARGEST) as [keyof typeof LARGEST, number][]) {
    const size = read[field];
    if (size !== null && size > most) ask('setup-size-far', field, mm(size), { most: length(most) });
  }
  const { cutter, depth, data } = detail;
  if (cutter.diameter !== null && depth !== null && depth >= cutter.diameter / 2)
    ask('setup-cutter-small', 'cutterDiameter', mm(cutter.diameter), { depth: length(depth) });
  if (input.mandrelId !== null && input.holding !== 'chuck' && input.holding !== 'bar') {
    const fit = detail.mandrels.find(({ id }) => id === input.mandrelId);
    if (!mandrel) tell('setup-left-shop', { severity: 'note', path: 'mandrelId', given: 'The mandrel' });
    else if (fit?.fits === false) ask('mandrel-fit', 'mandrelId', mandrel.name, { why: fit.line });
  }
  if (input.materialId !== null && detail.material === null)
    tell('setup-left-shop', { severity: 'note', path: 'materialId', given: 'The material' });
  if (data?.tooFast && read.speedSet === null)
    tell(
      'speed-none',
      { severity: 'note', path: 'speedSet', given: String(Math.round(data.rpm)) },
      {
        wanted: data.rpmWanted,
      },
    );
  if (detail.round && detail.round.runout > RUNOUT_FAR) ask('runout-far', 'round', mm(detail.round.runout));
  for (const field of ['alongTop', 'alongSide'] as const) {
    const moved = read[field];
    if (moved === null) continue;
    if (read.alongLength === null)
      tell('along-alone', { severity: 'needed', path: 'alongLength', given: mm(Math.abs(moved)) });
    else if (Math.abs(moved) > ALONG_FAR * read.alongLength)
      ask('along-far', field, mm(Math.abs(moved)), { length: length(read.alongLength) });
  }
  const { keyWidth, keyCutter } = read;
  if (keyWidth !== null && keyCutter !== null && (keyCutter > keyWidth || keyWidth > 2 * keyCutter))
    tell(
      'keyway-cutter',
      { severity: 'wrong', path: 'keyCutter', given: mm(keyCutter) },
      {
        width: length(keyWidth),
        least: length(keyWidth / 2),
      },
    );
  return issues;
}
