import { z } from 'zod';
import { jobSchema } from '../../core/job/index.ts';
import { runEventSchema, runSchema } from '../../core/run/index.ts';
import { equipmentSchema } from '../../core/shop/index.ts';
import { calls } from '../../core/wire/index.ts';
import { notFound } from '../problems.ts';
import { backupFileSchema } from '../whole/index.ts';
import { answer, type Route } from './route.ts';

/** The documents that leave the workshop as files, or come into it, with what each is. */
const DOCUMENTS: Readonly<Record<string, readonly [z.ZodType, string]>> = {
  job: [jobSchema, 'A job of Vuelta, as a job file has it'],
  run: [runSchema, 'A run as frozen when cutting began'],
  event: [runEventSchema, 'One event of a run: a cut, a note, a reading'],
  shop: [equipmentSchema, 'The equipment of a shop'],
  backup: [backupFileSchema, 'A whole workshop in one file'],
};

const made = new Map<string, object>();

/** @throws Refused 404 */
function schemaOf(name: string): object {
  const known = made.get(name);
  if (known) return known;
  const document = Object.hasOwn(DOCUMENTS, name) ? DOCUMENTS[name] : undefined;
  if (!document) throw notFound('schema', name);
  const [schema, title] = document;
  const described = {
    ...z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }),
    $id: `/api/schemas/${name}`,
    title,
  };
  made.set(name, described);
  return described;
}

export const schemaRoutes = (): Route[] => [
  answer(calls.readSchema, ({ params }, response) => {
    response.type('application/schema+json').send(JSON.stringify(schemaOf(params.name)));
  }),
];
