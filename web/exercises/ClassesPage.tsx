import { useQueries, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { plural } from '../../core/units/index.ts';
import type { ClassListed } from '../../core/wire/index.ts';
import { Shell, useTitle } from '../frame/index.ts';
import { api, keys } from '../state/index.ts';
import { ClassForm } from './ClassForm.tsx';
import { useClassKeys } from './classKeys.ts';
import './exercises.css';
import './classes.css';

/** Classes taught here: those of this browser, and on the server’s own machine every one. */
export function ClassesPage() {
  useTitle('Classes');
  const own = useClassKeys((classes) => classes.keys);
  const add = useClassKeys((classes) => classes.add);
  const navigate = useNavigate();
  const all = useQuery({ queryKey: keys.classes, queryFn: api.listClasses, retry: false });
  const elsewhere = useQueries({
    queries: (all.isError ? own : []).map((key) => ({
      queryKey: keys.classBoard(key),
      queryFn: () => api.readClass(key),
      retry: false,
    })),
  });
  const listed: readonly ClassListed[] =
    all.data ?? elsewhere.flatMap(({ data }) => (data ? [data.class] : []));
  return (
    <Shell here="Classes">
      <main className="classes">
        <section className="classes-list">
          <h1>Classes</h1>
          {listed.length === 0 && (
            <p className="soft">
              A class has a code of five letters. Learners open <b>Exercises</b> on any tablet that is let in,
              type the code and a name, and have figures of their own.
            </p>
          )}
          <ul>
            {listed.map(({ key, name, code, learners }) => (
              <li key={key}>
                <Link to={`/classes/${key}`}>
                  <b>{name}</b>
                  <span>{plural(learners, 'learner')}</span>
                  <span className="class-code">{code}</span>
                </Link>
              </li>
            ))}
          </ul>
          <p>
            <Link className="plain-link" to="/exercises">
              Back to the exercises
            </Link>
          </p>
        </section>
        <section className="classes-new" aria-label="A new class">
          <h2>A new class</h2>
          <ClassForm
            deed="Make the class"
            onGive={async (body) => {
              const made = await api.makeClass(body);
              add(made.key);
              await navigate(`/classes/${made.key}`);
            }}
          />
        </section>
      </main>
    </Shell>
  );
}
