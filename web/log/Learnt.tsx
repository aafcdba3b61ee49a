import { Button, Input, Select } from 'antd';
import { useId, useState } from 'react';
import { documentOf, isFormCut, isIndexed, isThreaded, wordsOf, type Part } from '../../core/kinds/index.ts';
import type { Equipment, Lesson } from '../../core/shop/index.ts';
import { STATIONS, type StationId } from '../../core/station/index.ts';
import type { LogPage } from '../../core/wire/index.ts';
import { editShop } from '../edits/index.ts';
import { dayText } from '../frame/index.ts';
import { newId, useJob, useShop } from '../state/index.ts';

interface About {
  readonly kind: Lesson['about']['kind'];
  readonly id: string;
  readonly label: string;
  readonly station: StationId;
}

/** What a lesson from this part can be about: what it was cut with, its kind, or everything. */
function aboutsOf(part: Part, shop: Equipment): About[] {
  const named = ({
    kind,
    things,
    id,
    station,
  }: {
    readonly kind: About['kind'];
    readonly things: readonly { id: string; name: string }[];
    readonly id: string | null | undefined;
    readonly station: StationId;
  }): About[] => {
    const thing = things.find((each) => each.id === id);
    return thing ? [{ kind, id: thing.id, label: thing.name, station }] : [];
  };
  const { lessonsAt } = documentOf(part.kind);
  return [
    ...(isThreaded(part)
      ? named({ kind: 'lathe', things: shop.lathes, id: part.lathe.latheId, station: 'lathe' })
      : []),
    ...(isIndexed(part)
      ? [
          ...named({ kind: 'mandrel', things: shop.mandrels, id: part.setup.mandrelId, station: 'setup' }),
          ...named({ kind: 'head', things: shop.heads, id: part.dividing.headId, station: 'dividing' }),
        ]
      : []),
    ...(isFormCut(part)
      ? named({ kind: 'cutter', things: shop.cutters, id: part.cutter.cutterId, station: 'cutter' })
      : []),
    ...(isIndexed(part)
      ? [
          ...named({ kind: 'mill', things: shop.mills, id: part.dividing.millId, station: 'setup' }),
          ...named({ kind: 'material', things: shop.materials, id: part.setup.materialId, station: 'setup' }),
        ]
      : []),
    { kind: 'part', id: part.kind, label: wordsOf(part).all, station: lessonsAt.kind },
    { kind: 'all', id: '', label: 'everything', station: lessonsAt.everything },
  ];
}

/** What was learnt from a run: tied to what it concerns, and said again there next time. */
export function Learnt({ page }: { readonly page: LogPage }) {
  const id = useId();
  const shop = useShop();
  const job = useJob(page.jobId);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const [station, setStation] = useState<StationId | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const part = job.data?.job.parts.find((each) => each.id === page.partId);
  if (!shop.data || !part) return null;
  const { equipment } = shop.data;
  const abouts = aboutsOf(part, equipment);
  const about = abouts[chosen] ?? abouts[0]!;
  const where = station ?? about.station;
  const from = `${page.digest.jobName}, ${dayText(page.startedAt)}`.slice(0, 200);
  const keep = () => {
    const lesson: Lesson = {
      id: newId(),
      text: text.trim(),
      about: { kind: about.kind, id: about.id },
      station: where,
      from,
    };
    const why = editShop((now) => ({ ...now, lessons: [...now.lessons, lesson] }));
    setFailed(why);
    if (!why) setText('');
  };
  const learnt = equipment.lessons.filter((lesson) =>
    abouts.some(({ kind, id: of }) => kind === lesson.about.kind && of === lesson.about.id),
  );
  return (
    <section aria-label="What was learnt" className="learnt">
      <h3>What was learnt</h3>
      {learnt.length > 0 && (
        <ul className="learnt-list">
          {learnt.map((lesson) => (
            <li key={lesson.id}>
              <span>
                <b>{lesson.text}</b>{' '}
                <small className="soft">
                  {
                    abouts.find(({ kind, id: of }) => kind === lesson.about.kind && of === lesson.about.id)
                      ?.label
                  }
                  , at {STATIONS[lesson.station].title}. {lesson.from}
                </small>
              </span>
              <Button
                size="small"
                onClick={() =>
                  setFailed(
                    editShop((now) => ({
                      ...now,
                      lessons: now.lessons.filter((other) => other.id !== lesson.id),
                    })),
                  )
                }
                aria-label={`Strike out: ${lesson.text}`}
              >
                strike out
              </Button>
            </li>
          ))}
        </ul>
      )}
      <label htmlFor={id}>To be said again next time</label>
      <Input
        id={id}
        size="large"
        maxLength={400}
        value={text}
        onChange={({ target }) => setText(target.value)}
        placeholder="Key it: the bare mandrel slipped"
        autoComplete="off"
      />
      <div className="learnt-where">
        <Select
          aria-label="It is about"
          value={abouts.indexOf(about)}
          onChange={(i) => {
            setChosen(i);
            setStation(null);
          }}
          options={abouts.map(({ label }, i) => ({ value: i, label }))}
        />
        <Select
          aria-label="Said at"
          value={where}
          onChange={setStation}
          options={documentOf(part.kind).stations.map((each) => ({
            value: each,
            label: `at ${STATIONS[each].title}`,
          }))}
        />
        <Button type="primary" onClick={keep} disabled={text.trim() === ''}>
          Write it down
        </Button>
      </div>
      {failed && <p className="field-issue is-wrong">✕ {failed}</p>}
    </section>
  );
}
