import { Button, Modal } from 'antd';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  cutsMade,
  cycleOf,
  demonstrate,
  goOnLikeThis,
  hasPlate,
  isHarm,
  RACK_ANGLES,
  perform,
  sayPin,
  sayTold,
  takeBack,
  type Action,
  type Drawer,
  type PracticeBench,
  type Readings,
  type Session,
  type Shown,
} from '../../core/practice/index.ts';
import { foldRun } from '../../core/run/index.ts';
import { promptText } from '../../core/prompts/index.ts';
import { plural, type UnitSystem } from '../../core/units/index.ts';
import { saveText, useKeys } from '../frame/index.ts';
import { usePreferences } from '../state/index.ts';
import { clickOfPin } from './click.ts';
import { BarEnd } from './BarEnd.tsx';
import { CrankBy } from './CrankBy.tsx';
import { CrankHead } from './CrankHead.tsx';
import {
  keepRehearsal,
  keptRehearsal,
  newRehearsal,
  openRehearsal,
  rehearsalFile,
  type Rehearsal,
} from './kept.ts';
import { More } from './More.tsx';
import { NameFault } from './NameFault.tsx';
import { Feeds } from './Feeds.tsx';
import { Levers } from './Levers.tsx';
import { Measured, type Inspected } from './Measured.tsx';
import { SetHead } from './SetHead.tsx';
import { TableScrew } from './TableScrew.tsx';
import { TrainOn } from './TrainOn.tsx';
import { WorkEnd } from './WorkEnd.tsx';
import { WorkSide } from './WorkSide.tsx';

const Trouble = lazy(() => import('../mill/index.ts').then((module) => ({ default: module.Trouble })));
const TellClass = lazy(() =>
  import('../exercises/index.ts').then((module) => ({ default: module.TellClass })),
);

interface PracticeProps {
  readonly bench: PracticeBench;
  readonly name: string;
  /** Address of the card. */
  readonly card: string;
  /** What Inspect makes of what is measured. */
  readonly inspect: (readings: Readings) => Inspected | null;
  /** The change gears of the shop that this bench’s come out of; null where none are listed. */
  readonly drawer: Drawer | null;
}

const SHOWN_EVERY_MS = 900;
const ROOM_EVERY_MS = 2600;
const KEPT_AFTER_MS = 300;

/** The head, the work and the handles; nothing is refused that a real machine allows. */
export function Practice({ bench, name, card, inspect, drawer }: PracticeProps) {
  const units = usePreferences((preferences) => preferences.units);
  // with another rack cutter it is another bar
  const rack = bench.on === 'table' ? bench.bar.rack : null;
  const place = rack && rack.angleDeg !== RACK_ANGLES[0] ? `${card}?angle=${rack.angleDeg}` : card;
  const [rehearsal, setRehearsal] = useState<Rehearsal>(() => keptRehearsal(bench, place));
  const { session, hidden } = rehearsal;
  const setSession = (change: (session: Session) => Session) =>
    setRehearsal((now) => ({ ...now, session: change(now.session) }));
  useEffect(() => {
    // written when hands rest, and not at each hole that goes by
    const timer = setTimeout(() => keepRehearsal(rehearsal, place), KEPT_AFTER_MS);
    return () => clearTimeout(timer);
  }, [rehearsal, place]);
  const pinHeard = usePreferences((preferences) => preferences.pinHeard);
  const falls = session.log.at(-1)?.told.some(({ what }) => what === 'pin-in') ? session.log.length : 0;
  useEffect(() => {
    if (pinHeard && falls > 0) clickOfPin();
  }, [pinHeard, falls]);
  const [measuring, setMeasuring] = useState(false);
  const [found, setFound] = useState<number | null>(null);
  const [troubled, setTroubled] = useState(false);
  const [projected, setProjected] = useState(false);
  const asBegun = useMemo(() => foldRun(bench.run, []), [bench]);
  const [showing, setShowing] = useState<{ steps: Generator<Shown>; prompt: string } | null>(null);
  const { machine, log } = session;
  const hand = (action: Action) => {
    setShowing(null);
    setSession((now) => perform(now, action));
  };
  // a room follows more slowly than one person
  const every = projected ? ROOM_EVERY_MS : SHOWN_EVERY_MS;
  // shown step by step, each motion named as it is made
  useEffect(() => {
    if (!showing) return;
    const timer = setInterval(() => {
      const step = showing.steps.next();
      if (step.done) return setShowing(null);
      const { prompt, action } = step.value;
      setRehearsal((now) => ({ ...now, session: perform(now.session, action) }));
      setShowing({ steps: showing.steps, prompt: promptText(bench.run, prompt) });
    }, every);
    return () => clearInterval(timer);
  }, [showing, bench, every]);
  const back = () => setSession(takeBack);
  const show = () => {
    setRehearsal({ ...newRehearsal(bench, null), shown: true });
    setShowing({ steps: demonstrate(bench), prompt: 'From the start' });
  };
  useKeys({
    l: () => hand({ do: 'lock', on: !machine.locked }),
    ...(bench.on === 'head' &&
      bench.ring !== null && {
        p: () => hand({ do: 'direct-pin', to: machine.directPin === 'in' ? 'out' : 'in' }),
      }),
    ...(hasPlate(bench) && {
      p: () => hand({ do: 'pin', to: machine.pin === 'in' ? 'out' : 'in' }),
      a: () => hand({ do: 'arms-round' }),
    }),
    r: () => hand({ do: 'run', on: !machine.running }),
    i: () => setMeasuring(true),
    x: () => setTroubled(true),
    Backspace: back,
  });
  const begin = (seed: number | null) => {
    setShowing(null);
    setRehearsal(newRehearsal(bench, seed));
  };
  const { work } = machine;
  const cut = useMemo(() => cutsMade(bench, work), [bench, work]);
  const cycle = useMemo(() => cycleOf(session), [session]);
  return (
    <main className={`practice on-dye${projected ? ' is-projected' : ''}`}>
      <header className="practice-head-line">
        <h1>Practice bench</h1>
        <p>
          {name} · {bench.run.gear}
        </p>
        <p className="practice-count">
          {cut} of {bench.teeth}
        </p>
        <nav>
          <Button onClick={back} disabled={log.length === 0}>
            Take back
          </Button>
          <Button onClick={() => setMeasuring(true)}>Measure</Button>
          <Button onClick={() => begin(Date.now())}>Hide a fault</Button>
          <Button onClick={showing ? () => setShowing(null) : show}>
            {showing ? 'Stop showing' : 'Show me'}
          </Button>
          <More
            onNew={log.length === 0 && hidden === null ? null : () => begin(null)}
            onTrouble={() => setTroubled(true)}
            onSave={() => saveText('rehearsal.json', rehearsalFile(rehearsal, place), 'application/json')}
            onOpen={(text) => {
              const opened = openRehearsal(bench, place, text);
              if (typeof opened === 'string') return opened;
              setShowing(null);
              setRehearsal(opened);
              return null;
            }}
            projected={projected}
            onProject={() => setProjected(!projected)}
          />
          <Link to={card}>Back to the card</Link>
        </nav>
      </header>
      <section
        className="practice-left"
        aria-label={bench.on === 'head' ? 'The head' : 'The table that divides'}
      >
        {session.bench.on === 'head' ? (
          <>
            <CrankHead bench={session.bench} machine={machine} onAct={hand} />
            <CrankBy bench={session.bench} machine={machine} onAct={hand} />
          </>
        ) : (
          <TableScrew bench={session.bench} machine={machine} onAct={hand} />
        )}
        <Levers bench={session.bench} machine={machine} onAct={hand} />
        {session.bench.on === 'head' && (
          <SetHead
            bench={session.bench}
            machine={machine}
            secret={hidden !== null}
            drawer={drawer}
            onAct={hand}
          />
        )}
      </section>
      <section className="practice-right" aria-label="Work and cutter">
        {session.bench.on === 'head' ? (
          <WorkEnd bench={session.bench} machine={machine} />
        ) : (
          <BarEnd bench={session.bench} machine={machine} />
        )}
        {/* what the room looks at is the plate, and what turns it */}
        {!(projected && isPlateGeared(bench)) && <WorkSide bench={session.bench} machine={machine} />}
        {projected && session.bench.on === 'head' && <TrainOn bench={session.bench} machine={machine} />}
        <Feeds bench={session.bench} machine={machine} units={units} onAct={hand} />
      </section>
      <aside className="practice-now">
        <h2>On the bench now</h2>
        <p className="practice-say" role="status">
          {showing ? showing.prompt : nowSay(session, units)}
        </p>
        <p className="practice-stands">
          {sayPin(session.bench, machine)}. {bench.on === 'head' ? 'Spindle' : 'Table'}{' '}
          {machine.locked ? 'locked' : 'free'}. Cutter {machine.running ? 'turning' : 'standing'}.
        </p>
        <Happened session={session} units={units} />
        {hidden && (
          <NameFault
            key={rehearsal.seed}
            bench={bench}
            hidden={hidden}
            units={units}
            onFound={() => setFound(rehearsal.seed)}
          />
        )}
        {cycle && cycle.left > 0 && !showing && (
          <div className="practice-go-on">
            <p>{plural(cycle.actions.length, 'motion')} from your last cut but one to the last.</p>
            <button type="button" className="next-thing" onClick={() => setSession(goOnLikeThis)}>
              <span>Go on like this, {cycle.left} more</span>
            </button>
          </div>
        )}
      </aside>
      <Modal
        open={measuring}
        title="Measured on the bench"
        onCancel={() => setMeasuring(false)}
        footer={null}
        width={640}
        destroyOnHidden
      >
        <Measured
          bench={session.bench}
          machine={machine}
          units={units}
          inspect={inspect}
          onTrouble={() => {
            setMeasuring(false);
            setTroubled(true);
          }}
        />
      </Modal>
      {!rehearsal.shown && (
        <Suspense fallback={null}>
          <TellClass session={session} seed={rehearsal.seed} found={found === rehearsal.seed} />
        </Suspense>
      )}
      {troubled && (
        <Suspense fallback={null}>
          <Trouble
            open
            run={bench.run}
            state={asBegun}
            seen={null}
            onClose={() => setTroubled(false)}
            onEnd={null}
            onMeasure={() => {
              setTroubled(false);
              setMeasuring(true);
            }}
          />
        </Suspense>
      )}
    </main>
  );
}

const isPlateGeared = (bench: PracticeBench): boolean =>
  bench.on === 'head' && bench.gearing?.between === 'spindle';

/** What came of the last thing that was done. */
function nowSay({ log, bench }: Session, units: UnitSystem): string {
  const last = log.at(-1);
  const asks =
    bench.on === 'table' && bench.bar.rack
      ? ' The card gives no pressure angle: which rack cutter is on stands below the dial.'
      : '';
  if (!last)
    return `Everything is made ready for ${bench.run.gear}. It is yours to handle; nothing here can be broken for good.${asks}`;
  const said = last.told.map((told) => sayTold(told, units)).filter(Boolean);
  return said.join(' ') || 'Done.';
}

const LISTED = 12;

/** What happened, the newest first; what would scrap the part stands out. */
function Happened({ session: { log }, units }: { readonly session: Session; readonly units: UnitSystem }) {
  const lines = log
    .flatMap(({ told }, i) => told.map((each) => ({ i, each, say: sayTold(each, units) })))
    .filter(({ say }) => say !== '')
    .slice(-LISTED)
    .reverse();
  return (
    <ol className="practice-happened" aria-label="What happened">
      {lines.map(({ i, each, say }, k) => (
        <li key={`${i} ${k}`} className={isHarm(each) ? 'is-harm' : ''}>
          <span>{i + 1}</span>
          {say}
        </li>
      ))}
    </ol>
  );
}
