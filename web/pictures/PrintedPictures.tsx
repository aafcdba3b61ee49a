import { api } from '../state/index.ts';
import { usePicturesAt } from './usePictures.ts';
import './pictures.css';

/** The pictures of something, on paper. */
export function PrintedPictures({
  about,
  alone = false,
}: {
  readonly about: string;
  /** Not those of places in it. */
  readonly alone?: boolean;
}) {
  const pictures = usePicturesAt(about).filter((picture) => !alone || picture.about === about);
  if (pictures.length === 0) return null;
  return (
    <div className="pictures-printed">
      {pictures.map(({ id, words }) => (
        <figure key={id}>
          <img src={api.pictureAddress(id)} alt={words} />
          {words && <figcaption>{words}</figcaption>}
        </figure>
      ))}
    </div>
  );
}
