import { FILE_NAMES, FILE_TYPES, formatOf, type FileName } from '../../core/files/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { calls } from '../../core/wire/index.ts';
import { notFound } from '../problems.ts';
import type { PaperService } from '../services/index.ts';
import type { AddressFor } from './index.ts';
import { jobFrom } from './jobs.ts';
import { answerBytes, type Route } from './route.ts';

/** @throws Refused 404 */
function nameFrom(asked: string): FileName {
  const name = FILE_NAMES.find((each) => each === asked);
  if (!name) throw notFound('file', asked);
  return name;
}

const sent = (bytes: Uint8Array, jobName: string, name: FileName) => ({
  bytes,
  type: FILE_TYPES[formatOf(name)],
  called: { job: jobName, name },
});

export const fileRoutes = (papers: PaperService, addressFor: AddressFor): Route[] => [
  answerBytes(calls.readFile, async ({ params, query: { part, ...set } }, { gone, request }) => {
    const name = nameFrom(params.file);
    const asked = { name, set, partId: part, address: addressFor(request) };
    const { job, bytes } = await papers.ofStored(params.id, asked, gone);
    return sent(bytes, job, name);
  }),
  answerBytes(calls.makeFile, async ({ params, body }, { gone }) => {
    const name = nameFrom(params.file);
    const { partId, equipment = STOCK_EQUIPMENT, set } = body;
    const job = jobFrom(body.job);
    const bytes = await papers.of({ job, equipment }, { name, set, partId, address: null }, gone);
    return sent(bytes, job.name, name);
  }),
];
