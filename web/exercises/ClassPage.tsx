import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Modal } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { EXERCISE_IDS, titleOf } from '../../core/exercises/index.ts';
import { harmName } from '../../core/practice/index.ts';
import { plural } from '../../core/units/index.ts';
import type { ClassBoard } from '../../core/wire/index.ts';
import { Notice, saveTable, Shell, useSure, useTitle } from '../frame/index.ts';
import { api, keys, ProblemError } from '../state/index.ts';
import { ClassForm } from './ClassForm.tsx';
import { useClassKeys } from './classKeys.ts';
import { Learners } from './Learners.tsx';
import { marksTable, slipText } from './marks.ts';
import './exercises.css';
import './classes.css';

const LOOK_MS = 5000;

/** A class as its teacher sees it: the code, who is in it, what was tried, the commonest slips. */
export function ClassPage() {
  const { key = '' } = useParams();
  const board = useQuery({
    queryKey: keys.classBoard(key),
    queryFn: () => api.readClass(key),
    refetchInterval: LOOK_MS,
    retry: false,
  });
  const add = useClassKeys((classes) => classes.add);
  const known = board.data !== undefined;
  useEffect(() => {
    if (known) add(key);
  }, [known, key, add]);
  useTitle(board.data?.class.name ?? 'Class');
  const gone = board.error instanceof ProblemError && board.error.status === 404;
  return (
    <Shell here={board.data?.class.name ?? 'Class'}>
      {board.data && !gone ? (
        <Board board={board.data} />
      ) : (
        <main className="page-say">
          {board.error ? (
            <Notice tone="wrong" actions={<Link to="/classes">To the classes</Link>}>
              {gone ? 'There is no such class, or not any more.' : board.error.message}
            </Notice>
          ) : (
            <p>Opening…</p>
          )}
        </main>
      )}
    </Shell>
  );
}

function Board({ board }: { readonly board: ClassBoard }) {
  const { class: given, learners, slips, harms } = board;
  const client = useQueryClient();
  const navigate = useNavigate();
  const drop = useClassKeys((classes) => classes.drop);
  const [changing, setChanging] = useState(false);
  const again = () => client.invalidateQueries({ queryKey: keys.classes });
  const [sure, question] = useSure();
  const remove = (number: number, name: string) =>
    sure({
      title: `Delete ${name}?`,
      content: 'With everything that was tried under this name. It cannot be had back.',
      deed: 'Delete for good',
      act: async () => {
        await api.removeLearner(given.key, number);
        await again();
      },
    });
  const end = () =>
    sure({
      title: `Delete the class “${given.name}”?`,
      content: `With ${plural(learners.length, 'learner')} and everything they tried. Save the marks first: it cannot be had back.`,
      deed: 'Delete it for good',
      act: async () => {
        await api.deleteClass(given.key);
        drop(given.key);
        await navigate('/classes');
        await again();
      },
    });
  const kinds = given.kinds.length > 0 ? given.kinds : EXERCISE_IDS;
  return (
    <main className="class-board">
      {question}
      <section className="class-learners">
        <h1>{given.name}</h1>
        <p className="soft">
          {kinds.length === EXERCISE_IDS.length
            ? 'All exercises'
            : plural(kinds.length, 'kind of exercise', 'kinds of exercises')}
          {given.jobId && (
            <>
              {' · '}
              <Link to={`/practice/${given.jobId}`}>a job to rehearse</Link>
            </>
          )}
        </p>
        <Learners learners={learners} atBench={given.jobId !== null} onRemove={remove} />
        <p className="class-deeds">
          <button
            type="button"
            className="plain-button"
            disabled={learners.length === 0}
            onClick={() => void saveTable('marks.csv', marksTable(board, kinds))}
          >
            Marks as CSV
          </button>
          <Link
            className="plain-button"
            to={`/exercises/sheet${given.kinds.length > 0 ? `?kinds=${given.kinds.join(',')}` : ''}`}
          >
            On paper, with a key
          </Link>
          <button type="button" className="plain-button" onClick={() => setChanging(true)}>
            Change what is given
          </button>
          <button type="button" className="plain-button" onClick={end}>
            Delete the class
          </button>
        </p>
      </section>
      <aside className="class-side on-dye">
        <p>Exercises → Join a class</p>
        <p className="class-letters">{given.code}</p>
        {harms.length > 0 && (
          <>
            <h2>At the bench</h2>
            <ol className="class-slips">
              {harms.map(({ what, learners: many }) => (
                <li key={what}>
                  <b>{plural(many, 'learner')}</b>
                  <span>{harmName(what)}</span>
                </li>
              ))}
            </ol>
          </>
        )}
        <h2>Commonest slips</h2>
        {slips.length === 0 ? (
          <p className="class-quiet">None yet.</p>
        ) : (
          <ol className="class-slips">
            {slips.map(({ kind, slip, learners: many, times }) => (
              <li key={`${kind} ${slip}`}>
                <b>{plural(many, 'learner')}</b>
                {times > many && <span className="class-quiet">, {times} times</span>}
                <span>{slipText(slip)}</span>
                <span className="class-quiet">{titleOf(kind)}</span>
              </li>
            ))}
          </ol>
        )}
      </aside>
      {changing && (
        <Modal
          open
          title="What the class is given"
          footer={null}
          width={720}
          onCancel={() => setChanging(false)}
        >
          <ClassForm
            given={given}
            deed="Give it to all"
            onGive={async (body) => {
              await api.changeClass(given.key, body);
              await again();
              setChanging(false);
            }}
          />
        </Modal>
      )}
    </main>
  );
}
