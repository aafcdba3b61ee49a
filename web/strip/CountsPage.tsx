import { Button, Select } from 'antd';
import { useEffect, useId, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newDivideJob, withHead, withPart } from '../../core/job/index.ts';
import { REACHES, smallAngleText, type Method } from '../../core/dividing/index.ts';
import { isSpaced } from '../../core/kinds/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';
import { saveTable, Shell, useTitle } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { newId, usePreferences, useShop } from '../state/index.ts';
import { useBestWays, useReach, WorkBroke } from '../workers/index.ts';
import { CountStrip, REACH_SAYS, StripLegend } from './CountStrip.tsx';

/** All counts, by what this shop can do. */
export function CountsPage() {
  useTitle('Counts');
  const shop = useShop();
  return (
    <Shell>
      {shop.data ? (
        <Counts shop={shop.data.equipment} />
      ) : (
        <p className="page-say">{shop.error?.message ?? 'Opening…'}</p>
      )}
    </Shell>
  );
}

/** A prime beyond every circle: what a head can do shows in it. */
const EXAMPLE = 127;
const FIRST = 400;
const ALL = 1000;

function Counts({ shop }: { readonly shop: Equipment }) {
  const [headId, setHeadId] = useState<string>('all');
  const [query] = useSearchParams();
  const asked = Number(query.get('n') ?? 0);
  const [chosen, setChosen] = useState<number | null>(asked >= 2 && asked <= ALL ? asked : null);
  const [wasAsked, setWasAsked] = useState(asked);
  if (asked !== wasAsked) {
    setWasAsked(asked);
    if (asked >= 2 && asked <= ALL) setChosen(asked);
  }
  const [scrolledTo, setTo] = useState(FIRST);
  // a count that was asked for is in the strip, however far it is scrolled
  const to = (chosen ?? 0) > FIRST ? ALL : scrolledTo;
  const selectId = useId();
  const foot = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    // scrolled to the foot: on to the rest
    if (!foot.current) return;
    const seen = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) setTo(ALL);
    });
    seen.observe(foot.current);
    return () => seen.disconnect();
  }, []);
  const heads = headId === 'all' ? shop.heads : shop.heads.filter(({ id }) => id === headId);
  const { found: reach, broken } = useReach(heads, { gearSets: shop.gearSets, to });
  return (
    <main className="counts">
      <section className="counts-main">
        <header className="counts-head">
          <h1>What this shop can divide</h1>
          <div className="field">
            <label htmlFor={selectId}>On</label>
            <Select
              id={selectId}
              value={headId}
              onChange={setHeadId}
              options={[
                { value: 'all', label: 'any head of the shop' },
                ...shop.heads.map(({ id, name, ratio }) => ({ value: id, label: `${name}, ${ratio} : 1` })),
              ]}
              style={{ width: 320 }}
            />
          </div>
        </header>
        <WorkBroke what="Working out the counts" broken={broken} />
        <StripLegend reach={reach} />
        <CountStrip reach={reach} to={to} chosen={chosen} onChoose={setChosen} />
        {reach && (
          <p className="table-out">
            <button type="button" className="plain-link" onClick={() => saveCounts(reach)}>
              save as CSV
            </button>
          </p>
        )}
        {to < ALL && (
          <p ref={foot}>
            <Button onClick={() => setTo(ALL)}>On to {ALL}</Button>
          </p>
        )}
      </section>
      <aside className="counts-say on-dye">
        {chosen === null && (
          <p className="scribe-say">
            Press a count to see how it is had, and to start on it. One for example:
          </p>
        )}
        <Chosen count={chosen ?? EXAMPLE} reach={reach} heads={heads} shop={shop} />
      </aside>
    </main>
  );
}

/** Each count with how it is had. */
function saveCounts(reach: Uint8Array): void {
  const rows = [...reach].map((place, i) => [String(i + 2), REACH_SAYS[REACHES[place]!].word]);
  void saveTable('counts.csv', [['count', 'how it is had'], ...rows]);
}

const METHOD_SAYS: Readonly<Record<Method, string>> = {
  direct: 'Direct',
  simple: 'Simple',
  differential: 'Differential',
  compound: 'Compound',
  handwheel: 'By the wheel',
  stepper: 'By motor',
  table: 'By the table',
  approximate: 'Nearest',
};

interface ChosenProps {
  readonly count: number;
  readonly reach: Uint8Array | null;
  readonly heads: Equipment['heads'];
  readonly shop: Equipment;
}

/** One count: how it is had on each head, and the way to a job with it. */
function Chosen({ count, reach, heads, shop }: ChosenProps) {
  const navigate = useNavigate();
  const open = useDraft((draft) => draft.open);
  const edit = useDraft((draft) => draft.edit);
  const units = usePreferences((preferences) => preferences.units);
  const place = reach?.[count - 2];
  const says = place === undefined ? null : REACH_SAYS[REACHES[place]!];
  const { found: best, broken } = useBestWays(
    heads.map((head) => ({ head, gearSets: shop.gearSets, steppers: shop.steppers })),
    count,
  );
  const start = () => {
    const job = newDivideJob({ id: newId(), name: `Divide by ${count}`, units, shop });
    const exactOn = best?.findIndex((way) => way?.proof.everySpaceTrue) ?? -1;
    const head = heads[Math.max(0, exactOn)];
    const counted = withPart(job, 'p1', (part) =>
      isSpaced(part)
        ? { ...part, spacing: { ...part.spacing, count: measure(String(count), 'count') } }
        : part,
    );
    open(head ? withHead({ job: counted, partId: 'p1', head, shop }) : counted, 0);
    edit((now) => ({ ...now }));
    void navigate(`/jobs/${job.id}/p1/dividing`);
  };
  return (
    <>
      <p className="counts-figure">{count}</p>
      <p className="counts-word">{says?.word ?? '…'}</p>
      <WorkBroke what="Looking for the best way" broken={broken} />
      {/* a ring that is there says little of what is less to change as the head stands */}
      {says !== null && best !== null && (
        <p className="scribe-say">As each head stands now, with the least to change:</p>
      )}
      <ul className="counts-heads">
        {heads.map((head, i) => {
          const way = best?.[i];
          return (
            <li key={head.id}>
              <span className="scribe-say">{head.name}</span>
              {best === null ? '…' : way ? `${METHOD_SAYS[way.method]}: ${way.words}` : 'not at all'}
              {way && !way.proof.everySpaceTrue && (
                <span className="scribe-say">not exactly: worst {smallAngleText(way.proof.worst.turns)}</span>
              )}
            </li>
          );
        })}
      </ul>
      <button type="button" className="next-thing" onClick={start}>
        <span>Divide by {count}</span>
        <span>new job</span>
      </button>
    </>
  );
}
