import { useDraft } from '../edits/index.ts';
import {
  memo,
  Suspense,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useSyncExternalStore,
  type ComponentType,
  type ReactNode,
} from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import { withPart, type Job } from '../../core/job/index.ts';
import { placeOf, type Part, type PlaceIn } from '../../core/kinds/index.ts';
import type { AnyStationPlan, PartPlan, Plan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { giveText, type StationId } from '../../core/station/index.ts';
import { Guard, Notice } from '../frame/index.ts';
import { CardReadings } from './CardReadings.tsx';
import { SaveDrawing } from './SaveDrawing.tsx';
import { stationScreens, type StationProps } from '../stations/index.ts';
import { Cautions } from './Cautions.tsx';
import { IssueDesk } from './issueDesk.ts';
import { LaidLike } from './LaidLike.tsx';
import { NextThing } from './NextThing.tsx';
import { RouteCard } from './RouteCard.tsx';
import { StationHead } from './StationHead.tsx';
import { StationPictures } from './StationPictures.tsx';
import { WorkingPanel } from './WorkingPanel.tsx';
import { ZoomSheet } from './ZoomSheet.tsx';

interface CardProps {
  readonly job: Job;
  readonly planned: Plan;
  readonly part: PartPlan;
  readonly equipment: Equipment;
  readonly stationId: StationId;
  readonly kept: readonly { readonly id: string; readonly at: string }[];
  readonly goTo: (id: StationId) => void;
}

/** Card, station and scribe panel side by side: the whole job at a glance. */
export function Card({ job, planned, part, equipment, stationId, kept, goTo }: CardProps) {
  const edit = useDraft((draft) => draft.edit);
  const station = part.stations.find(({ id }) => id === stationId) ?? part.stations[0]!;
  const editPart = useCallback(
    (change: (part: Part) => Part) => edit((now) => withPart(now, part.id, change)),
    [edit, part.id],
  );
  const allIssues = useMemo(() => part.stations.flatMap(({ issues }) => issues), [part]);
  // fields ask for what concerns them while they are drawn; what none of them asks for is told above them
  const desk = useMemo(() => deskFor(`${job.id} ${part.id} ${station.id}`), [job.id, part.id, station.id]);
  const issuesAt: StationProps<StationId>['issuesAt'] = (field) => {
    const path = placeOf(part.id, field);
    desk.ask(path);
    return allIssues.filter((issue) => issue.path === path);
  };
  const screens = stationScreens[station.id];
  // the list pairs each id with screens of that very station
  const Panel = screens.Panel as ComponentType<StationProps<StationId>>;
  const Scribe = screens.Scribe as ComponentType<StationProps<StationId>>;
  const props: StationProps<StationId> = {
    station,
    // a station is only ever shown with a part of its kind
    part: job.parts.find(({ id }) => id === part.id)! as StationProps<StationId>['part'],
    planned: part,
    units: job.units,
    shop: equipment,
    job,
    edit,
    editPart: editPart,
    issuesAt,
  };
  const scrolled = useRef<HTMLDivElement>(null);
  const work = useRef<HTMLElement>(null);
  const first = useRef(true);
  useEffect(() => {
    // a station opens at its top; on a telephone the page goes there with it
    if (scrolled.current) scrolled.current.scrollTop = 0;
    if (!first.current && matchMedia('(max-width: 720px)').matches) work.current?.scrollIntoView();
    first.current = false;
  }, [job.id, part.id, station.id]);
  return (
    <main className="card">
      <CardReadings />
      <RouteCard
        job={job}
        part={part}
        stationId={station.id}
        findings={planned.findings}
        shop={equipment}
        kept={kept}
      />
      <section className="work" aria-label={station.title} ref={work}>
        <div className="work-scroll" ref={scrolled}>
          <StationHead key={station.id} station={station} />
          <LaidLike job={job} shop={equipment} />
          <StationSays station={station} />
          {/* all of it at once: nothing moves down under a finger when the panel comes */}
          <Suspense fallback={<p className="soft">…</p>}>
            <Guard what="This station" of={station}>
              <Panel key={`${job.id}-${station.id}`} {...props} />
              <AtNoField key={`${job.id}-${station.id}-rest`} station={station} desk={desk} />
            </Guard>
            <StationPictures
              key={`${job.id}-${part.id}-${station.id}-pictures`}
              about={`job/${job.id}/${part.id}/${station.id}`}
              of={station.title}
            />
            <WorkingPanel
              working={station.working}
              units={job.units}
              give={giveText(station.values, job.units)}
            />
          </Suspense>
        </div>
        <Cautions key={`${job.id}-${station.id}-cautions`} cautions={station.cautions} />
      </section>
      <section className="scribe on-dye" aria-label="Drawing">
        <ZoomSheet
          key={station.id}
          below={<SaveDrawing name={`${job.name} ${part.name} ${station.title}`} />}
        >
          <Guard what="The drawing" of={station}>
            <Suspense fallback={null}>
              <DeferredDrawing>
                <Scribe {...props} />
              </DeferredDrawing>
            </Suspense>
          </Guard>
        </ZoomSheet>
        <NextThing job={job} part={part} station={station} shop={equipment} goTo={goTo} />
      </section>
    </main>
  );
}

/**
 * What has no field of its own: blocked answers, questions, and what moved. Field issues stand at their
 * fields.
 */
const StationSays = memo(function StationSays({ station }: { readonly station: AnyStationPlan }) {
  const { issues } = station;
  const blocked = issues.some(({ severity }) => severity === 'blocked');
  // where there is no answer any more, the sentence that says why is enough
  const moved = blocked ? station.moved.filter(({ to }) => to !== 'nothing') : station.moved;
  return (
    <>
      {station.lessons.length > 0 && (
        <Notice tone="note" word="Learnt before:">
          {station.lessons.map(({ id, text, from }) => (
            <span key={id} className="moved">
              {text} {from && <span className="soft">{from}</span>}
            </span>
          ))}
        </Notice>
      )}
      {moved.length > 0 && (
        <Notice tone="query" word="Moved since it was settled:">
          {moved.map(({ key, label, from, to }) => (
            <span key={key} className="moved">
              {label} {from} → {to}
            </span>
          ))}
        </Notice>
      )}
      {station.issues.filter(atNoField).map((issue) => (
        <Notice
          key={issue.code}
          tone={issue.severity === 'query' || issue.severity === 'note' ? 'query' : 'wrong'}
        >
          {sayIssue(issue)}
        </Notice>
      ))}
    </>
  );
});

/** Told at the top whatever the fields are: no answer is possible, or the choice itself is asked about. */
const atNoField = (issue: Issue): boolean => issue.severity === 'blocked' || isChoice(issue.path);

/** What was picked from a list, and is no field. */
const CHOICES: readonly PlaceIn<Part>[] = [
  'arrival.taken',
  'cutter.cutterId',
  'dividing.choice',
  'gash.school',
  'gash.setUp',
  'lathe.choice',
  'lead.choice',
  'lead.setUp',
];
const isChoice = (path: string): boolean => CHOICES.some((choice) => path.endsWith(`.${choice}`));

/** A drawing follows what is typed when nothing more pressing waits: a key never waits for it. */
function DeferredDrawing({ children }: { readonly children: ReactNode }) {
  return useDeferredValue(children);
}

/** A desk of its own for each station of each card. */
const deskFor = (_station: string): IssueDesk => new IssueDesk();

/** What the plan asks and no field of the panel shows. */
function AtNoField({ station, desk }: { readonly station: AnyStationPlan; readonly desk: IssueDesk }) {
  const asked = useSyncExternalStore(desk.subscribe, desk.count);
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => openFolds(here.current?.parentElement ?? null), [station.issues, asked]);
  const untold = station.issues
    .filter(({ severity }) => severity !== 'needed' && severity !== 'note')
    .filter((issue) => !atNoField(issue) && !desk.has(issue.path))
    .map((issue) => (
      <Notice key={`${issue.code} ${issue.path}`} tone={issue.severity === 'wrong' ? 'wrong' : 'query'}>
        {sayIssue(issue)}
      </Notice>
    ));
  return <div ref={here}>{untold}</div>;
}

/** What is wrong or asked about inside a fold that is closed could not be read: it is opened. */
function openFolds(panel: HTMLElement | null): void {
  for (const fold of panel?.querySelectorAll<HTMLDetailsElement>('details:not([open])') ?? [])
    if (fold.querySelector('.field-issue.is-wrong, .field-issue.is-query')) fold.open = true;
}
