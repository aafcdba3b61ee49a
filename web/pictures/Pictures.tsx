import { Button } from 'antd';
import { lazy, Suspense, useId, useState } from 'react';
import { api } from '../state/index.ts';
import { Notice } from '../frame/index.ts';
import { usePictureKeeping, usePicturesAt } from './usePictures.ts';
import './pictures.css';

const PictureLarge = lazy(() =>
  import('./PictureLarge.tsx').then((module) => ({ default: module.PictureLarge })),
);

interface PicturesProps {
  /** The place they are of: `job/lens/p1/gear`. */
  readonly about: string;
  /** The same for people: `Gear`. */
  readonly of: string;
}

/** The pictures of something, each seen large at a press, and another put with them from camera or file. */
export function Pictures({ about, of }: PicturesProps) {
  const id = useId();
  const pictures = usePicturesAt(about);
  const { busy, failed, trouble, add, change } = usePictureKeeping(about);
  const [open, setOpen] = useState<string | null>(null);
  const [away, setAway] = useState<string | null>(null);
  const large = pictures.find((picture) => picture.id === open) ?? null;
  const takeAway = (pictureId: string) => {
    setOpen(null);
    void change(pictureId, { away: true }).then((done) => done && setAway(pictureId));
  };
  const putBack = () => {
    if (away) void change(away, { away: false }).then((done) => done && setAway(null));
  };
  return (
    <section className="pictures" aria-label={`Pictures of ${of}`}>
      <ul>
        {pictures.map(({ id: each, words }, i) => (
          <li key={each}>
            <button type="button" onClick={() => setOpen(each)}>
              <img src={api.pictureAddress(each)} alt={words || `Picture ${i + 1} of ${of}`} loading="lazy" />
            </button>
          </li>
        ))}
        <li>
          <label htmlFor={id} className="picture-add">
            {busy ? 'Storing…' : 'Add a picture'}
          </label>
          <input
            id={id}
            type="file"
            accept="image/*"
            multiple
            className="visually-hidden"
            onChange={({ target }) => {
              add([...(target.files ?? [])]);
              // the same file once more is a change again
              target.value = '';
            }}
          />
        </li>
      </ul>
      {failed.map(({ file, why, again }) => (
        <Notice
          key={file.name}
          tone="wrong"
          actions={again && <Button onClick={() => add([file])}>Try again</Button>}
        >
          Not kept: {why}
        </Notice>
      ))}
      {trouble !== null && <Notice tone="wrong">Not changed: {trouble}</Notice>}
      {away && (
        <Notice tone="note" actions={<Button onClick={putBack}>Put it back</Button>}>
          The picture is taken away.
        </Notice>
      )}
      {large && (
        <Suspense fallback={null}>
          {' '}
          <PictureLarge
            picture={large}
            of={of}
            onWords={(words) => void change(large.id, { words })}
            onAway={() => takeAway(large.id)}
            onClose={() => setOpen(null)}
          />
        </Suspense>
      )}
    </section>
  );
}
