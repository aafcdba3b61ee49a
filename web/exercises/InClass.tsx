import { Link } from 'react-router';
import { useSure } from '../frame/index.ts';
import { api } from '../state/index.ts';
import { useLearning, type Classroom } from './kept.ts';

/** Of the class one is in: its name, what else it was given, the figures, the way out. */
export function InClass({ classroom, waiting }: { readonly classroom: Classroom; readonly waiting: number }) {
  const leave = useLearning((learning) => learning.leave);
  const { token, name, figures, given } = classroom;
  const [sure, question] = useSure();
  const ask = () =>
    sure({
      title: `Leave “${given.name}”?`,
      content: 'Your name and all you tried there are deleted, for the teacher as well.',
      deed: 'Leave and delete',
      keep: 'Stay',
      act: async () => {
        await api.leaveClass(token);
        leave();
      },
    });
  return (
    <section className="in-class" aria-label="Class">
      {question}
      <p>
        <b>{given.name}</b> · {name}
      </p>
      <p className="in-class-soft">
        On another tablet: your name and {figures}.{waiting > 0 && ` ${waiting} not with the teacher yet.`}
      </p>
      {given.jobId && (
        <p>
          <Link className="plain-link" to={`/practice/${given.jobId}`}>
            Rehearse the class’s job
          </Link>
        </p>
      )}
      <p>
        <button type="button" className="plain-link" onClick={ask}>
          Leave
        </button>
      </p>
    </section>
  );
}
