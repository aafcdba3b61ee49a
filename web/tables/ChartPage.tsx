import { Segmented, Select } from 'antd';
import { useId, useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import {
  checkChart,
  choiceOfRow,
  circlesOf,
  type ChartCheck,
  type ChartGears,
  type ChartLetters,
  type ChartPosition,
  type ChartRow,
} from '../../core/dividing/index.ts';
import type { Issue } from '../../core/findings/index.ts';
import {
  indexedParts,
  newDivideJob,
  withDividing,
  withHead,
  withPart,
  type Job,
} from '../../core/job/index.ts';
import { isSpaced, type IndexedPart } from '../../core/kinds/index.ts';
import type { Equipment, Head } from '../../core/shop/index.ts';
import { decimalText, exact, measure, parseCount } from '../../core/units/index.ts';
import { MeasureField } from '../fields/index.ts';
import { Fold, Notice, Shell, useTitle } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { newId, usePreferences, useShop } from '../state/index.ts';
import './tables.css';

/** Every field of a row, as typed. */
const EMPTY = {
  divisions: '',
  turns: '0',
  spaces: '',
  circle: '',
  spindle: '',
  first: '',
  second: '',
  plateShaft: '',
  idlers: '0',
};
type Field = keyof typeof EMPTY;
type Train = 'none' | 'simple' | 'compound';

const FIELDS: Readonly<
  Record<
    Field,
    { readonly label: string; readonly what: string; readonly least: number; readonly most: number }
  >
> = {
  divisions: { label: 'The row is for', what: 'The count', least: 2, most: 1000 },
  turns: { label: 'Whole turns', what: 'The turns', least: 0, most: 400 },
  spaces: { label: 'Spaces', what: 'The spaces', least: 0, most: 2000 },
  circle: { label: 'Circle', what: 'The circle', least: 2, most: 2000 },
  spindle: { label: 'Gear on the spindle', what: 'A gear', least: 8, most: 1000 },
  first: { label: 'First on the stud', what: 'A gear', least: 8, most: 1000 },
  second: { label: 'Second on the stud', what: 'A gear', least: 8, most: 1000 },
  plateShaft: { label: 'Gear on the plate shaft', what: 'A gear', least: 8, most: 1000 },
  idlers: { label: 'Idlers', what: 'The idlers', least: 0, most: 2 },
};
const SHOWN: Readonly<Record<Train, readonly Field[]>> = {
  none: ['divisions', 'turns', 'spaces', 'circle'],
  simple: ['divisions', 'turns', 'spaces', 'circle', 'spindle', 'plateShaft', 'idlers'],
  compound: ['divisions', 'turns', 'spaces', 'circle', 'spindle', 'first', 'second', 'plateShaft', 'idlers'],
};

/** The row as read, or null while something is missing or wrong. */
function readRow(
  typed: typeof EMPTY,
  train: Train,
): { row: ChartRow | null; issues: Partial<Record<Field, readonly Issue[]>> } {
  const issues: Partial<Record<Field, readonly Issue[]>> = {};
  const read = (field: Field): number => {
    const { what, least, most } = FIELDS[field];
    const count = parseCount({ given: measure(typed[field], 'count'), what, least, most });
    if (count.ok) return count.value;
    issues[field] = count.issues;
    return 0;
  };
  const [divisions, turns, spaces, circle] = [
    read('divisions'),
    read('turns'),
    read('spaces'),
    read('circle'),
  ];
  const gears = (): ChartGears => ({
    spindle: read('spindle'),
    stud: train === 'compound' ? { first: read('first'), second: read('second') } : null,
    plateShaft: read('plateShaft'),
    idlers: read('idlers'),
  });
  const row: ChartRow = { divisions, turns, spaces, circle, gears: train === 'none' ? null : gears() };
  return { row: Object.keys(issues).length === 0 ? row : null, issues };
}

/** Check a printed chart: what a row truly gives on a head, and which misprint would explain it. */
export function ChartPage() {
  useTitle('Check a chart');
  const shop = useShop();
  return (
    <Shell>
      {shop.data ? (
        <Chart equipment={shop.data.equipment} />
      ) : (
        <p className="page-say">{shop.error?.message ?? 'Opening…'}</p>
      )}
    </Shell>
  );
}

function Chart({ equipment }: { readonly equipment: Equipment }) {
  const asker = useAsker();
  const [typed, setTyped] = useState(() => ({ ...EMPTY, divisions: asker?.count ?? '' }));
  const [train, setTrain] = useState<Train>('none');
  const [headId, setHeadId] = useState(asker?.headId ?? equipment.heads[0]?.id ?? null);
  const selectId = useId();
  const head = equipment.heads.find(({ id }) => id === headId) ?? null;
  const { row, issues } = useMemo(() => readRow(typed, train), [typed, train]);
  const letters = usePreferences(({ chartLetters }) => chartLetters);
  const check = useMemo(
    () => row && head && checkOn({ head, equipment, row, letters }),
    [row, head, equipment, letters],
  );
  return (
    <main className="chart">
      <section className="chart-row" aria-label="The row as printed">
        <h1>Check a chart</h1>
        <p className="soft">Charts carry misprints, and misprints get copied. Type a row as it is printed.</p>
        <div className="field">
          <label htmlFor={selectId}>On this head</label>
          <Select
            id={selectId}
            value={headId}
            options={equipment.heads.map(({ id, name, ratio }) => ({
              value: id,
              label: `${name}, ${ratio} : 1`,
            }))}
            onChange={setHeadId}
            style={{ width: '100%' }}
          />
        </div>
        <Segmented
          aria-label="Gears of the row"
          value={train}
          onChange={(value) => setTrain(value as Train)}
          options={[
            { value: 'none', label: 'No gears' },
            { value: 'simple', label: 'Two gears' },
            { value: 'compound', label: 'Four gears' },
          ]}
        />
        <div className="fields">
          {SHOWN[train].map((field) => (
            <MeasureField
              key={field}
              label={labelOf(field, letters)}
              value={measure(typed[field], 'count')}
              onChange={(value) => setTyped({ ...typed, [field]: value.typed })}
              issues={issues[field] ?? []}
            />
          ))}
        </div>
        {train !== 'none' && <Letters positions={POSITIONS[train]} />}
      </section>
      <section className="chart-say on-dye" aria-live="polite" aria-label="What it gives">
        {row && check ? (
          <>
            <Verdict row={row} check={check} />
            {check.right && head && <UseRow row={row} head={head} equipment={equipment} asker={asker} />}
          </>
        ) : (
          <Example
            onShow={() => {
              setTyped(MISPRINTED);
              setTrain('simple');
            }}
          />
        )}
      </section>
    </main>
  );
}

/** A row with its two gears exchanged: 127 by 13 on 39 wants 56 on the spindle and 24 on the plate shaft. */
const MISPRINTED: typeof EMPTY = {
  ...EMPTY,
  divisions: '127',
  spaces: '13',
  circle: '39',
  spindle: '24',
  plateShaft: '56',
  idlers: '2',
};

/** What is worth reading before anything is typed. */
function Example({ onShow }: { readonly onShow: () => void }) {
  return (
    <>
      <p className="chart-quiet">What the row truly gives is said here as soon as it is typed.</p>
      <p className="chart-quiet">
        A row for 127 reads 13 on 39, gears 24 on the spindle and 56 on the plate shaft. Two gears exchanged,
        and a blank is lost: such a row looks as good as a right one.
      </p>
      <button type="button" className="chart-show" onClick={onShow}>
        See what that row gives
      </button>
    </>
  );
}

interface Asker {
  readonly job: Job;
  readonly part: IndexedPart;
  readonly count: string;
  readonly headId: string | null;
}

/** The card that a way from a book is wanted for: its part stands in the address, and it is open. */
function useAsker(): Asker | null {
  const [query] = useSearchParams();
  const job = useDraft((draft) => draft.job);
  if (!job || job.id !== query.get('job')) return null;
  const part = indexedParts(job).find(({ id }) => id === query.get('part'));
  return part ? { job, part, count: query.get('for') ?? '', headId: part.dividing.headId } : null;
}

interface UseRowProps {
  readonly row: ChartRow;
  readonly head: Head;
  readonly equipment: Equipment;
  readonly asker: Asker | null;
}

/** A row that was found right goes into the job it is wanted for, or into a new one. */
function UseRow({ row, head, equipment, asker }: UseRowProps) {
  const edit = useDraft((draft) => draft.edit);
  const open = useDraft((draft) => draft.open);
  const units = usePreferences((preferences) => preferences.units);
  const navigate = useNavigate();
  const choice = choiceOfRow(row, head);
  if (!choice) return null;
  const into = (job: Job, partId: string): Job =>
    withDividing(withHead({ job, partId, head, shop: equipment }), partId, (dividing) => ({
      ...dividing,
      choice,
    }));
  const useHere = () => {
    if (!asker) return;
    edit((now) => into(now, asker.part.id));
    void navigate(`/jobs/${asker.job.id}/${asker.part.id}/dividing`);
  };
  const start = () => {
    const plain = newDivideJob({
      id: newId(),
      name: `Divide by ${row.divisions}`,
      units,
      shop: equipment,
    });
    const counted = withPart(plain, 'p1', (part) =>
      isSpaced(part)
        ? { ...part, spacing: { ...part.spacing, count: measure(String(row.divisions), 'count') } }
        : part,
    );
    open(plain, 0);
    edit(() => into(counted, 'p1'));
    void navigate(`/jobs/${plain.id}/p1/dividing`);
  };
  const fits = asker?.count === String(row.divisions);
  return (
    <p className="chart-use">
      {asker && fits ? (
        <button type="button" className="next-thing" onClick={useHere}>
          <span>Use it in {asker.job.name}</span>
        </button>
      ) : (
        <button type="button" className="next-thing" onClick={start}>
          <span>A new job that divides so</span>
        </button>
      )}
    </p>
  );
}

const POSITIONS: Readonly<Record<'simple' | 'compound', readonly ChartPosition[]>> = {
  simple: ['spindle', 'plateShaft'],
  compound: ['spindle', 'first', 'second', 'plateShaft'],
};

const isPosition = (field: Field): field is ChartPosition => POSITIONS.compound.some((at) => at === field);

/** `C: gear on the spindle`, as the chart that is read names it. */
function labelOf(field: Field, letters: ChartLetters): string {
  const { label } = FIELDS[field];
  const letter = isPosition(field) ? letters[field] : undefined;
  return letter ? `${letter}: ${label.charAt(0).toLowerCase()}${label.slice(1)}` : label;
}

/**
 * Which letter of the chart stands for which position: no two books use the same, so it is asked and kept.
 */
function Letters({ positions }: { readonly positions: readonly ChartPosition[] }) {
  const letters = usePreferences(({ chartLetters }) => chartLetters);
  const setChartLetters = usePreferences((preferences) => preferences.setChartLetters);
  const twice = (at: ChartPosition) =>
    positions.some((other) => other !== at && letters[at] !== undefined && letters[other] === letters[at]);
  return (
    <Fold className="more" summary="The chart goes by letters" open={positions.some((at) => letters[at])}>
      <div className="fields">
        {positions.map((at) => (
          <MeasureField
            key={at}
            label={`Letter of: ${FIELDS[at].label.charAt(0).toLowerCase()}${FIELDS[at].label.slice(1)}`}
            value={measure(letters[at] ?? '', 'count')}
            onChange={({ typed }) => {
              const { [at]: _was, ...others } = letters;
              const letter = typed.trim().slice(0, 3);
              setChartLetters(letter === '' ? others : { ...others, [at]: letter });
            }}
            issues={
              twice(at)
                ? [{ code: 'chart-letter-twice', path: at, severity: 'wrong', given: letters[at] ?? '' }]
                : []
            }
          />
        ))}
      </div>
    </Fold>
  );
}

function checkOn({
  head,
  equipment,
  row,
  letters,
}: {
  readonly head: Head;
  readonly equipment: Equipment;
  readonly row: ChartRow;
  readonly letters: ChartLetters;
}): ChartCheck {
  const gears = equipment.gearSets.find(({ id }) => id === head.differential?.gearSetId)?.gears ?? [];
  return checkChart(row, { ratio: exact(head.ratio), circles: circlesOf(head.plates), gears, letters });
}

const FEW = 8;

function Verdict({ row, check }: { readonly row: ChartRow; readonly check: ChartCheck }) {
  return (
    <>
      <Gives row={row} check={check} />
      {check.noCircle && <p className="chart-quiet">This head has no circle of {row.circle}.</p>}
      {check.instead && (
        <>
          <p className="chart-quiet">On this head {row.divisions} is had by</p>
          <p className="chart-lead">{check.instead}</p>
        </>
      )}
    </>
  );
}

function Gives({ row, check }: { readonly row: ChartRow; readonly check: ChartCheck }) {
  const { gives, isWhole, right, misprints } = check;
  if (right) {
    return (
      <>
        <p className="chart-lead">✓ The row is right.</p>
        <p className="chart-figure">{row.divisions}</p>
        <p className="chart-quiet">Run through the head’s motion: {row.divisions} moves, every one true.</p>
      </>
    );
  }
  return (
    <>
      <p className="chart-lead is-wrong">✕ The row does not give {row.divisions}.</p>
      <p className="chart-figure">
        {gives === '0' ? 'nothing' : isWhole ? gives : decimalText(exact(gives), 3)}
      </p>
      <p className="chart-quiet">
        {gives === '0'
          ? 'It moves nothing, or the plate outruns the crank.'
          : isWhole
            ? 'parts is what it truly divides the work into.'
            : `is what it comes to: the last one falls short. Exactly ${gives}.`}
      </p>
      {misprints.length > 0 ? (
        <Notice
          tone="query"
          word={misprints.length === 1 ? 'Likely meant:' : 'Likely meant, the likeliest first:'}
        >
          <ol className="chart-meant">
            {misprints.slice(0, FEW).map(({ meant }) => (
              <li key={meant}>{meant}</li>
            ))}
          </ol>
        </Notice>
      ) : (
        <p className="chart-quiet">
          No single misprint explains it: two of them, or a chart for another worm ratio.
        </p>
      )}
    </>
  );
}
