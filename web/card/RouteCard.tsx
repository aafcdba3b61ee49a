import { Button, Input } from 'antd';
import { lazy, memo, Suspense, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import { COPIED, mateOf, partnerOf, withShopCopy, type Job } from '../../core/job/index.ts';
import { wordsOf } from '../../core/kinds/index.ts';
import { stationOf, type PartPlan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { StationId, StationState } from '../../core/station/index.ts';
import { Notice, Steps } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { usePicturesAt } from '../pictures/index.ts';
import { api } from '../state/index.ts';
import { SaveLine } from './SaveLine.tsx';
import { StateMark } from './StateMark.tsx';

interface RouteCardProps {
  readonly job: Job;
  readonly part: PartPlan;
  readonly stationId: StationId;
  readonly findings: readonly Issue[];
  readonly shop: Equipment;
  readonly kept: readonly { readonly id: string; readonly at: string }[];
}

/** What kind of part this is, and how it arrived. */
function arrivalWords(job: Job, { id }: PartPlan): string {
  const part = job.parts.find((own) => own.id === id);
  if (!part) return '';
  const company = {
    hasPartner: partnerOf(job, id) !== null,
    mateCame: mateOf(job, id)?.arrival.by ?? null,
  };
  return wordsOf(part).came(part, company);
}

/** The stations down the card's edge in shop order, each with its answer in one line. */
export function RouteCard({ job, part, stationId, findings, shop, kept }: RouteCardProps) {
  const list = useRef<HTMLOListElement>(null);
  // the bench reads it from the store
  const stored = useDraft((draft) => draft.revision > 0);
  useEffect(() => {
    // on a telephone the strip comes to the station that is open
    const here = list.current?.querySelector<HTMLElement>('[aria-current]');
    if (here) list.current?.scrollTo?.({ left: here.offsetLeft - 60 });
  }, [stationId]);
  return (
    <section className="route" aria-label="Route card">
      <div className="route-scroll">
        <div className="route-head">
          <JobName name={job.name} />
          <p className="soft">{arrivalWords(job, part)}</p>
          <JobMarks said={[...(job.person ? [`for ${job.person}`] : []), ...job.tags].join(' · ')} />
          <JobPictures id={job.id} name={job.name} />
          {stored && canRehearse(part) && (
            <Link className="plain-link route-marks" to={`/practice/${job.id}/${part.id}`}>
              Rehearse
            </Link>
          )}
        </div>
        {job.parts.length > 1 && <PartTabs job={job} partId={part.id} />}
        <nav aria-label="Stations">
          <ol className="route-list" ref={list}>
            {part.stations.map(({ id, number, title, answer, state, moved }) => (
              <StationRow
                key={id}
                to={`/jobs/${job.id}/${part.id}/${id}`}
                number={number}
                title={title}
                moved={moved[0]?.label ?? null}
                answer={answer}
                state={state}
                isHere={id === stationId}
              />
            ))}
          </ol>
        </nav>
        <div className="route-foot">
          {findings.map((issue) => (
            <Notice
              key={`${issue.code} ${issue.given}`}
              tone="note"
              actions={<TakeFromShop issue={issue} shop={shop} />}
            >
              {sayIssue(issue)}
            </Notice>
          ))}
          {kept.map((version) => (
            <KeptVersion key={version.id} {...version} />
          ))}
        </div>
      </div>
      <div className="route-last">
        <SaveLine />
        <JobSteps />
        <Link to={`/jobs/${job.id}/print`}>Paper, files</Link>
      </div>
    </section>
  );
}

/** What is cut along the table, and round a bar. */
const ON_A_BAR: readonly string[] = ['tooth-space', 'slot', 'spline'];
const BLANKS: readonly string[] = ['blank', 'wheelBlank'];
const ROUND_A_BAR: readonly string[] = ['flat', 'slot', 'spline'];

/** Has the practice bench a place for it? */
function canRehearse(part: PartPlan): boolean {
  const { cutting, stations } = part;
  if (!cutting || (cutting.helix && cutting.helix.drive !== 'worm')) return false;
  if (stationOf(part, 'dividing')?.detail.line) return ON_A_BAR.includes(cutting.divides);
  return ROUND_A_BAR.includes(cutting.divides) || stations.some(({ id }) => BLANKS.includes(id));
}

interface StationRowProps {
  readonly to: string;
  readonly number: number;
  readonly title: string;
  /** The first of what moved since it was settled; null where nothing did. */
  readonly moved: string | null;
  readonly answer: string;
  readonly state: StationState;
  readonly isHere: boolean;
}

/** One station with its answer; drawn anew only where something of it is another. */
const StationRow = memo(function StationRow(props: StationRowProps) {
  const { to, number, title, moved, answer, state, isHere } = props;
  return (
    <li>
      <Link to={to} replace className="route-station" aria-current={isHere ? 'step' : undefined}>
        <span className="route-number">{number}</span>
        <span className="route-body">
          <span className="route-title">
            {title}
            {moved && ` · ${moved === 'Move' ? 'another move' : `${moved.toLowerCase()} moved`}`}
          </span>
          <span className="route-answer">{answer}</span>
        </span>
        <StateMark state={state} />
      </Link>
    </li>
  );
});

/** Makes the job's copy of what has changed anew; nothing where it has left the shop. */
function TakeFromShop({ issue, shop }: { readonly issue: Issue; readonly shop: Equipment }) {
  const edit = useDraft((draft) => draft.edit);
  const list = COPIED.find((each) => issue.path === `equipment.${each}`);
  const { given } = issue;
  const live = list && shop[list].find(({ id }) => id === given);
  if (!list || !live || !given) return null;
  return (
    <Button onClick={() => edit((now) => withShopCopy(now, shop, { list, id: given }))}>
      Take it as it is in the shop now
    </Button>
  );
}

const PicturesOfJob = lazy(() =>
  import('./PicturesOfJob.tsx').then((module) => ({ default: module.PicturesOfJob })),
);
const MarksDialog = lazy(() =>
  import('../marks/index.ts').then((module) => ({ default: module.MarksDialog })),
);

/** Whose the job is and what it is found by, in one line that opens. */
const JobMarks = memo(function JobMarks({ said }: { readonly said: string }) {
  const edit = useDraft((draft) => draft.edit);
  const [open, setOpen] = useState<Job | null>(null);
  return (
    <>
      <button
        type="button"
        className="plain-link route-marks"
        onClick={() => setOpen(useDraft.getState().job)}
      >
        {said || 'Tags, for whom'}
      </button>
      {open && (
        <Suspense fallback={null}>
          <MarksDialog
            jobs={[open]}
            onSave={(marksOf) => {
              setOpen(null);
              edit((now) => ({ ...now, ...marksOf(now) }));
            }}
            onClose={() => setOpen(null)}
          />
        </Suspense>
      )}
    </>
  );
});

/** All pictures of the job, its stations’ too. */
const JobPictures = memo(function JobPictures(job: { readonly id: string; readonly name: string }) {
  const [open, setOpen] = useState(false);
  const { length } = usePicturesAt(`job/${job.id}`);
  return (
    <>
      <button type="button" className="plain-link route-marks" onClick={() => setOpen(true)}>
        {length > 0 ? `Pictures: ${length}` : 'Pictures'}
      </button>
      {open && (
        <Suspense fallback={null}>
          <PicturesOfJob id={job.id} name={job.name} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
});

/** Back a step of the job, whichever station it was at. */
function JobSteps() {
  const canUndo = useDraft((draft) => draft.canUndo);
  const canRedo = useDraft((draft) => draft.canRedo);
  const undo = useDraft((draft) => draft.undo);
  const redo = useDraft((draft) => draft.redo);
  return <Steps canUndo={canUndo} canRedo={canRedo} undo={undo} redo={redo} />;
}

/** A job of several parts, each with a card of its own: a ring first, then the gear that it indexes. */
function PartTabs({ job, partId }: { readonly job: Job; readonly partId: string }) {
  const ringFor = (id: string) =>
    job.relations.some(({ kind, parts }) => kind === 'ring-for' && parts[0] === id);
  const inOrder = [...job.parts].sort((a, b) => Number(ringFor(b.id)) - Number(ringFor(a.id)));
  return (
    <nav className="part-tabs" aria-label="Parts">
      {inOrder.map(({ id, kind, name }, i) => (
        <Link key={id} to={`/jobs/${job.id}/${id}`} aria-current={id === partId ? 'page' : undefined}>
          {i + 1}. {name || wordsOf({ kind }).called}
          {ringFor(id) && <small>first: it indexes the other</small>}
        </Link>
      ))}
    </nav>
  );
}

const JobName = memo(function JobName({ name }: { readonly name: string }) {
  const edit = useDraft((draft) => draft.edit);
  const [typed, setTyped] = useState<string | null>(null);
  const done = () => {
    const next = typed?.trim();
    setTyped(null);
    if (next && next !== name) edit((job) => ({ ...job, name: next }));
  };
  return (
    <>
      {/* a heading is called by its words, not by what stands in a field */}
      <h1 className="visually-hidden">{name}</h1>
      <Input
        aria-label="Name of the job"
        className="route-name"
        variant="borderless"
        value={typed ?? name}
        maxLength={120}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={done}
        onPressEnter={(event) => event.currentTarget.blur()}
      />
    </>
  );
});

/** A version that a stale save left behind, kept whole. */
function KeptVersion({ id, at }: { readonly id: string; readonly at: string }) {
  const navigate = useNavigate();
  const [failed, setFailed] = useState<string | null>(null);
  const takeOut = () =>
    api.restoreKept(id).then(
      (stored) => void navigate(`/jobs/${stored.job.id}`),
      (error: Error) => setFailed(error.message),
    );
  return (
    <Notice
      tone="note"
      actions={<Button onClick={() => void takeOut()}>Open it as a job beside this one</Button>}
    >
      Another version of this job, from{' '}
      {new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })}, came
      too late and is kept.
      {failed && <p>{failed}</p>}
    </Notice>
  );
}
