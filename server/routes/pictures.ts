import { calls } from '../../core/wire/index.ts';
import type { PictureService } from '../services/index.ts';
import { answer, type Route } from './route.ts';

export const pictureRoutes = (pictures: PictureService): Route[] => [
  answer(calls.listPictures, ({ query }) => pictures.list(query.about)),
  answer(calls.addPicture, ({ params, body }) => pictures.add(params.id, body)),
  answer(calls.showPicture, async ({ params }, response) => {
    const { type, bytes } = await pictures.show(params.id);
    // a picture is never another one: it is asked for once
    response.set('cache-control', 'private, max-age=31536000, immutable').type(type).send(bytes);
  }),
  answer(calls.changePicture, ({ params, body }) => pictures.change(params.id, body)),
];
